import { applyChange } from '../document/changes';
import { matinee } from '../demo/matinee';
import type { SetDocument } from '../document/document';
import { runs } from '../testing/runs';
import { QUICK } from '../testing/sets';
import { pinned, pinsOf } from './pins';
import { planSet } from './planSet';

const plan = (set: SetDocument) => planSet(set, QUICK);
const changed = (set: SetDocument, change: Parameters<typeof applyChange>[1]) => {
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return next.value;
};

describe('a round that is held before another', () => {
  const set = matinee();
  const before = plan(set);
  /** Pairs of rounds of work, the later first, that share no nail: nothing but the search keeps them in their order. */
  const pairs = before.rounds.flatMap((late, from) =>
    before.rounds.slice(0, from).flatMap((early, to) => {
      const free =
        late.kind === 'work' &&
        early.kind === 'work' &&
        from - to < 12 &&
        !late.nails.some((nail) => early.nails.includes(nail));
      return free ? [{ from, to }] : [];
    }),
  );

  it('stays there, however often the rest is planned; let go, all is as it was', () => {
    let moved = 0;
    for (const { from, to } of pairs.filter((_, i) => i % 9 === 0).slice(0, runs(5, 40))) {
      const [late, early] = [before.rounds[from]!, before.rounds[to]!];
      const made = pinned(set, before, from, to);
      if (!made.ok) continue;
      moved += 1;
      const next = changed(set, made.value);
      const after = plan(next);
      const start = new Map(after.sitting.strokes.map((stroke) => [stroke.operation, stroke]));
      for (const a of late.operations)
        for (const b of early.operations) {
          const [first, then] = [start.get(a), start.get(b)];
          // Pieces that only pass time have no stroke.
          if (first && then) expect(first.end_s).toBeLessThanOrEqual(then.start_s + 1e-6);
        }
      const pins = pinsOf(next, after.rounds);
      expect(pins.length).toBeGreaterThan(0);
      const free = pins.reduce((one, pin) => changed(one, pin.change), next);
      expect(free.edits).toEqual(set.edits);
    }
    expect(moved).toBeGreaterThan(2);
  });

  it('turned round, the first order is let go', () => {
    const { from, to } = pairs.find((one) => pinned(set, before, one.from, one.to).ok)!;
    const there = pinned(set, before, from, to);
    if (!there.ok) throw new Error('cannot be held');
    const held = changed(set, there.value);
    const after = plan(held);
    const of = (id: string) => after.rounds.findIndex((round) => round.operations.includes(id));
    const back = pinned(
      held,
      after,
      of(before.rounds[from]!.operations[0]!),
      of(before.rounds[to]!.operations[0]!),
    );
    if (!back.ok) return;
    const turned = changed(held, back.value);
    expect(turned.edits.length).toBeLessThanOrEqual(held.edits.length * 2);
    expect(plan(turned).findings.some(({ code }) => code === 'edit-circle-across')).toBe(false);
  });

  it('is refused with the reason where a nail’s own order stands against it, and for a load', () => {
    const coats = before.rounds
      .map((round, i) => ({ round, i }))
      .filter(({ round }) => round.kind === 'work' && round.nails.includes('left-ring'));
    const made = pinned(set, before, coats.at(-1)!.i, coats[0]!.i);
    expect(made.ok).toBe(false);
    if (!made.ok) expect(made.faults[0]!.message).toMatch(/comes after .* on one nail/);
    const load = before.rounds.findIndex(({ kind }) => kind === 'load');
    expect(pinned(set, before, load, 0)).toMatchObject({ ok: false });
    expect(pinned(set, before, 0, 0)).toMatchObject({ ok: false });
  });
});
