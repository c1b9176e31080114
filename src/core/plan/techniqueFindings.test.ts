import { buildKindOf, type Build } from '../craft/builds';
import { techniqueOf, type Element } from '../craft/techniques';
import { applyChange } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import type { FindingCode } from '../judge/codes';
import { NAILS, type NailName } from '../model/names';
import { element, islandInlay, pick, setWearing } from '../testing/sets';
import { planSet } from './planSet';

/*
 * What a technique can be told for, planned as an artist has it: a set that shows it, one beside it that is right, and the way out that
 * the plan offers, taken.
 */

const ON: readonly NailName[] = ['left-ring'];
const set = (
  elements: Element[],
  change: (set: SetDocument) => void = () => undefined,
  nails = ON,
): SetDocument => {
  const made = setWearing(elements, change);
  for (const name of NAILS) made.nails[name].in_work = nails.includes(name);
  return made;
};
const edits =
  (...said: ['skip', string][] | ['after', string, string][]) =>
  (one: SetDocument) => {
    one.edits = said.map(([kind, a, b]): Edit =>
      kind === 'skip'
        ? { kind, a: `left-ring/${a}` }
        : { kind: 'move', a: `left-ring/${a}`, side: 'after', b: `left-ring/${b}` },
    );
  };
const built =
  (kind: string, over: object = {}) =>
  (one: SetDocument) => {
    one.builds = [{ ...buildKindOf(kind).fresh('natural'), ...over } as Build];
  };
const variant = (kind: Element['kind'], key: string, over: object = {}) =>
  ({
    ...techniqueOf(kind)
      .also!.find((one) => one.key === key)!
      .fresh(kind, pick),
    ...over,
  }) as Element;

const ivory = element('colour', { id: 'ground', product: 'ivory-02' });
const gloss = element('finish', { id: 'gloss', finish: 'gloss' });
const matte = element('finish', { id: 'matte', finish: 'matte' });
const form = built('sculpted-form', { length_mm: 9 });
const acrylicForm = built('sculpted-form', { material: 'acrylic', length_mm: 8 });
const ridges = (height_um: number, count: number) =>
  element('relief', {
    height_um,
    region: {
      kind: 'lines',
      count,
      width_mm: 1.2,
      pitch_mm: 2,
      turn_deg: 0,
      across: 0,
      along: 1,
      crossed: false,
    },
  });
const plumTip = element('french', { product: 'plum-07', liner: null });
const onBed = variant('ombre', 'sponge-ombre', {
  region: { kind: 'bed', smile: { rise_mm: -1, depth_mm: 2, tilt_mm: 0 } },
});
const beads = (cover_um: number) =>
  element('glitter', { shape: 'round', size_mm: 0.5, thickness_um: 500, per_cm2: 120, fade: null, cover_um });
const marble = (over: Partial<Extract<Element, { kind: 'marbled' }>>) => element('marbled', over);
const twoOf = (product: string) => [
  { product, share: 0.5 },
  { product, share: 0.5 },
];
const dip = (how: 'usual' | 'sprinkled') =>
  marble({
    how,
    parts: [
      { product: 'dip-rose', share: 0.5 },
      { product: 'dip-white', share: 0.5 },
    ],
  });
const magnets = (change?: (set: SetDocument) => void) =>
  set([element('magnetic')], change, ['left-ring', 'left-middle']);

interface Case {
  code: FindingCode;
  what: string;
  wrong: SetDocument;
  right: SetDocument;
  /** What the way out says; null where there is none to take. */
  out: RegExp | null;
}

