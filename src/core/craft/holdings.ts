import type { Product } from '../model/product';
import type { NailContext } from './context';
import { coatOf } from './cure';
import { flashOf, hardenOf } from './drafts';
import { settingOf } from './families';
import { GLUE, MONOMER, PACE } from './handwork';
import type { PlacedPiece } from './matter';
import type { Draft, Place, Seat } from './operation';

/** Things to be set on a nail, and what is said and needed of it. */
export interface ToHold {
  pieces: PlacedPiece[];
  place: Place;
  /** "Set 5 stones SS5". */
  setWords: (pieces: readonly PlacedPiece[]) => string;
  /** What the bead is for, where that is to be said. */
  forWhat?: string;
  /** Guide seconds for a bead, and for setting, of all of them. */
  bead_s: number;
  set_s: number;
  /** How much more than a coat of its product a bead is. */
  more: number;
}

/** A way of holding what stands on a nail: where it sits, and its work. */
export interface Holding {
  words: string;
  seat: Seat;
  hold: (what: ToHold, context: NailContext) => Draft[];
}

function bead(
  product: Product,
  t_um: number,
  { place, forWhat, bead_s }: ToHold,
  words: string,
  reason: string,
): Draft {
  return {
    step: 'bead',
    verb: 'bead',
    words: `${words} of ${product.name}${forWhat ? ` for ${forWhat}` : ''}`,
    product: product.id,
    place,
    deposit: { kind: 'conformal', t_um },
    hand_s: bead_s,
    reason,
  };
}

function set(
  { pieces, place, setWords, set_s }: ToHold,
  verb: 'set-in-top' | 'set-in-colour' | 'set-in-bead',
  reason: string,
): Draft {
  return {
    step: 'set',
    verb,
    words: setWords(pieces),
    place,
    deposit: { kind: 'pieces', pieces, pressed: true },
    hand_s: set_s,
    reason,
  };
}

const several = ({ pieces }: ToHold) => pieces.length > 1;

/** Several things in groups of so many, each on its own part of their place. */
function inGroups(what: ToHold, size: number): ToHold[] {
  const count = what.pieces.length;
  if (count <= size) return [what];
  const groups = Math.ceil(count / size);
  return Array.from({ length: groups }, (_, g) => {
    const [from, to] = [Math.round((g * count) / groups), Math.round(((g + 1) * count) / groups)];
    const share = (to - from) / count;
    return {
      ...what,
      pieces: what.pieces.slice(from, to),
      place: { ...what.place, around: what.place.around?.slice(from, to) ?? [] },
      setWords: (some) => `${what.setWords(some)}, ${g + 1} of ${groups}`,
      bead_s: what.bead_s * share,
      set_s: what.set_s * share,
    };
  });
}

/** Each alone: the same again, as often as there are things. */
const eachAlone = (what: ToHold) => inGroups(what, 1).map((one) => ({ ...one, setWords: what.setWords }));

/** As many at a time as can be set while their beads are wet, from the first touch of the first. */
function portionsOf(what: ToHold, working_s: number): ToHold[] {
  const each_s = (what.bead_s + what.set_s) / what.pieces.length;
  return inGroups(what, Math.max(1, Math.floor(working_s / each_s)));
}

function glued(what: ToHold, context: NailContext): Draft[] {
  const glue = context.role('glue');
  const t_um = coatOf(glue);
  return [
    {
      ...bead(glue, t_um, what, 'Drop', 'Glue sets in the dark below metal, where light does not reach.'),
      caution: GLUE,
    },
    { ...set(what, 'set-in-bead', 'Pressed into the wet bead until the rim is held all round.'), held: true },
    ...hardenOf(glue, t_um, what.place, 'hold').map((draft) => heldOn(draft, what.set_s)),
  ];
}

/** Pressed in, it has begun to set: it is held for what is left of that. */
function heldOn(draft: Draft, pressed_s: number): Draft {
  const hand_s = Math.max(LEAST_HOLD_S, draft.hand_s - pressed_s);
  return { ...draft, hand_s, fixed_s: hand_s };
}
/** Shorter nobody lets go (common practice). */
const LEAST_HOLD_S = 5;

