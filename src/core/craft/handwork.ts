import type { Laid } from './families';
import type { Verb } from './surfaces';

/**
 * Guide seconds of hand work on one nail of usual size (common practice, rough; what each is made up of stands in
 * docs/hand-times.md); elements with many pieces add theirs. What is done for a whole hand is given as one nail's share.
 */
export const HAND_S: Record<Verb, number> = {
  sanitise: 3,
  'push-back': 80,
  'stones-off': 40,
  'open-seal': 15,
  soak: 12,
  'push-off': 22,
  'file-down': 180,
  'lift-off': 45,
  remover: 12,
  'file-back': 120,
  shape: 40,
  buff: 20,
  'dust-off': 2,
  wipe: 5,
  'wipe-spill': 5,
  dehydrate: 3,
  prime: 3,
  base: 18,
  make: 40,
  'paint-body': 25,
  'peel-layer': 30,
  'ready-tip': 120,
  'press-on': 25,
  'fill-tip': 30,
  'glue-tip': 30,
  blend: 60,
  'stick-on-stand': 30,
  'fit-form': 45,
  sculpt: 150,
  tap: 3,
  pinch: 15,
  'form-off': 8,
  'fill-mould': 40,
  'press-mould': 30,
  'mould-off': 10,
  sprinkle: 12,
  dip: 25,
  activate: 12,
  coat: 20,
  draw: 40,
  magnet: 8,
  burnish: 45,
  rub: 30,
  strew: 15,
  'lay-sheet': 40,
  stick: 20,
  stamp: 25,
  bed: 12,
  place: 10,
  press: 5,
  cap: 40,
  file: 90,
  top: 18,
  'matte-top': 18,
  'top-over': 18,
  underside: 20,
  bead: 5,
  'set-in-top': 8,
  'set-in-colour': 8,
  'set-in-bead': 8,
  flash: 0,
  cure: 0,
  rest: 0,
  oil: 4,
};

/** Film work, rubbing and filing go with the area they cover. */
const BY_AREA: ReadonlySet<Verb> = new Set([
  'base',
  'coat',
  'bed',
  'cap',
  'sculpt',
  'press-mould',
  'dip',
  'strew',
  'lay-sheet',
  'burnish',
  'rub',
  'file',
  'file-down',
  'file-back',
  'top',
  'matte-top',
  'top-over',
]);
/** A middle finger's nail on a usual hand. */
const USUAL_AREA_MM2 = 160;
/** What goes into loading the brush, and into the edges and walls, whatever the area. */
const FIXED_SHARE = 0.4;

/** Whole seconds that work takes on `area_mm2`, for an artist who needs `pace` times the guide. */
export function workSeconds(verb: Verb, guide_s: number, area_mm2: number, pace: number): number {
  const share = BY_AREA.has(verb) ? FIXED_SHARE + (1 - FIXED_SHARE) * (area_mm2 / USUAL_AREA_MM2) : 1;
  return guide_s === 0 ? 0 : Math.max(1, Math.round(guide_s * share * pace));
}

/** Factor on the guide times (common practice, rough), until the artist's own are known. */
export const PACE = { new: 1.5, usual: 1, practised: 0.75 } as const;

/** Quick and slow hands about the guide times (common practice). */
export const REACH = { quick: 0.9, slow: 1.3 } as const;

export const SKIN = 'Keep uncured gel off the skin; wipe any that touches it before the lamp.';
export const DUST = 'Use extraction and a mask; dust from the file irritates skin and lungs.';

export const GLUE = 'Instant glue bonds skin at once and stings: a small bead, and none of it near the skin.';
export const MONOMER =
  'Monomer needs air and burns the skin: no bead touches it, and none on a damaged plate.';

/** The same inside a tip that nobody wears yet: no plate is thinned and no nail heats, dust and wet gel are as they are. */
export function inTipCaution(verb: Verb): string | undefined {
  const caution = CAUTIONS[verb];
  if (!caution) return undefined;
  if (caution.endsWith(DUST)) return DUST;
  return caution.endsWith(SKIN) ? SKIN : verb === 'wipe' ? caution : undefined;
}

