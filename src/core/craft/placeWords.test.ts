import type { NailName } from '../model/names';
import { regionKindOf, type Region } from '../regions';
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
    [
      'a dot at the cuticle’s side',
      oval(-0.6, 0.2),
      'in a circle 2 mm across, little-finger side, a quarter up the nail bed',
    ],
    [
      'a dot in the middle',
      oval(0, 0.7),
      'in a circle 2 mm across, in the middle, two thirds up the nail bed',
    ],
    [
      'a dot at the tip',
      oval(0.5, 1.8),
      'in a circle 2 mm across, thumb side, three quarters out the free edge',
    ],
  ])('%s', (_words, region, expected) => {
    expect(placeWords(region, false, 'left-ring')).toBe(expected);
  });

  it('name a side by the fingers, whichever hand it is and whichever way the tip lies', () => {
    const said = (mirror: boolean, nail: NailName) => placeWords(oval(-0.6, 0.2), mirror, nail);
    expect(said(false, 'left-ring')).toBe(
      'in a circle 2 mm across, little-finger side, a quarter up the nail bed',
    );
    expect(said(true, 'right-ring')).toBe(
      'in a circle 2 mm across, little-finger side, a quarter up the nail bed',
    );
    // Not turned over, it lies to the other side of that hand.
    expect(said(false, 'right-ring')).toBe('in a circle 2 mm across, thumb side, a quarter up the nail bed');
    expect(said(false, 'left-thumb')).toBe('in a circle 2 mm across, index side, a quarter up the nail bed');
    expect(said(false, 'left-little')).toBe('in a circle 2 mm across, outer side, a quarter up the nail bed');
    expect(said(false, 'right-thumb')).toBe('in a circle 2 mm across, outer side, a quarter up the nail bed');
  });

  it.each<[string, Region, string, string]>([
    [
      'half of the width',
      { kind: 'half', side: 'left', at: 0 },
      'on the little-finger side, half of the width',
      'on the thumb side, half of the width',
    ],
    [
      'a line across',
      { ...regionKindOf('lines').fresh, count: 1, turn_deg: 30 } as Region,
      'in a line 0.6 mm wide, turned 30°, its tip end to the little-finger side, in the middle, where the free edge begins',
      'in a line 0.6 mm wide, turned 30°, its tip end to the thumb side, in the middle, where the free edge begins',
    ],
    [
      'a V',
      { kind: 'chevron', point: 0.85, fall_mm: -4 },
      'beyond a V, its point nine tenths up the nail bed, its sides 4 mm nearer the tip',
      'beyond a V, its point nine tenths up the nail bed, its sides 4 mm nearer the tip',
    ],
  ])('%s says which way it goes, on either hand', (_words, region, left, turned) => {
    expect(placeWords(region, false, 'left-ring')).toBe(left);
    expect(placeWords(region, true, 'left-ring')).toBe(turned);
    // Turned over on the other hand, it is the same to the fingers.
    expect(placeWords(region, true, 'right-ring')).toBe(left);
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
    expect(placeWords(outline, false, 'left-ring')).toBe(
      'in a shape, thumb side, two thirds out the free edge',
    );
    expect(placeWords(outline, true, 'left-ring')).toBe(
      'in a shape, little-finger side, two thirds out the free edge',
    );
  });
});
