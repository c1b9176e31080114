import Papa from 'papaparse';
import { issueFault } from '../document/parse';
import { append } from '../model/extent';
import type { PotGrains } from '../model/grains';
import type { Fault, Result } from '../model/result';
import { fail, ok } from '../model/result';
import { ShelfItem } from '../model/shelf';
import { readCell, safeCell, writeCsv } from './csv';

/** What is noted of a product as it stands on the shelf, besides what every shelf says of one. */
const NOTED = [
  'currency',
  'holds',
  'holds_in',
  'density_g_ml',
  'good_for_months',
  'use_by',
  'batch',
  'counted_at',
] as const satisfies readonly (keyof ShelfItem)[];

/** The columns of a shelf as CSV (RFC 4180), in their order; only `id`, `name` and `family` have to be there. */
export const COLUMNS = [
  'id',
  'name',
  'family',
  'colour',
  'effect',
  'coats_to_cover',
  'judged_on',
  'coat_um',
  'cure_s',
  'flash_s',
  'depth_um',
  'thick_from_um',
  'thick_cure_s',
  'light',
  'open_s',
  'system',
  'contains',
  'working_s',
  'dry_s',
  'runny',
  'grain_shape',
  'grain_mm',
  'grain_colour',
  'grain_metallic',
  'grains_per_cm2',
  'count',
  'price',
  'opened_on',
  ...NOTED,
] as const;
export type Column = (typeof COLUMNS)[number];
const NEEDED: readonly Column[] = ['id', 'name', 'family'];
const NUMBERS: ReadonlySet<Column> = new Set([
  'coats_to_cover',
  'coat_um',
  'cure_s',
  'flash_s',
  'depth_um',
  'thick_from_um',
  'thick_cure_s',
  'open_s',
  'working_s',
  'dry_s',
  'grain_mm',
  'grains_per_cm2',
  'count',
  'price',
  'holds',
  'density_g_ml',
  'good_for_months',
]);
const SWITCHES: ReadonlySet<Column> = new Set(['runny', 'grain_metallic']);
const LAMP: readonly Column[] = ['cure_s', 'flash_s', 'depth_um', 'light'];
/** A second time of its direction, for thick layers. */
const THICK: Partial<Record<Column, 'from_um' | 'cure_s'>> = {
  thick_from_um: 'from_um',
  thick_cure_s: 'cure_s',
};
/** Grains in the pot: what their fields are called in the file. */
const GRAINS: Partial<Record<Column, keyof PotGrains>> = {
  grain_shape: 'shape',
  grain_mm: 'size_mm',
  grain_colour: 'colour',
  grain_metallic: 'metallic',
  grains_per_cm2: 'per_cm2',
};
const OWN: ReadonlySet<Column> = new Set(['count', 'price', 'opened_on', ...NOTED]);

/** No shelf holds more. */
const MAX_ROWS = 5000;
const MAX_FAULTS = 20;

export function writeShelfCsv(items: readonly ShelfItem[]): string {
  const rows = items.map((item) =>
    COLUMNS.map((column) => {
      const text = cellOf(item, column);
      return NUMBERS.has(column) ? text : safeCell(text);
    }),
  );
  return writeCsv(COLUMNS, rows);
}

/** What a column says of a product, as text; empty where it says nothing. */
export function cellOf(item: ShelfItem, column: Column): string {
  const value = valueOf(item, column);
  return value === null || value === undefined ? '' : String(value);
}

function valueOf({ product, ...own }: ShelfItem, column: Column): unknown {
  if (OWN.has(column)) return own[column as keyof typeof own];
  const thick = THICK[column];
  if (thick) return product.lamp?.thick?.[thick];
  if (LAMP.includes(column)) return product.lamp?.[column as 'cure_s'];
  const grain = GRAINS[column];
  if (grain) return product.grains?.[grain];
  return product[column as keyof typeof product];
}

/**
 * The products of a CSV text, each told by line and column where it cannot be; nothing is taken where one is at
 * fault. Commas, semicolons and tabs part cells alike, and decimal commas are read.
 */
