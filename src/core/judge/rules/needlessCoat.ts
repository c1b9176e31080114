import { difference } from '../../colour/space';
import { mostOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import { cellX, cellY, type Film } from '../../simulate/field';
import { pileColours } from '../../simulate/pile';
import { isPlain } from '../../craft/paints';
import type { Deposit } from '../../craft/matter';
import type { Operation } from '../../craft/operation';
import { adjusting, filmIndex, type NailCase, type NailRule } from '../rule';
import type { FindingDraft } from '../finding';

/** Less than this nobody sees, side by side (common practice: about one unit of CIEDE2000). */
const UNSEEN = 1;
const SAMPLES = 24;
/** A brush leaves less along its edges: a coat is looked at where it lies in full. */
const FULL = 0.95;

/** A coat of colour over which the nail looks as it did before: work, product and a turn in the lamp for nothing. */
export const needlessCoat: NailRule = {
  codes: ['needless-coat'],
  asks: 'Does every coat of colour change what is seen?',
  check: (nail) =>
    nail.elements.flatMap((element): FindingDraft[] => {
      const coats = nail.operations.filter(
        ({ element: own, paint, deposit, product }) =>
          // What has no colour is not laid to be seen; what stands up is seen by its shape.
          own === element.id &&
          isPlain(paint) &&
          deposit &&
          !standsUp(deposit) &&
          nail.context.product(product!).colour,
      );
      const last = coats[coats.length - 1];
      if (!last) return [];
      const all = changeBy(nail, coats);
      const whole = all !== undefined && all < UNSEEN;
      const most = whole ? all : changeBy(nail, [last]);
      if (most === undefined || most >= UNSEEN || (!whole && coats.length === 1)) return [];
      return [
        {
          severity: 'note',
          operation: last.id,
          element: element.id,
          message: whole
            ? `“${element.id}” changes nothing that can be seen.`
            : `The last of ${coats.length} coats changes nothing that can be seen.`,
          reason:
            'It lies over the same colour, or over one that covers already: a coat and its light for nothing.',
          figure: {
            words: 'colour difference it makes',
            value: rounded(most, 1),
            limit: UNSEEN,
            is: 'at least',
            unit: 'ΔE00',
          },
          ...(whole ? {} : oneFewer(nail, element.id)),
        },
      ];
    }),
};

/** The most that coats change in the pile up to them, where they lie in full; undefined where they lie nowhere. */
function changeBy({ field, context }: NailCase, coats: readonly Operation[]): number | undefined {
  const own = coats.map((one) => filmIndex(field, one.id));
  const top = mostOf(own);
  const ids = new Set(coats.map((one) => one.id));
  const t_um = field.films[top]?.t_um ?? new Float32Array();
  const full = t_um.reduce((most, t) => Math.max(most, t), 0) * FULL;
  const cells: number[] = [];
  t_um.forEach((t, cell) => {
    if (t > 0 && t >= full) cells.push(cell);
  });
  if (own.some((at) => at < 0) || cells.length === 0) return undefined;
  const colourAt = pileColours(field, context.product);
  const without = (film: Film) => ids.has(film.operation);
  const step = Math.max(1, Math.floor(cells.length / SAMPLES));
  let most = 0;
  for (let i = 0; i < cells.length; i += step) {
    const [x, y] = [field.grid.x[cellX(cells[i]!)]!, field.grid.y[cellY(cells[i]!)]!];
    const seen = { until: top + 1 };
    most = Math.max(most, difference(colourAt(x, y, seen), colourAt(x, y, { ...seen, without })));
  }
  return most;
}

function oneFewer(nail: NailCase, id: string) {
  const element = nail.elements.find((one) => one.id === id);
  if (!element || !('passes' in element) || typeof element.passes !== 'number') return {};
  return adjusting(nail, id, { passes: element.passes - 1 }, 'Leave the last coat out');
}

/** Ridges and drops, not what only thins out. */
function standsUp(deposit: Deposit): boolean {
  return deposit.kind === 'conformal' && deposit.profile !== undefined && deposit.profile.kind !== 'thinned';
}
