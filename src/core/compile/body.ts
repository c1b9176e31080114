import { bedDraft, bedHolds } from '../craft/bed';
import { wholePlace, type NailContext } from '../craft/context';
import {
  baseOver,
  dustOffDraft,
  hardenOf,
  LAST_DUST_OFF,
  levelling,
  STICKY_OFF,
  wipeDraft,
  wipedTop,
} from '../craft/drafts';
import { HAND_S } from '../craft/handwork';
import { beadedStructure, ending, filedGround, levelling_um, OVER_PIECES } from '../craft/structures';
import type { Structure } from '../craft/build';
import { FAMILIES, lampOf } from '../craft/families';
import type { Draft } from '../craft/operation';
import type { Inlaid } from '../craft/technique';
import { append, mostOf } from '../model/extent';
import type { Product } from '../model/product';
import type { CoveredCells } from '../craft/lattice';
import type { Placed } from './placed';
import type { Seated } from '../craft/seats';
import { beddedByHalves } from './halves';
import { joinedWork, layersOf, ownWork, type Layer } from './layersOf';
import { inPortions } from './portions';

const ROUND_ISLAND = 'round and over the island';
const BACK = 'back over the island until its outline is clean';
/** One island filed back until its outline is clean, by eye and with breaks to look (common practice, rough). */
const BARE_ISLAND_S = 60;

/** Thicker than any edge: the file leaves it as it is. */
const NO_EDGE_UM = 3000;

/** The body of a nail: its operations, and whether its cap is a top of its own. */
export interface NailClear {
  placed: Placed[];
  topped: boolean;
}

/**
 * The build's own clear with all that sits inside it. What can share a bed shares it: one bed, one flash, one
 * cap and one filing a nail. A further bed comes only for another clear, or where a painted film has to lie
 * between.
 */
export function composeBody(
  inside: readonly Seated[],
  context: NailContext,
  cover: (drafts: readonly Draft[]) => CoveredCells,
  structure?: Structure,
): NailClear {
  const asks = inside.flatMap((one) => {
    const asked = one.technique.inlaid?.(one.element, context);
    return asked ? [{ ...asked, element: one.element.id }] : [];
  });
  if (asks.length === 0 && !structure) return { placed: inside.flatMap(ownWork), topped: false };
  const placed: Placed[] = [];
  let beds = 0;
  for (const part of layersOf(inside, context, cover)) {
    if (!('clear' in part)) {
      append(placed, ownWork(part));
      continue;
    }
    beds += 1;
    append(placed, bedded(part, beds, context));
    if (structure && !lampOf(part.clear) && structure.product.id !== part.clear.id)
      append(placed, closedInItself(part, asks, beds, context));
  }
  // What sets by itself is beaded over and filed: no top floats on it.
  const level = structure !== undefined || asks.some((one) => one.cap === 'level' || !lampOf(one.clear));
  append(placed, level ? levelled(asks, context, structure) : floated(asks, context));
  return { placed, topped: !level };
}

/** What sets by itself is capped with its own, set and filed, before a build of anything else comes over it. */
function closedInItself(
  { clear, pieces }: Layer,
  asks: readonly (Inlaid & { element: string })[],
  pass: number,
  context: NailContext,
): Placed[] {
  const own = asks.filter((one) => pieces.some(({ element }) => element.id === one.element));
  const cap_um = mostOf(own.map((one) => one.cap_um));
  const closed = beadedStructure(clear, cap_um).lay(cap_um, OVER_PIECES);
  return [...closed, ...filedGround(context, clear, `Level the ${FAMILIES[clear.family].words}`, cap_um)].map(
    (draft) => shared({ ...draft, step: `own-${draft.step}`, pass }),
  );
}

/** Pieces in their bed, held by a short flash. */
export function bedded(layer: Layer, pass: number, context: NailContext): Placed[] {
  const { into, after } = joinedWork(layer);
  const groups = inPortions(layer, context);
  if (groups) return [...groups.slice(0, -1), ...into, ...groups.slice(-1), ...after];
  if (layer.halves && lampOf(layer.clear)) return [...beddedByHalves(layer, pass, context), ...after];
  const bed = { clear: layer.clear, t_um: layer.bed_um, place: wholePlace(), pass };
  return [
    shared(bedDraft(bed, 'Pieces lie in thin wet clear; strength is built above them, not below.')),
    ...layer.pieces.flatMap(ownWork),
    ...into,
    shared(bedHolds(bed, 'A short flash holds the pieces down before the cap is laid.')),
    ...after,
  ];
}

