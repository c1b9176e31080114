import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** So many pieces lie under one press of a stamper without moving each other (common practice). */
const MOST = 2;

/** Pieces of a whole nail that are pressed at once: the stamper drags the wet bed, and all of them with it. */
export const drifts: NailRule = {
  codes: ['drifts'],
  asks: 'Are pieces pressed a few at a time?',
  check: (nail) =>
    nail.operations.flatMap(({ id, element, presses_at_once: count = 0 }): FindingDraft[] =>
      count <= MOST
        ? []
        : [
            {
              severity: 'warn',
              operation: id,
              element,
              message: `${count} pieces are pressed at once: they drift under the stamper.`,
              reason:
                'The bed is wet and gives to all sides; one or two are placed, held a moment by the torch, and pressed before the next.',
              figure: { words: 'under one press', value: count, limit: MOST, is: 'at most', unit: 'pieces' },
              tries: granted(nail, element, 'few-at-once', {}),
            },
          ],
    ),
};
