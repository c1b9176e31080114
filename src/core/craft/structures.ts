import type { Product } from '../model/product';
import type { Structure } from './build';
import { wholePlace, type NailContext } from './context';
import {
  baseOver,
  dustOffDraft,
  flashOf,
  hardenOf,
  LAST_DUST_OFF,
  levelling,
  setDraft,
  wipeDraft,
} from './drafts';
import { settingOf } from './families';
import { wetPrimer } from './primePlate';
import { HAND_S } from './handwork';
import type { Region } from '../regions';
import type { Draft, Place } from './operation';

/** What a build is laid over, as it is said at a table. */
export const OVER_PIECES = 'over the pieces';

/** Builder creeps to the walls past this (common practice). */
const RUNS_AFTER_S = 40;

/** Gel that levels itself: a slip layer, a bead, a flash nail by nail, a cure. `rod` holds a long free edge meanwhile. */
export function pouredStructure(product: Product, apex_um: number, rod = false): Structure {
  return {
    product,
    apex_um,
    lay: (t_um, over) => [
      {
        ...laid(product, t_um),
        words: `${over ? `Build ${over}` : 'Build'} with ${product.name}`,
        open_s: RUNS_AFTER_S,
        reason: over
          ? 'A thin slip layer first, then the bead with its apex over the stress area; it levels itself over what lies there.'
          : 'A thin slip layer first, then the bead: its apex over the stress area, where nails break.',
      },
      {
        ...flashOf(
          product,
          t_um,
          wholePlace(),
          rod
            ? 'A rod under the free edge keeps it from curling in; nail by nail, before it runs to the skin.'
            : 'Nail by nail, before it runs to the skin.',
          'flash-cap',
        ),
        ...(rod ? OVER_A_ROD(product) : {}),
        held: true,
      },
      ...hardenOf(product, t_um, wholePlace(), 'cure-cap'),
    ],
  };
}

/** Builder shrinks as it cures: a long natural edge curls in under its first light unless it is held. */
const OVER_A_ROD = (product: Product) => ({
  words: `Flash ${product.name} with a rod under the free edge`,
  missed: { words: 'Not held over a rod in its first light, a long free edge curls in.' },
});

/** The same on a part of the nail alone: a bead that runs out to the edge of its part. */
export function onPart(structure: Structure, region: Region, where: string): Structure {
  const place: Place = { ...wholePlace(), region };
  return {
    ...structure,
    place,
    lay: (t_um, over) =>
      structure.lay(t_um, over).map((draft) => ({
        ...draft,
        place,
        ...(draft.deposit
          ? {
              deposit: { kind: 'conformal' as const, t_um, profile: { kind: 'bead' as const } },
              words: `${draft.words} ${where}`,
              reason: 'One bead where the nail bends, drawn out to nothing at its edge; the rest stays thin.',
            }
          : {}),
      })),
  };
}

/** Putty: pressed and brushed to shape, nail by nail, for it slumps in warm hands and does not set until it is lit. */
export function puttyStructure(product: Product, apex_um: number): Structure {
  return {
    product,
    apex_um,
    lay: (t_um, over) => [
      {
        ...laid(product, t_um),
        words: `Press and brush ${product.name} to shape${over ? ` ${over}` : ''}`,
        hand_s: PUTTY_S,
        reason:
          'A ball at the stress area, moved with a brush damp with slip liquid: tip, apex, then thin at the cuticle.',
      },
      {
        ...flashOf(product, t_um, wholePlace(), 'Nail by nail: warm hands make it slump.', 'flash-cap'),
        held: true,
      },
      ...hardenOf(product, t_um, wholePlace(), 'cure-cap'),
    ],
  };
}

/** Acrylic over pieces: few strokes while what they lie in is dull, then left until it rings. */
export function beadedStructure(product: Product, apex_um: number): Structure {
  return {
    product,
    apex_um,
    lay: (t_um, over) => [
      {
        ...laid(product, t_um),
        words: `Beads of ${product.name}${over ? ` ${over}` : ' over it'}`,
        hand_s: HAND_S.sculpt,
        portions: LEAST_BEADS,
        wait_s: settingOf(product)!.dry_s,
        reason:
          'The largest over the stress area; each patted and drawn in few strokes: overbrushed, it takes air in.',
      },
      tapDraft(),
    ],
  };
}

