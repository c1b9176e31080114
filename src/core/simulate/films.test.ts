import fc from 'fast-check';
import { areaOf } from '../craft/area';
import { coatOf, DIRECTION_MARGIN } from '../craft/cure';
import { lampOf } from '../craft/families';
import { pieceOutline } from '../craft/pieces';
import type { Element } from '../craft/techniques';
import { compileNail, type Compiled } from '../compile/compile';
import type { SetDocument } from '../document/document';
import { NAILS, type NailName } from '../model/names';
import { SHAPES } from '../model/shapes';
import { chance } from '../model/chance';
import { element, findingsOn, setWearing } from '../testing/sets';
import { CELLS_X, CELLS_Y, CURED, height_um, NONE, type Film, type NailField } from './field';
import { thickness_um } from './layers';
import { nominalSteps, simulateNail } from './simulate';

/* Nails of many measures, with pieces buried where they may lie. */
const nail = fc.constantFrom<NailName>(...NAILS);
const shaped = fc
  .record({
    width: fc.integer({ min: 70, max: 170 }),
    arch: fc.integer({ min: 0, max: 40 }),
    bed: fc.integer({ min: 80, max: 160 }),
    shape: fc.constantFrom(...SHAPES),
    tip: fc.boolean(),
    cap: fc.integer({ min: 25, max: 90 }),
    thick: fc.integer({ min: 1, max: 30 }),
    along: fc.integer({ min: 3, max: 12 }),
  })
  .map(({ width, arch, bed, shape, tip, cap, thick, along }) => {
    const piece = { ...element('inlay').pieces[0]!, thickness_mm: thick / 100, length_mm: 3, width_mm: 2 };
    const inlay = element('inlay', {
      fit: 'keep',
      cap_um: cap * 10,
      pieces: [
        { ...piece, across: 0, along: along / 10 },
        { ...piece, across: -0.5, along: along / 12 },
      ],
    });
    return setWearing([element('colour'), inlay], (set) => {
      set.builds = set.builds.map((build) => ({ ...build, shape }));
      for (const name of NAILS) {
        const { plate } = set.nails[name];
        set.nails[name].plate = { ...plate, width_mm: width / 10, arch_mm: arch / 10, bed_mm: bed / 10 };
        set.nails[name].build = tip ? 'tips' : 'natural';
      }
    });
  });

function run(set: SetDocument, name: NailName, until?: (verb: string) => boolean) {
  const compiled = compileNail(set, name);
  const edge = set.nails[name].build === 'tips' ? 'tip' : 'plate';
  const end = until ? compiled.operations.findIndex((one) => until(one.verb)) : compiled.operations.length;
  const { field } = simulateNail(compiled, edge, nominalSteps(compiled.operations.slice(0, end)));
  return { compiled, field };
}

function volume_mm3(field: NailField, film: Film): number {
  return (film.t_um.reduce((sum, t) => sum + t, 0) / 1000) * field.grid.cell_mm2;
}

const column = (field: NailField, value: (cell: number) => number, i = 14) =>
  Array.from({ length: CELLS_Y }, (_, j) => value(j * CELLS_X + i)).filter(
    (_, j) => field.grid.inside[j * CELLS_X + i],
  );

