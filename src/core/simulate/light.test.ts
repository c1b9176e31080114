import { neededDose } from '../craft/cure';
import { element, setWearing } from '../testing/sets';
import { compileNail } from '../compile/compile';
import { CURED, GELLED, WET } from './field';
import { shine } from './light';
import { nominalSteps, simulateNail } from './simulate';

/** A nail with two coats, the second still wet. */
function wetNail(product = 'velvet-04') {
  const compiled = compileNail(setWearing([element('colour', { product })]), 'left-ring');
  const until = compiled.operations.findIndex((one) => one.id === 'left-ring/colour/coat#2') + 1;
  const { field } = simulateNail(compiled, 'plate', nominalSteps(compiled.operations.slice(0, until)));
  const made = compiled.context.product(product);
  return { field, product: compiled.context.product, made, film: field.films[field.films.length - 1]! };
}
const MIDDLE = 22 * 28 + 14;

describe('light on a nail', () => {
  it('reaches the bottom of a film as exp(−t/D_p), and adds up over loads', () => {
    const { field, product, made, film } = wetNail();
    const bottom = Math.exp(-made.coat_um! / made.lamp!.depth_um);
    shine(field, 5, product);
    expect(film.dose[MIDDLE]).toBeCloseTo(5 * bottom, 5);
    shine(field, 7, product);
    expect(film.dose[MIDDLE]).toBeCloseTo(12 * bottom, 5);
  });

  it('gels before it cures', () => {
    const { field, product, made, film } = wetNail();
    const need = neededDose(made)!;
    const bottom = Math.exp(-made.coat_um! / made.lamp!.depth_um);
    expect(film.phase[MIDDLE]).toBe(WET);
    shine(field, (need.gelled / bottom) * 1.01, product);
    expect(film.phase[MIDDLE]).toBe(GELLED);
    shine(field, ((need.cured - need.gelled) / bottom) * 1.01, product);
    expect(film.phase[MIDDLE]).toBe(CURED);
  });

  it('cures in a flash short of the direction only as far as the margin goes', () => {
    const { field, product, made, film } = wetNail();
    shine(field, made.lamp!.cure_s * 0.74, product);
    expect(film.phase[MIDDLE]).toBe(GELLED);
    const enough = wetNail();
    shine(enough.field, made.lamp!.cure_s * 0.76, enough.product);
    expect(enough.film.phase[MIDDLE]).toBe(CURED);
  });

  it('changes nothing on a nail that is cured through', () => {
    const compiled = compileNail(setWearing([element('colour')]), 'left-ring');
    const { field } = simulateNail(compiled, 'plate', nominalSteps(compiled.operations));
    const before = field.films.map((film) => Array.from(film.phase));
    const surface = Array.from(field.surface);
    shine(field, 120, compiled.context.product);
    expect(field.films.map((film) => Array.from(film.phase))).toEqual(before);
    expect(Array.from(field.surface)).toEqual(surface);
  });
});

describe('light below metal and time without light', () => {
  const charm = (over: Partial<Parameters<typeof element<'charm'>>[1]>) => {
    const set = setWearing([
      element('colour'),
      element('charm', { width_mm: 6, length_mm: 5, along: 0.8, turn_deg: 0, shape: 'rectangle', ...over }),
    ]);
    const compiled = compileNail(set, 'left-thumb');
    const { field, states } = simulateNail(compiled, 'plate', nominalSteps(compiled.operations));
    const bead = field.films.find((film) => film.operation.endsWith('charm/bead#1'))!;
    return { compiled, field, states, bead };
  };

  it('falls off from the rim inwards: cured at the edge, soft in the middle', () => {
    const { field, bead } = charm({ bedding: 'gel', metallic: true });
    const shade = field.films.find((film) => film.shade_mm)!.shade_mm!;
    let cured = 0;
    let soft = 0;
    let deepestCured = 0;
    let shallowestSoft = Infinity;
    bead.phase.forEach((phase, cell) => {
      if (phase === CURED) {
        cured += 1;
        deepestCured = Math.max(deepestCured, shade[cell]!);
      } else if (phase !== 0) {
        soft += 1;
        shallowestSoft = Math.min(shallowestSoft, shade[cell]!);
      }
    });
    expect(cured).toBeGreaterThan(0);
    expect(soft).toBeGreaterThan(0);
    // The farther in, the less light: no cell is cured deeper than the first soft one, but for a cell's width.
    expect(deepestCured).toBeLessThan(shallowestSoft + field.grid.pitch_mm);
    // About one depth of light, 0.4 mm for this gel, with what later loads add.
    expect(shallowestSoft).toBeGreaterThan(0.2);
    expect(shallowestSoft).toBeLessThan(1.4);
  });

  it('lets the nail be worked on: what is soft in the dark is out of reach', () => {
    const { states } = charm({ bedding: 'gel', metallic: true });
    expect(states[states.length - 1]!.surface).toBe('cured top coat, slick, no-wipe, oily');
  });

  it('a clear stone lets light through, and glue needs none', () => {
    expect(charm({ bedding: 'gel', metallic: false }).bead.phase).not.toContain(WET);
    const glued = charm({ bedding: 'glue', metallic: true });
    expect(Array.from(new Set(glued.bead.phase)).sort()).toEqual([0, CURED]);
  });

  it('glue that was not held is still wet when the next step comes', () => {
    const { compiled } = charm({ bedding: 'glue', metallic: true });
    const held = compiled.operations.findIndex((one) => one.step === 'hold');
    const steps = nominalSteps(compiled.operations.filter((_, i) => i !== held)).map((step) => ({
      ...step,
      elapsed_s: 1,
    }));
    const { verdicts } = simulateNail(compiled, 'plate', steps);
    expect(verdicts.map((verdict) => verdict.reason)).toContain('wet-touched');
  });
});
