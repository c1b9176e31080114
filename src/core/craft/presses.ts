import { wholePlace, type NailContext } from './context';
import { append } from '../model/extent';
import { lowerFirst } from '../model/letters';
import { HAND_S } from './handwork';
import { lampOf } from './families';
import type { Product } from '../model/product';
import type { Draft } from './operation';
import type { PlacedPiece } from './matter';
import { isSoaked } from './pieceCuts';
import { countWords, sizeOf } from './pieces';

/** A soft stamper takes two pieces that lie within this of each other; a longer one takes it whole (common practice). */
const UNDER_ONE_PRESS_MM = 5;
const FILLS_IT_MM = 6;

/** Pieces by the press that flattens them: one or two at a time, each with its nearest neighbour. */
export function pressGroups(pieces: readonly PlacedPiece[]): PlacedPiece[][] {
  const left = [...pieces];
  const groups: PlacedPiece[][] = [];
  for (let one = left.shift(); one; one = left.shift()) {
    const group = [one];
    const near = nearest(one, left);
    if (near >= 0) append(group, left.splice(near, 1));
    groups.push(group);
  }
  return groups;
}

function nearest(one: PlacedPiece, others: readonly PlacedPiece[]): number {
  if (fillsIt(one)) return -1;
  let best = -1;
  let least = UNDER_ONE_PRESS_MM;
  others.forEach((other, i) => {
    const off = Math.hypot(other.x_mm - one.x_mm, other.y_mm - one.y_mm);
    if (off > least || fillsIt(other)) return;
    best = i;
    least = off;
  });
  return best;
}

function fillsIt({ width_mm, length_mm }: PlacedPiece): boolean {
  return Math.max(width_mm, length_mm) >= FILLS_IT_MM;
}

/** A few seconds of the torch before each press: the bed thickens, so that nothing slides (common practice). */
const HOVER_S = 3;

/** Seconds to pick a piece up, lay it and turn it: small ones are dotted on, long ones are steered (common practice). */
function placed_s({ width_mm, length_mm }: PlacedPiece): number {
  const asked_s = PICKED_UP_S + PER_MM_S * Math.max(width_mm, length_mm);
  return Math.min(HAND_S.place, asked_s);
}
const PICKED_UP_S = 0.8;
const PER_MM_S = 0.8;

/** Pieces laid into their wet bed; where they are pressed in groups, each group before the next is laid. */
export function placeDraft(
  pieces: PlacedPiece[],
  pressed: boolean,
  { sized = false, atOnce = false }: { sized?: boolean; atOnce?: boolean } = {},
): Draft {
  return {
    step: 'place',
    verb: 'place',
    words: [
      `Place ${countWords(pieces, (piece) => (sized ? sizeOf(piece) : ''))}`,
      ...(pieces.some(({ words }) => isSoaked(words)) ? [SOAKED] : []),
      ...(pressed && !atOnce && pressGroups(pieces).length > 1 ? [IN_TURN] : []),
    ].join(', '),
    place: wholePlace(),
    deposit: { kind: 'pieces', pieces, pressed },
    hand_s: pieces.reduce((sum, piece) => sum + placed_s(piece), 0),
    reason: 'Placed with a margin free all round, long ones lengthwise, while the bed is wet.',
  };
}

const IN_TURN = 'one or two at a time';
/** What is dry keeps air: it shows as silver spots under the clear (common practice). */
const SOAKED = 'soaked through with clear first, no air in it';

/** Pieces flattened into their bed; in groups it is done in turn with placing them, and nothing comes between. */
export function pressDraft(
  pieces: readonly PlacedPiece[],
  clear: Product,
  context: Pick<NailContext, 'torch'>,
  atOnce = false,
): Draft {
  // No light holds what sets by itself, and a stamper sticks to it.
  const gel = lampOf(clear) !== undefined;
  const torch = context.torch && gel;
  const tool = gel ? 'the soft stamper' : 'a brush damp with liquid';
  const presses = atOnce ? 1 : pressGroups(pieces).length;
  const flat =
    presses === 1
      ? `Press flat with ${tool}`
      : `Press each flat with ${tool} before the next, ${presses} times`;
  const light_s = torch ? HOVER_S * presses : 0;
  return {
    step: 'press',
    verb: 'press',
    words: torch ? `${HOVER_S} s of the torch, then ${lowerFirst(flat)}` : flat,
    place: wholePlace(),
    hand_s: HAND_S.press * presses + light_s,
    ...(light_s > 0 ? { fixed_s: light_s } : {}),
    ...(presses > 1 ? { held: true } : {}),
    ...(atOnce ? { presses_at_once: pieces.length } : {}),
    reason: torch
      ? 'The light comes first, so that the pieces hover and nothing slides; what counts is the height after flattening.'
      : 'What counts is the height after flattening against the clear above it.',
  };
}
