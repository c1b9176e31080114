import { compileNail } from '../compile/compile';
import type { Element } from '../craft/techniques';
import { nominalSteps, simulateNail } from '../simulate/simulate';
import { element, setWearing } from '../testing/sets';
import { crosswise, lengthwise } from './section';

function cuts(elements: Element[], build: 'natural' | 'tips', done?: number) {
  const set = setWearing(elements, (one) => (one.nails['left-thumb'].build = build));
  const compiled = compileNail(set, 'left-thumb');
  const steps = nominalSteps(compiled.operations.slice(0, done));
  const { field } = simulateNail(compiled, build === 'tips' ? 'tip' : 'plate', steps);
  const { product } = compiled.context;
  return { field, along: lengthwise(field, product), across: crosswise(field, product), compiled };
}

describe('cuts through a nail', () => {
  it('name their films from the plate up, coats one by one', () => {
    const { along } = cuts([element('colour'), element('inlay', { fit: 'keep' })], 'tips');
    const words = along.films.map((film) => film.words);
    expect(words.slice(0, 3)).toEqual(['Base A', 'Fixing gel A', 'hollow']);
    expect(words.filter((word) => word === 'Velvet 04')).toHaveLength(2);
    expect(words[words.length - 1]).toBe('No-wipe top A');
  });

  it('show the plate where there is one: to the tip of a natural nail, short under a tip', () => {
    const natural = cuts([element('colour')], 'natural').along;
    expect(natural.plate_um.every((t) => t === 400)).toBe(true);
    const { along, field } = cuts([element('colour')], 'tips');
    const ends = along.plate_um.lastIndexOf(400);
    expect(along.at_mm[ends]!).toBeGreaterThan(field.frame.bed_mm - 0.5);
    expect(along.at_mm[ends]!).toBeLessThan(field.frame.bed_mm + 1);
    expect(along.plate_um[along.plate_um.length - 1]).toBe(0);
  });

  it('measure films without what stands out of them, so that a charm does not flatten the rest', () => {
    const bare = cuts([element('colour')], 'tips').along;
    const charmed = cuts([element('colour'), element('charm', { height_mm: 3 })], 'tips');
    const mask = charmed.along.films.find((film) => film.stands)!;
    expect(Math.max(...mask.t_um)).toBe(3000);
    expect(charmed.along.tallest_um).toBeLessThan(bare.tallest_um + 200);
    expect(charmed.across.films.filter((film) => film.stands)).toHaveLength(1);
  });

  it('run over the same scale: mm along both, the cross cut as wide as the chord', () => {
    const { along, across, field } = cuts([element('colour')], 'natural');
    const span = (at: number[]) => at[at.length - 1]! - at[0]!;
    expect(span(along.at_mm)).toBeCloseTo(field.frame.length_mm * (43 / 44), 1);
    expect(span(across.at_mm)).toBeGreaterThan(field.frame.width_mm * 0.9);
    expect(span(across.at_mm)).toBeLessThan(field.frame.width_mm);
    // The plate's face is highest in the middle and falls to both sidewalls by the C-curve.
    const ground = across.ground_mm;
    expect(Math.max(...ground)).toBeCloseTo(ground[13]!, 1);
    expect(ground[0]).toBeCloseTo(ground[27]!, 2);
  });

  it('tell wet from gelled and cured as the steps are played', () => {
    const phases = (done: number) =>
      cuts([element('colour')], 'natural', done).along.films.map((film) => film.phase);
    const { compiled } = cuts([element('colour')], 'natural');
    const at = (step: string) => compiled.operations.findIndex((one) => one.id.endsWith(step)) + 1;
    expect(phases(at('build/base#1'))).toEqual(['wet']);
    expect(phases(at('colour/coat#1'))).toEqual(['cured', 'wet']);
    expect(phases(at('top/cure#1'))).toEqual(['cured', 'cured', 'cured', 'cured']);
  });
});
