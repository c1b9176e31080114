import { areaOf } from '../craft/context';
import { FAMILIES } from '../craft/families';
import { rowOf, type Shown, type Surface } from '../craft/surfaces';
import type { NailFrame } from '../geometry/frame';
import type { Product } from '../model/product';
import type { Draft } from '../craft/operation';
import { piecesDistance } from '../craft/pieces';

/** One element's operations, in the order its technique asks for. */
export interface Strand {
  element: string;
  shows: Shown | 'ground' | 'care';
  drafts: Draft[];
}

/** `first` must be done before `then`; indices into the flat list of operations. */
export interface Edge {
  first: number;
  then: number;
}

const LATTICE_X = 19;
const LATTICE_Y = 32;

/** Sampled cover of one operation, to see whether and how far two of them meet. */
function coverOf(frame: NailFrame, draft: Draft): Uint8Array {
  const distance_mm =
    draft.deposit?.kind === 'pieces'
      ? piecesDistance(draft.deposit.pieces)
      : areaOf(frame, draft.place).distance_mm;
  const cover = new Uint8Array(LATTICE_X * LATTICE_Y);
  // Any point of the nail is nearer than this to a point of the lattice, so nothing falls between.
  const reach = 0.75 * Math.max(frame.arc_mm / LATTICE_X, frame.length_mm / LATTICE_Y);
  for (let j = 0; j < LATTICE_Y; j += 1) {
    for (let i = 0; i < LATTICE_X; i += 1) {
      const x = (((i + 0.5) / LATTICE_X) * 2 - 1) * (frame.arc_mm / 2);
      const y = ((j + 0.5) / LATTICE_Y) * frame.length_mm;
      if (distance_mm(x, y) > -reach) cover[j * LATTICE_X + i] = 1;
    }
  }
  return cover;
}

const START: Surface = { material: 'gel', phase: 'cured', finish: 'tacky', soil: 'clean', prep: 'none' };

/** The surface after each operation of a strand, begun on a good ground. */
function surfacesAlong(strand: Strand, product: (id: string) => Product): Surface[] {
  let surface = START;
  let film: Product | undefined;
  return strand.drafts.map((draft) => {
    surface = rowOf(draft.verb).leaves(surface);
    if (draft.deposit && draft.product) film = product(draft.product);
    if (draft.verb === 'cure' && surface.phase !== 'cured') surface = hardened(surface, film, 'cured');
    if (draft.verb === 'flash' && surface.phase === 'wet') surface = hardened(surface, film, 'gelled');
    return surface;
  });
}

export function hardened(surface: Surface, film: Product | undefined, phase: 'gelled' | 'cured'): Surface {
  if (surface.phase === 'bare') return surface;
  const finish =
    surface.material === 'stone' || phase === 'gelled' || !film
      ? surface.finish
      : (FAMILIES[film.family].cured ?? surface.finish);
  return { ...surface, phase, finish };
}

/**
 * The order between elements, derived from the table of surfaces: an element goes before another where the
 * other grips on what it leaves and not the reverse; where both grip, before what seals it, then before
 * whatever would hide it; where that does not decide either, as the look lists them. Each edge is a wish of the craft that an artist's own
 * edit may override.
 */
export function craftEdges(
  strands: readonly Strand[],
  frame: NailFrame,
  product: (id: string) => Product,
): Edge[] {
  const offsets: number[] = [];
  let offset = 0;
  for (const strand of strands) {
    offsets.push(offset);
    offset += strand.drafts.length;
  }
  const facts = strands.map((strand) => describe(strand, frame, product));
  const edges: Edge[] = [];

  strands.forEach((strand, s) => {
    for (let i = 1; i < strand.drafts.length; i += 1) {
      edges.push({ first: offsets[s]! + i - 1, then: offsets[s]! + i });
    }
  });
  for (let a = 0; a < strands.length; a += 1) {
    for (let b = a + 1; b < strands.length; b += 1) {
      if (!meet(facts[a]!.cover, facts[b]!.cover)) continue;
      const setting = settingBetween(facts, a, b);
      if (setting) {
        const { host, guest, after } = setting;
        edges.push({ first: offsets[host]! + after, then: offsets[guest]! });
        edges.push({
          first: offsets[guest]! + strands[guest]!.drafts.length - 1,
          then: offsets[host]! + after + 1,
        });
        continue;
      }
      const [first, then] = goesFirst(facts[a]!, facts[b]!) ? [a, b] : [b, a];
      edges.push({ first: offsets[first]! + strands[first]!.drafts.length - 1, then: offsets[then]! });
    }
  }
  return edges;
}

interface Facts {
  strand: Strand;
  surfaces: Surface[];
  covers: Uint8Array[];
  cover: Uint8Array;
}

function describe(strand: Strand, frame: NailFrame, product: (id: string) => Product): Facts {
  const known = new Map<string, Uint8Array>();
  const covers = strand.drafts.map((draft) => {
    const key = draft.deposit?.kind === 'pieces' ? draft.step : JSON.stringify(draft.place);
    if (!known.has(key)) known.set(key, coverOf(frame, draft));
    return known.get(key)!;
  });
  const cover = new Uint8Array(LATTICE_X * LATTICE_Y);
  for (const one of covers) one.forEach((value, i) => (cover[i]! |= value));
  return { strand, surfaces: surfacesAlong(strand, product), covers, cover };
}

