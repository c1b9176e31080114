import { neededDose } from '../craft/cure';
import type { Grains } from '../craft/matter';
import { FAMILIES, settingOf } from '../craft/families';
import { ALL_SURFACES, encode, FINISHES, flagSurfaces, type Finish } from '../craft/surface';
import type { Product } from '../model/product';
import type { Cover } from './cover';
import { passes } from './grains';
import { LAYER_FACTS } from './layers';
import { CELLS_X, CELLS_Y, CURED, GELLED, NONE, WET, type Film, type NailField } from './field';

/** A billionth of slack: a dose that just meets its need in exact numbers must meet it here. */
const SLACK = 1 - 1e-6;
/** What cures slick is no longer sticky from this share of its cure on, though not hard yet (common practice). */
const SLICK_FROM = 0.6;

/**
 * Light for `seconds` on every film of a nail. At each film's bottom the dose falls by exp(−Σ t/D_p) through
 * all that lies above it (Jacobs 1992); enough to gel and enough to cure differ. Under metal light comes only
 * from the side, and falls by the same law with the distance from its edge. Changes the field in place.
 */
export function shine(field: NailField, seconds: number, product: (id: string) => Product): void {
  const cells = CELLS_X * CELLS_Y;
  const lowest = field.films.findIndex((film) => !film.settled);
  if (lowest < 0) return;
  const above = new Float32Array(cells);
  let shade: Float32Array | undefined;
  const strewn: Strewn[] = [];
  let hardened = false;
  // From the top film down, so that what lies above is summed as it is passed.
  for (let f = field.films.length - 1; f >= lowest; f -= 1) {
    const film = field.films[f]!;
    // Stones and clear pieces let light round and through them; metal does not.
    if (film.shade_mm) deepen((shade ??= new Float32Array(cells)), film.shade_mm);
    if (film.grains) strewn.push({ film, grains: film.grains });
    const { depth_um, kept, solid, hardens } = LAYER_FACTS[film.kind];
    if (kept || !solid) continue;
    const made = film.product ? product(film.product) : undefined;
    const depth = depth_um(made);
    const needs = hardens && made ? neededDose(made) : undefined;
    const slick = slickDose(made);
    const { phase: phases, t_um, dose, below } = film;
    let open = false;
    for (let cell = 0; cell < cells; cell += 1) {
      const phase = phases[cell]!;
      if (phase === NONE) continue;
      if (depth) above[cell]! += t_um[cell]! / depth;
      if (phase === CURED) continue;
      if (!needs || !depth) {
        open = true;
        continue;
      }
      const side = shade && shade[cell]! > 0 ? (shade[cell]! * 1000) / depth : 0;
      const over = below ? t_um[cell]! / depth : above[cell]!;
      const had = dose[cell]!;
      const passed = strewn.length > 0 ? between(strewn, cell, depth) : 1;
      dose[cell]! += seconds * Math.exp(-over - side) * passed;
      if (dose[cell]! >= needs.cured * SLACK) {
        phases[cell] = CURED;
        hardened = true;
        continue;
      }
      open = true;
      if (phase === WET && dose[cell]! >= needs.gelled * SLACK) {
        phases[cell] = GELLED;
        hardened = true;
      }
      if (had < slick && dose[cell]! >= slick) hardened = true;
    }
    film.settled = !open;
  }
  if (hardened) settleSurface(field, product);
}

/** Dose from which a film is slick before it is hard; never, where it does not cure slick. */
function slickDose(product: Product | undefined): number {
  if (!product || FAMILIES[product.family].finish !== 'slick') return Infinity;
  return (neededDose(product)?.cured ?? Infinity) * SLICK_FROM;
}

interface Strewn {
  film: Film;
  grains: Grains;
}

/** The share of light that passes all grains above. */
function between(strewn: readonly Strewn[], cell: number, depth_um: number): number {
  let share = 1;
  for (const { film, grains } of strewn)
    if (film.phase[cell] !== NONE)
      share *= passes(film.t_um[cell]! / grains.thickness_um, grains.size_mm, depth_um);
  return share;
}

function deepen(shade: Float32Array, by: Float32Array): void {
  for (let cell = 0; cell < by.length; cell += 1) if (by[cell]! > shade[cell]!) shade[cell] = by[cell]!;
}

