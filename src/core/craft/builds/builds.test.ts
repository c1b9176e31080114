import { goldenCard } from '../../../../tests/goldenCard';
import { curtainUp } from '../../demo/curtainUp';
import type { SetDocument } from '../../document/document';
import { applyChange } from '../../document/changes';
import type { Edit } from '../../document/edits';
import { NAILS } from '../../model/names';
import { planSet } from '../../plan/planSet';
import type { Element } from '../techniques';
import { factsOf } from '../../testing/facts';
import { checkSitting } from '../../testing/sittingChecker';
import { codesOn, colourOn, element, QUICK, setWearing } from '../../testing/sets';
import { compileNail } from '../../compile/compile';
import { nominalSteps, simulateNail } from '../../simulate/simulate';
import { Build, BUILDS, buildKindOf } from './index';

describe.each(BUILDS.map((build) => [build.kind, build] as const))('%s', (kind, build) => {
  const wearing = () =>
    setWearing([colourOn(kind)], (set) => {
      set.builds.push(build.fresh('test') as Build);
      set.nails['left-ring'].build = 'test';
    });

  it('starts as a build that the union takes', () => {
    expect(Build.safeParse(build.fresh('test')).success).toBe(true);
    expect(buildKindOf(kind)).toBe(build);
  });

  it('carries a plain colour without a word', () => {
    expect(codesOn(wearing())).toEqual([]);
  });

  const verbsOf = (set: SetDocument) => compileNail(set, 'left-ring').operations.map((one) => one.verb);

  it('soaks the old product off before the cuticle, where a hand is at the table', () => {
    const set = wearing();
    set.nails['left-ring'].start = { kind: 'removal', product: 'gel', stones: false, soak_s: 600 };
    const verbs = verbsOf(set);
    expect(verbs.includes('soak')).toBe(!build.offHand);
    if (!build.offHand) expect(verbs.indexOf('soak')).toBeLessThan(verbs.indexOf('push-back'));
    expect(verbs.includes('oil')).toBe(!build.offHand);
  });

  it('prepares in the order the plate needs: shine, dust, wipe, dehydrate, prime', () => {
    if (build.offHand) return expect(verbsOf(wearing())).not.toContain('dehydrate');
    const verbs = verbsOf(wearing());
    // Lacquer comes off with remover: its plate keeps its shine and has no primer.
    const order = kind === 'natural-lacquer' ? BARE_PLATE : ['buff', ...BARE_PLATE, 'prime'];
    const at = order.map((verb) => verbs.indexOf(verb as (typeof verbs)[number]));
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(at[0]).toBeGreaterThanOrEqual(0);
  });
});

const FRENCH = { product: 'cover-a', smile: { rise_mm: 0, depth_mm: 2.5, tilt_mm: 0 } };
const DIP_FRENCH = { product: 'dip-rose', filler: 'dip-white', smile: FRENCH.smile };
const BARE_PLATE = ['dust-off', 'wipe', 'dehydrate'];

/** Every build as it is worked with, and with other options. */
const WORKED: [name: string, kind: string, options: object][] = [
  ['natural-gel', 'natural-gel', {}],
  ['natural-gel-peel-off', 'natural-gel', { base: 'peel-off' }],
  ['natural-builder', 'natural-builder', {}],
  ['gel-acrylic', 'gel-acrylic', {}],
  ['dip', 'dip', {}],
  ['soft-gel-tip', 'soft-gel-tip', {}],
  ['half-tip-builder', 'half-tip', {}],
  ['half-tip-putty', 'half-tip', { material: 'putty' }],
  ['half-tip-acrylic', 'half-tip', { material: 'acrylic' }],
  ['form-builder', 'sculpted-form', {}],
  ['form-putty', 'sculpted-form', { material: 'putty' }],
  ['form-acrylic', 'sculpted-form', { material: 'acrylic' }],
  ['upper-mould', 'upper-mould', {}],
  ['on-stand', 'on-stand', {}],
  ['natural-builder-art-under', 'natural-builder', { art: 'under' }],
  ['form-french', 'sculpted-form', { french: FRENCH }],
  ['form-french-acrylic', 'sculpted-form', { material: 'acrylic', french: FRENCH }],
  ['soft-gel-tip-filled', 'soft-gel-tip', { filler: 'cover-a' }],
  ['dip-french', 'dip', { french: DIP_FRENCH }],
  ['half-tip-peel-off', 'half-tip', { base: 'peel-off' }],
  ['half-tip-pinched', 'half-tip', { pinch: true }],
  ['half-tip-powder', 'half-tip', { material: 'powder' }],
  ['lengthened', 'lengthened', {}],
];

