import { FORMAT, referenceFaults, SetShape, VERSION, type SetDocument } from './document';
import { migrate } from './migrations';
import { listedAsLaid } from './orderOf19';
import { messageOf } from '../model/messageOf';
import { fail, ok, type Fault, type Result } from '../model/result';

/** Larger files are refused before they are read. */
export const MAX_FILE_BYTES = 8 * 1024 * 1024;

/** Shown faults are few: whoever mends the first ones sees the rest. */
const MAX_FAULTS = 20;

/** Text of a `.lacquer.json` file to a set. Never throws; the faults carry the path inside the file. */
export function parseSetText(text: string): Result<SetDocument> {
  if (text.length > MAX_FILE_BYTES) return fail('', tooLarge(text.length));
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch (error) {
    return fail('', `this is not JSON: ${beforeTheFirst(text) ?? brokenAt(text, messageOf(error))}`);
  }
  return parseSet(content);
}

/** Signs that no editor shows: a file may begin with them and look all right. */
const UNSEEN: Record<string, string> = {
  '\ufeff': 'a second byte order mark',
  '\u00a0': 'a no-break space',
  '\u200b': 'a space of no width',
  '\u2060': 'a word joiner',
  '\u0000': 'a zero byte',
};

/** What stands before the first sign of a file's JSON where it cannot be seen. */
function beforeTheFirst(text: string): string | undefined {
  const first = text.trimStart() === text ? text.charAt(0) : (/[^ \t\r\n]/.exec(text)?.[0] ?? '');
  return Object.hasOwn(UNSEEN, first)
    ? `it begins with ${UNSEEN[first]}, which no editor shows; take it out, or save the file anew`
    : undefined;
}

/** Where the text breaks off or goes wrong, by its line. */
function brokenAt(text: string, told: string): string {
  const at = /position (\d+)/.exec(told)?.[1];
  if (at === undefined || Number(at) >= text.length) return 'it breaks off before its end';
  const line = text.slice(0, Number(at)).split('\n').length;
  return `it goes wrong in line ${line}, at “${text.slice(Number(at), Number(at) + 12).split('\n', 1)[0]}”`;
}

export function tooLarge(bytes: number): string {
  const size = (bytes / 1024 / 1024).toFixed(1);
  return `the file has ${size} MB; a set is refused beyond ${MAX_FILE_BYTES / 1024 / 1024} MB`;
}

/** No set nests deeper; what does would overrun those who walk it. */
const MAX_DEPTH = 24;

/** A set at every limit of the format holds about a quarter of this. */
const MAX_VALUES = 400_000;

/** The first value nested too deep, or one too many; walked without recursion. */
function unreadable(content: unknown): Fault | undefined {
  const stack: { value: unknown; path: string; depth: number }[] = [{ value: content, path: '', depth: 0 }];
  for (let count = 1; stack.length > 0; count += 1) {
    const { value, path, depth } = stack.pop()!;
    if (count > MAX_VALUES) return { path: '', message: `holds more than ${MAX_VALUES} values` };
    if (value === null || typeof value !== 'object') continue;
    if (depth >= MAX_DEPTH) return { path, message: `is nested more than ${MAX_DEPTH} levels deep` };
    for (const [key, inner] of Object.entries(value)) {
      stack.push({ value: inner, path: path ? `${path}.${key}` : key, depth: depth + 1 });
    }
  }
  return undefined;
}

/** Since this version the list of a look is the order in which it is laid. */
const LISTED_AS_LAID_SINCE = 20;

/** Parsed JSON to a set: migrated from older versions, then checked as a whole. */
export function parseSet(content: unknown): Result<SetDocument> {
  if (content === null || typeof content !== 'object' || Array.isArray(content)) {
    return fail('', 'a set file holds one JSON object');
  }
  const { format, version } = content as { format?: unknown; version?: unknown };
  if (format !== FORMAT) return fail('format', `must be "${FORMAT}"`);
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    return fail('version', 'must be a whole number');
  }
  if (version > VERSION) {
    return fail('version', `is ${version}; this program reads up to ${VERSION}: open it with a newer one`);
  }
  const deep = unreadable(content);
  if (deep) return { ok: false, faults: [deep] };
  const migrated = migrate(content as Record<string, unknown>, version);
  if (!migrated.ok) return migrated;
  const parsed = SetShape.safeParse(migrated.value);
  if (!parsed.success) {
    return { ok: false, faults: parsed.error.issues.slice(0, MAX_FAULTS).map(issueFault) };
  }
  const faults = referenceFaults(parsed.data);
  if (faults.length > 0) {
    return {
      ok: false,
      faults: faults.slice(0, MAX_FAULTS).map((f) => ({ path: f.path.join('.'), message: f.message })),
    };
  }
  return ok(version < LISTED_AS_LAID_SINCE ? listedAsLaid(parsed.data) : parsed.data);
}

interface Issue {
  code?: string;
  path: PropertyKey[];
  message: string;
  keys?: string[];
}

/** A schema's complaint as a fault with its path. */
export function issueFault(issue: Issue): Fault {
  const path = issue.path.map(String);
  const key = issue.code === 'unrecognized_keys' ? (issue.keys?.slice(0, 1) ?? []) : [];
  return { path: [...path, ...key].join('.'), message: issue.message };
}

/** A set as the text of its file: two spaces, one final newline, always in the same order. */
export function writeSetText(set: SetDocument): string {
  // Parsing puts every key where the schema has it, whatever order edits left them in.
  const parsed = SetShape.safeParse(set);
  return `${JSON.stringify(parsed.success ? parsed.data : set, null, 2)}\n`;
}
