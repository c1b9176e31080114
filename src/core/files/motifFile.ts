import * as z from 'zod/mini';
import { issueFault, MAX_FILE_BYTES, tooLarge } from '../document/parse';
import { KeptMotif } from '../craft/keptMotif';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Result } from '../model/result';

const FORMAT = 'merry-lacquer-motifs';
const VERSION = 2;
export const MOST_MOTIFS = 500;

const Library = z.strictObject({
  format: z.literal(FORMAT),
  version: z.int().check(z.gte(1), z.lte(VERSION)),
  motifs: z.array(KeptMotif).check(z.maxLength(MOST_MOTIFS)),
});

/** The artist's own motifs as one file, to be taken to another machine or given away. */
export function writeMotifs(motifs: readonly KeptMotif[]): string {
  return `${JSON.stringify({ format: FORMAT, version: VERSION, motifs }, null, 2)}\n`;
}

/** A library file's motifs; what is none, is too large or of a newer program is told by its place. */
export function readMotifs(text: string): Result<KeptMotif[]> {
  if (text.length > MAX_FILE_BYTES) return fail('', tooLarge(text.length));
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch (error) {
    return fail('', `this is not JSON: ${messageOf(error)}`);
  }
  const head = content as { format?: unknown; version?: unknown } | null;
  if (head?.format !== FORMAT) return fail('format', 'is not that of a library of motifs');
  if (typeof head.version === 'number' && head.version > VERSION)
    return fail('version', `${head.version} is of a newer program; this one reads up to ${VERSION}`);
  const parsed = Library.safeParse(content);
  if (!parsed.success)
    return { ok: false, faults: parsed.error.issues.slice(0, 5).map((issue) => issueFault(issue)) };
  const twice = parsed.data.motifs.findIndex(
    ({ id }, i) => parsed.data.motifs.findIndex((one) => one.id === id) < i,
  );
  return twice < 0 ? ok(parsed.data.motifs) : fail(`motifs.${twice}.id`, 'is there twice');
}
