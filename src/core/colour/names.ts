import type { Triple } from './film';
import { difference, linearOf } from './space';

/** What colours of polish are commonly called, each with one that anybody would call so (common practice). */
const NAMED: readonly (readonly [name: string, hex: string])[] = [
  ['white', '#fbfaf7'],
  ['milk', '#f3ece2'],
  ['ivory', '#efe6cf'],
  ['cream', '#f2e2bd'],
  ['pale nude', '#ecd3c3'],
  ['nude', '#dcb59e'],
  ['warm nude', '#c99a7e'],
  ['caramel', '#a8714a'],
  ['tan', '#b58b63'],
  ['brown', '#6d4630'],
  ['chocolate', '#45291d'],
  ['pale pink', '#f5d6da'],
  ['rose', '#dd8f9c'],
  ['dusty rose', '#bd7b80'],
  ['pink', '#ee7fa6'],
  ['hot pink', '#e3307e'],
  ['coral', '#f2745f'],
  ['peach', '#f7bd9c'],
  ['salmon', '#ee9479'],
  ['red', '#c71f2b'],
  ['bright red', '#e22a26'],
  ['dark red', '#8c1a24'],
  ['oxblood', '#5c1520'],
  ['wine', '#6f1d3a'],
  ['plum', '#54224b'],
  ['berry', '#9c2252'],
  ['orange', '#ea6f1a'],
  ['burnt orange', '#b6501e'],
  ['apricot', '#f4a25e'],
  ['yellow', '#f1cf35'],
  ['pale yellow', '#f6e9a2'],
  ['mustard', '#c4972c'],
  ['gold', '#b8923f'],
  ['lime', '#b5cf3d'],
  ['pale green', '#c3ddb4'],
  ['sage', '#98a98a'],
  ['green', '#3f9a4c'],
  ['emerald', '#13805a'],
  ['dark green', '#1c4630'],
  ['olive', '#6c6a31'],
  ['mint', '#a6dcc6'],
  ['turquoise', '#2fb3ad'],
  ['teal', '#11747d'],
  ['pale blue', '#bdd8ea'],
  ['sky blue', '#64abd8'],
  ['blue', '#2a5fb4'],
  ['cobalt', '#1f3fae'],
  ['navy', '#1d2750'],
  ['lilac', '#c8b2dc'],
  ['lavender', '#a694cf'],
  ['violet', '#6a3a9a'],
  ['purple', '#7d2d8c'],
  ['magenta', '#b3267c'],
  ['pale grey', '#d3d2d1'],
  ['grey', '#8b8a8c'],
  ['slate', '#55606b'],
  ['charcoal', '#39383c'],
  ['black', '#16141a'],
];

let inLinear: readonly { name: string; linear: Triple }[] | undefined;

/** What a colour is commonly called: the name of the one nearest to the eye. `hex` as `#7a1f2b`. */
export function colourName(hex: string): string {
  inLinear ??= NAMED.map(([name, named]) => ({ name, linear: linearOf(named) }));
  const own = linearOf(hex);
  let nearest = inLinear[0]!;
  for (const one of inLinear)
    if (difference(one.linear, own) < difference(nearest.linear, own)) nearest = one;
  return nearest.name;
}
