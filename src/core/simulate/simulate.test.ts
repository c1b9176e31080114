import fc from 'fast-check';
import type { Surface } from '../craft/surface';
import { rowOf } from '../craft/surfaces';
import { matinee } from '../demo/matinee';
import { curtainUp } from '../demo/curtainUp';
import type { SetDocument } from '../document/document';
import { element, setWearing } from '../testing/sets';
import { compileNail, type Compiled } from '../compile/compile';
import { CURED, height_um, NONE } from './field';
import { laidBy, type Operation } from '../craft/operation';
import { hardened } from '../craft/seats';
import { nominalSteps, simulateNail } from './simulate';

const compiled = (set: SetDocument) => compileNail(set, 'left-ring');
const run = (c: Compiled, operations: readonly Operation[] = c.operations, edge: 'plate' | 'tip' = 'plate') =>
  simulateNail(c, edge, nominalSteps(operations));

/**
 * The table walked by hand: one surface for the whole nail, as objects, without grid, films or doses. Cures
 * are taken at their word.
 */
function walk(operations: readonly Operation[], product: Compiled['context']['product']): string[] {
  let surface: Surface = { material: 'plate', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' };
  let film: string | undefined;
  return operations.flatMap((operation) => {
    const laid = laidBy(operation, product);
    const reason = rowOf(operation.verb).refuses(surface, laid);
    surface = rowOf(operation.verb).leaves(surface, laid);
    if (operation.deposit && operation.product) film = operation.product;
    if (operation.verb === 'cure' && (surface.phase === 'wet' || surface.phase === 'gelled')) {
      surface = hardened(surface, film ? product(film) : undefined, 'cured');
    }
    return reason ? [`${operation.id} ${reason}`] : [];
  });
}

describe('the simulated columns', () => {
  it('carry each film with its thickness, cured, in the order it was laid', () => {
    const c = compiled(setWearing([element('colour')]));
    const { field, verdicts } = run(c);
    expect(verdicts).toEqual([]);
    const middle = 22 * 28 + 14;
    expect(field.films.map((film) => Math.round(film.t_um[middle]!))).toEqual([60, 45, 45, 80]);
    expect(height_um(field, middle)).toBe(230);
    expect(field.films.every((film) => film.phase[middle] === CURED)).toBe(true);
  });

  it('throw on no order, however shuffled, and find every violation of the table', () => {
    const plain = setWearing([element('colour')]);
    fc.assert(
      fc.property(
        fc
          .constantFrom(
            compiled(plain),
            compiled(setWearing([element('ombre')])),
            compiled(setWearing([element('finish')])),
          )
          .chain((c) => fc.tuple(fc.constant(c), fc.shuffledSubarray(c.operations, { minLength: 2 }))),
        ([c, operations]) => {
          const expected = walk(operations, c.context.product);
          const found = run(c, operations).verdicts.map(
            (verdict) => `${verdict.operation} ${verdict.reason}`,
          );
          for (const one of expected) expect(found).toContain(one);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('throw on no order of a nail with everything on it, tips included', () => {
    const everything = [curtainUp(), matinee()].flatMap((set) =>
      (['left-ring', 'left-thumb', 'left-middle', 'right-index'] as const).map((name) => ({
        c: compileNail(set, name),
        edge: set.title === 'Curtain Up' ? ('tip' as const) : ('plate' as const),
      })),
    );
    fc.assert(
      fc.property(
        fc
          .constantFrom(...everything)
          .chain(({ c, edge }) =>
            fc.tuple(fc.constant(c), fc.constant(edge), fc.shuffledSubarray(c.operations)),
          ),
        ([c, edge, operations]) => {
          const { field, states, verdicts } = run(c, operations, edge);
          expect(states).toHaveLength(operations.length);
          for (const film of field.films)
            expect(film.t_um.every((t) => t >= 0 && Number.isFinite(t))).toBe(true);
          for (const verdict of verdicts) expect(verdict.area_mm2).toBeGreaterThan(0);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('find a fault on a part only, with its area and place', () => {
    // A gloss accent laid first leaves a slick patch; the colour over it grips everywhere else.
    const c = compiled(
      setWearing([
        element('colour'),
        element('finish', {
          id: 'accent',
          finish: 'gloss',
          fit: 'keep',
          region: { kind: 'oval', across: 0, along: 1.1, width_mm: 5, length_mm: 4, turn_deg: 0 },
        }),
      ]),
    );
    const wrong = [
      ...c.operations.filter((one) => one.element === 'prep' || one.element === 'build'),
      ...c.operations.filter((one) => one.element === 'accent'),
      ...c.operations.filter((one) => one.element === 'colour'),
    ];
    const [verdict] = run(c, wrong).verdicts;
    expect(verdict).toMatchObject({
      operation: 'left-ring/colour/coat#1',
      reason: 'no-grip',
      found: 'cured top coat, slick, no-wipe',
    });
    expect(verdict!.where).toMatch(/free edge/);
    // An ellipse of 5 × 4 mm has 15.7 mm².
    expect(verdict!.area_mm2).toBeGreaterThan(13);
    expect(verdict!.area_mm2).toBeLessThan(18);
  });

  it('leave a film uncured that was laid too thick for its time, and cure it with more light', () => {
    const set = setWearing([element('colour', { passes: 1 })]);
    set.kit.products.find((product) => product.id === 'velvet-04')!.lamp = {
      cure_s: 60,
      flash_s: 10,
      depth_um: 40,
    };
    const c = compiled(set);
    const coat = c.operations.find((one) => one.element === 'colour')!;
    coat.deposit = { kind: 'conformal', t_um: 130 };
    const thick = run(c).field.films.find((film) => film.operation === coat.id)!;
    const open = (film: typeof thick) => film.phase.some((phase) => phase !== NONE && phase !== CURED);
    expect(open(thick)).toBe(true);
    const steps = c.operations.map((operation) =>
      operation.element === 'colour' && operation.lamp ? { operation, light_s: 600 } : { operation },
    );
    const longer = simulateNail(c, 'plate', steps).field.films.find((film) => film.operation === coat.id)!;
    expect(open(longer)).toBe(false);
  });

  it('file lowers the surface by its allowance and thins the free edge', () => {
    const c = compiled(setWearing([element('colour'), element('inlay')]));
    const until = c.operations.findIndex((one) => one.verb === 'file');
    const before = run(c, c.operations.slice(0, until)).field;
    const after = run(c, c.operations.slice(0, until + 1)).field;
    const apex = 28 * 28 + 20;
    expect(height_um(before, apex) - height_um(after, apex)).toBeCloseTo(80, 3);
  });
});
