import fc from 'fast-check';
import { readGimpPalette, writeGimpPalette } from './gimpPalette';

describe('GIMP palettes', () => {
  it('come back as they were written, whatever they are called', () => {
    const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    const name = fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9 #:“”é-]{0,30}[A-Za-z0-9]$/);
    fc.assert(
      fc.property(
        name,
        fc.array(fc.record({ name, colour }), { minLength: 1, maxLength: 40 }),
        (title, colours) => {
          const read = readGimpPalette(writeGimpPalette(title, colours));
          expect(read).toEqual({ ok: true, value: { name: title, colours } });
        },
      ),
    );
  });

  it('are read as GIMP writes them: tabs, comments, columns, names that are missing', () => {
    const read = readGimpPalette(
      '\ufeffGIMP Palette\r\nName: Foyer\r\nColumns: 16\r\n# worn plush\r\n 74  15  34\tVelvet\r\n255 255 255\r\n',
    );
    expect(read.ok && read.value).toEqual({
      name: 'Foyer',
      colours: [
        { name: 'Velvet', colour: '#4a0f22' },
        { name: '#ffffff', colour: '#ffffff' },
      ],
    });
  });

  it.each([
    ['{"a":1}', 'line 1'],
    ['GIMP Palette\nName: x\n', 'the palette'],
    ['GIMP Palette\n1 2 300 too bright\n', 'line 2'],
    ['GIMP Palette\n1 2 3 good\n1 2\n-1 2 3 minus\n', 'line 3'],
    ['GIMP Palette\n0.5 0.5 0.5 shares\n', 'line 2'],
    [`GIMP Palette\n${'1 2 3 a\n'.repeat(1001)}`, 'line 1002'],
  ])('are told by line where they are broken: %#', (text, path) => {
    const read = readGimpPalette(text);
    expect(!read.ok && read.faults[0]!.path).toBe(path);
  });
});
