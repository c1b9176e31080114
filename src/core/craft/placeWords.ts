import type { NailName } from '../model/names';
import type { Region } from '../model/region';
import { sideWords } from './sides';

/** Where on a nail a point lies, as it is said at a table: across −1 … 1, along 0 cuticle, 1 free edge, 2 tip. */
function spot(across: number, along: number, nail: NailName): string {
  const side = Math.abs(across) > 0.25 ? sideWords(across, nail) : '';
  const height = along < 0.4 ? 'near the cuticle' : along < 1.1 ? 'on the bed' : 'near the tip';
  return side ? `${side}, ${height}` : height;
}

function linesWords({ count, crossed, wave }: Extract<Region, { kind: 'lines' }>): string {
  if (crossed) return wave ? 'in wavy checks' : 'in checks';
  const line = wave ? 'wave' : 'line';
  return count === 1 ? `in a ${line}` : `in ${count} ${line}s`;
}

/** A part of a nail in words: "beyond the smile line", "thumb side, near the cuticle"; nothing for the whole nail. */
export function placeWords(region: Region, mirror: boolean, nail: NailName): string {
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
      return `in a band ${spot(0, (from + to) / 2, nail)}`;
    }
    case 'oval':
      return spot(side * region.across, region.along, nail);
    case 'lines':
      return linesWords(region);
    case 'dots':
      return region.rows * region.columns === 1 ? 'in a dot' : `in ${region.rows * region.columns} dots`;
    case 'letters':
      return `as “${region.text.toUpperCase()}”, ${spot(side * region.across, region.along, nail)}`;
    case 'path':
    case 'outline': {
      const { points } = region;
      const mean = (of: (point: { across: number; along: number }) => number) =>
        points.reduce((sum, point) => sum + of(point), 0) / points.length;
      return spot(
        side * mean((point) => point.across),
        mean((point) => point.along),
        nail,
      );
    }
  }
}
