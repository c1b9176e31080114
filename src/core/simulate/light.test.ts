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
