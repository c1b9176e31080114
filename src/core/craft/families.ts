import type { ProductFamily } from '../model/product';
import type { Surface } from './surfaces';

interface Family {
  words: string;
  /** The finish a cured film of it has; undefined for what leaves no film. */
  cured?: Surface['finish'];
}

/** What each product family leaves behind (common practice). */
export const FAMILIES: Record<ProductFamily, Family> = {
  'base-gel': { words: 'base gel', cured: 'tacky' },
  'gel-colour': { words: 'gel colour', cured: 'tacky' },
  'liner-gel': { words: 'liner gel', cured: 'tacky' },
  'builder-gel': { words: 'builder gel', cured: 'tacky' },
  'bedding-gel': { words: 'bedding gel', cured: 'tacky' },
  'fixing-gel': { words: 'fixing gel', cured: 'tacky' },
  'top-no-wipe': { words: 'no-wipe top', cured: 'slick' },
  'top-wipe': { words: 'wipe top', cured: 'tacky' },
  'top-matte': { words: 'matte top', cured: 'matte' },
  dehydrator: { words: 'dehydrator' },
  primer: { words: 'primer' },
  cleanser: { words: 'cleanser' },
  oil: { words: 'cuticle oil' },
};
