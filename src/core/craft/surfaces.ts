import { FAMILIES, type Family, type Laid } from './families';
import { ALL_SURFACES, encode, type Finish, type Material, type Surface } from './surface';

/**
 * The one table of the craft: verb × what is laid × surface → what it leaves, or why it does not hold.
 * Everything that judges an order asks this table; nothing else knows what sticks to what. Where a surface has
 * several faults, the gravest is named: dust never hides a plate that was not prepared.
 */

/** Why an operation does not work on a surface. Each is the code of a finding. */
export const REASONS = [
  'no-grip',
  'uncured-covered',
  'wet-touched',
  'oil-before-layer',
  'dust-under-layer',
  'powder-in-bottle',
  'tacky-filed',
  'top-over-stones',
  'needs-wet',
  'unprepared-plate',
  'nothing-built',
  'still-sealed',
  'not-softened',
] as const;
export type Reason = (typeof REASONS)[number];

export interface Row {
  /** The surface it wants, in the words of the trade. */
  wants: string;
  /** Undefined where the operation holds. */
  refuses: (s: Surface, laid: Laid) => Reason | undefined;
  /** The surface it leaves. */
  leaves: (s: Surface, laid: Laid) => Surface;
  /** Raises dust, so it wants no wet or tacky nail beside it. */
  dusty?: boolean;
  /** Why a nail is worse for leaving it out, where nothing else would notice; a stop where it is grave. */
  missed?: { words: string; grave?: boolean };
  /**
   * From here on the nail has its whole length: a tip that is fixed to the plate, a form or mould that carries what
   * is laid past it, or a tip on its stand.
   */
  lengthens?: 'tip' | 'form' | 'stand';
  /** From here on a form or mould is on the finger, or off it. */
  wears?: boolean;
  /** Wets what no one sees from above, until the next light. */
  fromBelow?: true;
  /** What is waited for after it, where it asks for a wait. */
  waited?: string;
  /** Takes the old product off. */
  bares?: true;
  /** Powder rubbed in: a film so thin that what lies below is meant to be there, and that a top alone holds on. */
  powders?: true;
  /** Done with what another verb is done with: no change of grip between the two. */
  as?: 'wipe';
}

const LAID_MATERIAL = new Map<Laid, Material>(
  Object.values(FAMILIES).map((family: Family) => [family.laid, family.material]),
);

function film(_s: Surface, laid: Laid): Surface {
  return {
    material: LAID_MATERIAL.get(laid) ?? 'gel',
    phase: 'wet',
    // What sets by itself has no layer that air keeps from curing: once it is dull nothing clings to it.
    finish: laid === 'acrylic' ? 'shine' : 'tacky',
    soil: 'clean',
    prep: 'none',
  };
}
const same = (s: Surface): Surface => s;

/** Which finishes of a hard film each kind of product holds on. A film of art gel is open to every gel. */
const HOLDS_ON: Partial<Record<Laid, readonly Finish[]>> = {
  top: ['tacky', 'wiped', 'keyed', 'slick', 'matte', 'powdered'],
  art: ['tacky', 'wiped', 'keyed', 'slick', 'matte'],
  acrylic: ['keyed'],
  dip: ['keyed'],
  powder: ['slick'],
  pearl: ['tacky'],
  lacquer: ['wiped', 'keyed', 'slick', 'matte'],
  glue: ['tacky', 'wiped', 'keyed', 'slick', 'matte', 'powdered'],
};
const GEL_HOLDS_ON: readonly Finish[] = ['tacky', 'wiped', 'keyed'];
/** What is rubbed in, and finds nothing to hold on in a piece. */
const POWDERS: readonly Laid[] = ['powder', 'pearl'];
/** What hardens in a film of its own under the lamp. */
const GELS: readonly Laid[] = ['base', 'gel', 'two-stage', 'structure', 'art', 'top'];
/** What lies on a prepared plate without a base between. */
const ON_PLATE: readonly Laid[] = ['base', 'two-stage', 'structure', 'acrylic', 'dip', 'lacquer', 'glue'];
/** What a form carries until it is taken off. */
const ON_FORM: readonly Laid[] = ['structure', 'acrylic'];
/** What takes hold of itself without a key. */
const MELTS: readonly Laid[] = ['acrylic', 'dip'];
/** What melts into its own kind while that is soft. */
const WET_IN_WET: readonly Laid[] = ['acrylic'];
/** What lifts from a plate that was only dehydrated. */
const WANTS_PRIMER: readonly Laid[] = ['acrylic'];

