import type { NailName } from '../model/names';
import type { Region } from '../regions';
import { placeWords } from './placeWords';

describe('places in words', () => {
  const oval = (across: number, along: number): Region => ({
    kind: 'oval',
    across,
    along,
    width_mm: 2,
    length_mm: 2,
    turn_deg: 0,
  });

  it.each<[string, Region, string]>([
    ['the whole nail needs none', { kind: 'whole' }, ''],
    [
      'a French tip',
      { kind: 'tip', smile: { rise_mm: 0, depth_mm: 2, tilt_mm: 0 } },
      'beyond the smile line',
    ],
    ['all of it, as a band', { kind: 'band', from: 0, to: 2 }, ''],
    ['the bed', { kind: 'band', from: 0, to: 1 }, 'on the nail bed'],
    ['the free edge', { kind: 'band', from: 1, to: 2 }, 'on the free edge'],
    [
      'a stripe',
      { kind: 'band', from: 0.1, to: 0.3 },
      'from a tenth up the nail bed to a third up the nail bed',
    ],
    ['a thin stripe', { kind: 'band', from: 0.48, to: 0.55 }, 'in a band half-way up the nail bed'],
    [
      'up to the free edge',
      { kind: 'band', from: 0.5, to: 1.02 },
      'from half-way up the nail bed to where the free edge begins',
    ],
    ['a dot at the cuticle’s side', oval(-0.6, 0.2), 'in an oval, little-finger side, near the cuticle'],
    ['a dot in the middle', oval(0, 0.7), 'in an oval, on the nail bed'],
    ['a dot at the tip', oval(0.5, 1.8), 'in an oval, thumb side, near the tip'],
  ])('%s', (_words, region, expected) => {
    expect(placeWords(region, false, 'left-ring')).toBe(expected);
  });

  it('name a side by the fingers, whichever hand it is and whichever way the tip lies', () => {
    const said = (mirror: boolean, nail: NailName) => placeWords(oval(-0.6, 0.2), mirror, nail);
    expect(said(false, 'left-ring')).toBe('in an oval, little-finger side, near the cuticle');
    expect(said(true, 'right-ring')).toBe('in an oval, little-finger side, near the cuticle');
    // Not turned over, it lies to the other side of that hand.
    expect(said(false, 'right-ring')).toBe('in an oval, thumb side, near the cuticle');
    expect(said(false, 'left-thumb')).toBe('in an oval, index side, near the cuticle');
    expect(said(false, 'left-little')).toBe('in an oval, outer side, near the cuticle');
    expect(said(false, 'right-thumb')).toBe('in an oval, outer side, near the cuticle');
  });

  it('are turned over with what they name', () => {
    const outline: Region = {
      kind: 'outline',
      points: [
        { across: 0.4, along: 1.5 },
        { across: 0.9, along: 1.5 },
        { across: 0.6, along: 1.9 },
      ],
    };
    expect(placeWords(outline, false, 'left-ring')).toBe('in a shape, thumb side, near the tip');
    expect(placeWords(outline, true, 'left-ring')).toBe('in a shape, little-finger side, near the tip');
  });
});
