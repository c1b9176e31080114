import { areaOf, profileOn } from '../craft/area';
import type { Deposit } from '../craft/matter';
import type { Operation, Place } from '../craft/operation';
import { buildOf, frameOf } from '../document/nailContext';
import type { SetDocument } from '../document/document';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';
import type { Profile } from '../geometry/profiles';
import { NAILS, type NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { grainMass_mg } from '../simulate/grains';

/** What nobody counts one by one, measured out for all ten nails before the client comes. */
export interface MeasuredOut {
  /** "hexagon glitter", "leaf". */
  words: string;
  colour: string;
  /** "35 mg", "12 cm²". */
  said: string;
}

/** What of grains or of a sheet is laid by one operation: mg or mm². */
export interface Measured {
  operation: string;
  kind: 'grains' | 'sheet';
  words: string;
  colour: string;
  amount: number;
}

type Measures = {
  [K in Deposit['kind']]?: (
    deposit: Extract<Deposit, { kind: K }>,
    area_mm2: number,
  ) => Omit<Measured, 'operation'>;
};

/** What is measured of a deposit by the area that is laid in full; what is poured or counted is not. */
const MEASURES: Measures = {
  grains: ({ grains }, area_mm2) => ({
    kind: 'grains',
    words: grains.words,
    colour: grains.colour,
    amount: (grains.per_cm2 / 100) * area_mm2 * grainMass_mg(grains),
  }),
  sheet: ({ sheet: { words, colour } }, area_mm2) => ({ kind: 'sheet', words, colour, amount: area_mm2 }),
};

const SAY: Record<Measured['kind'], (amount: number) => string> = { grains: mass, sheet: area };

/** Grains by what they weigh and sheets by the area they are laid over, operation by operation. */
export function measures(
  set: SetDocument,
  operations: Readonly<Record<NailName, readonly Operation[]>>,
): Measured[] {
  return NAILS.flatMap((name) => {
    const nail = set.nails[name];
    const frame = frameOf(nail, buildOf(set, nail));
    return operations[name].flatMap(({ id, deposit, place }): Measured[] => {
      const measure =
        deposit &&
        (MEASURES[deposit.kind] as
          | ((of: Deposit, area_mm2: number) => Omit<Measured, 'operation'>)
          | undefined);
      if (!measure) return [];
      const over_mm2 = laidOver_mm2(frame, place, 'profile' in deposit ? deposit.profile : undefined);
      return [{ operation: id, ...measure(deposit, over_mm2) }];
    });
  });
}

/** The same of all nails together, in the order they are used. */
export function measuredOut(
  set: SetDocument,
  operations: Readonly<Record<NailName, readonly Operation[]>>,
): MeasuredOut[] {
  const all = new Map<string, Measured>();
  for (const one of measures(set, operations)) {
    const key = `${one.words}|${one.colour.toLowerCase()}`;
    const before = all.get(key);
    all.set(key, before ? { ...before, amount: before.amount + one.amount } : one);
  }
  return [...all.values()]
    .filter(({ amount }) => amount > 0)
    .map(({ kind, words, colour, amount }) => ({ words, colour, said: SAY[kind](amount) }));
}

/** Fine enough for a hundredth of what is laid on a nail. */
const STEP_MM = 0.2;

/** The area of a place, each part of it by its share where what is laid thins out. */
export function laidOver_mm2(frame: NailFrame, place: Place, profile?: Profile): number {
  return known(frame, JSON.stringify([place, profile]), () => summed_mm2(frame, place, profile));
}

/** Asked for again by every view of the same plan. */
const known = perFrame<number>();

function summed_mm2(frame: NailFrame, place: Place, profile?: Profile): number {
  const { distance_mm } = areaOf(frame, place);
  const share = profile && profileOn(frame, place, profile);
  let sum = 0;
  for (let y = STEP_MM / 2; y < frame.length_mm; y += STEP_MM)
    for (let x = -frame.arc_mm / 2 + STEP_MM / 2; x < frame.arc_mm / 2; x += STEP_MM)
      if (distance_mm(x, y) > 0) sum += share ? share(x, y) : 1;
  return sum * STEP_MM * STEP_MM;
}

/** Less is taken between two fingers, and weighed by nobody (common practice). */
const PINCH_MG = 10;

function mass(mg: number): string {
  if (mg < PINCH_MG) return 'a pinch of';
  return mg < 100 ? `${Math.round(mg)} mg` : `${rounded(mg / 1000, 1)} g`;
}

function area(mm2: number): string {
  return `${rounded(Math.max(0.1, mm2 / 100), 1)} cm²`;
}