describe('poured films', () => {
  it('keep the volume the brush brings, whatever lies below, to one part in a hundred', () => {
    fc.assert(
      fc.property(shaped, nail, (set, name) => {
        const { field } = run(set, name, (verb) => verb === 'file');
        const poured = field.films.filter((film) => film.level_um);
        expect(poured).toHaveLength(1);
        for (const film of poured) {
          expect(volume_mm3(field, film) / film.brought_mm3!).toBeGreaterThan(0.99);
          expect(volume_mm3(field, film) / film.brought_mm3!).toBeLessThan(1.01);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('of any kind have no step steeper than their own thickness over 0.3 mm, away from an edge', () => {
    fc.assert(
      fc.property(shaped, nail, (set, name) => {
        const { compiled, field } = run(set, name, (verb) => verb === 'file');
        const { grid } = field;
        for (const film of field.films) {
          if (film.kind !== 'film') continue;
          const most = film.t_um.reduce((a, b) => Math.max(a, b), 0);
          const { distance_mm } = areaOf(compiled.context.frame, film.place);
          const away = (i: number, j: number) =>
            grid.inside[j * CELLS_X + i] === 1 && distance_mm(grid.x[i]!, grid.y[j]!) > grid.pitch_mm;
          let steepest = 0;
          const plated = (cell: number) => grid.onPlate[cell] === 1 || !film.operation.includes('press-on');
          for (let j = 0; j + 1 < CELLS_Y; j += 1) {
            for (let i = 0; i + 1 < CELLS_X; i += 1) {
              const cell = j * CELLS_X + i;
              for (const [di, dj, d_mm] of [
                [1, 0, grid.dx_mm],
                [0, 1, grid.dy_mm],
              ] as const) {
                const next = (j + dj) * CELLS_X + i + di;
                if (!away(i, j) || !away(i + di, j + dj) || !plated(cell) || !plated(next)) continue;
                const step = Math.abs(film.t_um[next]! - film.t_um[cell]!);
                steepest = Math.max(steepest, (step - 1) / d_mm);
              }
            }
          }
          expect(steepest).toBeLessThanOrEqual(most / 0.3);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('are smooth above: no cliff at the skin, no pit over what is buried', () => {
    fc.assert(
      fc.property(shaped, nail, (set, name) => {
        const { field } = run(set, name, (verb) => verb === 'file');
        const cap = field.films.find((film) => film.level_um)!;
        const most = cap.t_um.reduce((a, b) => Math.max(a, b), 0);
        // Feathered: the first row at the skin holds less than a third of it.
        expect(column(field, (cell) => cap.t_um[cell]!)[0]!).toBeLessThan(most / 3);
        const surface = column(field, (cell) => height_um(field, cell));
        // Where no piece stands out of the cap, the surface bends gently: no second difference of a step.
        const proud = column(field, (cell) => height_um(field, cell) - cap.level_um![cell]!).some(
          (p) => p > 5,
        );
        if (proud) return;
        // Past the shoulder where the film runs out to the skin, which is 1.5 mm long, however long the nail is.
        const past = Math.ceil(1.5 / field.grid.dy_mm) + 1;
        for (let j = past; j + 2 < surface.length; j += 1) {
          expect(Math.abs(surface[j + 1]! - 2 * surface[j]! + surface[j - 1]!)).toBeLessThan(
            Math.max(25, most * 0.06),
          );
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a second cap fills what the first left uneven instead of repeating it', () => {
    const set = setWearing([element('colour'), element('inlay')]);
    const { compiled } = run(set, 'left-ring');
    const until = compiled.operations.findIndex((one) => one.verb === 'wipe' && one.element === 'body');
    const steps = nominalSteps(compiled.operations.slice(0, until));
    const cap = compiled.operations.findIndex((one) => one.verb === 'cap');
    const again = simulateNail(compiled, 'plate', [...steps, ...steps.slice(cap, cap + 2)]).field;
    const [first, second] = again.films.filter((film) => film.level_um) as [Film, Film];
    const bends = (upTo: Film) => {
      const heights = column(again, (cell) => height_um(again, cell, again.films.indexOf(upTo) + 1));
      return Math.max(
        ...heights.slice(6, -3).map((h, k) => Math.abs(heights[k + 7]! - 2 * h + heights[k + 5]!)),
      );
    };
    expect(bends(second)).toBeLessThan(bends(first) + 20);
    expect(bends(second)).toBeLessThan(45);
  });
});

describe('filing', () => {
  it('follows the surface down and blends to the edge, without a step', () => {
    fc.assert(
      fc.property(shaped, nail, (set, name) => {
        const before = run(set, name, (verb) => verb === 'file').field;
        const { compiled } = run(set, name);
        const end = compiled.operations.findIndex((one) => one.verb === 'file') + 1;
        const edge = set.nails[name].build === 'tips' ? 'tip' : 'plate';
        const after = simulateNail(compiled, edge, nominalSteps(compiled.operations.slice(0, end))).field;
        const off = column(before, (cell) => thickness_um(before, cell) - thickness_um(after, cell));
        for (let j = 0; j < off.length; j += 1) {
          expect(off[j]!).toBeGreaterThanOrEqual(-0.01);
          // From row to row the file's depth changes by no more than a third of a millimetre.
          if (j > 0) expect(Math.abs(off[j]! - off[j - 1]!)).toBeLessThan(334);
        }
        // At the very edge it is as thin as the practice says, or the file has come near the colour.
        const edge_um = 1000 * set.practice.edge_mm;
        const clearAt = (cell: number) => {
          let clear = 0;
          for (const film of [...after.films].reverse()) {
            if (film.t_um[cell]! > 0 && (film.paint || film.pieces)) break;
            clear += film.kind === 'hollow' ? 0 : film.t_um[cell]!;
          }
          return clear;
        };
        const thick = column(after, (cell) => thickness_um(after, cell)).slice(-2);
        const clear = column(after, clearAt).slice(-2);
        thick.forEach((t, k) => expect(t <= edge_um + 10 || clear[k]! <= 60).toBe(true));
      }),
      { numRuns: 30 },
    );
  });

  it('names what it goes into, touched or taken away', () => {
    const through = (over: Partial<Extract<Element, { kind: 'inlay' }>>) =>
      findingsOn(setWearing([element('colour'), element('inlay', over)])).find(
        (finding) => finding.code === 'filed-through',
      )?.message;
    const proud = { ...element('inlay').pieces[0]!, across: 0, along: 0.7, thickness_mm: 0.3, stiffness: 1 };
    expect(through({ pieces: [proud], cap_um: 250, filing_um: 150 })).toMatch(/will reach the pieces/);
    expect(through({ cap_um: 60, filing_um: 150 })).toMatch(/the colour/);
    expect(through({ cap_um: 60, filing_um: 500 })).toMatch(/the base.*the natural plate/);
    expect(through({})).toBeUndefined();
  });
});

describe('light and sealing, against a scalar walk', () => {
  /** One column walked as numbers: every film's dose from its own list of lamps, no grid, no table. */
  function walk(compiled: Compiled, field: NailField, cell: number): string[] {
    const { product } = compiled.context;
    const lit: { at: number; seconds: number }[] = [];
    const laid = new Map<string, number>();
    compiled.operations.forEach((operation, at) => {
      if (operation.lamp) lit.push({ at, seconds: operation.lamp.seconds });
      if (operation.deposit) laid.set(operation.id, at);
    });
    return field.films
      .map((film, f) => ({ film, f }))
      .filter(({ film }) => film.kind === 'film' && film.phase[cell] !== NONE)
      .map(({ film, f }) => {
        const made = product(film.product!);
        const lamp = lampOf(made)!;
        const from = laid.get(film.operation)!;
        let dose = 0;
        for (const { at, seconds } of lit) {
          if (at < from) continue;
          let through = 0;
          for (const above of field.films.slice(f)) {
            if (laid.get(above.operation)! > at || above.kind === 'hollow' || above.kind === 'pieces')
              continue;
            const depth = above.kind === 'tip' ? 4000 : lampOf(product(above.product!))!.depth_um;
            through += above.t_um[cell]! / depth;
          }
          dose += seconds * Math.exp(-through);
        }
        const need = DIRECTION_MARGIN * lamp.cure_s * Math.exp(-coatOf(made) / lamp.depth_um);
        return dose >= need * (1 - 1e-5) ? 'cured' : 'not cured';
      });
  }

  it('every film is cured where the walk says so, and nowhere else', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const by = chance(seed);
        const set = setWearing([
          element('colour', { product: by.pick(['velvet-04', 'ivory-02', 'blush-sheer']) }),
          element('french', { fit: 'keep' }),
        ]);
        for (const product of set.kit.products) {
          if (product.lamp) product.lamp.depth_um = 30 + by.below(500);
        }
        const name = by.pick(NAILS);
        const { operations } = compileNail(set, name);
        // A few cures left out, so that some films stay uncured.
        set.edits = operations
          .filter((one) => one.lamp && by.below(3) === 0)
          .map((one) => ({ kind: 'skip' as const, a: one.id }));
        const { compiled, field } = run(set, name);
        for (const cell of [22 * CELLS_X + 14, 10 * CELLS_X + 9, 38 * CELLS_X + 14]) {
          if (!field.grid.inside[cell]) continue;
          const simulated = field.films
            .filter((film) => film.kind === 'film' && film.phase[cell] !== NONE)
            .map((film) => (film.phase[cell] === CURED ? 'cured' : 'not cured'));
          expect(simulated).toEqual(walk(compiled, field, cell));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('pieces are called open just where points on them lie under no film', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const by = chance(seed);
        const piece = {
          ...element('inlay').pieces[0]!,
          across: by.below(21) / 10 - 1,
          along: by.below(15) / 10,
          length_mm: 1 + by.below(30) / 10,
          turn_deg: by.below(36) * 5,
        };
        const set = setWearing([element('colour'), element('inlay', { fit: 'keep', pieces: [piece] })]);
        const { compiled } = run(set, 'left-middle');
        const at = compiled.operations.findIndex((one) => one.verb === 'place');
        const deposit = compiled.operations[at]!.deposit;
        if (deposit?.kind !== 'pieces') throw new Error('nothing placed');
        const films = compiled.operations
          .slice(at + 1)
          .filter((one) => one.deposit && one.deposit.kind !== 'pieces')
          .map((one) => areaOf(compiled.context.frame, one.place));
        const outline = pieceOutline(deposit.pieces[0]!);
        // Points along the edge and towards the middle: the share of them that nothing covers.
        const middle = deposit.pieces[0]!;
        let open = 0;
        let all = 0;
        outline.forEach((corner, i) => {
          const next = outline[(i + 1) % outline.length]!;
          for (let t = 0; t < 1; t += 0.05) {
            for (let s = 0.05; s < 1; s += 0.1) {
              const x = middle.x_mm + s * (corner.x + t * (next.x - corner.x) - middle.x_mm);
              const y = middle.y_mm + s * (corner.y + t * (next.y - corner.y) - middle.y_mm);
              all += s;
              if (films.every((film) => film.distance_mm(x, y) < 0)) open += s;
            }
          }
        });
        const open_mm2 = (open / all) * middle.width_mm * middle.length_mm;
        const told = findingsOn(set, 'left-middle').some((finding) => finding.code === 'not-sealed');
        if (open_mm2 > 0.25) expect(told).toBe(true);
        if (open_mm2 < 0.02) expect(told).toBe(false);
      }),
      { numRuns: 80 },
    );
  });
});
