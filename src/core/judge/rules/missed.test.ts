import { buildKindOf, type Build } from '../../craft/builds';
import type { Element } from '../../craft/techniques';
import type { SetDocument } from '../../document/document';
import { applyChange } from '../../document/changes';
import type { Region } from '../../regions';
import { NAILS } from '../../model/names';
import type { Start } from '../../model/start';
import { planNail } from '../../plan/nailPlan';
import { planSet } from '../../plan/planSet';
import { bodyOf } from '../../simulate/strength';
import { codesOn, element, findingsOn, QUICK, setWearing } from '../../testing/sets';

/* What a document says and a practitioner would see at once: each fault by a small set, and the set without it. */

const path = (along: number, width_mm: number): Region => ({
  kind: 'path',
  width_mm,
  points: [
    { across: -0.5, along },
    { across: 0.5, along },
  ],
});
const on = (
  kind: string,
  elements: Element[],
  change: (build: Build, set: SetDocument) => void = () => undefined,
) =>
  setWearing(elements, (set) => {
    const build = buildKindOf(kind).fresh('test') as Build;
    set.builds.push(build);
    for (const nail of NAILS) set.nails[nail].build = 'test';
    change(build, set);
  });
const told = (set: SetDocument, code: string) => findingsOn(set).filter((one) => one.code === code);
const ofSet = (set: SetDocument, code: string) =>
  planSet(set, QUICK).findings.filter((one) => one.code === code);
/** The first way out of a fault, taken. */
const mended = (set: SetDocument, code: string): SetDocument => {
  const next = applyChange(set, told(set, code)[0]!.fix!.change);
  if (!next.ok) throw new Error(next.faults.map((one) => one.message).join());
  return next.value;
};

describe('colour', () => {
  it('the same colour over itself changes nothing, nor does a third coat of what covers in two', () => {
    const twice = setWearing([element('colour', { id: 'one' }), element('colour', { id: 'two' })]);
    expect(told(twice, 'needless-coat')).toMatchObject([{ element: 'two', severity: 'note' }]);
    const thrice = setWearing([element('colour', { passes: 3 })]);
    expect(told(thrice, 'needless-coat')[0]!.fix?.words).toBe('Leave the last coat out');
    expect(codesOn(mended(thrice, 'needless-coat'))).not.toContain('needless-coat');
    expect(codesOn(setWearing([element('colour')]))).toEqual([]);
    // A glaze is seen wherever it lies.
    const glaze = setWearing([
      element('colour'),
      element('colour', { id: 'glaze', product: 'amber-11', passes: 1 }),
    ]);
    expect(codesOn(glaze)).not.toContain('needless-coat');
    // Relief in the colour of its ground is seen by its shape, a flat line of it is not.
    const ground = element('colour', { id: 'ground', product: 'ivory-02' });
    const ridges = element('relief', { product: 'putty-ivory', sugar: true });
    const matte = element('finish', { finish: 'matte' });
    expect(codesOn(setWearing([ground, matte, ridges]))).toEqual([]);
    const line = element('colour', { id: 'line', product: 'ivory-02', region: ridges.region });
    expect(codesOn(setWearing([ground, line]))).toContain('needless-coat');
  });

  it('pale over dark where they cross in one pattern; the other way round it is quiet', () => {
    const dark = element('colour', { id: 'dark', product: 'night-blue', region: path(0.5, 3) });
    const pale = element('colour', { id: 'pale', product: 'ivory-02', region: path(0.6, 3) });
    const set = setWearing([element('colour'), dark, pale]);
    expect(told(set, 'pale-after-dark')).toMatchObject([{ element: 'pale' }]);
    expect(codesOn(mended(set, 'pale-after-dark'))).not.toContain('pale-after-dark');
    const apart = element('colour', { id: 'pale', product: 'ivory-02', region: path(1.2, 1.5) });
    expect(codesOn(setWearing([element('colour'), dark, apart]))).not.toContain('pale-after-dark');
  });

  it('two wet colours that touch run into each other; a flash between holds the edge', () => {
    const band = (from: number, to: number): Region => ({ kind: 'band', from, to });
    const set = setWearing(
      [
        element('colour', { id: 'low', region: band(0.1, 0.6), passes: 1 }),
        element('colour', { id: 'high', product: 'night-blue', region: band(0.6, 1.2), passes: 1 }),
      ],
      (one) => (one.edits = [{ kind: 'skip', a: 'left-ring/low/cure#1' }]),
    );
    expect(told(set, 'colours-run')).toMatchObject([{ element: 'high', severity: 'warn' }]);
    expect(codesOn(mended(set, 'colours-run'))).not.toContain('colours-run');
    const apart = structuredClone(set);
    apart.looks[0]!.elements[1] = element('colour', { id: 'high', region: band(0.8, 1.2), passes: 1 });
    expect(codesOn(apart)).not.toContain('colours-run');
  });

  it('colours of a fade that meet in a line', () => {
    const fade = (a: number, b: number) =>
      setWearing([
        element('ombre', {
          stops: [
            { product: 'velvet-04', at: a },
            { product: 'amber-11', at: b },
          ],
        }),
      ]);
    expect(told(fade(0.47, 0.53), 'fade-short')).toHaveLength(1);
    expect(codesOn(mended(fade(0.47, 0.53), 'fade-short'))).not.toContain('fade-short');
    expect(codesOn(fade(0.2, 0.8))).not.toContain('fade-short');
  });

  it('a line finer than a brush draws, and a dot smaller than a tool sets', () => {
    const line = (width_mm: number) =>
      setWearing([
        element('colour'),
        element('colour', { id: 'line', product: 'ivory-02', region: path(0.6, width_mm) }),
      ]);
    expect(told(line(0.08), 'too-fine')).toMatchObject([{ element: 'line', severity: 'warn' }]);
    expect(codesOn(line(0.3))).not.toContain('too-fine');
    const french = element('french', { liner: { product: 'gilt-liner', width_mm: 0.1 } });
    expect(told(setWearing([french]), 'too-fine')).toHaveLength(1);
  });
});

