import type { Element } from '../craft/techniques';
import { element, setWearing } from '../testing/sets';
import { compileNail } from './compile';
import { laidOrder } from './laidOrder';

const laid = (elements: Element[], build = 'natural') => {
  const set = setWearing(elements, (one) => {
    one.nails['left-ring'].build = build;
  });
  return laidOrder(elements, compileNail(set, 'left-ring').operations).map(({ id }) => id);
};

describe('the list as it is laid', () => {
  const colour = element('colour');
  const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
  const line = element('french', { id: 'line' });

  it('is the list, from the plate up', () => {
    expect(laid([colour, gloss, line])).toEqual(['colour', 'gloss', 'line']);
  });

  it('has stones where the top is that they are set into', () => {
    const stones = element('crystals', { id: 'stones', bedding: 'wet-top' });
    expect(laid([stones, colour, gloss])).toEqual(['colour', 'gloss', 'stones']);
  });

  it('keeps what a nail leaves off, and what the build is made of, beside what is listed before it', () => {
    const made = element('built', { id: 'made' });
    const left = element('colour', { id: 'left', fit: 'drop' });
    expect(laid([made, colour, left, line])).toEqual(['made', 'colour', 'left', 'line']);
  });

  it('has what is seated by hand where it sits', () => {
    const under = element('colour', { id: 'under', seat: 'under' });
    expect(laid([colour, element('inlay'), under], 'tips')).toEqual(['colour', 'under', 'inlay']);
  });
});
