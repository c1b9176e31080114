import { differenceCiede2000 } from 'culori';
import { matchColour } from '../colour/match';
import { hexOf, linearOf } from '../colour/space';
import { Product } from '../model/product';
import { genericKit } from './kit';
import { mixed } from './mixed';

const product = (id: string) => genericKit().products.find((one) => one.id === id)!;
const none = new Set<string>();

describe('a mix as a product', () => {
  it('is named by its recipe and made like its larger part', () => {
    const made = mixed(
      [
        { product: product('ember-12'), parts: 1 },
        { product: product('ivory-02'), parts: 3 },
      ],
      none,
    );
    expect(Product.safeParse(made).success).toBe(true);
    expect(made).toMatchObject({
      name: '1 Ember 12 + 3 Ivory 02',
      family: 'gel-colour',
      coats_to_cover: 2.8,
      lamp: { depth_um: 88, cure_s: 60 },
    });
    expect(mixed([{ product: made, parts: 1 }], new Set(['1-1-ember-12-3-ivory-02'])).id).not.toBe(made.id);
  });

  it('has the colour that the match promised', () => {
    const wanted = linearOf('#c98a70');
    const products = ['ember-12', 'ivory-02', 'amber-11', 'rose-nude'].map(product);
    const { mix } = matchColour(wanted, products);
    const made = mixed(
      mix!.parts.map(({ product: id, parts }) => ({ product: product(id), parts })),
      none,
    );
    // What the match shows lies over the bed; the product's colour is the film that hides it.
    expect(differenceCiede2000()(made.colour!, hexOf(mix!.colour))).toBeLessThan(4);
  });
});