export function readShelfCsv(text: string): Result<ShelfItem[]> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const broken = errors.find((error) => error.type === 'Quotes');
  if (broken) return fail(`line ${(broken.row ?? 0) + 1}`, `its quotes do not close: ${broken.message}`);
  const [head, ...rows] = data;
  if (!head) return fail('', 'the file is empty');
  const columns = head.map((name) => name.trim().toLowerCase());
  const unknown = columns.find((name) => !(COLUMNS as readonly string[]).includes(name));
  if (unknown !== undefined) return fail('line 1', `"${unknown}" is no column of a shelf`);
  const twice = columns.find((name, i) => columns.indexOf(name) !== i);
  if (twice !== undefined) return fail('line 1', `the column "${twice}" is there twice`);
  const missing = NEEDED.find((name) => !columns.includes(name));
  if (missing) return fail('line 1', `the column "${missing}" is missing`);
  if (rows.length > MAX_ROWS)
    return fail('', `has ${rows.length} rows; a shelf is refused beyond ${MAX_ROWS}`);
  const items: ShelfItem[] = [];
  const faults: Fault[] = [];
  const lines = new Map<string, number>();
  rows.forEach((cells, i) => {
    const line = i + 2;
    const read = readRow(cells, columns as Column[], line);
    if (!read.ok) {
      append(faults, read.faults);
      return;
    }
    const { id } = read.value.product;
    const before = lines.get(id);
    if (before !== undefined)
      faults.push({ path: `line ${line}, id`, message: `"${id}" is on line ${before} already` });
    lines.set(id, line);
    items.push(read.value);
  });
  return faults.length > 0 ? { ok: false, faults: faults.slice(0, MAX_FAULTS) } : ok(items);
}

function readRow(cells: readonly string[], columns: readonly Column[], line: number): Result<ShelfItem> {
  if (cells.length > columns.length)
    return fail(`line ${line}`, `has ${cells.length} cells for ${columns.length} columns`);
  const values: Partial<Record<Column, unknown>> = {};
  for (const [i, column] of columns.entries()) {
    const text = readCell((cells[i] ?? '').trim());
    if (text === '') continue;
    if (NUMBERS.has(column)) {
      const plain = /^\d+,\d+$/.test(text) ? text.replace(',', '.') : text;
      if (!/^-?\d+(\.\d+)?$/.test(plain))
        return fail(`line ${line}, ${column}`, `"${text.slice(0, 40)}" is no number`);
      values[column] = Number(plain);
    } else if (SWITCHES.has(column)) {
      if (text !== 'true' && text !== 'false')
        return fail(`line ${line}, ${column}`, 'must be true or false');
      values[column] = text === 'true';
    } else values[column] = text;
  }
  const noted = Object.fromEntries(
    NOTED.flatMap((one) => (values[one] === undefined ? [] : [[one, values[one]]])),
  );
  const {
    count = null,
    price = null,
    opened_on = null,
    cure_s,
    flash_s,
    depth_um,
    thick_from_um,
    thick_cure_s,
    light,
    grain_shape,
    grain_mm,
    grain_colour,
    grain_metallic,
    grains_per_cm2,
    ...rest
  } = values;
  const product = Object.fromEntries(Object.entries(rest).filter(([one]) => !OWN.has(one as Column)));
  const grains = {
    shape: grain_shape,
    size_mm: grain_mm,
    colour: grain_colour,
    metallic: grain_metallic,
    per_cm2: grains_per_cm2,
  };
  const said = (one: object) => Object.values(one).some((value) => value !== undefined);
  const thick = { from_um: thick_from_um, cure_s: thick_cure_s };
  const lamp = {
    cure_s,
    flash_s,
    depth_um,
    ...(said(thick) ? { thick } : {}),
    ...(light === undefined ? {} : { light }),
  };
  const parsed = ShelfItem.safeParse({
    product: { ...product, ...(said(lamp) ? { lamp } : {}), ...(said(grains) ? { grains } : {}) },
    count,
    price,
    opened_on,
    ...noted,
  });
  if (parsed.success) return ok(parsed.data);
  const fault = issueFault(parsed.error.issues[0]!);
  const at = fault.path.split('.').at(-1);
  const inside = fault.path.includes('thick') ? THICK : fault.path.includes('grains') ? GRAINS : {};
  const column = Object.entries(inside).find(([, key]) => key === at)?.[0] ?? at;
  return fail(`line ${line}, ${column}`, fault.message);
}
