import fc from 'fast-check';
import { faultWords, placeWords } from './placeWords';

describe('places of a file in people’s words', () => {
  it.each([
    ['nails.left-thumb.plate.width_mm', 'left thumb, width'],
    ['looks.1.elements.0.region.points.3', 'look 2, element 1, where, point 4'],
    ['kit.products.11.coats_to_cover', 'product 12, coats to cover'],
    ['practice.acrylic_primer', 'practice, acrylic primer'],
    ['builds', 'builds'],
    ['', ''],
    ['constructor.0', 'entry 1'],
  ])('%s: %s', (path, words) => {
    expect(placeWords(path)).toBe(words);
  });

  it('a fault of the whole is said as it is', () => {
    expect(faultWords({ path: '', message: 'the file is empty' })).toBe('the file is empty');
    expect(faultWords({ path: 'title', message: 'must be text' })).toBe('Title: must be text');
  });

  it('no path is too odd', () => {
    fc.assert(fc.property(fc.string(), (path) => expect(typeof placeWords(path)).toBe('string')));
  });
});
