import { Element, techniqueOf } from '../craft/techniques';
import { buildKindOf, type Build } from '../craft/builds';
import { placeOf, type NailContext } from '../craft/context';
import type { Place } from '../craft/operation';
import { startKindOf } from '../craft/starts';
import { makeFrame, type NailFrame } from '../geometry/frame';
import type { Look, SetDocument } from './document';
import type { NailName } from '../model/names';
import type { Nail, NailChange } from '../model/nail';
import { hasTorch, type Product } from '../model/product';

export function buildOf(set: SetDocument, nail: Nail): Build {
  return set.builds.find((build) => build.id === nail.build)!;
}

export function lookOf(set: SetDocument, nail: Nail): Look | undefined {
  return set.looks.find((look) => look.id === nail.look);
}

export function frameOf(nail: Nail, build: Build): NailFrame {
  return makeFrame({
    width_mm: nail.plate.width_mm,
    arch_mm: nail.plate.arch_mm,
    bed_mm: nail.plate.bed_mm,
    free_mm: nail.own_free_mm ?? buildKindOf(build.kind).free_mm(build, nail.plate),
    radiusAlong_mm: nail.plate.radius_mm,
    shape: nail.own_shape ?? build.shape,
  });
}

/** An element with a nail's own change laid over it, or undefined where the change does not fit the element. */
export function changedElement(element: Element, change: NailChange | undefined): Element | undefined {
  if (!change || 'leave_off' in change) return element;
  const parsed = Element.safeParse({ ...element, ...change.options, id: element.id, kind: element.kind });
  return parsed.success ? parsed.data : undefined;
}

/** An element of a look as one nail wears it; as the look has it where the nail wears another. */
export function elementOn(set: SetDocument, name: NailName, look: string, id: string): Element | undefined {
  const element = set.looks.find((one) => one.id === look)?.elements.find((one) => one.id === id);
  if (!element || set.nails[name].look !== look) return element;
  return (
    changedElement(
      element,
      set.nails[name].changes.find((one) => one.element === id),
    ) ?? element
  );
}

/** The elements a nail wears, bottom to top as the look lists them, with the nail's own changes. */
export function wornElements(set: SetDocument, nail: Nail): Element[] {
  const look = lookOf(set, nail);
  if (!look) return [];
  return look.elements.flatMap((element) => {
    const change = nail.changes.find((c) => c.element === element.id);
    if (change && 'leave_off' in change) return [];
    return [changedElement(element, change) ?? element];
  });
}

/** Whether a nail gets a ready tip from the boxes: not where the old nail stays. */
export function takesTip(set: SetDocument, nail: Nail): boolean {
  const { edge, offHand } = buildKindOf(buildOf(set, nail).kind);
  return edge === 'tip' && (offHand === true || !startKindOf(nail.start.kind).keeps);
}

/** Where an element of a nail's look lies, with what it is itself kept within; a circle of such ends where it closes. */
function partOf(id: string, set: SetDocument, name: NailName, on: readonly string[]): Place | undefined {
  const element = wornElements(set, set.nails[name]).find((one) => one.id === id);
  const part =
    element && (techniqueOf(element.kind).part?.(element) ?? ('region' in element ? element : undefined));
  if (!part || on.includes(id)) return undefined;
  const context = { ...contextOf(set, name), partOf: (next: string) => partOf(next, set, name, [...on, id]) };
  return placeOf(context, part);
}

/** What techniques and builds are told about one nail. */
export function contextOf(set: SetDocument, name: NailName): NailContext {
  const nail = set.nails[name];
  const products = new Map(set.kit.products.map((product) => [product.id, product]));
  const product = (id: string): Product => products.get(id)!;
  const { roles = {} } = buildKindOf(buildOf(set, nail).kind);
  return {
    name,
    nail,
    frame: frameOf(nail, buildOf(set, nail)),
    practice: set.practice,
    product,
    role: (role) => product(set.kit.roles[roles[role] ?? role]),
    torch: hasTorch(set.kit),
    inlaid: false,
    framed: false,
    clear: product(set.kit.roles[roles.builder ?? 'builder']),
    dark: 0,
    standing: [],
    partOf: (id) => partOf(id, set, name, []),
  };
}
