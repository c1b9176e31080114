import fc from 'fast-check';
import { svgLine } from './svgLine';

const line = (d: string) => {
  const read = svgLine(d);
  if (!read.ok) throw new Error(read.faults[0]!.message);
  return read.value;
};
const said = (d: string) => {
  const read = svgLine(d);
  return read.ok ? 'read' : read.faults[0]!.message;
};

describe('a line out of an SVG path', () => {
  it('straight: points evenly along it, by every way of writing it', () => {
    for (const d of ['M 0 0 L 8 0', 'm0,0h8', 'M0 0 4 0 8 0', 'M0 0H4l4 0']) {
      const points = line(d);
      expect(points).toHaveLength(401);
      points.forEach(({ x, y }, i) => {
        expect(x).toBeCloseTo((8 * i) / 400, 6);
        expect(y).toBe(0);
      });
    }
  });

  it('a circle of two arcs: every point at its radius, evenly about it (closed form)', () => {
    const points = line('M -3 0 A 3 3 0 0 1 3 0 A 3 3 0 0 1 -3 0');
    const quarter = points[100]!;
    expect(Math.hypot(quarter.x, quarter.y + 3)).toBeLessThan(0.02);
    for (const { x, y } of points) expect(Math.abs(Math.hypot(x, y) - 3)).toBeLessThan(0.01);
  });

  it('a parabola: the quadratic curve M 0 0 Q 1 2 2 0 is y = 2x − x² (closed form)', () => {
    for (const { x, y } of line('M 0 0 Q 1 2 2 0')) expect(y).toBeCloseTo(2 * x - x * x, 1);
  });

  it('closed, and going on after a jump, which has no length', () => {
    const square = line('M 0 0 h 1 v 1 h -1 z');
    expect(square[100]).toEqual({ x: expect.closeTo(1, 6), y: expect.closeTo(0, 6) });
    expect(square.at(-1)).toEqual({ x: expect.closeTo(0, 6), y: expect.closeTo(0, 6) });
    const two = line('M 0 0 h 1 M 5 5 h 1');
    expect(two.filter(({ y }) => y === 0).length).toBeGreaterThan(199);
    expect(two.every(({ x }) => x <= 1 || x >= 5)).toBe(true);
  });

  it('what is no path says so; what is too much says how much', () => {
    for (const d of [
      '',
      'moon',
      'M',
      'M 1 1',
      'M 2 2 L 2 2',
      'L 0 0 1 1',
      'M 0 0 L',
      'M 0 0 L 1e999 2',
      'M0 0 A 1 1',
    ])
      expect(said(d)).toBe('is no path: it begins with M and leads somewhere');
    expect(said(`M 0 0${' 1 1 2 2'.repeat(30_000)}`)).toMatch(/characters: at most/);
    expect(said(`M 0 0${' 1 1 2 2'.repeat(12_000)}`)).toBe('has 24,001 parts: at most 20,000');
  });

  it('never throws, and gives finite points or a fault, whatever stands there', () => {
    const token = fc.oneof(
      fc.constantFrom(...'MmLlHhVvCcSsQqTtAaZz,-. e'.split('')),
      fc.double({ noDefaultInfinity: true, noNaN: true }).map(String),
      fc.integer({ min: -20, max: 20 }).map(String),
    );
    fc.assert(
      fc.property(
        fc.array(token, { maxLength: 40 }).map((all) => `M 0 0 ${all.join(' ')}`),
        (d) => {
          const read = svgLine(d);
          if (read.ok) for (const { x, y } of read.value) expect(Number.isFinite(x + y)).toBe(true);
        },
      ),
    );
  });
});
