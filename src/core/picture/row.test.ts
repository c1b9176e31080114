import { areaOf } from '../craft/area';
import { chance } from '../model/chance';
import { planNail } from '../plan/nailPlan';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import { layPlaces, measure, newRow } from './row';

const PX_PER_MM = 9;

it('what lies far from an edge is passed over, and every pixel has the share it has by itself', () => {
  let edges = 0;
  for (let seed = 1; seed <= runs(6, 60); seed += 1) {
    const { field } = planNail(randomSet(chance(700 + seed)), 'left-ring').nominal;
    const { frame } = field;
    const places = new Map(field.films.map(({ place }) => [JSON.stringify(place), areaOf(frame, place)]));
    const width = Math.ceil(frame.width_mm * PX_PER_MM);
    const row = newRow(frame, PX_PER_MM, width, 0, places.size);
    const everywhere = { left_mm: -Infinity, right_mm: Infinity, low_mm: -Infinity, high_mm: Infinity };
    const all = [...places.values()].map(({ distance_mm }) => ({ distance_mm, ...everywhere }));
    for (let y = 0.05; y < frame.length_mm; y += 0.61) {
      measure(row, frame, y, 0, width);
      layPlaces(row, all, 0, width);
      all.forEach(({ distance_mm }, p) => {
        row.x.forEach((x, i) => {
          const share = Math.max(0, Math.min(1, 0.5 + distance_mm(x, y) * PX_PER_MM));
          if (share > 0 && share < 1) edges += 1;
          if (row.shares[p]![i] !== share)
            expect([seed, [...places.keys()][p], x, y, row.shares[p]![i]]).toEqual([share]);
        });
      });
    }
  }
  expect(edges).toBeGreaterThan(500);
});
