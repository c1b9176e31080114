/** The shapes that ready-made charms are told apart by; how each is formed stands in craft/charmForms.ts. */
export const CHARM_SHAPES = [
  'oval',
  'rectangle',
  'mask',
  'star',
  'heart',
  'bow',
  'crescent',
  'drop',
  'ring',
  'leaf',
  'fan',
  'rose',
] as const;
export type CharmShape = (typeof CHARM_SHAPES)[number];
