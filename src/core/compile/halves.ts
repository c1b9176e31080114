import { wholePlace, type NailContext } from '../craft/context';
import { flashOf } from '../craft/drafts';
import { bedDraft } from '../craft/bed';
import type { Draft, Place } from '../craft/operation';
import type { Product } from '../model/product';
import type { PlacedPiece } from '../craft/matter';
import { placeDraft, pressDraft } from '../craft/presses';
import { sideWords } from '../craft/sides';
import { joinedWork, ownWork, type Layer } from './layersOf';
import type { Placed } from './placed';
import { mostOf } from '../model/extent';

/** The bed of a half reaches this far past its pieces (common practice). */
const PAST_PIECE_MM = 0.5;

/**
 * Pieces laid one half after the other, each flashed and looked at before the next: what
 * has slipped is still free to be moved, and a wet bed need not wait for all of them.
 */
export function beddedByHalves(layer: Layer, pass: number, context: NailContext): Placed[] {
  const halves = [-1, 1].flatMap((side) => {
    const work = layer.pieces.flatMap((one) =>
      ownWork({
        ...one,
        drafts: one.drafts.flatMap((draft) => halfOf(draft, one.drafts, side, layer.clear, context)),
      }),
    );
    return work.some((placed) => placed.draft.deposit) ? [{ side, work }] : [];
  });
  // The first bed ends where its pieces do, past the middle if need be; the second fills what is left.
  let ended_mm = 0;
  return halves.flatMap(({ side, work }, i): Placed[] => {
    const pieces = work.flatMap(({ draft }) => piecesOf(draft));
    ended_mm = Math.max(-ended_mm, mostOf(pieces.map((piece) => reach_mm(piece, side))));
    const place = halfPlace(side, halves.length > 1 ? ended_mm : Infinity, context);
    const words = sideWords(side, context.name);
    const count = (pass - 1) * 2 + i + 1;
    const bed = bedDraft(
      { clear: layer.clear, t_um: layer.bed_um, place, pass: count },
      'One half at a time: the wet clear need not wait for all the pieces.',
      `, ${words}`,
    );
    const flash = flashOf(
      layer.clear,
      layer.bed_um,
      place,
      'Looked at first, from outside where it lies in a tip: what has slipped still moves; after the flash it does not.',
      'flash',
      count,
    );
    const body = (draft: Draft): Placed => ({ element: 'body', stage: 'body', draft });
    return [
      body(bed),
      ...work.map((placed) => ({
        ...placed,
        draft: {
          ...placed.draft,
          place: placed.draft.deposit ? placed.draft.place : place,
          pass: (placed.draft.pass ?? 1) * 2 - 1 + i,
          words: `${placed.draft.words}, ${words}`,
        },
      })),
      // What goes into the same bed is dabbed on once all pieces lie.
      ...(i === halves.length - 1 ? joinedWork(layer).into : []),
      body(flash),
    ];
  });
}

export function piecesOf({ deposit }: Draft): readonly PlacedPiece[] {
  return deposit?.kind === 'pieces' ? deposit.pieces : [];
}

export function isAtOnce({ presses_at_once }: Draft): boolean {
  return presses_at_once !== undefined;
}

/** A draft for the pieces of one side alone: its share of them and of the time; nothing where none lie there. */
function halfOf(
  draft: Draft,
  all: readonly Draft[],
  side: number,
  clear: Product,
  context: NailContext,
): Draft[] {
  const every = all.flatMap(piecesOf);
  const here = every.filter((piece) => piece.x_mm >= 0 === side > 0);
  if (every.length === 0) return [draft];
  if (here.length === 0) return [];
  if (draft.verb === 'press') return [pressDraft(here, clear, context, isAtOnce(draft))];
  if (draft.deposit?.kind === 'pieces')
    return [placeDraft(here, draft.deposit.pressed, { atOnce: all.some(isAtOnce) })];
  return [{ ...draft, hand_s: Math.ceil((draft.hand_s * here.length) / every.length) }];
}

/** How far past the middle, seen from its side, the bed of a piece goes. */
function reach_mm({ width_mm, length_mm, turn_deg, x_mm }: PlacedPiece, side: number): number {
  const turn = (turn_deg * Math.PI) / 180;
  const half_mm = (width_mm * Math.abs(Math.cos(turn)) + length_mm * Math.abs(Math.sin(turn))) / 2;
  return half_mm + PAST_PIECE_MM - side * x_mm;
}

/** One side of the tip, to a line that lies `past_mm` on the other side of its middle. */
function halfPlace(side: number, past_mm: number, { frame }: NailContext): Place {
  const past = -side * Math.max(-1.5, Math.min(1.5, (2 * past_mm) / frame.arc_mm));
  const edge = side * 1.5;
  return {
    ...wholePlace(),
    region: {
      kind: 'outline',
      points: [
        { across: past, along: -0.5 },
        { across: edge, along: -0.5 },
        { across: edge, along: 2.5 },
        { across: past, along: 2.5 },
      ],
    },
  };
}
