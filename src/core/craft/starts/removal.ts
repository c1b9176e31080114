import { Start, type OldProduct, type StartOf } from '../../model/start';
import { wholePlace, type NailContext } from '../context';
import { HAND_S } from '../handwork';
import type { Draft } from '../operation';
import { ofKind } from '../../model/registry';
import { numberField } from '../technique';
import type { StartKind } from '../start';

type Way = 'soak' | 'file-down' | 'lift-off' | 'remover';

interface Old {
  words: string;
  way: Way;
  /** Guide time of its soak (common practice; the remover's direction goes before it). */
  soak_s?: number;
  apex_um: number;
  /** Its length is clipped off first: what is gone need not soak. */
  clip?: true;
  /** So thick that most of it is filed off before it soaks. */
  thinned?: true;
}

/** How each old product comes off, and how thick it is (common practice). */
const OLD: Record<OldProduct, Old> = {
  gel: { words: 'Gel polish', way: 'soak', soak_s: 720, apex_um: 200 },
  'soft-tip': { words: 'Soft-gel tips', way: 'soak', soak_s: 900, apex_um: 700, clip: true },
  acrylic: { words: 'Acrylic', way: 'soak', soak_s: 900, apex_um: 800, clip: true, thinned: true },
  dip: { words: 'Dip', way: 'soak', soak_s: 900, apex_um: 400 },
  'hard-gel': { words: 'Hard gel', way: 'file-down', apex_um: 600 },
  'peel-off': { words: 'On a peel-off base', way: 'lift-off', apex_um: 250 },
  lacquer: { words: 'Lacquer', way: 'remover', apex_um: 60 },
};

/** Guide time that an old product soaks; undefined for what does not soak. */
export function soakGuide_s(product: OldProduct): number | undefined {
  return OLD[product].soak_s;
}

/** Old product that comes off before anything else. */
export const removal: StartKind<StartOf<'removal'>> = {
  kind: 'removal',
  words: 'Product to come off',
  blurb: 'Soaked, filed, lifted or wiped off, by what it is.',
  fields: ({ product }) => [
    {
      kind: 'choice',
      path: 'product',
      words: 'What comes off',
      choices: Object.entries(OLD).map(([value, old]) => ({ value, words: old.words })),
    },
    ...(OLD[product].soak_s === undefined
      ? []
      : [numberField(ofKind(Start, 'removal'), 'soak_s', 'Soaks for')]),
    { kind: 'switch', path: 'stones', words: 'Stones or charms on it' },
  ],
  follow: (start, path) =>
    path === 'product' ? { ...start, soak_s: OLD[start.product].soak_s ?? start.soak_s } : start,
  fresh: () => ({ kind: 'removal', product: 'gel', soak_s: 720, stones: false }),
  found: ({ product }) => ({ dull: false, old: { from_mm: 0, apex_um: OLD[product].apex_um, stays: false } }),
  // What was under the old product is scraped and rubbed, and evened with a fine buffer.
  shines: () => true,
  clear: ({ product, soak_s, stones }, context) => [
    ...(stones ? [STONES_OFF] : []),
    ...(OLD[product].clip ? [CLIP] : []),
    ...WAYS[OLD[product].way](soak_s, context).map((draft) =>
      OLD[product].thinned && draft.verb === 'open-seal' ? THINNED : draft,
    ),
  ],
};

const place = wholePlace();

/** What stands on an old set comes off before anything else is done to it. */
export const STONES_OFF: Draft = {
  step: 'stones-off',
  verb: 'stones-off',
  words: 'Nip the stones and charms off',
  place,
  hand_s: HAND_S['stones-off'],
  reason: 'Remover does not get below them, and the file jumps on them; from the side, never levered up.',
};

const CLIP: Draft = {
  step: 'clip',
  verb: 'shape',
  words: 'Clip the old length off',
  place,
  hand_s: 15,
  reason: 'What is clipped off need not soak.',
};

const THINNED: Draft = {
  step: 'open-seal',
  verb: 'open-seal',
  words: 'File its top and most of its thickness off',
  place,
  hand_s: HAND_S['open-seal'] * 2,
  reason: 'What is filed off need not soak; a thin film stays, so that the file does not reach the plate.',
};

const WAYS: Record<Way, (soak_s: number, context: NailContext) => Draft[]> = {
  soak: (soak_s, context) => [
    {
      step: 'open-seal',
      verb: 'open-seal',
      words: 'File the top open all over',
      place,
      hand_s: HAND_S['open-seal'],
      reason: 'A sealed top keeps the remover out for as long as you like.',
    },
    soak(
      context,
      1,
      soak_s / 2,
      `Wrap each nail with ${context.role('remover').name}`,
      'Oil on the skin around, a pad on the nail, a wrap over it.',
    ),
    soak(
      context,
      2,
      soak_s / 2,
      'Open one wrap and look, half-way; wrap it again',
      'Where it flakes it is nearly done; where it is still hard the top is opened again.',
    ),
    {
      step: 'push-off',
      verb: 'push-off',
      words: 'Push off what has come loose, rub the rest off',
      place,
      hand_s: HAND_S['push-off'],
      reason: 'Nothing is forced off the plate: what still holds soaks on.',
    },
  ],
  'file-down': () => [
    {
      step: 'file-down',
      verb: 'file-down',
      words: 'File the hard gel down to its last film, then that off with a fine file',
      place,
      hand_s: HAND_S['file-down'],
      reason: 'Hard gel does not soak; the last of it is taken with a fine file and a light hand.',
    },
  ],
  'lift-off': () => [
    {
      step: 'lift-off',
      verb: 'lift-off',
      words: 'Lift the old set off from its sides',
      place,
      hand_s: HAND_S['lift-off'],
      reason: 'With a wooden stick and a drop of warm water; where it still holds it is soaked.',
    },
  ],
  remover: (_soak_s, context) => [
    {
      step: 'remover',
      verb: 'remover',
      words: `Take the lacquer off with ${context.role('remover').name}`,
      product: context.role('remover').id,
      place,
      hand_s: HAND_S.remover,
      reason: 'Pressed on for a moment, then drawn off towards the tip.',
    },
  ],
};

/** A hand at a time; on one's own, who has no hand free in a wrap, both at once. */
function soak(context: NailContext, pass: number, wait_s: number, words: string, reason: string): Draft {
  return {
    step: 'soak',
    pass,
    verb: 'soak',
    words,
    place,
    hand_s: pass === 1 ? HAND_S.soak : HAND_S.soak / 4,
    wait_s: Math.round(wait_s),
    product: context.role('remover').id,
    scope: context.practice.wearer === 'own' ? 'set' : 'hand',
    reason,
  };
}
