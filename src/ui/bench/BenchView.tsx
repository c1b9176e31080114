'use client';
import { Button } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { again, press, takeBack, type Pressed } from '@/core/bench/presses';
import { timeOf } from '@/core/bench/clock';
import { courseOf, endOf_s } from '@/core/bench/course';
import type { BenchEvent } from '@/core/bench/log';
import { openRecipe } from '@/core/bench/recipes';
import { begunOf } from '@/core/bench/begun';
import { couldBeFirst } from '@/core/bench/progress';
import { type AtTable } from '@/core/bench/atTable';
import { NAILS } from '@/core/model/names';
import { lineWords } from '@/core/timing/rounds';
import { simulatedCaliper } from '@/devices/caliper';
import { simulatedPedal } from '@/devices/pedal';
import { unforeseen } from '../kit/unforeseen';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { AnotherFirst } from './AnotherFirst';
import { BenchHead } from './BenchHead';
import { BothHandsLit } from './BothHandsLit';
import { Devices } from './Devices';
import { Earlier } from './Earlier';
import { GoOn, useGoingOn } from './GoOn';
import { LeavesAt } from './LeavesAt';
import { NowBlock, operationOf } from './NowBlock';
import { insteadEntries, othersOf } from './instead';
import { OneNail } from './OneNail';
import { PassStrip } from './PassStrip';
import { keepPhoto } from './Photos';
import { Recipe } from './Recipe';
import { Record } from './Record';
import { sound, useAwake } from './signals';
import { Timers } from './Timers';
import { Told } from './Told';
import { whoseOf } from '../kit/whose';
import { benchMark, useBench } from './useBench';
import { useLamp } from './useLamp';
import { useTableKeys } from './useTableKeys';
import { useTorch } from './useTorch';
import { WhereItLies } from './WhereItLies';
import classes from './BenchView.module.css';

/** How much quicker than the clock a practice run is. */
const PRACTICE_SPEED = 20;
const FLASH_MS = 900;
/** No nail, tip or stone measures less or more. */
const LEAST_MM = 0.3;
const MOST_MM = 60;
/** What may happen instead without a change of the set. */
const SETLESS: readonly string[] = ['anew', 'earlier', 'another'];

