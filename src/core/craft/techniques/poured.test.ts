import { buildKindOf } from '../builds';
import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { height_um, CELLS_X, CELLS_Y, cellX, cellY } from '../../simulate/field';
import { codesOn, element, findingsOn, setWearing } from '../../testing/sets';

const COLOUR = element('colour', { id: 'ground', product: 'rose-nude' });
const laid = (over: Parameters<typeof element<'poured'>>[1] = {}, ...others: ReturnType<typeof element>[]) =>
  setWearing([...others, element('poured', { product: 'builder-a', ...over })]);

function fieldOf(set: ReturnType<typeof laid>) {
  return planNail(set, 'left-middle').nominal.field;
}

function pouredOn(set: ReturnType<typeof laid>) {
  const field = fieldOf(set);
  const film = field.films.find((one) => one.operation.includes('/pour#'))!;
  return { field, film };
}

describe('what is laid thick', () => {
  it('in a bead is full at the apex and runs out at its outline; its volume is that of its two parabolas', () => {
    const oval = { kind: 'oval', across: 0, along: 0.6, width_mm: 6, length_mm: 6, turn_deg: 0 } as const;
    const { field, film } = pouredOn(laid({ form: 'bead', t_um: 600, region: oval, fit: 'keep' }));
    const { frame, grid } = field;
    // By hand, on a net of its own: the bead of common practice times a parabola over its outermost 0.8 mm.
    const apex_mm = 0.9 * frame.bed_mm;
    let mm3 = 0;
    const step_mm = 0.02;
    const middle_mm = 0.6 * frame.bed_mm;
    for (let x = -3; x < 3; x += step_mm)
      for (let y = -3; y < 3; y += step_mm) {
        const in_mm = 3 - Math.hypot(x, y);
        if (in_mm <= 0) continue;
        const along =
          middle_mm + y < apex_mm ? 0.45 + 0.55 * Math.sin(((middle_mm + y) / apex_mm) * (Math.PI / 2)) : 1;
        const half_mm = frame.halfWidth_mm(middle_mm + y);
        const edge = 1 - (1 - Math.min(1, in_mm / 0.8)) ** 2;
        mm3 += 0.6 * along * (1 - 0.5 * (x / half_mm) ** 2) * edge * step_mm ** 2;
      }
    const lies_mm3 = film.t_um.reduce((sum, t_um) => sum + (t_um / 1000) * grid.cell_mm2, 0);
    expect(lies_mm3 / mm3).toBeGreaterThan(0.96);
    expect(lies_mm3 / mm3).toBeLessThan(1.04);
    expect(Math.max(...film.t_um)).toBeLessThanOrEqual(600);
  });

  it('poured level fills what lies below: what stands up stands out of it less than before', () => {
    const ridge = element('poured', {
      id: 'ridge',
      product: 'builder-a',
      t_um: 500,
      region: { kind: 'oval', across: 0, along: 0.6, width_mm: 3, length_mm: 3, turn_deg: 0 },
    });
    const rough = (set: ReturnType<typeof laid>) => {
      const field = fieldOf(set);
      let most = 0;
      for (let cell = 1; cell < CELLS_X * CELLS_Y; cell += 1) {
        const inside =
          Math.abs(field.grid.x[cellX(cell)]!) < 3 && Math.abs(field.grid.y[cellY(cell)]! - 6) < 3;
        if (inside && cellX(cell) > 0)
          most = Math.max(most, Math.abs(height_um(field, cell) - height_um(field, cell - 1)));
      }
      return most;
    };
    expect(rough(laid({ form: 'level', t_um: 600 }, ridge))).toBeLessThan(rough(setWearing([ridge])) * 0.7);
  });

  it('keeps what was brought', () => {
    const { film, field } = pouredOn(laid({ form: 'level', t_um: 500 }, COLOUR));
    const lies_mm3 = film.t_um.reduce((sum, t_um) => sum + (t_um / 1000) * field.grid.cell_mm2, 0);
    expect(lies_mm3).toBeCloseTo(film.brought_mm3!, 2);
  });

  it.each(['builder-gel', 'acrylic'])('is worked as its family asks: %s', (family) => {
    const of = laid().kit.products.find((one) => one.family === family)!;
    const set = laid({ form: 'bead', t_um: 400, product: of.id });
    // What is of acrylic holds on acrylic.
    if (family === 'acrylic') {
      const form = { ...buildKindOf('sculpted-form').fresh('form'), material: 'acrylic' as const };
      set.builds.push(form);
      set.nails['left-ring'].build = 'form';
    }
    // Its form is clear, and has its underside named.
    expect(codesOn(set)).toEqual(family === 'acrylic' ? ['underside-bare'] : []);
    const steps = compileNail(set, 'left-ring').operations;
    const at = steps.findIndex((one) => one.step === 'pour');
    expect(steps[at]!.words).toContain(
      family === 'acrylic' ? 'in beads, fullest at the apex' : 'in one bead, fullest at the apex',
    );
    // On acrylic it is one body with what it lies on.
    const then = family === 'acrylic' ? ['pinch', 'rest', 'tap', 'form-off', 'file'] : ['flash', 'cure'];
    expect(steps.slice(at + 1, at + 1 + then.length).map((one) => one.verb)).toEqual(then);
  });

  it('too thick for its light is told, with a thinner one as the way out', () => {
    const told = findingsOn(laid({ form: 'level', t_um: 2000, product: 'cover-a' })).find(
      ({ code }) => code === 'under-cured',
    )!;
    expect(told.tries.map((way) => way.words).join()).toMatch(/Lay it \d+ µm at its fullest/);
    expect(codesOn(laid({ form: 'level', t_um: 300, product: 'cover-a' }))).toEqual([]);
  });
});
