import type { Product, ProductFamily } from '../model/product';
import type { NailContext } from './context';
import { coatOf } from './cure';
import { coats, dustOffDraft, flashOf, hardenOf, LAST_DUST_OFF, looseOffDraft, wipeDraft } from './drafts';
import { activated, dipLayers } from './dipWork';
import { FAMILIES, settingOf, type Laid } from './families';
import { DUST, HAND_S } from './handwork';
import type { Deposit, Paint } from './matter';
import type { Draft, Place } from './operation';

/** Families that are laid as art: colours, and what builds are made of. */
export const ART_FAMILIES: readonly ProductFamily[] = [
  'gel-colour',
  'two-stage-colour',
  'art-gel',
  'liner-gel',
  'builder-gel',
  'putty-gel',
  'acrylic',
  'dip',
  'lacquer',
];

/** A film of art as its technique wants it, whatever it is made of. */
export interface ArtFilm {
  step: string;
  cureStep: string;
  place: Place;
  paint: Paint;
  passes: number;
  /** Where it is laid otherwise than its product's coat. */
  t_um?: number;
  profile?: (Deposit & { kind: 'conformal' })['profile'];
  /** Thick on purpose: poured to a level of its own, or as its profile says; `words`: how, on the card. */
  thick?: { t_um: number; level: boolean; words: string };
  /** What it is called on the card: "Velvet 04", "Ombre ivory to rose"; pass and manner are added. */
  words: string;
  /** Drawn with a liner rather than brushed on. */
  drawn?: true;
  /** What each time over is called; a coat, where it is not drawn. */
  manner?: 'pass';
  hand_s: number;
  reason: string;
  /** How far it gets past its part. */
  spills_mm?: number;
  /** Where the way it is laid can hurt otherwise than its verb. */
  caution?: string;
}

type Work = (product: Product, film: ArtFilm, context: NailContext) => Draft[];

/** Art in what builds are made of is thinner than a build: it must not stand up under the file (common practice). */
const ART_BEAD_UM = 250;
/** Builder creeps to the walls past this (common practice). */
const RUNS_AFTER_S = 40;

function deposit(film: ArtFilm, t_um: number): Deposit {
  if (film.thick?.level) return { kind: 'level', t_um };
  return { kind: 'conformal', t_um, ...(film.profile ? { profile: film.profile } : {}) };
}

const inCoats: Work = (product, film) =>
  coats(product, film.passes, film.step, film.cureStep, (pass) => ({
    verb: film.drawn || product.family === 'liner-gel' ? 'draw' : 'coat',
    words: `${film.words}${film.passes > 1 ? `, ${film.manner ?? (film.drawn ? 'pass' : 'coat')} ${pass} of ${film.passes}` : ''}`,
    place: film.place,
    paint: film.paint,
    deposit: deposit(film, film.thick?.t_um ?? film.t_um ?? coatOf(product)),
    hand_s: film.hand_s,
    reason: film.reason,
    ...(film.spills_mm === undefined ? {} : { spills_mm: film.spills_mm }),
    ...(film.caution === undefined ? {} : { caution: film.caution }),
  }));

/** Rubbed in, the rest brushed off: powder has no passes. */
const rubbed =
  (verb: 'burnish' | 'rub', words: (name: string) => string): Work =>
  (product, film, context) => [
    {
      step: film.step,
      verb,
      words: words(film.words),
      product: product.id,
      place: film.place,
      paint: film.paint,
      deposit: deposit(film, coatOf(product)),
      hand_s: HAND_S[verb] * (context.ridged ? OVER_RIDGES : 1),
      reason: film.reason,
    },
    looseOffDraft(film.place),
  ];

/** Powder is worked along each raised line and into the angle at its foot (common practice). */
const OVER_RIDGES = 1.7;

/** Filed even and clean: what is left is keyed. */
function filedEven(film: ArtFilm, context: NailContext): Draft[] {
  const work: Draft[] = [
    {
      step: 'even',
      verb: 'buff',
      words: 'File it even, its edge crisp',
      place: film.place,
      hand_s: HAND_S.buff * 2,
      caution: DUST,
      reason: 'It is filed, not wiped; keyed, it holds what comes over it.',
    },
    { ...dustOffDraft('even-brush', 'Dust beside the edge shows as a grey line.'), place: film.place },
    wipeDraft(context, 'even-clean', LAST_DUST_OFF, 'Clean before the next layer.', film.place),
  ];
  return work.map((draft) => ({ ...draft, ends: true }));
}

