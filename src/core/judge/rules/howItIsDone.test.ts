import type { Element } from '../../craft/techniques';
import { buildKindOf, type Build } from '../../craft/builds';
import { applyChange } from '../../document/changes';
import type { SetDocument } from '../../document/document';
import { NAILS } from '../../model/names';
import { contextOf } from '../../document/nailContext';
import { planSet } from '../../plan/planSet';
import { codesOn, element, findingsOn, pick, QUICK, setWearing } from '../../testing/sets';
import { techniqueOf } from '../../craft/techniques';

/* What goes wrong in the way a technique is done: each by a small set that shows it, one beside it that is right, and its way out taken. */

const ground = element('colour', { id: 'ground', product: 'ivory-02' });
const variant = <K extends Element['kind']>(kind: K, key: string, id: string = kind) =>
  techniqueOf(kind)
    .also!.find((one) => one.key === key)!
    .fresh(id, pick) as Extract<Element, { kind: K }>;
const told = (set: SetDocument, code: string) => findingsOn(set).filter((one) => one.code === code);
/** The first way out of a fault, taken. */
const mended = (set: SetDocument, code: string): SetDocument => {
  const next = applyChange(set, told(set, code)[0]!.fix!.change);
  if (!next.ok) throw new Error(next.faults.map((one) => one.message).join());
  return next.value;
};
const quiet = (set: SetDocument) =>
  expect(findingsOn(set).filter(({ severity }) => severity !== 'note')).toEqual([]);

describe('foil', () => {
  const foil = variant('sheets', 'foil');

  it('takes in full on its own gel, cured and not wiped', () => {
    const set = setWearing([ground, foil]);
    quiet(set);
    const steps = techniqueOf('sheets').plan(foil, contextOn(set));
    expect(steps.map(({ step }) => step)).toEqual(['foil-gel', 'cure-foil-gel', 'lay']);
  });

  it('takes in patches on the sticky layer of a colour; a gel of its own mends it', () => {
    const set = setWearing([ground, { ...foil, gel: null }]);
    expect(told(set, 'foil-patchy')).toMatchObject([{ severity: 'warn', element: 'sheets' }]);
    quiet(mended(set, 'foil-patchy'));
    // Broken on purpose.
    expect(codesOn(setWearing([ground, { ...foil, gel: null, whole: 0.5 }]))).not.toContain('foil-patchy');
    // A kit without such a gel has no way out to offer.
    const without = setWearing([ground, { ...foil, gel: null }], (one) => {
      one.kit.products = one.kit.products.filter(({ family }) => family !== 'foil-gel');
    });
    expect(told(without, 'foil-patchy')[0]!.fix?.words ?? '').not.toMatch(/foil gel/);
  });
});

it('a decal does not hold on matte by the stamper; soaked and slid on it does', () => {
  const matte = element('finish', { id: 'matte', finish: 'matte' });
  // By itself it comes below the matte top; by the artist's own order it is laid on it.
  const set = setWearing([ground, matte, variant('sheets', 'decal')], (one) => {
    one.edits = [{ kind: 'move', a: 'left-ring/sheets/lay#1', side: 'after', b: 'left-ring/matte/cure#1' }];
  });
  expect(told(set, 'no-grip')[0]!.fix!.words).toMatch(/slide it on/);
  expect(codesOn(mended(set, 'no-grip'))).not.toContain('no-grip');
});

describe('a sponge', () => {
  const bed = { kind: 'bed' as const, smile: { rise_mm: -1, depth_mm: 2, tilt_mm: 0 } };
  const sponge = { ...variant('ombre', 'sponge-ombre'), region: bed };
  const french = element('french', { product: 'plum-07', liner: null });

  it('spills over a French that is finished; a brush does not', () => {
    const set = setWearing([ground, french, sponge]);
    expect(told(set, 'spills-over-line')).toMatchObject([{ severity: 'warn', element: 'ombre' }]);
    expect(codesOn(mended(set, 'spills-over-line'))).not.toContain('spills-over-line');
  });

  it('before the French has nothing to spill over, nor has one far from it', () => {
    expect(codesOn(setWearing([ground, sponge, french]))).not.toContain('spills-over-line');
    const away = { ...sponge, region: { kind: 'moon' as const, depth_mm: 3, spread: 0.8 } };
    expect(codesOn(setWearing([ground, french, away]))).not.toContain('spills-over-line');
  });

  it('is thinner than a brush, in mist more so, and says what mist does', () => {
    const set = setWearing([ground]);
    const coat = (how: 'brush' | 'sponge' | 'mist') =>
      techniqueOf('ombre').plan(element('ombre', { how }), contextOn(set))[0]!;
    const thick = (how: 'brush' | 'sponge' | 'mist') => {
      const { deposit } = coat(how);
      return deposit?.kind === 'conformal' ? deposit.t_um : 0;
    };
    expect(thick('brush')).toBeGreaterThan(thick('sponge'));
    expect(thick('sponge')).toBeGreaterThan(thick('mist'));
    expect(coat('mist').caution).toMatch(/mask/);
    expect(coat('brush').caution).toBeUndefined();
    // Acrylic is beaded, whatever is said of a sponge.
    const beads = element('ombre', {
      how: 'sponge',
      stops: [
        { product: 'acrylic-blush', at: 0.2 },
        { product: 'acrylic-white', at: 0.8 },
      ],
    });
    expect(techniqueOf('ombre').plan(beads, contextOn(set))[0]!.spills_mm).toBeUndefined();
  });
});

