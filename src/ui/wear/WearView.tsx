'use client';
import { Button } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { messageOf } from '@/core/model/messageOf';
import { NAILS, type NailName } from '@/core/model/names';
import { notesOn, type Worn } from '@/core/model/wear';
import { daysBetween } from '@/core/wear/held';
import { watchPhotos } from '@/data/photos';
import type { Photo } from '@/data/records';
import { removeWorn } from '@/data/worn';
import { Go } from '../kit/Go';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { MoreMenu } from '../kit/MoreMenu';
import nailClasses from '../kit/nailButton.module.css';
import { notify, notKept } from '../kit/notify';
import { FINENESS, usePictures } from '../kit/usePictures';
import { unforeseen } from '../kit/unforeseen';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { FollowUps } from './FollowUps';
import { NailWear } from './NailWear';
import { Next } from './Next';
import { NotWorn } from './NotWorn';
import { useAllWorn, useWorn } from './useWorn';
import { WornDays } from './WornDays';
import { WornPhotos } from './WornPhotos';
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
  const { all } = useAllWorn();
  const off = all?.find((one) => one.set === worn.set)?.off_on ?? worn.off_on;
  const days = Math.max(0, daysBetween(worn.made_on, off ?? today()));
  const early = worn.made_on > today();
  const [photos, setPhotos] = useState<Photo[]>([]);
  useEffect(() => watchPhotos(worn.set, setPhotos, unforeseen), [worn.set]);
  const notes = notesOn(worn);
  return (
    <div className={classes.view} tabIndex={0} role="region" aria-label="How it wears">
      <header className={classes.head}>
        <div>
          <h2>
            {off ? 'Worn for' : 'Worn since'} {off ? `${days} days` : dayWords(worn.made_on)}
          </h2>
          <p className={classes.lead}>
            {off
              ? `Made ${dayWords(worn.made_on)}, ${worn.off_on ? 'off' : 'until the next set was made,'} ${dayWords(off)}.`
              : `${days} days.`}{' '}
            {worn.by === 'bench' ? 'As worked at the bench.' : 'As planned.'}{' '}
            {notes === 0 ? 'Nothing noted: all ten hold.' : `${notes} noted.`}{' '}
            <Go href="/holds">What holds</Go>
          </p>
          {early && (
            <p role="alert" className={classes.caution}>
              It was made on a day that has not come: this device’s clock was wrong then, or is now. Nothing
              of it is counted until the day is put right.
            </p>
          )}
        </div>
        <div className={classes.ask}>
          <WornDays worn={worn} />
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
        {worn.nails[nail] && <NailWear key={nail} set={set} worn={worn} nail={nail} photos={photos} />}
        <div>
          <Next set={set} worn={worn} nail={nail} />
          <FollowUps worn={worn} />
          <WornPhotos worn={worn} photos={photos} />
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
