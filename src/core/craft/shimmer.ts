import type { Shimmer } from './matter';

/**
 * How much of the shimmer a magnet has drawn to a point, 0–1: to a line below a bar, to a round below a small stack, or away
 * from a round to the sides. It falls off as a bell over the width (common practice, by the look of it).
 */
export function shimmerAt(paint: Shimmer): (x_mm: number, y_mm: number) => number {
  const { form, x_mm, y_mm, width_mm } = paint;
  const turn = (paint.turn_deg * Math.PI) / 180;
  const [ux, uy] = [-Math.sin(turn), Math.cos(turn)];
  const near = (off: number) => Math.exp(-((off / (width_mm / 2)) ** 2));
  switch (form) {
    case 'line':
      return (x, y) => near((x - x_mm) * uy - (y - y_mm) * ux);
    case 'round':
      return (x, y) => near(Math.hypot(x - x_mm, y - y_mm));
    case 'sides':
      return (x, y) => 1 - near(Math.hypot(x - x_mm, y - y_mm));
  }
}
