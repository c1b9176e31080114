import type { NailName } from '../model/names';
import { regionKindOf, type Region } from '../regions';
import { sideWords } from './sides';

/** A part of a nail in words: "beyond the smile line", "thumb side, near the cuticle"; nothing for the whole nail. */
export function placeWords(region: Region, mirror: boolean, nail: NailName): string {
  const spot = (across: number, along: number) => {
    const side = Math.abs(across) > 0.25 ? sideWords(across, nail) : '';
    const height = along < 0.4 ? 'near the cuticle' : along < 1.1 ? 'on the nail bed' : 'near the tip';
    return side ? `${side}, ${height}` : height;
  };
  return regionKindOf(region.kind).says(region, spot, mirror ? -1 : 1);
}