const LEAST_BEADS = 3;

function tapDraft(): Draft {
  return {
    ends: true,
    step: 'tap',
    verb: 'tap',
    words: 'Tap the acrylic: it rings',
    place: wholePlace(),
    hand_s: HAND_S.tap,
    reason: 'Hard, it rings; where it sounds dull it takes dents and the file drags it.',
  };
}

/** Powder sprinkled into a wet layer of gel and cured in it. */
export function sprinkledStructure(gel: Product, powder: Product, apex_um: number): Structure {
  const place = wholePlace();
  return {
    product: gel,
    apex_um,
    lay: (t_um, over) => [
      {
        ...laid(gel, t_um),
        words: `${gel.name} for the powder${over ? `, ${over}` : ''}`,
        open_s: RUNS_AFTER_S,
        reason: 'Even, with its apex over the stress area; the powder sinks into it while it is wet.',
      },
      {
        step: 'sprinkle',
        verb: 'sprinkle',
        words: `Sprinkle the powder of ${powder.name} over it`,
        product: powder.id,
        place,
        hand_s: HAND_S.sprinkle,
        held: true,
        reason: 'Until it looks dry; loose powder falls back into its tray.',
      },
      {
        ...flashOf(gel, t_um, place, 'Nail by nail, before it runs to the skin.', 'flash-cap'),
        held: true,
      },
      ...hardenOf(gel, t_um, place, 'cure-cap'),
      {
        step: 'powder-off',
        verb: 'dust-off',
        words: 'Brush the loose powder off',
        place,
        hand_s: HAND_S['dust-off'] * 2,
        reason: 'What the gel has not taken comes off dry, before anything is wiped over it.',
      },
    ],
  };
}

const PUTTY_S = 110;

function laid(product: Product, t_um: number): Draft {
  return {
    step: 'cap',
    verb: 'cap',
    words: product.name,
    product: product.id,
    place: wholePlace(),
    deposit: { kind: 'level', t_um },
    hand_s: HAND_S.cap,
    reason: '',
  };
}

/** What a file takes off a build to level it: a tenth of what was laid at the apex, 60 µm at most (common practice). */
export function levelling_um(t_um: number): number {
  return Math.min(60, Math.round(t_um / 10));
}

/** Thickness the file leaves of an edge that art still comes on (common practice). */
export const EDGE_UNDER_ART_UM = 380;

/** Levelled with the file, brushed and wiped: a keyed, clean ground for gel. */
export function filedGround(context: NailContext, of: Product, words: string, t_um: number): Draft[] {
  const { hand_s, words: how } = levelling(context, of.family);
  return [
    {
      step: 'level',
      verb: 'file',
      words,
      place: wholePlace(),
      removal: {
        allowance_um: levelling_um(t_um),
        edge_um: Math.min(EDGE_UNDER_ART_UM, Math.round(context.practice.edge_mm * 1000)),
      },
      hand_s,
      reason: `${how}; sides and free edge thinned, the apex left standing.`,
    },
    dustOffDraft('level-brush', 'Dust under the next layer lifts it.'),
    wipeDraft(context, 'level-clean', LAST_DUST_OFF, 'Clean before the next layer.'),
    ...baseOver(context),
  ];
}

