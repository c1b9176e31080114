import { buildKindOf } from '../craft/builds';
import type { Build } from '../craft/builds';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { NAILS } from '../model/names';
import { planSet } from '../plan/planSet';
import { codesOn, element, findingsOn, QUICK, setWearing } from '../testing/sets';
import { compileNail } from './compile';

/* The order of work as it is done at a table: what was seen to be otherwise, each by a small document. */

const made = (kind: string, options: object) => ({ ...buildKindOf(kind).fresh('test'), ...options }) as Build;

function on(
  kind: string,
  options: object,
  elements: Element[] = [element('colour')],
  change: (set: SetDocument) => void = () => undefined,
): SetDocument {
  return setWearing(elements, (set) => {
    set.builds.push(made(kind, options));
    for (const nail of NAILS) set.nails[nail].build = 'test';
    change(set);
  });
}

const steps = (set: SetDocument) =>
  compileNail(set, 'left-ring').operations.map((one) => `${one.element}/${one.step}#${one.pass}`);
const skip = (...ids: string[]): Edit[] => ids.map((id) => ({ kind: 'skip', a: `left-ring/${id}` }));

describe('held runs', () => {
  it.each([
    ['putty', 'half-tip', { material: 'putty' }],
    ['builder', 'natural-builder', {}],
  ])('%s lies on one nail and is flashed before the next is begun', (_words, kind, options) => {
    const set = on(kind, options);
    const { sitting } = planSet(set, QUICK);
    const flashes = sitting.loads.filter((load) => load.operations.some((id) => id.includes('flash-cap')));
    expect(flashes).toHaveLength(10);
    for (const flash of flashes) {
      expect(flash.nails).toHaveLength(1);
      const laid = sitting.strokes.find((one) => one.operation === `${flash.nails[0]}/body/cap#1`)!;
      const between = sitting.strokes.filter(
        (one) => one.start_s >= laid.end_s - 0.01 && one.start_s < flash.start_s - 0.01,
      );
      expect(between).toEqual([]);
    }
  });

  it('every flash of one nail is held to it by hand where the kit has a torch', () => {
    const set = on('half-tip', { material: 'putty' }, [element('colour'), element('inlay')], (one) => {
      one.kit.lamps.push({ ...one.kit.lamps[0]!, id: 'torch', name: 'Torch', programmes_s: [], torch: true });
    });
    const { sitting } = planSet(set, QUICK);
    for (const load of sitting.loads)
      if (load.mode === 'flash' && load.operations.length === 1) expect(load.lamp).toBe('torch');
      else expect(load.lamp).not.toBe('torch');
  });

  it('on own hands no hand works that wears forms, and forms stand on one hand at a time', () => {
    const set = on('sculpted-form', { material: 'putty' }, undefined, (one) => {
      one.practice.wearer = 'own';
    });
    const { sitting, operations } = planSet(set, QUICK);
    const at = (nail: string, step: string) =>
      sitting.strokes.find((one) => one.operation === `${nail}/build/${step}#1`)!;
    for (const nail of NAILS) {
      const [from, to] = [at(nail, 'form').end_s, at(nail, 'form-off').start_s];
      const hand = nail.split('-')[0];
      const others = sitting.strokes.filter(
        (one) => one.hand !== hand && one.start_s < to - 0.01 && one.end_s > from + 0.01,
      );
      expect(others).toEqual([]);
    }
    expect(operations['left-ring'].length).toBeGreaterThan(10);
  });
});

