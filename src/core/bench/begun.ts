import { handOf } from '../model/names';
import { rounded } from '../model/rounded';
import type { Begun, Load, Stroke } from '../timing/problem';
import { nailIn } from './events';
import type { Bench } from './log';
import { givenLights, standingWork, type Done } from './standingWork';

/** A held light runs its time however quick the hands are; where less time went by than that, it was cut with them. */
function sharesOf(pieces: Done['pieces'], took_s: number): { hand: number; light: number } {
  const sum = (lit: boolean) =>
    pieces.reduce((all, { seconds, light }) => all + ((light !== undefined) === lit ? seconds : 0), 0);
  const [light_s, hand_s] = [sum(true), sum(false)];
  const light = light_s > took_s ? took_s / light_s : 1;
  return { light, hand: hand_s > 0 ? Math.max(0, took_s - light_s * light) / hand_s : 0 };
}

/**
 * What is done as the planner takes it: in seconds from the beginning, each piece of work with its share of the time that the whole of
 * it took, each light with the seconds that it really gave.
 */
export function begunOf({ events }: Bench, now_ms: number): Begun | undefined {
  const real = standingWork(events);
  const start = real.find((one) => one?.what === 'begun');
  if (!start) return undefined;
  const s = (ms: number) => Math.round(ms - start.at_ms) / 1000;
  const strokes: Stroke[] = [];
  const loads: Load[] = [];
  const wipes: Begun['wipes'] = [];
  for (const [, { lit, end_ms }] of givenLights(real))
    loads.push({
      lamp: lit.lamp,
      hand: handOf(lit.nails[0]!),
      nails: lit.nails,
      operations: lit.operations,
      mode: lit.mode,
      start_s: s(lit.at_ms),
      end_s: s(end_ms),
    });
  for (const one of real) {
    if (one?.what !== 'done') continue;
    let t = s(one.from_ms);
    const share = sharesOf(one.pieces, s(one.at_ms) - t);
    for (const { operation, seconds, light, after } of one.pieces) {
      const end = t + seconds * (light ? share.light : share.hand);
      const nail = nailIn(operation);
      const times = { start_s: rounded(t), end_s: rounded(end) };
      if (light)
        loads.push({
          lamp: light.lamp,
          hand: handOf(nail),
          nails: [nail],
          operations: [operation],
          mode: light.mode,
          held: true,
          ...times,
        });
      else if (after) wipes.push({ operation, nail, hand: handOf(nail), changeover_s: 0, after, ...times });
      else strokes.push({ operation, nail, hand: handOf(nail), changeover_s: 0, ...times });
      t = end;
    }
  }
  const byStart = (a: { start_s: number }, b: { start_s: number }) => a.start_s - b.start_s;
  return { now_s: s(now_ms), strokes: strokes.sort(byStart), loads: loads.sort(byStart), wipes };
}