const made = (kind: string, options: object) => ({ ...buildKindOf(kind).fresh('test'), ...options }) as Build;

describe.each(WORKED)('%s', (name, kind, options) => {
  it('reads on its card as it is done at a table, pieces inside', () => {
    const set = setWearing([element('colour'), element('inlay')], (one) => {
      one.builds.push(made(kind, options));
      one.nails['left-ring'].build = 'test';
    });
    const card = compileNail(set, 'left-ring').operations.map(({ words, lamp, wait_s }) =>
      lamp ? `${words}: ${lamp.seconds} s` : wait_s ? `${words} … ${wait_s} s` : words,
    );
    expect(codesOn(set)).toEqual([]);
    expect(card.join('\n')).toBe(goldenCard(name, card.join('\n')));
  });

  it('carries the art of an opening night without a stop or a warning, and its sitting keeps every rule', () => {
    const set = curtainUp();
    set.builds.push(made(kind, options));
    for (const nail of NAILS) {
      set.nails[nail].build = 'test';
      set.nails[nail].plate.free_edge_mm = 6;
    }
    // Beads on ten primed nails leave little slack: the search has to look a little longer.
    const plan = planSet(set, { ...QUICK, effort: { iterations: /form|acrylic/.test(name) ? 1500 : 60 } });
    const grave = plan.findings.filter((one) => one.severity !== 'note');
    expect(grave.map((one) => [one.code, one.nails, one.message])).toEqual([]);
    expect(checkSitting(factsOf(set, plan))).toEqual([]);
  });
});

const at = (id: string) => `left-ring/${id}`;
const skip = (...ids: string[]): Edit[] => ids.map((id) => ({ kind: 'skip', a: at(id) }));
const move = (a: string, side: 'before' | 'after', b: string): Edit => ({
  kind: 'move',
  a: at(a),
  side,
  b: at(b),
});

