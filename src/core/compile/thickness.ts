import type { Structure } from '../craft/build';
import { SKIN_MARGIN_MM, type NailContext } from '../craft/context';
import { coverer, latticeOf, pointsOf, type CoveredCells } from '../craft/lattice';
import { laidBy, type Draft } from '../craft/operation';
import type { Seated } from '../craft/seats';
import { outlineDistance_mm } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import { ADDS, MELTS } from './oneSculpture';
import type { Placed } from './placed';

/* How thick what is built may and must be for the art in it, below it and over it. */

/** What the look lays over all of the body in what melts into itself, before anything else: as thick as the thinnest of it. */
export function meltedOver(
  seated: readonly Seated[],
  { frame, product }: NailContext,
  cover: (drafts: readonly Draft[]) => CoveredCells,
): NailContext['melted'] {
  const art = seated.filter(({ seat, drafts }) => seat !== 'over' && drafts.length > 0);
  const kinds = art.map(({ drafts }) => laidBy(drafts[0]!, product));
  const [laid] = kinds;
  if (!laid || !MELTS.includes(laid)) return undefined;
  const other = kinds.findIndex((one) => one !== laid);
  const even = (other < 0 ? art : art.slice(0, other)).filter(
    ({ drafts: [first] }) =>
      first && ADDS.includes(first.verb) && first.deposit?.kind === 'conformal' && !first.deposit.profile,
  );
  const all = new Set(pointsOf(cover(even.map(({ drafts }) => drafts[0]!))));
  const whole = latticeOf(frame).every((at, n) => !at || all.has(n) || isAtSkin(frame, at));
  if (even.length === 0 || !whole) return undefined;
  return { laid, t_um: leastOf(even.map(({ drafts }) => conformal_um(drafts))) };
}

function conformal_um(drafts: readonly Draft[]): number {
  return drafts.reduce((sum, { deposit }) => sum + (deposit?.kind === 'conformal' ? deposit.t_um : 0), 0);
}

function isAtSkin(frame: NailContext['frame'], { x, y }: { x: number; y: number }): boolean {
  return outlineDistance_mm(frame, x, y) < SKIN_MARGIN_MM;
}

/** Clear that a build has over the thickest of the art below it (common practice, rough). */
const OVER_ART_UM = 200;

/** A build over art is laid so thick that the file finds clear on it everywhere. */
export function overArt(structure: Structure, art_um: number): Structure {
  return { ...structure, apex_um: Math.max(structure.apex_um, art_um > 0 ? art_um + OVER_ART_UM : 0) };
}

/** The most that some films hold at any place of the nail. */
export function thickest_um(
  drafts: readonly Draft[],
  cover: (drafts: readonly Draft[]) => CoveredCells,
): number {
  const sum_um: number[] = [];
  for (const draft of drafts) {
    if (draft.deposit?.kind !== 'conformal') continue;
    for (const n of pointsOf(cover([draft]))) sum_um[n] = (sum_um[n] ?? 0) + draft.deposit.t_um;
  }
  return Math.max(0, mostOf(Object.values(sum_um)));
}

/** A free edge is at most a bank card's 0.76 mm (ISO/IEC 7810, ID-1); a file by eye keeps a little under it. */
const CARD_UM = 760;
const EDGE_WITH_ALL_UM = 740;
const THINNEST_EDGE_UM = 300;
/** From here on along the nail a film lies over its edge, as a share of its length. */
const AT_THE_EDGE = 0.95;

/**
 * The file leaves the free edge thin enough for the films that still come over it; an artist whose practice leaves
 * more than a card on purpose has it so.
 */
export function roomForFilms(line: readonly Placed[], frame: NailContext['frame']): Placed[] {
  const cover = coverer(frame);
  const lattice = latticeOf(frame);
  const filed = line.findLastIndex(({ draft }) => draft.removal && draft.verb === 'file');
  if (filed < 0) return [...line];
  const overEdge = (draft: Draft) =>
    pointsOf(cover([draft])).some((n) => (lattice[n]?.y ?? 0) > AT_THE_EDGE * frame.length_mm);
  const films_um = conformal_um(line.slice(filed).flatMap(({ draft }) => (overEdge(draft) ? [draft] : [])));
  const most_um = Math.max(THINNEST_EDGE_UM, EDGE_WITH_ALL_UM - films_um);
  return line.map((placed) => {
    const { removal } = placed.draft;
    if (placed.draft.verb !== 'file' || !removal || removal.edge_um <= most_um || removal.edge_um > CARD_UM)
      return placed;
    return { ...placed, draft: { ...placed.draft, removal: { ...removal, edge_um: Math.round(most_um) } } };
  });
}
