import type { SetDocument } from '../document/document';
import { editNail } from '../document/edits';
import { NAILS, type NailName } from '../model/names';
import { hasTorch } from '../model/product';
import { without } from '../model/without';
import { buildOf, lookOf } from '../document/nailContext';

/** All of a document that one nail's plan depends on, as text: equal text, equal plan. */
export function nailKey(set: SetDocument, name: NailName, kit: string): string {
  const nail = set.nails[name];
  const edits = set.edits.filter((edit) => editNail(edit) === name);
  // How the lamp is shared and how the work flows is of the sitting alone.
  const practice = without(set.practice, 'thumbs', 'flow');
  return JSON.stringify([name, nail, lookOf(set, nail), buildOf(set, nail), practice, edits]) + kit;
}

export function kitKey(set: SetDocument): string {
  return JSON.stringify([set.kit.products, set.kit.roles, set.kit.tips, hasTorch(set.kit)]);
}

/** The nails in work whose plan a changed set touches. */
export function touchedBy(set: SetDocument, next: SetDocument): NailName[] {
  const [before, after] = [nailKeys(set), nailKeys(next)];
  return NAILS.filter((name) => next.nails[name].in_work && before[name] !== after[name]);
}

/** For each nail a mark that changes when its plan and picture would. */
export function nailKeys(set: SetDocument): Record<NailName, string> {
  const kit = kitKey(set);
  return Object.fromEntries(NAILS.map((name) => [name, nailKey(set, name, kit)])) as Record<NailName, string>;
}
