import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { newSet } from '../starter/newSet';
import { lengthened, shaped } from './lengthen';
import { lengthPast_mm } from './lengths';

function after(set: SetDocument, change: Change): SetDocument {
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return next.value;
}
const inTips = () =>
  after(newSet('matinee', 'Matinée'), { kind: 'use-build', nails: [...NAILS], build: 'tips' });

describe('length and shape in one action', () => {
  it('all ten in tips: the tips themselves, and their name says so', () => {
    const start = after(inTips(), { kind: 'nail', nails: ['left-ring'], put: { own_free_mm: 12 } });
    const set = after(start, lengthened(start, NAILS, 6));
    expect(NAILS.map((name) => lengthPast_mm(set, name))).toEqual(NAILS.map(() => 6));
    const almond = after(set, shaped(set, NAILS, 'almond'));
    expect(almond.builds.find((one) => one.id === 'tips')!.name).toMatch(/medium almond$/);
    expect(NAILS.every((name) => almond.nails[name].own_free_mm === null)).toBe(true);
  });

  it('some of them: those alone', () => {
    const start = inTips();
    const set = after(start, lengthened(start, ['left-ring', 'right-ring'], 14));
    expect(NAILS.filter((name) => lengthPast_mm(set, name) === 14)).toEqual(['left-ring', 'right-ring']);
    const square = after(start, shaped(start, ['left-ring'], 'square'));
    expect(square.nails['left-ring'].own_shape).toBe('square');
    expect(square.builds).toEqual(start.builds);
  });

  it('grown nails by their free edge, tips by their length, chosen together', () => {
    const start = after(newSet('matinee', 'Matinée'), {
      kind: 'use-build',
      nails: ['left-thumb'],
      build: 'tips',
    });
    const set = after(start, lengthened(start, NAILS, 5));
    expect(NAILS.map((name) => lengthPast_mm(set, name))).toEqual(NAILS.map(() => 5));
    expect(set.nails['left-index'].plate.free_edge_mm).toBe(5);
    expect(set.nails['left-thumb'].plate.free_edge_mm).toBe(start.nails['left-thumb'].plate.free_edge_mm);
  });
});
