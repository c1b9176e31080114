import { wholePlace, type NailContext } from '../craft/context';
import { dark } from '../craft/cure';
import { hardenOf, LAST_DUST_OFF, STICKY_OFF, wipeDraft } from '../craft/drafts';
import { HAND_S } from '../craft/handwork';
import type { Draft } from '../craft/operation';
import type { PlacedPiece } from '../craft/matter';
import type { Product } from '../model/product';
import { bedded } from './body';
import { layersOf, ownWork } from './layersOf';
import { coverer, latticeOf, pointsOf, type CoveredCells } from '../craft/lattice';
import type { Placed } from './placed';
import type { Seated } from '../craft/seats';

/** The layer that closes pieces inside a tip (common practice: thin, or the tip stands off its nail). */
const CLOSE_UM = 80;

/**
 * Art inside a ready tip, face down, before anyone's hand is at the table: the look's list from its top to its
 * ground, for what is laid first lies nearest the eye. Clear closes pieces, so that the fixing gel meets no edges.
 */
export function composeInTip(
  seated: readonly Seated[],
  context: NailContext,
  cover: (drafts: readonly Draft[]) => CoveredCells,
  byHalves = false,
): Placed[] {
  if (seated.length === 0) return [];
  const parts = layersOf([...seated].reverse(), context, cover);
  let beds = 0;
  const art = parts.flatMap((part): Placed[] => {
    if (!('clear' in part)) return ownWork(part);
    beds += 1;
    return bedded(byHalves ? { ...part, halves: true } : part, beds, context);
  });
  const pieces = parts.find((part) => 'clear' in part);
  const clear = pieces && 'clear' in pieces ? pieces.clear : undefined;
  return [
    ...etched(context),
    ...art,
    ...[...(clear ? closed(clear) : []), wipedInside(context)].map((draft): Placed => ({
      element: 'body',
      stage: 'ahead',
      draft,
    })),
  ].map((placed): Placed => ({
    ...placed,
    stage: 'ahead',
    draft: { ...placed.draft, in_tip: true },
  }));
}

function closed(clear: Product): Draft[] {
  const place = wholePlace();
  return [
    {
      step: 'close',
      verb: 'cap',
      words: `Close with a thin layer of ${clear.name}`,
      product: clear.id,
      place,
      deposit: { kind: 'conformal', t_um: CLOSE_UM },
      hand_s: HAND_S.bed,
      reason:
        'The fixing gel meets no edges, and no air stays beside them; looked at once more from outside.',
    },
    ...hardenOf(clear, CLOSE_UM, place, 'cure-close'),
  ];
}

function wipedInside(context: NailContext): Draft {
  const why = 'It lies beside hands that are filed: nothing sticky that takes the dust. Put aside, covered.';
  return wipeDraft(context, 'wipe-inside', STICKY_OFF, why);
}

/**
 * What lies inside a tip keeps of the light that its fixing gel wants, as Σ t/D_p: where it keeps most, over the bed. What lies side by side
 * shades side by side; below metal light comes only from its sides.
 */
export function darkOver(placed: readonly Placed[], context: NailContext): number {
  const { frame, product } = context;
  const cover = coverer(frame);
  const lattice = latticeOf(frame);
  const sum = new Float64Array(lattice.length);
  const fixing = context.role('fixing');
  for (const { draft } of placed) {
    const { deposit } = draft;
    const shades =
      deposit?.kind === 'pieces'
        ? deposit.pieces.map((piece) => ({
            on: { ...draft, deposit: { ...deposit, pieces: [piece] } },
            keeps: dark(fixing, halfWidth_um(piece)),
          }))
        : deposit?.kind === 'conformal' && draft.product
          ? [{ on: draft, keeps: dark(product(draft.product), deposit.t_um) }]
          : [];
    for (const { on, keeps } of shades)
      if (keeps > 0) for (const n of pointsOf(cover([on]))) sum[n]! += keeps;
  }
  return lattice.reduce((most, at, n) => (at && at.y <= frame.bed_mm ? Math.max(most, sum[n]!) : most), 0);
}

function halfWidth_um({ metallic, width_mm, length_mm }: PlacedPiece): number {
  return metallic ? Math.min(width_mm, length_mm) * 500 : 0;
}

function etched(context: NailContext): Placed[] {
  const drafts: Draft[] = [
    {
      step: 'etch',
      verb: 'buff',
      words: 'Etch it',
      place: { ...wholePlace(), margin_mm: 0 },
      hand_s: HAND_S.buff,
      reason:
        'Gel slides off the shine of a tip; the first wet layer makes it clear again. Left is right from here.',
    },
    {
      step: 'etch-brush',
      verb: 'dust-off',
      words: 'Brush the dust off',
      place: wholePlace(),
      hand_s: HAND_S['dust-off'],
      reason: 'Dust inside shows from outside.',
    },
    wipeDraft(context, 'etch-clean', LAST_DUST_OFF, 'What lies in here is seen for weeks.'),
  ];
  return drafts.map((draft): Placed => ({ element: 'build', stage: 'ahead', draft }));
}