it.each<[build: string, options: object, wrong: string, edits: Edit[], code: string]>([
  ['half-tip', {}, 'the seam is not blended', skip('build/blend#1'), 'work-left-out'],
  ['half-tip', {}, 'it is filed before its glue has set', skip('build/hold-tip#1'), 'wet-touched'],
  [
    'half-tip',
    {},
    'primed before the blending, which files it off again',
    [
      move('build/dehydrate#1', 'before', 'build/glue-tip#1'),
      move('build/prime#1', 'after', 'build/dehydrate#1'),
    ],
    'unprepared-plate',
  ],
  ['half-tip', {}, 'glued on the shine', skip('prep/buff#1'), 'unprepared-plate'],
  ['half-tip', { material: 'acrylic' }, 'acrylic is not primed', skip('build/prime#1'), 'unprepared-plate'],
  [
    'half-tip',
    { pinch: true },
    'the overlay is pinched once it is hard',
    [move('body/pinch#1', 'after', 'body/cure-cap#1')],
    'needs-wet',
  ],
  ['half-tip', { base: 'peel-off' }, 'the tip is glued on the shine', skip('build/peel-key#1'), 'no-grip'],
  [
    'half-tip',
    { base: 'peel-off' },
    'the tip is glued on a soft base',
    skip('build/peel-cure-base#1'),
    'uncured-covered',
  ],
  [
    'half-tip',
    { material: 'powder' },
    'the gel is cured before the powder',
    [move('body/cure-cap#1', 'before', 'body/sprinkle#1')],
    'needs-wet',
  ],
  ['lengthened', {}, 'there is no form', skip('build/form#1'), 'work-left-out'],
  ['lengthened', {}, 'the form stays on', skip('build/form-off#1'), 'work-left-out'],
  ['lengthened', {}, 'the form is pulled before the cure', skip('build/cure-extend#1'), 'wet-touched'],
  ['sculpted-form', {}, 'there is no form', skip('build/form#1'), 'work-left-out'],
  ['sculpted-form', {}, 'the form is pulled before the cure', skip('build/cure-extend#1'), 'wet-touched'],
  [
    'sculpted-form',
    {},
    'pinched once it is hard',
    [move('build/pinch#1', 'after', 'build/cure-extend#1')],
    'needs-wet',
  ],
  [
    'sculpted-form',
    { material: 'putty' },
    'putty is filed uncured',
    skip('body/cure-cap#1', 'body/flash-cap#1'),
    'wet-touched',
  ],
  ['sculpted-form', { material: 'putty' }, 'the form stays on', skip('build/form-off#1'), 'work-left-out'],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'acrylic is tapped before it was pinched, while it still gives',
    [move('build/tap#1', 'before', 'build/pinch#1')],
    'wet-touched',
  ],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'acrylic is pinched when it rings',
    [move('build/pinch#1', 'after', 'build/tap#1')],
    'needs-wet',
  ],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'it is filed without a tap to hear whether it has set',
    skip('build/tap#1'),
    'work-left-out',
  ],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'the form is pulled before the acrylic stands on it',
    [move('build/form-off#1', 'before', 'build/sculpt#1')],
    'nothing-built',
  ],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'gel colour on unfiled acrylic',
    skip('build/level#1'),
    'no-grip',
  ],
  [
    'sculpted-form',
    { material: 'acrylic' },
    'acrylic on a plate only dehydrated',
    skip('build/prime#1'),
    'unprepared-plate',
  ],
  ['upper-mould', {}, 'the mould comes off before the cure', skip('build/cure-mould#1'), 'wet-touched'],
  ['upper-mould', {}, 'the mould is empty', skip('build/fill-mould#1'), 'work-left-out'],
  ['upper-mould', {}, 'colour on what came smooth out of the mould', skip('build/level#1'), 'no-grip'],
  [
    'gel-acrylic',
    {},
    'the powder comes after the light',
    [move('body/sprinkle#1', 'after', 'body/cure-cap#1')],
    'needs-wet',
  ],
  ['gel-acrylic', {}, 'the powder is left out', skip('body/sprinkle#1'), 'work-left-out'],
  ['gel-acrylic', {}, 'the base never sees the lamp', skip('build/cure-base#1'), 'uncured-covered'],
  ['dip', {}, 'no activator', skip('build/activate#1'), 'under-cured'],
  [
    'dip',
    {},
    'filed before the activator',
    [move('build/activate#1', 'after', 'build/level#1')],
    'wet-touched',
  ],
  ['dip', {}, 'gel on unfiled dip', skip('build/level#1'), 'no-grip'],
  [
    'dip',
    {},
    'on a plate that is not dehydrated',
    skip('prep/dehydrate#1', 'prep/prime#1'),
    'unprepared-plate',
  ],
  ['soft-gel-tip', {}, 'the tip is never etched', skip('prep/ready-tip#1'), 'work-left-out'],
  [
    'soft-gel-tip',
    {},
    'the tip is never cured',
    skip('build/flash-tip#1', 'build/cure-tip#1'),
    'wet-touched',
  ],
  ['soft-gel-tip', {}, 'colour on the shine of the tip', skip('build/key#1'), 'no-grip'],
  ['on-stand', {}, 'colour on the shine of the tip', skip('build/key#1'), 'no-grip'],
  ['on-stand', {}, 'the tip was never sized', skip('prep/ready-tip#1'), 'work-left-out'],
  ['on-stand', {}, 'dust under the colour', skip('build/brush#1', 'build/clean#1'), 'dust-under-layer'],
  [
    'natural-gel',
    { base: 'peel-off' },
    'the peel-off base is not cured',
    skip('build/cure-base#1'),
    'uncured-covered',
  ],
  ['natural-gel', { base: 'peel-off' }, 'it goes on the shine', skip('prep/buff#1'), 'unprepared-plate'],
  ['natural-gel', { base: 'peel-off' }, 'it is left out', skip('build/base#1'), 'no-grip'],
  [
    'natural-lacquer',
    {},
    'lacquer on a plate that still has its oil',
    skip('prep/dehydrate#1'),
    'unprepared-plate',
  ],
  [
    'natural-lacquer',
    {},
    'oil before the colour',
    [
      {
        kind: 'insert',
        id: 'early',
        nail: 'left-ring',
        after: at('build/base#1'),
        verb: 'oil',
        seconds: 4,
        words: 'Oil',
      },
    ],
    'oil-before-layer',
  ],
  [
    'natural-lacquer',
    {},
    'filed once it is painted',
    [move('prep/shape#1', 'after', 'colour/coat#2'), { kind: 'skip', a: at('prep/brush#1') }],
    'dust-under-layer',
  ],
  [
    'dip',
    { french: DIP_FRENCH },
    'the bed is filed before its activator',
    skip('build/activate-bed#1'),
    'wet-touched',
  ],
  [
    'dip',
    { french: DIP_FRENCH },
    'the plate under the tip is not dehydrated',
    skip('prep/dehydrate#1', 'prep/prime#1'),
    'unprepared-plate',
  ],
  ['dip', { french: DIP_FRENCH }, 'the tip has no activator', skip('build/activate#1'), 'wet-touched'],
  ['natural-builder', { art: 'under' }, 'builder over wet colour', skip('colour/cure#2'), 'uncured-covered'],
  ['natural-builder', { art: 'under' }, 'the base is left out', skip('build/base#1'), 'no-grip'],
  [
    'natural-builder',
    { art: 'under' },
    'builder is never lit',
    skip('body/flash-cap#1', 'body/cure-cap#1'),
    'wet-touched',
  ],
  ['sculpted-form', { french: FRENCH }, 'the bed is filed sticky', skip('build/wipe-bed#1'), 'tacky-filed'],
  [
    'sculpted-form',
    { french: FRENCH },
    'the bed is filed wet',
    skip('build/flash-bed#1', 'build/cure-bed#1'),
    'wet-touched',
  ],
  [
    'sculpted-form',
    { french: FRENCH },
    'dust of the smile line stays under the tip',
    skip('build/brush-bed#1', 'build/clean-bed#1'),
    'dust-under-layer',
  ],
])('%s %j: %s is told', (kind, options, _words, edits, code) => {
  const wearing = (own: Edit[]) =>
    setWearing([colourOn(kind)], (set) => {
      set.builds.push(made(kind, options));
      set.nails['left-ring'].build = 'test';
      set.edits = own;
    });
  expect(codesOn(wearing([]))).toEqual([]);
  expect(codesOn(wearing(edits))).toContain(code);
});

