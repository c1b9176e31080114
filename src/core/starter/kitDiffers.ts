import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import type { Lamp, Product, TipBox } from '../model/product';
import type { Supply } from '../model/supply';
import { boxOfSupply, lampOfSupply } from '../craft/supplies';

/** A thing that a set carries otherwise than it stands on the shelf now. */
export interface KitDifference {
  /** What it is called on the shelf. */
  name: string;
  /** Each figure that differs, as the set has it and as the shelf has it. */
  figures: { what: string; set: string; shelf: string }[];
  /** What takes the shelf's into the set. */
  change: Change;
}

/** What a set carries that the shelf has under the same id, but otherwise; stock and price are no part of it. */
export function kitDiffers(
  { kit }: SetDocument,
  products: readonly Product[],
  supplies: readonly Supply[],
): KitDifference[] {
  const lamps = supplies.flatMap((one) => (one.kind === 'lamp' ? [lampOfSupply(one)] : []));
  const boxes = supplies.flatMap((one) => (one.kind === 'tips' ? [boxOfSupply(one)] : []));
  return [
    ...compare(kit.products, products, (product: Product): Change => ({ kind: 'put-product', product })),
    ...compare(kit.lamps, lamps, (lamp: Lamp): Change => ({ kind: 'put-lamp', lamp })),
    ...compare(kit.tips, boxes, (box: TipBox): Change => ({ kind: 'put-tips', box })),
  ];
}

function compare<T extends { id: string; name: string }>(
  carried: readonly T[],
  shelf: readonly T[],
  take: (one: T) => Change,
): KitDifference[] {
  const there = new Map(shelf.map((one) => [one.id, one]));
  return carried.flatMap((own) => {
    const other = there.get(own.id);
    if (!other) return [];
    const [set, now] = [figuresOf(own), figuresOf(other)];
    const figures = [...new Set([...set.keys(), ...now.keys()])]
      .map((what) => ({ what, set: set.get(what) ?? 'nothing', shelf: now.get(what) ?? 'nothing' }))
      .filter((one) => one.set !== one.shelf);
    return figures.length > 0 ? [{ name: other.name, figures, change: take(other) }] : [];
  });
}

/** Every figure of a thing by its path, in words. A box's sizes count as one. */
function figuresOf(value: object, path = ''): Map<string, string> {
  const out = new Map<string, string>();
  for (const [key, inner] of Object.entries(value)) {
    const at = path ? `${path} ${key}` : key;
    if (inner === undefined || inner === false) continue;
    if (Array.isArray(inner)) out.set(at, wordsOf(inner));
    else if (typeof inner === 'object' && inner !== null)
      for (const [k, v] of figuresOf(inner as object, at)) out.set(k, v);
    else out.set(at, String(inner));
  }
  return out;
}

function wordsOf(list: readonly unknown[]): string {
  return list
    .map((one) => (typeof one === 'object' && one !== null ? Object.values(one).join(' ') : String(one)))
    .join(', ');
}
