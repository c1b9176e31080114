import type { Element } from '../craft/techniques';
import { element, findingsOn, setWearing } from '../testing/sets';
import { planNail } from './nailPlan';

/* Fine stones in the last wet coat of a colour, cured with it, the top around them (common practice). */

const NAIL = 'left-ring';
const stones = element('stones', { bedding: 'wet-colour' });

const steps = (look: Element[]) =>
  planNail(setWearing(look), NAIL)
    .compiled.operations.filter(({ element: of }) => !['prep', 'build', 'care'].includes(of))
    .map(({ id }) => id.slice(NAIL.length + 1));
const told = (look: Element[]) =>
  findingsOn(setWearing(look), NAIL)
    .filter(({ severity }) => severity !== 'note')
    .map(({ code }) => code);

describe('what is set in wet colour', () => {
  it.each<[string, Element]>([
    ['stones', stones],
    ['crystals', element('crystals', { bedding: 'wet-colour' })],
    ['charm', element('charm', { bedding: 'wet-colour', metallic: false })],
  ])('%s go into the last coat before its light, and the top goes around them', (kind, one) => {
    expect(steps([element('colour'), one])).toEqual([
      'colour/coat#1',
      'colour/cure#1',
      'colour/coat#2',
      `${kind}/set#1`,
      'colour/cure#2',
      'top/coat#1',
      'top/cure#1',
    ]);
    const { operations } = planNail(setWearing([element('colour'), one]), NAIL).compiled;
    expect(operations.find(({ id }) => id.endsWith('top/coat#1'))!.words).toContain(' around the ');
    expect(told([element('colour'), one])).toEqual([]);
  });

  it('goes into the colour that lies uppermost there, an ombre or a wash as well', () => {
    const over = element('colour', { id: 'over', product: 'ivory-02' });
    const line = steps([element('colour'), over, stones]);
    expect(line.indexOf('stones/set#1')).toBe(line.indexOf('over/coat#3') + 1);
    expect(told([element('ombre'), stones])).toEqual([]);
  });

  it('is told where no colour is wet for it, or one is laid over it later', () => {
    expect(told([stones])).toContain('needs-wet');
    const later = element('colour', { id: 'later', product: 'ivory-02', passes: 1 });
    expect(told([element('colour'), stones, later])).toContain('needs-wet');
  });

  it('waits for no colour that does not reach it', () => {
    const tip = element('french', { id: 'tip' });
    const low = element('stones', {
      bedding: 'wet-colour',
      stones: [{ size: 'SS5', across: 0, along: 0.3, colour: '#eef3f6' }],
    });
    const line = steps([element('colour'), tip, low]);
    expect(line[line.indexOf('stones/set#1') - 1]).toBe('colour/coat#2');
    expect(told([element('colour'), tip, low])).toEqual([]);
  });
});
