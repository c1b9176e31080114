import fc from 'fast-check';
import { typicalPlate } from '../starter/hand';
import { NAILS } from '../model/names';
import { inUnit, MEASURES, oddPlate, readMeasure, UNITS, type Unit } from './measures';

const [width, bed, arch] = MEASURES as [
  (typeof MEASURES)[number],
  (typeof MEASURES)[number],
  (typeof MEASURES)[number],
];
const words = (typed: string, measure = width, unit: Unit = 'mm') => {
  const read = readMeasure(typed, measure, unit);
  return read.ok ? (read.value.doubt ?? read.value.value_mm) : read.faults[0]!.message;
};

describe('a measure as it is typed', () => {
  it.each<[string, number]>([
    ['11.4', 11.4],
    [' 11,4 ', 11.4],
    ['9', 9],
    ['11.25', 11.25],
  ])('"%s" is %d mm', (typed, value) => expect(words(typed)).toBe(value));

  it.each<[string, string]>([
    ['', 'a number, such as 11.5'],
    ['-3', 'a number, such as 11.5'],
    ['1e3', 'a number, such as 11.5'],
    ['eleven', 'a number, such as 11.5'],
    ['0', '0 mm is no width of a nail'],
    ['114', '114 mm is no width of a nail: did you mean 11.4?'],
    ['1.14', '1.14 mm is no width of a nail: did you mean 11.4?'],
    ['1140', '1140 mm is no width of a nail: did you mean 11.4?'],
    ['23', '23 mm is unusual'],
  ])('"%s" is told: %s', (typed, message) => expect(words(typed)).toBe(message));

  it('asks back at every measure, in the unit at hand', () => {
    expect(words('26', arch)).toBe('26 mm is no arch of a nail: did you mean 2.6?');
    expect(words('26', bed)).toBe('26 mm is no bed of a nail');
    expect(words('14', width, 'inch32')).toBeCloseTo(11.11, 2);
    expect(words('140', width, 'inch32')).toBe('140 1/32 inch is no width of a nail: did you mean 14?');
  });

  it('is kept to a hundredth of a mm whatever unit it came in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 76 }), (quarters) => {
        const typed = quarters / 4;
        const read = readMeasure(String(typed), width, 'inch32');
        if (!read.ok) throw new Error('refused');
        expect(inUnit(read.value.value_mm, 'inch32')).toBe(typed);
        expect(read.value.value_mm).toBeCloseTo(typed * UNITS.inch32.mm, 2);
      }),
    );
  });

  it('is odd where width and bed look swapped, or an arch is half a width', () => {
    const hand = NAILS.slice(0, 5).map(typicalPlate);
    for (const plate of hand) expect(oddPlate(plate, hand)).toBeUndefined();
    expect(oddPlate({ ...hand[1]!, arch_mm: 7 }, hand)).toMatch(/more than half/);
    expect(oddPlate({ ...hand[1]!, width_mm: 18, bed_mm: 7 }, hand)).toMatch(/swapped/);
    expect(oddPlate({ ...hand[1]!, width_mm: 7, bed_mm: 19 }, hand)).toMatch(/swapped/);
  });
});