it.each<[card: string, kind: string, options: object, elements: Element[]]>([
  ['natural-lacquer', 'natural-lacquer', {}, [element('colour', { product: 'lacquer-red' })]],
  [
    'soft-gel-tip-inside',
    'soft-gel-tip',
    { art: 'inside' },
    [
      element('colour', { product: 'blush-sheer' }),
      element('inlay', { pieces: element('inlay').pieces.map((piece) => ({ ...piece, metallic: false })) }),
    ],
  ],
  [
    'soft-gel-tip-halves',
    'soft-gel-tip',
    { art: 'halves' },
    [
      element('colour', { product: 'blush-sheer' }),
      element('inlay', { pieces: element('inlay').pieces.map((piece) => ({ ...piece, metallic: false })) }),
    ],
  ],
])('%s reads on its card as it is done at a table', (card, kind, options, elements) => {
  const set = setWearing(elements, (one) => {
    one.builds.push(made(kind, options));
    one.nails['left-ring'].build = 'test';
  });
  expect(codesOn(set)).toEqual([]);
  const lines = compileNail(set, 'left-ring').operations.map(({ words, lamp, wait_s }) =>
    lamp ? `${words}: ${lamp.seconds} s` : wait_s ? `${words} … ${wait_s} s` : words,
  );
  expect(lines.join('\n')).toBe(goldenCard(card, lines.join('\n')));
});