/** Oil and wet films come before all else. */
function oilOrWet(s: Surface): Reason | undefined {
  if (s.soil === 'oil') return 'oil-before-layer';
  return s.phase === 'wet' ? 'uncured-covered' : undefined;
}

function dust(s: Surface): Reason | undefined {
  if (s.soil !== 'dust') return undefined;
  return s.finish === 'powdered' ? 'powder-in-bottle' : 'dust-under-layer';
}

function ground(s: Surface, laid: Laid, drawn: boolean): Reason | undefined {
  if (s.material === 'plate') {
    // Lacquer wants the plate free of oil, and its shine on.
    if (laid === 'lacquer') return s.prep === 'none' ? 'unprepared-plate' : undefined;
    if (s.finish !== 'keyed' || s.prep === 'none') return 'unprepared-plate';
    if (WANTS_PRIMER.includes(laid) && s.prep !== 'primed') return 'unprepared-plate';
    return ON_PLATE.includes(laid) ? undefined : 'no-grip';
  }
  if (s.material === 'form') return ON_FORM.includes(laid) ? undefined : 'no-grip';
  // Acrylic and dip melt into themselves.
  if (s.material === laid && MELTS.includes(laid)) return undefined;
  if (s.material === 'piece') return POWDERS.includes(laid) ? 'no-grip' : undefined;
  if (s.material === 'lacquer' && laid !== 'lacquer' && laid !== 'glue') return 'no-grip';
  const holds = HOLDS_ON[laid] ?? GEL_HOLDS_ON;
  if (holds.includes(s.finish)) return undefined;
  // Strokes of gel hold on any hard film; gels hold on the slick of cured art gel.
  if (drawn && GELS.includes(laid) && (s.finish === 'slick' || s.finish === 'matte')) return undefined;
  if (s.finish === 'slick' && s.material === 'art' && GELS.includes(laid)) return undefined;
  // A mould leaves its gel hard and shining, and ridges of acrylic are not filed: a top holds on that, where its artist works so.
  const hardShine = s.finish === 'shine' && (s.material === 'clear' || s.material === 'acrylic');
  if (hardShine && laid === 'top') return undefined;
  return 'no-grip';
}

/** A film laid over a surface. */
function filmOver(s: Surface, laid: Laid): Reason | undefined {
  if (s.material === 'stone') return 'top-over-stones';
  // Beads are laid wet in wet: a wet neighbour of the same kind melts in.
  if (WET_IN_WET.includes(laid) && s.material === laid && s.phase !== 'cured' && s.soil === 'clean')
    return undefined;
  return oilOrWet(s) ?? ground(s, laid, false) ?? dust(s);
}

function drawnOver(s: Surface, laid: Laid): Reason | undefined {
  if (s.material === 'stone') return 'top-over-stones';
  return oilOrWet(s) ?? ground(s, laid, true) ?? dust(s);
}

function dryWork(s: Surface): Reason | undefined {
  return s.phase === 'wet' ? 'wet-touched' : undefined;
}

/** A file wants what it cuts hard through and not sticky. */
function underTheFile(s: Surface): Reason | undefined {
  if (s.phase === 'wet' || s.phase === 'gelled') return 'wet-touched';
  return s.finish === 'tacky' ? 'tacky-filed' : undefined;
}

function filed(s: Surface): Surface {
  return { ...s, finish: 'keyed', soil: 'dust', prep: 'none' };
}

/** Nothing is forced off a plate: old product comes off once it is soft. */
function forcedOff(s: Surface): Reason | undefined {
  return dryWork(s) ?? (s.material === 'old' && s.phase === 'cured' ? 'not-softened' : undefined);
}

function bared(finish: Finish) {
  return (s: Surface): Surface =>
    s.material === 'old' ? { material: 'plate', phase: 'bare', finish, soil: 'clean', prep: 'none' } : s;
}

const OLD_LEFT = 'New product over old has nothing to hold it but what is already lifting.';