/** Acrylic over the whole nail, from the first bead to a ground that gel holds on. */
export function sculpted(
  product: Product,
  apex_um: number,
  context: NailContext,
  between: readonly Draft[] = [],
  /** It is an extension of its own, that nothing gives its curve. */
  free = false,
): Draft[] {
  const { working_s, dry_s } = settingOf(product)!;
  const pinched = free && context.practice.pinch === 'pinch';
  return [
    ...wetPrimer(context),
    {
      step: 'sculpt',
      verb: 'sculpt',
      words: `Sculpt ${context.inlaid ? 'thin, ' : ''}in ${BEADS_IN_WORDS[beads(context)]} beads of ${product.name}`,
      product: product.id,
      place: wholePlace(),
      deposit: {
        kind: 'level',
        t_um: Math.max(
          Math.min(apex_um, EXTENSION_UM),
          apex_um - (context.melted?.laid === 'acrylic' ? context.melted.t_um : 0),
        ),
      },
      hand_s: HAND_S.sculpt,
      portions: beads(context),
      wait_s: pinched ? working_s : dry_s,
      reason: context.inlaid
        ? 'From the tip to the cuticle; thin, for the pieces lie on it and the strength is built above them.'
        : 'From the tip to the cuticle, one bead for the stress area; wetter towards the skin.',
    },
    ...(pinched
      ? [
          pinchDraft('Dull, and not hard yet: now it takes the C-curve and keeps it.'),
          // A step of its own: whoever leaves the pinch out still lets the acrylic set.
          ending(setDraft(product, dry_s - working_s, 'set', wholePlace())),
        ]
      : []),
    tapDraft(),
    ...between.map(ending),
    // Acrylic melts into itself: over pieces in acrylic there is one filing, at the end.
    ...(context.inlaid && context.clear.id === product.id
      ? []
      : filedGround(context, product, 'File the acrylic to shape and level it', apex_um).map(ending)),
  ];
}

/** What is put off where more of the same comes on it. */
export function ending(draft: Draft): Draft {
  return { ...draft, ends: true };
}

/** The pinch of a whole body, once all of it is laid. */
export function pinchAgain(): Draft {
  return {
    ...pinchDraft('Once more with all of it laid, while it gives: the cap has a curve of its own.'),
    pass: 2,
  };
}

/** Three beads for a short nail, four and five for longer ones (common practice). */
function beads({ frame }: NailContext): 3 | 4 | 5 {
  const past_mm = frame.length_mm - frame.bed_mm;
  return past_mm > 12 ? 5 : past_mm > 5 ? 4 : LEAST_BEADS;
}
const BEADS_IN_WORDS = { 3: 'three', 4: 'four', 5: 'five' } as const;

/** A thin film of gel over plate and form, on which art and strength are built; the form comes off it. */
export function thinExtension(product: Product, { practice }: NailContext, t_um = EXTENSION_UM): Draft[] {
  const place = wholePlace();
  return [
    {
      step: 'extend',
      verb: 'cap',
      words: `Thin foundation of ${product.name} over plate and form`,
      product: product.id,
      place,
      deposit: { kind: 'level', t_um },
      hand_s: HAND_S.cap,
      reason: 'Thin, for art and strength lie above it; its sides straight, its end on the form’s line.',
    },
    ...(practice.pinch === 'pinch' ? pinched(product, t_um) : []),
    ...hardenOf(product, t_um, place, 'cure-extend'),
  ];
}

/** Flashed so that it holds its place, and pinched while it still gives. */
function pinched(product: Product, t_um: number): Draft[] {
  const place = wholePlace();
  return [
    {
      ...flashOf(product, t_um, place, 'Half hard, it can be pinched; nail by nail.', 'flash-extend'),
      held: true,
    },
    {
      ...pinchDraft('The C-curve carries what the filed sides lose; once cured it cannot be given.'),
      held: true,
    },
  ];
}

/** What is built over a tip, pinched for more of a C-curve than the tip has. */
export function pinchedStructure(structure: Structure): Structure {
  return {
    ...structure,
    lay: (t_um, over) =>
      structure.lay(t_um, over).flatMap((draft) => {
        if (draft.step !== 'flash-cap') return [draft];
        return [
          draft,
          { ...pinchDraft('Half hard it takes the curve; once cured it keeps it.', 1), held: true },
        ];
      }),
  };
}

/** By default where bed turns into extension, and on to the tip. */
function pinchDraft(reason: string, from = 0.6): Draft {
  return {
    step: 'pinch',
    verb: 'pinch',
    words: 'Pinch the C-curve',
    place: { ...wholePlace(), region: { kind: 'band', from, to: 2 } },
    hand_s: HAND_S.pinch,
    reason,
  };
}

/** Under pieces an extension is laid no thicker than this, whatever it is built of (common practice). */
export const EXTENSION_UM = 200;
