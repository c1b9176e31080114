import { makeFrame } from './frame';
import { perFrame } from './perFrame';

const frame = (width_mm: number) =>
  makeFrame({ width_mm, arch_mm: 2, bed_mm: 11, free_mm: 3, radiusAlong_mm: 30, shape: 'oval' });

describe('what is remembered of a frame', () => {
  it('is worked out once for a key, and for each frame by itself', () => {
    const known = perFrame<object>();
    const [narrow, wide] = [frame(9), frame(14)];
    const first = known(narrow, 'a', () => ({}));
    expect(known(narrow, 'a', () => ({}))).toBe(first);
    expect(known(narrow, 'b', () => ({}))).not.toBe(first);
    expect(known(wide, 'a', () => ({}))).not.toBe(first);
  });

  it('forgets what has not been asked for longest', () => {
    const known = perFrame<number>();
    let made = 0;
    const ask = (key: string) => known(frame(10), key, () => (made += 1));
    ask('old');
    ask('kept');
    for (let i = 0; i < 79; i += 1) {
      ask(`other ${i}`);
      ask('kept');
    }
    made = 0;
    ask('kept');
    expect(made).toBe(0);
    ask('old');
    expect(made).toBe(1);
  });
});
