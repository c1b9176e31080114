import { masstone } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { lchOf } from '../../colour/space';
import { rounded } from '../../model/rounded';
import { runOf } from '../../craft/paints';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** L* below which a colour is strong beside pale ones, and above which one is pale (common practice). */
const DARK = 40;
const PALE = 65;
/** Between two others a pale colour wants so much of the run, or the dark one drawn into it is all that is seen (common practice). */
const ROOM = 0.16;

/** In a run of several colours a strong dark one outweighs the pale one it is drawn into. */
export const darkSwallows: NailRule = {
  codes: ['dark-swallows'],
  asks: 'Has a pale colour beside a dark one room to be seen?',
  check: (nail) => {
    const told = new Set<string>();
    return nail.operations.flatMap(({ id, element, paint }): FindingDraft[] => {
      const run = paint && runOf(paint);
      if (!run || run.stops.length < 3 || told.has(element)) return [];
      const stops = run.stops.map(({ product, at }) => ({
        at,
        name: nail.context.product(product).name,
        lightness: lchOf(masstone(pigmentOf(nail.context.product(product)))).lightness,
      }));
      const small = stops.slice(1, -1).find((stop, k) => {
        const [before, after] = [stops[k]!, stops[k + 2]!];
        const room = (after.at - before.at) / 2;
        return stop.lightness > PALE && Math.min(before.lightness, after.lightness) < DARK && room < ROOM;
      });
      if (!small) return [];
      told.add(element);
      const at = stops.indexOf(small);
      const room = (stops[at + 1]!.at - stops[at - 1]!.at) / 2;
      return [
        {
          severity: 'warn',
          operation: id,
          element,
          message: `The dark colour beside it swallows ${small.name}: there is too little of it between its neighbours.`,
          reason:
            'Drawn into each other, a dark colour goes further than a pale one; a weak one wants a second bead, or more room.',
          figure: {
            words: 'its share of the run',
            value: rounded(room, 2),
            limit: ROOM,
            is: 'at least',
            unit: '',
          },
          tries: granted(nail, element, 'longer-fade', { run_mm: 1, least_mm: ROOM * 1.05 }),
        },
      ];
    });
  },
};
