import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import type { Region } from '../../regions';
import { element, findingsOn, setWearing } from '../../testing/sets';

const matte = element('finish', { id: 'matte', finish: 'matte' });
const relief = (over: Parameters<typeof element<'relief'>>[1] = {}) =>
  element('relief', { fit: 'keep', ...over });
const raised = (over: Parameters<typeof relief>[0] = {}) =>
  setWearing([element('colour', { id: 'ground' }), matte, relief(over)]);

function volume_mm3(over: Parameters<typeof relief>[0]): number {
  const { nominal } = planNail(raised(over), 'left-middle');
  const film = nominal.field.films.find(({ profile }) => profile)!;
  return (film.t_um.reduce((sum, t) => sum + t, 0) / 1000) * nominal.field.grid.cell_mm2;
}

describe('relief', () => {
  it('a ridge holds two thirds of its width, height and length: the area below a parabola', () => {
    const region: Region = {
      kind: 'path',
      width_mm: 1.6,
      points: [
        { across: 0.05, along: 0.3 },
        { across: 0.05, along: 0.8 },
      ],
    };
    const { context } = planNail(raised({ region }), 'left-middle').compiled;
    const length_mm = 0.5 * context.frame.bed_mm;
    const [w, h] = [1.6, 0.4];
    // At either end half a turn of the same parabola: π·w²/4 · h/2.
    const ends = (Math.PI * (w / 2) ** 2 * h) / 2;
    const exact = (2 / 3) * w * h * length_mm + ends;
    expect(volume_mm3({ region, height_um: 400 }) / exact).toBeCloseTo(1, 1);
  });

  it('a drop is half an ellipsoid: two thirds of its round and height', () => {
    const region: Region = {
      kind: 'dots',
      rows: 1,
      columns: 1,
      dot_mm: 3,
      pitch_mm: 4,
      turn_deg: 0,
      across: 0,
      along: 0.6,
      staggered: false,
    };
    const exact = (2 / 3) * Math.PI * 1.5 ** 2 * 0.5;
    expect(volume_mm3({ region, height_um: 500 }) / exact).toBeCloseTo(1, 1);
  });

  it('stands on the finish and stays as it is: no top over it, wiped where it is sticky', () => {
    const { operations } = compileNail(raised(), 'left-middle');
    const last = operations.findLast(({ verb }) => verb === 'top' || verb === 'matte-top')!;
    const first = operations.find(({ element: id }) => id === 'relief')!;
    expect(operations.indexOf(first)).toBeGreaterThan(operations.indexOf(last));
    expect(operations.filter(({ element: id }) => id === 'relief').map(({ verb }) => verb)).toContain('wipe');
    expect(findingsOn(raised(), 'left-middle')).toEqual([]);
  });

  it('sugared, takes powder while it is wet, and each layer is brushed before the next', () => {
    const { operations } = compileNail(raised({ sugar: true, layers: 2 }), 'left-middle');
    const own = operations.filter(({ element: id }) => id === 'relief').map(({ verb }) => verb);
    expect(own).toEqual([
      ...['draw', 'strew', 'flash', 'cure', 'dust-off'],
      ...['draw', 'strew', 'flash', 'cure', 'dust-off'],
    ]);
    expect(findingsOn(raised({ sugar: true, layers: 2 }), 'left-middle')).toEqual([]);
  });

  it('too thick for its light is told, with layers as the way out', () => {
    const soft = findingsOn(raised({ product: 'ivory-02', height_um: 400 }), 'left-middle').find(
      ({ code }) => code === 'under-cured',
    );
    expect(soft!.tries.map(({ words }) => words)).toContain('Build it up in 2 layers');
  });

  it('that catches is told, and lower is offered', () => {
    const high = findingsOn(raised({ height_um: 1500, layers: 3 }), 'left-middle').find(
      ({ code }) => code === 'relief-high',
    );
    expect(high!.tries[0]!.words).toMatch(/^Build it \d+ µm high$/);
  });
});
