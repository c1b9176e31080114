import fc from 'fast-check';
import { readPath, writePath } from './fieldPath';

describe('field paths', () => {
  it('read and write what they address, and nothing else', () => {
    const value = { smile: { rise_mm: 1, depth_mm: 2 }, product: 'a' };
    const next = writePath(value, 'smile.depth_mm', 3);
    expect(next).toEqual({ smile: { rise_mm: 1, depth_mm: 3 }, product: 'a' });
    expect(value.smile.depth_mm).toBe(2);
    expect(readPath(next, 'smile.depth_mm')).toBe(3);
    expect(readPath(value, 'liner.width_mm')).toBeUndefined();
    expect(readPath('SS5', '')).toBe('SS5');
    expect(writePath('SS5', '', 'SS7')).toBe('SS7');
  });

  it('what was written is read back', () => {
    const key = fc.constantFrom('a', 'b', 'c');
    fc.assert(
      fc.property(
        fc.array(key, { minLength: 1, maxLength: 4 }),
        fc.jsonValue(),
        fc.jsonValue(),
        (keys, start, value) => {
          const path = keys.join('.');
          expect(readPath(writePath(start, path, value), path)).toEqual(value);
        },
      ),
    );
  });
});
