import { areaOf } from '../craft/area';
import { parseSet, writeSetText } from '../document/parse';
import type { SetDocument } from '../document/document';
import { faultLine } from '../model/result';
import { planNail } from '../plan/nailPlan';
import { NONE } from '../simulate/field';
import { element, findingsOn, setWearing } from '../testing/sets';
import { compileNail } from './compile';

const heart = element('colour', {
  id: 'heart',
  passes: 1,
  region: { kind: 'oval', across: 0.3, along: 0.8, width_mm: 5, length_mm: 6, turn_deg: 0 },
});
const dots = (outside: boolean) =>
  element('colour', {
    id: 'dots',
    product: 'ivory-02',
    passes: 1,
    region: {
      kind: 'dots',
      rows: 12,
      columns: 8,
      dot_mm: 0.8,
      pitch_mm: 1.2,
      turn_deg: 0,
      across: 0,
      along: 1,
      staggered: false,
    },
    within: { element: 'heart', outside },
  });
const faultOf = (set: SetDocument) => {
  const parsed = parseSet(JSON.parse(writeSetText(set)));
  return parsed.ok ? 'accepted' : faultLine(parsed.faults[0]!);
};

describe('an element that is kept on another', () => {
  it.each([false, true])('lies nowhere but there (beside it: %s), on either hand', (outside) => {
    for (const nail of ['left-ring', 'right-ring'] as const) {
      const { nominal, compiled } = planNail(setWearing([heart, dots(outside)]), nail);
      const of = (id: string) => compiled.operations.find((one) => one.element === id && one.deposit)!;
      const ground = areaOf(compiled.context.frame, of('heart').place);
      const film = nominal.field.films.find(({ operation }) => operation === of('dots').id)!;
      let covered = 0;
      film.phase.forEach((phase, cell) => {
        if (phase === NONE) return;
        covered += 1;
        const { grid } = nominal.field;
        const into = ground.distance_mm(grid.x[cell % 28]!, grid.y[Math.floor(cell / 28)]!);
        // A cell at the edge is covered in part.
        expect(outside ? -into : into).toBeGreaterThan(-grid.pitch_mm);
      });
      expect(covered).toBeGreaterThan(10);
    }
  });

  it('is a pattern on it: nothing is said of pale over dark, or of a shape that cannot be seen', () => {
    expect(
      findingsOn(
        setWearing([element('colour', { id: 'ground', product: 'rose-nude' }), heart, dots(false)]),
        'left-middle',
      ).map(({ code }) => code),
    ).not.toEqual(expect.arrayContaining([expect.stringMatching(/pale-after-dark|art-hidden/)]));
  });

  it('goes with it, when it is moved', () => {
    const moved = { ...heart, region: { ...heart.region, along: 1.2 } } as typeof heart;
    const place = (set: SetDocument) =>
      compileNail(set, 'left-ring').operations.find((one) => one.element === 'dots' && one.deposit)!.place;
    expect(place(setWearing([moved, dots(false)])).within![0]!.place.region).toEqual(moved.region);
  });

  it('on what is not there, on itself, or round in a circle is refused where it says so', () => {
    expect(faultOf(setWearing([dots(false)]))).toMatch(/within\.element.*no element "heart" in this look/);
    const self = { ...heart, within: { element: 'heart', outside: false } };
    expect(faultOf(setWearing([self]))).toMatch(/within\.element.*leads back to itself/);
    const circle = { ...heart, within: { element: 'dots', outside: true } };
    expect(faultOf(setWearing([circle, dots(false)]))).toMatch(/leads back to itself/);
    expect(faultOf(setWearing([heart, dots(false)]))).toBe('accepted');
  });
});
