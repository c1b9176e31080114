import type { NailFrame, Point } from '@/core/geometry/frame';
import { fail, ok, type Result } from '@/core/model/result';

const MOST_CHARACTERS = 200_000;
const POINTS = 400;
/** A path is laid so large on the nail, whatever units it was drawn in. */
const SHARE = 0.7;

/**
 * The line of an SVG path: its `d`, or a whole SVG of which the first path is taken. It is measured on a path element
 * that never comes into the page; nothing else of the file is looked at.
 */
export function lineOfSvg(text: string, frame: NailFrame): Result<Point[]> {
  if (text.length > MOST_CHARACTERS)
    return fail('path', `has ${text.length.toLocaleString('en')} characters: at most 200,000`);
  let d = text;
  if (text.startsWith('<')) {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
    if (parsed.querySelector('parsererror')) return fail('path', 'is no SVG that can be read');
    d = parsed.querySelector('path')?.getAttribute('d') ?? '';
    if (d === '') return fail('path', 'has no path in it');
  }
  const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  path.setAttribute('d', d);
  const length = path.getTotalLength();
  if (!Number.isFinite(length) || length <= 0)
    return fail('path', 'is no path: it begins with M and leads somewhere');
  const drawn = Array.from({ length: POINTS + 1 }, (_, i) => {
    const { x, y } = path.getPointAtLength((length * i) / POINTS);
    return { x, y };
  });
  const xs = drawn.map((point) => point.x);
  const ys = drawn.map((point) => point.y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (frame.width_mm * SHARE) / Math.max(1e-6, right - left),
    (frame.length_mm * SHARE) / Math.max(1e-6, bottom - top),
  );
  // SVG counts downwards, a nail towards its tip.
  return ok(
    drawn.map(({ x, y }) => ({
      x: (x - (left + right) / 2) * scale,
      y: frame.length_mm * 0.5 - (y - (top + bottom) / 2) * scale,
    })),
  );
}
