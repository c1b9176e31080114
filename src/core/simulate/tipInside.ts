import type { Paint } from '../craft/matter';
import { encode } from '../craft/surface';
import { CELLS_X, CELLS_Y, cellY, NONE, WET, type Film, type NailField } from './field';

const FACE = encode({ material: 'tip', phase: 'cured', finish: 'shine', soil: 'clean', prep: 'none' });

/** The inside of a ready tip as it lies face down: as long and wide as its nail, with nothing on it yet. */
export function tipFace({ frame, grid }: NailField): NailField {
  const cells = CELLS_X * CELLS_Y;
  return {
    frame,
    grid: { ...grid, plate_um: new Float32Array(cells) },
    films: [],
    surface: new Uint16Array(cells).fill(FACE),
    edge: 'tip',
  };
}

/** The films inside a tip as they lie once it is put on: what was laid last is lowest. */
export function turnedOver(tip: NailField | undefined): Film[] {
  const films = (tip?.films ?? []).reverse();
  // Levels were those of the side that lies underneath now.
  for (const film of films) delete film.level_um;
  return films;
}

/** How much thinner the fill is at the tip than at the plate's end (common practice). */
const RUNS_THIN = 0.85;

/** Fills the room under a ready tip past the plate: what was hollow there is a film, lit from beneath. */
export function fillHollow(field: NailField, fill: Film, paint: Paint | undefined): void {
  const at = field.films.findIndex((film) => film.kind === 'hollow');
  const hollow = field.films[at];
  if (!hollow) return;
  if (paint) fill.paint = paint;
  fill.below = true;
  const { bed_mm, length_mm } = field.frame;
  for (let cell = 0; cell < CELLS_X * CELLS_Y; cell += 1) {
    if (!field.grid.inside[cell] || field.grid.onPlate[cell] || hollow.t_um[cell]! <= 0) continue;
    const past = (field.grid.y[cellY(cell)]! - bed_mm) / (length_mm - bed_mm || 1);
    const share = 1 - RUNS_THIN * Math.max(0, Math.min(1, past));
    fill.t_um[cell] = hollow.t_um[cell]! * share;
    fill.phase[cell] = WET;
    hollow.t_um[cell]! *= 1 - share;
    if (share === 1) hollow.phase[cell] = NONE;
  }
  field.films.splice(at, 0, fill);
}
