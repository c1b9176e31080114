import { DEMO_SETS } from '../demo';
import { chance } from '../model/chance';
import { brokenPromises, spoiled } from '../testing/spoil';
import { applyChange } from '../document/changes';
import type { Edit } from '../document/edits';
import type { SetDocument } from '../document/document';
import type { Operation } from '../craft/operation';
import { NAILS, type NailName } from '../model/names';
import { element, setWearing } from '../testing/sets';
import type { Told } from '../judge/finding';
import { inOneGo } from '../model/inSlices';
import { tryFixes } from './fixes';
import { planNail } from './nailPlan';
import { planSet } from './planSet';
import { editsAbout, moveChange } from '../compile/reorder';
import { runs } from '../testing/runs';

/** The set with one nail in work, planned with a short search. */
const repaired = (set: SetDocument) => planSet(set, { effort: { iterations: 100 } }).findings;
const withEdits = (edits: Edit[], elements = [element('colour'), element('inlay')]) =>
  setWearing(elements, (set) => {
    set.edits = edits;
    for (const name of NAILS) set.nails[name].in_work = name === 'left-ring';
  });

describe('ways out', () => {
  it.each<[string, Edit]>([
    ['unprepared-plate', { kind: 'skip', a: 'left-ring/prep/buff#1' }],
    ['dust-under-layer', { kind: 'skip', a: 'left-ring/prep/brush#1' }],
    ['uncured-covered', { kind: 'skip', a: 'left-ring/build/cure-base#1' }],
    ['tacky-filed', { kind: 'skip', a: 'left-ring/body/wipe#1' }],
    ['oil-before-layer', { kind: 'before', a: 'left-ring/care/oil#1', b: 'left-ring/colour/coat#1' }],
    ['no-grip', { kind: 'move', a: 'left-ring/top/coat#1', side: 'before', b: 'left-ring/colour/coat#1' }],
  ])('of %s takes back the edit that made it', (code, edit) => {
    // Wiping and brushing both take dust: without the wipe too, the brush is missed.
    const edits: Edit[] =
      code === 'dust-under-layer' ? [edit, { kind: 'skip', a: 'left-ring/prep/wipe#1' }] : [edit];
    const finding = repaired(withEdits(edits)).find((one) => one.code === code)!;
    expect(finding.fix).toBeDefined();
    const next = applyChange(withEdits(edits), finding.fix!.change);
    expect(next.ok && repaired(next.value).map((one) => one.id)).not.toContain(finding.id);
  });

  it('inserts what is missing where no edit is to blame', () => {
    // A base whose direction is too short for its own thickness.
    const set = setWearing([element('colour')]);
    set.edits = [
      {
        kind: 'insert',
        id: 'early',
        nail: 'left-ring',
        after: 'left-ring/prep/prime#1',
        verb: 'oil',
        seconds: 5,
        words: 'Oil',
      },
    ];
    const finding = repaired(set).find((one) => one.code === 'oil-before-layer')!;
    expect(finding.fix!.words).toMatch(/Take “Oil” out again/);
  });

  it('what a way out brings on the set, and on no nail of it, keeps it from being offered, and is no fault of the program', () => {
    const set = setWearing([element('colour')]);
    const told = (over: Partial<Told>): Told => ({
      id: 'found',
      code: 'no-grip',
      severity: 'stop',
      message: 'It does not hold.',
      reason: 'Because.',
      tries: [{ words: 'Call it otherwise', change: { kind: 'rename', title: 'Otherwise' } }],
      ...over,
    });
    const cause = { told: [told({ nail: 'left-ring' })], nails: ['left-ring' as const], follows: [] };
    const brought = told({ id: 'brought', severity: 'warn', tries: [] });
    const lines = Object.fromEntries(NAILS.map((name): [NailName, Operation[]] => [name, []]));
    const work = tryFixes(set, cause.told, [cause], {
      nail: () => [],
      whole: () => [brought],
      touched: () => [],
      operations: (name) => lines[name]!,
      skipped: () => [],
      order: () => [],
    });
    expect(inOneGo(work)).toEqual([{ fix: undefined, all: undefined }]);
  });

  it('offers nothing that would bring a new stop', () => {
    for (const finding of repaired(withEdits([{ kind: 'skip', a: 'left-ring/body/cap#1' }]))) {
      if (!finding.fix) continue;
      const before = repaired(withEdits([{ kind: 'skip', a: 'left-ring/body/cap#1' }])).filter(
        (one) => one.severity === 'stop',
      );
      const next = applyChange(withEdits([{ kind: 'skip', a: 'left-ring/body/cap#1' }]), finding.fix.change);
      expect(next.ok).toBe(true);
      if (next.ok) {
        expect(repaired(next.value).filter((one) => one.severity === 'stop').length).toBeLessThanOrEqual(
          before.length,
        );
      }
    }
  });

  it('says the skipped step by its own words', () => {
    const finding = repaired(withEdits([{ kind: 'skip', a: 'left-ring/prep/buff#1' }])).find(
      (one) => one.fix,
    )!;
    expect(finding.fix!.words).toBe('Do “Take the shine off” after all');
  });
});

