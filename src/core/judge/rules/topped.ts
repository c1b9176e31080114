import { isSelfEdged } from '../../geometry/profiles';
import { decode } from '../../craft/surface';
import { rounded } from '../../model/rounded';
import { lookOf } from '../../document/nailContext';
import { gloss, type Element } from '../../craft/techniques';
import type { Fix } from '../finding';
import type { NailCase, NailRule } from '../rule';

/** More than this share of a nail without top is no gap of the brush. */
const MAX_OPEN_SHARE = 0.15;

/** Every nail that carries product ends under a top; art gel and lacquer may do without. */
export const topped: NailRule = {
  codes: ['no-top'],
  asks: 'Is the finished nail topped?',
  check: (nail) => {
    const { field, operations } = nail;
    let all = 0;
    let open = 0;
    let sticky = 0;
    field.surface.forEach((code, cell) => {
      if (!field.grid.inside[cell] || !field.films.some((film) => film.t_um[cell]! > 0)) return;
      const { material, finish } = decode(code);
      if (finish !== 'tacky' && isLeftOpen(field, cell)) return;
      all += 1;
      if (material !== 'gel' && material !== 'clear' && material !== 'tip' && material !== 'piece') return;
      open += 1;
      if (finish === 'tacky') sticky += 1;
    });
    if (all === 0 || open <= all * MAX_OPEN_SHARE) return [];
    const area = open * field.grid.cell_mm2;
    const last = operations[operations.length - 1];
    return [
      {
        severity: sticky * 2 > open ? ('stop' as const) : ('warn' as const),
        ...(last ? { operation: last.id, element: last.element } : {}),
        message: `No top closes ${rounded(area, 0)} mm² of the nail${sticky * 2 > open ? ': it stays sticky' : ''}.`,
        reason: 'Without top, colour wears and stains, and what is sticky takes lint and stays on the skin.',
        figure: {
          words: 'without top',
          value: rounded(area, 0),
          limit: rounded(all * MAX_OPEN_SHARE * field.grid.cell_mm2, 0),
          is: 'at most' as const,
          unit: 'mm²',
        },
        tries: glossed(nail),
      },
    ];
  },
};

/** Relief, and grains that are to be felt, stand open as they are. */
function isLeftOpen({ films }: NailCase['field'], cell: number): boolean {
  const top = films.findLast((film) => film.t_um[cell]! > 0);
  return top?.grains !== undefined || (top?.profile !== undefined && isSelfEdged(top.profile));
}

/** A gloss over the whole nail, the last of its look. */
function glossed({ set, context }: NailCase): Fix[] {
  const look = lookOf(set, context.nail);
  if (!look) return [];
  const taken = new Set(look.elements.map((one) => one.id));
  const id = ['gloss', ...Array.from({ length: look.elements.length }, (_, i) => `gloss-${i + 2}`)].find(
    (one) => !taken.has(one),
  )!;
  const element: Element = gloss(id);
  return [
    {
      words: 'Close it with a gloss over the whole nail',
      change: { kind: 'put-element', look: look.id, element },
    },
  ];
}
