import { FAMILIES, type Laid } from '../craft/families';
import type { Paint } from '../craft/matter';
import type { Verb } from '../craft/surfaces';
import type { ProductFamily } from '../model/product';
import type { SundryUse } from '../model/supply';

/**
 * Share of what leaves its bottle or pot that never lies on a nail: it stays in the brush, on the rim, the palette or the
 * wipe. Rough, from memory of what the trade tells: 15 mL of colour last about fifty sets of two coats, 13 to 15 µL a
 * coat of a nail that holds 9.
 */
const LOST: Record<Laid, number> = {
  nothing: 0,
  base: 0.35,
  gel: 0.35,
  'two-stage': 0.35,
  structure: 0.2,
  acrylic: 0.25,
  dip: 0.3,
  top: 0.35,
  art: 0.5,
  powder: 0.7,
  pearl: 0.7,
  lacquer: 0.35,
  glue: 0.3,
  piece: 0,
  grains: 0.3,
  sheet: 0.4,
  'fine-piece': 0.2,
  stone: 0,
};

/** Where colours are put out beside each other first, more stays behind (from memory). */
const ON_A_PALETTE = 0.5;

/** The share that is lost of a product as it is laid so. */
export function lostOf(family: ProductFamily, paint: Paint | undefined): number {
  const own = LOST[FAMILIES[family].laid];
  const palette = paint !== undefined && paint.kind !== 'product' && paint.kind !== 'shimmer';
  return palette ? Math.max(own, ON_A_PALETTE) : own;
}
export const LOST_OF_GRAINS = LOST.grains;
export const LOST_OF_SHEET = LOST.sheet;

/** µL of what leaves no film, on one nail and each time (common practice, rough). */
export const DOSES_UL: Partial<Record<Verb, number>> = {
  wipe: 150,
  'wipe-spill': 100,
  dehydrate: 30,
  prime: 15,
  activate: 60,
  soak: 1000,
  remover: 500,
  oil: 30,
};

/** µL of the liquid that a layer's powder is taken up with, on one nail (common practice, rough). */
export const LIQUID_UL = 25;

/** What is told by weight: powders. All else is told by volume. */
export function isPowder(family: ProductFamily): boolean {
  return POWDERS.has(FAMILIES[family].laid);
}
const POWDERS: ReadonlySet<Laid> = new Set<Laid>(['acrylic', 'dip', 'powder', 'pearl']);

/** Of a film, in g/mL, where its maker says nothing: acrylates about 1.1, PMMA 1.19, lacquers 0.95 (handbook figures, from memory). */
export function usualDensity_g_ml(family: ProductFamily): number {
  const { laid } = FAMILIES[family];
  if (POWDERS.has(laid)) return 1.19;
  return laid === 'lacquer' ? 0.95 : 1.1;
}

/** As it lies loose in its jar, with air in it (from memory). */
export const LOOSE_G_ML = 0.65;

/** How much of a bead of acrylic is powder, by weight; the rest was liquid (from memory: about two to one and a half). */
export const POWDER_IN_BEAD = 0.6;
/** The liquid of a bead, in g/mL (ethyl methacrylate, handbook), and how much more is dipped than beads take up (rough). */
export const LIQUID_G_ML = 0.917;
export const LIQUID_LOST = 0.4;

/** What is used up with a piece of work and is no product: for a nail, or once a sitting (common practice). */
export const SUNDRIES: readonly {
  use: SundryUse;
  words: string;
  many: string;
  verbs: readonly Verb[];
  /** Of each nail and time; or of the sitting as a whole. */
  a_nail?: number;
  a_set?: number;
}[] = [
  {
    use: 'wipe',
    words: 'lint-free wipe',
    many: 'lint-free wipes',
    verbs: ['wipe', 'wipe-spill', 'dehydrate', 'sanitise'],
    a_nail: 0.2,
  },
  { use: 'form', words: 'form', many: 'forms', verbs: ['fit-form'], a_nail: 1 },
  { use: 'foil wrap', words: 'foil wrap', many: 'foil wraps', verbs: ['soak'], a_nail: 1 },
  { use: 'file', words: 'file', many: 'files', verbs: ['shape', 'file', 'file-back', 'file-down'], a_set: 1 },
  { use: 'buffer', words: 'buffer', many: 'buffers', verbs: ['buff'], a_set: 1 },
  { use: 'wood stick', words: 'wood stick', many: 'wood sticks', verbs: ['push-back'], a_set: 1 },
  { use: 'applicator', words: 'applicator', many: 'applicators', verbs: ['rub'], a_set: 1 },
];
