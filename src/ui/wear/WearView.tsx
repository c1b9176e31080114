'use client';
import { Button, TextInput } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { messageOf } from '@/core/model/messageOf';
import { NAILS, type NailName } from '@/core/model/names';
import type { Worn } from '@/core/model/wear';
import { daysBetween } from '@/core/wear/held';
import { changeWorn, removeWorn } from '@/data/worn';
import { Go } from '../kit/Go';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { MoreMenu } from '../kit/MoreMenu';
import nailClasses from '../kit/nailButton.module.css';
import { notify, notKept } from '../kit/notify';
import { FINENESS, usePictures } from '../kit/usePictures';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { Doings } from './Doings';
import { NailWear } from './NailWear';
import { Next } from './Next';
import { NotWorn } from './NotWorn';
import { useWorn } from './useWorn';
import classes from './WearView.module.css';

/** How did it hold? */
export function WearView() {
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan);
  const { worn, read, fault } = useWorn(set.id);
  if (fault !== undefined) return <p role="alert">It cannot be read: {messageOf(fault)}.</p>;
  if (!read) return <p className={classes.soft}>It is read …</p>;
  if (worn) return <WornSet key={set.id} set={set} worn={worn} />;
  return plan ? <NotWorn set={set} /> : <NoPlan />;
}

const HANDS_PX = 720;
const MOST_PX_PER_MM = 4.4;

function WornSet({ set, worn }: { set: SetDocument; worn: Worn }) {
  const [nail, setNail] = useState<NailName>(() => NAILS.find((one) => worn.nails[one])!);
  const { ref: room, width } = useElementSize();
  const px_per_mm = spreadScale(set, Math.min(HANDS_PX, width || HANDS_PX), MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  const until = worn.off_on ?? today();
  const days = Math.max(0, daysBetween(worn.made_on, until));
  const notes = NAILS.reduce((sum, one) => sum + (worn.nails[one]?.notes.length ?? 0), 0);
  return (
    <div className={classes.view} tabIndex={0} role="region" aria-label="How it wears">
      <header className={classes.head}>
        <div>
          <h2>
            {worn.off_on ? 'Worn for' : 'Worn since'} {worn.off_on ? `${days} days` : dayWords(worn.made_on)}
          </h2>
          <p className={classes.lead}>
            {worn.off_on ? `Made ${dayWords(worn.made_on)}, off ${dayWords(worn.off_on)}.` : `${days} days.`}{' '}
            {worn.by === 'bench' ? 'As worked at the bench.' : 'As planned.'}{' '}
            {notes === 0 ? 'Nothing noted: all ten hold.' : `${notes} noted.`}{' '}
            <Go href="/holds">What holds</Go>
          </p>
        </div>
        <div className={classes.ask}>
          <OffOn worn={worn} />
          <MoreMenu
            label="More of how it wears"
            entries={[
              {
                key: 'remove',
                words: 'Throw this record away',
                danger: true,
                onPick: () => void remove(worn.set).catch(notKept),
              },
            ]}
          />
        </div>
      </header>
      <div className={classes.columns} ref={room}>
        <div className={classes.hands}>
          <HandsSpread
            set={set}
            pictures={pictures}
            px_per_mm={px_per_mm}
            around={({ name }, picture) => (
              <button
                type="button"
                className={nailClasses.nail}
                data-selected={name === nail || undefined}
                disabled={!worn.nails[name]}
                aria-pressed={name === nail}
                onClick={() => setNail(name)}
              >
                {picture}
                {(worn.nails[name]?.notes.length ?? 0) > 0 && (
                  <span className={nailClasses.key}>{worn.nails[name]!.notes.length} noted</span>
                )}
              </button>
            )}
          />
        </div>
        {worn.nails[nail] && <NailWear key={nail} set={set} worn={worn} nail={nail} />}
        <div>
          <Next set={set} worn={worn} />
          {worn.nails[nail] && <Doings facts={worn.nails[nail].facts} nail={nail} by={worn.by} />}
        </div>
      </div>
    </div>
  );
}

/** Throws the record of how a set was worn away; it can be put back. */
async function remove(set: string) {
  const putBack = await removeWorn(set);
  if (!putBack) return;
  notify(
    <>
      The record is gone.{' '}
      <Button variant="default" onClick={() => void putBack().catch(notKept)}>
        Put it back
      </Button>
    </>,
  );
}

/** The day it came off: from then on it is not seen to hold any longer. */
function OffOn({ worn }: { worn: Worn }) {
  const put = (off_on: string | null) =>
    void changeWorn(worn.set, (now) => ({ ...now, off_on })).catch(notKept);
  const [typed, setTyped] = useState(worn.off_on ?? '');
  const bad = typed !== '' && (typed < worn.made_on || typed > today());
  return (
    <TextInput
      type="date"
      label="Came off on"
      value={typed}
      min={worn.made_on}
      max={today()}
      error={bad ? 'from the day it was made to today' : undefined}
      onChange={({ currentTarget: { value } }) => {
        setTyped(value);
        if (value === '') put(null);
        else if (/^\d{4}-\d{2}-\d{2}$/.test(value) && value >= worn.made_on && value <= today()) put(value);
      }}
    />
  );
}
