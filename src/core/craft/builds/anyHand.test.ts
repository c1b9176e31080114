import fc from 'fast-check';
import { simulateNail, nominalSteps } from '../../simulate/simulate';
import { compileNail } from '../../compile/compile';
import { colourOn, element, findingsOn, setWearing } from '../../testing/sets';
import { buildOf } from '../../document/nailContext';
import { Build, BUILDS, buildKindOf } from './index';
import { runs } from '../../testing/runs';

/** Hands as they come (from memory), and lengths that are worn. */
const plate = fc.record({
  width_mm: fc.double({ min: 7.5, max: 17, noNaN: true }),
  arch: fc.double({ min: 0.12, max: 0.3, noNaN: true }),
  bed_mm: fc.double({ min: 8.5, max: 16, noNaN: true }),
  free_edge_mm: fc.double({ min: 1, max: 5, noNaN: true }),
  length_mm: fc.double({ min: 4, max: 12, noNaN: true }),
});
const made = fc.constantFrom(...BUILDS).chain((kind) =>
  fc.record({
    kind: fc.constant(kind.kind),
    material: fc.constantFrom('builder', 'putty', 'acrylic', 'powder'),
    base: fc.constantFrom('coat', 'peel-off'),
  }),
);

const on = (
  { width_mm, arch, bed_mm, free_edge_mm, length_mm }: Of<typeof plate>,
  how: Of<typeof made>,
  inlaid: boolean,
) =>
  setWearing(
    [colourOn(how.kind), ...(inlaid && how.kind !== 'natural-lacquer' ? [element('inlay')] : [])],
    (set) => {
      const build = buildKindOf(how.kind).fresh('test') as Record<string, unknown> & Build;
      const material = how.kind === 'upper-mould' && how.material === 'powder' ? 'builder' : how.material;
      if ('material' in build) Object.assign(build, { material });
      if ('base' in build) Object.assign(build, { base: how.base });
      if ('length_mm' in build) Object.assign(build, { length_mm });
      set.builds.push(build);
      set.nails['left-ring'].build = 'test';
      Object.assign(set.nails['left-ring'].plate, {
        width_mm,
        arch_mm: width_mm * arch,
        bed_mm,
        free_edge_mm,
      });
    },
  );
type Of<A> = A extends fc.Arbitrary<infer T> ? T : never;

const OF_THE_ART = ['cap-thin', 'not-sealed', 'off-the-plate'];

describe('every build on any hand', () => {
  it('is a document, meets surfaces it holds on, and is hard by the end', () => {
    fc.assert(
      fc.property(plate, made, fc.boolean(), (hand, how, inlaid) => {
        const set = on(hand, how, inlaid);
        expect(Build.safeParse(buildOf(set, set.nails['left-ring'])).success).toBe(true);
        // Drawn for longer nails, pieces can stand out of a short edge: the art's matter, told with a way out.
        const stops = findingsOn(set).filter(
          (one) => one.severity === 'stop' && !OF_THE_ART.includes(one.code),
        );
        expect(stops.map((one) => [one.code, one.message])).toEqual([]);
      }),
      { numRuns: runs(40, 150) },
    );
  });

  it('leaves nothing wet, and product from cuticle to tip', () => {
    fc.assert(
      fc.property(plate, made, (hand, how) => {
        const set = on(hand, how, false);
        const compiled = compileNail(set, 'left-ring');
        const { edge } = buildKindOf(how.kind);
        const { field, states } = simulateNail(compiled, edge, nominalSteps(compiled.operations));
        expect(states.at(-1)!.wet).toBe(false);
        const { bed_mm, length_mm } = field.frame;
        for (const share of [0.2, 0.6, 0.95]) {
          const row = field.grid.y.findIndex((y) => y >= length_mm * share);
          const laid = field.films.reduce((sum, film) => sum + film.t_um[row * 28 + 14]!, 0);
          expect(laid).toBeGreaterThan(
            share * length_mm > bed_mm + 0.5 && edge !== 'plate'
              ? 250
              : how.kind === 'natural-lacquer'
                ? 60
                : 100,
          );
        }
      }),
      { numRuns: 40 },
    );
  });
});
