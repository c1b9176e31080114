import { difference } from '../colour/space';
import { buildKindOf, type Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import { curtainUp } from '../demo/curtainUp';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { outlineDistance_mm } from '../geometry/frame';
import { NAILS } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { planSet } from '../plan/planSet';
import { factsOf } from '../testing/facts';
import { codesOn, element, findingsOn, QUICK, setWearing } from '../testing/sets';
import { checkSitting } from '../testing/sittingChecker';
import { cellX, cellY } from './field';
import { thickness_um } from './layers';
import { pileColours } from './pile';

const SMILE = { rise_mm: 0, depth_mm: 2.5, tilt_mm: 0 };
const sheer = element('colour', { product: 'blush-sheer' });
const tipColour = element('colour', {
  id: 'tip-colour',
  product: 'ember-12',
  region: { kind: 'tip', smile: SMILE },
});
const clearPieces = element('inlay', {
  pieces: element('inlay').pieces.map((piece) => ({ ...piece, metallic: false, width_mm: 1.2 })),
});

const tips = (elements: Element[], over: object = {}, edits: Edit[] = []): SetDocument =>
  setWearing(elements, (set) => {
    set.builds.push({ ...buildKindOf('soft-gel-tip').fresh('test'), ...over } as Build);
    set.nails['left-ring'].build = 'test';
    set.edits = edits;
  });

/** Colours seen from above, well inside the outline. */
function seen(set: SetDocument, only: (y: number, bed_mm: number) => boolean = () => true) {
  const { field } = planNail(set, 'left-ring').nominal;
  const colourAt = pileColours(field, (id) => set.kit.products.find((one) => one.id === id)!);
  const cells = [...field.grid.inside.keys()].filter((cell) => {
    const [x, y] = [field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!];
    return (
      field.grid.inside[cell] && outlineDistance_mm(field.frame, x, y) > 0.8 && only(y, field.frame.bed_mm)
    );
  });
  return cells.map((cell) => colourAt(field.grid.x[cellX(cell)]!, field.grid.y[cellY(cell)]!));
}
const mean = (values: number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;

describe('art inside a tip', () => {
  it.each<[string, Element[]]>([
    ['a sheer under pieces', [sheer, clearPieces]],
    ['a sheer, a tip beyond the smile line, pieces over both', [sheer, tipColour, clearPieces]],
    ['a fade', [element('ombre')]],
    ['a French with its liner over a colour', [element('colour'), element('french')]],
  ])('shows from outside what it shows built upward: %s', (_what, elements) => {
    const inside = seen(tips(elements, { art: 'inside' }));
    const above = seen(tips(elements));
    const off = inside.map((colour, i) => difference(colour, above[i]!));
    // Two films may end a hair apart at their edges; nowhere else is there a difference to see.
    expect(mean(off)).toBeLessThan(0.5);
    expect(off.filter((one) => one > 3).length / off.length).toBeLessThan(0.05);
  });

  it('shows the same whether its pieces are laid at once or half by half', () => {
    const atOnce = seen(tips([sheer, clearPieces], { art: 'inside' }));
    const halves = seen(tips([sheer, clearPieces], { art: 'halves' }));
    expect(mean(halves.map((colour, i) => difference(colour, atOnce[i]!)))).toBeLessThan(0.5);
    expect(codesOn(tips([sheer, clearPieces], { art: 'halves' }))).toEqual([]);
  });

  it('is laid from its top to its ground, closed, and only then pressed on', () => {
    const { compiled } = planNail(tips([sheer, clearPieces], { art: 'inside' }), 'left-ring');
    const steps = compiled.operations.map((one) => `${one.element}/${one.step}`);
    const order = [
      'build/etch',
      'inlay/place',
      'colour/coat',
      'body/close',
      'prep/sanitise',
      'build/press-on',
    ];
    const at = order.map((step) => steps.indexOf(step));
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at[0]).toBeGreaterThan(0);
    const inTip = compiled.operations.filter((one) => one.in_tip);
    expect(inTip.every((one) => one.words.endsWith('inside the tip'))).toBe(true);
  });

  it('is quiet where light gets through, and no thicker than a card at the edge', () => {
    const set = tips([sheer, clearPieces], { art: 'inside' });
    expect(codesOn(set)).toEqual([]);
    const { field } = planNail(set, 'left-ring').nominal;
    const edge = [...field.grid.inside.keys()].filter(
      (cell) => field.grid.inside[cell] && field.grid.y[cellY(cell)]! > field.frame.length_mm - 2,
    );
    expect(mean(edge.map((cell) => thickness_um(field, cell)))).toBeLessThan(760);
  });

  it('wants more light through darker films, and is told where none of it is enough', () => {
    const cure_s = (elements: Element[], over: object = { art: 'inside' }) =>
      planNail(tips(elements, over), 'left-ring').compiled.operations.find((one) => one.step === 'cure-tip')!
        .lamp!.seconds;
    expect(cure_s([sheer], { art: 'above' })).toBe(60);
    expect(cure_s([sheer])).toBeGreaterThan(60);
    expect(cure_s([element('colour')])).toBeGreaterThan(cure_s([sheer]));
    const dark = tips([element('colour', { passes: 5 })], { art: 'inside' });
    const told = findingsOn(dark).find((one) => one.code === 'under-cured');
    expect(told?.message).toContain('Press the tip on');
    expect(told?.tries[0]?.words).toBe('Lay colour and pieces on the tip instead');
    expect(told?.tries[0]?.change).toMatchObject({ kind: 'put-build', build: { art: 'above' } });
  });

  const at = (id: string) => `left-ring/${id}`;
  const skip = (...ids: string[]): Edit[] => ids.map((id) => ({ kind: 'skip', a: at(id) }));
  it.each<[wrong: string, over: object, edits: Edit[], code: string]>([
    ['its inside keeps its shine', { art: 'inside' }, skip('build/etch#1'), 'no-grip'],
    [
      'dust stays in it',
      { art: 'inside' },
      skip('build/etch-brush#1', 'build/etch-clean#1'),
      'dust-under-layer',
    ],
    ['the second half is laid without its bed', { art: 'halves' }, skip('body/bed#2'), 'needs-wet'],
    ['it is pressed on with its art wet', { art: 'inside' }, skip('body/cure-close#1'), 'uncured-covered'],
    [
      'the hollow is filled before the tip is fixed',
      { filler: 'cover-a' },
      [{ kind: 'move', a: at('build/fill-tip#1'), side: 'before', b: at('build/cure-tip#1') }],
      'uncured-covered',
    ],
    [
      'the filler never sees the lamp',
      { filler: 'cover-a' },
      skip('build/cure-fill#1', 'top/cure#1'),
      'under-cured',
    ],
  ])('is told where %s', (_wrong, over, edits, code) => {
    expect(codesOn(tips([sheer, clearPieces], over, edits))).toContain(code);
  });

  it('is all done before the hands come to the table, and its sitting keeps every rule', () => {
    const set = curtainUp();
    set.builds.push({ ...buildKindOf('soft-gel-tip').fresh('inside'), art: 'inside' } as Build);
    for (const nail of NAILS) {
      set.nails[nail].build = 'inside';
      set.nails[nail].look = null;
    }
    set.looks = [{ id: 'only', name: 'Only', key: 'a', elements: [sheer, clearPieces] }];
    for (const nail of NAILS) Object.assign(set.nails[nail], { look: 'only', changes: [] });
    // Ten beds of pieces want some search until none of them waits too long.
    const plan = planSet(set, QUICK);
    expect(plan.findings.filter((one) => one.severity === 'stop')).toEqual([]);
    expect(checkSitting(factsOf(set, plan))).toEqual([]);
    const starts = new Map(plan.sitting.strokes.map((stroke) => [stroke.operation, stroke.start_s]));
    const inTip = NAILS.flatMap((nail) => plan.operations[nail]).filter(
      (one) => one.in_tip && starts.has(one.id),
    );
    const seated = Math.min(...NAILS.map((nail) => starts.get(`${nail}/prep/sanitise#1`)!));
    expect(inTip.length).toBeGreaterThan(50);
    expect(Math.max(...inTip.map((one) => starts.get(one.id)!))).toBeLessThan(seated);
  });
});

describe('a filled tip', () => {
  it('shows its filler through the free edge, and only there', () => {
    const free = (set: SetDocument) => seen(set, (y, bed_mm) => y > bed_mm + 2);
    const bed = (set: SetDocument) => seen(set, (y, bed_mm) => y < bed_mm - 2);
    const [plain, filled] = [tips([]), tips([], { filler: 'cover-a' })];
    const off = (of: typeof free) => {
      const before = of(plain);
      return mean(of(filled).map((colour, i) => difference(colour, before[i]!)));
    };
    expect(off(free)).toBeGreaterThan(4);
    expect(off(bed)).toBe(0);
  });
});