function levelled(
  asks: readonly (Inlaid & { element: string })[],
  context: NailContext,
  structure?: Structure,
): Placed[] {
  const [islands, bedded] = [asks.filter((one) => one.island), asks.filter((one) => !one.island)];
  const clears = new Set(bedded.map((one) => one.clear.id));
  const clear = structure?.product ?? (clears.size === 1 ? bedded[0]!.clear : context.role('builder'));
  const cap_um = Math.max(
    structure?.apex_um ?? 0,
    mostOf(asks.map((one) => (one.cap === 'level' || !lampOf(clear) ? one.cap_um : 0))),
  );
  const allowance_um = asks.length === 0 ? levelling_um(cap_um) : mostOf(asks.map((one) => one.filing_um));
  const whole = wholePlace();
  const filing = levelling(context, clear.family);
  const shape: Draft[] = [
    // What sets by itself leaves no sticky layer.
    ...(lampOf(clear)
      ? [wipeDraft(context, 'wipe', STICKY_OFF, 'The sticky layer clogs the file: off with it first.')]
      : []),
    {
      step: 'file',
      verb: 'file',
      words: `${
        structure
          ? (structure.fileWords ?? `Level the ${FAMILIES[clear.family].words} with the file`)
          : 'Level the cap with the file'
      }${islands.length > 0 ? `, ${BACK}` : ''}`,
      place: structure?.place ?? whole,
      removal: {
        allowance_um,
        ...(structure?.place ? { profile: { kind: 'bead' as const } } : {}),
        // On a part alone nothing was added to the edge.
        edge_um: structure?.place ? NO_EDGE_UM : Math.round(context.practice.edge_mm * 1000),
        ...(islands.length > 0 ? { bares: islands.map((one) => one.element) } : {}),
      },
      hand_s: filing.hand_s + islands.length * BARE_ISLAND_S,
      reason:
        asks.length > 0
          ? `${filing.words}, and ${islands.length > 0 ? BACK : 'the free edge thinned'}; the file must not reach the pieces.`
          : `${filing.words}; sides and free edge thinned, the apex left standing.`,
    },
    dustOffDraft('brush', 'Dust under the next layer lifts it.'),
    wipeDraft(context, 'clean', LAST_DUST_OFF, 'Clean before the next layer.'),
    ...baseOver(context),
  ];
  const over = bedded.length > 0 ? OVER_PIECES : islands.length > 0 ? ROUND_ISLAND : undefined;
  const laid = structure
    ? structure.lay(cap_um, over).map(shared)
    : lampOf(clear)
      ? cap(clear, cap_um, 'The cap levels itself over the pieces; the hand is turned over to let it settle.')
      : beadedStructure(clear, cap_um).lay(cap_um, over).map(shared);
  // What melts into itself is filed once, with all that is laid on it.
  const melts = !lampOf(structure?.product ?? clear);
  return [
    ...laid,
    ...shape.map((draft): Placed => ({
      element: 'body',
      stage: 'shape',
      draft: melts ? ending(draft) : draft,
    })),
  ];
}

function floated(asks: readonly Inlaid[], context: NailContext): Placed[] {
  const top = context.role('top');
  const cap_um = mostOf(asks.map((one) => one.cap_um));
  return [
    ...cap(top, cap_um, 'All lies flat: a thick top floats over it and needs no file.'),
    ...wipedTop(top, context).map(shared),
  ];
}

function cap(product: Product, t_um: number, why: string): Placed[] {
  const whole = wholePlace();
  return [
    shared({
      step: 'cap',
      verb: 'cap',
      words: `Cap with ${product.name}`,
      product: product.id,
      place: whole,
      deposit: { kind: 'level', t_um },
      hand_s: HAND_S.cap,
      reason: why,
    }),
    ...hardenOf(product, t_um, whole, 'cure-cap').map(shared),
  ];
}

function shared(draft: Draft): Placed {
  return { element: 'body', stage: 'body', draft };
}
