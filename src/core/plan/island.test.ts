import { buildKindOf, type Build } from '../craft/builds';
import { FRESH_ISLAND } from '../craft/island';
import type { Element } from '../craft/techniques';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import type { NailField } from '../simulate/field';
import { element, findingsOn, islandInlay, setWearing } from '../testing/sets';
import { planNail } from './nailPlan';

/* Islands as the trade makes them (common practice): hard first, the build laid about them, filed back to a clean outline. */

const NAIL = 'left-ring';

const island = (over: Parameters<typeof islandInlay>[0] = {}) => islandInlay({ clear: 'acrylic-a', ...over });
const inPlum = element('built', { stops: [{ product: 'acrylic-plum', at: 0.5 }] });

function onForm(elements: Element[], change: (set: SetDocument) => void = () => undefined): SetDocument {
  return setWearing(elements, (set) => {
    set.builds = [
      { ...buildKindOf('sculpted-form').fresh('build'), material: 'acrylic', length_mm: 8 } as Build,
    ];
    for (const nail of NAILS) set.nails[nail].build = 'build';
    change(set);
  });
}

const told = (set: SetDocument, nail: NailName = NAIL) =>
  findingsOn(set, nail)
    .filter(({ severity }) => severity !== 'note')
    .map(({ code }) => code);

/** Cells of the island's cap; how thick the build lies over each. */
function overIsland({ films }: NailField): number[] {
  const cap = films.find(({ operation }) => operation.includes('/island-cap'))!;
  const build = films.find(({ operation }) => operation.includes('/body/cap'))!;
  return [...cap.t_um.keys()].flatMap((cell) => (cap.t_um[cell]! > 0 ? [build.t_um[cell]!] : []));
}

describe('an island', () => {
  it('is hard before the build is laid about it in its colour, on what is clear; the file bares it, and it is quiet', () => {
    const set = onForm([inPlum, island({ fit: 'keep' })]);
    const { compiled, nominal } = planNail(set, NAIL);
    const steps = compiled.operations
      .filter(({ product }) => product?.startsWith('acrylic'))
      .map(({ id, product }) => `${id.split('/').slice(1).join('/')} ${product}`);
    expect(steps).toEqual([
      'build/sculpt#1 acrylic-a',
      'inlay/island-bed#1 acrylic-a',
      'inlay/island-cap#1 acrylic-a',
      'body/cap#1 acrylic-plum',
    ]);
    const over = overIsland(nominal.field);
    // An ellipse of 7 × 10 mm has 55 mm²; cells are wholly in it or not.
    const area_mm2 = over.length * nominal.field.grid.cell_mm2;
    expect(area_mm2).toBeGreaterThan(0.9 * Math.PI * 3.5 * 5);
    expect(area_mm2).toBeLessThan(1.15 * Math.PI * 3.5 * 5);
    expect(over.every((t_um) => t_um === 0)).toBe(true);
    for (const nail of ['left-ring', 'right-thumb', 'left-little'] as const)
      expect(told(set, nail)).toEqual([]);
  });

  it('lies hidden where the file is left out, and that is told', () => {
    const set = onForm([inPlum, island()], (one) => {
      one.edits = [{ kind: 'skip', a: `${NAIL}/body/file#1` }];
    });
    const over = overIsland(planNail(set, NAIL).nominal.field);
    expect(Math.min(...over)).toBeGreaterThan(30);
    expect(told(set)).toContain('art-hidden');
  });

  it('has no bed for pieces past its outline: told, whatever lies beside it', () => {
    expect(told(onForm([inPlum, island({ pieces: element('inlay').pieces })]))).toContain('needs-wet');
  });

  it.each(['natural-builder', 'natural-gel', 'tips'])(
    'on %s it is of builder, framed in builder',
    (build) => {
      const set = setWearing([island({ clear: null })], (one) => {
        one.builds.push({ ...buildKindOf('natural-builder').fresh('natural-builder') } as Build);
        one.builds.push({ ...buildKindOf('natural-gel').fresh('natural-gel') } as Build);
        for (const nail of NAILS) one.nails[nail].build = build;
      });
      expect(told(set)).toEqual([]);
      expect(overIsland(planNail(set, NAIL).nominal.field).every((t_um) => t_um === 0)).toBe(true);
    },
  );

  it('beside pieces of the nail’s own leaves their bed to them, and is told by its own', () => {
    const { operations } = planNail(onForm([island(), element('inlay', { id: 'all' })]), NAIL).compiled;
    const beds = operations.filter(({ verb }) => verb === 'bed').map(({ id }) => id.split('/')[1]);
    expect(beds.sort()).toEqual(['body', 'inlay']);
    expect(operations.find(({ id }) => id.endsWith('/body/file#1'))!.removal!.bares).toEqual(['inlay']);
  });

  it('is the mirror image on the other hand', () => {
    const aside = island({ island: { ...FRESH_ISLAND, across: 0.2 } });
    const set = onForm([inPlum, aside]);
    const middle = (nail: NailName) => {
      const { grid, films } = planNail(set, nail).nominal.field;
      const cap = films.find(({ operation }) => operation.includes('/island-cap'))!;
      const width = grid.x.length;
      let [sum, of] = [0, 0];
      cap.t_um.forEach((t_um, cell) => {
        sum += t_um * grid.x[cell % width]!;
        of += t_um;
      });
      return sum / of;
    };
    expect(middle('left-ring')).toBeGreaterThan(0.5);
    expect(middle('right-ring')).toBeCloseTo(-middle('left-ring'), 2);
  });
});
