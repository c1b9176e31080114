import fc from 'fast-check';
import { REASONS } from '../craft/surfaces';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { parseSetText, writeSetText } from '../document/parse';
import { SHAPES } from '../model/shapes';
import type { Region } from '../regions';
import { element, findingsOn, setWearing, QUICK } from '../testing/sets';
import { compileNail } from '../compile/compile';
import { planNail } from './nailPlan';
import { planSet } from './planSet';
import { runs } from '../testing/runs';

/* Looks as an artist might put them together, in any order, on any nail, in any school. */

const colour = fc.constantFrom('velvet-04', 'plum-07', 'amber-11', 'ivory-02', 'night-blue', 'sage-03');

const part: fc.Arbitrary<Region> = fc.oneof(
  fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 1, max: 9 })).map(([from, span]): Region => ({
    kind: 'band',
    from: from / 10,
    to: Math.min(2, (from + span) / 10),
  })),
  fc
    .record({ rise: fc.integer({ min: -20, max: 10 }), depth: fc.integer({ min: 0, max: 40 }) })
    .map(({ rise, depth }): Region => ({
      kind: 'tip',
      smile: { rise_mm: rise / 10, depth_mm: depth / 10, tilt_mm: 0 },
    })),
  fc
    .record({
      across: fc.integer({ min: -4, max: 4 }),
      along: fc.integer({ min: 3, max: 14 }),
      size: fc.integer({ min: 15, max: 60 }),
    })
    .map(({ across, along, size }): Region => ({
      kind: 'oval',
      across: across / 10,
      along: along / 10,
      width_mm: size / 10,
      length_mm: size / 10,
      turn_deg: 0,
    })),
);

const region: fc.Arbitrary<Region> = fc.oneof(fc.constant<Region>({ kind: 'whole' }), part);

/** One of each kind at most, so that nothing has to be laid over its own like. */
const art: fc.Arbitrary<Element[]> = fc
  .record({
    ground: colour,
    second: fc.option(fc.record({ product: colour, region })),
    ombre: fc.boolean(),
    french: fc.option(fc.boolean()),
    inlay: fc.option(fc.integer({ min: 0, max: 2 })),
    crystals: fc.option(fc.constantFrom('practice' as const, 'wet-top' as const, 'bedded' as const)),
    charm: fc.boolean(),
    finish: fc.option(fc.constantFrom('gloss' as const, 'matte' as const)),
    accent: fc.option(
      fc.record({ finish: fc.constantFrom('gloss' as const, 'matte' as const), region: part }),
    ),
  })
  .map((wish) => {
    const list: Element[] = [element('colour', { id: 'ground', product: wish.ground })];
    if (wish.second) list.push(element('colour', { id: 'second', ...wish.second }));
    if (wish.ombre) list.push(element('ombre', { id: 'fade' }));
    if (wish.french !== null)
      list.push(element('french', { id: 'french', ...(wish.french ? {} : { liner: null }) }));
    if (wish.inlay !== null) list.push(element('inlay', { id: 'inlay', cap_um: 450 + 50 * wish.inlay }));
    if (wish.crystals) list.push(element('crystals', { id: 'stones', bedding: wish.crystals }));
    if (wish.charm) list.push(element('charm', { id: 'charm', along: 0.9, width_mm: 3, length_mm: 2 }));
    if (wish.finish) list.push(element('finish', { id: 'finish', finish: wish.finish }));
    // An accent shows only against the other finish, so it has it.
    if (wish.accent) {
      const over = wish.finish ?? 'gloss';
      list.push(
        element('finish', {
          id: 'accent',
          finish: over === 'gloss' ? 'matte' : 'gloss',
          region: wish.accent.region,
        }),
      );
    }
    return list;
  })
  .chain((list) => fc.shuffledSubarray(list, { minLength: list.length }));

const nail = fc.constantFrom<NailName>(...NAILS);
const set: fc.Arbitrary<SetDocument> = fc
  .record({
    elements: art,
    tip: fc.boolean(),
    shape: fc.constantFrom(...SHAPES),
    base: fc.constantFrom('leave' as const, 'wipe' as const),
    stones: fc.constantFrom('wet-top' as const, 'bedded' as const),
  })
  .map(({ elements, tip, shape, base, stones }) =>
    setWearing(elements, (one) => {
      one.practice.base = base;
      one.practice.stones = stones;
      one.builds = one.builds.map((build) => ({ ...build, shape }));
      for (const name of NAILS) one.nails[name].build = tip ? 'tips' : 'natural';
    }),
  );