it('a base that gets 15 of its 60 s in a light put in by hand', () => {
  const lit = (seconds: number) =>
    setWearing([element('colour')], (set) => {
      set.edits = [
        { kind: 'skip', a: 'left-ring/build/cure-base#1' },
        {
          kind: 'insert',
          id: 'short',
          nail: 'left-ring',
          after: 'left-ring/build/base#1',
          verb: 'cure',
          seconds,
          words: 'Cure it',
        },
      ];
    });
  expect(told(lit(15), 'cured-short')).toMatchObject([{ figure: { value: 15, limit: 60, unit: 's' } }]);
  expect(codesOn(lit(60))).toEqual([]);
});

describe('magnetic gel', () => {
  it('a magnet beside a nail whose shimmer is still wet', () => {
    const set = setWearing([element('magnetic')]);
    expect(ofSet(set, 'magnet-near-wet')).toEqual([]);
    set.edits = NAILS.map((nail) => ({ kind: 'skip', a: `${nail}/magnetic/flash#1` }));
    expect(ofSet(set, 'magnet-near-wet').length).toBeGreaterThan(0);
  });

  it('one that an opaque colour covers is work nobody sees', () => {
    expect(codesOn(setWearing([element('magnetic'), element('colour')]))).toContain('art-hidden');
  });
});

