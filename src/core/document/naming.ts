import { buildKindOf, type Build } from '../craft/builds';
import { lengthOf } from '../craft/lengths';
import { techniqueOf } from '../craft/techniques';
import { SHAPE_DEFINITIONS } from '../geometry/shape';
import { lowerFirst, upperFirst } from '../model/letters';
import type { Product } from '../model/product';
import { tidyWords } from '../model/primitives';
import type { Look, SetDocument } from './document';

/** What a look is called that has nothing in it yet. */
const EMPTY = 'New look';
/** More parts than this are told by the number of the rest. */
const MOST_PARTS = 3;

/** What a look is called by what it holds: "Oxblood, five crystals". */
export function lookName(look: Pick<Look, 'elements'>, products: readonly Product[]): string {
  const nameOf = (id: string) => products.find((one) => one.id === id)?.name ?? id;
  const parts = look.elements.map((element) => techniqueOf(element.kind).called(element, nameOf));
  if (parts.length === 0) return EMPTY;
  const rest = parts.length - MOST_PARTS;
  const said = rest > 0 ? [...parts.slice(0, MOST_PARTS), `${rest} more`] : parts;
  return tidyWords(upperFirst(said.join(', '))) ?? EMPTY;
}

/** Whether a look was never named: it is called by what it holds. */
export function isNamedByContent(look: Look, products: readonly Product[]): boolean {
  return isOf(lookName(look, products), look.name);
}

/** What a build is called by its kind, shape and length: "Full-cover soft-gel tip, medium almond". */
export function buildName(build: Build): string {
  const shape = lowerFirst(SHAPE_DEFINITIONS[build.shape].words);
  // Grown nails are each as long as they are.
  const length = 'length_mm' in build ? `${lowerFirst(lengthOf(build.length_mm).words)} ` : '';
  return `${buildKindOf(build.kind).words}, ${length}${shape}`;
}

/** A build under the name of what it is. */
export function namedBuild<B extends Build>(build: B): B {
  return { ...build, name: buildName(build) };
}

/** The same words with a number that nobody else has: "Oxblood 2". */
export function nameApart(name: string, others: readonly string[]): string {
  let apart = name;
  for (let n = 2; others.includes(apart); n += 1) apart = `${name} ${n}`;
  return apart;
}

/** Whether a name is that of the content, with or without a number to tell it apart. */
function isOf(content: string, name: string): boolean {
  return name === content || (name.startsWith(`${content} `) && /^\d+$/.test(name.slice(content.length + 1)));
}

/**
 * After a change: what was called by its content is called by what it holds now; what an artist named keeps its name.
 * Looks and builds that did not change stay the same objects.
 */
export function renamedByContent(before: SetDocument, after: SetDocument): SetDocument {
  const sameKit = before.kit.products === after.kit.products;
  const lookIn = (set: SetDocument) => (look: Look) => lookName(look, set.kit.products);
  const looks = renamed(before.looks, after.looks, lookIn(before), lookIn(after), sameKit);
  const builds = renamed(before.builds, after.builds, buildName, buildName, true);
  return looks === after.looks && builds === after.builds ? after : { ...after, looks, builds };
}

/** `sameAround`: what stayed the same object is called as before. */
function renamed<T extends { id: string; name: string }>(
  before: readonly T[],
  after: T[],
  nameWas: (one: T) => string,
  nameIs: (one: T) => string,
  sameAround: boolean,
): T[] {
  if (sameAround && before === after) return after;
  let next = after;
  for (const one of after) {
    const old = before.find(({ id }) => id === one.id);
    // What is new here has the name it came with, and what was named just now the name it was given.
    if (!old || (sameAround && old === one) || old.name !== one.name) continue;
    const now = nameIs(one);
    if (isOf(now, one.name) || !isOf(nameWas(old), old.name)) continue;
    const others = next.filter(({ id }) => id !== one.id).map(({ name }) => name);
    next = next.map((each) => (each.id === one.id ? { ...each, name: nameApart(now, others) } : each));
  }
  return next;
}
