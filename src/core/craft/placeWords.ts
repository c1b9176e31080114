import type { NailName } from '../model/names';
import { regionKindOf, type Region } from '../regions';
import type { SpotWords } from '../regions/regionKind';
import { sideWords } from './sides';

/** How a place on this nail is said, by how far across and along it lies. */
export function spotWords(nail: NailName): SpotWords {
  return (across, along) => {
    const side = Math.abs(across) > 0.25 ? sideWords(across, nail) : '';
    const height = along < 0.4 ? 'near the cuticle' : along < 1.1 ? 'on the nail bed' : 'near the tip';
    return side ? `${side}, ${height}` : height;
  };
}

/** A part of a nail in words: "beyond the smile line", "thumb side, near the cuticle"; nothing for the whole nail. */
export function placeWords(region: Region, mirror: boolean, nail: NailName): string {
  return regionKindOf(region.kind).says(region, spotWords(nail), mirror ? -1 : 1);
}
