import { PRODUCT_FAMILIES, Product } from '../model/product';
import { firstOf, genericShelf } from './shelf';

describe('a first product of a family', () => {
  it.each(PRODUCT_FAMILIES)('%s: whole, of that family, under an id of its own', (family) => {
    const taken = new Set(genericShelf().map((one) => one.id));
    const made = firstOf(family, taken);
    expect(Product.safeParse(made).success).toBe(true);
    expect(made.family).toBe(family);
    expect(taken.has(made.id)).toBe(false);
  });
});