describe('the body of a nail', () => {
  it('is thick at the cuticle or the walls as a profile, even where each layer is allowed', () => {
    const high = on('natural-builder', [element('colour')], (build) => {
      if ('apex_um' in build) build.apex_um = 1400;
    });
    const codes = codesOn(high);
    expect(codes.filter((code) => /-thick$/.test(code) && code !== 'edge-thick')).not.toEqual([]);
    for (const kind of ['natural-builder', 'sculpted-form', 'soft-gel-tip', 'half-tip', 'dip'])
      expect(codesOn(on(kind, [element('colour')])).filter((code) => /^(cuticle|walls)-/.test(code))).toEqual(
        [],
      );
  });

  it('a thick first coat on a thin plate burns below what a cap may have', () => {
    const base = (thickness_mm: number, coat_um = 260) =>
      setWearing([element('colour')], (set) => {
        set.kit.products.find((one) => one.id === set.kit.roles.base)!.coat_um = coat_um;
        for (const nail of NAILS) set.nails[nail].plate.thickness_mm = thickness_mm;
      });
    expect(told(base(0.3), 'heat')).toMatchObject([{ figure: { value: 260, limit: 200 } }]);
    expect(codesOn(base(0.5))).not.toContain('heat');
    // The same fault by degrees: hardly past its limit it is a note, and says so.
    expect(told(base(0.3, 205), 'heat')).toMatchObject([{ severity: 'note' }]);
    expect(told(base(0.3, 205), 'heat')[0]!.reason).toMatch(/hardly/);
  });

  it('a squared plate edge below what is clear is told; under a colour, or filed round, it is not', () => {
    const clear = (outline: 'round' | 'square', over: Element[] = []) =>
      on('sculpted-form', over, (_, set) => {
        for (const nail of NAILS) Object.assign(set.nails[nail].plate, { outline, free_edge_mm: 1 });
      });
    expect(told(clear('square'), 'plate-edge-shows')).toHaveLength(1);
    expect(codesOn(mended(clear('square'), 'plate-edge-shows'))).not.toContain('plate-edge-shows');
    expect(codesOn(clear('square', [element('colour')]))).not.toContain('plate-edge-shows');
  });

  it('a long free edge whose first light is left out is not held over its rod', () => {
    const long = on('natural-builder', [element('colour')], (_, set) => {
      for (const nail of NAILS) set.nails[nail].plate.free_edge_mm = 8;
    });
    const flash = planSet(long, QUICK).operations['left-ring'].find((one) => one.verb === 'flash')!;
    expect(flash.words).toMatch(/rod/);
    long.edits = [{ kind: 'skip', a: flash.id }];
    expect(
      told(long, 'work-left-out')
        .map((one) => one.reason)
        .join(),
    ).toMatch(/curls in/);
  });
});

describe('an old set', () => {
  const worn = (start: Start, bed_mm = 12) =>
    on('sculpted-form', [element('colour')], (_, set) => {
      for (const nail of NAILS) {
        set.nails[nail].start = start;
        set.nails[nail].plate.bed_mm = bed_mm;
      }
    });

  it('that soaks for half its time is told, with the time it takes', () => {
    const soaked = (soak_s: number) => worn({ kind: 'removal', product: 'gel', stones: false, soak_s });
    expect(told(soaked(240), 'soak-short')).toMatchObject([{ figure: { value: 240 } }]);
    expect(codesOn(mended(soaked(240), 'soak-short'))).not.toContain('soak-short');
    expect(codesOn(soaked(720))).not.toContain('soak-short');
  });

  it('that stays tapers past the bed: a bed that is a little shorter carries nearly as much', () => {
    const carries = (bed_mm: number) =>
      bodyOf(planNail(worn({ kind: 'finished' }, bed_mm), 'left-ring').nominal.field).carries;
    // From one row of the grid to the next nothing jumps.
    const all = [12.4, 12.2, 12, 11.8, 11.6].map(carries);
    expect(Math.max(...all) - Math.min(...all)).toBeLessThan(0.1);
  });
});

