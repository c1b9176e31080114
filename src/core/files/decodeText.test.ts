import fc from 'fast-check';
import { decodeText } from './decodeText';

const utf8 = (text: string) => new TextEncoder().encode(text);
function utf16(text: string, little: boolean): Uint8Array {
  const view = new DataView(new ArrayBuffer(text.length * 2));
  for (let i = 0; i < text.length; i += 1) view.setUint16(i * 2, text.charCodeAt(i), little);
  return new Uint8Array(view.buffer);
}
const marked = (mark: number[], bytes: Uint8Array) => new Uint8Array([...mark, ...bytes]);

describe('the text of a file', () => {
  it('is the same in every encoding, with a mark and without', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (inner) => {
        const text = `{"title": ${JSON.stringify(inner)}}`;
        const ways = [
          utf8(text),
          marked([0xef, 0xbb, 0xbf], utf8(text)),
          utf16(text, true),
          utf16(text, false),
          marked([0xff, 0xfe], utf16(text, true)),
          marked([0xfe, 0xff], utf16(text, false)),
        ];
        for (const bytes of ways) expect(decodeText(bytes)).toEqual({ ok: true, value: text });
      }),
      { numRuns: 200 },
    );
  });

  it.each<[string, number[], RegExp]>([
    ['broken UTF-8', [0x7b, 0xc3, 0x28], /cannot be read as UTF-8/],
    ['half a sign of UTF-16', [0xff, 0xfe, 0x7b, 0x00, 0x22], /cannot be read as UTF-16LE/],
    ['a lone surrogate', [0xfe, 0xff, 0xd8, 0x00, 0x00, 0x7b], /cannot be read as UTF-16BE/],
  ])('refuses %s', (_words, bytes, message) => {
    const read = decodeText(new Uint8Array(bytes));
    expect(!read.ok && read.faults[0]!.message).toMatch(message);
  });

  it('of nothing is nothing', () => {
    expect(decodeText(new Uint8Array())).toEqual({ ok: true, value: '' });
  });
});