/** Every way the program knows; one entry each. */
export const HOLDINGS = {
  gel: {
    words: 'A bead of gel, top around',
    seat: 'surface',
    hold: (what, context) => {
      const gel = context.role('bedding');
      const t_um = (gel.coat_um ?? 150) * what.more;
      const many = several(what) || !what.forWhat;
      return [
        bead(
          gel,
          t_um,
          what,
          many ? 'Beads' : 'Bead',
          many
            ? 'Each stone sits in a bead of its own; the top is taken around them and keeps their fire.'
            : 'Bead beneath, more around the rim.',
        ),
        set(
          what,
          'set-in-bead',
          many
            ? 'Set while the bead is wet; tweezers or a wax pen, largest first.'
            : 'Pressed into the wet bead until the rim is held all round.',
        ),
        flashOf(
          gel,
          t_um,
          what.place,
          many
            ? 'A flash fixes the stones before the brush comes near them.'
            : 'A flash fixes the charm before the brush comes near it.',
        ),
      ];
    },
  },
  'stone-gel': {
    words: 'Spots of thick gel, the top about them wet',
    seat: 'surface',
    hold: (what, context) => {
      const gel = context.role('bedding');
      return [
        bead(
          gel,
          (gel.coat_um ?? 150) * SPOT,
          what,
          several(what) ? 'Thick spots' : 'Thick spot',
          'Thick, it stands up round each of them and does not run.',
        ),
        set(
          what,
          'set-in-bead',
          'Pressed in until it comes up round the rim; cured together with the top about it.',
        ),
      ];
    },
  },
  'wet-top': {
    words: 'In the wet top',
    seat: 'over',
    hold: (what) => [set(what, 'set-in-top', 'Set in the wet top coat and cured with it: the quick way.')],
  },
  'wet-colour': {
    words: 'In the wet colour, top around',
    seat: 'surface',
    hold: (what) => [
      set(
        what,
        'set-in-colour',
        'Fine ones hold in a thin coat: set in the last one while it is wet, and cured with it.',
      ),
    ],
  },
  glue: {
    words: 'Instant glue, on the top',
    seat: 'over',
    // One at a time: it has set before the next drop falls.
    hold: (what, context) =>
      eachAlone(what).flatMap((one, i) =>
        glued(one, context).map((draft) => ({ ...draft, ...(several(what) ? { pass: i + 1 } : {}) })),
      ),
  },
  acrylic: {
    words: 'A bead of acrylic, pressed in round the rim',
    seat: 'surface',
    // As many at a time as are in before their beads go dull.
    hold: (what, context) => {
      const acrylic = context.role('acrylic');
      const { working_s, dry_s } = settingOf(acrylic)!;
      const groups = portionsOf(what, working_s / PACE[context.practice.pace]);
      return groups.flatMap((some, i): Draft[] => [
        {
          ...bead(
            acrylic,
            ACRYLIC_BEAD_UM,
            some,
            several(some) ? 'Beads' : 'Bead',
            'On keyed acrylic: it melts into it, and holds without light.',
          ),
          ...(groups.length > 1 ? { pass: i + 1 } : {}),
          caution: MONOMER,
        },
        {
          ...set(some, 'set-in-bead', 'Before it goes dull; a little more is pressed in round the rim.'),
          ...(groups.length > 1 ? { pass: i + 1 } : {}),
          held: true,
          // The others are set meanwhile; what comes after the last waits for all of them.
          ...(i === groups.length - 1 ? { wait_s: dry_s } : {}),
        },
      ]);
    },
  },
} as const satisfies Record<string, Holding>;
export type HoldingName = keyof typeof HOLDINGS;

/** How much more than its coat a spot of thick gel is (common practice). */
const SPOT = 1.6;
/** A bead that comes up round a stone (common practice). */
const ACRYLIC_BEAD_UM = 220;

/** The work of holding things in one of these ways. */
export function held(name: HoldingName, what: ToHold, context: NailContext): Draft[] {
  return HOLDINGS[name].hold(what, context);
}
