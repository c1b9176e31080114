import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import * as z from 'zod/mini';
import type { SetDocument } from '../document/document';
import { issueFault, MAX_FILE_BYTES, parseSetText, writeSetText } from '../document/parse';
import { KeptMotif } from '../craft/keptMotif';
import { Bench } from '../bench/log';
import { Client } from '../model/client';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Fault, type Result } from '../model/result';
import type { ShelfItem } from '../model/shelf';
import { Pricing } from '../model/pricing';
import { Supply } from '../model/supply';
import { Taking } from '../stock/taking';
import { Worn } from '../model/wear';
import { readShelfCsv, writeShelfCsv } from './shelfCsv';
import { sealed, sumFault } from './zipSums';

const FORMAT = 'merry-lacquer-backup';
const VERSION = 1;
const MANIFEST = 'backup.json';
const SHELF = 'shelf.csv';
const CLIENTS = 'clients.json';
const SUPPLIES = 'supplies.json';
const MOTIFS = 'motifs.json';
const BENCHES = 'sittings.json';
const TAKINGS = 'taken.json';
const PRICING = 'prices.json';
const WORN = 'worn.json';
const Clients = z.array(Client).check(z.maxLength(5000));
const Supplies = z.array(Supply).check(z.maxLength(5000));
const Motifs = z.array(KeptMotif).check(z.maxLength(5000));
const Benches = z.array(Bench).check(z.maxLength(5000));
const Takings = z.array(Taking).check(z.maxLength(5000));
const Worns = z.array(Worn).check(z.maxLength(5000));
const Pricings = z.array(Pricing).check(z.maxLength(1));
/** Beyond these no backup of a working artist comes; a file that does is a mistake or worse. */
const MAX_FILES = 5000;
const MAX_BYTES = 256 * 1024 * 1024;

/** All sets of a store, and what of it could not be read as a set. */
export interface Backup {
  /** ISO 8601. */
  made_at: string;
  sets: BackedUp[];
  /** Records that are no sets, as text, by a name for people. */
  records: { title: string; text: string }[];
  shelf: ShelfItem[];
  clients: Client[];
  supplies: Supply[];
  motifs: KeptMotif[];
  /** What happened at the table, of the sets that were begun. */
  benches: Bench[];
  /** What sets that are done took off the shelf. */
  takings: Taking[];
  /** Sets that were worn, and how they held. */
  worn: Worn[];
  /** What the artist asks, where she has said so. */
  pricing: Pricing | null;
}

/** A backup with nothing in it yet. */
export function emptyBackup(made_at: string): Backup {
  return {
    made_at,
    sets: [],
    records: [],
    shelf: [],
    clients: [],
    supplies: [],
    motifs: [],
    benches: [],
    takings: [],
    worn: [],
    pricing: null,
  };
}

export interface BackedUp {
  changed_at: number;
  document: SetDocument;
}

const Manifest = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  made_at: z.string(),
  sets: z.array(z.strictObject({ file: z.string(), changed_at: z.number() })).check(z.maxLength(MAX_FILES)),
  records: z.array(z.strictObject({ file: z.string(), title: z.string() })).check(z.maxLength(MAX_FILES)),
});

/** A zip knows the years from 1980 to 2099 alone; a clock may be wrong by more. */
const ZIP_YEARS = ['1980-01-02', '2099-12-30'].map((day) => new Date(day).getTime());

function zipTime(made_at: string): Date {
  const [first, last] = ZIP_YEARS;
  return new Date(Math.min(last!, Math.max(first!, new Date(made_at).getTime())));
}

/**
 * A backup as one zip file: `backup.json` names what is in it, each set is the file that Export writes, the shelf is
 * its CSV, the clients' cards, the supplies, the motifs, the records of sittings, what was taken off the shelf, the worn sets and the prices are a file each; sealed, so that no byte changes unseen.
 */
