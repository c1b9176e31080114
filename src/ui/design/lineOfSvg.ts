import type { NailFrame, Point } from '@/core/geometry/frame';
import { leastOf, mostOf } from '@/core/model/extent';
import { fail, ok, type Result } from '@/core/model/result';
import { lineOfPath } from '@/workers/planner';

/** Of a whole SVG, of which the path is a part. */
const MOST_CHARACTERS = 1_000_000;
/** A path is laid so large on the nail, whatever units it was drawn in. */
const SHARE = 0.7;

/**
 * The line of an SVG path: its `d`, or a whole SVG of which the first path is taken; nothing else of the file is looked
 * at. It is read in the worker.
 */
export async function lineOfSvg(text: string, frame: NailFrame): Promise<Result<Point[]>> {
  if (text.length > MOST_CHARACTERS)
    return fail('path', `has ${text.length.toLocaleString('en')} characters: at most 1,000,000`);
  let d = text;
  if (text.startsWith('<')) {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
    if (parsed.querySelector('parsererror')) return fail('path', 'is no SVG that can be read');
    d = parsed.querySelector('path')?.getAttribute('d') ?? '';
    if (d === '') return fail('path', 'has no path in it');
  }
  const read = await lineOfPath(d);
  if (!read.ok) return read;
  const drawn = read.value;
  const xs = drawn.map((point) => point.x);
  const ys = drawn.map((point) => point.y);
  const [left, right, top, bottom] = [leastOf(xs), mostOf(xs), leastOf(ys), mostOf(ys)];
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