describe('a ready tip', () => {
  const tips = (elements: Element[], change: (build: Build, set: SetDocument) => void = () => undefined) =>
    on('soft-gel-tip', elements, change);
  const fixing = (coat_um: number) =>
    tips([element('colour')], (_, set) => {
      set.kit.products.find((one) => one.id === set.kit.roles.fixing)!.coat_um = coat_um;
    });

  it('too little fixing gel leaves air, too much reaches the skin', () => {
    for (const [coat_um, code] of [
      [30, 'fixing-little'],
      [450, 'fixing-much'],
    ] as const) {
      expect(told(fixing(coat_um), code)).toHaveLength(1);
      expect(codesOn(mended(fixing(coat_um), code))).toEqual([]);
    }
  });

  it('a spill that is never wiped is told; one that is wiped when it is cured is a stop', () => {
    const never = tips([element('colour')], (_, set) => {
      set.edits = [{ kind: 'skip', a: 'left-ring/build/spill#1' }];
    });
    expect(told(never, 'work-left-out')).toMatchObject([{ severity: 'warn' }]);
    const late = tips([element('colour')], (_, set) => {
      set.edits = [
        { kind: 'move', a: 'left-ring/build/spill#1', side: 'after', b: 'left-ring/build/cure-tip#1' },
      ];
    });
    expect(told(late, 'spill-cured')).toMatchObject([{ severity: 'stop' }]);
    const fix = planSet(late, { effort: { iterations: 60 } }).findings.find(
      (one) => one.code === 'spill-cured',
    )!.fix;
    expect(fix?.words).toMatch(/back in the craft's order/);
  });

  it('a stiff piece that is not pressed holds the tip off its nail', () => {
    const inside = (over: object, press: boolean) => {
      const piece = {
        ...element('inlay').pieces[0]!,
        width_mm: 5,
        length_mm: 5,
        metallic: false,
        turn_deg: 0,
      };
      return tips([element('inlay', { press, pieces: [{ ...piece, ...over }] })], (build) => {
        if (build.kind === 'soft-gel-tip') build.art = 'inside';
      });
    };
    const stiff = inside({ stiffness: 1, thickness_mm: 0.1 }, false);
    expect(told(stiff, 'tip-stands-off')).toHaveLength(1);
    expect(codesOn(inside({ stiffness: 0.1, thickness_mm: 0.02 }, true))).not.toContain('tip-stands-off');
  });
});

describe('the hand as the eye sees it', () => {
  const dressed = (change: (set: SetDocument) => void) =>
    setWearing([element('colour')], (set) => {
      const [look] = set.looks;
      const own = (id: string, elements: Element[]) => ({ ...look!, id, name: id, elements });
      set.looks = [
        look!,
        own('near', [element('colour', { product: 'near' })]),
        own('loud', [element('colour'), element('crystals')]),
        own('other', [element('colour', { product: 'night-blue' }), element('charm')]),
        own('nothing', []),
      ];
      const near = set.kit.products.find((one) => one.id === 'velvet-04')!;
      set.kit.products.push({ ...near, id: 'near', name: near.name, colour: '#57152a' });
      change(set);
    });

  it('two busy neighbours, and four that stand out', () => {
    const two = dressed((set) => {
      set.nails['left-ring'].look = set.nails['right-ring'].look = 'loud';
      set.nails['left-middle'].look = set.nails['right-middle'].look = 'other';
    });
    expect(ofSet(two, 'neighbours-fight')).toMatchObject([
      { severity: 'note', nails: ['left-ring', 'right-ring'] },
    ]);
    const four = dressed((set) => {
      for (const finger of ['little', 'ring', 'middle', 'index'] as const)
        set.nails[`left-${finger}`].look = 'loud';
    });
    expect(ofSet(four, 'none-leads')).toHaveLength(1);
    expect(
      ofSet(
        dressed(() => undefined),
        'neighbours-fight',
      ),
    ).toEqual([]);
  });

  it('neighbours in two colours of one name that nearly match', () => {
    const set = dressed((one) => (one.nails['left-index'].look = 'near'));
    const codes = ofSet(set, 'nearly-one-colour');
    expect(codes[0]!.figure!.value).toBeLessThan(9);
  });

  it('a nail that wears a look of nothing beside dressed ones', () => {
    const set = dressed((one) => (one.nails['left-index'].look = 'nothing'));
    expect(ofSet(set, 'no-look')).toMatchObject([{ nail: 'left-index' }]);
  });

  it('one nail longer than its fellows, on both hands alike', () => {
    const set = on('sculpted-form', [element('colour')], (_, one) => {
      for (const hand of ['left', 'right'] as const) one.nails[`${hand}-index`].own_free_mm = 14;
    });
    expect(ofSet(set, 'longer-than-the-rest')).toMatchObject([{ nails: ['left-index', 'right-index'] }]);
    expect(ofSet(on('sculpted-form', [element('colour')]), 'longer-than-the-rest')).toEqual([]);
  });

  it('no nail repeats: why the sitting is long', () => {
    const set = dressed((one) => {
      const [look] = one.looks;
      one.looks = NAILS.map((nail) => ({ ...look!, id: nail, name: nail }));
      for (const nail of NAILS) one.nails[nail].look = nail;
    });
    expect(ofSet(set, 'no-nail-repeats')).toHaveLength(1);
    expect(
      ofSet(
        dressed(() => undefined),
        'no-nail-repeats',
      ),
    ).toEqual([]);
  });
});
