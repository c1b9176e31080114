/**
 * The ten nails, named as the trade names them. The order of `NAILS` is the order in which they lie on
 * the screen and under the keys 1–0: the left hand from little finger to thumb, then the right from
 * thumb to little finger.
 */
export const FINGERS = ['little', 'ring', 'middle', 'index', 'thumb'] as const;
export type Finger = (typeof FINGERS)[number];

export const HANDS = ['left', 'right'] as const;
export type Hand = (typeof HANDS)[number];

export type NailName = `${Hand}-${Finger}`;

export const NAILS: readonly NailName[] = [
  ...FINGERS.map((finger): NailName => `left-${finger}`),
  ...[...FINGERS].reverse().map((finger): NailName => `right-${finger}`),
];

export function handOf(nail: NailName): Hand {
  return nail.startsWith('left') ? 'left' : 'right';
}

export function fingerOf(nail: NailName): Finger {
  return nail.slice(nail.indexOf('-') + 1) as Finger;
}

/** The same finger of the other hand. */
export function mirrorOf(nail: NailName): NailName {
  return `${handOf(nail) === 'left' ? 'right' : 'left'}-${fingerOf(nail)}`;
}

/** "ring finger", "thumb". */
export function fingerWords(nail: NailName): string {
  const finger = fingerOf(nail);
  return finger === 'thumb' ? 'thumb' : `${finger} finger`;
}

/** "left ring finger", "right thumb": as it is said at the table. */
export function nailWords(nail: NailName): string {
  return `${handOf(nail)} ${fingerWords(nail)}`;
}

/** "ring fingers", "thumbs": this finger of both hands. */
export function fingersWords(nail: NailName): string {
  const finger = fingerOf(nail);
  return finger === 'thumb' ? 'thumbs' : `${finger} fingers`;
}

/** "this nail", "both thumbs", "4 nails": what a button would be pressed for. */
export function nailsWords(nails: readonly NailName[]): string {
  const [first, second] = nails;
  if (first && second && nails.length === 2 && mirrorOf(first) === second)
    return `both ${fingersWords(first)}`;
  return nails.length === 1 ? 'this nail' : `${nails.length} nails`;
}

/** "all ten nails", "the left hand", "both thumbs", "4 nails": what several chosen nails are together. */
export function groupWords(nails: readonly NailName[]): string {
  if (nails.length === NAILS.length) return 'all ten nails';
  for (const hand of HANDS)
    if (nails.length === 5 && nails.every((nail) => handOf(nail) === hand)) return `the ${hand} hand`;
  return nailsWords(nails);
}

/** The key that selects this nail: 1–9, then 0. */
export function digitOf(nail: NailName): string {
  return String((NAILS.indexOf(nail) + 1) % 10);
}

export function handNails(hand: Hand): NailName[] {
  return NAILS.filter((nail) => handOf(nail) === hand);
}
