'use client';
import type { Timer } from '@/core/bench/atTable';
import type { NailName } from '@/core/model/names';
import { lowerFirst } from '@/core/model/letters';
import { clockWords } from '@/core/model/times';
import { whoseNails } from '../kit/whose';
import classes from './BenchView.module.css';

/** So many windows are read at a time: the nearest. */
const MOST = 5;

/** What runs by the clock: lights and rests down to nothing, what must follow soon until it is late. */
export function Timers({
  timers,
  now_ms,
  worked,
}: {
  timers: readonly Timer[];
  now_ms: number;
  worked: NailName[];
}) {
  const near = [...timers].sort((a, b) => rank(a) - rank(b) || a.until_ms - b.until_ms).slice(0, MOST);
  if (near.length === 0) return null;
  return (
    <ul className={classes.timers} aria-label="What runs">
      {near.map((one) => {
        const left_s = (one.until_ms - now_ms) / 1000;
        const late = left_s < 0;
        const soon = !late && one.guide_ms !== undefined && one.guide_ms < now_ms;
        return (
          <li
            key={`${one.kind} ${one.from_ms} ${one.nails.join()}`}
            data-kind={one.kind}
            data-late={late || undefined}
            data-soon={soon || undefined}
          >
            <b data-testid={`timer-${one.kind}`}>{clockWords(Math.max(0, Math.ceil(left_s)))}</b>
            <span>
              {late ? 'Too late: ' : ''}
              {one.kind === 'window' ? `${one.words}, ` : one.kind === 'rest' ? 'Rests: ' : 'In the lamp: '}
              {lowerFirst(whoseNails(one.nails, worked))}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

function rank({ kind }: Timer): number {
  return kind === 'light' ? 0 : kind === 'rest' ? 1 : 2;
}
