import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { understudy } from '../demo/understudy';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import { parseSetText, writeSetText } from '../document/parse';
import { nailsOf, type Finding } from '../judge/finding';
import { NAILS } from '../model/names';
import { cardOf } from '../timing/card';
import type { Found } from '../timing/sitting';
import { moveChange } from '../compile/reorder';
import { parts } from '../testing/spoil';
import { newMemo, planSet as planned, type PlanOptions } from './planSet';

/** With a short search; ways out only where they are looked at. */
const planSet = (set: SetDocument, options: PlanOptions = {}) =>
  planned(set, { effort: { iterations: 200 }, fixes: false, ...options });

describe('planSet', () => {
  it('is the same each time, with or without a memo, and after a trip through a file', () => {
    for (const demo of DEMO_SETS) {
      const set = demo.make();
      const plan = planSet(set);
      const memo = newMemo();
      planSet(set, { memo });
      expect(planSet(set, { memo })).toEqual(plan);
      const read = parseSetText(writeSetText(set));
      expect(read.ok && planSet(read.value)).toEqual(plan);
      expect(JSON.parse(JSON.stringify(plan))).toEqual(plan);
    }
  });

  it('is the same by what was found before, without comparing anew; of another set that counts for nothing', () => {
    let found: Found | undefined;
    const onFound = (one: Found) => (found = one);
    const set = curtainUp();
    const plan = planSet(set, { onFound });
    expect(planSet(set, { known: found })).toEqual(plan);
    const changed = structuredClone(set);
    changed.practice.pace = 'new';
    expect(planSet(changed, { known: { ...found!, hand_after_hand_s: 1 } })).toEqual(planSet(changed));
  });

  it('replans an edit as it would plan it afresh', () => {
    const memo = newMemo();
    let set = curtainUp();
    planSet(set, { memo });
    for (const change of [
      { kind: 'wear', nails: ['left-ring'], look: 'footlights' },
      { kind: 'practice', practice: { thumbs: 'with-fingers' } },
      { kind: 'plate', nail: 'right-thumb', plate: { width_mm: 15.5 } },
    ] as const) {
      const next = applyChange(set, structuredClone(change) as Parameters<typeof applyChange>[1]);
      if (!next.ok) throw new Error(next.faults[0]!.message);
      set = next.value;
      expect(planSet(set, { memo })).toEqual(planSet(set));
    }
  });

  it('does every operation once in the sitting, and no work on a hand in the lamp', () => {
    for (const demo of DEMO_SETS) {
      const { operations, sitting } = planSet(demo.make());
      const all = NAILS.flatMap((name) => operations[name]);
      const done = [
        ...sitting.strokes.map((s) => s.operation),
        ...sitting.loads.flatMap((load) => load.operations),
      ];
      expect(done.sort()).toEqual(
        all
          .filter((one) => one.hand_s > 0 || one.lamp)
          .map((one) => one.id)
          .sort(),
      );
      for (const stroke of sitting.strokes) {
        for (const load of sitting.loads) {
          if (load.hand !== stroke.hand) continue;
          expect(stroke.start_s >= load.end_s - 1e-6 || stroke.end_s <= load.start_s + 1e-6).toBe(true);
        }
      }
      expect(sitting.total_s).toBeGreaterThanOrEqual(sitting.lower_bound_s);
      expect(sitting.total_s).toBeLessThan(sitting.hand_after_hand_s);
      expect(sitting.low_s).toBeLessThan(sitting.total_s);
      expect(sitting.high_s).toBeGreaterThan(sitting.total_s);
    }
  });
});

describe('Curtain Up', () => {
  it('is met with quiet: no stop and at most three warnings', () => {
    const { findings } = planSet(curtainUp());
    expect(findings.filter((finding) => finding.severity === 'stop')).toEqual([]);
    expect(findings.filter((finding) => finding.severity === 'warn').length).toBeLessThanOrEqual(3);
  });

  it('top dragged below the stones: a stop with its area, and a fix that ends it', () => {
    const set = curtainUp();
    const list = planSet(set).operations['left-middle'];
    const top = list.findIndex((one) => one.step === 'coat' && one.element === 'top');
    const stones = list.findIndex((one) => one.element === 'stones');
    const change = moveChange(list, top, stones, set.edits)!;
    const wrong = applyChange(set, change);
    if (!wrong.ok) throw new Error(wrong.faults[0]!.message);
    // As long a search as an edit gets: a shorter one may leave a film waiting, which is another matter.
    const [finding, ...more] = planned(wrong.value).findings as [Finding];
    expect(more).toEqual([]);
    expect(finding.code).toBe('needs-wet');
    expect(finding.follows!.map((one) => one.code)).toContain('top-over-stones');
    expect(finding.figure).toMatchObject({ unit: 'mm²', limit: 0 });
    expect(finding.figure!.value).toBeGreaterThan(5);
    const mended = applyChange(wrong.value, finding.fix!.change);
    expect(mended.ok && planSet(mended.value)).toEqual(planSet(set));
  });
});

