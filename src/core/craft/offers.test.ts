import { OFFERS, offersFor } from './offers';
import { Element, TECHNIQUES } from './techniques';

const pick = () => 'rose-nude';

describe('what can be added to a look', () => {
  it('every technique is offered, and each offer under a key of its own', () => {
    const keys = OFFERS.map((offer) => offer.key);
    expect(keys).toEqual(expect.arrayContaining(TECHNIQUES.map(({ kind }) => kind)));
    expect(new Set(keys).size).toBe(keys.length);
  });

  it.each(OFFERS.map((offer) => [offer.words, offer] as const))(
    '%s is an element as a file may hold it',
    (_, offer) => {
      expect(Element.safeParse(offer.fresh('added', pick))).toMatchObject({
        success: true,
        data: { id: 'added' },
      });
    },
  );

  it('is found by its name first, then by what is said of it', () => {
    expect(offersFor('lin')[0]!.key).toBe('lines');
    expect(offersFor('decal')[0]!.key).toBe('decal');
    expect(offersFor('stripes').map((offer) => offer.key)).toContain('lines');
    expect(offersFor('no such thing')).toEqual([]);
    expect(offersFor('  ')).toHaveLength(OFFERS.length);
  });
});
