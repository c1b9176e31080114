import { GROUNDS, HIDING_RATIO, layerOf, over, grey } from '../../colour/film';
import { pigmentOf } from '../../colour/pigments';
import { luminance } from '../../colour/space';
import { coatOf } from '../../craft/cure';
import { isMeantToCover, runOf } from '../../craft/paints';
import type { Operation } from '../../craft/operation';
import type { Element } from '../../craft/techniques';
import type { Product } from '../../model/product';
import { regionKindOf, type Region } from '../../regions';
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
      const worst = new Map<string, { ratio: number; last: Operation }>();
      for (const step of new Set(coats.map((one) => one.step))) {
        const own = coats.filter((one) => one.step === step);
        const last = own[own.length - 1]!;
        for (const { x, y, product } of samples(nail, last)) {
          if (product.effect === 'sheer' || product.colour === undefined) continue;
          const seenOver = (ground: number) => luminance(colourAt(x, y, { ground: grey(ground) }));
          const ratio = seenOver(GROUNDS.nail.dark) / seenOver(GROUNDS.nail.pale);
          if (ratio < (worst.get(product.id)?.ratio ?? SHOWS_THROUGH - HARDLY))
            worst.set(product.id, { ratio, last });
        }
      }
      for (const [id, { ratio, last }] of worst) {
        findings.push(seeThrough(nail, element, nail.context.product(id), last, coats, ratio));
      }
    }
    return findings;
  },
};

/** A line, dot or letter finer than this is drawn, not laid (common practice). */
const MARK_MM = 0.8;

function isMark(region: Region): boolean {
  const stroke_mm = regionKindOf(region.kind).stroke_mm?.(region);
  return stroke_mm !== undefined && stroke_mm <= MARK_MM;
}

/** Up to a dozen points well inside the film an operation laid, with the product that lies there. */
function samples(nail: NailCase, last: Operation): { x: number; y: number; product: Product }[] {
  const { field, context } = nail;
  const film = field.films[filmIndex(field, last.id)];
  if (!film) return [];
  const full = film.t_um.reduce((most, t) => Math.max(most, t), 0) * 0.999;
  const cells: number[] = [];
  film.t_um.forEach((t, cell) => {
    if (t >= full && t > 0) cells.push(cell);
  });
  const step = Math.max(1, Math.floor(cells.length / 12));
  const points = cells.filter((_, i) => i % step === 0);
  const run = runOf(last.paint);
  if (!run) {
    const product = context.product(last.product!);
    return points.map((cell) => ({ x: field.grid.x[cellX(cell)]!, y: field.grid.y[cellY(cell)]!, product }));
  }
  // Each colour of a blend is judged at its own place.
  const shareAt = runShare(run, field.frame);
  return run.stops.flatMap((stop) => {
    const share = (cell: number) => shareAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!);
    const near = cells.filter((cell) => Math.abs(share(cell) - stop.at) < 0.04).slice(0, 4);
    const product = context.product(stop.product);
    return near.map((cell) => ({ x: field.grid.x[cellX(cell)]!, y: field.grid.y[cellY(cell)]!, product }));
  });
}

function seeThrough(
  nail: NailCase,
  element: Element,
  product: Product,
  last: Operation,
  coats: readonly Operation[],
  ratio: number,
): FindingDraft {
  const own = coats.filter((one) => one.step === last.step);
  const t_um = own.reduce(
    (sum, one) => sum + (one.deposit && 't_um' in one.deposit ? one.deposit.t_um : 0),
    0,
  );
  const passes = Math.ceil(((product.coats_to_cover ?? 2) * coatOf(product)) / (t_um / own.length));
  return {
    code: 'see-through',
    severity: ratio < 0.85 ? 'stop' : 'warn',
    operation: last.id,
    element: element.id,
    // Two colours of one element are two findings, each on all its nails.
    about: product.id,
    message: `${product.name} stays see-through in ${own.length} ${own.length === 1 ? 'coat' : 'coats'}.`,
    reason: `It covers (${HIDING_RATIO}) in about ${passes}; until then the bed and the free edge show as two colours.`,
    figure: {
      words: 'contrast ratio',
      value: rounded(ratio, 3),
      limit: SHOWS_THROUGH,
      is: 'at least',
      unit: '',
    },
    tries: granted(nail, element.id, 'more-passes', { passes }),
  };
}
