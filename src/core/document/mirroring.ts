import type { SetDocument } from './document';
import { fingerOf, handNails, mirrorOf, type Finger, type Hand, type NailName } from '../model/names';

/** What a nail of the other hand would lose by being made like its twin. */
export interface Overwritten {
  nail: NailName;
  finger: Finger;
  /** The names of the looks it wears and would wear; null for none. */
  was: string | null;
  becomes: string | null;
  /** Something of its own goes, or comes with the look. */
  ownChanges: boolean;
  build: { was: string; becomes: string } | null;
}

/** The nails that mirroring a hand would change, in the order they lie. */
export function overwrittenBy(set: SetDocument, from: Hand): Overwritten[] {
  const nameOf = (look: string | null) => set.looks.find((one) => one.id === look)?.name ?? null;
  const buildName = (id: string) => set.builds.find((one) => one.id === id)?.name ?? id;
  return handNails(from).flatMap((name): Overwritten[] => {
    const [twin, nail] = [set.nails[name], set.nails[mirrorOf(name)]];
    const ownChanges = JSON.stringify(twin.changes) !== JSON.stringify(nail.changes);
    const otherBuild = twin.build !== nail.build;
    if (twin.look === nail.look && !otherBuild && !ownChanges) return [];
    return [
      {
        nail: mirrorOf(name),
        finger: fingerOf(name),
        was: nameOf(nail.look),
        becomes: nameOf(twin.look),
        ownChanges,
        build: otherBuild ? { was: buildName(nail.build), becomes: buildName(twin.build) } : null,
      },
    ];
  });
}