describe('every way out that is offered', () => {
  it('ends its finding and brings no stop and no warning, on sets spoiled by mistakes', () => {
    let offered = 0;
    for (let seed = 1; seed <= runs(4, 12); seed += 1) {
      const by = chance(70 + seed);
      const result = brokenPromises(spoiled(by.pick(DEMO_SETS).make(), by));
      expect([seed, ...result.broken]).toEqual([seed]);
      offered += result.offered;
    }
    expect(offered).toBeGreaterThan(runs(2, 5));
  });
});

describe('moving a step by hand', () => {
  const set = withEdits([]);
  const list = planNail(set, 'left-ring').compiled.operations;

  it('is a statement of where it stands beside its new neighbour', () => {
    expect(moveChange(list, 2, 4, [])).toEqual({
      kind: 'many',
      changes: [{ kind: 'add-edit', edit: { kind: 'move', a: list[2]!.id, side: 'after', b: list[4]!.id } }],
    });
    expect(moveChange(list, 4, 2, [])).toMatchObject({
      changes: [{ edit: { kind: 'move', a: list[4]!.id, side: 'before', b: list[2]!.id } }],
    });
  });

  it('takes the place of what was said about the step before', () => {
    const old: Edit = { kind: 'before', a: list[9]!.id, b: list[2]!.id };
    const other: Edit = { kind: 'skip', a: list[1]!.id };
    const change = moveChange(list, 2, 1, [old, other])!;
    const next = applyChange({ ...set, edits: [old, other] }, change);
    expect(next.ok && next.value.edits).toEqual([
      other,
      { kind: 'move', a: list[2]!.id, side: 'before', b: list[1]!.id },
    ]);
  });

  it('to nowhere is nothing', () => {
    expect(moveChange(list, 3, 3, [])).toBeUndefined();
    expect(moveChange(list, 0, -1, [])).toBeUndefined();
    expect(moveChange(list, 0, list.length, [])).toBeUndefined();
  });

  it('puts the step where it was dropped, wherever that is', () => {
    for (const to of [0, 5, list.length - 1]) {
      const next = applyChange(set, moveChange(list, 8, to, [])!);
      if (!next.ok) throw new Error('refused');
      const after = planNail(next.value, 'left-ring').compiled.operations.map((one) => one.id);
      // A base takes its cure along, so only its own place is sure.
      expect(to > 8 ? after.indexOf(list[8]!.id) - 1 : to).toBe(after.indexOf(list[to > 8 ? to : 8]!.id));
    }
  });

  it('finds the edits about a step', () => {
    const edits: Edit[] = [
      { kind: 'before', a: 'left-ring/a/b#1', b: 'left-ring/c/d#1' },
      { kind: 'skip', a: 'left-ring/c/d#1' },
      { kind: 'hold', a: 'left-ring/x/y#1' },
    ];
    expect(editsAbout(edits, 'left-ring/c/d#1')).toHaveLength(2);
  });
});