const CASES: Case[] = [
  {
    code: 'no-grip',
    what: 'mirror powder on tack',
    wrong: set([ivory, element('powder', { own_top: false })], edits(['skip', 'powder/top-under#1'])),
    right: set([ivory, element('powder', { own_top: false })]),
    out: /back|Do “|leave/i,
  },
  {
    code: 'no-grip',
    what: 'pearl powder on slick',
    wrong: set([ivory, gloss, element('pearl')], edits(['after', 'pearl/coat#1', 'gloss/cure#1'])),
    right: set([ivory, gloss, element('pearl')]),
    out: /thin base of its own|back in the craft/,
  },
  {
    code: 'powder-in-bottle',
    what: 'loose rest before a wet coat',
    wrong: set([ivory, element('glitter')], edits(['skip', 'glitter/loose-off#1'])),
    right: set([ivory, element('glitter')]),
    out: /after all|Brush the loose powder off/,
  },
  {
    code: 'foil-patchy',
    what: 'full foil without a gel for it',
    wrong: set([ivory, variant('sheets', 'foil', { gel: null })]),
    right: set([ivory, variant('sheets', 'foil')]),
    out: /foil gel/,
  },
  {
    code: 'no-grip',
    what: 'a decal by the stamper on matte',
    wrong: set([ivory, matte, variant('sheets', 'decal')], edits(['after', 'sheets/lay#1', 'matte/cure#1'])),
    right: set([ivory, matte, variant('sheets', 'decal', { what: 'slid' })]),
    out: /slide it on/,
  },
  {
    code: 'not-sealed',
    what: 'a decal whose edges stay open',
    wrong: set([ivory, variant('sheets', 'decal')], edits(['skip', 'top/coat#1'])),
    right: set([ivory, variant('sheets', 'decal')]),
    out: /back|Do “|leave/i,
  },
  {
    code: 'not-sealed',
    what: 'a sticker whose edges stay open',
    wrong: set([ivory, variant('sheets', 'sticker')], edits(['skip', 'top/coat#1'])),
    right: set([ivory, variant('sheets', 'sticker')]),
    out: /back|Do “|leave/i,
  },
  {
    code: 'beads-drowned',
    what: 'beads under thick clear',
    wrong: set([ivory, beads(400)]),
    right: set([ivory, beads(0)]),
    out: /no clear over the beads/,
  },
  {
    code: 'stones-topped',
    what: 'stones with top run over them: a note with its price',
    wrong: set([ivory, element('crystals')], (one) => (one.practice.stone_top = 'over')),
    right: set([ivory, element('crystals')]),
    out: null,
  },
  {
    code: 'grains-felt',
    what: 'grains too coarse for the film above',
    wrong: set([ivory, element('glitter', { size_mm: 0.8, thickness_um: 60, cover_um: 60 })]),
    right: set([ivory, element('glitter', { size_mm: 0.3, thickness_um: 20, cover_um: 120 })]),
    out: /of clear over the grains/,
  },
  {
    code: 'grains-felt',
    what: 'grains so coarse that no clear levels them',
    wrong: set([ivory, element('glitter', { size_mm: 1.2, thickness_um: 150, per_cm2: 40, cover_um: 60 })]),
    right: set([ivory, element('glitter', { size_mm: 0.3, thickness_um: 20, cover_um: 120 })]),
    out: /grains of 0.4 mm/,
  },
  {
    code: 'drifts',
    what: 'a whole nail of pieces under one press',
    wrong: set([ivory, element('inlay', { at_once: true })]),
    right: set([ivory, element('inlay')]),
    out: /few at a time/,
  },
  {
    code: 'filed-through',
    what: 'an island that the file goes into',
    wrong: set([islandInlay({ clear: 'acrylic-a', fit: 'keep', cap_um: 150, filing_um: 300 })], acrylicForm),
    right: set([islandInlay({ clear: 'acrylic-a', fit: 'keep' })], acrylicForm),
    out: /File no more than/,
  },
  {
    code: 'relief-drowned',
    what: 'relief under a thick top',
    wrong: set([
      ivory,
      { ...ridges(400, 3), seat: 'surface' } as Element,
      element('finish', { id: 'thick', finish: 'gloss', thick_um: 600 }),
    ]),
    right: set([ivory, { ...ridges(400, 3), seat: 'surface' } as Element, gloss]),
    out: /./,
  },
  {
    code: 'relief-at-walls',
    what: 'relief heavy at the walls',
    wrong: set([ivory, ridges(700, 7)]),
    right: set([ivory, ridges(700, 3)]),
    out: /outermost ridges/,
  },
  {
    code: 'marble-flat',
    what: 'a marble of parts alike',
    wrong: set([marble({ parts: twoOf('velvet-04') })]),
    right: set([marble({})]),
    out: /in its place/,
  },
  {
    code: 'marble-stirred',
    what: 'a marble stirred into one colour',
    wrong: set([marble({ mixed: 0.95 })]),
    right: set([marble({ mixed: 0.3 })]),
    out: /Stir it less/,
  },
  {
    code: 'marble-unlike',
    what: 'marbles of one look that come from two batches',
    wrong: set(
      [marble({})],
      (one) => (one.nails['left-middle'].changes = [{ element: 'marbled', options: { mixed: 0.5 } }]),
      ['left-ring', 'left-middle'],
    ),
    right: set([marble({})], undefined, ['left-ring', 'left-middle']),
    out: /same batch/,
  },
  {
    code: 'tray-in-turn',
    what: 'powders sprinkled one over the other',
    wrong: set([dip('sprinkled')], built('dip')),
    right: set([dip('usual')], built('dip')),
    out: /face down in the tray/,
  },
  {
    code: 'cuticle-thick',
    what: 'a marble with a coat of its own below it, over another colour of dip',
    wrong: set(
      [element('colour', { product: 'dip-rose' }), { ...dip('usual'), ground: true } as Element],
      built('dip'),
    ),
    right: set([{ ...dip('usual'), ground: false } as Element], built('dip', { layers: 2 })),
    out: /coat below the marble/,
  },
  {
    code: 'fade-short',
    what: 'a fade without overlap',
    wrong: set([
      element('ombre', {
        stops: [
          { product: 'velvet-04', at: 0.47 },
          { product: 'amber-11', at: 0.53 },
        ],
      }),
    ]),
    right: set([element('ombre')]),
    out: /./,
  },
  {
    code: 'dark-swallows',
    what: 'a dark colour that swallows a pale one',
    wrong: set([
      element('ombre', {
        stops: [
          { product: 'velvet-04', at: 0.1 },
          { product: 'ivory-02', at: 0.25 },
          { product: 'velvet-04', at: 0.4 },
        ],
      }),
    ]),
    right: set([
      element('ombre', {
        stops: [
          { product: 'velvet-04', at: 0 },
          { product: 'ivory-02', at: 0.5 },
          { product: 'velvet-04', at: 1 },
        ],
      }),
    ]),
    out: /./,
  },
  {
    code: 'spills-over-line',
    what: 'a sponge over a finished line',
    wrong: set([ivory, plumTip, onBed]),
    right: set([ivory, onBed, plumTip]),
    out: /./,
  },
  {
    code: 'magnet-weak',
    what: 'a weak magnet far off',
    wrong: set([element('magnetic', { pull: { form: 'round', strength: 'weak' }, distance_mm: 8 })]),
    right: set([element('magnetic', { pull: { form: 'round', strength: 'strong' }, distance_mm: 4 })]),
    out: /./,
  },
  {
    code: 'magnet-too-long',
    what: 'a magnet held too long',
    wrong: set([element('magnetic', { hold_s: 45 })]),
    right: set([element('magnetic', { hold_s: 15 })]),
    out: /./,
  },
  {
    code: 'magnet-near-wet',
    what: 'a magnet beside a wet neighbour',
    wrong: magnets(edits(['skip', 'magnetic/flash#1'])),
    right: magnets(),
    out: /Flash the left ring finger/,
  },
  {
    code: 'underside-bare',
    what: 'the bare underside of a clear extension',
    wrong: set([gloss], form),
    right: set([element('finish', { id: 'gloss', finish: 'gloss', underside: true })], form),
    out: /underside/,
  },
  {
    code: 'oil-before-layer',
    what: 'oil under a base that is to hold',
    wrong: set([ivory], (one) => {
      one.edits = [{ kind: 'before', a: 'left-ring/care/oil#1', b: 'left-ring/build/base#1' }];
    }),
    right: set([ivory], built('natural-gel', { base: 'handmade' })),
    out: /back in the craft/,
  },
  {
    code: 'valleys-bare',
    what: 'no top in the valleys of relief',
    wrong: set([
      ivory,
      element('relief', {
        seat: 'surface',
        height_um: 400,
        region: {
          kind: 'lines',
          count: 4,
          width_mm: 0.9,
          pitch_mm: 1.15,
          turn_deg: 0,
          across: 0,
          along: 1,
          crossed: false,
        },
      }),
      element('powder'),
    ]),
    right: set([ivory, { ...ridges(400, 3), seat: 'surface' } as Element, element('powder')]),
    out: /finer/,
  },
];

describe('what a technique can be told for', () => {
  it.each(CASES.map((one) => [one.what, one] as const))('%s', (_what, { code, wrong, right, out }) => {
    const effort = { iterations: 150 };
    const grave = (one: SetDocument) =>
      planSet(one, { effort, fixes: false }).findings.filter(({ code: told }) => told === code);
    const found = planSet(wrong, { effort }).findings.find((one) => one.code === code);
    expect(found?.reason.length ?? 0).toBeGreaterThan(40);
    expect(grave(right)).toEqual([]);
    if (out === null) {
      expect(found).toMatchObject({ severity: 'note' });
      expect(found!.fix).toBeUndefined();
      return;
    }
    expect(found!.fix?.words).toMatch(out);
    const next = applyChange(wrong, found!.fix!.change);
    if (!next.ok) throw new Error(next.faults[0]!.message);
    expect(grave(next.value)).toEqual([]);
  });
});
