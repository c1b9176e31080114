import { BUILDS, type Build } from '../craft/builds';
import { RESERVED_ELEMENTS } from '../craft/operation';
import { STARTS } from '../craft/starts';
import { REASONS } from '../craft/surfaces';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import type { Told } from '../judge/finding';
import { chance, type Chance } from '../model/chance';
import { NAILS } from '../model/names';
import type { Region } from '../regions';
import { runs } from '../testing/runs';
import { element, findingsOn, setWearing } from '../testing/sets';

/*
 * Looks that are right by docs/layering.md, on every build and start: grounds, then what lies on them, then what stands on that, each in a
 * family that holds there once it is made ready. None has a stop, whoever's step it is; and the test can tell whose it is.
 */

const TIP: Region = { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } };
const parts: readonly Region[] = [
  TIP,
  { kind: 'band', from: 0.2, to: 0.6 },
  { kind: 'oval', across: 0, along: 0.7, width_mm: 4, length_mm: 4, turn_deg: 0 },
];

/** An order on its own is at fault here where the program put the step in, or made it hold. */
function isOwn({ element: about, operation, code }: Told): boolean {
  const own = operation?.split('/')[1] ?? about ?? '';
  return (
    (RESERVED_ELEMENTS as readonly string[]).includes(own) || (REASONS as readonly string[]).includes(code)
  );
}

function rightLook(by: Chance, lacquer: boolean): Element[] {
  const list: Element[] = [];
  const maybe = (share: number, make: () => Element) => {
    if (by.next() < share) list.push({ ...make(), id: `e${list.length}` });
  };
  const part = () => by.pick(parts);
  if (lacquer) {
    maybe(0.9, () => element('colour', { product: 'lacquer-red' }));
    maybe(0.5, () => element('sheets', { what: 'sticker', region: part() }));
    return list;
  }
  const product = () =>
    by.pick(['velvet-04', 'ivory-02', 'sage-03', 'white-art', 'acrylic-blush', 'dip-rose', 'cover-a']);
  maybe(0.2, () => element('colour', { product: by.pick(['velvet-04', 'ivory-02']), seat: 'plate' }));
  maybe(0.9, () => element('colour', { product: product() }));
  maybe(0.3, () => element('ombre'));
  maybe(0.3, () => element('marbled', { region: part() }));
  maybe(0.3, () => element('glitter', { region: part(), tack: by.below(2) === 0 }));
  maybe(0.3, () => element('sheets', { region: part(), what: by.pick(['leaf', 'decal', 'stamp'] as const) }));
  maybe(0.4, () =>
    element('inlay', { clear: by.pick([null, null, 'acrylic-a']), halves: by.below(3) === 0 }),
  );
  maybe(0.15, () =>
    element('glitter', { region: part(), in_bed: list.some(({ kind }) => kind === 'inlay') }),
  );
  maybe(0.3, () => element('colour', { product: product(), region: part() }));
  maybe(0.3, () => element('french'));
  maybe(0.3, () => element('motif', { cure: by.pick(['all', 'each', 'groups'] as const) }));
  maybe(0.2, () =>
    element('flakes', {
      on: by.pick(['slick', 'tack', 'wet'] as const),
      left: by.pick(['closed', 'broken', 'gaps'] as const),
      manner: by.pick(['pressed', 'dabbed'] as const),
      region: part(),
    }),
  );
  maybe(0.3, () => element('powder', { region: part(), own_top: by.below(2) === 0 }));
  maybe(0.3, () => element('colour', { product: by.pick(['white-art', 'velvet-04']), region: part() }));
  maybe(0.5, () => element('finish', { finish: by.pick(['gloss', 'matte'] as const) }));
  maybe(0.2, () => element('relief', { seat: by.pick(['usual', 'surface'] as const), region: parts[2]! }));
  maybe(0.3, () =>
    element('crystals', { bedding: by.pick(['wet-top', 'bedded', 'stone-gel', 'glue', 'acrylic'] as const) }),
  );
  return list;
}

function rightSet(by: Chance): SetDocument {
  const build = by.pick(BUILDS);
  const start = by.pick(STARTS);
  return setWearing(rightLook(by, build.kind === 'natural-lacquer'), (set) => {
    const options = {
      ...('material' in build.fresh('x')
        ? {
            material: by.pick(
              build.kind === 'upper-mould'
                ? ['builder', 'putty', 'acrylic']
                : ['builder', 'putty', 'acrylic', 'powder'],
            ),
          }
        : {}),
      ...('art' in build.fresh('x')
        ? { art: by.pick(build.kind === 'soft-gel-tip' ? ['above'] : ['over', 'under']) }
        : {}),
      ...('part' in build.fresh('x') ? { part: by.pick(['whole', 'outer-half', 'stress-area']) } : {}),
      ...(build.kind === 'half-tip' ? { base: by.pick(['coat', 'plate', 'peel-off']) } : {}),
    };
    set.builds.push({ ...build.fresh('test'), ...options } as Build);
    set.practice.stone_top = by.pick(['around', 'over']);
    set.practice.base = by.pick(['leave', 'wipe']);
    set.practice.filed = by.pick(['colour', 'base']);
    for (const nail of NAILS) {
      set.nails[nail].build = 'test';
      set.nails[nail].start = start.fresh() as never;
    }
  });
}

it('300 right looks over all builds and starts have no stop that the program’s own step causes', () => {
  const told: string[] = [];
  for (let seed = 1; seed <= runs(40, 300); seed += 1) {
    const set = rightSet(chance(7100 + seed));
    const { kind } = set.builds.at(-1)!;
    for (const one of findingsOn(set, 'left-ring'))
      if (one.severity === 'stop' && isOwn(one))
        told.push(
          `${seed} ${kind}/${set.nails['left-ring'].start.kind} ${one.code}: ${one.message} ${one.reason.split('It meets')[1] ?? ''}`,
        );
  }
  expect(told).toEqual([]);
});
