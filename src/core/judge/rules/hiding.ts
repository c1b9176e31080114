import { GROUNDS, HIDING_RATIO, layerOf, masstone, over, grey } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { lchOf, luminance } from '../../colour/space';
import { coatOf } from '../../craft/cure';
import { isMeantToCover, isPlain, runOf } from '../../craft/paints';
import type { Operation } from '../../craft/operation';
import type { Element } from '../../craft/techniques';
import type { Product } from '../../model/product';
import { regionKindOf, type Region } from '../../regions';
import { append } from '../../model/extent';
import { rounded } from '../../model/rounded';
import { cellX, cellY } from '../../simulate/field';
import { runShare } from '../../simulate/paints';
import { pileColours } from '../../simulate/pile';
import type { FindingDraft } from '../finding';
import { granted, filmIndex, type NailCase, type NailRule } from '../rule';

/** Below this the ground shows to the eye; the hiding ratio itself is 0.98 (ISO 6504-3). */
const SHOWS_THROUGH = 0.96;
/** So little short of it no eye tells. */
const HARDLY = 0.005;

/** Contrast ratio of a colour laid `t_um` thick over the dark and pale grounds of a nail. */
export function contrastOnNail(product: Product, t_um: number): number {
  const layer = layerOf(pigmentOf(product), t_um);
  const { dark, pale } = GROUNDS.nail;
  return luminance(over(layer, grey(dark))) / luminance(over(layer, grey(pale)));
}

/**
 * Whether the nail shows through a colour, judged on what the eye finally sees: another coat of the look may cover, and
 * over a film that hides the nail any glaze or fade is meant. Sheers are meant to show their ground, what has no colour
 * is clear, magnetic gel is clear where its shimmer is not, and a mark of tenths of a millimetre is no coat.
 */
export const hiding: NailRule = {
  codes: ['see-through'],
  asks: 'Does each colour cover in the passes planned?',
  check: (nail) => {
    const colourAt = pileColours(nail.field, nail.context.product);
    const findings: FindingDraft[] = [];
    for (const element of nail.elements) {
      const coats = nail.operations.filter(
        (one) =>
          one.element === element.id && isMeantToCover(one.paint) && one.deposit && !isMark(one.place.region),
      );
      const colours = eachColour(coats).map((own) => ({ own, points: samples(nail, own) }));
      const worst = new Map<string, Short>();
      for (const { own, points } of colours) {
        for (const { x, y, product } of points) {
          if (!hides(product)) continue;
          const seenOver = (ground: number) => luminance(colourAt(x, y, { ground: grey(ground) }));
          const ratio = seenOver(GROUNDS.nail.dark) / seenOver(GROUNDS.nail.pale);
          if (ratio < (worst.get(product.id)?.ratio ?? SHOWS_THROUGH - HARDLY))
            worst.set(product.id, { ratio, own });
        }
      }
      for (const [id, short] of worst)
        findings.push(seeThrough(nail, element, nail.context.product(id), short));
      append(findings, overItsGround(nail, element, colours, worst));
    }
    return findings;
  },
};

/** Coats that do not cover, and their worst contrast ratio. */
interface Short {
  ratio: number;
  own: readonly Operation[];
}

/** The coats of one colour on one place, with points that lie well inside them. */
interface ColourLaid {
  own: readonly Operation[];
  points: ReturnType<typeof samples>;
}

/** The coats of each colour of an element on each of its places, in order of work. */
function eachColour(coats: readonly Operation[]): Operation[][] {
  const by = new Map<string, Operation[]>();
  for (const one of coats) {
    const key = `${one.product} ${JSON.stringify(one.place)}`;
    by.set(key, [...(by.get(key) ?? []), one]);
  }
  return [...by.values()];
}

/**
 * What is drawn stroke by stroke over other colours: whether it comes out in its own colour over what really lies under it there.
 * What is streaky over the nail itself is told as that; a glaze laid over a part is meant.
 */
function overItsGround(
  nail: NailCase,
  element: Element,
  colours: readonly ColourLaid[],
  told: ReadonlyMap<string, Short>,
): FindingDraft[] {
  const { field, context } = nail;
  const colourAt = pileColours(field, context.product);
  const worst = new Map<string, { off: number; own: readonly Operation[] }>();
  for (const { own, points } of colours) {
    const first = own[0]!;
    const until = filmIndex(field, first.id);
    if (until < 0 || !isPlain(first.paint) || !isDrawn(first)) continue;
    const films = own.flatMap(({ id }) => field.films[filmIndex(field, id)] ?? []);
    const later = field.films
      .slice(filmIndex(field, own.at(-1)!.id) + 1)
      .filter((film) => film.product && hides(context.product(film.product)));
    for (const { x, y, product, cell } of points) {
      if (!hides(product) || told.has(product.id)) continue;
      // A colour that comes later lies over it: nobody sees it there.
      if (later.some(({ t_um }) => t_um[cell]! > 0)) continue;
      const t_um = films.reduce((sum, film) => sum + film.t_um[cell]!, 0);
      const pigment = pigmentOf(product);
      const seen = over(layerOf(pigment, t_um), colourAt(x, y, { until }));
      const off = Math.abs(lchOf(seen).lightness - lchOf(masstone(pigment)).lightness);
      if (off > (worst.get(product.id)?.off ?? OFF_ITS_OWN)) worst.set(product.id, { off, own });
    }
  }
  return [...worst].map(([id, { off, own }]) =>
    groundShows(nail, element, nail.context.product(id), own, off),
  );
}

