import fc from 'fast-check';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { element, findingsOn, setWearing } from '../testing/sets';
import { compileNail } from './compile';
import { lineUp } from './lineUp';
import { moveChange } from './reorder';
import { parseOperationId, STAGES } from '../craft/operation';
import { applyChange } from '../document/changes';
import type { Edit } from '../document/edits';

const steps = (set: SetDocument) =>
  compileNail(set, 'left-ring').operations.map((one) => `${one.element}/${one.step}#${one.pass}`);
const at = (list: string[], step: string) => {
  const index = list.indexOf(step);
  expect(index).toBeGreaterThanOrEqual(0);
  return index;
};

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

describe('stages and seats', () => {
  const spot = { kind: 'oval', across: 0, along: 0.8, width_mm: 4, length_mm: 4, turn_deg: 0 } as const;

  it('stand in their fixed order on every nail of every demo set', () => {
    for (const demo of DEMO_SETS) {
      const set = { ...demo.make(), edits: [] };
      for (const name of NAILS) {
        const stages = compileNail(set, name)
          .operations.filter((one) => one.stage !== 'over')
          .map((one) => STAGES.indexOf(one.stage));
        expect(stages).toEqual([...stages].sort((a, b) => a - b));
      }
    }
  });

  it('three inlays share one bed, one flash, one cap and one filing', () => {
    const row = (along: number) =>
      element('inlay').pieces.map((piece) => ({ ...piece, along, length_mm: 2 }));
    const set = setWearing([
      element('colour'),
      element('inlay', { id: 'a', pieces: row(0.3) }),
      element('inlay', { id: 'b', pieces: row(0.65), cap_um: 600 }),
      element('inlay', { id: 'c', pieces: row(1) }),
    ]);
    const { operations } = compileNail(set, 'left-ring');
    const count = (verb: string) =>
      operations.filter((one) => one.verb === verb && one.stage !== 'foundation').length;
    expect([count('bed'), count('flash'), count('cap'), count('file'), count('place')]).toEqual([
      1, 1, 1, 1, 3,
    ]);
    // The thickest cap that any of them asks for is laid.
    expect(operations.find((one) => one.verb === 'cap')!.deposit).toEqual({ kind: 'level', t_um: 600 });
    expect(findingsOn(set).filter((finding) => finding.severity !== 'note')).toEqual([]);
  });

  it('another clear makes a bed of its own under the same cap; a floated top needs no file', () => {
    const other = setWearing([
      element('inlay', { id: 'a' }),
      element('inlay', { id: 'b', clear: 'bedding-a' }),
    ]);
    const verbs = (set: SetDocument) => compileNail(set, 'left-ring').operations.map((one) => one.verb);
    expect(verbs(other).filter((verb) => verb === 'bed')).toHaveLength(2);
    expect(verbs(other).filter((verb) => verb === 'cap')).toHaveLength(1);
    const floated = setWearing([element('colour'), element('inlay', { cap: 'float', cap_um: 300 })]);
    expect(verbs(floated)).not.toContain('file');
    // The floated top is the nail's top: nothing is added over it.
    expect(steps(floated)).not.toContain('top/coat#1');
    expect(findingsOn(floated).filter((finding) => finding.severity === 'stop')).toEqual([]);
  });

  it('a film sits where the list puts it: under what is encapsulated over it, between, or on the build', () => {
    const stageOf = (elements: Element[], id: string) =>
      compileNail(setWearing(elements), 'left-ring').operations.find((one) => one.element === id)!.stage;
    const ground = element('colour', { id: 'ground' });
    const inlay = element('inlay');
    expect(stageOf([ground, inlay], 'ground')).toBe('body');
    expect(stageOf([inlay, ground], 'ground')).toBe('surface');
    const veil = element('colour', { id: 'veil', product: 'blush-sheer', passes: 1 });
    const two = [ground, inlay, veil, element('inlay', { id: 'two' })];
    const list = steps(setWearing(two));
    expect(at(list, 'veil/coat#1')).toBeGreaterThan(at(list, 'body/flash#1'));
    expect(at(list, 'body/bed#2')).toBeGreaterThan(at(list, 'veil/cure#1'));
    expect(list.filter((step) => step.startsWith('body/cap'))).toHaveLength(1);
    expect(stageOf([element('colour', { id: 'own', seat: 'surface' }), inlay], 'own')).toBe('surface');
  });

  it('what needs a wet host finds it in its own seat, never in the base below', () => {
    const stones = element('crystals', { id: 'stones', bedding: 'wet-top' });
    const list = steps(
      setWearing([element('colour'), stones], (set) => (set.nails['left-ring'].build = 'tips')),
    );
    expect(at(list, 'stones/set#1')).toBe(at(list, 'top/coat#1') + 1);
    expect(at(list, 'top/cure#1')).toBe(at(list, 'stones/set#1') + 1);
    // Their bead left out, bedded stones stay where they were and are told, not sunk into the base.
    const bedded = setWearing([element('colour'), element('crystals', { id: 'stones', bedding: 'bedded' })]);
    const before = steps(bedded);
    bedded.edits = [{ kind: 'skip', a: 'left-ring/stones/bead#1' }];
    expect(steps(bedded)).toEqual(before.filter((step) => step !== 'stones/bead#1'));
    expect(findingsOn(bedded).map((finding) => finding.code)).toContain('needs-wet');
  });

  it('keeps a listed top, chrome, top as it is, and adds nothing where the artist’s own top closes', () => {
    const set = setWearing([
      element('colour'),
      element('finish', { id: 'first', finish: 'gloss' }),
      element('colour', { id: 'chrome', product: 'mirror-silver', passes: 1 }),
      element('finish', { id: 'last', finish: 'gloss' }),
    ]);
    const list = steps(set);
    expect(list.slice(at(list, 'first/coat#1'))).toEqual([
      'first/coat#1',
      'first/cure#1',
      'chrome/coat#1',
      'chrome/loose-off#1',
      'last/coat#1',
      'last/cure#1',
      'care/oil#1',
    ]);
    // A mirror's ground is there to lie under it.
    expect(findingsOn(set).filter((finding) => finding.severity !== 'note')).toEqual([]);
  });

  it('closes only what is open over the artist’s own top', () => {
    const line = element('french', { id: 'line', product: 'amber-11', liner: null, fit: 'keep' });
    const set = setWearing([element('colour'), element('finish', { id: 'own', finish: 'gloss' }), line]);
    const seal = compileNail(set, 'left-ring').operations.find((one) => one.id === 'left-ring/top/coat#1')!;
    expect(seal.place.region).toEqual(line.region);
    // On the other hand it is the same part, turned over with its element.
    const mirrored = compileNail(set, 'right-ring').operations.find((one) => one.element === 'top')!;
    expect(mirrored.place).toEqual({ ...seal.place, mirror: true });
    expect(findingsOn(set).filter((finding) => finding.severity === 'stop')).toEqual([]);
  });

  it('lays what is listed where it is listed, and puts in what makes it hold there', () => {
    const set = setWearing([element('finish', { id: 'own', finish: 'gloss' }), element('colour')]);
    const list = steps(set);
    expect(list.slice(at(list, 'own/cure#1') + 1, at(list, 'colour/coat#1') + 1)).toEqual([
      'colour/key-under#1',
      'colour/brush-under#1',
      'colour/clean-under#1',
      'colour/coat#1',
    ]);
    const key = compileNail(set, 'left-ring').operations.find((one) => one.step === 'key-under')!;
    expect(key.reason).toBe(
      'Velvet 04 wants a hard film, clean, that is tacky, wiped or keyed; here lies cured top coat, slick, no-wipe.',
    );
    expect(findingsOn(set).filter((one) => one.severity === 'stop')).toEqual([]);
  });

  it('stops at what holds nowhere on what lies there, with another place in the list as a way out', () => {
    const stones = element('crystals', { id: 'stones', bedding: 'bedded' });
    const set = setWearing([stones, element('colour')]);
    const list = steps(set);
    expect(at(list, 'colour/coat#1')).toBeGreaterThan(at(list, 'stones/bead#1'));
    const over = (of: SetDocument) =>
      findingsOn(of).find((one) => one.code === 'top-over-stones' && one.element === 'colour');
    const { fix } = over(set)!;
    expect(fix!.words).toBe('List it under the crystals “stones”');
    const mended = applyChange(set, fix!.change);
    expect(mended.ok && mended.value.looks[0]!.elements.map(({ id }) => id)).toEqual(['colour', 'stones']);
    expect(mended.ok && over(mended.value)).toBeUndefined();
  });

  it('keeps the list where both ways hold, and tells what ends up hidden with a way out', () => {
    const one = element('colour', { id: 'one', product: 'plum-07' });
    const two = element('colour', { id: 'two', product: 'amber-11' });
    const set = setWearing([one, two]);
    const list = steps(set);
    expect(at(list, 'two/coat#1')).toBeGreaterThan(at(list, 'one/cure#2'));
    const hidden = (of: SetDocument) => findingsOn(of).find((finding) => finding.code === 'art-hidden');
    // Turned round, the other whole colour would be hidden: nothing to offer. A spot can be raised.
    expect(hidden(set)).toMatchObject({ element: 'one' });
    expect(hidden(set)!.fix).toBeUndefined();
    const under = setWearing([{ ...one, region: spot }, two]);
    const raised = applyChange(under, hidden(under)!.fix!.change);
    expect(raised.ok && hidden(raised.value)).toBeUndefined();
    const matte = element('finish', { id: 'accent', finish: 'matte', region: spot });
    const covered = setWearing([element('colour'), matte, element('finish', { id: 'all', finish: 'gloss' })]);
    expect(findingsOn(covered)).toMatchObject([{ code: 'art-hidden', element: 'accent' }]);
    const shown = setWearing([element('colour'), matte]);
    expect(at(steps(shown), 'accent/coat#1')).toBeGreaterThan(at(steps(shown), 'top/cure#1'));
    expect(findingsOn(shown)).toEqual([]);
  });

  it('takes a top around bedded stones', () => {
    const set = setWearing(
      [element('colour'), element('crystals', { id: 'stones' })],
      (one) => (one.practice.stones = 'bedded'),
    );
    const list = steps(set);
    expect(at(list, 'top/coat#1')).toBeGreaterThan(at(list, 'stones/flash#1'));
    expect(
      compileNail(set, 'left-ring').operations.find((one) => one.element === 'top')!.place.free,
    ).toHaveLength(5);
    expect(findingsOn(set)).toEqual([]);
  });
});

