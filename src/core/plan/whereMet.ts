import { workOf } from '../craft/layering';
import { laidBy, type Operation } from '../craft/operation';
import { NAILS, type NailName } from '../model/names';
import type { Product } from '../model/product';
import type { Plan } from './planSet';

/** A step of a set as it is called, and the nails it is done on; its operation on the first of them. */
export interface MetAt {
  words: string;
  nails: NailName[];
  operation: Operation;
}

/** Where in a plan a work of the layering reference meets a surface: what most of the nail then is, in the reference's words. */
export function whereMet(
  { operations, surfaces }: Pick<Plan, 'operations' | 'surfaces'>,
  product: (id: string) => Product,
  work: string,
  surface: string,
): MetAt[] {
  const by = new Map<string, MetAt>();
  for (const nail of NAILS)
    operations[nail].forEach((operation, i) => {
      const met = i > 0 && surfaces[nail][i - 1] === surface;
      if (!met || workOf(operation.verb, laidBy(operation, product))?.key !== work) return;
      const { words } = operation;
      const known = by.get(words);
      if (!known) by.set(words, { words, nails: [nail], operation });
      else if (!known.nails.includes(nail)) known.nails.push(nail);
    });
  return [...by.values()];
}
