import { compileNail } from '../compile/compile';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import type { Supply } from '../model/supply';
import { element, setWearing } from '../testing/sets';
import { countedOut } from './countedOut';

const operationsOf = (set: SetDocument) => NAILS.flatMap((name) => compileNail(set, name).operations);
const stone = (size: 'SS3' | 'SS9', colour: string) => ({ size, colour, across: 0, along: 0.5 });

describe('what is counted out', () => {
  const set = setWearing([
    element('colour'),
    element('inlay', { fit: 'keep' }),
    element('stones', {
      fit: 'keep',
      stones: [stone('SS9', '#E9F1F5'), { ...stone('SS3', '#d8a440'), along: 1 }],
    }),
    element('charm', { fit: 'keep', across: 0, along: 1.5 }),
  ]);

  it('is every piece that any nail takes, by kind and colour, and nothing else', () => {
    const operations = operationsOf(set);
    const counted = countedOut(operations, []);
    const all = operations.reduce(
      (sum, { deposit }) => sum + (deposit?.kind === 'pieces' ? deposit.pieces.length : 0),
      0,
    );
    expect(counted.reduce((sum, one) => sum + one.count, 0)).toBe(all);
    expect(counted.map((one) => [one.words, one.count])).toEqual([
      ['slivers 4 × 1 mm', 30],
      [expect.any(String), 10],
      ['stones SS3', 10],
      ['stones SS9', 10],
    ]);
  });

  it('stands beside what the shelf has left of just those', () => {
    const shelf: Supply[] = [
      { kind: 'stone', id: 'a', name: 'Clear', count: 4, size: 'SS9', colour: '#e9f1f5' },
      { kind: 'stone', id: 'b', name: 'Clear, more', count: 3, size: 'SS9', colour: '#e9f1f5' },
      { kind: 'stone', id: 'c', name: 'Gold', count: null, size: 'SS3', colour: '#d8a440' },
      { kind: 'stone', id: 'd', name: 'Other', count: 99, size: 'SS9', colour: '#ffffff' },
    ];
    const left = Object.fromEntries(countedOut(operationsOf(set), shelf).map((one) => [one.words, one.left]));
    expect(left['stones SS9']).toBe(7);
    expect(left['stones SS3']).toBeUndefined();
  });

  it('pieces that shrink with their nails are told with their span', () => {
    const shrunk = setWearing([element('colour'), element('inlay')], (all) => {
      all.nails['left-little'].plate.width_mm = 8;
    });
    expect(countedOut(operationsOf(shrunk), [])[0]!.words).toMatch(/^slivers \d\.?\d* to \d\.?\d* × /);
  });

  it('a nail that is not worked on takes nothing', () => {
    const few = setWearing([element('colour'), element('inlay', { fit: 'keep' })], (all) => {
      for (const name of NAILS) all.nails[name].in_work = name === 'left-thumb';
    });
    expect(countedOut(operationsOf(few), [])).toMatchObject([{ count: 3 }]);
    expect(countedOut(operationsOf(setWearing([element('colour')])), [])).toEqual([]);
  });
});
