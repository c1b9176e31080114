import { nailsOf } from '../judge/finding';
import type { Edit } from '../document/edits';
import type { SetDocument } from '../document/document';
import { element, setWearing, QUICK } from '../testing/sets';
import { planSet } from './planSet';

const wearing = (edits: Edit[]): SetDocument =>
  setWearing([element('colour')], (set) => {
    set.edits = edits;
  });
/** When an operation begins and ends, by hand or in a lamp. */
function when(set: SetDocument, id: string): { start_s: number; end_s: number } {
  const { sitting } = planSet(set, QUICK);
  return (
    sitting.strokes.find((stroke) => stroke.operation === id) ??
    sitting.loads.find((load) => load.operations.includes(id))!
  );
}

describe('a statement across two nails', () => {
  it('is kept by the sitting, whichever hands they are on', () => {
    const pairs: [string, string][] = [
      ['right-ring/colour/cure#2', 'left-thumb/build/base#1'],
      ['left-little/top/cure#1', 'left-index/colour/coat#1'],
      ['right-thumb/prep/buff#1', 'left-little/prep/push-back#1'],
    ];
    for (const [a, b] of pairs) {
      const set = wearing([{ kind: 'before', a, b }]);
      expect(when(set, a).end_s).toBeLessThanOrEqual(when(set, b).start_s + 1e-6);
      const { findings, operations } = planSet(set, QUICK);
      expect(findings.map((finding) => finding.code)).not.toContain('edit-circle-across');
      // No nail's own order is disturbed.
      expect(operations).toEqual(planSet(wearing([]), QUICK).operations);
    }
  });

  it('that contradicts the nails’ own order is said and left out', () => {
    const set = wearing([
      { kind: 'before', a: 'right-ring/top/coat#1', b: 'left-ring/build/base#1' },
      { kind: 'before', a: 'left-ring/top/coat#1', b: 'right-ring/build/base#1' },
    ]);
    const told = planSet(set, QUICK).findings.filter((finding) => finding.code === 'edit-circle-across');
    expect(told).toHaveLength(1);
    expect(when(set, 'right-ring/top/coat#1').end_s).toBeLessThanOrEqual(
      when(set, 'left-ring/build/base#1').start_s + 1e-6,
    );
  });

  it('about a step that is not done, a nail that is none, or a move between nails is said', () => {
    const codes = (edit: Edit) => planSet(wearing([edit]), QUICK).findings.map((finding) => finding.code);
    expect(codes({ kind: 'before', a: 'left-ring/ghost/coat#1', b: 'right-ring/top/coat#1' })).toEqual([
      'edit-nowhere',
    ]);
    expect(codes({ kind: 'skip', a: 'left-toe/top/coat#1' })).toEqual(['edit-nowhere']);
    expect(
      codes({ kind: 'move', a: 'left-ring/top/coat#1', side: 'after', b: 'right-ring/top/coat#1' }),
    ).toEqual(['edit-nowhere']);
  });
});

describe('what hardens by itself', () => {
  const lacquer = (over: object = {}) =>
    setWearing([element('colour', { product: 'red-lacquer', passes: 2 })], (set) => {
      set.kit.products.push({
        id: 'red-lacquer',
        name: 'Red lacquer',
        family: 'lacquer',
        coat_um: 30,
        colour: '#a3162b',
        coats_to_cover: 2,
        dry_s: 180,
        ...over,
      });
      // Lacquer goes on the clean plate, no base below it, no lamp above.
      const natural = set.builds.find((build) => build.id === 'natural')!;
      if (natural.kind === 'natural-gel') natural.base = 'none';
    });

  it('needs no lamp, only its time', () => {
    const { operations, findings } = planSet(lacquer(), QUICK);
    const coats = operations['left-ring'].filter((one) => one.element === 'colour');
    expect(coats.map((one) => [one.verb, one.wait_s])).toEqual([
      ['coat', 180],
      ['coat', 180],
    ]);
    expect(findings.map((finding) => finding.code)).not.toContain('under-cured');
    expect(findings.map((finding) => finding.code)).not.toContain('uncured-covered');
  });

  it('and gel over it has no grip', () => {
    const set = lacquer();
    set.looks[0]!.elements.push(element('french', { liner: null }));
    expect(planSet(set, QUICK).findings.map((finding) => finding.code)).toContain('no-grip');
  });

  it('a lamp product without lamp data takes the guide, and says so', () => {
    const set = setWearing([element('colour')]);
    delete set.kit.products.find((product) => product.id === 'velvet-04')!.lamp;
    const { operations, findings } = planSet(set, QUICK);
    expect(operations['left-ring'].find((one) => one.id.endsWith('colour/cure#1'))!.lamp!.seconds).toBe(60);
    expect(findings.map((finding) => [finding.code, finding.severity])).toEqual([['no-direction', 'note']]);
  });
});

describe('work left out that only days would tell of', () => {
  it.each([
    ['prep/push-back#1', 'warn'],
    ['prep/prime#1', 'warn'],
    ['prep/ready-tip#1', 'stop'],
    ['top/coat#1', 'stop'],
  ])('%s: %s', (step, severity) => {
    const set = setWearing([element('colour')], (one) => {
      one.nails['left-ring'].build = 'tips';
      one.edits = [{ kind: 'skip', a: `left-ring/${step}` }];
    });
    const [finding] = planSet(set, QUICK).findings;
    expect(finding).toMatchObject({ nail: 'left-ring', severity });
    expect(['work-left-out', 'no-top']).toContain(finding!.code);
  });

  it('a practice without primer misses none', () => {
    const set = setWearing([element('colour')], (one) => (one.practice.primer = 'none'));
    const plan = planSet(set, QUICK);
    expect(plan.operations['left-ring'].some((one) => one.verb === 'prime')).toBe(false);
    expect(plan.findings).toEqual([]);
  });
});

describe('under metal', () => {
  it('gel stays soft but for a rim of about one depth of light; glue sets in the dark', () => {
    const charm = (bedding: 'gel' | 'glue', metallic: boolean) =>
      planSet(
        setWearing([
          element('colour'),
          element('charm', { bedding, metallic, width_mm: 6, length_mm: 4, along: 0.8 }),
        ]),
        QUICK,
      ).findings.filter((finding) => nailsOf(finding).includes('left-middle'));
    const [soft] = charm('gel', true);
    expect(soft).toMatchObject({ code: 'shaded-cure', severity: 'warn' });
    // An ellipse of 6 × 4 mm has 18.8 mm²; a rim of some tenths of a millimetre is off it.
    expect(soft!.figure!.value).toBeGreaterThan(4);
    expect(soft!.figure!.value).toBeLessThan(17);
    expect(charm('gel', false)).toEqual([]);
    expect(charm('glue', true)).toEqual([]);
  });
});