describe('a marble of dip', () => {
  const dip = (how: 'usual' | 'dipped' | 'sprinkled') =>
    element('marbled', {
      how,
      ground: false,
      parts: [
        { product: 'dip-rose', share: 0.5 },
        { product: 'dip-white', share: 0.5 },
      ],
    });

  it.each(['dipped', 'sprinkled'] as const)('%s takes its powders one over the other', (how) => {
    const set = setWearing([dip(how)]);
    expect(told(set, 'tray-in-turn')).toMatchObject([{ severity: 'warn', element: 'marbled' }]);
    expect(codesOn(mended(set, 'tray-in-turn'))).not.toContain('tray-in-turn');
  });

  it('face down takes them side by side', () => {
    expect(codesOn(setWearing([dip('usual')]))).not.toContain('tray-in-turn');
    const words = (how: 'usual' | 'dipped' | 'sprinkled') =>
      techniqueOf('marbled').plan(dip(how), contextOn(setWearing([ground])))[0]!.words;
    expect(words('usual')).toMatch(/face down/);
    expect(words('dipped')).toMatch(/upright/);
  });

  it('and wet colours are dragged where no solvent is wanted', () => {
    const dragged = techniqueOf('marbled').plan(
      element('marbled', { how: 'dragged', ground: false }),
      contextOn(setWearing([ground])),
    );
    expect(dragged[0]!.words).toMatch(/liner/);
  });
});

describe('a magnet', () => {
  const cat = (over: Partial<Extract<Element, { kind: 'magnetic' }>>) =>
    setWearing([element('magnetic', over)]);

  it('that is weak draws nothing from far off; nearer it does', () => {
    const weak = { form: 'bar' as const, strength: 'weak' as const };
    const set = cat({ pull: weak, distance_mm: 5 });
    expect(told(set, 'magnet-weak')).toMatchObject([
      { severity: 'warn', figure: { value: 5, limit: 3, is: 'at most' } },
    ]);
    quiet(mended(set, 'magnet-weak'));
    expect(codesOn(cat({ pull: weak, distance_mm: 3 }))).not.toContain('magnet-weak');
    expect(codesOn(cat({ pull: { ...weak, strength: 'strong' }, distance_mm: 9 }))).not.toContain(
      'magnet-weak',
    );
    // Nothing is known of it, nothing is said.
    expect(codesOn(cat({ distance_mm: 18 }))).not.toContain('magnet-weak');
  });

  it('held too long is held shorter', () => {
    const set = cat({ hold_s: 45 });
    expect(codesOn(mended(set, 'magnet-too-long'))).not.toContain('magnet-too-long');
  });

  it('of the shelf brings what is known of it', () => {
    const { take } = techniqueOf('magnetic').fromShelf!;
    const taken = take(element('magnetic'), {
      kind: 'tool',
      id: 'stack',
      name: 'Stack of six',
      use: 'magnet',
      pull: { form: 'stack', strength: 'strong' },
    });
    expect(taken).toMatchObject({ magnet: 'Stack of six', pull: { form: 'stack', strength: 'strong' } });
  });
});

describe('pieces', () => {
  const inlay = element('inlay');
  const tips = (elements: Element[]) =>
    setWearing(elements, (set) => {
      for (const name of NAILS) set.nails[name].build = 'tips';
    });

  it('all under one press drift; a few at a time they do not', () => {
    const set = tips([ground, { ...inlay, at_once: true }]);
    expect(told(set, 'drifts')).toMatchObject([{ severity: 'warn', figure: { value: 3, limit: 2 } }]);
    expect(codesOn(mended(set, 'drifts'))).not.toContain('drifts');
    expect(codesOn(tips([ground, inlay]))).not.toContain('drifts');
    // Two lie under one press anyway.
    const two = { ...inlay, at_once: true, pieces: inlay.pieces.slice(0, 2) };
    expect(codesOn(tips([ground, two]))).not.toContain('drifts');
  });
});

