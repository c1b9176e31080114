import { curveOf } from '../../geometry/curve';
import { NAILS, type NailName } from '../../model/names';
import type { Element } from '../../craft/techniques';
import { NAIL_RULES, SET_RULES } from './index';
import { contrastOnNail } from './hiding';
import { CARD_MM, THIN_MM } from './freeEdge';
import { clearToCover_mm } from '../../geometry/curve';
import { applyChange } from '../../document/changes';
import type { SetDocument } from '../../document/document';
import type { TipBox } from '../../model/product';
import { boxesThatServe } from './tipSize';
import { planNail } from '../../plan/nailPlan';
import { planSet } from '../../plan/planSet';
import { codesOn, element, findingsOn, QUICK, setWearing } from '../../testing/sets';

const find = (set: SetDocument, code: string) => {
  const finding = findingsOn(set).find((one) => one.code === code);
  expect(finding).toBeDefined();
  return finding!;
};
const piece = (over: Partial<Extract<Element, { kind: 'inlay' }>['pieces'][number]> = {}) => ({
  ...element('inlay').pieces[0]!,
  across: 0,
  along: 0.7,
  turn_deg: 0,
  ...over,
});
const inlaid = (over: Partial<Extract<Element, { kind: 'inlay' }>>) =>
  setWearing([element('colour'), element('inlay', { cap_um: 500, ...over })]);

const codesIn = (plan: Pick<ReturnType<typeof planSet>, 'findings'>) => plan.findings.map((one) => one.code);

