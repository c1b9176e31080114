import type { Verb } from './surfaces';

/** Guide seconds of hand work on one nail (common practice, rough); elements with many pieces add theirs. */
export const HAND_S: Record<Verb, number> = {
  'push-back': 25,
  soak: 20,
  shape: 30,
  buff: 15,
  'dust-off': 4,
  wipe: 5,
  dehydrate: 4,
  prime: 4,
  base: 15,
  'ready-tip': 50,
  'press-on': 25,
  coat: 20,
  draw: 40,
  burnish: 20,
  bed: 12,
  place: 10,
  press: 5,
  cap: 40,
  file: 45,
  top: 15,
  'matte-top': 15,
  bead: 5,
  'set-in-top': 6,
  'set-in-bead': 6,
  flash: 0,
  cure: 0,
  rest: 0,
  oil: 6,
};

const SKIN = 'Keep uncured gel off the skin; wipe any that touches it before the lamp.';
const DUST = 'Use extraction and a mask; dust from the file irritates skin and lungs.';

/** One line of caution where the work can hurt. Always under the product's directions, local code and licence. */
export const CAUTIONS: Partial<Record<Verb, string>> = {
  soak: 'Acetone burns and needs air; never force product off the plate.',
  buff: 'Only the shine comes off: over-filing thins the plate. ' + DUST,
  shape: DUST,
  file: DUST,
  dehydrate: 'Flammable and drying; keep it off broken skin and away from the lamp.',
  prime: 'Primer can burn: a thin film on the plate only, never on skin.',
  base: SKIN,
  coat: SKIN,
  draw: SKIN,
  burnish: 'Keep loose powder out of the air you breathe, and out of bottles.',
  bed: SKIN,
  cap: 'Thick gel heats as it cures: take the hand out at once if it burns. ' + SKIN,
  'press-on': 'Too much fixing gel runs onto the skin: wipe the spill while it is only flashed.',
  'ready-tip': DUST,
  cure: "Follow the lamp maker's directions; cover the skin around the nail.",
  flash: "Follow the lamp maker's directions; cover the skin around the nail.",
  wipe: 'Alcohol needs air; the wiped-off residue is uncured gel: fold the wipe inwards.',
};