/** The dialog that is open. */
type Opened = 'record' | 'leaves' | 'one-nail' | 'earlier' | 'another';

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
  // What is done before its turn, until it is done.
  const [first, setFirst] = useState<string>();
  const at = useBench(set.id, speed, first);
  const { bench, progress, table, now_ms } = at;
  const [loud, setLoud] = useLocalStorage({ key: 'merry-lacquer-bench-sound', defaultValue: true });
  const [panel, setPanel] = useState(false);
  const [open, setOpen] = useState<Opened>();
  const [pedal] = useState(simulatedPedal);
  const [caliper] = useState(simulatedCaliper);
  const [said, setSaid] = useState<string>();
  const flash = useFlash();
  const going = useGoingOn(at);
  const over = () => {
    flash.now();
    if (loud) sound();
  };
  const lamp = useLamp(at, speed);
  const torch = useTorch(speed, { onOver: over, onLost: setSaid });
  useAwake(table !== undefined && !table.ended);

  const tell = (made: Pressed) => {
    if (!('refused' in made)) return;
    if (made.refused === 'twice') setSaid('Pressed twice: the second press does nothing.');
    if (made.refused === 'waits') setSaid(`Not yet: ${made.words}`);
    if (made.refused === 'before') setSaid('The press before this one was later than that.');
  };
  const doIt = (event: BenchEvent) => {
    setSaid(undefined);
    at.write(event);
    if (event.what === 'lit') lamp.start(event.seconds);
    if (event.what === 'ended' && !practising) change({ kind: 'state', state: 'done' });
    // Films have aged meanwhile, and what was done before its turn leaves another order.
    if (event.what === 'resumed') going.ask('After the break');
    if (event.what === 'done' && first !== undefined) {
      setFirst(undefined);
      going.ask('Done before its turn');
    }
  };
  const begin = () => {
    if (planning !== 'fresh') {
      setSaid('The set is still being planned.');
      return;
    }
    const laid = at.lay(plan, set);
    at.put({ ...laid, events: [{ what: 'begun', at_ms: timeOf(laid.clock) }] });
    if (!practising && set.state !== 'begun') change({ kind: 'state', state: 'begun' });
  };
  const pressed = (by: 'key' | 'tap' | 'pedal', at_ms = at.time(), whole = false) => {
    // While the rest is planned anew nothing is skipped: the press waits for the artist's word.
    if (going.asked) setSaid('First say whether the new plan is taken.');
    else if (at.mine === false) setSaid('Nothing was pressed: the other tab has this table.');
    else {
      // Of two presses in one moment the second has to meet what the first has written.
      const latest = at.latest();
      // What is kept of an earlier press is read first.
      if (latest === undefined || at.mine === undefined) return;
      if (!latest) {
        begin();
        return;
      }
      const made = press(latest, at_ms, by, { first, whole });
      if ('event' in made) doIt(made.event);
      else tell(made);
    }
  };
  const back = () => {
    const latest = at.latest();
    const event = latest && at.mine ? takeBack(latest, at.time()) : undefined;
    if (event) at.write(event);
  };
  const measured = (mm: number) => {
    if (!table || !at.mine) return;
    if (!(mm >= LEAST_MM && mm <= MOST_MM)) {
      setSaid(`The caliper says ${mm} mm, which is no measure of a nail.`);
      return;
    }
    at.write({ what: 'measured', at_ms: at.time(), nail: table.now?.nails[0] ?? null, mm });
    setSaid(`Measured ${mm} mm; it is in the record.`);
  };
  useTableKeys({ onForward: () => pressed('key'), onBack: back, onFigure: measured });
  const onPedal = useEffectEvent(() => pressed('pedal'));
  useEffect(() => pedal.onPress(onPedal), [pedal]);
  const onReading = useEffectEvent(measured);
  useEffect(() => caliper.onReading(onReading), [caliper]);
  useWhenLightsGoOut(table, over);

  const worked = useMemo(() => NAILS.filter((name) => set.nails[name].in_work), [set]);
  const mark = useMemo(() => benchMark(set), [set]);
  const laid = bench?.course;
  const course = useMemo(() => laid ?? courseOf(plan, set), [laid, plan, set]);
  const stale = bench ? bench.mark !== mark && !practising : false;
  // Sought when something is done, and not with every look at the clock.
  const others = useMemo(() => (progress ? othersOf(set, plan, progress) : []), [set, plan, progress]);
  const recipe = useMemo(
    () =>
      bench && progress
        ? openRecipe(set, plan.operations, bench.events, progress.ended_ms.keys())
        : undefined,
    [set, plan, bench, progress],
  );
  const instead =
    progress && at.mine && !progress.ended && progress.paused_ms === undefined
      ? insteadEntries({
          set,
          table: progress,
          others,
          going,
          onLeaves: () => setOpen('leaves'),
          onOneNail: () => setOpen('one-nail'),
          onEarlier: () => setOpen('earlier'),
          onAnother: () => setOpen('another'),
        })
      : [];
  const close = () => setOpen(undefined);
  const takePhoto = (file: File) => {
    keepPhoto(set.id, file, at.time()).then((photo) => {
      const operation = at.latest() ? (table?.now?.operations[0] ?? null) : null;
      if (photo) at.write({ what: 'pictured', at_ms: at.time(), photo, operation });
    }, unforeseen);
  };
  return (
    <div className={classes.view} data-flash={flash.on || undefined}>
      <BenchHead
        table={table}
        now_ms={now_ms}
        planned_s={plan.sitting.total_s}
        practice={practising ? `practice, ${PRACTICE_SPEED} times as quick, nothing is kept` : undefined}
        // A practice run changes no set.
        instead={practising ? instead.filter(({ key }) => SETLESS.includes(key)) : instead}
        more={[
          { key: 'sound', words: loud ? 'Sound off' : 'Sound on', onPick: () => setLoud(!loud) },
          { key: 'devices', words: panel ? 'Devices away' : 'Devices', onPick: () => setPanel(!panel) },
          {
            key: 'practice',
            words: practising ? 'End the practice' : 'Practice run',
            onPick: onPractise,
          },
          ...(bench ? [{ key: 'record', words: 'Record', onPick: () => setOpen('record') }] : []),
        ]}
        onBack={back}
        onBreak={() => at.write({ what: 'paused', at_ms: at.time() })}
        onPhoto={practising ? undefined : takePhoto}
      />
      {panel && <Devices lamp={lamp} torch={torch} pedal={pedal} caliper={caliper} />}
      <Told
        at={at}
        worked={worked}
        stale={stale}
        onPlanAnew={() => going.ask('The set was changed')}
        onAgain={(short) => {
          const event = bench ? again(bench, short.event, at.time()) : undefined;
          if (event) doIt(event);
        }}
      />
      {open === 'record' && bench && (
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
          onClose={close}
        />
      )}
      {open === 'one-nail' && table?.now && (
        <OneNail plan={plan} now={table.now} progress={table} worked={worked} going={going} onClose={close} />
      )}
      {open === 'earlier' && table?.now && table.last_ms !== undefined && (
        <Earlier
          words={`${whoseOf(table.now, worked)}: ${lineWords(table.now)}`}
          now_ms={now_ms}
          last_ms={table.last_ms}
          begun_ms={table.begun_ms!}
          onPick={(at_ms) => pressed('tap', at_ms)}
          onClose={close}
        />
      )}
      {open === 'another' && table && (
        <AnotherFirst rounds={couldBeFirst(table)} worked={worked} onPick={setFirst} onClose={close} />
      )}
      {open === 'leaves' && bench && table?.begun_ms !== undefined && (
        <LeavesAt
          set={set}
          begun={begunOf(bench, now_ms)!}
          ends={new Date(table.begun_ms + endOf_s(bench.course) * 1000 - bench.clock.shift_ms)}
          going={going}
          onClose={close}
        />
      )}
      {bench && <GoOn going={going} bench={bench} worked={worked} />}
      <div className={classes.main}>
        <NowBlock
          now_ms={now_ms}
          table={table}
          plan={plan}
          set={set}
          worked={worked}
          said={said}
          onPress={() => pressed('tap')}
          onTorch={table && ((seconds) => torch.shine(seconds))}
        />
        <aside className={classes.side} aria-label="The hands, and what runs">
          <BothHandsLit set={set} lit={table?.now?.nails ?? []} inLamp={litNow(table)} />
          <WhereItLies set={set} operation={operationOf(plan, table ? table.now : plan.rounds[0])} />
          <Timers timers={table?.timers ?? []} now_ms={now_ms} worked={worked} />
          {recipe && (
            <Recipe
              key={recipe.operations[0]}
              asked={recipe}
              worked={worked}
              time={at.time}
              onSay={at.write}
            />
          )}
        </aside>
      </div>
      <footer className={classes.after} aria-label="The pass, and what comes after">
        <PassStrip
          course={course}
          progress={progress}
          worked={worked}
          onWhole={() => pressed('tap', at.time(), true)}
        />
        {table?.ended && (
          <Button variant="default" onClick={at.clear}>
            Clear the table
          </Button>
        )}
      </footer>
    </div>
  );
}

/** A light that is over is heard and seen. */
function useWhenLightsGoOut(table: AtTable | undefined, over: () => void) {
  const lights = table?.timers.filter(({ kind }) => kind === 'light').length ?? 0;
  const before = useRef(lights);
  const onOver = useEffectEvent(over);
  useEffect(() => {
    if (lights < before.current) onOver();
    before.current = lights;
  }, [lights]);
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
