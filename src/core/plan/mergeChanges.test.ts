import { applyChange, type Change } from '../document/changes';
import { element, setWearing } from '../testing/sets';
import { mergeChanges } from './mergeChanges';

describe('several changes as one', () => {
  const inlay = element('inlay');
  const set = setWearing([element('colour'), inlay]);
  const look = set.looks[0]!.id;
  const put = (over: Partial<typeof inlay>): Change => ({
    kind: 'put-element',
    look,
    element: { ...inlay, ...over },
  });

  it('take what each changes of the same element, piece by piece', () => {
    const thin = put({
      pieces: inlay.pieces.map((piece) => ({ ...piece, thickness_mm: 0.01 })),
      cap_um: 500,
    });
    const white = put({
      pieces: inlay.pieces.map((piece, i) => (i === 0 ? { ...piece, colour: '#ffffff' } : piece)),
    });
    const next = applyChange(set, mergeChanges(set, [thin, white, put({ bed_um: 40 })]));
    if (!next.ok) throw new Error('refused');
    const made = next.value.looks[0]!.elements[1] as typeof inlay;
    expect(made).toMatchObject({ cap_um: 500, bed_um: 40 });
    expect(made.pieces.map((piece) => piece.thickness_mm)).toEqual(inlay.pieces.map(() => 0.01));
    expect(made.pieces[0]!.colour).toBe('#ffffff');
    expect(made.pieces[1]!.colour).toBe(inlay.pieces[1]!.colour);
  });

  it('take the later where both change the same, and a list of another length whole', () => {
    const one = put({ pieces: inlay.pieces.slice(0, 1) });
    const merged = mergeChanges(set, [put({ cap_um: 400 }), put({ cap_um: 600 }), one]);
    expect(merged).toMatchObject({ kind: 'put-element', element: { cap_um: 600, pieces: { length: 1 } } });
  });

  it('keep other changes as they are, each once', () => {
    const rename: Change = { kind: 'rename', title: 'New' };
    const merged = mergeChanges(set, [rename, { kind: 'many', changes: [rename, put({ cap_um: 400 })] }]);
    expect(merged).toEqual({ kind: 'many', changes: [rename, put({ cap_um: 400 })] });
  });
});
