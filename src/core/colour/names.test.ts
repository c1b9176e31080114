import { colourName } from './names';

/** Colours whose names are beyond doubt: the pure ones of CSS Color Module Level 4, 6.1 (named colors), and the theatre's own. */
describe('what a colour is called', () => {
  it.each([
    ['#ffffff', 'white'],
    ['#000000', 'black'],
    ['#800080', 'purple'],
    ['#000080', 'navy'],
    ['#808000', 'olive'],
    ['#008080', 'teal'],
    ['#5c1520', 'oxblood'],
    ['#5a1a22', 'oxblood'],
    ['#f3ece2', 'milk'],
  ])('%s is %s', (hex, name) => {
    expect(colourName(hex)).toBe(name);
  });
});
