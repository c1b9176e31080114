import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import type { Product } from '@/core/model/product';

/** What an element is called beside the others of its look: two of a kind are told apart by what they are of. */
export function elementWords(element: Element, look: Look, kit: readonly Product[]): string {
  const { words, products } = techniqueOf(element.kind);
  if (look.elements.filter((one) => one.kind === element.kind).length < 2) return words;
  return `${words}, ${kit.find((one) => one.id === products(element)[0])?.name ?? element.id}`;
}
