'use client';
import { Button } from '@mantine/core';
import type { AtTable } from '@/core/bench/atTable';
import type { Operation } from '@/core/craft/operation';
import { layersBefore } from '@/core/bench/shown';
import type { SetDocument } from '@/core/document/document';
import type { NailName } from '@/core/model/names';
import { tokenColour } from '@/core/model/product';
import type { Plan } from '@/core/plan/planSet';
import { NailCanvas } from '../kit/NailCanvas';
import { clockWords, waitWords } from '@/core/model/times';
import { useStage } from '../layers/useStage';
import { lineWords } from '@/core/timing/rounds';
import { whoseOf } from '../kit/whose';
import classes from './BenchView.module.css';

const PX_PER_MM = 16;

interface Props {
  now_ms: number;
  table: AtTable | undefined;
  plan: Plan;
  set: SetDocument;
  worked: NailName[];
  /** Why the last press did nothing. */
  said: string | undefined;
  onPress: () => void;
  /** Lights the torch for so long; undefined where nothing is worked yet. */
  onTorch: ((seconds: number) => void) | undefined;
}

/** What is to be done now, as large as it is read from where the client sits; a press anywhere on it says that it is done. */
export function NowBlock({ now_ms, table, plan, set, worked, said, onPress, onTorch }: Props) {
  const round = table?.now ?? (table ? undefined : plan.rounds[0]);
  const nail = round?.nails[0] ?? worked[0] ?? 'left-ring';
  const operations = plan.operations[nail];
  const done = round ? layersBefore(operations, round.operations) : operations.length;
  const { stage } = useStage(set, nail, operations.length, Math.max(1, done), PX_PER_MM * 2);
  const operation = operationOf(plan, round);
  const product = set.kit.products.find(({ id }) => id === operation?.product);
  const colour = product && tokenColour(product);
  const words = round?.kind === 'load' ? 'Into the lamp' : round ? lineWords(round) : '';
  const waits_s = table?.waitsFor ? (table.waitsFor.until_ms - now_ms) / 1000 : 0;
  return (
    <section className={classes.now} aria-label="Now" data-light={round?.kind === 'load' || undefined}>
      <div className={classes.nowWords} aria-live="polite">
        {table?.ended ? (
          <h2 data-testid="bench-now">Done. The sitting is in its record.</h2>
        ) : round ? (
          <>
            <p className={classes.whose}>{whoseOf(round, worked)}</p>
            <h2 data-testid="bench-now" data-long={longness(words)}>
              {words}
            </h2>
            {round.kind === 'load' && (
              <p className={classes.light}>
                {round.words} · {Math.round(round.light!.seconds)} s
              </p>
            )}
            {product && (colour || !round.words.includes(product.name)) && (
              <p className={classes.product}>
                {colour && <span style={{ background: colour }} aria-hidden />}
                {product.name}
              </p>
            )}
            {round.light && round.kind === 'work' && (
              <p className={classes.light}>
                {Math.round(round.light.seconds)} s {round.light.mode} on each, held{' '}
                {onTorch && (
                  <Button
                    variant="default"
                    size="md"
                    className={classes.above}
                    onClick={() => onTorch(round.light!.seconds)}
                  >
                    Light on
                  </Button>
                )}
              </p>
            )}
            {round.caution && <p className={classes.caution}>{round.caution}</p>}
          </>
        ) : (
          <h2 data-testid="bench-now">All is done.</h2>
        )}
        {table?.paused_ms !== undefined && (
          <p role="status" className={classes.said}>
            A break since {clockWords((table.paused_ms - (table.begun_ms ?? 0)) / 1000)}. Lights and films go
            on.
          </p>
        )}
      </div>
      <div className={classes.picture}>
        <NailCanvas picture={stage?.picture} px_per_mm={PX_PER_MM} label="How this nail looks after it" />
      </div>
      {said && (
        <p role="status" className={classes.said}>
          {said}
        </p>
      )}
      {!table?.ended && (
        <button
          type="button"
          className={classes.press}
          onClick={onPress}
          data-waits={waits_s > 0 || undefined}
        >
          {pressWords(table, round)}
          {table?.waitsFor && table.paused_ms === undefined && (
            <small>{waitWords(Math.max(1, Math.round(waits_s)))} to go</small>
          )}
        </button>
      )}
    </section>
  );
}

/** The first step of a round, as the plan has it. */
export function operationOf(
  plan: Plan,
  round: { nails: readonly NailName[]; operations: readonly string[] } | undefined,
): Operation | undefined {
  const nail = round?.nails[0];
  return nail && plan.operations[nail].find(({ id }) => round.operations.includes(id));
}

/** Long words are set smaller: all of them are read at a glance, and none lies below the fold. */
function longness({ length }: string): number {
  return [44, 90, 150].filter((most) => length > most).length;
}

function pressWords(table: AtTable | undefined, round: { kind: 'work' | 'load' } | undefined): string {
  if (!table) return 'Begin';
  if (table.paused_ms !== undefined) return 'Go on';
  if (table.waitsFor) return 'Wait';
  if (!round) return 'End the sitting';
  return round.kind === 'load' ? 'In the lamp, light on' : 'Done';
}
