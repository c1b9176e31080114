import { element, QUICK, setWearing } from '../testing/sets';
import type { Element } from '../craft/techniques';
import { planSet } from '../plan/planSet';
import { stepMap } from './stepMap';

/** Maps of what is laid of one element on the left ring finger. */
function mapsOf(one: Element) {
  const set = setWearing([element('colour', { id: 'ground' }), one]);
  const { operations } = planSet(set, QUICK);
  return operations['left-ring']
    .filter(({ element: id, deposit }) => id === one.id && deposit)
    .map((operation) => stepMap(set, operation));
}

describe('where a step lies, in mm', () => {
  it('is said of a band by its height from the cuticle, as it was drawn, and of the whole nail not at all', () => {
    const [band] = mapsOf(
      element('colour', { id: 'band', product: 'amber-11', region: { kind: 'band', from: 0.5, to: 0.75 } }),
    );
    const { bed_mm } = band!;
    const [low, high] = band!.items[0]!.at.match(/[\d.]+/g)!.map(Number);
    // Shares of the bed, from its cuticle.
    expect(low).toBeCloseTo(0.5 * bed_mm, 0);
    expect(high).toBeCloseTo(0.75 * bed_mm, 0);
    expect(mapsOf(element('colour', { id: 'all', product: 'amber-11' }))[0]).toBeUndefined();
  });

  it('of stones is each stone at its place; of a net of dots one line for all of them', () => {
    const [stones] = mapsOf(
      element('stones', {
        id: 'stones',
        stones: [
          { size: 'SS5', across: -0.4, along: 0.5, colour: '#e9f1f5' },
          { size: 'SS9', across: 0, along: 0.8, colour: '#e9f1f5' },
        ],
      }),
    ).filter((map) => map !== undefined);
    expect(stones!.items).toHaveLength(2);
    expect(stones!.items[0]!.at).toMatch(/left, [\d.]+ up$/);
    const [dots] = mapsOf(
      element('colour', {
        id: 'dots',
        product: 'amber-11',
        region: {
          kind: 'dots',
          rows: 5,
          columns: 4,
          dot_mm: 0.9,
          pitch_mm: 2.4,
          turn_deg: 0,
          across: 0,
          along: 1,
          staggered: true,
        },
      }),
    );
    expect(dots!.items).toHaveLength(1);
    expect(dots!.also!.length).toBeGreaterThan(5);
  });
});
