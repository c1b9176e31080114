import { FAMILIES } from '../craft/families';
import type { Product } from '../model/product';

/** A product of the sitting that a client's card rules out, and the words of the card that do. */
export interface RuledOut {
  product: Product;
  words: string;
}

/**
 * Which products a client's card rules out: "HEMA, acid primer" names what products are called or contain, or "reacts to
 * HEMA" says so in a sentence. Only whole words count; what says nothing a product says rules nothing out.
 */
export function notOnTheseHands(card: string, products: readonly Product[]): RuledOut[] {
  const phrases = parts(card);
  return products.flatMap((product) => {
    const words = phrases.find((phrase) => isMeant(product, phrase));
    return words === undefined ? [] : [{ product, words }];
  });
}

function isMeant(product: Product, phrase: string): boolean {
  const { name, system = '', contains = '', family } = product;
  const said = [name, system, contains, FAMILIES[family].words];
  if (said.some((one) => holds(one, phrase))) return true;
  return [name, FAMILIES[family].words, ...parts(contains)].some((one) => holds(phrase, one));
}

/** What stands between commas, semicolons and line ends. */
function parts(text: string): string[] {
  return text
    .split(/[,;\n]/)
    .map((one) => one.trim().replace(/\.$/, ''))
    .filter((one) => one.length >= SHORTEST);
}
/** Shorter words are "no" and "of". */
const SHORTEST = 3;

/** Whether a text has these words as words of their own, in any case, one or many of them. */
function holds(text: string, words: string): boolean {
  const plain = (one: string) =>
    ` ${
      one
        .toLowerCase()
        .match(/[\p{L}\p{N}]+/gu)
        ?.map(single)
        .join(' ') ?? ''
    } `;
  return words.length >= SHORTEST && plain(words).trim() !== '' && plain(text).includes(plain(words));
}

function single(word: string): string {
  return word.length > SHORTEST + 1 ? word.replace(/s$/, '') : word;
}