describe('Understudy', () => {
  const plan = planSet(understudy(), { fixes: true });
  const has = (code: string, nail: string) =>
    plan.findings.some(
      (finding) =>
        (nailsOf(finding) as readonly string[]).includes(nail) &&
        [finding.code, ...(finding.follows ?? []).map((one) => one.code)].includes(code),
    );

  it('shows at least ten different findings', () => {
    const codes = new Set(
      plan.findings.filter((finding) => finding.severity !== 'note').map((finding) => finding.code),
    );
    expect(codes.size).toBeGreaterThanOrEqual(10);
  });

  // Each mistake that was made on purpose, as someone of the trade would name it.
  it.each([
    ['unprepared-plate', 'left-thumb', 'the shine left on'],
    ['oil-before-layer', 'right-thumb', 'oil before the base'],
    ['uncured-covered', 'left-index', 'base not cured before the ombre'],
    ['wet-touched', 'right-index', 'the top wiped while wet'],
    ['top-over-stones', 'left-middle', 'top over stones'],
    ['needs-wet', 'left-middle', 'stones onto cured gel'],
    ['under-cured', 'right-middle', 'top never cured'],
    ['tacky-filed', 'left-ring', 'filing a sticky cap'],
    ['dust-under-layer', 'right-ring', 'dust left on'],
    ['piece-proud', 'left-ring', 'a stiff shard on a curved nail'],
    ['thick-under-inlay', 'left-ring', 'a heavy bed'],
    ['lost-in-ground', 'left-ring', 'a dark piece on dark blue'],
    ['too-large', 'left-little', 'a lantern wider than the nail'],
    ['pieces-overlap', 'left-little', 'stones on the lantern'],
    ['muddy-middle', 'left-index', 'lemon into violet'],
    ['see-through', 'left-thumb', 'one coat of ivory'],
    ['foil-patchy', 'right-thumb', 'full foil without a gel for it'],
    ['magnet-weak', 'right-index', 'a weak magnet far off'],
    ['magnet-too-long', 'right-index', 'the same, held too long'],
    ['marble-stirred', 'right-middle', 'a marble stirred into one colour'],
    ['relief-drowned', 'right-little', 'a thick top over relief'],
    ['edit-lost', 'right-middle', 'a step that is gone'],
  ])('%s on %s: %s', (code, nail) => {
    expect(has(code, nail)).toBe(true);
  });

  it('offers only ways out that end their finding and bring no stop and no warning', () => {
    const set = understudy();
    const fixable = plan.findings.filter((finding) => finding.fix);
    expect(fixable.length).toBeGreaterThanOrEqual(12);
    const memo = newMemo();
    const raw = (one: SetDocument) => planSet(one, { memo }).findings;
    const known = new Set(raw(set).flatMap(parts));
    for (const finding of fixable) {
      const next = applyChange(set, finding.fix!.change);
      if (!next.ok) throw new Error(`${finding.code}: ${next.faults[0]!.message}`);
      const after = raw(next.value);
      expect(after.map((one) => one.id)).not.toContain(finding.id);
      const brought = after.filter((one) => one.severity !== 'note').flatMap(parts);
      expect([finding.code, ...brought.filter((key) => !known.has(key))]).toEqual([finding.code]);
    }
  });
});

describe('beside the plan', () => {
  it('the rounds hold every operation once, in the order of the clock, and the card all of them', () => {
    const { operations, rounds, passes } = planSet(curtainUp());
    const all = NAILS.flatMap((name) => operations[name]);
    expect(rounds.flatMap((round) => round.operations).sort()).toEqual(all.map((one) => one.id).sort());
    for (let i = 1; i < rounds.length; i += 1)
      expect(rounds[i]!.start_s).toBeGreaterThanOrEqual(rounds[i - 1]!.start_s);
    expect(rounds.length).toBeLessThan(all.length * 0.5);
    expect(passes.flatMap((pass) => pass.rounds).sort((a, b) => a.number - b.number)).toEqual(rounds);
    const card = cardOf(passes, NAILS, {});
    expect(card.length).toBeLessThanOrEqual(45);
    expect(card.flatMap(({ lines }) => lines).length).toBeLessThan(rounds.length);
  });
});
