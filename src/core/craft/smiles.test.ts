import { contextOf } from '../document/nailContext';
import { curtainUp } from '../demo/curtainUp';
import { element } from '../testing/sets';
import { smileHandles } from '../regions/handle';
import { onNail } from './context';
import { smilesOn } from './smiles';

const smile = { rise_mm: 0.5, depth_mm: 2, tilt_mm: 1 };

describe('smile lines that things are set on', () => {
  it.each(['left-index', 'right-index', 'left-little'] as const)(
    'run on the %s where the line’s own handles lie, of a French and of any film up to or beyond one',
    (name) => {
      const context = contextOf(curtainUp(), name);
      const french = element('french', { region: { kind: 'tip', smile } });
      const lines = smilesOn(
        [
          french,
          element('colour', { region: { kind: 'bed', smile } }),
          element('ombre', { region: { kind: 'tip', smile } }),
          element('colour'),
          element('inlay'),
        ],
        context,
      );
      expect(lines).toHaveLength(3);
      for (const { at } of smileHandles(smile, onNail(context, french)))
        for (const line of lines) expect(line(at.x)).toBeCloseTo(at.y, 9);
    },
  );

  it('are none where a small nail leaves the element off', () => {
    const set = curtainUp();
    set.nails['left-little'].plate = { ...set.nails['left-little'].plate, width_mm: 6 };
    const dropped = [element('french', { region: { kind: 'tip', smile }, fit: 'drop' })];
    expect(smilesOn(dropped, contextOf(set, 'left-little'))).toEqual([]);
    expect(smilesOn(dropped, contextOf(set, 'left-thumb'))).toHaveLength(1);
  });
});
