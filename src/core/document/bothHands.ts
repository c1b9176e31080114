import { applyUnchecked, type Change } from './changes';
import type { SetDocument } from './document';
import type { Nail } from '../model/nail';
import { mirrorOf, type NailName } from '../model/names';

/** The changes that give nails something to wear: what is done to one hand by them can be done to both. */
export type WornChange = Extract<Change, { kind: 'wear' | 'swap' | 'nail-change' | 'clear-nail-change' }>;

/** A change carried to the same fingers of the other hand. */
export interface Carried {
  change: Change;
  /** The nails it reaches besides those it was meant for, where it alters anything there. */
  nails: NailName[];
}

/**
 * Carries a change to the other hand. What a nail has otherwise in its look is carried only where its twin wears that
 * look too; twins that are swapped with each other stay as they are swapped.
 */
export function onBothHands(set: SetDocument, change: WornChange): Carried {
  const twins = twinsOf(set, change);
  if (twins.length === 0) return { change, nails: [] };
  const both = carriedTo(set, change, twins);
  const after = applyUnchecked(set, both);
  const altered = (name: NailName) => JSON.stringify(after.nails[name]) !== JSON.stringify(set.nails[name]);
  return { change: both, nails: twins.filter(altered) };
}

/** The nails besides those it names that a change is to be carried to. */
function twinsOf(set: SetDocument, change: WornChange): NailName[] {
  switch (change.kind) {
    case 'wear':
      return withTwins(change.nails).filter((name) => !change.nails.includes(name));
    case 'swap': {
      const [a, b] = change.nails;
      return a === mirrorOf(b) ? [] : [mirrorOf(a), mirrorOf(b)];
    }
    case 'nail-change':
    case 'clear-nail-change':
      return twinWearsIt(set, change.nail) ? [mirrorOf(change.nail)] : [];
  }
}

function carriedTo(set: SetDocument, change: WornChange, twins: readonly NailName[]): Change {
  if (change.kind === 'wear') return { ...change, nails: [...change.nails, ...twins] };
  if (change.kind === 'swap') {
    // The twins get what the fingers wear once they are swapped, not what they had, which may have differed.
    const [a, b] = change.nails;
    const dressed = [...wearing(mirrorOf(a), set.nails[b]), ...wearing(mirrorOf(b), set.nails[a])];
    return { kind: 'many', changes: [change, ...dressed] };
  }
  return { kind: 'many', changes: [change, { ...change, nail: mirrorOf(change.nail) }] };
}

/** A nail gets a look and what is its own in it. */
export function wearing(nail: NailName, { look, changes }: Pick<Nail, 'look' | 'changes'>): Change[] {
  return [
    { kind: 'wear', nails: [nail], look },
    ...changes.map((change): Change => ({ kind: 'nail-change', nail, change })),
  ];
}

/** The same finger of the other hand wears the same look. */
export function twinWearsIt(set: SetDocument, nail: NailName): boolean {
  return set.nails[mirrorOf(nail)].look === set.nails[nail].look;
}

/** These nails and those of the same fingers on the other hand, each once, in the order they came. */
export function withTwins(nails: readonly NailName[]): NailName[] {
  return [...new Set([...nails, ...nails.map(mirrorOf)])];
}

/** Gives nails what they wore before again; from now on the hands are meant to differ. */
export function handsApart(before: SetDocument, nails: readonly NailName[]): Change {
  return {
    kind: 'many',
    changes: [
      ...nails.flatMap((nail) => wearing(nail, before.nails[nail])),
      { kind: 'practice', practice: { hands: 'differ' } },
    ],
  };
}