describe('acrylic', () => {
  const form = (change: (set: SetDocument) => void = () => undefined) =>
    on('sculpted-form', { material: 'acrylic' }, undefined, change);

  it('gets its wet second primer once the form is on, just before the bead', () => {
    const list = steps(form((set) => (set.practice.acrylic_primer = 'dry-and-wet')));
    expect(list.indexOf('build/form#1')).toBeLessThan(list.indexOf('build/prime#1'));
    expect(list[list.indexOf('build/prime#2') - 1]).toBe('build/prime#1');
    expect(list[list.indexOf('build/prime#2') + 1]).toBe('build/sculpt#1');
  });

  it.each(['new', 'usual', 'practised'] as const)('is pinched and rings in time with %s hands', (pace) => {
    expect(codesOn(form((set) => (set.practice.pace = pace)))).toEqual([]);
  });

  it('still sets where the pinch is left out', () => {
    const set = form((one) => (one.edits = skip('build/pinch#1')));
    expect(codesOn(set)).not.toContain('wet-touched');
  });

  it('melts into its own wet neighbour', () => {
    const twice = form((set) => {
      set.edits = [
        { kind: 'move', a: 'left-ring/build/sculpt#1', side: 'after', b: 'left-ring/build/prime#1' },
      ];
    });
    expect(codesOn(twice)).toEqual([]);
  });

  it('is never flashed, lit or wiped for a sticky layer', () => {
    const lit = compileNail(form(), 'left-ring').operations.filter(
      (one) => one.stage === 'foundation' && (one.lamp || /sticky/.test(one.words)),
    );
    expect(lit).toEqual([]);
  });
});

describe('dip', () => {
  it('has its loose powder off, and time to dry, before the next layer', () => {
    const list = compileNail(on('dip', {}), 'left-ring').operations.filter((one) =>
      one.step.startsWith('layer'),
    );
    expect(list.map((one) => one.step)).toEqual([
      'layer',
      'layer-brush',
      'layer',
      'layer-brush',
      'layer',
      'layer-brush',
    ]);
    expect(list[1]!.wait_s).toBeGreaterThan(0);
  });

  it('left unbrushed is told, and so is a ledge that is left out; its caution is that of the file', () => {
    expect(codesOn(on('dip', {}, undefined, (set) => (set.edits = skip('build/layer-brush#1'))))).toContain(
      'powder-in-bottle',
    );
    const french = {
      french: {
        product: 'dip-rose',
        filler: 'dip-white',
        smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 },
      },
    };
    const set = on('dip', french, undefined, (one) => (one.edits = skip('build/ledge#1')));
    expect(findingsOn(set).map((one) => one.code)).toContain('work-left-out');
    const ledge = compileNail(on('dip', french), 'left-ring').operations.find((one) => one.step === 'ledge')!;
    expect(ledge.caution).toMatch(/dust/);
    expect(ledge.caution).not.toMatch(/Only the shine/);
  });
});

describe('chrome and finishes', () => {
  const chrome = element('colour', { id: 'chrome', product: 'mirror-silver' });
  const gloss = element('finish', { id: 'gloss', finish: 'gloss' });

  it('has its loose rest off before the seal', () => {
    const list = steps(setWearing([element('colour'), gloss, chrome]));
    expect(list.indexOf('chrome/loose-off#1')).toBe(list.indexOf('chrome/coat#1') + 1);
    const left = setWearing([element('colour'), gloss, chrome], (set) => {
      set.edits = skip('chrome/loose-off#1');
    });
    expect(codesOn(left)).toContain('powder-in-bottle');
  });

  it('is burnished while its top is warm, or told', () => {
    const set = setWearing([element('colour'), gloss, chrome]);
    const { sitting } = planSet(set, QUICK);
    for (const nail of NAILS) {
      const lit = sitting.loads.findLast(
        (load) => load.operations.includes(`${nail}/gloss/cure#1`) && load.nails.includes(nail),
      )!;
      const rubbed = sitting.strokes.find((one) => one.operation === `${nail}/chrome/coat#1`)!;
      const cooled = sitting.broken.some(
        (one) => one.kind === 'cooled' && one.operation === rubbed.operation,
      );
      expect(rubbed.start_s - lit.end_s > 75).toBe(cooled);
    }
  });

  it('is closed by a top before what is drawn over it, which stays where it is listed', () => {
    const drawing = element('colour', {
      id: 'drawing',
      product: 'white-art',
      region: { kind: 'band', from: 0.4, to: 0.5 },
    });
    const set = setWearing([element('colour'), gloss, chrome, drawing]);
    const list = steps(set);
    expect(list.indexOf('drawing/coat#1')).toBeGreaterThan(list.indexOf('chrome/coat#1'));
    expect(list.slice(list.indexOf('drawing/coat#1') - 2, list.indexOf('drawing/coat#1'))).toEqual([
      'drawing/top-under#1',
      'drawing/cure-under#1',
    ]);
    expect(codesOn(set)).toEqual([]);
    // Art gel cures slick on a nail that has its top: it stays as its artist leaves it.
    expect(list[list.length - 2]).toMatch(/^drawing\/cure/);
  });
});

