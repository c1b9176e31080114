import { curtainUp } from '../demo/curtainUp';
import { buildKindOf } from '../craft/builds';
import { techniqueOf, TECHNIQUES } from '../craft/techniques';
import { newSet } from '../starter/newSet';
import { applyChange, type Change } from './changes';
import type { SetDocument } from './document';
import { buildName, lookName, nameApart, namedBuild } from './naming';

const pick = () => 'rose-nude';

function after(set: SetDocument, ...changes: Change[]): SetDocument {
  return changes.reduce((now, change) => {
    const next = applyChange(now, change);
    if (!next.ok) throw new Error(next.faults[0]!.message);
    return next.value;
  }, set);
}

const plain = () => newSet('matinee', 'Matinée');
const crystals = techniqueOf('crystals').fresh('crystals', pick);

describe('names from content', () => {
  it('a look is called by what it holds, and follows it, until it is named', () => {
    const put: Change = { kind: 'put-element', look: 'plain', element: crystals };
    const told = after(plain(), put);
    expect(told.looks[0]!.name).toBe('Rose nude, five crystals');
    expect(after(told, { kind: 'remove-element', look: 'plain', element: 'crystals' }).looks[0]!.name).toBe(
      'Rose nude',
    );
    const named = after(
      plain(),
      { kind: 'put-look', look: { ...plain().looks[0]!, name: 'Footlights' } },
      put,
    );
    expect(named.looks[0]!.name).toBe('Footlights');
  });

  it('a look follows the name of its colour', () => {
    const set = plain();
    const product = set.kit.products.find((one) => one.id === 'rose-nude')!;
    expect(after(set, { kind: 'put-product', product: { ...product, name: 'Velvet' } }).looks[0]!.name).toBe(
      'Velvet',
    );
  });

  it('two looks of the same content are told apart by a number, and keep being of their content', () => {
    const [look] = plain().looks;
    const twice = after(plain(), {
      kind: 'put-look',
      look: { ...look!, id: 'other', key: 'b', elements: [] },
    });
    const filled = after(twice, { kind: 'put-element', look: 'other', element: look!.elements[0]! });
    expect(filled.looks.map((one) => one.name)).toEqual(['Rose nude', 'Rose nude']);
    const empty = after(plain(), {
      kind: 'put-look',
      look: { ...look!, id: 'other', key: 'b', name: 'New look', elements: [] },
    });
    const told = after(empty, { kind: 'put-element', look: 'other', element: look!.elements[0]! });
    expect(told.looks.map((one) => one.name)).toEqual(['Rose nude', 'Rose nude 2']);
    const more = after(told, { kind: 'put-element', look: 'other', element: crystals });
    expect(more.looks[1]!.name).toBe('Rose nude, five crystals');
  });

  it('what an artist named keeps its name: no change of the demo renames a look', () => {
    const set = curtainUp();
    const names = set.looks.map((look) => look.name);
    const next = after(
      set,
      ...set.looks.map((look): Change => ({ kind: 'put-element', look: look.id, element: crystals })),
    );
    expect(next.looks.map((look) => look.name)).toEqual(names);
  });

  it('a build is called by kind, length and shape, and follows them', () => {
    const tips = namedBuild(buildKindOf('soft-gel-tip').fresh('own'));
    expect(tips.name).toBe('Full-cover soft-gel tip, long almond');
    const set = after(plain(), { kind: 'put-build', build: tips });
    const shorter = after(set, { kind: 'put-build', build: { ...tips, length_mm: 6 } as never });
    expect(shorter.builds.at(-1)!.name).toBe('Full-cover soft-gel tip, medium almond');
    expect(buildName(buildKindOf('natural-gel').fresh('grown'))).toMatch(/, \w+$/);
  });

  it('every technique has a name for what it makes', () => {
    for (const { kind, fresh } of TECHNIQUES) {
      const look = { elements: [fresh(kind, pick)] };
      expect(lookName(look, plain().kit.products)).toMatch(/^\S.{2,119}$/);
    }
  });

  it('a number tells apart', () => {
    expect(nameApart('Oxblood', ['Oxblood', 'Oxblood 2'])).toBe('Oxblood 3');
  });
});