function stoneIn(...materials: Material[]) {
  return (s: Surface): Reason | undefined => {
    if (s.soil === 'oil') return 'oil-before-layer';
    return s.phase === 'wet' && materials.includes(s.material) ? undefined : 'needs-wet';
  };
}
const stone = (): Surface => ({
  material: 'stone',
  phase: 'wet',
  finish: 'slick',
  soil: 'clean',
  prep: 'none',
});

/** What clings to tack, or sinks into what is wet. */
function ontoTack(s: Surface): Reason | undefined {
  if (s.soil === 'oil') return 'oil-before-layer';
  if (s.phase === 'wet') return undefined;
  return s.finish === 'tacky' && s.phase !== 'bare' ? dust(s) : 'no-grip';
}

/** What a sticker clings to, and an image is rolled onto. */
function isHardFilm(s: Surface): boolean {
  const bare = s.material === 'plate' || s.material === 'form' || s.material === 'stone';
  return !bare && s.finish !== 'powdered';
}

/** What the ground has not taken of a powder lies loose on it. */
function powdered(s: Surface): Surface {
  return { ...s, finish: 'powdered', soil: 'dust' };
}

/** Something thin lies on what was there, as hard as that is. */
function lain(s: Surface): Surface {
  return {
    material: 'piece',
    phase: s.phase === 'bare' ? 'wet' : s.phase,
    finish: 'shine',
    soil: 'clean',
    prep: 'none',
  };
}

