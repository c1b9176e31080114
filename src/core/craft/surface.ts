/**
 * What a surface can be at one point of a nail, in five words, and its packing into a small integer so that a
 * grid of surfaces is a typed array.
 */
export const MATERIALS = [
  'plate',
  'tip',
  'gel',
  'clear',
  'art',
  'top',
  'lacquer',
  'glue',
  'piece',
  'stone',
  'acrylic',
  'dip',
  'form',
  'old',
] as const;
export const PHASES = ['bare', 'wet', 'gelled', 'cured'] as const;
export const FINISHES = ['shine', 'tacky', 'wiped', 'slick', 'keyed', 'matte', 'powdered'] as const;
export const SOILS = ['clean', 'dust', 'oil'] as const;
export const PREPS = ['none', 'dehydrated', 'primed'] as const;

export type Material = (typeof MATERIALS)[number];
export type Finish = (typeof FINISHES)[number];

export interface Surface {
  /** Gel stands for base and colour; clear for builder, bedding and fixing gel; art for paint gel. */
  material: Material;
  /** Gelled holds its place and can still be pressed. What dries is cured when it is hard. */
  phase: (typeof PHASES)[number];
  /** Tacky: the inhibition layer that air keeps from curing. Shine: a plate or tip not yet keyed. */
  finish: Finish;
  soil: (typeof SOILS)[number];
  prep: (typeof PREPS)[number];
}

const SIZES = [MATERIALS.length, PHASES.length, FINISHES.length, SOILS.length, PREPS.length] as const;
export const SURFACE_COUNT = SIZES.reduce((product, size) => product * size, 1);

export function encode(s: Surface): number {
  let code = MATERIALS.indexOf(s.material);
  code = code * SIZES[1] + PHASES.indexOf(s.phase);
  code = code * SIZES[2] + FINISHES.indexOf(s.finish);
  code = code * SIZES[3] + SOILS.indexOf(s.soil);
  return code * SIZES[4] + PREPS.indexOf(s.prep);
}

export function decode(code: number): Surface {
  return ALL_SURFACES[code]!;
}

/** Every surface there can be, by its code. */
export const ALL_SURFACES: readonly Surface[] = MATERIALS.flatMap((material) =>
  PHASES.flatMap((phase) =>
    FINISHES.flatMap((finish) =>
      SOILS.flatMap((soil) => PREPS.map((prep): Surface => ({ material, phase, finish, soil, prep }))),
    ),
  ),
);

/** One flag for each surface code, for checks that run over whole grids. */
export function flagSurfaces(is: (s: Surface) => boolean): Uint8Array {
  return Uint8Array.from(ALL_SURFACES, (s) => (is(s) ? 1 : 0));
}

const MATERIAL_WORDS: Record<Material, string> = {
  plate: 'natural plate',
  tip: 'tip',
  gel: 'gel',
  clear: 'clear gel',
  art: 'art gel',
  top: 'top coat',
  lacquer: 'lacquer',
  glue: 'glue',
  piece: 'pieces',
  stone: 'stones',
  acrylic: 'acrylic',
  dip: 'dip',
  form: 'form',
  old: 'old product',
};

const FINISH_WORDS: Record<Finish, string> = {
  shine: 'with its shine on',
  tacky: 'tacky',
  wiped: 'wiped',
  slick: 'slick, no-wipe',
  keyed: 'keyed',
  matte: 'matte',
  powdered: 'powdered',
};

/** A surface in words: "cured top coat, slick, no-wipe, dusty". */
export function surfaceWords(s: Surface): string {
  const material = MATERIAL_WORDS[s.material];
  const still = s.material === 'tip' && s.phase === 'cured';
  const words = [s.phase === 'bare' || still ? material : `${s.phase} ${material}`];
  if (s.phase !== 'wet' && s.material !== 'stone') words.push(FINISH_WORDS[s.finish]);
  if (s.soil === 'dust') words.push('dusty');
  if (s.soil === 'oil') words.push('oily');
  if (s.material === 'plate' && s.prep !== 'none') words.push(s.prep);
  return words.join(', ');
}