it('families change by zone of one nail: an acrylic edge, a putty bed, clear over both, lacquer on the tip alone', () => {
  const bed = { product: 'putty-a', smile: FRENCH.smile };
  const tip = { kind: 'tip' as const, smile: FRENCH.smile };
  const wearing = (art: Element[]) =>
    setWearing(art, (set) => {
      set.builds.push(made('sculpted-form', { material: 'acrylic', french: bed }));
      set.nails['left-ring'].build = 'test';
    });
  const polish = element('colour', { id: 'polish', product: 'lacquer-red', region: tip });
  const gel = element('colour', { id: 'gel', region: { kind: 'bed', smile: FRENCH.smile } });
  const set = wearing([gel, polish]);
  const families = new Map(set.kit.products.map((one) => [one.id, one.family]));
  const used = compileNail(set, 'left-ring').operations.flatMap((one) =>
    one.deposit && one.product ? [families.get(one.product)] : [],
  );
  expect([...new Set(used)]).toEqual(
    expect.arrayContaining(['acrylic', 'putty-gel', 'builder-gel', 'gel-colour', 'lacquer']),
  );
  expect(codesOn(set)).toEqual([]);
  // Listed the other way round, gel would lie on lacquer.
  expect(codesOn(setWearing([polish, element('colour', { id: 'gel', region: tip })]))).toContain('no-grip');
});

it('lacquer takes no gel, neither as colour nor as top; the way out is gel polish, with the opening night on it', () => {
  const set = curtainUp();
  set.builds.push(made('natural-lacquer', {}));
  for (const nail of NAILS) {
    set.nails[nail].build = 'test';
    set.nails[nail].plate.free_edge_mm = 6;
  }
  const told = planSet(set, { effort: QUICK.effort }).findings.filter((one) => one.severity === 'stop');
  expect(new Set(told.map((one) => one.code))).toEqual(new Set(['no-grip', 'needs-wet']));
  const mended = applyChange(set, told[0]!.fix!.change);
  expect(mended.ok && planSet(mended.value, QUICK).findings.map((one) => one.severity)).not.toContain('stop');
});

