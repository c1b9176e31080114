import { pigmentOf } from '../colour/pigments';
import { masstone } from '../colour/film';
import { hexOf } from '../colour/space';
import { isStanding } from '../craft/bodies';
import { sagitta_mm } from '../geometry/curve';
import { seenFromAbove_mm } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import type { Product } from '../model/product';
import { CELLS_X, CELLS_Y, CURED, GELLED, NONE, type Film, type NailField } from '../simulate/field';
import { LAYER_FACTS } from '../simulate/layers';
import { rounded } from '../model/rounded';

/** One film cut through: its thickness along the cut, and how to colour it. */
export interface SectionFilm {
  operation: string;
  words: string;
  kind: Film['kind'];
  /** Stones and charms stand out of the nail: they are not films, and are drawn true. */
  stands: boolean;
  /** The colour it shows when it hides; undefined for clear. */
  colour?: string;
  phase: 'wet' | 'gelled' | 'cured';
  t_um: number[];
}

/** A cut through the columns. `at_mm` runs along the cut, `ground_mm` is the height of the plate's upper face. */
export interface Section {
  at_mm: number[];
  ground_mm: number[];
  /** The natural plate below that face; 0 where there is none. */
  plate_um: number[];
  films: SectionFilm[];
  /** Height of the tallest column of films, in µm, without what stands out. */
  tallest_um: number;
}

/** From cuticle to tip along the middle. */
export function lengthwise(field: NailField, product: (id: string) => Product): Section {
  const middle = Math.floor(CELLS_X / 2);
  const cells = Array.from({ length: CELLS_Y }, (_, j) => j * CELLS_X + middle);
  const ground = Array.from(field.grid.y, (y) =>
    field.frame.radiusAlong_mm > 0
      ? -sagitta_mm(field.frame.radiusAlong_mm, y - field.frame.bed_mm * 0.5)
      : 0,
  );
  return cut(field, product, cells, Array.from(field.grid.y), ground);
}

/** From sidewall to sidewall at the apex. */
export function crosswise(field: NailField, product: (id: string) => Product): Section {
  const j = Math.min(
    CELLS_Y - 1,
    Math.floor(((field.frame.bed_mm * 0.85) / field.frame.length_mm) * CELLS_Y),
  );
  const cells = Array.from({ length: CELLS_X }, (_, i) => j * CELLS_X + i);
  const R = field.frame.radius_mm;
  const seen = Array.from(field.grid.x, (x) => seenFromAbove_mm(field.frame, x));
  const ground = Array.from(field.grid.x, (x) => (Number.isFinite(R) ? R * Math.cos(x / R) - R : 0));
  return cut(field, product, cells, seen, ground);
}

function cut(
  field: NailField,
  product: (id: string) => Product,
  cells: number[],
  at: number[],
  ground: number[],
): Section {
  const films = field.films
    .map((film): SectionFilm => {
      const stands = film.pieces?.some(isStanding) ?? false;
      const made = film.product ? product(film.product) : undefined;
      const coloured =
        (film.pieces?.[0] ?? film.grains ?? film.sheet)?.colour ??
        (film.paint && made ? hexOf(masstone(pigmentOf(made))) : undefined);
      const phases = cells.map((cell) => film.phase[cell]!).filter((phase) => phase !== NONE);
      const least = Math.min(CURED, leastOf(phases));
      return {
        operation: film.operation,
        words: LAYER_FACTS[film.kind].words(film, made),
        kind: film.kind,
        stands,
        ...(coloured ? { colour: coloured } : {}),
        phase: least === CURED ? 'cured' : least === GELLED ? 'gelled' : 'wet',
        t_um: cells.map((cell) => rounded(film.t_um[cell]!, 1)),
      };
    })
    .filter((film) => film.t_um.some((t) => t > 0));
  return {
    at_mm: at.map((v) => rounded(v, 3)),
    ground_mm: ground.map((v) => rounded(v, 3)),
    films,
    plate_um: cells.map((cell) => rounded(field.grid.plate_um[cell]!, 1)),
    tallest_um: Math.max(
      1,
      mostOf(cells.map((_, i) => films.reduce((sum, film) => sum + (film.stands ? 0 : film.t_um[i]!), 0))),
    ),
  };
}
