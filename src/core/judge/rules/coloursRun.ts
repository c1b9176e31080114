import type { Operation } from '../../craft/operation';
import { CELLS_X, NONE, type Film, type NailField } from '../../simulate/field';
import type { FindingDraft } from '../finding';
import { filmIndex, type NailCase, type NailRule } from '../rule';

/** Where two wet colours touch over less than this nothing is seen of it. */
const TOUCH_MM = 0.8;

/** Two colours side by side with no light between run into each other where they touch. */
export const coloursRun: NailRule = {
  codes: ['colours-run'],
  asks: 'Has a colour seen the lamp before another is laid against it?',
  check: (nail) => {
    const { operations, field } = nail;
    let wet: Operation[] = [];
    const found: FindingDraft[] = [];
    for (const operation of operations) {
      if (operation.lamp || operation.verb === 'wipe') wet = [];
      if (!isColour(nail, operation)) continue;
      const beside = wet.find(
        (one) =>
          (one.element !== operation.element || one.product !== operation.product) &&
          touch_mm(field, one.id, operation.id) >= TOUCH_MM,
      );
      // Where one lies over the other that is told by its surface.
      const over = nail.verdicts.some(
        (one) => one.operation === operation.id && one.reason === 'uncured-covered',
      );
      if (beside && !over)
        found.push({
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `${operation.words} is laid against ${beside.words} while that is wet.`,
          reason: 'Wet colours that touch run into each other: a few seconds of light between hold the edge.',
          tries: [
            {
              words: 'Flash between the two',
              change: {
                kind: 'add-edit',
                edit: {
                  kind: 'insert',
                  id: freshId(nail),
                  nail: nail.name,
                  after: beside.id,
                  verb: 'flash',
                  seconds: FLASH_S,
                  words: 'Flash, so that the edge holds',
                },
              },
            },
          ],
        });
      wet.push(operation);
    }
    return found;
  },
};

const FLASH_S = 10;

function isColour({ elements, context }: NailCase, { element, paint, product, deposit }: Operation): boolean {
  if (!paint || !deposit || !product || !elements.some((one) => one.id === element)) return false;
  return context.product(product).lamp !== undefined;
}

function freshId({ set }: NailCase): string {
  const known = new Set(set.edits.flatMap((edit) => (edit.kind === 'insert' ? [edit.id] : [])));
  for (let n = 1; ; n += 1) if (!known.has(`flash-${n}`)) return `flash-${n}`;
}

/** How long the line is along which two films meet. */
function touch_mm(field: NailField, a: string, b: string): number {
  const one = field.films[filmIndex(field, a)];
  const other = field.films[filmIndex(field, b)];
  if (!one || !other) return 0;
  const { dx_mm, dy_mm } = field.grid;
  const lies = ({ phase }: Film, cell: number) => phase[cell] !== undefined && phase[cell] !== NONE;
  return one.phase.reduce((length, phase, cell) => {
    if (phase === NONE) return length;
    if ([cell, cell - CELLS_X, cell + CELLS_X].some((next) => lies(other, next))) return length + dx_mm;
    return lies(other, cell - 1) || lies(other, cell + 1) ? length + dy_mm : length;
  }, 0);
}
