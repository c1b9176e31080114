import type { Hand } from '../model/names';
import type { Chain, Problem, Task } from '../timing/problem';
import { chance, type Chance } from '../model/chance';

/** A way of working, as an artist would say it. */
export interface Way {
  wearer: Problem['wearer'];
  thumbs: Problem['thumbs'];
  lamps: number;
}

export const WAYS: readonly Way[] = (['client', 'own'] as const).flatMap((wearer) =>
  (['apart', 'together', 'with-fingers'] as const).flatMap((thumbs) =>
    [1, 2].map((lamps) => ({ wearer, thumbs, lamps })),
  ),
);

/**
 * Two or three nails with one or two coats each, flashed or cured, some oiled at the end in one go: small enough to
 * try every order of their work.
 */
export function tinySitting(seed: number, way: Way): Problem {
  const by = chance(seed);
  const nails = by.pick<[Hand, string][]>([
    [
      ['left', 'ring'],
      ['right', 'ring'],
    ],
    [
      ['left', 'ring'],
      ['left', 'index'],
      ['right', 'ring'],
    ],
    [
      ['left', 'ring'],
      ['left', 'thumb'],
      ['right', 'thumb'],
    ],
  ]);
  const oiled = by.next() < 0.4;
  const chains = nails.map(([hand, finger]): Chain => {
    const nail = `${hand}-${finger}`;
    const coats = 1 + by.below(2);
    const tasks = Array.from({ length: coats }, (_, i) => coat(`${nail}/#${i}`, by)).flat();
    if (oiled) tasks.push({ ...work(`${nail}/oil`, 4, 'oil'), together: 'oil' });
    return { nail, hand, thumb: finger === 'thumb', tasks };
  });
  return {
    chains,
    lamps: Array.from({ length: way.lamps }, (_, i) => ({
      id: `lamp-${i}`,
      programmes_s: by.pick([[], [30, 60]]),
    })),
    thumbs: way.thumbs,
    wearer: way.wearer,
    slower: { left: 1, right: way.wearer === 'own' ? by.pick([1, 1.3]) : 1 },
    changeover_s: by.pick([0, 6]),
  };
}

function coat(id: string, by: Chance): Task[] {
  const mode = by.next() < 0.25 ? 'flash' : 'cure';
  return [
    // Some coats are left to settle before their light.
    { ...work(`${id}/coat`, 5 + by.below(56), by.pick(['a', 'b'])), wet: true, wait_s: by.pick([0, 0, 15]) },
    {
      ...work(`${id}/cure`, 0, 'light'),
      light: { mode, seconds: by.pick([10, 30, 60]) },
      tacky: true,
    },
  ];
}

function work(operation: string, hand_s: number, name: string): Task {
  return { operation, hand_s, class: name, rank: 0, dusty: false, wait_s: 0, wet: false, tacky: false };
}
