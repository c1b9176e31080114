import { fingerOf, NAILS, type Finger, type NailName } from '../model/names';
import type { Plate } from '../model/nail';

/** A typical hand (from memory): width between the sidewalls and bed length by finger, in mm. */
const TYPICAL: Record<Finger, { width_mm: number; bed_mm: number }> = {
  thumb: { width_mm: 14.6, bed_mm: 13.6 },
  index: { width_mm: 11.4, bed_mm: 12 },
  middle: { width_mm: 12, bed_mm: 13 },
  ring: { width_mm: 11.2, bed_mm: 12.4 },
  little: { width_mm: 9.2, bed_mm: 10 },
};

/** Height of a common C-curve as a share of the width (from memory). */
const ARCH_SHARE = 0.22;

/** Skin tones to choose from, lightest first; any other colour can be set. */
export const SKIN_TONES: readonly { words: string; colour: string }[] = [
  { words: 'Porcelain', colour: '#f6dccd' },
  { words: 'Fair', colour: '#eec8b2' },
  { words: 'Honey', colour: '#dcae88' },
  { words: 'Olive', colour: '#bb8a62' },
  { words: 'Chestnut', colour: '#8f6244' },
  { words: 'Deep', colour: '#5c3d2c' },
];

/** The nails of a set that are as long and wide as anybody's: nobody has measured them yet. */
export function typicalNails(nails: Readonly<Record<NailName, { plate: Plate }>>): NailName[] {
  return NAILS.filter((name) => {
    const [{ width_mm, bed_mm, arch_mm }, typical] = [nails[name].plate, typicalPlate(name)];
    return width_mm === typical.width_mm && bed_mm === typical.bed_mm && arch_mm === typical.arch_mm;
  });
}

export function typicalPlate(nail: NailName): Plate {
  const { width_mm, bed_mm } = TYPICAL[fingerOf(nail)];
  return {
    width_mm,
    arch_mm: Math.round(width_mm * ARCH_SHARE * 10) / 10,
    bed_mm,
    free_edge_mm: 3,
    outline: 'round',
    thickness_mm: 0.4,
    radius_mm: 60,
  };
}
