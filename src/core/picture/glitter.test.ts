import { element, setWearing } from '../testing/sets';
import { glitters } from './glitter';

describe('whether a nail glitters', () => {
  it.each([
    ['a plain colour', [element('colour')], false],
    ['a cat-eye', [element('colour'), element('magnetic')], true],
    ['mirror powder', [element('colour', { product: 'mirror-silver' })], true],
    [
      'a gilt liner along the smile',
      [element('french', { liner: { product: 'gilt-liner', width_mm: 0.4 } })],
      true,
    ],
    ['a French without one', [element('french', { liner: null })], false],
    ['nothing', [], false],
  ])('%s', (_, elements, does) => {
    expect(glitters(setWearing(elements), 'left-ring')).toBe(does);
  });

  it('goes by what the nail itself wears', () => {
    const set = setWearing([element('colour'), element('magnetic')], (all) => {
      all.nails['left-ring'].changes = [{ element: 'magnetic', leave_off: true }];
    });
    expect(glitters(set, 'left-ring')).toBe(false);
    expect(glitters(set, 'left-middle')).toBe(true);
  });
});
