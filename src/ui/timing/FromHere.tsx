'use client';
import type { NailName } from '@/core/model/names';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { clockWords, handWords } from '../kit/words';
import classes from './TimingView.module.css';

/** As many as are looked through at once; the card has them all. */
const MOST = 20;

/** What is done from the chosen moment on. */
export function FromHere({
  rounds,
  worked,
  at_s,
}: {
  rounds: readonly Round[];
  worked: readonly NailName[];
  at_s: number;
}) {
  const next = rounds.filter((round) => round.end_s > at_s).slice(0, MOST);
  return (
    <section className={classes.next} aria-label={`From ${clockWords(at_s)} on`} tabIndex={0}>
      <h2>From {clockWords(at_s)} on</h2>
      <ol>
        {next.map((round) => (
          <li key={round.number} className={round.kind === 'load' ? classes.light : ''}>
            <span className={classes.when}>{clockWords(Math.round(round.start_s / 10) * 10)}</span>
            <span>
              <b>
                {handWords(round.hand)}
                {whoseWords(round.nails, worked)}
              </b>{' '}
              {round.words}
              {round.light ? `, ${round.light.seconds} s` : ''}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