describe('builder over the natural nail', () => {
  const overlaid = (elements: Element[], change: (set: SetDocument) => void = () => undefined) =>
    setWearing(elements, (set) => {
      set.builds.push(buildKindOf('natural-builder').fresh('overlay') as Build);
      set.nails['left-ring'].build = 'overlay';
      change(set);
    });
  const card = (set: SetDocument) =>
    compileNail(set, 'left-ring').operations.map(({ words, lamp, hand_s }) =>
      lamp ? `${words}: ${lamp.seconds} s of light` : `${words}: ${hand_s} s`,
    );

  it('reads as it is done at a table', () => {
    expect(card(overlaid([element('colour')]))).toEqual([
      'Sanitise both people’s hands: 3 s',
      'Push back and clear the cuticle: 80 s',
      'File the free edge oval: 40 s',
      'Take the shine off: 20 s',
      'Brush the dust off: 2 s',
      'Wipe the last dust off, lint-free: 5 s',
      'Dehydrate with dehydrator: 3 s',
      'Prime with acid-free primer: 3 s',
      'Base A: 18 s',
      'Cure Base A: 60 s of light',
      'Build with Clear builder A: 39 s',
      'Flash Clear builder A: 12 s of light',
      'Cure Clear builder A: 69 s of light',
      'Wipe the sticky layer off: 5 s',
      'Level the builder gel with the file: 88 s',
      'Brush the dust off: 2 s',
      'Wipe the last dust off, lint-free: 5 s',
      'Velvet 04, coat 1 of 2: 20 s',
      'Cure Velvet 04: 60 s of light',
      'Velvet 04, coat 2 of 2: 20 s',
      'Cure Velvet 04: 60 s of light',
      'No-wipe top A: 18 s',
      'Cure No-wipe top A: 60 s of light',
      'Cuticle oil around the nail: 4 s',
    ]);
  });

  it('stands thickest at the apex, thin at the cuticle and the edge, and caps what lies in it', () => {
    const set = overlaid([element('colour'), element('inlay', { cap_um: 300 })]);
    const compiled = compileNail(set, 'left-ring');
    const caps = compiled.operations.filter((one) => one.verb === 'cap');
    expect(caps.map((one) => [one.words, one.deposit])).toEqual([
      ['Build over the pieces with Clear builder A', { kind: 'level', t_um: 450 }],
    ]);
    const plain = compileNail(overlaid([]), 'left-ring');
    const { field } = simulateNail(plain, 'plate', nominalSteps(plain.operations));
    const builder = field.films.find((film) => film.product === 'builder-a')!;
    const row = (y_mm: number) => field.grid.y.findIndex((y) => y >= y_mm);
    const at = (y_mm: number) => builder.t_um[row(y_mm) * 28 + 14]!;
    const { bed_mm, length_mm } = field.frame;
    expect(at(bed_mm * 0.9)).toBeGreaterThan(300);
    expect(at(1)).toBeLessThan(at(bed_mm * 0.9) * 0.6);
    expect(at(length_mm - 0.3)).toBeLessThan(at(bed_mm * 0.9));
  });

  it('a rod holds a long free edge, and a thin plate is told of the heat', () => {
    const long = overlaid([], (set) => (set.nails['left-ring'].plate.free_edge_mm = 8));
    const flash = compileNail(long, 'left-ring').operations.find((one) => one.step === 'flash-cap')!;
    expect(flash.reason).toMatch(/rod/);
    expect(
      codesOn(overlaid([element('colour')], (set) => (set.nails['left-ring'].conditions = ['thin']))),
    ).toEqual(['heat']);
  });

  it.each<[string, string[], string]>([
    ['the base is never cured', ['left-ring/build/cure-base#1'], 'uncured-covered'],
    [
      'the builder is never cured',
      ['left-ring/body/cure-cap#1', 'left-ring/body/flash-cap#1'],
      'wet-touched',
    ],
    ['it is filed with its sticky layer on', ['left-ring/body/wipe#1'], 'tacky-filed'],
    [
      'the dust stays under the colour',
      ['left-ring/body/brush#1', 'left-ring/body/clean#1'],
      'dust-under-layer',
    ],
  ])('is told where %s', (_words, skipped, code) => {
    const set = overlaid([element('colour')], (one) => {
      one.edits = skipped.map((a) => ({ kind: 'skip', a }));
    });
    expect(codesOn(set)).toContain(code);
  });
});

