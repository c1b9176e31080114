import { byColour } from './order';

describe('bottles in their order', () => {
  it('white to black, then reds, oranges, yellows, greens, blues and violets; light before dark', () => {
    const shelf = {
      white: '#ffffff',
      grey: '#9a9a9a',
      black: '#101010',
      pink: '#f09aa0',
      red: '#c01a28',
      orange: '#e07020',
      yellow: '#e8d020',
      green: '#2f8f4f',
      blue: '#2050c0',
      violet: '#7a2fa0',
    };
    const names = Object.keys(shelf) as (keyof typeof shelf)[];
    const shuffled = [...names].reverse();
    expect(shuffled.sort((a, b) => byColour(shelf[a], shelf[b]))).toEqual(names);
  });

  it('is an order: the same from any beginning', () => {
    const colours = ['#5a1a22', '#e9d9c0', '#b0303a', '#22304a', '#d9b45b', '#00ff00', '#010101', '#fefefe'];
    const sorted = [...colours].sort(byColour);
    for (let turn = 1; turn < colours.length; turn += 1) {
      const turned = [...colours.slice(turn), ...colours.slice(0, turn)];
      expect(turned.sort(byColour)).toEqual(sorted);
    }
  });
});
