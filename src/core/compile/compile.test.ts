import fc from 'fast-check';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { curtainUp } from '../demo/curtainUp';
import { element, findingsOn, setWearing } from '../testing/sets';
import { compileNail } from './compile';
import { lineUp, reaches } from './order';
import { parseOperationId } from '../craft/operation';

const steps = (set: SetDocument) =>
  compileNail(set, 'left-ring').operations.map((one) => `${one.element}/${one.step}#${one.pass}`);
const at = (list: string[], step: string) => {
  const index = list.indexOf(step);
  expect(index).toBeGreaterThanOrEqual(0);
  return index;
};
const whole = { kind: 'whole' } as const;

describe('compile', () => {
  it('gives each operation a stable id of its own that says nail, element, step and pass', () => {
    const set = curtainUp();
    for (const name of NAILS) {
      const ids = compileNail(set, name).operations.map((operation) => operation.id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const id of ids) expect(parseOperationId(id)?.nail).toBe(name);
      expect(compileNail(structuredClone(set), name).operations.map((operation) => operation.id)).toEqual(
        ids,
      );
    }
  });

  it('lays as many coats as the colour needs to cover, rounded up, never a constant', () => {
    const coats = (coats_to_cover: number) => {
      const set = setWearing([element('colour')]);
      set.kit.products.find((product) => product.id === 'velvet-04')!.coats_to_cover = coats_to_cover;
      return steps(set).filter((step) => step.startsWith('colour/coat')).length;
    };
    expect([coats(1), coats(1.2), coats(2), coats(2.4), coats(3)]).toEqual([1, 2, 2, 3, 3]);
  });

  it('wipes the base only in that school', () => {
    const wiped = setWearing([element('colour')], (set) => (set.practice.base = 'wipe'));
    expect(steps(wiped)).toContain('build/wipe-base#1');
    expect(steps(setWearing([element('colour')]))).not.toContain('build/wipe-base#1');
  });

  it('tops a look that says nothing of its finish, and oils last', () => {
    const list = steps(setWearing([element('colour')]));
    expect(at(list, 'top/coat#1')).toBeGreaterThan(at(list, 'colour/cure#2'));
    expect(list[list.length - 1]).toBe('care/oil#1');
  });
});

describe('the order follows from the table, not from the list', () => {
  const gloss = element('finish', {
    id: 'gloss',
    finish: 'gloss',
    region: { kind: 'oval', across: 0, along: 0.8, width_mm: 4, length_mm: 4, turn_deg: 0 },
  });
  const matte = element('finish', { id: 'matte', finish: 'matte', region: whole });
  const parts: Element[] = [
    element('colour'),
    matte,
    gloss,
    element('inlay', { id: 'inlay' }),
    element('charm', { id: 'charm', along: 1.2 }),
    element('crystals', { id: 'stones' }),
  ];

  it('puts colour, inlay, charm, matte, gloss and stones in one right order from any listing', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(parts, { minLength: parts.length }), (shuffled) => {
        const set = setWearing(shuffled, (one) => (one.practice.stones = 'wet-top'));
        const list = steps(set);
        expect(at(list, 'inlay/bed#1')).toBeGreaterThan(at(list, 'colour/cure#2'));
        expect(at(list, 'matte/coat#1')).toBeGreaterThan(at(list, 'inlay/clean#1'));
        expect(at(list, 'gloss/coat#1')).toBeGreaterThan(at(list, 'matte/cure#1'));
        expect(at(list, 'matte/coat#1')).toBeGreaterThan(at(list, 'charm/flash#1'));
        expect(at(list, 'stones/set#1')).toBe(at(list, 'matte/coat#1') + 1);
        expect(at(list, 'matte/cure#1')).toBe(at(list, 'stones/set#1') + 1);
        expect(findingsOn(set).filter((finding) => finding.severity === 'stop')).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });

  it('sets bedded stones before a top that is taken around them', () => {
    const set = setWearing(
      [element('crystals', { id: 'stones' }), element('colour')],
      (one) => (one.practice.stones = 'bedded'),
    );
    const list = steps(set);
    expect(at(list, 'top/coat#1')).toBeGreaterThan(at(list, 'stones/flash#1'));
    expect(
      compileNail(set, 'left-ring').operations.find((one) => one.element === 'top')!.place.free,
    ).toHaveLength(5);
    expect(findingsOn(set)).toEqual([]);
  });

  it('keeps the listing where two colours could go either way', () => {
    const one = element('colour', { id: 'one', product: 'plum-07' });
    const two = element('colour', { id: 'two', product: 'ember-12' });
    expect(at(steps(setWearing([one, two])), 'two/coat#1')).toBeGreaterThan(
      at(steps(setWearing([one, two])), 'one/cure#2'),
    );
    expect(at(steps(setWearing([two, one])), 'one/coat#1')).toBeGreaterThan(
      at(steps(setWearing([two, one])), 'two/cure#2'),
    );
  });
});