/** Lighter or darker than it is by so much (L*), a stroke reads as another colour (common practice). */
const OFF_ITS_OWN = 6;

/** Whether it is a colour that is not meant to be seen through. */
function hides({ colour, effect }: Product): boolean {
  return colour !== undefined && effect !== 'sheer';
}

/** A line, dot or letter finer than this is drawn, not laid (common practice). */
const MARK_MM = 0.8;

/** Drawn with a liner or dotting tool, and so meant to be seen. */
function isDrawn({ verb, place }: Operation): boolean {
  return verb === 'draw' || regionKindOf(place.region.kind).drawn_s !== undefined;
}

function isMark(region: Region): boolean {
  const stroke_mm = regionKindOf(region.kind).stroke_mm?.(region);
  return stroke_mm !== undefined && stroke_mm <= MARK_MM;
}

/** Up to a dozen points well inside the film that the last of a colour's coats laid, with the product that lies there. */
function samples(
  nail: NailCase,
  own: readonly Operation[],
): { x: number; y: number; cell: number; product: Product }[] {
  const { field, context } = nail;
  const last = own.at(-1)!;
  const film = field.films[filmIndex(field, last.id)];
  if (!film) return [];
  const full = film.t_um.reduce((most, t) => Math.max(most, t), 0) * 0.999;
  const cells: number[] = [];
  film.t_um.forEach((t, cell) => {
    if (t >= full && t > 0) cells.push(cell);
  });
  const step = Math.max(1, Math.floor(cells.length / 12));
  const points = cells.filter((_, i) => i % step === 0);
  const at = (cell: number) => ({ cell, x: field.grid.x[cellX(cell)]!, y: field.grid.y[cellY(cell)]! });
  const run = runOf(last.paint);
  if (!run) {
    const product = context.product(last.product!);
    return points.map((cell) => ({ ...at(cell), product }));
  }
  // Each colour of a blend is judged at its own place.
  const shareAt = runShare(run, field.frame);
  return run.stops.flatMap((stop) => {
    const share = (cell: number) => shareAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!);
    const near = cells.filter((cell) => Math.abs(share(cell) - stop.at) < 0.04).slice(0, 4);
    const product = context.product(stop.product);
    return near.map((cell) => ({ ...at(cell), product }));
  });
}

function seeThrough(nail: NailCase, element: Element, product: Product, { ratio, own }: Short): FindingDraft {
  const passes = passesToCover(product, own);
  return {
    ...shortOfCover(nail, element, product, own, passes),
    severity: ratio < 0.85 ? 'stop' : 'warn',
    message: `${product.name} stays see-through in ${own.length} ${own.length === 1 ? 'coat' : 'coats'}.`,
    reason: `It covers (${HIDING_RATIO}) in about ${passes}; until then the bed and the free edge show as two colours.`,
    figure: {
      words: 'contrast ratio',
      value: rounded(ratio, 3),
      limit: SHOWS_THROUGH,
      is: 'at least',
      unit: '',
    },
  };
}

function groundShows(
  nail: NailCase,
  element: Element,
  product: Product,
  own: readonly Operation[],
  off: number,
): FindingDraft {
  const passes = Math.max(own.length + 1, passesToCover(product, own));
  return {
    ...shortOfCover(nail, element, product, own, passes),
    severity: 'warn',
    message: `${product.name} does not cover what it is drawn over in ${own.length} ${own.length === 1 ? 'pass' : 'passes'}.`,
    reason: `It covers in about ${passes} thin passes; until then the colour below turns it into another.`,
    figure: {
      words: 'lighter or darker than it is',
      value: rounded(off, 0),
      limit: OFF_ITS_OWN,
      is: 'at most',
      unit: 'L*',
    },
  };
}

/** How many coats as thick as these it takes. */
function passesToCover(product: Product, own: readonly Operation[]): number {
  const t_um = own.reduce(
    (sum, one) => sum + (one.deposit && 't_um' in one.deposit ? one.deposit.t_um : 0),
    0,
  );
  return Math.ceil(((product.coats_to_cover ?? 2) * coatOf(product)) / (t_um / own.length));
}

/** What all that falls short of covering has: two colours of one element are two findings, each on all its nails. */
function shortOfCover(
  nail: NailCase,
  element: Element,
  product: Product,
  own: readonly Operation[],
  passes: number,
): Pick<FindingDraft, 'code' | 'operation' | 'element' | 'about' | 'tries'> {
  return {
    code: 'see-through',
    operation: own.at(-1)!.id,
    element: element.id,
    about: product.id,
    tries: granted(nail, element.id, 'more-passes', { passes, product: product.id }),
  };
}
