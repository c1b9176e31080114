import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { newSet } from '../starter/newSet';
import { equalLengths, lengthPast_mm } from './lengths';

const applied = (set: SetDocument, nails: readonly NailName[], by: 'mm' | 'share') => {
  const next = applyChange(set, equalLengths(set, nails, by));
  if (!next.ok) throw new Error('refused');
  return nails.map((nail) => ({
    past: lengthPast_mm(next.value, nail),
    share: lengthPast_mm(next.value, nail) / next.value.nails[nail].plate.bed_mm,
  }));
};
const tips = () => {
  const set = newSet('a', 'A');
  NAILS.forEach((name, i) => Object.assign(set.nails[name], { build: 'tips', own_free_mm: 6 + i }));
  return set;
};

describe('lengths that look equal', () => {
  it('of made nails meet in the middle, in mm or by share of the bed', () => {
    for (const { past } of applied(tips(), NAILS, 'mm')) expect(past).toBe(10.5);
    const shares = applied(tips(), NAILS, 'share').map((one) => one.share);
    expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(0.02);
    expect(applied(tips(), NAILS, 'share')[0]!.past).toBeLessThan(applied(tips(), NAILS, 'share')[2]!.past);
  });

  it('of own nails are filed to the shortest, never made longer', () => {
    const set = newSet('a', 'A');
    NAILS.forEach((name, i) => (set.nails[name].plate.free_edge_mm = 2 + i / 4));
    for (const { past } of applied(set, NAILS, 'mm')) expect(past).toBe(2);
    applied(set, NAILS, 'share').forEach(({ past }, i) => expect(past).toBeLessThanOrEqual(2 + i / 4 + 0.05));
  });

  it('touch only the nails that are asked for', () => {
    const next = applyChange(tips(), equalLengths(tips(), ['left-ring', 'right-ring'], 'mm'));
    if (!next.ok) throw new Error('refused');
    expect(next.value.nails['left-thumb']).toEqual(tips().nails['left-thumb']);
  });
});
