import { strFromU8 } from 'fflate';
import * as z from 'zod/mini';
import type { SetDocument } from '../document/document';
import { issueFault, MAX_FILE_BYTES, parseSetText, writeSetText } from '../document/parse';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Fault, type Result } from '../model/result';
import { noLines, PART_NAMES, PARTS, type Lines, type PartName } from './backupParts';
import { zipBlob, zipBytes, zipEntries, type ZipEntry } from './zipIn';
import { zipped, type ZippedFile } from './zipOut';

const FORMAT = 'merry-lacquer-backup';
const VERSION = 1;
const MANIFEST = 'backup.json';
/** Beyond these no backup of a working artist comes; a file that does is a mistake or worse. */
const MAX_TEXTS = 5000;
const MAX_TEXT_BYTES = 256 * 1024 * 1024;
const MAX_PART_BYTES = 64 * 1024 * 1024;
const MAX_PICTURE_BYTES = 40 * 1024 * 1024;
const PICTURES = /^pictures\//;
/** So many files of it are read side by side. */
const AT_ONCE = 8;

/** All sets of a store with what is kept beside them, and what of it could not be read. */
export interface Backup {
  /** ISO 8601. */
  made_at: string;
  sets: BackedUp[];
  /** Records that are no sets, as text, by a name for people. */
  records: { title: string; text: string }[];
  /** What is kept beside the sets, by kind. */
  lines: Lines;
  /** Pictures by the files that lines name: each lies where it lay, on the device or in the zip, until it is asked for. */
  pictures: Map<string, Blob>;
}

export interface BackedUp {
  changed_at: number;
  document: SetDocument;
}

/** A backup with nothing in it yet. */
export function emptyBackup(made_at: string): Backup {
  return { made_at, sets: [], records: [], lines: noLines(), pictures: new Map() };
}

const Manifest = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  made_at: z.string(),
  sets: z.array(z.strictObject({ file: z.string(), changed_at: z.number() })).check(z.maxLength(MAX_TEXTS)),
  records: z.array(z.strictObject({ file: z.string(), title: z.string() })).check(z.maxLength(MAX_TEXTS)),
});

/**
 * A backup as one zip file, piece by piece: `backup.json` names what is in it, each set is the file that Export writes, each kind of what is
 * kept beside them a file, each picture one; sealed, so that no byte changes unseen. Throws where it is more than a zip file holds.
 */
export function packedBackup(backup: Backup): AsyncGenerator<Uint8Array> {
  return zipped(filesOf(backup), backup.made_at);
}

function* filesOf(backup: Backup): Generator<ZippedFile> {
  const setFile = ({ document }: BackedUp) => `sets/${document.id}.lacquer.json`;
  const recordFile = (i: number) => `unreadable/${i + 1}.json`;
  const manifest: z.infer<typeof Manifest> = {
    format: FORMAT,
    version: VERSION,
    made_at: backup.made_at,
    sets: backup.sets.map((one) => ({ file: setFile(one), changed_at: one.changed_at })),
    records: backup.records.map(({ title }, i) => ({ file: recordFile(i), title })),
  };
  yield { name: MANIFEST, content: `${JSON.stringify(manifest, null, 2)}\n` };
  for (const name of PART_NAMES) yield { name: PARTS[name].file, content: textOf(name, backup.lines) };
  for (const one of backup.sets) yield { name: setFile(one), content: writeSetText(one.document) };
  for (const [i, { text }] of backup.records.entries()) yield { name: recordFile(i), content: text };
  for (const [name, content] of backup.pictures) yield { name, content };
}

/** A part's lines are those of its own kind; what the compiler cannot follow through the registry is said here once. */
function textOf<K extends PartName>(name: K, lines: Lines): string {
  return (PARTS[name].write as (own: Lines[K]) => string)(lines[name]);
}

/** A zip file's backup; `faults` tell what in it cannot be read, by its place in the zip. Pictures stay in the file until they are asked for. */
export async function readBackup(file: Blob): Promise<Result<{ backup: Backup; faults: Fault[] }>> {
  const listing = await zipEntries(file);
  if (!listing.ok) return listing;
  const { entries, sealed } = listing.value;
  const over = tooMuch(entries);
  if (over) return { ok: false, faults: [over] };
  const texts = new Map<string, string>();
  const pictures = new Map<string, Blob>();
  const all = [...entries.values()];
  for (let i = 0; i < all.length; i += AT_ONCE) {
    const some = all.slice(i, i + AT_ONCE);
    const reads = await Promise.all(
      some.map((entry) => (PICTURES.test(entry.path) ? zipBlob(file, entry, sealed) : zipBytes(file, entry))),
    );
    for (const [j, read] of reads.entries()) {
      if (!read.ok) return read;
      if (read.value instanceof Uint8Array) texts.set(some[j]!.path, strFromU8(read.value));
      else pictures.set(some[j]!.path, read.value);
    }
  }
  const manifest = manifestOf(texts.get(MANIFEST));
  if (!manifest.ok) return manifest;
  const { made_at, sets, records } = manifest.value;
  const backup = { ...emptyBackup(made_at), pictures };
  const faults: Fault[] = [];
  for (const { file: name, changed_at } of sets) {
    const text = texts.get(name);
    const read = text === undefined ? NOT_THERE : parseSetText(text);
    if (read.ok) backup.sets.push({ changed_at, document: read.value });
    else faults.push(inFile(name, read.faults[0]!));
  }
  for (const { file: name, title } of records) {
    const text = texts.get(name);
    if (text === undefined) faults.push(inFile(name, NOT_THERE.faults[0]!));
    else backup.records.push({ title, text });
  }
  for (const name of PART_NAMES) {
    const read = partOf(name, texts);
    if (read.ok) Object.assign(backup.lines, { [name]: read.value });
    else faults.push(inFile(PARTS[name].file, read.faults[0]!));
  }
  return ok({ backup, faults });
}

const NOT_THERE = fail('', 'is not in the zip file');

/** Backups made before there was a kind of lines have none of it. */
function partOf<K extends PartName>(name: K, texts: ReadonlyMap<string, string>) {
  const { file, read, everHad } = PARTS[name];
  const text = texts.get(file);
  if (text !== undefined) return read(text);
  return everHad ? NOT_THERE : ok([]);
}

/** Sizes are looked at before anything is unpacked. */
function tooMuch(entries: ReadonlyMap<string, ZipEntry>): Fault | undefined {
  const parts = new Set(PART_NAMES.map((name) => PARTS[name].file));
  let count = 0;
  let total = 0;
  for (const { path, bytes } of entries.values()) {
    const isPicture = PICTURES.test(path);
    count += isPicture ? 0 : 1;
    total += isPicture ? 0 : bytes;
    const most = isPicture ? MAX_PICTURE_BYTES : parts.has(path) ? MAX_PART_BYTES : MAX_FILE_BYTES;
    if (bytes > most || total > MAX_TEXT_BYTES || count > MAX_TEXTS)
      return { path, message: 'is too large, or one too many: no backup was unpacked' };
  }
  return undefined;
}

function manifestOf(text: string | undefined): Result<z.infer<typeof Manifest>> {
  if (text === undefined) return fail(MANIFEST, 'is not in the zip file: this is no backup of this program');
  let content: unknown;
  try {
    content = JSON.parse(text);
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
