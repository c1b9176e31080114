import { applyChange, type Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Edit } from '../document/edits';
import { NAILS } from '../model/names';
import { element, setWearing, QUICK } from '../testing/sets';
import { planSet } from './planSet';

/*
 * Eight plans an instructor would pass, each of a school or technique that is easily called wrong, and eight
 * small changes that spoil them. The schools are common practice.
 */

const every = (change: (nail: SetDocument['nails']['left-ring']) => void) => (set: SetDocument) => {
  for (const name of NAILS) change(set.nails[name]);
};
const onTips = every((nail) => (nail.build = 'tips'));
/** The same edits on every nail. */
const onAll = (set: SetDocument, edits: (op: (step: string) => string) => Edit[]) => {
  set.edits = NAILS.flatMap((name) => edits((step) => `${name}/${step}`));
};
const row = (along: number) =>
  element('inlay').pieces.map((piece) => ({ ...piece, along, length_mm: 2, width_mm: 0.8, turn_deg: 0 }));

const RIGHT: Record<string, () => SetDocument> = {
  'two-stage colour on the prepared plate, without base': () =>
    setWearing([element('colour', { product: 'coral-two-stage' })], (set) => {
      const natural = set.builds.find((build) => build.id === 'natural')!;
      if (natural.kind === 'natural-gel') natural.base = 'none';
    }),
  'three groups of pieces inside one clear': () =>
    setWearing(
      [
        element('colour'),
        element('inlay', { id: 'low', fit: 'keep', pieces: row(0.35) }),
        element('inlay', { id: 'middle', fit: 'keep', pieces: row(0.65) }),
        element('inlay', { id: 'high', fit: 'keep', pieces: row(0.95) }),
      ],
      onTips,
    ),
  'top, chrome, top': () =>
    setWearing([
      element('finish', { id: 'under', finish: 'gloss' }),
      element('colour', { id: 'chrome', product: 'mirror-silver', passes: 1 }),
      element('finish', { id: 'over', finish: 'gloss' }),
    ]),
  'art under a clear body': () =>
    setWearing(
      [
        element('colour', { product: 'rose-nude' }),
        element('french', { fit: 'keep' }),
        element('inlay', { fit: 'keep', pieces: row(0.5) }),
      ],
      onTips,
    ),
  'stones set in wet clear': () =>
    setWearing(
      [
        element('colour'),
        element('inlay', { fit: 'keep', cap: 'float', cap_um: 300, pieces: row(0.8).slice(0, 1) }),
        element('crystals', { id: 'stones', bedding: 'wet-top', sizes: ['SS5', 'SS3'] }),
      ],
      onTips,
    ),
  'a pressed tip with one cure': () => {
    const set = setWearing([element('colour')], onTips);
    onAll(set, (op) => [
      { kind: 'skip', a: op('build/flash-tip#1') },
      { kind: 'skip', a: op('build/spill#1') },
    ]);
    return set;
  },
  'a plate that is dull already': () =>
    setWearing([element('colour')], (set) => {
      every((nail) => (nail.start = { kind: 'bare', dull: true }))(set);
      // Another was soaked off, and needs no buffing either.
      set.nails['left-ring'].start = { kind: 'removal', product: 'gel', stones: false, soak_s: 600 };
      set.edits = [{ kind: 'skip', a: 'left-ring/prep/buff#1' }];
    }),
  'a fade over opaque colour': () =>
    setWearing([
      element('colour', { product: 'velvet-04' }),
      element('colour', {
        id: 'glaze',
        product: 'ivory-02',
        passes: 1,
        region: { kind: 'band', from: 0.8, to: 2 },
      }),
    ]),
};

/** Stops and warnings of one nail; what is the same on the other nine is no new finding. */
function told(set: SetDocument) {
  return planSet(set, QUICK).findings.filter((finding) => finding.severity !== 'note');
}

describe('right plans', () => {
  it.each(Object.entries(RIGHT))('%s: no stop, at most one warning', (_words, make) => {
    const findings = told(make());
    expect(findings.filter((finding) => finding.severity === 'stop').map((one) => one.message)).toEqual([]);
    const codes = new Set(findings.map((finding) => finding.code));
    expect([...codes].sort().slice(1)).toEqual([]);
  });
});

const skip = (step: string) => ({ kind: 'add-edit', edit: { kind: 'skip', a: step } }) as const;

describe('the same plans, each with a small mistake', () => {
  it.each<[keyof typeof RIGHT, string, (set: SetDocument) => Change, string]>([
    [
      'three groups of pieces inside one clear',
      'a cap as thin as the file takes',
      (set) => ({
        kind: 'many',
        changes: ['low', 'middle', 'high'].map((id, i) => ({
          kind: 'put-element',
          look: set.looks[0]!.id,
          element: element('inlay', {
            id,
            fit: 'keep',
            pieces: row(0.35 + 0.3 * i).map((piece) => ({ ...piece, thickness_mm: 0.1 })),
            cap_um: 160,
          }),
        })),
      }),
      'cap-thin',
    ],
    [
      'top, chrome, top',
      'the first top left out: powder breaks on a tacky base',
      () => skip('left-ring/under/coat#1'),
      'no-grip',
    ],
    [
      'art under a clear body',
      'the sticky layer left on before the file',
      () => skip('left-ring/body/wipe#1'),
      'tacky-filed',
    ],
    [
      'stones set in wet clear',
      'after the cure there is nothing to hold them',
      () => ({
        kind: 'many',
        changes: [
          {
            kind: 'add-edit',
            edit: {
              kind: 'move',
              a: 'left-ring/stones/set#1',
              side: 'after',
              b: 'left-ring/body/cure-cap#1',
            },
          },
        ],
      }),
      'needs-wet',
    ],
    [
      'a pressed tip with one cure',
      'no cure at all, on any nail',
      () => ({
        kind: 'many',
        changes: NAILS.map((name) => skip(`${name}/build/cure-tip#1`)),
      }),
      'wet-touched',
    ],
    [
      'a plate that is dull already',
      'a shiny one that nobody buffed',
      () => skip('right-ring/prep/buff#1'),
      'unprepared-plate',
    ],
    [
      'a fade over opaque colour',
      'the same glaze over the bare nail',
      (set) => ({ kind: 'remove-element', look: set.looks[0]!.id, element: 'colour' }),
      'see-through',
    ],
  ])('%s: %s', (plan, _words, change, code) => {
    const set = RIGHT[plan]!();
    if (plan === 'a plate that is dull already')
      set.nails['right-ring'].start = { kind: 'bare', dull: false };
    expect(told(set).map((finding) => finding.code)).not.toContain(code);
    const next = applyChange(set, change(set));
    if (!next.ok) throw new Error(next.faults[0]!.message);
    expect(told(next.value).map((finding) => finding.code)).toContain(code);
  });
});
