import { HOLDINGS, type HoldingName } from '../craft/holdings';
import { STONE_BEDDING, type StoneBedding } from '../craft/techniques/stones';
import type { SetDocument } from '../document/document';
import { NAILS } from '../model/names';
import { WET } from '../simulate/field';
import { element, setWearing } from '../testing/sets';
import { planNail } from './nailPlan';
import { planSet } from './planSet';

/* Every way of holding a stone or a charm that an artist can choose (common practice): set, hard in the end, and told apart on the card. */

const NAIL = 'left-ring';
const alone = (set: SetDocument) => {
  for (const name of NAILS) set.nails[name].in_work = name === NAIL;
  return set;
};
const told = (set: SetDocument) =>
  planSet(set, { fixes: false, effort: { iterations: 200 } })
    .findings.filter((one) => one.severity !== 'note')
    .map((one) => one.code);

/** Acrylic holds on keyed acrylic only. */
const onGel = (bedding: string) => bedding !== 'acrylic';

const OF_STONES = STONE_BEDDING.options.filter(onGel);
const OF_CHARMS = (Object.keys(HOLDINGS) as HoldingName[]).filter(onGel);

describe('ways of holding', () => {
  it.each<[string, StoneBedding | HoldingName, Parameters<typeof setWearing>[0][number]]>(
    [
      ...OF_STONES.map((one) => ['a row of stones', one, element('crystals', { bedding: one })] as const),
      ...OF_STONES.map((one) => ['single stones', one, element('stones', { bedding: one })] as const),
      ...OF_CHARMS.map(
        (one) => ['a charm', one, element('charm', { bedding: one, metallic: false })] as const,
      ),
    ].map((one) => [...one]),
  )('%s, %s: nothing of it is soft in the end, and nothing is found', (_words, _way, art) => {
    const set = alone(setWearing([element('colour'), art]));
    const { nominal } = planNail(set, NAIL);
    for (const film of nominal.field.films)
      if (film.kind === 'film')
        expect([film.operation, film.phase.includes(WET)]).toEqual([film.operation, false]);
    expect(told(set)).toEqual([]);
  });

  it('thick gel is cured with the top about it: no light of its own, and none of it below the top', () => {
    const set = alone(setWearing([element('colour'), element('crystals', { bedding: 'stone-gel' })]));
    const { compiled, nominal } = planNail(set, NAIL);
    const verbs = compiled.operations.map((one) => one.verb);
    const at = verbs.indexOf('bead');
    expect(verbs.slice(at, at + 4)).toEqual(['bead', 'set-in-bead', 'top', 'cure']);
    const [spot, top] = ['/crystals/bead', '/top/coat'].map((step) =>
      nominal.field.films.find((film) => film.operation.includes(step))!,
    );
    spot!.t_um.forEach((t, cell) => {
      if (t > 0 && top!.t_um[cell]! > 0) expect(t).toBeLessThan(Math.max(...spot!.t_um));
    });
    // The light left out, it is told.
    set.edits = [{ kind: 'skip', a: `${NAIL}/top/cure#1` }];
    expect(told(set)).toContain('under-cured');
  });

  it('what is cured with the top is laid right before it, whatever art is listed over it', () => {
    const set = alone(
      setWearing([
        element('colour'),
        element('crystals', { bedding: 'stone-gel' }),
        element('french'),
        element('finish'),
      ]),
    );
    const line = planNail(set, NAIL).compiled.operations.map((one) => one.element);
    const at = line.lastIndexOf('crystals');
    expect(line[at + 1]).toBe('finish');
    expect(line.lastIndexOf('french')).toBeLessThan(line.indexOf('crystals'));
    expect(told(set)).toEqual([]);
  });

  it('on a top that is hard already it has a light of its own', () => {
    const set = alone(
      setWearing([element('colour'), element('crystals', { bedding: 'stone-gel', seat: 'over' })]),
    );
    const verbs = planNail(set, NAIL).compiled.operations.map((one) => one.verb);
    const at = verbs.indexOf('set-in-bead');
    expect(verbs.indexOf('top')).toBeLessThan(at);
    expect(verbs[at + 1]).toBe('cure');
    // As any bead of gel it wants a top that is keyed, under the stones alone.
    const key = planNail(set, NAIL).compiled.operations.find((one) => one.step === 'key-under')!;
    expect(key.place.around).toHaveLength(5);
    expect(told(set)).toEqual([]);
  });

  it('the card says what the top goes round', () => {
    const words = (...art: Parameters<typeof setWearing>[0]) =>
      planNail(setWearing([element('colour'), ...art]), NAIL).compiled.operations.find(
        (one) => one.verb === 'top',
      )!.words;
    const stones = element('crystals', { bedding: 'bedded' });
    const charm = element('charm', { bedding: 'gel', metallic: false, along: 1.2 });
    expect(words(stones)).toMatch(/around the stones$/);
    expect(words(charm)).toMatch(/around the charm$/);
    expect(words(stones, charm)).toMatch(/around the stones and charm$/);
  });
});
