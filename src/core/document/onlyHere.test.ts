import { techniqueOf } from '../craft/techniques';
import { NAILS, type NailName } from '../model/names';
import { newSet } from '../starter/newSet';
import { applyChange, type Change } from './changes';
import type { SetDocument } from './document';
import { anotherLook, onlyHere } from './onlyHere';
import { wearersOf } from './wearers';

const CHARM = techniqueOf('charm').fresh('charm', { colour: 'rose-nude' } as never);

function after(set: SetDocument, change: Change): SetDocument {
  const next = applyChange(set, change);
  if (!next.ok) throw new Error(next.faults[0]!.message);
  return next.value;
}

function only(before: SetDocument, now: SetDocument, nails: readonly NailName[]) {
  const made = onlyHere(before, now, 'plain', nails)!;
  return { set: after(now, made.change), look: made.look };
}

describe('only here', () => {
  it('a charm that went on ten nails is taken back from nine, in one step', () => {
    const before = newSet('matinee', 'Matinée');
    const now = after(before, { kind: 'put-element', look: 'plain', element: CHARM });
    const { set, look } = only(before, now, ['left-ring']);
    expect(wearersOf(set, look)).toEqual(['left-ring']);
    expect(wearersOf(set, 'plain')).toEqual(NAILS.filter((name) => name !== 'left-ring'));
    expect(set.looks.map((one) => one.elements.length)).toEqual([1, 2]);
    expect(set.looks[0]).toEqual(before.looks[0]);
    expect(new Set(set.looks.map((one) => one.key)).size).toBe(2);
  });

  it('before anything is changed it sets some nails apart, with what they have otherwise', () => {
    const start = newSet('matinee', 'Matinée');
    const before = after(start, {
      kind: 'nail-change',
      nail: 'left-ring',
      change: { element: 'colour', leave_off: true },
    });
    const { set, look } = only(before, before, ['left-ring', 'right-ring']);
    expect(wearersOf(set, look)).toEqual(['left-ring', 'right-ring']);
    expect(set.nails['left-ring'].changes).toEqual(before.nails['left-ring'].changes);
    expect(set.looks.find((one) => one.id === look)!.name).toBe('Rose nude 2');
  });

  it('what a removed element took with it on other nails comes back there', () => {
    const start = newSet('matinee', 'Matinée');
    const before = after(start, {
      kind: 'nail-change',
      nail: 'left-thumb',
      change: { element: 'colour', leave_off: true },
    });
    const now = after(before, { kind: 'remove-element', look: 'plain', element: 'colour' });
    expect(now.nails['left-thumb'].changes).toEqual([]);
    const { set } = only(before, now, ['left-ring']);
    expect(set.nails['left-thumb'].changes).toEqual(before.nails['left-thumb'].changes);
  });

  it('there is none where the set is full of looks', () => {
    let set = newSet('matinee', 'Matinée');
    for (let n = 1; n < 12; n += 1)
      set = after(set, { kind: 'put-look', look: anotherLook(set.looks[0]!, set)! });
    expect(onlyHere(set, set, 'plain', ['left-ring'])).toBeUndefined();
  });
});
