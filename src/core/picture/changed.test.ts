import fc from 'fast-check';
import { curtainUp } from '../demo/curtainUp';
import type { SetDocument } from '../document/document';
import { planNail } from '../plan/nailPlan';
import { element, setWearing } from '../testing/sets';
import { changedBox } from './changed';
import { drawNail } from './nailPicture';

const PX = 6;
const NAIL = 'left-ring';
const product = (id: string) => curtainUp().kit.products.find((one) => one.id === id)!;
const fieldOf = (set: SetDocument) => planNail(set, NAIL).nominal.field;

const piece = { shape: 'leaf', width_mm: 2, length_mm: 2.4 } as const;
const inlaid = (across: number, along: number) =>
  setWearing([
    element('colour'),
    element('inlay', {
      pieces: [{ ...element('inlay').pieces[0]!, ...piece, across, along, turn_deg: 0 }],
    }),
  ]);
const wearing = (across: number, along: number, size_mm: number) =>
  setWearing([
    element('colour', { product: 'plum-07' }),
    element('charm', { across, along, width_mm: size_mm, length_mm: size_mm }),
  ]);

/** The picture of `after`, drawn over that of `before`, and both of them whole. */
function drawnOver(before: SetDocument, after: SetDocument) {
  const [was, is] = [fieldOf(before), fieldOf(after)];
  const box = changedBox({ field: was, product }, { field: is, product })!;
  const old = drawNail(was, product, PX);
  return {
    box,
    old,
    whole: drawNail(is, product, PX),
    patched: drawNail(is, product, PX, 0, { onto: old.data, box }),
  };
}

/** The largest difference of a channel between two pictures, and the share of bytes that differ by more than a few. */
function difference(a: Uint8ClampedArray, b: Uint8ClampedArray) {
  let worst = 0;
  let off = 0;
  a.forEach((value, i) => {
    const by = Math.abs(value - b[i]!);
    worst = Math.max(worst, by);
    if (by > 6) off += 1;
  });
  return { worst, off: off / a.length };
}

describe('drawing only what has changed', () => {
  it('draws nothing where nothing has', () => {
    const { box, patched, old } = drawnOver(inlaid(0, 0.8), inlaid(0, 0.8));
    expect(box.left).toBeGreaterThan(box.right);
    expect(patched.data).toEqual(old.data);
  });

  it('follows a piece wherever it goes: the same picture but for how the gel far from it lies', () => {
    const place = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    const along = fc.double({ min: 0.4, max: 1.2, noNaN: true });
    fc.assert(
      fc.property(place, along, place, along, (a, b, c, d) => {
        const { patched, whole, old } = drawnOver(inlaid(a, b), inlaid(c, d));
        // The old picture alone would not do.
        if (Math.hypot(a - c, b - d) > 0.2)
          expect(difference(old.data, whole.data).off).toBeGreaterThan(0.003);
        expect(difference(patched.data, whole.data).off).toBeLessThan(0.002);
      }),
      { numRuns: 12 },
    );
  });

  it('clears what stood over the edge and has gone', () => {
    const { patched, whole } = drawnOver(wearing(0.9, 0.7, 6), wearing(-0.9, 0.7, 6));
    expect(difference(patched.data, whole.data).off).toBeLessThan(0.004);
  });

  it.each([
    ['a film has come', inlaid(0, 0.8), setWearing([element('colour')])],
    ['the nail is longer', inlaid(0, 0.8), longer(inlaid(0, 0.8))],
  ])('does not know where, once %s', (_, before, after) => {
    expect(
      changedBox({ field: fieldOf(before), product }, { field: fieldOf(after), product }),
    ).toBeUndefined();
  });

  it('draws all of it where a colour has changed under the same name', () => {
    const field = fieldOf(inlaid(0, 0.8));
    const other = (id: string) => ({ ...product(id), colour: '#123456' });
    const box = changedBox({ field, product }, { field, product: other })!;
    expect(box.right - box.left).toBeGreaterThan(field.frame.arc_mm);
  });
});

function longer(set: SetDocument): SetDocument {
  const nail = set.nails[NAIL];
  return { ...set, nails: { ...set.nails, [NAIL]: { ...nail, own_free_mm: 14 } } };
}
