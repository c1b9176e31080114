import type { Element } from './techniques';
import { SEATS } from './operation';
import { element, setWearing } from '../testing/sets';
import { contextOf } from '../document/nailContext';
import { seatElements, surfaceAfter, wantsHost } from './seats';

const context = contextOf(setWearing([]), 'left-middle');
const seated = (...elements: Element[]) => seatElements(elements, context, SEATS);

describe('seats', () => {
  it('follow the list around what is encapsulated, unless the artist says otherwise', () => {
    const film = (id: string, seat: 'usual' | 'under' | 'inside' | 'surface' = 'usual') =>
      element('colour', { id, seat });
    const inlay = (id: string) => element('inlay', { id });
    const seats = seated(film('a'), inlay('b'), film('c'), inlay('d'), film('e'), film('f', 'under')).map(
      (one) => one.seat,
    );
    expect(seats).toEqual(['under', 'inside', 'inside', 'inside', 'surface', 'under']);
    expect(seated(film('alone')).map((one) => one.seat)).toEqual(['surface']);
  });

  it('of stones and charms follow how they are held', () => {
    const seatOf = (one: Element) => seated(one)[0]!.seat;
    expect(seatOf(element('crystals', { bedding: 'wet-top' }))).toBe('over');
    expect(seatOf(element('crystals', { bedding: 'bedded' }))).toBe('surface');
    expect(seatOf(element('charm', { bedding: 'glue' }))).toBe('over');
    expect(seatOf(element('charm', { bedding: 'gel' }))).toBe('surface');
  });

  it('a build that does not offer a seat gives the finished surface', () => {
    const [one] = seatElements([element('charm', { bedding: 'glue' })], context, ['surface']);
    expect(one!.seat).toBe('surface');
  });
});

describe('what a strand leaves and wants', () => {
  const leaves = (one: Element) => {
    const { material, phase, finish } = surfaceAfter(seated(one)[0]!.drafts, context.product);
    return `${phase} ${material} ${finish}`;
  };
  it.each<[Element, string]>([
    [element('colour'), 'cured gel tacky'],
    [element('colour', { product: 'white-art', passes: 1 }), 'cured art slick'],
    [element('colour', { product: 'mirror-silver', passes: 1 }), 'cured gel powdered'],
    [element('finish', { finish: 'gloss' }), 'cured top slick'],
    [element('finish', { finish: 'matte' }), 'cured top matte'],
    [element('crystals', { bedding: 'bedded' }), 'gelled stone slick'],
    [element('charm', { bedding: 'glue' }), 'cured stone slick'],
  ])('%#: %j', (one, words) => {
    expect(leaves(one)).toBe(words);
  });

  it('only what is set into wet product of another wants a host', () => {
    const wants = (one: Element) => wantsHost(seated(one)[0]!.drafts, context.product);
    expect(wants(element('crystals', { bedding: 'wet-top' }))).toBe(true);
    expect(wants(element('crystals', { bedding: 'bedded' }))).toBe(false);
    expect(wants(element('colour', { product: 'mirror-silver' }))).toBe(false);
    expect(wants(element('finish'))).toBe(false);
  });
});
