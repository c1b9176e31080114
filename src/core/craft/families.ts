import { within } from '../model/limits';
import { DEPTH_UM, type Product, type ProductFamily } from '../model/product';
import type { Finish, Material } from './surface';
import type { Was } from './was';

/** How a product becomes hard: by a lamp, by its solvent leaving, by itself, by an activator brushed on, or not at all. */
export type Hardening = 'lamp' | 'dries' | 'sets' | 'activator' | 'never';

/**
 * What is laid, as far as grip goes. Colour wants a film under it; base, two-stage colour and structure gels
 * also lie on a prepared plate; art gel, glue and powder have grounds of their own.
 */
export const LAID = [
  'nothing',
  'base',
  'gel',
  'two-stage',
  'structure',
  'acrylic',
  'dip',
  'top',
  'art',
  'powder',
  'pearl',
  'lacquer',
  'glue',
  'piece',
  'grains',
  'sheet',
  'fine-piece',
  'stone',
] as const;
export type Laid = (typeof LAID)[number];

export interface Family {
  words: string;
  hardens: Hardening;
  laid: Laid;
  /** What a film of it is made of. */
  material: Material;
  /** The finish a hard film of it has. */
  finish: Finish;
  /** Held by hand until it has set: too short a time to do anything else in. */
  held?: true;
  /** Of powder: how much of it mirrors, how coarse that is, and whether it shines before it is topped (by the look of it). */
  powder?: { mirrors: number; grain: number; gloss: boolean };
  /** Guide times where the product's own direction says nothing (common practice). */
  guide?: { cure_s: number; flash_s: number; depth_um: number } | { working_s: number; dry_s: number };
  /** How a product of it was written in earlier versions of a file. */
  was?: Was;
}

const LAMP = { cure_s: 60, flash_s: 10, depth_um: 200 };

function gel(words: string, laid: Laid, material: Material, finish: Finish = 'tacky'): Family {
  return { words, hardens: 'lamp', laid, material, finish, guide: LAMP };
}

function lacquer(words: string): Family {
  return {
    words,
    hardens: 'dries',
    laid: 'lacquer',
    material: 'lacquer',
    finish: 'wiped',
    guide: { working_s: 60, dry_s: 240 },
  };
}

function filmless(words: string): Family {
  return { words, hardens: 'never', laid: 'nothing', material: 'gel', finish: 'tacky' };
}

/** What each product family is and leaves behind (common practice). */
export const FAMILIES: Record<ProductFamily, Family> = {
  'base-gel': gel('base gel', 'base', 'gel'),
  'peel-off-base': gel('peel-off base', 'base', 'gel'),
  'gel-colour': gel('gel colour', 'gel', 'gel'),
  'two-stage-colour': gel('two-stage colour', 'two-stage', 'gel'),
  'art-gel': gel('art gel', 'art', 'art', 'slick'),
  'liner-gel': gel('liner gel', 'gel', 'gel'),
  'magnetic-gel': gel('magnetic gel', 'gel', 'gel'),
  'foil-gel': gel('foil gel', 'gel', 'gel'),
  'builder-gel': gel('builder gel', 'structure', 'clear'),
  'putty-gel': gel('putty gel', 'structure', 'clear'),
  acrylic: {
    words: 'acrylic',
    hardens: 'sets',
    laid: 'acrylic',
    material: 'acrylic',
    finish: 'shine',
    guide: { working_s: 90, dry_s: 300 },
  },
  dip: { words: 'dip', hardens: 'activator', laid: 'dip', material: 'dip', finish: 'shine' },
  'dip-base': filmless('dip base'),
  'dip-activator': filmless('dip activator'),
  'bedding-gel': gel('bedding gel', 'structure', 'clear'),
  'fixing-gel': gel('fixing gel', 'structure', 'clear'),
  'top-no-wipe': gel('no-wipe top', 'top', 'top', 'slick'),
  'top-wipe': gel('wipe top', 'top', 'top'),
  'top-matte': gel('matte top', 'top', 'top', 'matte'),
  'mirror-powder': {
    words: 'mirror powder',
    hardens: 'never',
    laid: 'powder',
    material: 'top',
    finish: 'powdered',
    powder: { mirrors: 1, grain: 0.04, gloss: true },
  },
  'pearl-powder': {
    words: 'pearl powder',
    hardens: 'never',
    laid: 'pearl',
    material: 'top',
    finish: 'powdered',
    powder: { mirrors: 0.55, grain: 0.2, gloss: false },
  },
  lacquer: lacquer('lacquer'),
  'lacquer-base': lacquer('lacquer base'),
  'lacquer-top': lacquer('lacquer top'),
  'instant-glue': {
    words: 'instant glue',
    hardens: 'sets',
    held: true,
    laid: 'glue',
    material: 'glue',
    finish: 'slick',
    guide: { working_s: 15, dry_s: 18 },
  },
  dehydrator: filmless('dehydrator'),
  primer: filmless('primer'),
  cleanser: filmless('cleanser'),
  remover: filmless('remover'),
  oil: filmless('cuticle oil'),
};

/** Thickness of one coat of a product, in µm; a guide where its direction says nothing. */
export function coatOf(product: Product): number {
  return product.coat_um ?? 50;
}

/** The lamp figures of a product: its own direction, or the guide of its family. Undefined for what no lamp hardens. */
export function lampOf(product: Product): NonNullable<Product['lamp']> | undefined {
  const family = FAMILIES[product.family];
  if (family.hardens !== 'lamp') return undefined;
  const lamp: NonNullable<Product['lamp']> = product.lamp ?? LAMP;
  return lamp.thick ? { ...lamp, depth_um: depthBetween_um(lamp, lamp.thick, coatOf(product)) } : lamp;
}

/** The depth that two times of one direction tell: t₂/t₁ = e^((d₂ − d₁)/D), by the same law as all curing here (Jacobs 1992). */
function depthBetween_um(
  { cure_s }: { cure_s: number },
  thick: { from_um: number; cure_s: number },
  coat_um: number,
): number {
  const more = Math.log(thick.cure_s / cure_s);
  if (more <= 0 || thick.from_um <= coat_um) return DEPTH_UM.max;
  return within(DEPTH_UM, (thick.from_um - coat_um) / more);
}

/** How long a coat dries before anything is laid over it; undefined for what does not dry. */
export function dries_s(product: Product): number | undefined {
  return FAMILIES[product.family].hardens === 'dries' ? settingOf(product)?.dry_s : undefined;
}

/** Working and setting time of what dries or sets by itself, in seconds; undefined for all else. */
export function settingOf(product: Product): { working_s: number; dry_s: number } | undefined {
  const { hardens, guide } = FAMILIES[product.family];
  if ((hardens !== 'dries' && hardens !== 'sets') || !guide || !('dry_s' in guide)) return undefined;
  const dry_s = product.dry_s ?? guide.dry_s;
  return { working_s: Math.min(product.working_s ?? guide.working_s, dry_s), dry_s };
}
