import type { Region } from '../model/region';

/** Where on a nail a point lies, as it is said at a table: across −1 … 1, along 0 cuticle, 1 free edge, 2 tip. */
function spot(across: number, along: number): string {
  const side = across < -0.25 ? 'left' : across > 0.25 ? 'right' : '';
  const height = along < 0.4 ? 'near the cuticle' : along < 1.1 ? 'on the bed' : 'near the tip';
  return side ? `${side}, ${height}` : height;
}

/** A part of a nail in words: "beyond the smile line", "left, near the cuticle"; nothing for the whole nail. */
export function placeWords(region: Region, mirror: boolean): string {
  const side = mirror ? -1 : 1;
  switch (region.kind) {
    case 'whole':
      return '';
    case 'tip':
      return 'beyond the smile line';
    case 'bed':
      return 'up to the smile line';
    case 'band': {
      const { from, to } = region;
      if (from <= 0 && to >= 2) return '';
      if (from <= 0) return to <= 1.05 ? 'on the bed' : 'up to the tip’s edge';
      if (to >= 2) return from >= 0.95 ? 'on the free edge' : 'from the bed to the tip';
      return `in a band ${spot(0, (from + to) / 2)}`;
    }
    case 'oval':
      return spot(side * region.across, region.along);
    case 'lines':
      return region.crossed ? 'in checks' : region.count === 1 ? 'in a line' : `in ${region.count} lines`;
    case 'path':
    case 'outline': {
      const { points } = region;
      const mean = (of: (point: { across: number; along: number }) => number) =>
        points.reduce((sum, point) => sum + of(point), 0) / points.length;
      return spot(
        side * mean((point) => point.across),
        mean((point) => point.along),
      );
    }
  }
}