/** What lies in the film itself, where that is not gel: uncured gel is no danger of monomer, nor of a solvent. */
const OF_LAID: Partial<Record<Laid, string>> = {
  acrylic: MONOMER,
  dip: 'Powder over clean trays, none on the skin, and none of it breathed in.',
  lacquer: 'Lacquer is flammable and its solvent wants air; none of it on the skin.',
};

/** The caution of some work, by what it lays and by what it takes off. */
export function cautionFor(verb: Verb, laid: Laid, words: string): string | undefined {
  const own = CAUTIONS[verb];
  if (verb === 'wipe') return words.startsWith('Wipe the sticky') ? own : WIPED_CLEAN;
  return own?.endsWith(SKIN) ? (OF_LAID[laid] ?? own) : own;
}
const WIPED_CLEAN = 'Alcohol is flammable and needs air: away from the lamp, and off broken skin.';

/** One line of caution where the work can hurt. Always under the product's directions, local code and licence. */
export const CAUTIONS: Partial<Record<Verb, string>> = {
  sanitise: 'No service on broken or infected skin or nails; tools are disinfected or thrown away.',
  'stones-off': 'Stones fly: cover the eyes, and nip them from the side.',
  'open-seal': DUST,
  soak: 'Acetone burns and needs air; never force product off the plate.',
  'push-off': 'Never forced: what holds soaks on, or a layer of the plate comes with it.',
  'file-down': 'The last film is as thin as the plate is tender: stop where it hurts or warms. ' + DUST,
  'lift-off': 'Never pulled: what holds is soaked, or a layer of the plate comes with it.',
  remover: 'Remover is flammable and drying and needs air.',
  'file-back': 'The file stays off the new growth. ' + DUST,
  buff: 'Only the shine comes off: over-filing thins the plate. ' + DUST,
  shape: DUST,
  file: DUST,
  dehydrate: 'Flammable and drying; keep it off broken skin and away from the lamp.',
  prime: 'Primer can burn: a thin film on the plate only, never on skin.',
  base: SKIN,
  coat: SKIN,
  draw: SKIN,
  magnet: 'Strong magnets stay away from pacemakers and other implants; metal rings come off.',
  burnish: 'Keep loose powder out of the air you breathe, and out of bottles.',
  rub: 'Keep loose powder out of the air you breathe, and out of bottles.',
  strew: 'Keep loose grains out of eyes and out of the air you breathe.',
  bed: SKIN,
  cap: 'Thick gel heats as it cures: take the hand out at once if it burns. ' + SKIN,
  'press-on': 'Too much fixing gel runs onto the skin: wipe the spill while it is only flashed.',
  'ready-tip': DUST,
  'fill-tip': SKIN,
  'glue-tip': GLUE,
  blend: 'Only the tip is thinned: the file stays off the plate. ' + DUST,
  sculpt: MONOMER,
  pinch: 'Never where it hurts: the plate below gives less than the product.',
  'press-mould': 'Gel that is pressed out reaches the skin: wipe it while it is only flashed.',
  sprinkle: 'Keep loose powder out of the air you breathe, and out of bottles.',
  dip: 'Powder over clean trays, none on the skin, and none of it breathed in.',
  activate: 'Activator heats the layers as it hardens them, and is kept off the skin.',
  cure: "Follow the lamp maker's directions; cover the skin around the nail.",
  flash: "Follow the lamp maker's directions; cover the skin around the nail.",
  underside: SKIN,
  'paint-body': SKIN,
  'peel-layer': SKIN,
  'wipe-spill': 'A spill on skin is uncured gel: wiped before the cure, away from the skin.',
  wipe: 'Alcohol needs air; the wiped-off residue is uncured gel: fold the wipe inwards.',
};