describe('any look, listed in any order', () => {
  it('is laid as it is listed: up the pile at any place of the nail no element lies under one listed before it', () => {
    fc.assert(
      fc.property(set, nail, (one, name) => {
        const { elements } = one.looks[0]!;
        const listed = new Map(elements.map(({ id }, i) => [id, i]));
        const { nominal, compiled } = planNail(one, name);
        const of = new Map(compiled.operations.map(({ id, element: by }) => [id, by]));
        // What is set into a wet top, or glued on it, comes after it wherever it is listed, and what stands on the nail stands
        // on what is built: so their techniques say.
        const inlaid = elements.findLastIndex(({ kind }) => kind === 'inlay');
        const onTop = new Set([
          ...compiled.operations.flatMap(({ stage, element: by }) => (stage === 'over' ? [by] : [])),
          ...elements.flatMap(({ id, kind }, i) =>
            i < inlaid && (kind === 'crystals' || kind === 'charm') ? [id] : [],
          ),
        ]);
        const { films, surface } = nominal.field;
        for (let cell = 0; cell < surface.length; cell += 1) {
          const pile = films.flatMap(({ operation, t_um }) => {
            const by = of.get(operation)!;
            return t_um[cell]! > 0 && listed.has(by) && !onTop.has(by) ? [listed.get(by)!] : [];
          });
          if (pile.some((at, i) => i > 0 && at < pile[i - 1]!))
            throw new Error(
              `${elements.map(({ id }) => id).join()} is laid ${pile.map((at) => elements[at]!.id).join()}`,
            );
        }
      }),
      { numRuns: runs(60, 2000) },
    );
  });

  it('has no stop but what no work can mend: something that stands in the way, or the look itself; and says where else it holds', () => {
    const order = new Set<string>(REASONS);
    fc.assert(
      fc.property(set, nail, (one, name) => {
        const listed = one.looks[0]!.elements.map((element) => element.id);
        const findings = findingsOn(one, name);
        const inTheWay = findings.some(({ code }) => code === 'top-over-stones');
        for (const finding of findings) {
          if (order.has(finding.code)) {
            expect([listed, finding.code, finding.message]).toEqual([
              listed,
              'top-over-stones',
              finding.message,
            ]);
            expect(finding.fix?.words).toMatch(/^List it under|^Leave/);
          }
          if (finding.severity === 'stop' && !inTheWay && !listed.includes(finding.element ?? ''))
            throw new Error(`${listed.join()}: ${finding.message}`);
        }
      }),
      { numRuns: runs(30, 200) },
    );
  });

  it('ends cured through, dry to the touch, oiled last', () => {
    fc.assert(
      fc.property(set, nail, (one, name) => {
        const codes = findingsOn(one, name).map((finding) => finding.code);
        expect(codes).not.toContain('under-cured');
        if (!codes.includes('top-over-stones')) expect(codes).not.toContain('left-sticky');
        const { operations } = compileNail(one, name);
        expect(operations[operations.length - 1]!.verb).toBe('oil');
      }),
      { numRuns: runs(20, 60) },
    );
  });

  it('makes a trip through a file and plans as before', () => {
    fc.assert(
      fc.property(set, (one) => {
        const read = parseSetText(writeSetText(one));
        expect(read.ok && read.value).toEqual(one);
        expect(read.ok && planNail(read.value, 'left-ring').compiled.operations).toEqual(
          planNail(one, 'left-ring').compiled.operations,
        );
      }),
      { numRuns: runs(20, 40) },
    );
  });

  it('is timed between its bound and the plain way, with nothing broken that a policy could keep', () => {
    fc.assert(
      fc.property(set, (one) => {
        const { sitting } = planSet(one, QUICK);
        expect(sitting.total_s).toBeGreaterThanOrEqual(sitting.lower_bound_s - 1e-3);
        expect(sitting.total_s).toBeLessThanOrEqual(sitting.hand_after_hand_s + 1e-3);
        expect(sitting.broken.filter((broken) => broken.kind === 'dust-beside-wet')).toEqual([]);
      }),
      { numRuns: runs(6, 12) },
    );
  });
});
