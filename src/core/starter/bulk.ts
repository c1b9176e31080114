import { lampOf } from '../craft/families';
import { issueFault } from '../document/parse';
import { fail, ok, type Result } from '../model/result';
import { ShelfItem } from '../model/shelf';

/** What can be set for many products at once. */
export const BULK = [
  { key: 'cure_s', words: 'Cure, s', like: '60' },
  { key: 'flash_s', words: 'Flash, s', like: '10' },
  { key: 'light', words: 'Light', like: 'led, uv or both' },
  { key: 'coats_to_cover', words: 'Coats to cover', like: '2' },
  { key: 'coat_um', words: 'One coat, µm', like: '45' },
  { key: 'open_s', words: 'Open time, s', like: '120' },
  { key: 'count', words: 'Left', like: '1' },
  { key: 'price', words: 'Price', like: '12.5' },
  { key: 'holds', words: 'A full one holds', like: '8' },
  { key: 'holds_in', words: 'Held in', like: 'mL or g' },
  { key: 'good_for_months', words: 'Good for, months', like: '24' },
  { key: 'opened_on', words: 'Opened', like: '2026-03-01' },
] as const;
export type BulkKey = (typeof BULK)[number]['key'];

const LAMP_KEYS: readonly BulkKey[] = ['cure_s', 'flash_s', 'light'];
const OWN_KEYS: readonly BulkKey[] = ['count', 'price', 'holds', 'holds_in', 'good_for_months', 'opened_on'];
const TEXTS: readonly BulkKey[] = ['light', 'holds_in', 'opened_on'];

/**
 * The products with one figure set alike, without those that have no use for it; a decimal comma is read. A value that no
 * product can have is refused with what it must be.
 */
export function changeAll(items: readonly ShelfItem[], key: BulkKey, text: string): Result<ShelfItem[]> {
  const value = TEXTS.includes(key)
    ? key === 'holds_in' && /^ml$/i.test(text)
      ? 'mL'
      : text.toLowerCase()
    : Number(text.replace(',', '.'));
  if (Number.isNaN(value)) return fail('', 'must be a number');
  const changed: ShelfItem[] = [];
  for (const item of items) {
    const next = withValue(item, key, value);
    if (!next) continue;
    const parsed = ShelfItem.safeParse(next);
    if (!parsed.success) return fail('', issueFault(parsed.error.issues[0]!).message);
    changed.push(parsed.data);
  }
  return ok(changed);
}

function withValue(item: ShelfItem, key: BulkKey, value: string | number): unknown {
  const { product } = item;
  if (OWN_KEYS.includes(key)) return { ...item, [key]: value };
  const lamp = lampOf(product);
  if (LAMP_KEYS.includes(key))
    return lamp && { ...item, product: { ...product, lamp: { ...lamp, [key]: value } } };
  if (key === 'open_s') return lamp && { ...item, product: { ...product, open_s: value } };
  return key in product ? { ...item, product: { ...product, [key]: value } } : undefined;
}
