'use client';
import { Button, TextInput } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { IconCalendarPlus, IconDownload, IconRepeat } from '@tabler/icons-react';
import { useCallback, useState } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { messageOf } from '@/core/model/messageOf';
import { NAILS, nailWords, type NailName } from '@/core/model/names';
import type { NailFacts, Worn } from '@/core/model/wear';
import { pastOf } from '@/core/stock/pastDate';
import { daysBetween } from '@/core/wear/held';
import { dueOf, growthOf, type Growth, type Weakest } from '@/core/wear/growth';
import { infillOf } from '@/core/wear/infill';
import { benchOf } from '@/data/benches';
import { makeFor } from '@/data/clients';
import { addSet } from '@/data/sets';
import { beginWorn, changeWorn, removeWorn } from '@/data/worn';
import { doneOf, weakestFor } from '@/workers/planner';
import { useClientOf } from '../clients/useClients';
import { Go, go } from '../kit/Go';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import nailClasses from '../kit/nailButton.module.css';
import { MoreMenu } from '../kit/MoreMenu';
import { notDone, notify, notKept } from '../kit/notify';
import { pathOf } from '../kit/route';
import { useAnswer } from '../kit/useAnswer';
import { FINENESS, usePictures } from '../kit/usePictures';
import { timeWords } from '../kit/words';
import { useStock } from '../shelf/useStock';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { saveDue } from './dueFile';
import { NailWear } from './NailWear';
import { useAllWorn, useWorn } from './useWorn';
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

/** Before it is done: one press says that it was done as planned, on this day. */
function NotWorn({ set }: { set: SetDocument }) {
  const [on, setOn] = useState(set.appointment?.on ?? today());
  const client = useClientOf(set.id);
  const { stock } = useStock();
  const change = useStudio((s) => s.change);
  const [busy, setBusy] = useState(false);
  async function begin() {
    setBusy(true);
    const past = (stock?.shelf ?? [])
      .filter((item) => pastOf(item, on)?.gone)
      .map(({ product }) => product.id);
    try {
      const { worn } = await doneOf(set, {
        bench: await benchOf(set.id),
        on,
        client: client?.id ?? null,
        past,
      });
      await beginWorn(worn);
      if (set.state !== 'done') change({ kind: 'state', state: 'done' });
    } finally {
      setBusy(false);
    }
  }
  const good = /^\d{4}-\d{2}-\d{2}$/.test(on) && on <= today();
  return (
    <div className={classes.view} tabIndex={0} role="region" aria-label="Not worn yet">
      <h2>Not worn yet</h2>
      <p className={classes.lead}>
        Once it is done at the bench, it stands here with what was really done on each nail. It can be said as
        well.
      </p>
      <div className={classes.ask}>
        <TextInput
          type="date"
          label="Made on"
          value={on}
          max={today()}
          error={good ? undefined : 'a day that has come'}
          onChange={({ currentTarget }) => setOn(currentTarget.value)}
        />
        <Button disabled={!good} loading={busy} onClick={() => void begin().catch(notKept)}>
          Done as planned, on this day
        </Button>
      </div>
    </div>
  );
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

/** What growing out does to the nail that bears it least: its apex moves off the place where it is wanted. */
function Strength({ set, worn, to, growth }: { set: SetDocument; worn: Worn; to: string; growth: Growth }) {
  const { mm_a_day, measured } = growth;
  const days = daysBetween(worn.made_on, to);
  const weakest = useAnswer(
    useCallback(
      () => weakestFor(set, worn, days, { mm_a_day, measured }).then((one): Weakest | null => one ?? null),
      [set, worn, days, mm_a_day, measured],
    ),
  );
  if (!weakest || weakest === 'failed') return null;
  return (
    <>
      The {nailWords(weakest.nail)} then carries {weakest.carries} of what a usual natural nail does; new it
      carried {weakest.carried}.
    </>
  );
}

/** What was really done on a nail, as far as it is known. */
function Doings({ facts, nail, by }: { facts: NailFacts; nail: NailName; by: Worn['by'] }) {
  const prepared = [
    facts.buffed ? 'shine off' : 'its shine left on',
    facts.dehydrated ? 'dehydrated' : 'not dehydrated',
    facts.primed ? 'primed' : 'not primed',
  ];
  return (
    <section className={classes.next} aria-label="What was done">
      <h3>
        What was done on the {nailWords(nail)}
        {by === 'plan' && <small className={classes.soft}> as planned</small>}
      </h3>
      <dl className={classes.doings}>
        <dt>Built</dt>
        <dd>
          {facts.build_name}
          {facts.look ? `, ${facts.look}` : ''}
        </dd>
        <dt>Prepared</dt>
        <dd>
          {prepared.join(', ')}
          {facts.primed_to_wet_s !== null && `; ${timeWords(facts.primed_to_wet_s)} to the first film`}
        </dd>
        <dt>Of</dt>
        <dd>{facts.products.join(', ')}</dd>
        {facts.least_light !== null && (
          <>
            <dt>Light</dt>
            <dd>
              {facts.least_light >= 1
                ? 'all of it was given'
                : `one film got ${Math.round(facts.least_light * 100)} % of its light`}
            </dd>
          </>
        )}
        {facts.left_out.length > 0 && (
          <>
            <dt>Left out</dt>
            <dd>{facts.left_out.map((verb) => verb.replaceAll('-', ' ')).join(', ')}</dd>
          </>
        )}
        {facts.past_date.length > 0 && (
          <>
            <dt>Past its date</dt>
            <dd>{facts.past_date.join(', ')}</dd>
          </>
        )}
      </dl>
    </section>
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

/** When it is due, and the set that follows. */
function Next({ set, worn }: { set: SetDocument; worn: Worn }) {
  const { all } = useAllWorn();
  const client = useClientOf(set.id);
  const own = (all ?? []).filter((one) => worn.client !== null && one.client === worn.client);
  const growth = growthOf(own.length > 0 ? own : [worn]);
  const due = dueOf(worn, growth);
  if (!due) return null;
  async function infill(on: string) {
    const id = await addSet(infillOf(set, worn, on, growth));
    if (client) await makeFor(id, client.id);
    go(pathOf({ kind: 'set', id, view: 'hands' }));
  }
  return (
    <section className={classes.next} aria-label="What comes next" data-testid="due">
      <h3>What comes next</h3>
      <p>
        Due between <b>{dayWords(due.from)}</b> and <b>{dayWords(due.to)}</b>, for {due.why}{' '}
        <Strength set={set} worn={worn} to={due.to} growth={growth} />
      </p>
      <div className={classes.ask}>
        <Button
          leftSection={<IconRepeat size={18} />}
          onClick={() => void infill(due.to < today() ? today() : due.to).catch(notDone)}
        >
          Plan the infill
        </Button>
        <Button
          variant="default"
          leftSection={<IconCalendarPlus size={18} />}
          rightSection={<IconDownload size={16} />}
          onClick={() => saveDue(`${worn.title}, due`, [{ worn, due }])}
        >
          Calendar file
        </Button>
      </div>
    </section>
  );
}