describe('the rules', () => {
  it('are at least fifteen judgements, each with a code of its own', () => {
    const codes = [...NAIL_RULES, ...SET_RULES].flatMap((rule) => rule.codes);
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes.length).toBeGreaterThanOrEqual(25);
  });

  it('have nothing to say about a right plan', () => {
    expect(codesOn(setWearing([element('colour'), element('crystals')]))).toEqual([]);
    expect(codesOn(inlaid({}))).toEqual([]);
  });

  it('piece-proud: a stiff piece stands as the circle says, and the offered cap lays it under', () => {
    const set = inlaid({
      fit: 'keep',
      pieces: [piece({ width_mm: 4.5, length_mm: 4.5, thickness_mm: 0.3, stiffness: 1 })],
      cap_um: 300,
    });
    const finding = find(set, 'piece-proud');
    // The typical ring finger: chord 11.2, arch 2.5, curve along 60 mm.
    const radius_mm = 11.2 ** 2 / (8 * 2.5) + 2.5 / 2;
    const stands_um = 1000 * (clearToCover_mm(4.5, 0.3, radius_mm) + 4.5 ** 2 / (8 * 60));
    // The cap reaches at most its own thickness, so what is missing is at least the difference.
    expect(finding.figure!.value).toBeGreaterThanOrEqual(stands_um - 300 - 1);
    const mended = applyChange(set, finding.tries.at(-1)!.change);
    expect(mended.ok && codesOn(mended.value)).not.toContain('piece-proud');
  });

  it('cap-thin: less clear than the file takes; mended by its fix', () => {
    const set = inlaid({ cap_um: 200, filing_um: 120 });
    const finding = find(set, 'cap-thin');
    expect(finding.figure!.value).toBeLessThan(120);
    expect(finding.tries[0]!.words).toMatch(/^Lay the cap/);
    const mended = applyChange(set, finding.tries[0]!.change);
    expect(mended.ok && codesOn(mended.value)).not.toContain('cap-thin');
  });

  it('thick-under-inlay: base, two coats and a heavy bed summed', () => {
    expect(find(inlaid({ bed_um: 420 }), 'thick-under-inlay').figure!.value).toBe(60 + 90 + 420);
  });

  it('not-sealed: pieces at the edge that no film covers', () => {
    const set = inlaid({ pieces: [piece({ along: 0.015, length_mm: 3, thickness_mm: 0.02 })] });
    expect(codesOn(set)).toContain('not-sealed');
    expect(codesOn(set)).toContain('off-the-plate');
  });

  it('too-large and pieces-overlap: by their own sizes', () => {
    const large = setWearing([element('colour'), element('charm', { width_mm: 14, length_mm: 5 })]);
    expect(find(large, 'too-large').figure!.value).toBe(14);
    const over = setWearing([element('charm', { id: 'a' }), element('charm', { id: 'b', along: 0.85 })]);
    expect(codesOn(over)).toContain('pieces-overlap');
    const beside = setWearing([
      element('charm', { id: 'a', along: 0.4, length_mm: 2 }),
      element('charm', { id: 'b', along: 1.1, length_mm: 2 }),
    ]);
    expect(codesOn(beside)).not.toContain('pieces-overlap');
  });

  it('region-off-the-plate: a motif drawn past the sidewall', () => {
    const set = setWearing([
      element('colour'),
      element('finish', {
        id: 'spot',
        region: { kind: 'oval', across: 0.9, along: 0.5, width_mm: 7, length_mm: 4, turn_deg: 0 },
      }),
    ]);
    expect(codesOn(set)).toContain('region-off-the-plate');
  });

  it('see-through: one coat of a three-coat colour, and its fix covers', () => {
    const set = setWearing([element('colour', { product: 'ivory-02', passes: 1 })]);
    const finding = find(set, 'see-through');
    const ivory = set.kit.products.find((product) => product.id === 'ivory-02')!;
    expect(finding.figure!.value).toBeCloseTo(contrastOnNail(ivory, 45), 3);
    expect(contrastOnNail(ivory, 3 * 45)).toBeGreaterThanOrEqual(0.98 - 1e-6);
    const mended = applyChange(set, finding.fix!.change);
    expect(mended.ok && codesOn(mended.value)).toEqual([]);
  });

  it('see-through: not said of a sheer, which is meant to show its ground', () => {
    expect(codesOn(setWearing([element('colour', { product: 'blush-sheer', passes: 1 })]))).toEqual([]);
  });

  it('lost-in-ground: a piece and a liner of the tone beneath', () => {
    expect(codesOn(inlaid({ pieces: [piece({ colour: '#4b1024' })] }))).toContain('lost-in-ground');
    expect(codesOn(inlaid({ pieces: [piece({ colour: '#e8c66a' })] }))).not.toContain('lost-in-ground');
    const french = (liner: string) =>
      setWearing([
        element('colour', { product: 'velvet-04' }),
        element('french', { product: 'velvet-04', liner: { product: liner, width_mm: 0.5 } }),
      ]);
    expect(codesOn(french('velvet-04'))).toContain('lost-in-ground');
    expect(codesOn(french('gilt-liner'))).not.toContain('lost-in-ground');
  });

  it('muddy-middle: far-apart hues lose their colour, near ones keep it, a bridge helps', () => {
    const fade = (...products: string[]) =>
      setWearing([
        element('ombre', {
          stops: products.map((product, i) => ({ product, at: i / (products.length - 1) })),
          passes: 3,
        }),
      ]);
    expect(codesOn(fade('lemon-05', 'violet-09'))).toContain('muddy-middle');
    expect(codesOn(fade('amber-11', 'ember-12'))).not.toContain('muddy-middle');
    expect(codesOn(fade('amber-11', 'ember-12', 'plum-07'))).not.toContain('muddy-middle');
  });

  it('the free edge: a bank card is the limit for a medium length (ISO/IEC 7810, ID-1: 0.76 mm)', () => {
    expect([CARD_MM, THIN_MM]).toEqual([0.76, 0.3]);
    const plate = (thickness_mm: number) =>
      setWearing([element('colour')], (set) => (set.nails['left-ring'].plate.thickness_mm = thickness_mm));
    // Films over it: base 60, two coats of 45, top 80 µm.
    expect(codesOn(plate(0.52))).toEqual([]);
    expect(find(plate(0.6), 'edge-thick').figure!.value).toBeCloseTo(0.83, 2);
    expect(codesOn(plate(0.1))).not.toContain('edge-thick');
    const bare = setWearing([], (set) => (set.nails['left-ring'].plate.thickness_mm = 0.12));
    expect(find(bare, 'edge-thin').figure!.value).toBeCloseTo(0.26, 2);
  });

  it('heat: a thick cap, sooner on a thin plate', () => {
    expect(codesOn(inlaid({ cap_um: 800 }))).toContain('heat');
    const thin = inlaid({ cap_um: 500 });
    expect(codesOn(thin)).not.toContain('heat');
    thin.nails['left-ring'].conditions = ['thin'];
    expect(codesOn(thin)).toContain('heat');
  });

  it('hot-load: more than two thick layers hardened at once, sooner on thin plates', () => {
    const told = (change: (set: SetDocument) => void) => {
      const set = inlaid({ cap_um: 500 });
      set.practice.thumbs = 'with-fingers';
      change(set);
      return planSet(set, QUICK).findings.find((one) => one.code === 'hot-load');
    };
    // All five of a hand in one load: how many, which, and what to do.
    expect(told(() => undefined)).toMatchObject({ severity: 'note', figure: { limit: 2 } });
    expect(told(() => undefined)!.reason).toContain('a few seconds at a time');
    // Two nails a hand, or thin layers, are borne.
    const two = (set: SetDocument) => {
      for (const nail of NAILS) set.nails[nail].in_work = nail.endsWith('ring') || nail.endsWith('middle');
    };
    expect(told(two)).toBeUndefined();
    const thinner = (set: SetDocument) => {
      for (const one of set.looks[0]!.elements) if (one.kind === 'inlay') one.cap_um = 300;
    };
    expect(told(thinner)).toBeUndefined();
    expect(
      told((set) => {
        thinner(set);
        for (const nail of NAILS) set.nails[nail].conditions = ['thin'];
      }),
    ).toBeDefined();
  });

  it('oil-early: one nail oiled before another is sealed, by the artist’s own order', () => {
    const set = setWearing([element('colour')]);
    const early = () => planSet(set, QUICK).findings.filter((one) => one.code === 'oil-early');
    expect(early()).toEqual([]);
    set.edits = [{ kind: 'before', a: 'left-ring/care/oil#1', b: 'right-ring/top/coat#1' }];
    const [finding, ...rest] = early();
    expect(rest).toEqual([]);
    expect(finding).toMatchObject({ severity: 'warn', nail: 'left-ring', operation: 'left-ring/care/oil#1' });
  });

  it('left-sticky: a wipe top that nobody wiped', () => {
    const set = setWearing([element('colour')]);
    set.kit.products.find((product) => product.id === 'top-a')!.family = 'top-wipe';
    expect(codesOn(set)).toEqual([]);
    set.edits = [{ kind: 'skip', a: 'left-ring/top/wipe#1' }];
    expect(codesOn(set)).toContain('left-sticky');
  });

  it('tip-misfit: of the boxes at hand those that serve, of the nail’s own curve first', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    const [own] = set.kit.tips;
    const box = (id: string, curve: TipBox['curve'], arcs: readonly number[], half = false): TipBox => ({
      id,
      name: id,
      curve,
      half,
      sizes: arcs.map((arc_mm, size) => ({ size, arc_mm, count: 1 })),
    });
    set.kit.tips = [{ ...own!, sizes: own!.sizes.map((one) => ({ ...one, count: 0 })) }];
    const boxes = [
      box('too-narrow', 'normal', [8, 9]),
      box('too-wide', 'normal', [19]),
      box('strong', 'strong', [12.7]),
      box('wide', 'normal', [13.4]),
      box('close', 'normal', [12.8]),
      box('of-half-tips', 'normal', [12.8], true),
      own!,
    ];
    expect(boxesThatServe(set, ['left-ring'], boxes)).toMatchObject([
      { box: { id: 'close' }, otherCurves: 0 },
      { box: { id: 'wide' }, otherCurves: 0 },
      { box: { id: 'strong' }, otherCurves: 1 },
    ]);
    // One tip is none for two nails.
    set.nails['right-ring'].build = 'tips';
    expect(boxesThatServe(set, ['left-ring', 'right-ring'], boxes)).toEqual([]);
  });

  it('tip-misfit: no tip that reaches, or only one far too wide', () => {
    const tips = (widths: number[]) =>
      setWearing([element('colour')], (set) => {
        const sizes = widths.map((width_mm, size) => ({
          size,
          arc_mm: curveOf(width_mm, width_mm * 0.22).arc_mm,
          count: 1,
        }));
        set.kit.tips = [{ id: 'box', name: 'Box', curve: 'normal', sizes }];
        set.nails['left-ring'].build = 'tips';
      });
    const told = (widths: number[]) =>
      planSet(tips(widths), QUICK).findings.filter((one) => one.code.startsWith('tip-'));
    expect(told([11.3])).toEqual([]);
    expect(told([9, 10])).toMatchObject([{ code: 'tip-misfit', severity: 'stop', nail: 'left-ring' }]);
    expect(told([14])).toMatchObject([{ code: 'tip-misfit', severity: 'warn' }]);
    // The last one that fits goes to one nail; the other is told.
    const two = tips([11.3]);
    two.nails['right-ring'].build = 'tips';
    const [short, ...rest] = planSet(two, QUICK).findings.filter((one) => one.code === 'tip-misfit');
    expect(rest).toEqual([]);
    expect(short!.message).toMatch(/^No tip is left in “Box” that reaches/);
    // A strongly curved nail beside a box of flat ones.
    const strong = tips([13]);
    strong.nails['left-ring'].plate.arch_mm = 3.4;
    expect(codesIn(planSet(strong, QUICK))).toContain('tip-curve');
  });

  it('no-grip of mirror powder on a sticky colour, where its top is left out', () => {
    const set = setWearing([
      element('colour'),
      element('colour', { id: 'chrome', product: 'mirror-silver', passes: 1 }),
    ]);
    // The colour is the mirror's ground, and meant to lie under it.
    expect(codesOn(set)).toEqual([]);
    set.edits = ['top', 'cure'].map((step) => ({ kind: 'skip', a: `left-ring/chrome/${step}-under#1` }));
    expect(find(set, 'no-grip').reason).toContain('it wants a hard film, clean, that is slick.');
  });

  it('no grip of gel beads on a slick top, where stones are seated over it: it is keyed; glue holds there', () => {
    const beads = setWearing([element('colour'), element('crystals', { bedding: 'bedded', seat: 'over' })]);
    expect(codesOn(beads)).toEqual([]);
    beads.edits = [{ kind: 'skip', a: 'left-ring/crystals/key-under#1' }];
    expect(codesOn(beads)).toEqual(['no-grip']);
    expect(codesOn(setWearing([element('colour'), element('charm', { bedding: 'glue' })]))).toEqual([]);
  });

  it('art-hidden: told whether the list or the artist’s own order hides it', () => {
    const french = element('french', { liner: null });
    expect(codesOn(setWearing([french, element('colour')]))).toEqual(['art-hidden']);
    const own = setWearing([element('colour', { passes: 1, product: 'plum-07' }), french], (set) => {
      set.edits = [
        { kind: 'move', a: 'left-ring/colour/coat#1', side: 'after', b: 'left-ring/french/cure-tip#2' },
      ];
    });
    expect(codesOn(own)).toContain('art-hidden');
    // A glaze that lets it through hides nothing to speak of.
    const veil = element('colour', { id: 'veil', product: 'blush-sheer', passes: 1 });
    expect(codesOn(setWearing([element('colour'), french, veil]))).toEqual([]);
  });

  it('little-plate: a tip on a bitten nail with a short bed', () => {
    const bitten = (bed_mm: number, build: string) =>
      setWearing([], (set) => {
        const nail = set.nails['left-ring'];
        Object.assign(nail, { build, conditions: ['bitten'], plate: { ...nail.plate, bed_mm } });
      });
    expect(codesOn(bitten(7, 'tips'))).toEqual(['little-plate']);
    expect(codesOn(bitten(9, 'tips'))).toEqual([]);
    expect(codesOn(bitten(7, 'natural'))).toEqual([]);
  });

  it('an oily plate is dehydrated twice, and that is right', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].conditions = ['oily']));
    expect(codesOn(set)).toEqual([]);
    const verbs = planNail(set, 'left-ring').compiled.operations.map((one) => one.verb);
    expect(verbs.filter((verb) => verb === 'dehydrate')).toHaveLength(2);
    expect(verbs.lastIndexOf('dehydrate')).toBeLessThan(verbs.indexOf('prime'));
  });

  it('no-service: broken skin is left out', () => {
    expect(codesOn(setWearing([], (set) => (set.nails['left-ring'].conditions = ['leave-alone'])))).toContain(
      'no-service',
    );
  });

  it('change-lost and change-misfit: a nail’s own changes that no longer fit', () => {
    const set = setWearing([element('colour')]);
    set.nails['left-ring'].changes = [
      { element: 'glitter', leave_off: true },
      { element: 'colour', options: { passes: 'many' } },
    ];
    expect(codesOn(set)).toEqual(['change-lost', 'change-misfit']);
  });

  it('hands-differ: said where the hands are meant alike, mended by its fix', () => {
    const set = setWearing([element('colour')]);
    set.looks.push({ ...set.looks[0]!, id: 'other', key: 'b' });
    set.nails['right-index'].look = 'other';
    const finding = planSet(set).findings.find((one) => one.code === 'hands-differ')!;
    expect(finding.nail).toBe('right-index');
    const mended = applyChange(set, finding.fix!.change);
    expect(mended.ok && planSet(mended.value).findings).toEqual([]);
    set.practice.hands = 'differ';
    expect(planSet(set).findings).toEqual([]);
  });

  it('lengths-differ: a finger longer than its pair, where the hands are meant alike', () => {
    const told = (change: (set: SetDocument) => void) => {
      const set = setWearing([element('colour')], change);
      return planSet(set, QUICK).findings.filter((one) => one.code === 'lengths-differ');
    };
    const long = (set: SetDocument) => (set.nails['right-ring'].plate.free_edge_mm += 1.5);
    expect(told(() => undefined)).toEqual([]);
    expect(told(long)).toMatchObject([{ nail: 'right-ring', severity: 'note', figure: { value: 1.5 } }]);
    expect(
      told((set) => {
        long(set);
        set.practice.hands = 'differ';
      }),
    ).toEqual([]);
  });

  it('no-look: a plain nail beside dressed ones, not a set without any', () => {
    const told = (bare: readonly NailName[]) => {
      const set = setWearing([element('colour')]);
      set.practice.hands = 'differ';
      for (const name of bare) set.nails[name].look = null;
      return planSet(set).findings.filter((one) => one.code === 'no-look');
    };
    expect(told([])).toEqual([]);
    expect(told(['left-ring']).map((one) => [one.nail, one.severity])).toEqual([['left-ring', 'note']]);
    expect(told(NAILS)).toEqual([]);
  });

  it('no-lamp and programme-short: a kit whose light cannot harden what it holds', () => {
    const kit = (lamps: SetDocument['kit']['lamps']) => {
      const set = setWearing([element('colour')], (one) => (one.kit.lamps = lamps));
      return planSet(set, { effort: { iterations: 20 } }).findings;
    };
    const lamp = { id: 'a', name: 'Lamp', programmes_s: [5] };
    const [none] = kit([]);
    expect([none!.code, none!.severity]).toEqual(['no-lamp', 'stop']);
    expect(kit([lamp]).map((one) => one.code)).toEqual(['programme-short']);
    expect(kit([lamp])[0]!.figure).toMatchObject({ value: 12, limit: 4 });
    expect(kit([{ ...lamp, programmes_s: [] }])).toEqual([]);
    // What needs no lamp is not asked for one.
    const lacquered = setWearing([], (one) => {
      one.kit.lamps = [];
      for (const name of NAILS) one.nails[name].in_work = false;
    });
    expect(planSet(lacquered).findings).toEqual([]);
    expect(planSet(lacquered).sitting.total_s).toBe(0);
  });

  it('nails that are not worked on get no steps, no time and no findings', () => {
    const set = setWearing([element('colour', { product: 'ivory-02', passes: 1 })]);
    for (const name of NAILS) set.nails[name].in_work = name === 'left-ring';
    set.nails['left-thumb'].conditions = ['leave-alone'];
    const plan = planSet(set, { effort: { iterations: 20 }, fixes: false });
    expect(NAILS.filter((name) => plan.operations[name].length > 0)).toEqual(['left-ring']);
    expect(plan.findings.map((one) => [one.code, one.nail])).toEqual([['see-through', 'left-ring']]);
    expect(new Set(plan.rounds.flatMap((round) => round.nails))).toEqual(new Set(['left-ring']));
  });
});
