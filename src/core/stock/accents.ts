import { techniqueOf } from '../craft/techniques';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { newMemo, workOf, type PlanMemo } from '../plan/planSet';
import { roughly_s } from '../plan/shorten';
import { needsOf, type Need } from './needs';

/** What the art of one look brings to a set: the set is planned once with it and once without. */
export interface Accent {
  look: string;
  element: string;
  words: string;
  nails: NailName[];
  /** By so much the sitting is longer with it; hardly anything where it hides in time that is waited anyway. */
  seconds: number;
  /** What a set without it takes. */
  needs: Need[];
}

/** What a set takes, whatever the order it is worked in. */
export function bareNeeds(set: SetDocument, memo: PlanMemo = newMemo()): Need[] {
  return needsOf(set, { ...workOf(set, memo), rounds: [] });
}

/** What each accent of a set costs: every element that is no ground, on the nails that wear its look. */
export function accentsOf(set: SetDocument, memo: PlanMemo = newMemo()): Accent[] {
  const now = roughly_s(set, memo);
  return set.looks.flatMap((look): Accent[] => {
    const nails = NAILS.filter((nail) => set.nails[nail].in_work && set.nails[nail].look === look.id);
    if (nails.length === 0) return [];
    return look.elements.flatMap((element): Accent[] => {
      const technique = techniqueOf(element.kind);
      if (technique.ground) return [];
      const next = applyChange(set, { kind: 'remove-element', look: look.id, element: element.id });
      if (!next.ok) return [];
      return [
        {
          look: look.id,
          element: element.id,
          words: `${look.name}: ${technique.words.toLowerCase()}`,
          nails,
          seconds: Math.max(0, Math.round(now - roughly_s(next.value, memo))),
          needs: bareNeeds(next.value, memo),
        },
      ];
    });
  });
}