export const TABLE = {
  sanitise: {
    wants: 'both people’s hands',
    refuses: () => undefined,
    leaves: same,
    missed: { words: 'Hands that are not clean carry infection to skin that is about to be opened.' },
  },
  'push-back': {
    wants: 'a nail with nothing wet on it',
    refuses: dryWork,
    leaves: same,
    missed: { words: 'Product over cuticle lifts within days.' },
  },
  soak: {
    waited: 'what is on the nails to soften',
    wants: 'the old product',
    refuses: (s) => dryWork(s) ?? (s.material === 'old' && s.finish === 'shine' ? 'still-sealed' : undefined),
    // The remover takes the dust of the opened seal along.
    leaves: (s) => ({ ...s, soil: 'clean', ...(s.material === 'old' ? { phase: 'gelled' } : {}) }),
    missed: {
      words: OLD_LEFT,
      grave: true,
    },
  },
  'stones-off': {
    wants: 'an old set with stones on it',
    refuses: dryWork,
    leaves: same,
    missed: { words: 'Remover does not get below a stone, and what is levered up takes plate with it.' },
  },
  'open-seal': {
    wants: 'old product under its top',
    refuses: underTheFile,
    leaves: filed,
    dusty: true,
    missed: { words: 'A sealed top keeps the remover out.' },
  },
  'push-off': {
    wants: 'old product that the remover has softened',
    refuses: forcedOff,
    leaves: bared('keyed'),
    bares: true,
    missed: { words: OLD_LEFT, grave: true },
  },
  'file-down': {
    wants: 'hard old product',
    refuses: underTheFile,
    leaves: (s) => ({ ...bared('keyed')(s), soil: 'dust' }),
    dusty: true,
    bares: true,
    missed: { words: OLD_LEFT, grave: true },
  },
  'lift-off': {
    wants: 'a set on a peelable base',
    refuses: dryWork,
    leaves: bared('keyed'),
    bares: true,
    missed: { words: OLD_LEFT, grave: true },
  },
  remover: {
    wants: 'old lacquer',
    refuses: dryWork,
    leaves: bared('shine'),
    bares: true,
    missed: { words: OLD_LEFT, grave: true },
  },
  'file-back': {
    wants: 'an old set that is hard, its sticky layer long gone',
    refuses: underTheFile,
    // The file stays off the new growth, which keeps its shine.
    leaves: (s) => (s.material === 'old' ? filed(s) : { ...s, soil: 'dust' }),
    dusty: true,
    missed: {
      words: 'New product over an old top lifts from it, and the step at the new growth cracks.',
      grave: true,
    },
  },
  shape: {
    wants: 'a dry free edge',
    refuses: dryWork,
    leaves: (s) => ({ ...s, soil: 'dust' }),
    dusty: true,
  },
  buff: {
    wants: 'a dry surface that is not tacky',
    refuses: underTheFile,
    leaves: filed,
    dusty: true,
  },
  'dust-off': {
    wants: 'a dry surface, or one that is covered with powder',
    refuses: (s) => (s.finish === 'powdered' ? undefined : dryWork(s)),
    leaves: (s) => ({ ...s, soil: s.soil === 'dust' ? 'clean' : s.soil }),
  },
  wipe: {
    wants: 'a cured or dry surface',
    // A tip is hard itself, whatever lies below it: its spill is wiped while that is wet.
    refuses: (s) => (s.material === 'tip' ? undefined : dryWork(s)),
    leaves: (s) => ({ ...s, finish: s.finish === 'tacky' ? 'wiped' : s.finish, soil: 'clean' }),
  },
  'wipe-spill': {
    wants: 'a spill that is flashed and not yet cured',
    as: 'wipe',
    // A tip is hard itself, whatever lies below it: its spill is wiped while that is wet.
    refuses: (s) => (s.material === 'tip' ? undefined : dryWork(s)),
    leaves: (s) => ({ ...s, finish: s.finish === 'tacky' ? 'wiped' : s.finish, soil: 'clean' }),
    missed: {
      words:
        'What is pressed out hardens on skin and at the walls: a pocket that lifts, and a road to allergy.',
    },
  },
  dehydrate: {
    waited: 'the dehydrator to dry',
    wants: 'a buffed, clean plate',
    refuses: (s) => dryWork(s) ?? (s.soil === 'oil' ? 'oil-before-layer' : dust(s)),
    leaves: (s) => ({ ...s, prep: s.material === 'plate' ? 'dehydrated' : s.prep }),
  },
  prime: {
    waited: 'the primer to dry',
    wants: 'a buffed, dehydrated plate',
    refuses: (s) => {
      if (s.phase === 'wet') return 'wet-touched';
      if (s.soil === 'oil') return 'oil-before-layer';
      if (s.material === 'plate' && (s.prep === 'none' || s.finish !== 'keyed')) return 'unprepared-plate';
      return dust(s);
    },
    leaves: (s) => ({ ...s, prep: s.material === 'plate' ? 'primed' : s.prep }),
    missed: { words: 'Your practice primes the plate: without it the base holds on by the sanding alone.' },
  },
  base: {
    waited: 'the base to dry',
    wants: 'a buffed, dust-free, dehydrated plate, or a keyed clean extension',
    refuses: filmOver,
    leaves: film,
  },
  'press-on': {
    wants: 'a cured base, tacky or wiped, or a primed plate',
    refuses: filmOver,
    leaves: () => ({ material: 'tip', phase: 'wet', finish: 'shine', soil: 'clean', prep: 'none' }),
    lengthens: 'tip',
  },
  'fill-tip': {
    wants: 'a tip that its fixing gel holds',
    refuses: (s) => (s.material === 'tip' && s.phase !== 'cured' ? 'uncured-covered' : dryWork(s)),
    leaves: same,
  },
  'glue-tip': {
    wants: 'a keyed plate without dust, dehydrated and primed after the blending; or a cured film, keyed',
    refuses: (s) => {
      if (s.material !== 'plate')
        return filmOver(s, 'glue') ?? (s.finish === 'keyed' ? undefined : 'no-grip');
      return oilOrWet(s) ?? (s.finish === 'keyed' ? dust(s) : 'unprepared-plate');
    },
    leaves: () => ({ material: 'tip', phase: 'wet', finish: 'shine', soil: 'clean', prep: 'none' }),
    lengthens: 'tip',
  },
  blend: {
    wants: 'a tip that its glue holds',
    refuses: underTheFile,
    leaves: filed,
    dusty: true,
    missed: {
      words:
        'The seam of a half tip that is not blended shows as a ridge, and what lies over it cracks there.',
      grave: true,
    },
  },
  'stick-on-stand': {
    wants: 'a clean stand',
    refuses: () => undefined,
    leaves: () => ({ material: 'tip', phase: 'cured', finish: 'shine', soil: 'clean', prep: 'none' }),
    lengthens: 'stand',
  },
  'fit-form': {
    wants: 'a dry nail',
    refuses: dryWork,
    leaves: same,
    lengthens: 'form',
    wears: true,
    missed: { words: 'There is nothing for the extension to be built on.', grave: true },
  },
  sculpt: {
    waited: 'the beads to stiffen',
    wants: 'a primed plate, a form, or keyed clean acrylic or tip',
    refuses: filmOver,
    leaves: film,
  },
  tap: {
    wants: 'acrylic that has had its time',
    refuses: (s) => (s.phase === 'wet' || s.phase === 'gelled' ? 'wet-touched' : undefined),
    leaves: same,
    missed: { words: 'Acrylic that is filed before it rings takes dents and lifts.' },
  },
  pinch: {
    wants: 'what holds its place and still gives',
    refuses: (s) => {
      if (s.phase === 'wet') return 'wet-touched';
      return s.phase === 'cured' && s.material !== 'tip' ? 'needs-wet' : undefined;
    },
    leaves: same,
  },
  magnet: {
    wants: 'magnetic gel that is still wet',
    refuses: (s) => (s.phase === 'wet' ? undefined : 'needs-wet'),
    leaves: same,
    missed: { words: 'Without the magnet the shimmer lies where it fell, and shows nothing.' },
  },
  'form-off': {
    wants: 'an extension that is hard',
    refuses: (s) => {
      if (s.material === 'form') return 'nothing-built';
      return s.phase === 'wet' || s.phase === 'gelled' ? 'wet-touched' : undefined;
    },
    leaves: same,
    wears: false,
    missed: { words: 'The form is still on the finger.', grave: true },
  },
  'fill-mould': {
    waited: 'the bead in the mould to stiffen',
    wants: 'a mould that fits',
    refuses: () => undefined,
    leaves: same,
    missed: { words: 'An empty mould builds nothing.', grave: true },
  },
  'press-mould': {
    waited: 'the acrylic in the mould to set',
    wants: 'a cured base, tacky or wiped, or a primed plate',
    refuses: filmOver,
    leaves: film,
    lengthens: 'form',
    wears: true,
  },
  'mould-off': {
    wants: 'gel that is cured through its mould',
    refuses: (s) => (s.phase === 'wet' || s.phase === 'gelled' ? 'wet-touched' : undefined),
    // Air keeps gel sticky as it cures, and under the mould there was none: it comes out hard and shining.
    leaves: (s) => ({ ...s, finish: s.material === 'plate' ? s.finish : 'shine' }),
    wears: false,
    missed: { words: 'The mould is still on the nail.', grave: true },
  },
  sprinkle: {
    wants: 'wet clear gel',
    refuses: (s) => (s.phase === 'wet' && s.material === 'clear' ? undefined : 'needs-wet'),
    leaves: same,
    missed: { words: 'Without its powder the layer is thin gel and nothing more.' },
  },
  dip: {
    waited: 'the layer to take its powder',
    wants: 'a prepared plate, keyed hard dip, or the powder of the layer before',
    refuses: (s, laid) => {
      if (s.soil === 'oil') return 'oil-before-layer';
      if (s.material === 'dip' && s.phase === 'wet') return dust(s);
      return filmOver(s, laid);
    },
    // Loose powder lies on it until it is brushed off.
    leaves: (s, laid) => ({ ...film(s, laid), finish: 'powdered', soil: 'dust' }),
  },
  activate: {
    waited: 'the activator to harden it',
    wants: 'layers of dip that have taken their powder',
    refuses: (s) => (s.material === 'dip' ? dust(s) : s.material === 'form' ? undefined : 'needs-wet'),
    leaves: same,
    missed: { words: 'Dip without activator stays soft below for hours.', grave: true },
  },
  coat: {
    waited: 'the coat to dry',
    wants: 'a tacky or wiped film, or a keyed and clean one',
    refuses: filmOver,
    leaves: film,
  },
  draw: {
    wants: 'any cured film that is clean, slick ones too',
    refuses: drawnOver,
    leaves: film,
  },
  burnish: {
    wants: 'a slick no-wipe top, straight from the lamp',
    // Flakes are a sheet of many, and are burnished as powder is.
    refuses: (s, laid) => filmOver(s, laid === 'sheet' ? 'powder' : laid),
    leaves: powdered,
    powders: true,
  },
  rub: {
    wants: 'a film that is cured and still tacky',
    refuses: filmOver,
    leaves: powdered,
    powders: true,
  },
  strew: {
    wants: 'a tacky film, or one that is still wet',
    refuses: ontoTack,
    leaves: (s) => powdered(lain(s)),
  },
  'lay-sheet': {
    wants: 'a tacky film, or a wet clear one',
    refuses: ontoTack,
    leaves: lain,
  },
  stick: {
    wants: 'tack, or any film that is hard, clean and not powdered',
    refuses: (s) => oilOrWet(s) ?? (isHardFilm(s) ? dust(s) : 'no-grip'),
    leaves: lain,
  },
  stamp: {
    wants: 'a dry film: slick, matte, keyed or wiped, and clean',
    refuses: (s) => oilOrWet(s) ?? (isHardFilm(s) && s.finish !== 'tacky' ? dust(s) : 'no-grip'),
    leaves: lain,
  },
  bed: {
    wants: 'a tacky or wiped film, or a keyed and clean one',
    refuses: filmOver,
    leaves: film,
  },
  place: {
    wants: 'thin wet clear; leaf and other fine pieces also hold on a tacky film',
    refuses: (s, laid) => {
      if (s.soil === 'oil') return 'oil-before-layer';
      if (s.phase === 'wet') return undefined;
      return laid === 'fine-piece' && s.finish === 'tacky' && s.phase !== 'bare' ? dust(s) : 'needs-wet';
    },
    leaves: (s) => ({
      material: 'piece',
      phase: s.phase === 'bare' ? 'wet' : s.phase,
      finish: 'tacky',
      soil: 'clean',
      prep: 'none',
    }),
  },
  press: {
    wants: 'pieces that still give',
    refuses: (s) => (s.phase === 'cured' && s.material !== 'piece' ? 'needs-wet' : undefined),
    leaves: same,
  },
  cap: {
    waited: 'the beads to set',
    wants: 'a film that is tacky, wiped or keyed; pieces on it flashed or cured',
    refuses: filmOver,
    leaves: film,
  },
  file: {
    wants: 'a cured surface with the sticky layer wiped off',
    refuses: underTheFile,
    leaves: filed,
    dusty: true,
    missed: {
      words: 'A cap that is not levelled keeps every bump, and the free edge stays as thick as it fell.',
    },
  },
  top: {
    waited: 'the top to dry',
    wants: 'a hard film that is clean, without stones',
    refuses: filmOver,
    leaves: film,
  },
  'matte-top': {
    waited: 'the top to dry',
    wants: 'a hard film that is clean, without stones',
    refuses: filmOver,
    leaves: film,
  },
  underside: {
    wants: 'a free edge that is finished above',
    refuses: dryWork,
    leaves: same,
    fromBelow: true,
  },
  'top-over': {
    waited: 'the top to dry',
    wants: 'a hard film that is clean, with stones that are set and hard',
    refuses: (s, laid) =>
      s.material !== 'stone' ? filmOver(s, laid) : s.phase === 'wet' ? 'uncured-covered' : dust(s),
    leaves: film,
  },
  bead: {
    wants: 'a tacky, wiped or keyed film; instant glue holds on slick ones too',
    refuses: filmOver,
    leaves: film,
  },
  'set-in-top': {
    wants: 'wet top coat or another wet clear, thick enough to hold a stone',
    refuses: stoneIn('top', 'clear'),
    leaves: stone,
  },
  'set-in-colour': {
    wants: 'a wet coat of colour, or another thin wet clear',
    refuses: stoneIn('gel', 'art', 'lacquer', 'clear'),
    leaves: stone,
  },
  'set-in-bead': {
    waited: 'the acrylic round the rim to set',
    wants: 'a wet bead of bedding gel, glue or acrylic',
    refuses: stoneIn('clear', 'glue', 'acrylic'),
    leaves: stone,
  },
  flash: { wants: 'anything', refuses: () => undefined, leaves: same },
  cure: { wants: 'anything', refuses: () => undefined, leaves: same },
  rest: { wants: 'anything', refuses: () => undefined, leaves: same },
  make: {
    waited: 'what was made to harden',
    wants: 'a mould or a mat, off the nail',
    refuses: () => undefined,
    leaves: same,
    missed: { words: 'What is to be set is not there yet.', grave: true },
  },
  'paint-body': {
    wants: 'a stone or charm that is held and hard',
    refuses: (s) =>
      s.phase === 'wet' ? 'uncured-covered' : s.soil === 'oil' ? 'oil-before-layer' : undefined,
    leaves: same,
  },
  'peel-layer': {
    wants: 'a plate that is clean, dull and free of dust, or the layer before it',
    refuses: (s) => oilOrWet(s) ?? dust(s),
    leaves: film,
    missed: { words: 'Without it nothing lets go of the plate again.' },
  },
  'ready-tip': {
    wants: 'a tip that fits',
    refuses: () => undefined,
    leaves: same,
    missed: {
      words:
        'A tip that was never sized and etched lifts or cracks at the sides, and fixing gel slides off it.',
      grave: true,
    },
  },
  oil: {
    wants: 'a finished nail, dry to the touch, nothing loose on it',
    // What lies loose is glued on by it.
    refuses: (s) => dryWork(s) ?? (s.finish === 'powdered' ? dust(s) : undefined),
    leaves: (s) => ({ ...s, soil: 'oil' }),
  },
} as const satisfies Record<string, Row>;

