import type { Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import { renamedByContent } from './naming';
import { referenceFaults, SetShape, type Look, type SetDocument } from './document';
import type { Edit } from './edits';
import { fingerOf, NAILS, handNails, mirrorOf, type Finger, type Hand, type NailName } from '../model/names';
import type { Appointment, SetState } from '../model/appointment';
import type { Offered } from '../model/pricing';
import type { Nail, NailChange, Plate } from '../model/nail';
import type { Practice } from '../model/practice';
import { tidyWords } from '../model/primitives';
import { wearersOf } from './wearers';
import type { Lamp, Product, TipBox } from '../model/product';
import { fail, ok, type Result } from '../model/result';

/** A change to a set document: a small piece of plain data that can be applied, refused, stored and undone. */
export type Change =
  | { kind: 'rename'; title: string }
  | { kind: 'appoint'; appointment: Appointment | null }
  | { kind: 'state'; state: SetState }
  | { kind: 'offer'; offered: Offered | null }
  /** Keeps something from being made simpler, or lets it go. */
  | { kind: 'keep'; key: string; keeps: boolean }
  | { kind: 'wear'; nails: NailName[]; look: string | null }
  /** Every nail its look at once; what they had otherwise goes with the look it was of. */
  | { kind: 'dress'; looks: Record<NailName, string> }
  | { kind: 'in-work'; nails: NailName[]; in_work: boolean }
  | {
      kind: 'nail';
      nails: NailName[];
      put: Partial<Pick<Nail, 'conditions' | 'start' | 'own_free_mm' | 'own_shape'>>;
    }
  | { kind: 'measure'; nails: NailName[]; plate: Partial<Plate> }
  | { kind: 'copy-plates'; from: Hand }
  | { kind: 'skin'; skin: string }
  | { kind: 'put-tips'; box: TipBox }
  | { kind: 'remove-tips'; box: string }
  | { kind: 'put-lamp'; lamp: Lamp }
  | { kind: 'remove-lamp'; lamp: string }
  /** The other hand is made like this one; of one finger, where it is named. */
  | { kind: 'mirror'; from: Hand; finger?: Finger }
  /** Two nails wear what the other wore; their builds are of the fingers, and stay. */
  | { kind: 'swap'; nails: [NailName, NailName] }
  | { kind: 'put-look'; look: Look }
  | { kind: 'remove-look'; look: string }
  | { kind: 'put-element'; look: string; element: Element }
  | { kind: 'remove-element'; look: string; element: string }
  | { kind: 'move-element'; look: string; element: string; to: number }
  | { kind: 'practice'; practice: Partial<Practice> }
  | { kind: 'put-build'; build: Build }
  | { kind: 'use-build'; nails: NailName[]; build: string }
  | { kind: 'plate'; nail: NailName; plate: Partial<Plate> }
  | { kind: 'nail-change'; nail: NailName; change: NailChange }
  | { kind: 'clear-nail-change'; nail: NailName; element: string }
  | { kind: 'add-edit'; edit: Edit }
  | { kind: 'remove-edit'; edit: Edit }
  | { kind: 'put-product'; product: Product }
  | { kind: 'many'; changes: Change[] };

/** Ten plates in the place of those of a set: one step. */
export function measureAll(plates: Record<NailName, Plate>): Change {
  return {
    kind: 'many',
    changes: NAILS.map((nail) => ({ kind: 'measure', nails: [nail], plate: plates[nail] })),
  };
}

type Apply<K extends Change['kind']> = (
  set: SetDocument,
  change: Extract<Change, { kind: K }>,
) => SetDocument;

const APPLY: { [K in Change['kind']]: Apply<K> } = {
  rename: (set, { title }) => ({ ...set, title: tidyWords(title) ?? title }),
  appoint: (set, { appointment }) => ({ ...set, appointment }),
  offer: (set, { offered }) => ({ ...set, offered }),
  keep: (set, { key, keeps }) => {
    const others = (set.keeps ?? []).filter((one) => one !== key);
    return { ...set, keeps: keeps ? [...others, key] : others };
  },
  state: (set, { state }) => ({ ...set, state }),
  wear: (set, { nails, look }) => mapNails(set, nails, (nail) => ({ ...nail, look, changes: [] })),
  dress: (set, { looks }) =>
    NAILS.reduce(
      (next, name) =>
        set.nails[name].look === looks[name]
          ? next
          : mapNails(next, [name], (nail) => ({ ...nail, look: looks[name], changes: [] })),
      set,
    ),
  'in-work': (set, { nails, in_work }) => mapNails(set, nails, (nail) => ({ ...nail, in_work })),
  nail: (set, { nails, put: given }) => mapNails(set, nails, (nail) => ({ ...nail, ...given })),
  measure: (set, { nails, plate }) =>
    mapNails(set, nails, (nail) => ({ ...nail, plate: { ...nail.plate, ...plate } })),
  'copy-plates': (set, { from }) =>
    handNails(from).reduce(
      (next, name) => mapNails(next, [mirrorOf(name)], (nail) => ({ ...nail, plate: set.nails[name].plate })),
      set,
    ),
  skin: (set, { skin }) => ({ ...set, skin }),
  'put-tips': (set, { box }) => ({ ...set, kit: { ...set.kit, tips: put(set.kit.tips, box) } }),
  'remove-tips': (set, { box }) => ({
    ...set,
    kit: { ...set.kit, tips: set.kit.tips.filter((one) => one.id !== box) },
  }),
  'put-lamp': (set, { lamp }) => ({ ...set, kit: { ...set.kit, lamps: put(set.kit.lamps, lamp) } }),
  'remove-lamp': (set, { lamp }) => ({
    ...set,
    kit: { ...set.kit, lamps: set.kit.lamps.filter((one) => one.id !== lamp) },
  }),
  mirror: (set, { from, finger }) => {
    let next = set;
    for (const name of handNails(from)) {
      if (finger && fingerOf(name) !== finger) continue;
      const { look, build, changes } = set.nails[name];
      next = mapNails(next, [mirrorOf(name)], (nail) => ({ ...nail, look, build, changes }));
    }
    return next;
  },
  swap: (set, { nails: [a, b] }) => {
    const [one, other] = [set.nails[a], set.nails[b]];
    return mapNails(
      mapNails(set, [a], (nail) => ({ ...nail, look: other.look, changes: other.changes })),
      [b],
      (nail) => ({ ...nail, look: one.look, changes: one.changes }),
    );
  },
  'put-look': (set, { look }) => ({ ...set, looks: put(set.looks, look) }),
  'remove-look': (set, { look }) => {
    return {
      ...mapNails(set, wearersOf(set, look), (nail) => ({ ...nail, look: null, changes: [] })),
      looks: set.looks.filter((l) => l.id !== look),
    };
  },
  'put-element': (set, { look, element }) =>
    mapLook(set, look, (l) => ({ ...l, elements: put(l.elements, element) })),
  'remove-element': (set, { look, element }) => {
    const next = mapLook(set, look, (l) => ({ ...l, elements: l.elements.filter((e) => e.id !== element) }));
    return mapNails(next, wearersOf(set, look), (nail) => ({
      ...nail,
      changes: nail.changes.filter((change) => change.element !== element),
    }));
  },
  'move-element': (set, { look, element, to }) =>
    mapLook(set, look, (l) => {
      const moved = l.elements.find((e) => e.id === element);
      if (!moved) return l;
      const rest = l.elements.filter((e) => e.id !== element);
      rest.splice(Math.max(0, Math.min(to, rest.length)), 0, moved);
      return { ...l, elements: rest };
    }),
  practice: (set, { practice }) => ({ ...set, practice: { ...set.practice, ...practice } }),
  'put-build': (set, { build }) => ({ ...set, builds: put(set.builds, build) }),
  'use-build': (set, { nails, build }) => mapNails(set, nails, (nail) => ({ ...nail, build })),
  plate: (set, { nail, plate }) => mapNails(set, [nail], (n) => ({ ...n, plate: { ...n.plate, ...plate } })),
  'nail-change': (set, { nail, change }) =>
    mapNails(set, [nail], (n) => ({
      ...n,
      changes: [...n.changes.filter((c) => c.element !== change.element), change],
    })),
  'clear-nail-change': (set, { nail, element }) =>
    mapNails(set, [nail], (n) => ({ ...n, changes: n.changes.filter((c) => c.element !== element) })),
  'add-edit': (set, { edit }) => ({ ...set, edits: [...set.edits.filter((e) => !sameEdit(e, edit)), edit] }),
  'remove-edit': (set, { edit }) => ({ ...set, edits: set.edits.filter((e) => !sameEdit(e, edit)) }),
  'put-product': (set, { product }) => ({
    ...set,
    kit: { ...set.kit, products: put(set.kit.products, product) },
  }),
  many: (set, { changes }) => changes.reduce(applyUnchecked, set),
};

/** Every kind of change that this program knows. */
export const CHANGE_KINDS = Object.keys(APPLY) as Change['kind'][];

/** What a change would make of a set, unchecked: to look at, not to keep. */
export function applyUnchecked(set: SetDocument, change: Change): SetDocument {
  const apply = APPLY[change.kind] as Apply<Change['kind']>;
  return apply(set, change);
}

/**
 * Applies a change and checks the set that comes out. The set handed in is never altered; a change that would
 * break it is refused with the path of the fault.
 */
export function applyChange(set: SetDocument, change: Change): Result<SetDocument> {
  const next = renamedByContent(set, applyUnchecked(set, change));
  const parsed = SetShape.safeParse(next);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return fail(issue.path.map(String).join('.'), issue.message);
  }
  const fault = referenceFaults(parsed.data)[0];
  if (fault) return fail(fault.path.join('.'), fault.message);
  // The parts a change leaves alone stay the same objects, so that nothing is planned or drawn twice.
  return ok(next);
}

export function sameEdit(a: Edit, b: Edit): boolean {
  return JSON.stringify(a, Object.keys(a).sort()) === JSON.stringify(b, Object.keys(b).sort());
}

function mapNails(
  set: SetDocument,
  names: readonly NailName[],
  map: (nail: SetDocument['nails'][NailName]) => SetDocument['nails'][NailName],
): SetDocument {
  const nails = { ...set.nails };
  for (const name of names) nails[name] = map(nails[name]);
  return { ...set, nails };
}

function mapLook(set: SetDocument, id: string, map: (look: Look) => Look): SetDocument {
  return { ...set, looks: set.looks.map((look) => (look.id === id ? map(look) : look)) };
}

/** Replaces the item of the same id where it stands, or adds it at the end. */
function put<T extends { id: string }>(items: readonly T[], item: T): T[] {
  return items.some((i) => i.id === item.id)
    ? items.map((i) => (i.id === item.id ? item : i))
    : [...items, item];
}