/** Acrylic is not poured: it is patted to where it is to be. */
const BEADED_THICK = {
  level: 'in wet beads patted level',
  bead: 'in beads, fullest at the apex',
} as const;

/** In beads, wet in wet, left to set and filed: no lamp, and no sticky layer. */
const beaded: Work = (product, film, context) => [
  {
    step: film.step,
    verb: 'sculpt',
    words: `${film.words}, ${film.thick ? BEADED_THICK[film.thick.level ? 'level' : 'bead'] : film.passes > 1 ? `in beads, ${film.passes} times over` : 'in beads'}`,
    product: product.id,
    place: film.place,
    paint: film.paint,
    // Bead on bead while it is soft: each time over makes it as much thicker.
    deposit: deposit(film, film.thick?.t_um ?? ART_BEAD_UM * film.passes),
    hand_s: Math.max(HAND_S.sculpt * 0.4, film.hand_s * 1.5) * film.passes,
    wait_s: settingOf(product)!.dry_s,
    reason: 'Laid wet in wet: what is beside it of the same stuff melts in, as long as it is not dull.',
  },
  ...filedEven(film, context),
];

const dipped: Work = (product, film, context) => [
  ...dipLayers(context, {
    step: film.step,
    product,
    count: Math.max(LEAST_LAYERS, film.passes),
    place: film.place,
    words: film.words,
    paint: film.paint,
    deposit: deposit(film, coatOf(product)),
  }),
  { ...activated('activate', context, film.place), ends: true },
  ...filedEven(film, context),
];
/** One layer of dip is a veil (common practice). */
const LEAST_LAYERS = 2;

/** Thick as it is, it is moved rather than brushed; it needs no second coat (common practice). */
const BUILT_THIN = 1.1;

/** Builder or putty as a colour: thin, flashed nail by nail before it runs or slumps, then cured. */
const thinlyBuilt: Work = (product, film) => {
  const putty = product.family === 'putty-gel';
  const t_um = film.thick?.t_um ?? Math.min(coatOf(product), ART_BEAD_UM);
  const how = film.thick?.words ?? (putty ? 'pressed and brushed thin' : 'a thin layer');
  return [
    {
      step: film.step,
      verb: 'cap',
      words: `${film.words}, ${how}`,
      product: product.id,
      place: film.place,
      paint: film.paint,
      deposit: deposit(film, t_um),
      hand_s: film.hand_s * BUILT_THIN,
      open_s: RUNS_AFTER_S,
      reason: putty
        ? 'A brush damp with slip liquid moves it; warm hands make it slump.'
        : film.thick
          ? film.reason
          : 'Thin, for the strength lies in the build; it levels itself.',
    },
    { ...flashOf(product, t_um, film.place, 'Nail by nail, before it runs.'), held: true },
    ...hardenOf(product, t_um, film.place, film.cureStep),
  ];
};

/** How what is laid so is worked as art; all else in coats. */
const WORK: Partial<Record<Laid, Work>> = {
  powder: rubbed('burnish', (name) => `Burnish ${name}`),
  // Onto tack.
  pearl: rubbed('rub', (name) => `Rub ${name} on until nothing more sticks`),
  acrylic: beaded,
  dip: dipped,
  structure: thinlyBuilt,
};

/** Whether a product is laid as art in coats, with a brush or what stands in for one. */
export function workedInCoats(product: Product): boolean {
  return WORK[FAMILIES[product.family].laid] === undefined;
}

/** The work of a film of art, as the family of its product asks it. */
export function artFilm(product: Product, film: ArtFilm, context: NailContext): Draft[] {
  return (WORK[FAMILIES[product.family].laid] ?? inCoats)(product, film, context);
}

/** Powder of a product on a part of the nail, worked as its family asks. */
export function powderOn(product: Product, place: Place, reason: string, context: NailContext): Draft[] {
  return artFilm(
    product,
    {
      step: 'coat',
      cureStep: 'cure',
      place,
      paint: { kind: 'product' },
      passes: 1,
      words: product.name,
      hand_s: HAND_S.coat,
      reason,
    },
    context,
  );
}
