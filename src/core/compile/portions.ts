import { bedDraft, bedHolds } from '../craft/bed';
import { wholePlace, type NailContext } from '../craft/context';
import { settingOf } from '../craft/families';
import { HAND_S, PACE } from '../craft/handwork';
import type { PlacedPiece } from '../craft/matter';
import type { Draft, Place } from '../craft/operation';
import { placeDraft, pressDraft } from '../craft/presses';
import type { Layer } from './layersOf';
import { isAtOnce, piecesOf } from './halves';
import type { Placed } from './placed';

/** A bead for some pieces reaches this far past them (common practice). */
const PAST_PIECE_MM = 0.5;

/**
 * Pieces in a bed that sets by itself, a portion at a time: a wet bead, as many pieces as are pressed in before it goes dull,
 * then the next beside it. Undefined where all of them go into one bed in time.
 */
export function inPortions(layer: Layer, context: NailContext): Placed[] | undefined {
  const setting = settingOf(layer.clear);
  const room_s = setting ? setting.working_s / PACE[context.practice.pace] - HAND_S.bed : Infinity;
  const work = layer.pieces.flatMap((one) => one.drafts.map((draft) => ({ one, draft })));
  const whole_s = work.reduce((sum, { draft }) => sum + draft.hand_s, 0);
  if (whole_s <= room_s) return undefined;
  let pass = 0;
  const placed = layer.pieces.flatMap((one): Placed[] => {
    const pieces = one.drafts.flatMap(piecesOf);
    const own_s = one.drafts.reduce((sum, draft) => sum + draft.hand_s, 0);
    const size = Math.max(1, Math.floor((room_s * pieces.length) / Math.max(1, own_s)));
    const atOnce = one.drafts.some(isAtOnce);
    const pressed = one.drafts.some(({ verb }) => verb === 'press');
    return groupsOf(pieces, size).flatMap((some): Placed[] => {
      pass += 1;
      const bed = { clear: layer.clear, t_um: layer.bed_um, place: around(some), pass };
      const own = (draft: Draft): Placed => ({
        element: one.element.id,
        stage: 'body',
        draft: { ...draft, pass },
      });
      return [
        {
          element: 'body',
          stage: 'body',
          draft: bedDraft(bed, 'Only as much as takes its pieces before it goes dull; the next beside it.'),
        },
        own(placeDraft(some, pressed, { atOnce })),
        ...(pressed ? [own({ ...pressDraft(some, layer.clear, context, atOnce), place: bed.place })] : []),
      ];
    });
  });
  const last = { clear: layer.clear, t_um: layer.bed_um, place: wholePlace() };
  return [
    ...placed,
    {
      element: 'body',
      stage: 'body',
      draft: bedHolds(last, 'A short flash holds the pieces down before the cap is laid.'),
    },
  ];
}

function groupsOf(pieces: readonly PlacedPiece[], size: number): PlacedPiece[][] {
  const count = Math.ceil(pieces.length / size);
  // Up the nail, so that what is laid together lies together.
  const sorted = [...pieces].sort((a, b) => a.y_mm - b.y_mm);
  return Array.from({ length: count }, (_, g) =>
    sorted.slice(Math.round((g * sorted.length) / count), Math.round(((g + 1) * sorted.length) / count)),
  );
}

function around(pieces: readonly PlacedPiece[]): Place {
  return {
    ...wholePlace(),
    around: pieces.map(({ x_mm, y_mm, width_mm, length_mm }) => ({
      x: x_mm,
      y: y_mm,
      r_mm: Math.hypot(width_mm, length_mm) / 2 + PAST_PIECE_MM,
    })),
  };
}