export type Verb = keyof typeof TABLE;
export const VERBS = Object.keys(TABLE) as Verb[];

export function rowOf(verb: Verb): Row {
  return TABLE[verb];
}

/** Work that lays a film, whose ground follows from what is laid. */
const LAYS_FILM: readonly Verb[] = [
  'base',
  'coat',
  'draw',
  'sculpt',
  'bed',
  'cap',
  'bead',
  'burnish',
  'rub',
  'top',
  'matte-top',
];
const FINISH_WANTED: Record<Finish, string> = {
  tacky: 'tacky',
  wiped: 'wiped',
  keyed: 'keyed',
  slick: 'slick',
  matte: 'matte',
  powdered: 'powdered',
  shine: 'shining',
};

/**
 * What a piece of work wants below it, in words: of a film made of the very rows that decide whether it holds, so that they cannot
 * say another.
 */
export function wantsFor(verb: Verb, laid: Laid): string {
  if (verb === 'place') return laid === 'fine-piece' ? 'thin wet clear, or a tacky film' : 'thin wet clear';
  if (!LAYS_FILM.includes(verb) || laid === 'nothing') return rowOf(verb).wants;
  // Flakes are a sheet of many, and are burnished as powder is.
  const as = verb === 'burnish' && laid === 'sheet' ? 'powder' : laid;
  const finishes = [
    ...(HOLDS_ON[as] ?? GEL_HOLDS_ON),
    ...(verb === 'draw' && GELS.includes(laid) ? (['slick', 'matte'] as const) : []),
  ];
  const words = [...new Set(finishes)].map((one) => FINISH_WANTED[one]);
  const last = words.length > 1 ? ` or ${words.at(-1)}` : '';
  const film = `a hard film, clean, that is ${words.slice(0, words.length > 1 ? -1 : 1).join(', ')}${last}`;
  return [
    film,
    ...(MELTS.includes(laid) ? [`soft ${laid}`] : []),
    ...(ON_PLATE.includes(laid) ? [WANTS_PRIMER.includes(laid) ? 'a primed plate' : 'a prepared plate'] : []),
  ].join('; or ');
}

interface Lookup {
  /** Index into REASONS plus one, by surface code; 0 where it holds. */
  refuses: Uint8Array;
  leaves: Uint16Array;
}

const LOOKUPS = new Map<Verb, Map<Laid, Lookup>>();

/** The table of one verb and what it lays, over all encoded surfaces. */
export function lookup(verb: Verb, laid: Laid): Lookup {
  let ofVerb = LOOKUPS.get(verb);
  if (!ofVerb) LOOKUPS.set(verb, (ofVerb = new Map()));
  let made = ofVerb.get(laid);
  if (!made) {
    const row = rowOf(verb);
    made = {
      refuses: Uint8Array.from(ALL_SURFACES, (s) => {
        const reason = row.refuses(s, laid);
        return reason ? REASONS.indexOf(reason) + 1 : 0;
      }),
      leaves: Uint16Array.from(ALL_SURFACES, (s) => encode(row.leaves(s, laid))),
    };
    ofVerb.set(laid, made);
  }
  return made;
}
