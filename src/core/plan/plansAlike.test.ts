import { DEMO_SETS } from '../demo';
import { applyUnchecked, type Change } from '../document/changes';
import { plansAlike } from './plansAlike';
import { planSet } from './planSet';

const set = DEMO_SETS[0]!.make();
const QUICK = { effort: { iterations: 0 }, fixes: false } as const;

it.each<Change>([
  { kind: 'rename', title: 'Another' },
  { kind: 'skin', skin: '#604030' },
  { kind: 'appoint', appointment: { on: '2026-12-04', at: '19:30' } },
  { kind: 'state', state: 'begun' },
])('$kind changes nothing of a plan', (change) => {
  const after = applyUnchecked(set, change);
  expect(plansAlike(set, after)).toBe(true);
  expect(planSet(after, QUICK)).toEqual(planSet(set, QUICK));
});

it.each<Change>([
  { kind: 'in-work', nails: ['left-ring'], in_work: false },
  { kind: 'practice', practice: { pace: 'practised' } },
  { kind: 'add-edit', edit: { kind: 'skip', a: 'left-ring/seal/coat#1' } },
  { kind: 'remove-look', look: set.looks[0]!.id },
  { kind: 'remove-tips', box: set.kit.tips[0]!.id },
])('$kind may', (change) => {
  expect(plansAlike(set, applyUnchecked(set, change))).toBe(false);
});
