import { FAMILIES } from '../craft/families';
import { neededDose } from '../craft/cure';
import { decode, encode, flagSurfaces } from '../craft/surfaces';
import type { Product } from '../model/product';
import { CELLS_X, CELLS_Y, CURED, GELLED, NONE, WET, type NailField } from './field';

/** Depth of a ready tip in which light falls to 1/e: near clear (common practice). */
const TIP_DEPTH_UM = 4000;

/**
 * Light for `seconds` on every film of a nail. At each film's bottom the dose falls by exp(−Σ t/D_p) through
 * all that lies above it (Jacobs 1992); enough to gel and enough to cure differ. Changes the field in place.
 */
export function shine(field: NailField, seconds: number, product: (id: string) => Product): void {
  const cells = CELLS_X * CELLS_Y;
  const lowest = field.films.findIndex((film) => !film.settled);
  if (lowest < 0) return;
  const above = new Float32Array(cells);
  // From the top film down, so that what lies above is summed as it is passed.
  for (let f = field.films.length - 1; f >= lowest; f -= 1) {
    const film = field.films[f]!;
    const made = film.product ? product(film.product) : undefined;
    const depth = film.kind === 'tip' ? TIP_DEPTH_UM : made?.lamp?.depth_um;
    const needs = film.kind === 'film' && made ? neededDose(made) : undefined;
    let open = false;
    for (let cell = 0; cell < cells; cell += 1) {
      const phase = film.phase[cell]!;
      if (phase === NONE) continue;
      // Pieces and stones are small or clear enough that light reaches round them.
      if (depth && film.kind !== 'pieces') above[cell]! += film.t_um[cell]! / depth;
      if (!needs || phase === CURED) continue;
      film.dose[cell]! += seconds * Math.exp(-above[cell]!);
      // A billionth of slack: a dose that just meets its need in exact numbers must meet it here.
      if (film.dose[cell]! >= needs.cured * (1 - 1e-6)) film.phase[cell] = CURED;
      else {
        if (film.dose[cell]! >= needs.gelled * (1 - 1e-6)) film.phase[cell] = GELLED;
        open = true;
      }
    }
    film.settled = !open;
  }
  settleSurface(field, product);
}

/** By surface code: whether light still changes it. */
const HARDENING = flagSurfaces((s) => s.phase === 'wet' || s.phase === 'gelled');

/** After light, each wet or gelled surface takes the phase of the film that holds it. */
function settleSurface(field: NailField, product: (id: string) => Product): void {
  for (let cell = 0; cell < CELLS_X * CELLS_Y; cell += 1) {
    if (!HARDENING[field.surface[cell]!]) continue;
    const surface = decode(field.surface[cell]!);
    for (let f = field.films.length - 1; f >= 0; f -= 1) {
      const film = field.films[f]!;
      if (film.phase[cell] === NONE || film.kind !== 'film') continue;
      const phase = film.phase[cell] === CURED ? 'cured' : film.phase[cell] === GELLED ? 'gelled' : 'wet';
      const own = surface.material === 'gel' || surface.material === 'top';
      const finish =
        phase === 'cured' && own && film.product
          ? (FAMILIES[product(film.product).family].cured ?? surface.finish)
          : surface.finish;
      field.surface[cell] = encode({ ...surface, phase, finish });
      break;
    }
  }
}

/** Whether any film of the nail still waits for light. */
export function isWet(field: NailField): boolean {
  return field.films.some((film) => !film.settled && film.phase.includes(WET));
}
