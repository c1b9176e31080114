import fc from 'fast-check';
import type { Element } from '../craft/techniques';
import { SEATS } from '../craft/operation';
import { element, setWearing } from '../testing/sets';
import { coverer } from './lattice';
import { contextOf } from './prepare';
import { seatElements, inSeatOrder, surfaceAfter, wantsHost } from './seats';

const context = contextOf(setWearing([]), 'left-middle');
const seated = (...elements: Element[]) => seatElements(elements, context, SEATS);
const settled = (...elements: Element[]) =>
  inSeatOrder(seated(...elements), coverer(context.frame), context.product).map((one) => one.element.id);
const spot = (across: number) =>
  ({ kind: 'oval', across, along: 0.8, width_mm: 2, length_mm: 2, turn_deg: 0 }) as const;

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

describe('the order inside a seat', () => {
  const colour = element('colour');
  const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
  const chrome = element('colour', { id: 'chrome', product: 'mirror-silver' });
  const line = element('french', { id: 'line', liner: null });

  it('colour stays below stones that go before a matte accent, and the accent is taken around them', () => {
    const near = { kind: 'band', from: 0, to: 0.5 } as const;
    const matte = element('finish', { id: 'matte', finish: 'matte', region: near });
    const stones = element('crystals', { id: 'stones', bedding: 'bedded' });
    const over = element('colour', { id: 'over', region: near });
    expect(settled(matte, over, stones)).toEqual(['over', 'stones', 'matte']);
    expect(settled(matte, stones)).toEqual(['stones', 'matte']);
  });

  it('keeps the list wherever it can be done', () => {
    expect(settled(colour, gloss, chrome, line)).toEqual(['colour', 'gloss', 'chrome', 'line']);
    expect(settled(colour, line, gloss)).toEqual(['colour', 'line', 'gloss']);
    expect(settled(line, colour)).toEqual(['line', 'colour']);
  });

  it('turns round what holds only the other way', () => {
    expect(settled(gloss, colour)).toEqual(['colour', 'gloss']);
    expect(settled(chrome, gloss)).toEqual(['gloss', 'chrome']);
  });

  it('leaves alone what does not meet, whatever it is', () => {
    const left = element('finish', { id: 'left', finish: 'gloss', region: spot(-0.6) });
    const right = element('colour', { id: 'right', region: spot(0.6) });
    expect(settled(left, right)).toEqual(['left', 'right']);
    expect(settled(left, element('colour', { id: 'same', region: spot(-0.6) }))).toEqual(['same', 'left']);
  });

  it('of any list is an order of that list, and moves nothing without a reason', () => {
    const parts: Element[] = [
      colour,
      gloss,
      chrome,
      line,
      element('ombre'),
      element('crystals', { id: 'stones', bedding: 'bedded' }),
      element('charm', { bedding: 'gel' }),
      element('finish', { id: 'matte', region: spot(0) }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(parts), (list) => {
        const all = seated(...list);
        const order = inSeatOrder(all, coverer(context.frame), context.product);
        expect(order.map((one) => one.element.id).sort()).toEqual(list.map((one) => one.id).sort());
        const still = order.filter((one) => !one.moved).map((one) => one.listed);
        expect(still).toEqual([...still].sort((a, b) => a - b));
        // Settled once, it is settled: nothing more would move.
        const again = inSeatOrder(
          order.map((one, listed) => ({ ...one, listed })),
          coverer(context.frame),
          context.product,
        );
        if (order.every((one) => !one.moved)) {
          expect(again.map((one) => one.element.id)).toEqual(order.map((one) => one.element.id));
        }
      }),
      { numRuns: 60 },
    );
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