export function writeBackup(backup: Backup): Uint8Array {
  const sets = backup.sets.map(({ changed_at, document }) => ({
    file: `sets/${document.id}.lacquer.json`,
    changed_at,
    text: writeSetText(document),
  }));
  const records = backup.records.map(({ title, text }, i) => ({
    file: `unreadable/${i + 1}.json`,
    title,
    text,
  }));
  const manifest: z.infer<typeof Manifest> = {
    format: FORMAT,
    version: VERSION,
    made_at: backup.made_at,
    sets: sets.map(({ file, changed_at }) => ({ file, changed_at })),
    records: records.map(({ file, title }) => ({ file, title })),
  };
  const files = Object.fromEntries([...sets, ...records].map(({ file, text }) => [file, strToU8(text)]));
  const zip = zipSync(
    {
      [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 2)}\n`),
      [SHELF]: strToU8(writeShelfCsv(backup.shelf)),
      [CLIENTS]: strToU8(`${JSON.stringify(backup.clients, null, 2)}\n`),
      [SUPPLIES]: strToU8(`${JSON.stringify(backup.supplies, null, 2)}\n`),
      [MOTIFS]: strToU8(`${JSON.stringify(backup.motifs, null, 2)}\n`),
      [BENCHES]: strToU8(`${JSON.stringify(backup.benches)}\n`),
      [WORN]: strToU8(`${JSON.stringify(backup.worn)}\n`),
      [TAKINGS]: strToU8(`${JSON.stringify(backup.takings)}\n`),
      [PRICING]: strToU8(`${JSON.stringify(backup.pricing ? [backup.pricing] : [])}\n`),
      ...files,
    },
    // The day it was made, so that the same backup gives the same bytes.
    { mtime: zipTime(backup.made_at) },
  );
  return sealed(zip);
}

/** A zip file's backup; `faults` tell the sets in it that cannot be read, by their place in the zip. */
export function readBackup(bytes: Uint8Array): Result<{ backup: Backup; faults: Fault[] }> {
  const files = unpacked(bytes);
  if (!files.ok) return files;
  const manifest = manifestOf(files.value);
  if (!manifest.ok) return manifest;
  const { made_at, sets, records } = manifest.value;
  const backup = emptyBackup(made_at);
  const faults: Fault[] = [];
  for (const { file, changed_at } of sets) {
    const data = files.value[file];
    const read = data ? parseSetText(strFromU8(data)) : fail('', 'is not in the zip file');
    if (read.ok) backup.sets.push({ changed_at, document: read.value });
    else faults.push(inFile(file, read.faults[0]!));
  }
  for (const { file, title } of records) {
    const data = files.value[file];
    if (data) backup.records.push({ title, text: strFromU8(data) });
    else faults.push({ path: file, message: 'is not in the zip file' });
  }
  const shelf = files.value[SHELF]
    ? readShelfCsv(strFromU8(files.value[SHELF]))
    : fail('', 'is not in the zip file');
  if (shelf.ok) backup.shelf = shelf.value;
  else faults.push(inFile(SHELF, shelf.faults[0]!));
  // Backups made before there were clients, supplies, motifs, sittings, takings, worn sets or prices have none.
  const take = <T>(file: string, schema: z.ZodMiniType<T[]>, put: (rows: T[]) => void) => {
    const read = files.value[file] ? listOf(strFromU8(files.value[file]), schema) : ok([]);
    if (read.ok) put(read.value);
    else faults.push(inFile(file, read.faults[0]!));
  };
  take(CLIENTS, Clients, (rows) => (backup.clients = rows));
  take(SUPPLIES, Supplies, (rows) => (backup.supplies = rows));
  take(MOTIFS, Motifs, (rows) => (backup.motifs = rows));
  take(BENCHES, Benches, (rows) => (backup.benches = rows));
  take(TAKINGS, Takings, (rows) => (backup.takings = rows));
  take(WORN, Worns, (rows) => (backup.worn = rows));
  take(PRICING, Pricings, ([pricing]) => (backup.pricing = pricing ?? null));
  return ok({ backup, faults });
}

function unpacked(bytes: Uint8Array): Result<Record<string, Uint8Array>> {
  let count = 0;
  let total = 0;
  let over: Fault | undefined;
  try {
    const files = unzipSync(bytes, {
      // Sizes are looked at before anything is unpacked.
      filter: ({ name, originalSize }) => {
        count += 1;
        total += originalSize;
        if (originalSize > MAX_FILE_BYTES || total > MAX_BYTES || count > MAX_FILES)
          over ??= { path: name, message: 'is too large, or one too many: no backup was unpacked' };
        return !over;
      },
    });
    const fault = over ?? sumFault(bytes, files);
    return fault ? { ok: false, faults: [fault] } : ok(files);
  } catch (error) {
    return fail('', `this is not a zip file that can be read: ${messageOf(error)}`);
  }
}

function listOf<T>(text: string, schema: z.ZodMiniType<T[]>): Result<T[]> {
  try {
    const parsed = schema.safeParse(JSON.parse(text));
    return parsed.success ? ok(parsed.data) : { ok: false, faults: [issueFault(parsed.error.issues[0]!)] };
  } catch (error) {
    return fail('', `this is not JSON: ${messageOf(error)}`);
  }
}

function manifestOf(files: Record<string, Uint8Array>): Result<z.infer<typeof Manifest>> {
  const data = files[MANIFEST];
  if (!data) return fail(MANIFEST, 'is not in the zip file: this is no backup of this program');
  let content: unknown;
  try {
    content = JSON.parse(strFromU8(data));
  } catch (error) {
    return fail(MANIFEST, `this is not JSON: ${messageOf(error)}`);
  }
  const version = (content as { version?: unknown } | null)?.version;
  if (typeof version === 'number' && version > VERSION)
    return fail(MANIFEST, `version ${version} is of a newer program; this one reads up to ${VERSION}`);
  const parsed = Manifest.safeParse(content);
  if (parsed.success) return ok(parsed.data);
  return { ok: false, faults: parsed.error.issues.slice(0, 5).map((i) => inFile(MANIFEST, issueFault(i))) };
}

function inFile(file: string, fault: Fault): Fault {
  return { path: [file, fault.path].filter(Boolean).join(': '), message: fault.message };
}