describe('relief', () => {
  const relief = element('relief', { seat: 'surface', height_um: 400 });

  it('is drowned by clear that levels over it, and not by a thin top', () => {
    const thick = element('finish', { id: 'thick', finish: 'gloss', thick_um: 600 });
    const set = setWearing([ground, relief, thick]);
    expect(told(set, 'relief-drowned')).toMatchObject([{ severity: 'warn', element: 'relief' }]);
    expect(codesOn(mended(set, 'relief-drowned'))).not.toContain('relief-drowned');
    const thin = element('finish', { id: 'thin', finish: 'gloss' });
    expect(codesOn(setWearing([ground, relief, thin]))).not.toContain('relief-drowned');
  });
});

describe('what is brushed over relief', () => {
  const knit = (apart_mm: number, over: Partial<Extract<Element, { kind: 'relief' }>> = {}) =>
    element('relief', {
      seat: 'surface',
      height_um: 400,
      region: {
        kind: 'lines',
        count: 5,
        width_mm: 0.9,
        pitch_mm: 0.9 + apart_mm,
        turn_deg: 0,
        across: 0,
        along: 1,
        crossed: false,
      },
      ...over,
    });
  const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
  const mirror = element('powder');

  it('rides over ridges that stand close and leaves their valleys bare; finer ridges let it in', () => {
    for (const above of [[gloss], [gloss, mirror]]) {
      const set = setWearing([ground, knit(0.25), ...above]);
      expect(told(set, 'valleys-bare')).toMatchObject([{ severity: 'warn', element: 'relief' }]);
      expect(codesOn(mended(set, 'valleys-bare'))).not.toContain('valleys-bare');
    }
  });

  it('gets into valleys that are wide, that are shallow, or short, and is not asked of relief left open', () => {
    expect(codesOn(setWearing([ground, knit(0.6), gloss]))).not.toContain('valleys-bare');
    expect(codesOn(setWearing([ground, knit(0.25, { height_um: 120 }), gloss]))).not.toContain(
      'valleys-bare',
    );
    expect(codesOn(setWearing([ground, knit(0.25, { seat: 'over' })]))).not.toContain('valleys-bare');
    const crossed = knit(2);
    if (crossed.region.kind === 'lines') crossed.region.crossed = true;
    expect(codesOn(setWearing([ground, crossed, gloss]))).not.toContain('valleys-bare');
  });
});

describe('loose powder', () => {
  it.each(['glitter', 'powder', 'pearl'] as const)(
    'of %s under a wet coat gets into its bottle; brushed off first it is quiet',
    (kind) => {
      const set = setWearing([ground, element(kind, { id: 'shine' })]);
      quiet(set);
      set.edits = [{ kind: 'skip', a: 'left-ring/shine/loose-off#1' }];
      const [fault] = told(set, 'powder-in-bottle');
      expect(fault).toMatchObject({ severity: 'warn' });
      expect(codesOn(set)).not.toContain('dust-under-layer');
    },
  );

  it('is brushed off by the way out, where no step of the plan was taken away', () => {
    const set = setWearing([ground, element('glitter', { id: 'shine' })]);
    for (const name of NAILS) set.nails[name].in_work = name === 'left-ring';
    set.edits = [{ kind: 'skip', a: 'left-ring/shine/loose-off#1' }];
    const fault = planSet(set, { effort: QUICK.effort }).findings.find(
      ({ code }) => code === 'powder-in-bottle',
    )!;
    const next = applyChange(set, fault.fix!.change);
    expect(next.ok && codesOn(next.value)).not.toContain('powder-in-bottle');
  });
});

describe('a clear extension', () => {
  const form = (over: Partial<Extract<Element, { kind: 'finish' }>> | null, elements: Element[] = []) =>
    setWearing(
      [...elements, ...(over ? [element('finish', { id: 'gloss', finish: 'gloss', ...over })] : [])],
      (set) => {
        set.builds.push({ ...(buildKindOf('sculpted-form').fresh('form') as Build), length_mm: 9 } as Build);
        for (const name of NAILS) set.nails[name].build = 'form';
      },
    );

  it('is told where its underside is bare, and finished there by a top with a light of its own', () => {
    const set = form({});
    expect(told(set, 'underside-bare')).toMatchObject([{ severity: 'note' }]);
    const next = mended(set, 'underside-bare');
    expect(codesOn(next)).not.toContain('underside-bare');
    const { operations } = planSet(next, QUICK);
    const own = operations['left-ring'];
    const at = own.findIndex(({ verb }) => verb === 'underside');
    expect(own[at + 1]).toMatchObject({ verb: 'cure', lamp: { mode: 'cure' } });
    quiet(next);
  });

  it('is none where a colour hides it, or where it is the wearer’s own', () => {
    expect(codesOn(form({}, [ground]))).not.toContain('underside-bare');
    expect(codesOn(setWearing([element('finish', { finish: 'gloss' })]))).not.toContain('underside-bare');
  });
});

