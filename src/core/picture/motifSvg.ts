import type { KeptMotif } from '../craft/keptMotif';
import { areaOf } from '../craft/area';
import { wholePlace } from '../craft/context';
import { DRAWN_NAIL } from '../craft/drawnNail';
import { smoothLine } from '../geometry/lines';
import type { Point } from '../geometry/frame';
import { leastOf, mostOf } from '../model/extent';
import { spotAt_mm } from '../regions/on';

const AROUND_MM = 0.5;
/** What a product without a colour of its own is drawn in. */
const CLEAR = '#d8d2cc';

/** A motif as SVG in mm, its colours in the order in which they are drawn: strokes as lines, shapes filled. */
export function motifSvg({ name, colours }: KeptMotif): string {
  const layers = colours.map(({ product, region }) => ({
    colour: product.colour ?? CLEAR,
    words: product.name,
    marks:
      region.kind === 'paths'
        ? region.paths.map(({ filled, width_mm, points }) => {
            const drawn = points.map((point) => spotAt_mm(point, { frame: DRAWN_NAIL, side: 1 }));
            return { filled, width_mm, line: filled ? drawn : smoothLine(drawn) };
          })
        : areaOf(DRAWN_NAIL, { ...wholePlace(), region }).polygons.map((line) => ({
            filled: true,
            width_mm: 0,
            line,
          })),
  }));
  const points = layers.flatMap(({ marks }) =>
    marks.flatMap(({ line, width_mm }) =>
      line.flatMap(({ x, y }) => [
        { x: x - width_mm / 2, y: y - width_mm / 2 },
        { x: x + width_mm / 2, y: y + width_mm / 2 },
      ]),
    ),
  );
  const [left, right] = [leastOf(points.map(({ x }) => x)), mostOf(points.map(({ x }) => x))];
  const [low, high] = [leastOf(points.map(({ y }) => y)), mostOf(points.map(({ y }) => y))];
  const [w, h] = [right - left + 2 * AROUND_MM, high - low + 2 * AROUND_MM];
  // The tip lies up, as the nail is looked at.
  const at = ({ x, y }: Point) => `${fixed(x - left + AROUND_MM)} ${fixed(high - y + AROUND_MM)}`;
  const body = layers.map(
    ({ colour, words, marks }) =>
      `  <g><title>${escaped(words)}</title>\n${marks
        .map(({ filled, width_mm, line }) => {
          const d = `M${line.map(at).join('L')}${filled ? 'Z' : ''}`;
          return filled
            ? `    <path d="${d}" fill="${colour}"/>`
            : `    <path d="${d}" fill="none" stroke="${colour}" stroke-width="${fixed(width_mm)}" stroke-linecap="round" stroke-linejoin="round"/>`;
        })
        .join('\n')}\n  </g>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${fixed(w)}mm" height="${fixed(h)}mm" viewBox="0 0 ${fixed(w)} ${fixed(h)}">\n  <title>${escaped(name)}</title>\n${body.join('\n')}\n</svg>\n`;
}

function fixed(value: number): string {
  return String(Math.round(value * 1000) / 1000);
}

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}
