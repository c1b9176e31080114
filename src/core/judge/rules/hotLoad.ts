import type { Operation } from '../../craft/operation';
import { NAILS } from '../../model/names';
import { whoseWords } from '../../timing/rounds';
import type { SetRule } from '../rule';

/** Layers from this on are felt as they cure; sooner on a thin plate (common practice). */
const FELT_UM = 450;
const FELT_ON_THIN_UM = 250;
/** One warm nail is borne; a hand of them is not pulled out in time. */
const MOST_NAILS = 2;

/** The thick layer that a load hardens on a nail with these operations, in µm, or 0. */
function hardened_um(own: readonly Operation[], load: ReadonlySet<string>): number {
  const light = own.findIndex((one) => load.has(one.id));
  const laid = own.slice(0, Math.max(0, light)).findLast((one) => one.deposit);
  return laid?.deposit?.kind === 'level' ? laid.deposit.t_um : 0;
}

/** A whole hand of thick layers in one load heats at once. */
export const hotLoad: SetRule = {
  codes: ['hot-load'],
  asks: 'Do many thick layers heat in one load?',
  check: ({ set, sitting, operations }) => {
    const nails = NAILS.map((nail) => ({
      nail,
      own: operations.filter((one) => one.nail === nail),
      felt_um: set.nails[nail].conditions.includes('thin') ? FELT_ON_THIN_UM : FELT_UM,
    }));
    const found = sitting.loads.flatMap((load) => {
      const serves = new Set(load.operations);
      const hot = nails
        .filter(({ own, felt_um }) => hardened_um(own, serves) > felt_um)
        .map((one) => one.nail);
      return hot.length > MOST_NAILS ? [{ load, hot }] : [];
    });
    const worst = found.sort((a, b) => b.hot.length - a.hot.length)[0];
    if (!worst) return [];
    const { load, hot } = worst;
    return [
      {
        severity: 'note' as const,
        nail: hot[0]!,
        operation: load.operations.find((id) => id.startsWith(`${hot[0]!}/`)) ?? load.operations[0]!,
        message: `${hot.length} thick layers heat up in one load: ${whoseWords(hot, NAILS)}.`,
        reason: `Gel heats as it cures, and a hand of it all at once. ${set.kit.lamps.some((lamp) => lamp.low_heat) ? 'Use the lamp’s low-heat mode' : 'Go in for a few seconds at a time'}, and take the hand out as soon as it burns.`,
        figure: {
          words: 'thick layers in one load',
          value: hot.length,
          limit: MOST_NAILS,
          is: 'at most' as const,
          unit: '',
        },
      },
    ];
  },
};