/** Time that passes over a nail: what dries or sets by itself goes on doing so, lamp or no lamp; all films, or some. */
export function passTime(
  field: NailField,
  seconds: number,
  product: (id: string) => Product,
  goesOn: (film: Film) => boolean = () => true,
): void {
  if (seconds <= 0) return;
  let hardened = false;
  for (const film of field.films) {
    const setting =
      film.settled || !goesOn(film) || !film.product ? undefined : settingOf(product(film.product));
    if (!setting) continue;
    let open = false;
    for (let cell = 0; cell < CELLS_X * CELLS_Y; cell += 1) {
      const phase = film.phase[cell]!;
      if (phase === NONE || phase === CURED) continue;
      film.dose[cell]! += seconds;
      const next =
        film.dose[cell]! >= setting.dry_s * SLACK
          ? CURED
          : film.dose[cell]! >= setting.working_s * SLACK
            ? GELLED
            : WET;
      if (next !== phase) hardened = true;
      film.phase[cell] = next;
      if (next !== CURED) open = true;
    }
    film.settled = !open;
  }
  if (hardened) settleSurface(field, product);
}

/** Activator on dip: all its layers there are hard, from the top to the plate. */
export function activate(field: NailField, { touched }: Cover, product: (id: string) => Product): void {
  for (const film of field.films) {
    if (film.settled || !film.product || FAMILIES[product(film.product).family].hardens !== 'activator')
      continue;
    for (const cell of touched) if (film.phase[cell] !== NONE) film.phase[cell] = CURED;
    film.settled = !film.phase.includes(WET);
  }
  settleSurface(field, product);
}

/** By surface code: whether light or time still changes it. */
const HARDENING = flagSurfaces((s) => s.phase === 'wet' || s.phase === 'gelled');
/** By surface code: whether the hard surface gets the finish of its film. */
const OWN_FINISH = flagSurfaces(
  (s) => s.material !== 'piece' && s.material !== 'stone' && s.material !== 'tip' && s.material !== 'plate',
);
const STONE = flagSurfaces((s) => s.material === 'stone');
const PIECE = flagSurfaces((s) => s.material === 'piece');
const GELLED_CODE = Uint16Array.from(ALL_SURFACES, (s) => encode({ ...s, phase: 'gelled' }));
const CURED_CODE = Uint16Array.from(ALL_SURFACES, (s) => encode({ ...s, phase: 'cured' }));
const FINISHED_CODE = Object.fromEntries(
  FINISHES.map((finish) => [finish, Uint16Array.from(ALL_SURFACES, (s) => encode({ ...s, finish }))]),
) as Record<Finish, Uint16Array>;

/** After light or time, each wet or gelled surface takes the phase of the film that holds it. */
function settleSurface(field: NailField, product: (id: string) => Product): void {
  const films = field.films.filter((film) => LAYER_FACTS[film.kind].hardens);
  const finishes = films.map((film) =>
    film.product ? FINISHED_CODE[FAMILIES[product(film.product).family].finish] : undefined,
  );
  const slickFrom = films.map((film) => slickDose(film.product ? product(film.product) : undefined));
  const shade = field.films.find((film) => film.shade_mm)?.shade_mm;
  const rimHolds = films.map((film) => shade !== undefined && film.phase.includes(CURED));
  const rimGrips = films.map(
    (film, f) => rimHolds[f] || (shade !== undefined && film.phase.includes(GELLED)),
  );
  const fixed = films.some((film) => film.phase.includes(CURED));
  const phases = films.map((film) => film.phase);
  const { surface } = field;
  for (let cell = 0; cell < CELLS_X * CELLS_Y; cell += 1) {
    const code = surface[cell]!;
    if (!HARDENING[code]) continue;
    let f = phases.length - 1;
    while (f >= 0 && phases[f]![cell] === NONE) f -= 1;
    if (f < 0) {
      // Where what was laid has run out to nothing at the skin, and no base lies there, what holds beside it holds it.
      if (fixed) surface[cell] = CURED_CODE[code]!;
      continue;
    }
    const phase = phases[f]![cell]!;
    // What lies soft in the dark below metal is out of reach: the cured rim holds the piece.
    if (STONE[code] && rimHolds[f] && shade![cell]! > 0) {
      surface[cell] = CURED_CODE[code]!;
      continue;
    }
    // A flat piece of metal lies still once the gel around it does, and can be capped.
    const lies = phase === WET && PIECE[code] && rimGrips[f] && shade![cell]! > 0;
    if (phase === GELLED || lies) {
      const dry = OWN_FINISH[code] && films[f]!.dose[cell]! >= slickFrom[f]!;
      surface[cell] = GELLED_CODE[dry ? FINISHED_CODE.slick[code]! : code]!;
    }
    if (phase === CURED) {
      const finish = OWN_FINISH[code] ? finishes[f] : undefined;
      surface[cell] = CURED_CODE[finish ? finish[code]! : code]!;
    }
  }
}

/** Whether any film of the nail is still wet. */
export function isWet(field: NailField): boolean {
  return field.films.some((film: Film) => !film.settled && film.phase.includes(WET));
}
