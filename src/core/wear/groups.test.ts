import { NAILS } from '../model/names';
import type { NailFacts, Worn } from '../model/wear';
import { groupsOf, stepOn } from './groups';
import { wornNails } from './held';

const facts = (build_name: string): NailFacts => ({
  build: 'natural-gel',
  build_name,
  look: null,
  length_mm: 15,
  bed_mm: 12,
  products: ['Base A', 'Velvet 04'],
  left_out: [],
  dehydrated: true,
  primed: true,
  buffed: true,
  primed_to_wet_s: 60,
  least_light: null,
  tip_spare_mm: null,
  capped: true,
  edge_mm: 0.7,
  cuticle_mm: 0.4,
  carries: 1,
  conditions: [],
  past_date: [],
  fixing_mm3: null,
});
const worn = (set: string, build: string, lifted: number): Worn => ({
  set,
  title: set,
  client: null,
  made_on: '2026-03-01',
  off_on: '2026-03-22',
  by: 'plan',
  practice: { primer: 'once' },
  nails: Object.fromEntries(
    NAILS.map((nail, i) => [
      nail,
      {
        facts: facts(build),
        notes:
          i < lifted
            ? [
                {
                  on: '2026-03-11',
                  what: 'lifted' as const,
                  at: null,
                  much: null,
                  felt: [],
                  note: '',
                  photo: null,
                  causes: [],
                },
              ]
            : [],
      },
    ]),
  ) as unknown as Worn['nails'],
});

describe('worn nails by what they are told apart by', () => {
  const all = wornNails([worn('a', 'Tips', 4), worn('b', 'Gel', 1), worn('c', 'Gel', 0)], '2026-04-01');

  it('stand in groups, the most first, each with what failed and what holds', () => {
    const groups = groupsOf(all, 'build');
    expect(groups.map(({ name, nails, failed }) => [name, nails.length, failed])).toEqual([
      ['Gel', 20, 1],
      ['Tips', 10, 4],
    ]);
    // By hand: four of ten fail on the tenth day, and six tenths hold beyond it.
    const tips = groups[1]!;
    expect(stepOn(tips.steps, 9)).toBeUndefined();
    expect(stepOn(tips.steps, 21)!.holds).toBeCloseTo(0.6, 10);
    expect(tips.median_days).toBeUndefined();
  });

  it('a nail counts for each product that is on it; what nobody tells apart by has no groups', () => {
    expect(groupsOf(all, 'product').map(({ name, nails }) => [name, nails.length])).toEqual([
      ['Base A', 30],
      ['Velvet 04', 30],
    ]);
    expect(groupsOf(all, 'moon')).toEqual([]);
  });
});
