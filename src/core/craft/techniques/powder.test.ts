import { compileNail } from '../../compile/compile';
import { codesOn, colourOn, element, findingsOn, setWearing } from '../../testing/sets';

const under = colourOn('natural-gel');
const mirrored = (options: object, change?: Parameters<typeof setWearing>[1]) =>
  setWearing([under, element('powder', options)], change);
const cures = (options: object) =>
  compileNail(mirrored(options), 'left-ring')
    .operations.filter((one) => one.lamp)
    .map(({ words, lamp }) => `${words}: ${lamp!.seconds} s`);

describe('mirror powder', () => {
  it('lies on a top of its own, cured its whole time', () => {
    expect(cures({})).toContain('Cure No-wipe top A: 60 s');
    expect(codesOn(mirrored({}))).toEqual([]);
  });

  it('in another school that top is cured half its time, and no one is told of it: the seal cures it to the end', () => {
    expect(cures({ top_cure: 'short' })).toContain('Cure No-wipe top A short: 30 s');
    expect(codesOn(mirrored({ top_cure: 'short' }))).toEqual([]);
  });

  it('without the seal’s cure that top is told as soft below', () => {
    const open = mirrored({ top_cure: 'short' }, (set) => {
      const seal = compileNail(set, 'left-ring').operations.findLast((one) => one.verb === 'top');
      const cure = compileNail(set, 'left-ring').operations.findLast((one) => one.verb === 'cure');
      set.edits = [
        { kind: 'skip', a: seal!.id },
        { kind: 'skip', a: cure!.id },
      ];
    });
    const soft = findingsOn(open).filter(({ code }) => code === 'under-cured');
    expect(soft.map(({ message }) => message).join()).toMatch(/No-wipe top A/);
  });

  it('a look with a top of its own has no say over it', () => {
    expect(cures({ own_top: false, top_cure: 'short' }).join()).not.toMatch(/short/);
  });
});
