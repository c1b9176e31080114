import { compileNail } from '../../compile/compile';
import { codesOn, colourOn, element, findingsOn, setWearing } from '../../testing/sets';

const under = colourOn('natural-gel');
const mirrored = (options: object, change?: Parameters<typeof setWearing>[1]) =>
  setWearing([under, element('powder', options)], change);
const card = (options: object) =>
  compileNail(mirrored(options), 'left-ring').operations.map(({ words, lamp }) =>
    lamp ? `${words}: ${lamp.seconds} s` : words,
  );

describe('mirror powder', () => {
  it('lies on a top of its own, cured its whole time', () => {
    expect(card({})).toContain('Cure No-wipe top A: 60 s');
    expect(codesOn(mirrored({}))).toEqual([]);
  });

  it('in another school that top is cured half its time, and no one is told of it: the seal cures it to the end', () => {
    expect(card({ top_cure: 'short' })).toContain('Cure No-wipe top A: 30 s');
    expect(card({ top_cure: 'short' })).toContain('No-wipe top A for the powder, cured short');
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
    expect(card({ own_top: false, top_cure: 'short' }).join()).not.toMatch(/short/);
  });
});