describe('schools', () => {
  it.each(['natural-gel', 'soft-gel-tip', 'half-tip', 'sculpted-form', 'upper-mould', 'natural-builder'])(
    'a base that is wiped is wiped on %s too',
    (kind) => {
      const set = on(kind, {}, undefined, (one) => (one.practice.base = 'wipe'));
      expect(steps(set)).toContain('build/wipe-base#1');
      expect(codesOn(set)).toEqual([]);
    },
  );

  it('levels with 180 alone', () => {
    const set = on('natural-builder', {}, undefined, (one) => (one.practice.grit = '180'));
    const file = compileNail(set, 'left-ring').operations.find((one) => one.verb === 'file')!;
    expect(file.reason).toMatch(/180 grit alone/);
  });
});

describe('removal', () => {
  const soaked = (change: (set: SetDocument) => void = () => undefined) =>
    setWearing([element('colour')], (set) => {
      for (const nail of NAILS)
        set.nails[nail].start = { kind: 'removal', product: 'gel', soak_s: 900, stones: false };
      change(set);
    });

  it('on one’s own hands is one soak of both, each top opened before the first is wrapped', () => {
    const { sitting } = planSet(
      soaked((set) => (set.practice.wearer = 'own')),
      QUICK,
    );
    const strokes = (step: string) => sitting.strokes.filter((one) => one.operation.endsWith(step));
    const wrapped = strokes('/prep/soak#1');
    expect(wrapped).toHaveLength(10);
    const first_s = Math.min(...wrapped.map(({ start_s }) => start_s));
    const last_s = Math.max(...wrapped.map(({ end_s }) => end_s));
    for (const one of strokes('/prep/open-seal#1')) expect(one.end_s).toBeLessThanOrEqual(first_s);
    // No hand waits for the other's soak to be over.
    for (const one of strokes('/prep/soak#2')) expect(one.start_s).toBeGreaterThanOrEqual(last_s);
    expect(last_s - first_s).toBeLessThan(600);
  });

  it.each([
    ['client', 300],
    ['own', 480],
  ] as const)('opens no soak of two hands late (%s)', (wearer, late_s) => {
    const { sitting } = planSet(
      soaked((set) => (set.practice.wearer = wearer)),
      QUICK,
    );
    for (const nail of NAILS) {
      const wrapped = sitting.strokes.find((one) => one.operation === `${nail}/prep/soak#2`)!;
      const off = sitting.strokes.find((one) => one.operation === `${nail}/prep/push-off#1`)!;
      expect(off.start_s - wrapped.end_s).toBeLessThanOrEqual(450 + late_s);
    }
    expect(sitting.broken).toEqual([]);
  });

  it('without the file on its top is a way of working: looked at, not stopped', () => {
    const told = findingsOn(soaked((set) => (set.edits = skip('prep/open-seal#1'))));
    expect(told.filter((one) => one.severity === 'stop')).toEqual([]);
    expect(told.map((one) => one.code)).toContain('still-sealed');
  });

  it('has the dust of the opened top gone with the remover', () => {
    expect(codesOn(soaked())).toEqual([]);
  });
});
