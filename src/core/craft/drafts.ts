import type { Product, ProductFamily } from '../model/product';
import { wholePlace, type NailContext } from './context';
import { coatOf, cureSeconds, flashSeconds } from './cure';
import { dries_s, FAMILIES, lampOf, settingOf } from './families';
import { HAND_S } from './handwork';
import type { Draft, Place } from './operation';
import { append } from '../model/extent';

/** Work that techniques and builds share. */

/** A full cure of the product just laid. */
export function cureOf(product: Product, t_um: number, place: Place, step = 'cure', pass = 1): Draft {
  const seconds = cureSeconds(product, t_um);
  return {
    step,
    pass,
    verb: 'cure',
    words: `Cure ${product.name}`,
    place,
    hand_s: HAND_S.cure,
    lamp: { mode: 'cure', seconds },
    reason: `${product.name} hardens in the lamp: ${seconds} s for ${Math.round(t_um)} µm.`,
  };
}

/** A short cure that makes the product hold its place; what sets by itself is left until it is dull. */
export function flashOf(
  product: Product,
  t_um: number,
  place: Place,
  why: string,
  step = 'flash',
  pass = 1,
): Draft {
  const setting = lampOf(product) ? undefined : settingOf(product);
  if (setting) {
    const words = `Let ${product.name} go dull`;
    const reason = `${product.name} sets by itself; no lamp hastens it.`;
    return restDraft({ step, pass, words, place, wait_s: setting.working_s, until: 'dull', reason });
  }
  return {
    step,
    pass,
    verb: 'flash',
    words: `Flash ${product.name}`,
    place,
    hand_s: HAND_S.flash,
    lamp: { mode: 'flash', seconds: flashSeconds(product, t_um) },
    reason: why,
  };
}

/** Time that only passes on a nail, while the artist is free. */
function restDraft(rest: Omit<Draft, 'verb' | 'hand_s'>): Draft {
  return { ...rest, verb: 'rest', hand_s: HAND_S.rest };
}

/** Acrylic left until it is dull: it holds its place, and beads still melt into it. */
export function dullDraft(product: Product, step: string, place: Place, pass = 1): Draft {
  return restDraft({
    step,
    pass,
    words: `Let ${product.name} go dull`,
    place,
    wait_s: settingOf(product)!.working_s,
    until: 'dull',
    reason: 'Dull, it holds the pieces and takes the beads over them; wet, they float up.',
  });
}

/** Acrylic left until it is hard. */
export function setDraft(product: Product, wait_s: number, step: string, place: Place): Draft {
  return restDraft({
    step,
    words: `Let ${product.name} set until it rings`,
    place,
    wait_s,
    until: 'hard',
    reason: 'Filed or knocked before it is hard, it takes dents and lifts.',
  });
}

/** A cure; what glue holds is held by hand until it has set, acrylic is left to. What dries waits after its coat. */
export function hardenOf(product: Product, t_um: number, place: Place, step = 'cure', pass = 1): Draft[] {
  if (lampOf(product)) return [cureOf(product, t_um, place, step, pass)];
  const setting = settingOf(product);
  if (!setting || dries_s(product) !== undefined) return [];
  if (!FAMILIES[product.family].held) return [{ ...setDraft(product, setting.dry_s, step, place), pass }];
  return [
    {
      step,
      pass,
      verb: 'rest',
      words: `Hold until ${product.name} has set`,
      place,
      hand_s: setting.dry_s,
      fixed_s: setting.dry_s,
      held: true,
      reason: `${product.name} sets by itself in ${setting.dry_s} s; no lamp helps it.`,
    },
  ];
}

/** What a wipe takes off, as it is said at a table. */
export const STICKY_OFF = 'Wipe the sticky layer off';
export const LAST_DUST_OFF = 'Wipe the last dust off, lint-free';

export function wipeDraft(
  context: NailContext,
  step: string,
  words: string,
  why: string,
  place = wholePlace(),
): Draft {
  const cleanser = context.role('cleanser');
  return {
    step,
    verb: 'wipe',
    words,
    product: cleanser.id,
    place,
    hand_s: HAND_S.wipe,
    reason: why,
  };
}

/** What a tip or mould pressed out, wiped while it is only flashed. */
export function spillDraft(context: NailContext, words: string, place: Place): Draft {
  const why = 'A flashed spill wipes off cleanly; a cured one lifts.';
  return { ...wipeDraft(context, 'spill', words, why, place), verb: 'wipe-spill' };
}

/** The wipe that a top asks for, or nothing where it leaves no sticky layer. */
export function wipedTop(top: Product, context: NailContext, place = wholePlace()): Draft[] {
  if (top.family !== 'top-wipe') return [];
  return [
    wipeDraft(context, 'wipe', STICKY_OFF, 'This top leaves a sticky layer: wiped off, it shines.', place),
  ];
}

export function dustOffDraft(step: string, why: string): Draft {
  return {
    step,
    verb: 'dust-off',
    words: 'Brush the dust off',
    place: wholePlace(),
    hand_s: HAND_S['dust-off'],
    scope: 'hand',
    reason: why,
  };
}

