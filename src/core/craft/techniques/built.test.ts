import { compileNail } from '../../compile/compile';
import { planNail } from '../../plan/nailPlan';
import { buildKindOf, type Build } from '../builds';
import type { SetDocument } from '../../document/document';
import { NAILS } from '../../model/names';
import { pileColours } from '../../simulate/pile';
import { hexOf } from '../../colour/space';
import { element, findingsOn, setWearing } from '../../testing/sets';

/** All nails on one build. */
function on(kind: Build['kind'], over: object = {}) {
  return (set: SetDocument) => {
    set.builds = [{ ...buildKindOf(kind).fresh('build'), ...over } as Build];
    for (const nail of NAILS) set.nails[nail].build = 'build';
  };
}
const acrylicForm = on('sculpted-form', { material: 'acrylic', length_mm: 8 });
const built = (...stops: [string, number][]) =>
  element('built', { stops: stops.map(([product, at]) => ({ product, at })) });

describe('a build in colour', () => {
  it.each([
    ['acrylic-blush', acrylicForm],
    ['putty-ivory', on('sculpted-form', { material: 'putty', length_mm: 6 })],
    ['cover-a', on('natural-builder')],
    ['dip-rose', on('dip')],
  ] as const)('%s takes the place of the clear, with nothing to be said', (product, change) => {
    const set = setWearing([built([product, 0.5])], change);
    expect(findingsOn(set, 'left-ring')).toEqual([]);
    const laid = compileNail(set, 'left-ring').operations.filter((one) => one.product === product);
    expect(laid.length).toBeGreaterThan(0);
    for (const one of laid) expect(one.paint).toEqual({ kind: 'product' });
  });

  it('has tip and bed apart, or drawn into each other, and says which first', () => {
    const words = (to: number) =>
      compileNail(
        setWearing([built(['acrylic-blush', 0.55], ['acrylic-plum', to])], acrylicForm),
        'left-ring',
      ).operations.find(({ verb }) => verb === 'sculpt')!.words;
    expect(words(0.57)).toMatch(/: the tip in Acrylic plum, Acrylic blush up against it$/);
    expect(words(0.9)).toMatch(/: the tip in Acrylic plum, Acrylic blush wetter, drawn over its end$/);
    const { nominal, compiled } = planNail(
      setWearing([built(['acrylic-blush', 0.55], ['acrylic-plum', 0.57])], acrylicForm),
      'left-ring',
    );
    const at = pileColours(nominal.field, compiled.context.product);
    const { length_mm } = compiled.context.frame;
    expect(hexOf(at(0, length_mm * 0.35))).not.toBe(hexOf(at(0, length_mm * 0.75)));
  });

  it('stays clear over pieces: they are to be seen', () => {
    const set = setWearing([built(['cover-a', 0.5]), element('inlay')], on('natural-builder'));
    const cap = compileNail(set, 'left-ring').operations.find(({ step }) => step === 'cap')!;
    expect(cap.product).toBe('builder-a');
  });

  it('of what its build has none of, or of two families, is told', () => {
    const codes = (stops: [string, number][], change: (set: SetDocument) => void) =>
      findingsOn(setWearing([built(...stops)], change), 'left-ring').map(({ code }) => code);
    const [unused] = findingsOn(
      setWearing([built(['acrylic-blush', 0.5])], on('natural-builder')),
      'left-ring',
    );
    expect(unused).toMatchObject({
      code: 'built-unused',
      tries: [{ words: 'Build it as sculpted on a form' }],
    });
    expect(
      codes(
        [
          ['acrylic-blush', 0.3],
          ['cover-a', 0.8],
        ],
        acrylicForm,
      ),
    ).toContain('built-mixed');
  });

  it('leaves every step where the clear build has it', () => {
    const steps = (elements: Parameters<typeof setWearing>[0]) =>
      compileNail(setWearing(elements, acrylicForm), 'left-ring').operations.map(({ id }) => id);
    expect(steps([built(['acrylic-blush', 0.5])])).toEqual(steps([]));
  });
});
