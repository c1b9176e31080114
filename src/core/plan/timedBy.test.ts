import { matinee } from '../demo/matinee';
import { QUICK } from '../testing/sets';
import { planSet } from './planSet';
import { timedBy } from './timedBy';

it('a plan says how much of its hand work is timed by the artist’s own times, and none where none are known', () => {
  const set = matinee();
  const all = (own_times?: typeof set.practice.own_times) =>
    Object.values(
      planSet(own_times ? { ...set, practice: { ...set.practice, own_times } } : set, QUICK).operations,
    ).flat();
  const plain = timedBy(all());
  expect(plain.own_s).toBe(0);
  // Base is the half as quick: what is known of it goes before the pace, all else stays.
  const own = timedBy(all([{ work: 'base', share: 2, from: 1.8, to: 2.2, times: 5 }]));
  const based = all()
    .filter(({ verb }) => verb === 'base')
    .reduce((sum, { hand_s }) => sum + hand_s, 0);
  expect(own.own_s).toBeGreaterThan(1.9 * based);
  expect(own.guide_s).toBe(plain.guide_s - based);
});