/** What is finished or ready made a ground: keyed all over, its dust off; `what` it is, and what comes `next` on it. */
export function keyedDrafts(context: NailContext, what: string, next: string, reason: string): Draft[] {
  return [
    {
      step: 'key',
      verb: 'buff',
      words: `Key the ${what} with a fine buffer`,
      place: { ...wholePlace(), margin_mm: 0 },
      hand_s: HAND_S.buff,
      reason,
    },
    dustOffDraft('brush', `Dust under the ${next} lifts it.`),
    wipeDraft(context, 'clean', LAST_DUST_OFF, `Clean before the ${next}.`),
  ];
}

export function baseDraft(context: NailContext, why: string, role: 'base' | 'peel_base' = 'base'): Draft[] {
  const base = context.role(role);
  const place = wholePlace();
  return [
    {
      step: 'base',
      verb: 'base',
      words: base.name,
      product: base.id,
      place,
      deposit: { kind: 'conformal', t_um: coatOf(base) },
      hand_s: HAND_S.base,
      ...(dries_s(base) === undefined ? {} : { wait_s: dries_s(base)! }),
      reason: why,
    },
    ...hardenOf(base, coatOf(base), place, 'cure-base'),
    ...(lampOf(base) && context.practice.base === 'wipe'
      ? [wipeDraft(context, 'wipe-base', STICKY_OFF, 'Wiped base lifts less, says this school.')]
      : []),
  ];
}

/** Base on a part of the nail, for what comes on it there. */
export function baseFor(
  context: NailContext,
  place: Place,
  { step, how, reason }: { step: string; how: string; reason: string },
): Draft {
  const base = context.role('base');
  return {
    step,
    verb: 'base',
    words: `${base.name}, thin, ${how}`,
    product: base.id,
    place,
    deposit: { kind: 'conformal', t_um: coatOf(base) },
    hand_s: HAND_S.base,
    reason,
  };
}

/** Thin base on a part of the nail, cured: its tack is what `what` clings to. */
export function ownTack(context: NailContext, place: Place, what: string): Draft[] {
  const base = context.role('base');
  return [
    baseFor(context, place, {
      step: 'tack',
      how: `for the ${what}`,
      reason: 'What is below has none: grains and sheets cling to a sticky layer and to nothing else.',
    }),
    ...hardenOf(base, coatOf(base), place, 'cure-tack'),
  ];
}

/** Base over a filed build, where the practice does not lay colour straight on it. */
export function baseOver(context: NailContext): Draft[] {
  if (context.practice.filed === 'colour') return [];
  return baseDraft(context, 'A filed build drinks colour unevenly, says this school.').map((draft) => ({
    ...draft,
    step: `${draft.step}-over`,
  }));
}

/** What levelling a build is done with, and takes as a share of the guide, by the practice (common practice). */
const LEVELLING = {
  '100-180': { words: 'Levelled with 100 then 180 grit', share: 1 },
  '100': { words: 'Levelled with 100 grit alone', share: 0.75 },
  '180': { words: 'Levelled with 180 grit alone', share: 1.2 },
} as const;

/** How long what a build is made of resists the file, against builder gel (common practice, rough). */
const RESISTS: Partial<Record<ProductFamily, number>> = { acrylic: 1.15, 'putty-gel': 1.1, dip: 0.75 };

/** What a build of a family is levelled with, and the guide seconds that takes on a usual nail. */
export function levelling({ practice }: NailContext, of: ProductFamily): { words: string; hand_s: number } {
  const { words, share } = LEVELLING[practice.grit];
  return { words, hand_s: HAND_S.file * share * (RESISTS[of] ?? 1) };
}

/** Coats of one film, each hardened before the next. `draft` gives the words of one pass. */
export function coats(
  product: Product,
  passes: number,
  step: string,
  cureStep: string,
  draft: (pass: number) => Omit<Draft, 'step' | 'pass' | 'product'>,
): Draft[] {
  const drafts: Draft[] = [];
  for (let pass = 1; pass <= passes; pass += 1) {
    const coat: Draft = { step, pass, product: product.id, ...draft(pass) };
    if (product.runny && coat.open_s === undefined) coat.open_s = RUNNY_OPEN_S;
    // Each coat dries before the next; the artist is free meanwhile.
    const dry_s = dries_s(product);
    if (dry_s !== undefined) coat.wait_s = dry_s;
    const t_um = coat.deposit && 't_um' in coat.deposit ? coat.deposit.t_um : coatOf(product);
    drafts.push(coat);
    append(drafts, hardenOf(product, t_um, coat.place, cureStep, pass));
  }
  return drafts;
}

/** A runny colour keeps its place only so long before it creeps to the walls (common practice). */
const RUNNY_OPEN_S = 40;

/** Passes a colour needs: its coats to cover, rounded up; a sheer is built in as many as its direction says. */
export function passesOf(product: Product, asked: number | 'cover'): number {
  if (asked !== 'cover') return asked;
  return Math.min(5, Math.max(1, Math.ceil((product.coats_to_cover ?? 2) - 1e-9)));
}

/** What did not take is brushed off before anything wet comes near it. */
export function looseOffDraft(place: Place): Draft {
  return {
    step: 'loose-off',
    verb: 'dust-off',
    words:
      place.region.kind === 'whole'
        ? 'Brush the loose rest off'
        : 'Brush the loose rest off, strays off the plain part with alcohol',
    place,
    hand_s: HAND_S['dust-off'] * 4,
    // At once, over the tray it falls into: not while another nail is wet beside it.
    held: true,
    reason: 'Loose powder under the top dulls the mirror, and gets into the bottle of the top.',
  };
}