function meet(a: Uint8Array, b: Uint8Array): boolean {
  return a.some((value, i) => value === 1 && b[i] === 1);
}

/** Which of two strands is set into a wet film of the other, and after which operation of its host. */
function settingBetween(
  facts: readonly Facts[],
  a: number,
  b: number,
): { host: number; guest: number; after: number } | undefined {
  if (goesAround(facts[a]!, facts[b]!) || goesAround(facts[b]!, facts[a]!)) return undefined;
  for (const [host, guest] of [
    [a, b],
    [b, a],
  ] as const) {
    const after = wetFor(facts[host]!, facts[guest]!);
    if (after >= 0) return { host, guest, after };
  }
  return undefined;
}

/** The host's operation after which its film is wet for the guest; −1 where the guest needs none or finds none. */
function wetFor(host: Facts, guest: Facts): number {
  const { refuses } = rowOf(guest.strand.drafts[0]!.verb);
  if (!needsHost(guest) || refuses(host.surfaces[host.surfaces.length - 1]!) === undefined) return -1;
  return host.surfaces.findIndex(
    (surface, i) =>
      refuses(surface) === undefined && i + 1 < host.surfaces.length && meet(host.covers[i]!, guest.cover),
  );
}

function goesFirst(a: Facts, b: Facts): boolean {
  // The plate is prepared and built up before any art; care comes after all of it.
  const rank = (facts: Facts) =>
    facts.strand.shows === 'ground' ? 0 : facts.strand.shows === 'care' ? 2 : 1;
  if (rank(a) !== rank(b)) return rank(a) < rank(b);
  if (goesAround(a, b)) return false;
  if (goesAround(b, a)) return true;
  const aThenB = grips(a, b);
  const bThenA = grips(b, a);
  if (aThenB !== bThenA) return aThenB;
  // What waits for a wet film comes with that film, after all that lies below it.
  if (!aThenB && needsHost(a) !== needsHost(b)) return needsHost(b);
  if (seals(b) && isOpen(a)) return true;
  if (seals(a) && isOpen(b)) return false;
  const aHides = hides(a, b);
  const bHides = hides(b, a);
  if (aHides !== bHides) return aHides;
  return true;
}

/** Whether a film is taken around what the other has set, so that the other comes first. */
function goesAround(film: Facts, other: Facts): boolean {
  const set = other.strand.drafts.flatMap((draft) => draft.place.around ?? []);
  return film.strand.drafts.some((draft) =>
    draft.place.free?.some((hole) => set.some((disc) => Math.hypot(disc.x - hole.x, disc.y - hole.y) < 0.01)),
  );
}

function grips(first: Facts, then: Facts): boolean {
  const left = first.surfaces[first.surfaces.length - 1]!;
  const verb = then.strand.drafts[0]!.verb;
  return rowOf(verb).refuses(left) === undefined;
}

/** Whether it can only be set into a wet film of another element. */
function needsHost(facts: Facts): boolean {
  return rowOf(facts.strand.drafts[0]!.verb).refuses(START) !== undefined;
}

/** Whether it closes what lies below it. */
function seals(facts: Facts): boolean {
  return facts.strand.drafts.some((draft) => rowOf(draft.verb).seals);
}

/** Whether it must not stay open at the end. */
function isOpen(facts: Facts): boolean {
  return facts.strand.shows === 'colour' || facts.strand.shows === 'piece';
}

/** Whether laying `over` afterwards would hide most of what `under` shows. */
function hides(over: Facts, under: Facts): boolean {
  const shown = under.strand.shows;
  if (shown === 'ground' || shown === 'care') return false;
  const own = under.cover.reduce((sum, value) => sum + value, 0);
  return over.strand.drafts.some((draft, i) => {
    if (!draft.deposit || !rowOf(draft.verb).hides.includes(shown)) return false;
    const shared = over.covers[i]!.reduce((sum, value, cell) => sum + (value & under.cover[cell]!), 0);
    return shared >= 0.9 * own;
  });
}

/**
 * Lines operations up: hard edges (the artist's) always hold, soft ones (the craft's) where they make no
 * circle with those before them. Among what is ready the smallest rank goes first, so elements stay together.
 */
export function lineUp(ranks: readonly number[], hard: readonly Edge[], soft: readonly Edge[]): number[] {
  const next: number[][] = ranks.map(() => []);
  for (const edge of hard) next[edge.first]!.push(edge.then);
  for (const edge of soft) {
    if (!reaches(next, edge.then, edge.first)) next[edge.first]!.push(edge.then);
  }
  const waiting = ranks.map(() => 0);
  for (const list of next) for (const then of list) waiting[then]! += 1;
  const ready = ranks.map((_, i) => i).filter((i) => waiting[i] === 0);
  const line: number[] = [];
  while (ready.length > 0) {
    let best = 0;
    for (let i = 1; i < ready.length; i += 1) if (ranks[ready[i]!]! < ranks[ready[best]!]!) best = i;
    const [chosen] = ready.splice(best, 1) as [number];
    line.push(chosen);
    for (const then of next[chosen]!) {
      waiting[then]! -= 1;
      if (waiting[then] === 0) ready.push(then);
    }
  }
  return line;
}

/** Whether a path leads from one operation to another. */
export function reaches(next: readonly number[][], from: number, to: number): boolean {
  const seen = new Set<number>();
  const stack = [from];
  while (stack.length > 0) {
    const at = stack.pop()!;
    if (at === to) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    stack.push(...next[at]!);
  }
  return false;
}
