import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import type { Product } from '@/core/model/product';

/** What an element is: its technique's name, or its own where that is told apart. */
export function namedElement(element: Element): string {
  const { named, words } = techniqueOf(element.kind);
  return named?.(element) ?? words;
}

/** What it is, in a sentence: as it was offered. */
export function saidOfElement(element: Element): string {
  const { also = [], blurb } = techniqueOf(element.kind);
  return also.find(({ words }) => words === namedElement(element))?.blurb ?? blurb;
}

/** What an element is called beside the others of its look: two of a kind are told apart by what they are of. */
export function elementWords(element: Element, look: Look, kit: readonly Product[]): string {
  const { products } = techniqueOf(element.kind);
  const words = namedElement(element);
  if (look.elements.filter((one) => namedElement(one) === words).length < 2) return words;
  return `${words}, ${kit.find((one) => one.id === products(element)[0])?.name ?? element.id}`;
}
