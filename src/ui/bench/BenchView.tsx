'use client';
import { Button, Checkbox } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { IconArrowBackUp, IconDeviceDesktop, IconNotes, IconPlayerPlay } from '@tabler/icons-react';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { again, cutShort, press, takeBack, type Pressed } from '@/core/bench/presses';
import { timeOf } from '@/core/bench/clock';
import { endOf_s } from '@/core/bench/course';
import type { BenchEvent } from '@/core/bench/log';
import { atTable, begunOf, type AtTable } from '@/core/bench/state';
import { NAILS } from '@/core/model/names';
import { lineWords, whoseWords } from '@/core/timing/rounds';
import { simulatedLamp, type LampSign } from '@/devices/lamp';
import { simulatedPedal } from '@/devices/pedal';
import { MoreMenu } from '../kit/MoreMenu';
import { notify } from '../kit/notify';
import { clockWords, timeWords } from '../kit/words';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { TYPING } from '../studio/useKey';
import { BothHandsLit } from './BothHandsLit';
import { Devices } from './Devices';
import { GoOn, useGoingOn } from './GoOn';
import { LeavesAt } from './LeavesAt';
import { NowBlock } from './NowBlock';
import { insteadEntries, othersOf } from './instead';
import { OneNail } from './OneNail';
import { Record } from './Record';
import { sound, useAwake } from './signals';
import { Timers } from './Timers';
import { whoseOf } from './whose';
import { benchMark, useBench } from './useBench';
import classes from './BenchView.module.css';

/** How much quicker than the clock a practice run is. */
const PRACTICE_SPEED = 20;
const FLASH_MS = 900;

/** What now? The sitting on the table, one thing at a time. */
export function BenchView() {
  const plan = useStudio((s) => s.plan);
  const [practising, setPractising] = useState(false);
  if (!plan) return <NoPlan />;
  return (
    <Sitting
      key={practising ? 'practice' : 'real'}
      practising={practising}
      onPractise={() => setPractising(!practising)}
    />
  );
}

