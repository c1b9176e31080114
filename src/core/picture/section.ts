import { pigmentOf } from '../colour/pigments';
import { masstone } from '../colour/film';
import { hexOf } from '../colour/space';
import { sagitta_mm } from '../geometry/curve';
import { seenFromAbove_mm } from '../geometry/frame';
import type { Product } from '../model/product';
import {
  CELLS_X,
  CELLS_Y,
  CURED,
  GELLED,
  height_um,
  NONE,
  type Film,
  type NailField,
} from '../simulate/field';
import { rounded } from '../model/rounded';

/** One film cut through: its thickness along the cut, and how to colour it. */
export interface SectionFilm {
  operation: string;
  words: string;
  kind: Film['kind'];
  /** The colour it shows when it hides; undefined for clear. */
  colour?: string;
  phase: 'wet' | 'gelled' | 'cured';
  t_um: number[];
}

/** A cut through the columns. `at_mm` runs along the cut; `ground_um` is the plate under each point. */
export interface Section {
  at_mm: number[];
  ground_mm: number[];
  films: SectionFilm[];
  /** Height of the tallest column, in µm. */
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
      const made = film.product ? product(film.product) : undefined;
      const coloured =
        film.pieces?.[0]?.colour ?? (film.paint && made ? hexOf(masstone(pigmentOf(made))) : undefined);
      const phases = cells.map((cell) => film.phase[cell]!).filter((phase) => phase !== NONE);
      const least = Math.min(CURED, ...phases);
      return {
        operation: film.operation,
        words:
          film.kind === 'tip' ? 'tip' : film.kind === 'pieces' ? film.pieces![0]!.words : (made?.name ?? ''),
        kind: film.kind,
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
    tallest_um: Math.max(1, ...cells.map((cell) => height_um(field, cell))),
  };
}
