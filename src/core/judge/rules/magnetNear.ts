import { fingerOf, FINGERS, handOf, nailWords } from '../../model/names';
import { isMagnetic } from '../../craft/paints';
import { operationId, parseOperationId, type Operation } from '../../craft/operation';
import type { SetDocument } from '../../document/document';
import type { FindingDraft, Fix } from '../finding';
import type { SetRule } from '../rule';

/** A magnet at one nail draws the shimmer of its neighbour too, as long as that is wet (common practice). */
export const magnetNear: SetRule = {
  codes: ['magnet-near-wet'],
  asks: 'Is the shimmer beside it set before a magnet is held to the next nail?',
  check: ({ set, sitting, operations }) => {
    const of = new Map(operations.map((one) => [one.id, one]));
    const isShimmer = (one: Operation | undefined) => isMagnetic(one?.paint);
    return sitting.strokes.flatMap((held): FindingDraft[] => {
      const operation = of.get(held.operation);
      if (operation?.verb !== 'magnet') return [];
      const beside = sitting.strokes.find((coat) => {
        const laid = of.get(coat.operation);
        if (!laid || !isShimmer(laid) || !areNeighbours(laid, operation) || coat.end_s > held.start_s)
          return false;
        const lit = sitting.loads.some(
          (load) =>
            load.nails.includes(laid.nail) && load.start_s >= coat.end_s && load.end_s <= held.start_s,
        );
        return !lit;
      });
      if (!beside) return [];
      return [
        {
          severity: 'warn',
          nail: operation.nail,
          operation: operation.id,
          element: operation.element,
          message: `The magnet comes while the shimmer on the ${nailWords(of.get(beside.operation)!.nail)} is still wet.`,
          reason: 'It draws both: flash each nail as soon as its own shimmer lies right.',
          tries: [flashed(set, of.get(beside.operation)!)],
        },
      ];
    });
  },
};

/** Its own flash after all, or one put in right after the magnet was held to it. */
function flashed({ edits }: SetDocument, { nail, element, id }: Operation): Fix {
  const words = `Flash the ${nailWords(nail)} as soon as its shimmer lies right`;
  const edit = edits.find((one) => one.kind === 'skip' && one.a.startsWith(`${nail}/${element}/flash#`));
  if (edit) return { words, change: { kind: 'remove-edit', edit } };
  const after = operationId(nail, element, 'magnet', parseOperationId(id)?.pass ?? 1);
  return {
    words,
    change: {
      kind: 'add-edit',
      edit: {
        kind: 'insert',
        id: `set-${nail}`,
        nail,
        after,
        verb: 'flash',
        seconds: FLASH_S,
        words: 'Flash the shimmer',
      },
    },
  };
}
const FLASH_S = 10;

function areNeighbours(a: Operation, b: Operation): boolean {
  const place = ({ nail }: Operation) => FINGERS.indexOf(fingerOf(nail));
  return handOf(a.nail) === handOf(b.nail) && Math.abs(place(a) - place(b)) === 1;
}
