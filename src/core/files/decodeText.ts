import { fail, ok, type Result } from '../model/result';

type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be';

/**
 * The text of a file's bytes: UTF-8 or UTF-16, with a byte order mark or without. Without one, UTF-16 is known by
 * the zero byte beside its first sign, which in every text format read here is an ASCII one (RFC 4627, section 3).
 * Bytes that are no text of the encoding are refused.
 */
export function decodeText(bytes: Uint8Array): Result<string> {
  const encoding = encodingOf(bytes);
  try {
    return ok(new TextDecoder(encoding, { fatal: true }).decode(bytes));
  } catch {
    return fail('', `this is not text: it cannot be read as ${encoding.toUpperCase()}`);
  }
}

function encodingOf([first = 1, second = 1]: Uint8Array): Encoding {
  if (first === 0xfe && second === 0xff) return 'utf-16be';
  if (first === 0xff && second === 0xfe) return 'utf-16le';
  if (first === 0 && second !== 0) return 'utf-16be';
  if (second === 0 && first !== 0) return 'utf-16le';
  return 'utf-8';
}
