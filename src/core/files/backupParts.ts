import * as z from 'zod/mini';
import { Bench } from '../bench/log';
import { KeptMotif } from '../craft/keptMotif';
import { issueFault } from '../document/parse';
import { Client } from '../model/client';
import { messageOf } from '../model/messageOf';
import { Pricing } from '../model/pricing';
import { fail, ok, type Result } from '../model/result';
import type { ShelfItem } from '../model/shelf';
import { Supply } from '../model/supply';
import { Worn } from '../model/wear';
import { Taking } from '../stock/taking';
import { readShelfCsv, writeShelfCsv } from './shelfCsv';

/** Lines of one kind in a backup, as a file of their own in it. */
export interface BackupPart<T> {
  file: string;
  write: (lines: readonly T[]) => string;
  read: (text: string) => Result<T[]>;
  /** Every backup has had it, ever since there are backups. */
  everHad?: true;
}

const MOST_LINES = 5000;

function listed<T>(file: string, schema: z.ZodMiniType<T>, most = MOST_LINES): BackupPart<T> {
  const all = z.array(schema).check(z.maxLength(most));
  return {
    file,
    write: (lines) => `${JSON.stringify(lines)}\n`,
    read: (text) => {
      try {
        const parsed = all.safeParse(JSON.parse(text));
        return parsed.success
          ? ok(parsed.data)
          : { ok: false, faults: [issueFault(parsed.error.issues[0]!)] };
      } catch (error) {
        return fail('', `this is not JSON: ${messageOf(error)}`);
      }
    },
  };
}

/** A file name that a backup gives its pictures, and no other. */
const PictureFile = z
  .string()
  .check(z.regex(/^pictures\/\d{1,6}\.(jpg|png|webp)$/, 'must be a picture of the backup'));

/** A photo of a sitting or of a worn nail; its picture is a file of its own. */
const PhotoLine = z.strictObject({
  id: z.string().check(z.regex(/^[\w-]{1,80}$/, 'must be letters, digits and hyphens')),
  set: z.string().check(z.maxLength(80)),
  taken_at: z.number(),
  width_px: z.int().check(z.gte(1), z.lte(12_000)),
  height_px: z.int().check(z.gte(1), z.lte(12_000)),
  file: PictureFile,
});
export type PhotoLine = z.infer<typeof PhotoLine>;

/** The picture that a set is designed after. */
const ReferenceLine = z.strictObject({
  set: z.string().check(z.maxLength(80)),
  name: z.string().check(z.maxLength(300)),
  file: PictureFile,
});
export type ReferenceLine = z.infer<typeof ReferenceLine>;

const MOST_PICTURES = 50_000;

/** What a backup holds beside the sets, each kind by its name. */
export const PARTS = {
  shelf: {
    file: 'shelf.csv',
    write: writeShelfCsv,
    read: readShelfCsv,
    everHad: true,
  } satisfies BackupPart<ShelfItem> as BackupPart<ShelfItem>,
  clients: listed('clients.json', Client),
  supplies: listed('supplies.json', Supply),
  motifs: listed('motifs.json', KeptMotif),
  benches: listed('sittings.json', Bench),
  takings: listed('taken.json', Taking),
  worn: listed('worn.json', Worn),
  pricing: listed('prices.json', Pricing, 1),
  photos: listed('photos.json', PhotoLine, MOST_PICTURES),
  references: listed('references.json', ReferenceLine, MOST_PICTURES),
};
export type PartName = keyof typeof PARTS;
export type LineOf<K extends PartName> = (typeof PARTS)[K] extends BackupPart<infer T> ? T : never;
export type Lines = { [K in PartName]: LineOf<K>[] };

export const PART_NAMES = Object.keys(PARTS) as PartName[];

/** No lines of any kind. */
export function noLines(): Lines {
  return Object.fromEntries(PART_NAMES.map((name) => [name, []])) as unknown as Lines;
}
