import fc from 'fast-check';
import { curtainUp } from '../demo/curtainUp';
import { applyChange, type Change } from './changes';
import { NAILS } from '../model/names';
import { parseSet } from './parse';

function apply(change: Change) {
  const next = applyChange(curtainUp(), change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return next.value;
}

describe('two nails swapped', () => {
  it('wear what the other wore, with its own changes, and stand as they were when swapped again', () => {
    const set = curtainUp();
    set.nails['left-ring'].changes = [{ element: 'stubs', leave_off: true }];
    const swap: Change = { kind: 'swap', nails: ['left-ring', 'left-thumb'] };
    const once = applyChange(set, swap);
    if (!once.ok) throw new Error('refused');
    expect(once.value.nails['left-thumb']).toMatchObject({
      look: set.nails['left-ring'].look,
      build: set.nails['left-thumb'].build,
      changes: set.nails['left-ring'].changes,
    });
    const twice = applyChange(once.value, swap);
    expect(twice.ok && twice.value).toEqual(set);
  });
});

describe('changes', () => {
  it('wear puts a look on nails and drops their own changes to the old one', () => {
    const set = apply({
      kind: 'many',
      changes: [
        { kind: 'nail-change', nail: 'left-ring', change: { element: 'stubs', leave_off: true } },
        { kind: 'wear', nails: ['left-ring', 'right-ring'], look: 'footlights' },
      ],
    });
    expect([set.nails['left-ring'].look, set.nails['right-ring'].look]).toEqual(['footlights', 'footlights']);
    expect(set.nails['left-ring'].changes).toEqual([]);
  });

  it('mirror makes the other hand alike, and leaves its measures alone', () => {
    const start = curtainUp();
    start.nails['left-ring'].look = 'velvet';
    start.nails['right-ring'].plate.width_mm = 10.4;
    const next = applyChange(start, { kind: 'mirror', from: 'left' });
    expect(next.ok && next.value.nails['right-ring']).toMatchObject({
      look: 'velvet',
      plate: { width_mm: 10.4 },
    });
  });

  it('move-element changes the place of one element and keeps the rest in order', () => {
    const set = apply({ kind: 'move-element', look: 'mask', element: 'velvet', to: 2 });
    expect(set.looks.find((look) => look.id === 'mask')!.elements.map((one) => one.id)).toEqual([
      'hush',
      'mask',
      'velvet',
      'spotlight',
    ]);
  });

  it('removing a look leaves its nails bare, not broken', () => {
    const set = apply({ kind: 'remove-look', look: 'velvet' });
    expect(set.looks.some((look) => look.id === 'velvet')).toBe(false);
    const gone = apply({ kind: 'remove-look', look: 'tickets' });
    expect(gone.nails['left-ring'].look).toBeNull();
  });

  it('edits are statements: said twice they stand once, and go again', () => {
    const edit = { kind: 'skip', a: 'left-ring/prep/buff#1' } as const;
    const once = apply({
      kind: 'many',
      changes: [
        { kind: 'add-edit', edit },
        { kind: 'add-edit', edit: { a: edit.a, kind: 'skip' } },
      ],
    });
    expect(once.edits).toEqual([edit]);
    const next = applyChange(once, { kind: 'remove-edit', edit });
    expect(next.ok && next.value.edits).toEqual([]);
  });

  it('that would break the set are refused with the path, and the set stays as it was', () => {
    const set = curtainUp();
    const before = structuredClone(set);
    const refused = applyChange(set, { kind: 'plate', nail: 'left-ring', plate: { width_mm: 0 } });
    expect(refused).toEqual({
      ok: false,
      faults: [{ path: 'nails.left-ring.plate.width_mm', message: 'must be at least 4 mm' }],
    });
    expect(applyChange(set, { kind: 'wear', nails: ['left-ring'], look: 'ghost' }).ok).toBe(false);
    expect(set).toEqual(before);
  });

  it('keep the untouched parts the same objects, so that nothing is planned twice', () => {
    const set = curtainUp();
    const next = applyChange(set, { kind: 'wear', nails: ['left-ring'], look: 'velvet' });
    if (!next.ok) throw new Error('refused');
    expect(next.value.kit).toBe(set.kit);
    expect(next.value.looks).toBe(set.looks);
    expect(next.value.nails['right-ring']).toBe(set.nails['right-ring']);
  });

  it('any run of them leaves a set that its own format accepts', () => {
    const nail = fc.constantFrom(...NAILS);
    const look = fc.constantFrom('velvet', 'footlights', 'tickets', 'mask', 'chandelier');
    const change: fc.Arbitrary<Change> = fc.oneof(
      fc.record({
        kind: fc.constant('wear' as const),
        nails: fc.array(nail, { minLength: 1 }),
        look: fc.option(look),
      }),
      fc.record({
        kind: fc.constant('mirror' as const),
        from: fc.constantFrom('left' as const, 'right' as const),
      }),
      fc.record({ kind: fc.constant('remove-look' as const), look }),
      fc.record({
        kind: fc.constant('use-build' as const),
        nails: fc.array(nail),
        build: fc.constantFrom('natural', 'tips'),
      }),
      fc.record({
        kind: fc.constant('remove-element' as const),
        look,
        element: fc.constantFrom('velvet', 'stubs', 'glow'),
      }),
      fc.record({
        kind: fc.constant('nail-change' as const),
        nail,
        change: fc.record({
          element: fc.constantFrom('velvet', 'stubs'),
          leave_off: fc.constant(true as const),
        }),
      }),
    );
    fc.assert(
      fc.property(fc.array(change, { maxLength: 15 }), (changes) => {
        let set = curtainUp();
        for (const one of changes) {
          const next = applyChange(set, one);
          if (next.ok) set = next.value;
        }
        expect(parseSet(JSON.parse(JSON.stringify(set))).ok).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});