describe('the artist’s edits', () => {
  const base = () => setWearing([element('colour'), element('crystals', { id: 'stones' })]);
  const op = (step: string) => `left-ring/${step}`;
  const insert = (
    id: string,
    after: string,
    over: Partial<Extract<Edit, { kind: 'insert' }>> = {},
  ): Edit => ({
    kind: 'insert',
    id,
    nail: 'left-ring',
    after: op(after),
    verb: 'rest',
    seconds: 20,
    words: 'Look at it',
    ...over,
  });
  const faults = (set: SetDocument) => compileNail(set, 'left-ring').editFaults.map((fault) => fault.kind);
  /** Nails with much on them, so that edits have something to disturb. */
  const busy = () =>
    setWearing(
      [
        element('colour'),
        element('inlay'),
        element('french'),
        element('crystals', { id: 'stones', bedding: 'bedded' }),
        element('finish', { id: 'matte' }),
      ],
      (set) => (set.nails['left-ring'].build = 'tips'),
    );

  it('win over the craft', () => {
    const set = base();
    set.edits = [{ kind: 'before', a: op('stones/set#1'), b: op('top/coat#1') }];
    const list = steps(set);
    expect(at(list, 'stones/set#1')).toBe(at(list, 'top/coat#1') - 1);
    expect(at(list, 'top/coat#1')).toBeLessThan(at(list, 'top/cure#1'));
  });

  it('leaving any one operation out leaves the order of all others as it was', () => {
    for (const make of [base, busy]) {
      const set = make();
      const all = steps(set);
      for (const step of all) {
        set.edits = [{ kind: 'skip', a: op(step) }];
        expect(steps(set)).toEqual(all.filter((one) => one !== step));
        expect(compileNail(set, 'left-ring').skipped).toHaveLength(1);
      }
    }
  });

  it('a move changes only what it must: a coat takes its flash and cure along, all else keeps its order', () => {
    const set = busy();
    const { operations } = compileNail(set, 'left-ring');
    const all = operations.map((one) => one.id);
    const index = fc.integer({ min: 0, max: all.length - 1 });
    fc.assert(
      fc.property(index, index, (from, to) => {
        const change = moveChange(operations, from, to, []);
        if (!change) return expect(from).toBe(to);
        const next = applyChange(set, change);
        if (!next.ok) throw new Error('refused');
        const now = compileNail(next.value, 'left-ring').operations.map((one) => one.id);
        expect([...now].sort()).toEqual([...all].sort());
        // It stands beside what it was dropped on.
        const first = now.indexOf(all[from]!);
        if (to > from) expect(now[first - 1]).toBe(all[to]);
        // Alone or with the work that makes it hold; without that, both orders are the same.
        const length = [1, 2, 3, 4, 5, 6].find((count) => {
          const block = new Set(all.slice(from, from + count));
          const rest = (list: string[]) => list.filter((id) => !block.has(id)).join();
          return rest(now) === rest(all) && now.slice(first, first + count).join() === [...block].join();
        });
        expect(length).toBeDefined();
        if (length! > 1) {
          expect(operations[from]!.deposit).toBeDefined();
          expect(operations.slice(from, from + length!).some((one) => one.lamp)).toBe(true);
        }
        if (to < from) expect(now[first + length!]).toBe(all[to]);
        return undefined;
      }),
      { numRuns: 200 },
    );
  });

  it('a coat that is moved takes its cure along, and moves alone among its own', () => {
    const set = base();
    set.edits = [{ kind: 'move', a: op('colour/coat#2'), side: 'after', b: op('top/cure#1') }];
    const list = steps(set);
    expect(list.slice(at(list, 'top/cure#1'))).toEqual([
      'top/cure#1',
      'colour/coat#2',
      'colour/cure#2',
      'care/oil#1',
    ]);
    set.edits = [{ kind: 'move', a: op('colour/coat#2'), side: 'after', b: op('colour/cure#2') }];
    expect(at(steps(set), 'colour/coat#2')).toBe(at(steps(set), 'colour/cure#2') + 1);
  });

  it('leave out, hold back and insert', () => {
    const set = base();
    set.edits = [{ kind: 'skip', a: op('prep/buff#1') }, insert('look', 'colour/cure#1')];
    const list = steps(set);
    expect(list).not.toContain('prep/buff#1');
    expect(at(list, 'own/look#1')).toBe(at(list, 'colour/cure#1') + 1);
    expect(at(list, 'colour/coat#2')).toBeGreaterThan(at(list, 'own/look#1'));
    expect(compileNail(set, 'left-ring').skipped.map((one) => one.step)).toEqual(['buff']);
    // Two spots that do not meet: the first may wait for the second, but not past the top over it.
    const spot = (id: string, along: number) =>
      element('colour', {
        id,
        passes: 1,
        region: { kind: 'oval', across: 0, along, width_mm: 3, length_mm: 2, turn_deg: 0 },
      });
    const two = setWearing([spot('low', 0.3), spot('high', 1)]);
    two.edits = [{ kind: 'hold', a: op('low/coat#1') }];
    expect(at(steps(two), 'low/coat#1')).toBe(at(steps(two), 'high/cure#1') + 1);
    expect(at(steps(two), 'low/cure#1')).toBe(at(steps(two), 'top/coat#1') - 1);
  });

  it('that contradict each other or point at nothing are said, not followed in silence', () => {
    const set = base();
    set.edits = [
      { kind: 'before', a: op('colour/coat#2'), b: op('colour/coat#1') },
      { kind: 'before', a: op('colour/coat#1'), b: op('colour/coat#2') },
      { kind: 'skip', a: op('glitter/coat#1') },
    ];
    expect(faults(set).sort()).toEqual(['circle', 'points-nowhere']);
    expect(findingsOn(set).map((finding) => finding.code)).toEqual(
      expect.arrayContaining(['edit-circle', 'edit-lost']),
    );
  });

  it.each<[string, Edit[]]>([
    ['follows-left-out', [{ kind: 'skip', a: 'left-ring/colour/cure#1' }, insert('look', 'colour/cure#1')]],
    ['follows-later', [insert('look', 'own/think#1'), insert('think', 'colour/cure#1')]],
    ['id-twice', [insert('look', 'colour/cure#1'), insert('look', 'colour/cure#2')]],
    ['other-nail', [insert('look', 'colour/cure#1', { after: 'right-ring/colour/cure#1' })]],
    ['points-nowhere', [insert('look', 'glitter/cure#1')]],
  ])('an insert that %s is a finding', (kind, edits) => {
    const set = base();
    set.edits = edits;
    expect(faults(set)).toEqual([kind]);
    expect(findingsOn(set).map((finding) => finding.code)).toContain('edit-lost');
  });

  it('several inserts on one step stand in the order they were said', () => {
    const set = base();
    set.edits = [
      insert('one', 'colour/cure#1'),
      insert('two', 'colour/cure#1'),
      insert('on-one', 'own/one#1'),
    ];
    const list = steps(set);
    const from = at(list, 'colour/cure#1');
    expect(list.slice(from, from + 5)).toEqual([
      'colour/cure#1',
      'own/one#1',
      'own/on-one#1',
      'own/two#1',
      'colour/coat#2',
    ]);
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
      { numRuns: 100 },
    );
  });
});

describe('lining up', () => {
  it('keeps edges, otherwise the list, and finds circles', () => {
    expect(lineUp(3, [{ first: 2, then: 0 }])).toEqual([1, 2, 0]);
    expect(
      lineUp(3, [
        { first: 0, then: 1 },
        { first: 1, then: 0 },
      ]),
    ).toBeUndefined();
  });
});
