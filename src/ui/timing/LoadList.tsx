'use client';
import type { NailName } from '@/core/model/names';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { clockWords } from '@/core/model/times';
import classes from './TimingView.module.css';

/** The lamp loads in their order, named by their nails. */
export function LoadList({ rounds, worked }: { rounds: readonly Round[]; worked: readonly NailName[] }) {
  return (
    <section className={classes.loads} aria-label="Lamp loads" tabIndex={0}>
      <h2>Lamp loads</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">At</th>
            <th scope="col">Light</th>
            <th scope="col">Hand</th>
            <th scope="col">For</th>
          </tr>
        </thead>
        <tbody>
          {rounds
            .filter((round) => round.kind === 'load')
            .map((load) => (
              <tr key={load.number}>
                <td>{clockWords(load.start_s)}</td>
                <td className={classes.light}>
                  {load.light!.seconds} s {load.light!.mode}
                </td>
                <td>{load.hand}</td>
                <td>{whoseWords(load.nails, worked)}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}