describe('marbles of one look', () => {
  it('come from one batch: a nail that is mixed otherwise is told, and takes it back', () => {
    const set = setWearing([element('marbled')], (one) => {
      one.nails['left-ring'].changes = [{ element: 'marbled', options: { mixed: 0.5 } }];
    });
    const of = (one: SetDocument) =>
      planSet(one, QUICK).findings.filter(({ code }) => code === 'marble-unlike');
    expect(of(set)).toHaveLength(1);
    expect(of(set)[0]).toMatchObject({ severity: 'note' });
    expect(of(setWearing([element('marbled')]))).toEqual([]);
    const next = applyChange(set, { kind: 'clear-nail-change', nail: 'left-ring', element: 'marbled' });
    expect(next.ok && of(next.value)).toEqual([]);
  });
});

describe('a run of colours', () => {
  const run = (...stops: [string, number][]) =>
    setWearing([element('ombre', { stops: stops.map(([product, at]) => ({ product, at })) })]);

  it('in which a pale one is squeezed by a dark one is told; spread evenly it is seen', () => {
    const set = run(['night-blue', 0.3], ['ivory-02', 0.4], ['plum-07', 0.5]);
    expect(told(set, 'dark-swallows')).toMatchObject([{ severity: 'warn', element: 'ombre' }]);
    expect(codesOn(mended(set, 'dark-swallows'))).not.toContain('dark-swallows');
  });

  it('with room, or among pale ones, has nothing to be said of it', () => {
    expect(codesOn(run(['night-blue', 0.1], ['ivory-02', 0.5], ['plum-07', 0.9]))).not.toContain(
      'dark-swallows',
    );
    expect(codesOn(run(['rose-nude', 0.3], ['ivory-02', 0.4], ['blush-sheer', 0.5]))).not.toContain(
      'dark-swallows',
    );
    expect(codesOn(run(['night-blue', 0.3], ['ivory-02', 0.4]))).not.toContain('dark-swallows');
  });
});

describe('orders that make no sense are told with their place', () => {
  const plain = setWearing([ground]);
  const edited = (edits: SetDocument['edits']) => ({ ...plain, edits });
  const id = (rest: string) => `left-ring/${rest}`;

  it('a light on nothing', () => {
    const light = {
      kind: 'insert',
      id: 'more',
      nail: 'left-ring',
      verb: 'cure',
      seconds: 60,
      words: 'Cure again',
    } as const;
    const after = (step: string) => edited([{ ...light, after: id(step) }]);
    expect(told(after('ground/cure#3'), 'light-on-nothing')).toMatchObject([
      { severity: 'note', operation: id('own/more#1') },
    ]);
    // Where something waits, it is a light like any other.
    expect(codesOn(after('ground/coat#3'))).not.toContain('light-on-nothing');
  });

  it('a top below the base, a colour on the bare plate', () => {
    const upside = edited([{ kind: 'move', a: id('top/coat#1'), side: 'before', b: id('build/base#1') }]);
    const grave = findingsOn(upside).filter(({ severity }) => severity === 'stop');
    expect(grave.length).toBeGreaterThan(0);
    expect(grave.every(({ operation }) => operation?.startsWith('left-ring/'))).toBe(true);
    const bare = edited([{ kind: 'skip', a: id('build/base#1') }]);
    expect(findingsOn(bare).some(({ severity }) => severity === 'stop')).toBe(true);
  });

  it('twenty tops: the nail grows thick, and the clock runs', () => {
    const tops = Array.from({ length: 20 }, (_, i) => element('finish', { id: `top-${i}`, finish: 'gloss' }));
    const set = setWearing([ground, ...tops]);
    const plan = planSet(set, QUICK);
    expect(plan.operations['left-ring'].filter(({ verb }) => verb === 'top')).toHaveLength(20);
    expect(codesOn(set).join()).toMatch(/thick|needless/);
  });
});

function contextOn(set: SetDocument) {
  return contextOf(set, 'left-ring');
}
