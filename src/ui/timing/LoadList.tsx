'use client';
import { fingerOf, type NailName } from '@/core/model/names';
import type { Sitting } from '@/core/timing/sitting';
import { clockWords } from '../kit/words';
import classes from './TimingView.module.css';

/** The lamp loads in their order, named by their nails. */
export function LoadList({ sitting }: { sitting: Sitting }) {
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
          {sitting.loads.map((load) => (
            <tr key={`${load.start_s}${load.hand}`}>
              <td>{clockWords(load.start_s)}</td>
              <td className={classes.light}>
                {load.end_s - load.start_s} s {load.mode}
              </td>
              <td>{load.hand}</td>
              <td>{load.operations.map((id) => fingerOf(id.split('/')[0] as NailName)).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