describe('the artist’s edits', () => {
  const base = () => setWearing([element('colour'), element('crystals', { id: 'stones' })]);
  const op = (step: string) => `left-ring/${step}`;

  it('win over the craft', () => {
    const set = base();
    set.edits = [{ kind: 'before', a: op('stones/set#1'), b: op('top/coat#1') }];
    const list = steps(set);
    expect(at(list, 'stones/set#1')).toBeLessThan(at(list, 'top/coat#1'));
    expect(at(list, 'top/coat#1')).toBeLessThan(at(list, 'top/cure#1'));
  });

  it('leave out, hold back and insert', () => {
    const set = base();
    set.edits = [
      { kind: 'skip', a: op('prep/buff#1') },
      { kind: 'hold', a: op('stones/set#1') },
      {
        kind: 'insert',
        id: 'look',
        nail: 'left-ring',
        after: op('colour/cure#1'),
        verb: 'rest',
        seconds: 20,
        words: 'Look at it',
      },
    ];
    const list = steps(set);
    expect(list).not.toContain('prep/buff#1');
    expect(at(list, 'own/look#1')).toBe(at(list, 'colour/cure#1') + 1);
    expect(at(list, 'colour/coat#2')).toBeGreaterThan(at(list, 'own/look#1'));
    expect(compileNail(set, 'left-ring').skipped.map((one) => one.step)).toEqual(['buff']);
  });

  it('that contradict each other or point at nothing are said, not followed in silence', () => {
    const set = base();
    set.edits = [
      { kind: 'before', a: op('colour/coat#2'), b: op('colour/coat#1') },
      { kind: 'before', a: op('colour/coat#1'), b: op('colour/coat#2') },
      { kind: 'skip', a: op('glitter/coat#1') },
    ];
    expect(compileNail(set, 'left-ring').editFaults.map((fault) => fault.kind)).toEqual([
      'circle',
      'points-nowhere',
    ]);
    expect(findingsOn(set).map((finding) => finding.code)).toEqual(
      expect.arrayContaining(['edit-circle', 'edit-lost']),
    );
  });

  it('never lose an operation, whatever they say', () => {
    const set = base();
    const ids = compileNail(set, 'left-ring').operations.map((operation) => operation.id);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...ids)), { maxLength: 12 }),
        (pairs) => {
          set.edits = pairs.filter(([a, b]) => a !== b).map(([a, b]) => ({ kind: 'before', a, b }));
          const { operations, editFaults } = compileNail(set, 'left-ring');
          expect(operations.map((operation) => operation.id).sort()).toEqual([...ids].sort());
          const place = new Map(operations.map((operation, i) => [operation.id, i]));
          for (const edit of set.edits) {
            if (edit.kind !== 'before' || editFaults.some((fault) => fault.edit === edit)) continue;
            expect(place.get(edit.a)!).toBeLessThan(place.get(edit.b)!);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('lining up', () => {
  it('keeps hard edges, drops soft ones that would close a circle', () => {
    expect(
      lineUp(
        [0, 1, 2],
        [{ first: 2, then: 0 }],
        [
          { first: 0, then: 1 },
          { first: 1, then: 2 },
        ],
      ),
    ).toEqual([2, 0, 1]);
    expect(reaches([[1], [2], []], 0, 2)).toBe(true);
    expect(reaches([[1], [2], []], 2, 0)).toBe(false);
  });
});