describe('a full-cover tip', () => {
  it('stands past the free edge without a plate under it, fixed only where there is plate', () => {
    const set = setWearing([], (one) => (one.nails['left-ring'].build = 'tips'));
    const compiled = compileNail(set, 'left-ring');
    const { field } = simulateNail(compiled, 'tip', nominalSteps(compiled.operations));
    const part = (kind: string) =>
      field.films.find((film) => film.kind === kind && film.operation.endsWith('press-on#1'))!;
    const beyond = (t: Float32Array) =>
      t.some((value, cell) => value > 0 && field.grid.y[Math.floor(cell / 28)]! > field.frame.bed_mm + 2);
    expect(beyond(part('film').t_um)).toBe(false);
    expect(beyond(part('tip').t_um)).toBe(true);
    expect(beyond(part('hollow').t_um)).toBe(true);
  });

  it('is as wide as its nail, and its fixing gel thins to nothing at the sidewalls', () => {
    const set = setWearing([], (one) => (one.nails['left-ring'].build = 'tips'));
    const compiled = compileNail(set, 'left-ring');
    const { field } = simulateNail(compiled, 'tip', nominalSteps(compiled.operations));
    const films = field.films.filter((film) => film.operation.endsWith('press-on#1'));
    const tip = films.find((film) => film.kind === 'tip')!;
    const fixing = films.find((film) => film.kind === 'film')!;
    field.grid.inside.forEach((inside, cell) => expect(tip.t_um[cell]! > 0).toBe(inside === 1));
    const row = 16 * 28;
    expect(fixing.t_um[row + 14]!).toBeGreaterThan(100);
    expect(fixing.t_um[row + 26]!).toBeLessThan(fixing.t_um[row + 14]! * 0.6);
    // The plate's end is no step: from row to row the tip's upper face moves by less than a twentieth of a millimetre.
    for (let j = 3; j < 42; j += 1) {
      const upper = (k: number) => films.reduce((sum, film) => sum + film.t_um[k * 28 + 14]!, 0) + below(k);
      const below = (k: number) =>
        field.films
          .slice(0, field.films.indexOf(films[0]!))
          .reduce((sum, film) => sum + film.t_um[k * 28 + 14]!, 0);
      expect(Math.abs(upper(j + 1) - upper(j))).toBeLessThan(50);
    }
  });

  it('that was never cured is worked on while it is loose: a stop', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [
      { kind: 'skip', a: 'left-ring/build/flash-tip#1' },
      { kind: 'skip', a: 'left-ring/build/cure-tip#1' },
    ];
    expect(codesOn(set)).toContain('wet-touched');
  });

  it('does not hold on a base that never cured', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [{ kind: 'skip', a: 'left-ring/build/cure-base#1' }];
    expect(codesOn(set)).toContain('uncured-covered');
  });

  it('is not coloured with its shine on', () => {
    const set = setWearing([element('colour')], (one) => (one.nails['left-ring'].build = 'tips'));
    set.edits = [{ kind: 'skip', a: 'left-ring/build/key#1' }];
    expect(codesOn(set)).toContain('no-grip');
  });
});

it('a bed of acrylic on a form is filed when it rings: no lamp, and no sticky layer to wipe', () => {
  const bed = { ...FRENCH, product: 'acrylic-blush' };
  const set = setWearing([element('built', { stops: [{ product: 'acrylic-white', at: 0.5 }] })], (all) => {
    all.builds.push(made('sculpted-form', { material: 'acrylic', french: bed }));
    all.nails['left-ring'].build = 'test';
  });
  const { operations } = compileNail(set, 'left-ring');
  const from = operations.findIndex(({ step }) => step === 'bed');
  // One body with the foundation: set, pinched, tapped and filed once, and then the line.
  expect(
    operations.slice(from, operations.findIndex(({ step }) => step === 'smile') + 1).map(({ verb }) => verb),
  ).toEqual(['cap', 'pinch', 'rest', 'tap', 'form-off', 'file', 'dust-off', 'wipe', 'buff']);
  expect(codesOn(set)).toEqual([]);
});