function Sitting({ practising, onPractise }: { practising: boolean; onPractise: () => void }) {
  const speed = practising ? PRACTICE_SPEED : 1;
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan)!;
  const planning = useStudio((s) => s.planning);
  const change = useStudio((s) => s.change);
  const at = useBench(set.id, speed);
  const { bench, progress, table, now_ms } = at;
  const [loud, setLoud] = useLocalStorage({ key: 'merry-lacquer-bench-sound', defaultValue: true });
  const [panel, setPanel] = useState(false);
  const [record, setRecord] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const [oneNail, setOneNail] = useState(false);
  const [lamp] = useState(() => simulatedLamp(speed));
  const [pedal] = useState(simulatedPedal);
  const [said, setSaid] = useState<string>();
  const flash = useFlash();
  const going = useGoingOn(at);
  useAwake(table !== undefined && !table.ended);

  const tell = (made: Pressed) => {
    if (!('refused' in made)) return;
    if (made.refused === 'twice') setSaid('Pressed twice: the second press does nothing.');
    if (made.refused === 'waits') setSaid(`Not yet: ${made.words}`);
  };
  const doIt = (event: BenchEvent) => {
    setSaid(undefined);
    at.write(event);
    if (event.what === 'lit') lamp.start(event.seconds);
    if (event.what === 'ended' && !practising) change({ kind: 'state', state: 'done' });
  };
  const pressed = (by: 'key' | 'tap' | 'pedal') => {
    // While the rest is planned anew nothing is skipped: the press waits for the artist's word.
    if (going.asked) {
      setSaid('First say whether the new plan is taken.');
      return;
    }
    // Of two presses in one moment the second has to meet what the first has written.
    const latest = at.latest();
    // What is kept of an earlier press is read first.
    if (latest === undefined) return;
    if (!latest) {
      if (planning !== 'fresh') {
        setSaid('The set is still being planned.');
        return;
      }
      const laid = at.lay(plan, set);
      at.put({ ...laid, events: [{ what: 'begun', at_ms: timeOf(laid.clock) }] });
      if (!practising && set.state !== 'begun') change({ kind: 'state', state: 'begun' });
      return;
    }
    const made = press(latest, at.time(), by);
    if ('event' in made) doIt(made.event);
    else tell(made);
  };
  const back = () => {
    const latest = at.latest();
    const event = latest ? takeBack(latest, at.time()) : undefined;
    if (event) at.write(event);
  };
  const onPress = useEffectEvent(pressed);
  const onBack = useEffectEvent(back);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || target.matches(TYPING)) return;
      const forward = [' ', 'Enter', 'ArrowRight', 'PageDown'].includes(event.key);
      const back = ['ArrowLeft', 'Backspace', 'PageUp'].includes(event.key);
      // A button that has the keyboard is pressed by it, and not the table.
      if ((!forward && !back) || (target.closest('button, a, summary') && event.key !== 'ArrowRight')) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (forward) onPress('key');
      else onBack();
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, []);
  useEffect(() => pedal.onPress(() => onPress('pedal')), [pedal]);
  const onSign = useEffectEvent((sign: LampSign) => {
    const latest = at.latest();
    if (!latest || sign.kind === 'started') return;
    const running = atTable(latest, at.time()).timers.find(({ kind }) => kind === 'light');
    if (!Number.isFinite(sign.given_s) || sign.given_s < 0) {
      notify('The lamp says something that cannot be: the bench goes by its own clock.');
      return;
    }
    if (sign.kind === 'stopped' && running?.event !== undefined) {
      const cut = cutShort(latest, running.event, sign.why, at.time());
      if (cut) at.write(cut);
    }
  });
  useEffect(() => lamp.onSign(onSign), [lamp]);
  // A lamp that was on when the page was loaded anew is on still.
  const isRead = bench !== undefined;
  const onRead = useEffectEvent(() => {
    const running = bench ? atTable(bench, at.time()).timers.find(({ kind }) => kind === 'light') : undefined;
    if (running) lamp.start((running.until_ms - at.time()) / 1000);
  });
  useEffect(() => {
    if (isRead) onRead();
  }, [isRead]);
  // A light that is over is heard and seen.
  const lights = table?.timers.filter(({ kind }) => kind === 'light').length ?? 0;
  const before = useRef(lights);
  const onOver = useEffectEvent(() => {
    flash.now();
    if (loud) sound();
  });
  useEffect(() => {
    if (lights < before.current) onOver();
    before.current = lights;
  }, [lights]);

  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const mark = useMemo(() => benchMark(set), [set]);
  const stale = bench && bench.mark !== mark && !practising;
  // Sought when something is done, and not with every look at the clock.
  const others = useMemo(() => (progress ? othersOf(set, plan, progress) : []), [set, plan, progress]);
  const instead =
    bench && table && !table.ended
      ? insteadEntries({
          set,
          table,
          others,
          going,
          onLeaves: () => setLeaving(true),
          onOneNail: () => setOneNail(true),
        })
      : [];
  // A practice run changes no set.
  const entries = practising ? instead.filter(({ key }) => key === 'anew') : instead;
  return (
    <div className={classes.view} data-flash={flash.on || undefined}>
      <header className={classes.head}>
        <p className={classes.clock} data-testid="bench-clock">
          {table?.begun_ms === undefined
            ? timeWords(plan.sitting.total_s)
            : clockWords((now_ms - table.begun_ms) / 1000)}
          <small>
            {table ? ` ${table.done} of ${table.total}` : ' in all, as planned'}
            {practising && ` · practice, ${PRACTICE_SPEED} times as quick, nothing is kept`}
          </small>
        </p>
        <div className={classes.headRight}>
          <Checkbox
            label="Sound"
            checked={loud}
            onChange={({ currentTarget }) => setLoud(currentTarget.checked)}
          />
          <Button
            variant="default"
            leftSection={<IconDeviceDesktop size={18} />}
            aria-expanded={panel}
            onClick={() => setPanel(!panel)}
          >
            Devices
          </Button>
          <Button variant="default" leftSection={<IconPlayerPlay size={18} />} onClick={onPractise}>
            {practising ? 'End the practice' : 'Practice run'}
          </Button>
          <Button
            variant="default"
            leftSection={<IconArrowBackUp size={18} />}
            disabled={!table || table.done === 0}
            onClick={back}
          >
            Back
          </Button>
          {bench && (
            <Button variant="default" leftSection={<IconNotes size={18} />} onClick={() => setRecord(true)}>
              Record
            </Button>
          )}
          {entries.length > 0 && <MoreMenu label="What happens instead" entries={entries} />}
        </div>
      </header>
      {panel && <Devices lamp={lamp} pedal={pedal} />}
      {stale && table && !table.ended && (
        <p role="status" className={classes.told}>
          The set was changed since this was planned.{' '}
          <Button variant="default" onClick={() => going.ask('The set was changed')}>
            Plan the rest with it
          </Button>
        </p>
      )}
      {table?.short.map((one) => (
        <p key={one.event} role="alert" className={classes.told}>
          <b>Still soft:</b> {whoseWords(one.nails, worked)} had {Math.round(one.given_s)} s of{' '}
          {Math.round(one.asked_s)} s. Into the lamp again before anything is laid on it.{' '}
          <Button
            onClick={() => {
              const event = bench ? again(bench, one.event, at.time()) : undefined;
              if (event) doIt(event);
            }}
          >
            Again now
          </Button>
        </p>
      ))}
      {record && bench && (
        <Record
          title={set.title}
          bench={bench}
          worked={worked}
          onNote={(text) =>
            at.write({
              what: 'noted',
              at_ms: at.time(),
              operation: table?.now?.operations[0] ?? null,
              text,
            })
          }
          onClose={() => setRecord(false)}
        />
      )}
      {oneNail && table?.now && (
        <OneNail plan={plan} now={table.now} going={going} onClose={() => setOneNail(false)} />
      )}
      {leaving && bench && table?.begun_ms !== undefined && (
        <LeavesAt
          set={set}
          begun={begunOf(bench, now_ms)!}
          ends={new Date(table.begun_ms + endOf_s(bench.course) * 1000 - bench.clock.shift_ms)}
          going={going}
          onClose={() => setLeaving(false)}
        />
      )}
      <GoOn going={going} />
      <div className={classes.main}>
        <NowBlock
          now_ms={now_ms}
          table={table}
          plan={plan}
          set={set}
          worked={worked}
          said={said}
          onPress={() => pressed('tap')}
        />
        <aside className={classes.side} aria-label="The hands, and what runs">
          <BothHandsLit set={set} lit={table?.now?.nails ?? []} inLamp={litNow(table)} />
          <Timers timers={table?.timers ?? []} now_ms={now_ms} worked={worked} />
        </aside>
      </div>
      <footer className={classes.after} aria-label="What comes after">
        {(table ? table.next : plan.rounds.slice(1)).slice(0, 3).map((round, i) => (
          <p key={round.operations[0]}>
            <b>{i === 0 ? 'Next' : 'Then'}</b> {whoseOf(round, worked)}: {lineWords(round)}
          </p>
        ))}
        {table?.ended && (
          <Button variant="default" onClick={at.clear}>
            Clear the table
          </Button>
        )}
      </footer>
    </div>
  );
}

function litNow(table: AtTable | undefined) {
  return table?.timers.flatMap(({ kind, nails }) => (kind === 'light' ? nails : [])) ?? [];
}

/** The screen flashes once. */
function useFlash() {
  const [on, setOn] = useState(false);
  return {
    on,
    now: () => {
      setOn(true);
      setTimeout(() => setOn(false), FLASH_MS);
    },
  };
}
