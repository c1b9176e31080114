/** Which list of an element holds the parts that are copied, what their handles begin with, and how many there may be. */
export interface Copies {
  path: string;
  part: string;
  most: number;
}

/** How far a copy lies from what it is a copy of: to the right and up, as far as the nail goes. */
const BESIDE = { across: 0.12, along: 0.06 } as const;

/** A part of an element that lies somewhere on the nail. */
export interface Part {
  across: number;
  along: number;
  turn_deg?: number;
}

/** The parts that some handles (`stone-2`, `piece-1-end`) are of, each once, in the order of the handles. */
export function partsOf(element: object, copies: Copies, ids: readonly string[]): Part[] {
  const parts = partsIn(element, copies);
  return indexesOf(copies, ids, parts.length).map((i) => parts[i]!);
}

/** The element with parts laid behind its own, where they lay where they come from. */
export function withParts<E extends object>(element: E, copies: Copies, parts: readonly Part[]): E {
  const own = partsIn(element, copies);
  return { ...element, [copies.path]: [...own, ...parts].slice(0, Math.max(own.length, copies.most)) };
}

/** The element with some of its parts laid again beside themselves. */
export function partsAgain<E extends object>(element: E, copies: Copies, ids: readonly string[]): E {
  return withParts(element, copies, partsOf(element, copies, ids).map(beside));
}

/** The element with some of its parts laid once more on the other side of the centre line; what lies on it stays alone. */
export function partsMirrored<E extends object>(element: E, copies: Copies, ids: readonly string[]): E {
  const beside = partsOf(element, copies, ids).filter((part) => Math.abs(part.across) > ON_CENTRE);
  return withParts(element, copies, beside.map(mirrored));
}

/** As a share of half the arc: nearer than this a thing lies on the centre line. */
const ON_CENTRE = 0.02;

function mirrored(part: Part): Part {
  return {
    ...part,
    across: -part.across,
    ...(part.turn_deg === undefined ? {} : { turn_deg: -part.turn_deg }),
  };
}

/** The element without some of its parts; one is left at least. */
export function withoutParts<E extends object>(element: E, copies: Copies, ids: readonly string[]): E {
  const own = partsIn(element, copies);
  const gone = indexesOf(copies, ids, own.length);
  const left = own.filter((_, i) => !gone.includes(i));
  return { ...element, [copies.path]: left.length > 0 ? left : own.slice(0, 1) };
}

/** The element with these parts for all of its own. */
export function ofParts<E extends object>(element: E, copies: Copies, parts: readonly Part[]): E {
  return { ...element, [copies.path]: parts.slice(0, copies.most) };
}

/** Parts as they are laid among others: one on the very spot of another would hide it, and is moved beside it. */
export function clearOf<P extends Part>(parts: readonly P[], there: readonly Part[]): P[] {
  return parts.map((part) => {
    let clear = part;
    for (let i = 0; i < MOST_MOVES && there.some((one) => onOneSpot(one, clear)); i += 1)
      clear = beside(clear);
    return clear;
  });
}

/** Where the nail ends a part goes to and fro: then it is laid over another after all. */
const MOST_MOVES = 20;

function onOneSpot(a: Part, b: Part): boolean {
  return a.across === b.across && a.along === b.along;
}

/** A part moved a little: to the right and up, or back where the nail ends. */
export function beside<P extends Part>(part: P): P {
  const right = part.across + BESIDE.across;
  return {
    ...part,
    across: right <= 1 ? right : part.across - BESIDE.across,
    along: Math.min(2, part.along + BESIDE.along),
  };
}

/** All parts of an element that can be copied. */
export function partsIn(element: object, { path }: Copies): readonly Part[] {
  return (element as Record<string, readonly Part[]>)[path]!;
}

function indexesOf({ part }: Copies, ids: readonly string[], count: number): number[] {
  const found = ids.map((id) => new RegExp(`^${part}-(\\d+)`).exec(id)?.[1]);
  const indexes = found.flatMap((digits) => (digits === undefined ? [] : [Number(digits)]));
  return [...new Set(indexes)].filter((i) => i < count);
}
