import { FINGERS, type NailName } from '../model/names';
import { cellX, cellY, CELLS_X, type NailField } from '../simulate/field';
import { chance } from '../model/chance';
import { randomSet } from '../testing/randomLooks';
import { planNail } from './nailPlan';

/** Cell that lies as far to the other side of the middle. */
const across = (cell: number) => cellY(cell) * CELLS_X + (CELLS_X - 1 - cellX(cell));

const heights = (field: NailField) =>
  field.films.map((film) => [film.kind, film.product, film.t_um] as const);

describe('the two hands', () => {
  it('of one anatomy that wear one look are built as mirror images, film by film', () => {
    let films = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const set = randomSet(chance(seed));
      set.edits = [];
      for (const element of set.looks.flatMap((look) => look.elements))
        if ('hand' in element) element.hand = 'mirror';
      // Letters read the same way on both.
      for (const element of set.looks.flatMap((look) => look.elements)) {
        if ('region' in element && element.region.kind === 'letters') element.region = { kind: 'whole' };
        if ('island' in element && element.island?.kind === 'letters') element.island = null;
      }
      const finger = FINGERS[seed % FINGERS.length]!;
      const [left, right]: [NailName, NailName] = [`left-${finger}`, `right-${finger}`];
      set.nails[right] = structuredClone(set.nails[left]);
      const here = planNail(set, left);
      const there = planNail(set, right);
      const plain = (name: NailName, ids: readonly { id: string }[]) =>
        ids.map((one) => one.id.slice(name.length));
      expect(plain(right, there.compiled.operations)).toEqual(plain(left, here.compiled.operations));
      const a = heights(here.nominal.field);
      const b = heights(there.nominal.field);
      expect(b.length).toBe(a.length);
      a.forEach(([kind, product, t_um], i) => {
        expect([b[i]![0], b[i]![1]]).toEqual([kind, product]);
        let sum = 0;
        let apart = 0;
        t_um.forEach((t, cell) => {
          sum += t;
          apart += Math.abs(t - b[i]![2][across(cell)]!);
        });
        // A cell whose middle lies on a curve may fall to either side.
        expect(apart).toBeLessThanOrEqual(0.03 * sum + 500);
        films += 1;
      });
    }
    expect(films).toBeGreaterThan(60);
  });
});
