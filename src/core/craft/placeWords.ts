import type { NailName } from '../model/names';
import { regionKindOf, type Region } from '../regions';
import { heightWords } from '../regions/heights';
import type { SpotWords } from '../regions/regionKind';
import { sideWords } from './sides';

/** So far to a side it is still the middle. */
const MIDDLE = 0.25;

/** How a place on this nail is said, by how far across and along it lies. */
export function spotWords(nail: NailName): SpotWords {
  return (across, along) => {
    const side = Math.abs(across) > MIDDLE ? sideWords(across, nail) : 'in the middle';
    return along === undefined ? side : `${side}, ${heightWords(along)}`;
  };
}

/** A part of a nail in words: "beyond the smile line", "thumb side, near the cuticle"; nothing for the whole nail. */
export function placeWords(region: Region, mirror: boolean, nail: NailName): string {
  return regionKindOf(region.kind).says(region, spotWords(nail), mirror ? -1 : 1);
}
