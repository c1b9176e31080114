import { BODY_KINDS } from '../craft/bodies';
import type { ShelfItem } from '../model/shelf';
import type { Supply, SupplyOf } from '../model/supply';
import { isPowder, LOOSE_G_ML, usualDensity_g_ml } from './losses';
import { IN_ONE, type Unit } from './amounts';
import { takenSince, type Counted, type TakenLine, type Taking } from './taking';
import type { Need, NeedOf } from './needs';

/** What an artist has: products, all else, and what the sets that are done have taken since it was counted. */
export interface Stock {
  shelf: readonly ShelfItem[];
  supplies: readonly Supply[];
  takings: readonly Taking[];
}

/** A thing on the shelf that a need is met from. */
export interface Place {
  table: TakenLine['table'];
  id: string;
  size?: number;
  name: string;
  /** What was counted, in the need's unit; undefined where nobody counts it, or nobody said what one holds. */
  counted?: number;
  /** What a new one holds, in the need's unit. */
  pack?: number;
  /** The two as they are noted of the thing as a whole: of a box with all its sizes. */
  packNoted?: number;
  priceNoted?: number;
  /** What one cost, and in what money. */
  price?: number;
  currency?: string;
  counted_at?: string;
  /** Volume was reckoned to weight, or back, by the usual density and not by the maker's. */
  by_usual_density?: true;
  opened_on?: string;
  item?: ShelfItem;
}

/** Where on the shelf something stands; undefined where it does not. What is counted goes before what is not. */
export function placeOf({ of, unit }: Pick<Need, 'of' | 'unit'>, stock: Stock): Place | undefined {
  const places = PLACES[of.kind](of as never, unit, stock);
  return places.find((one) => one.counted !== undefined) ?? places[0];
}

const PLACES: {
  [K in NeedOf['kind']]: (of: Extract<NeedOf, { kind: K }>, unit: Unit, stock: Stock) => Place[];
} = {
  product: ({ product }, unit, { shelf }) =>
    shelf.filter((item) => item.product.id === product.id).map((item) => productPlace(item, unit)),
  body: ({ piece }, unit, { supplies }) =>
    supplies
      .filter((one) => BODY_KINDS[piece.kind].isSupply(piece, one))
      .map((one) => supplyPlace(one as Countable, unit)),
  grain: ({ colour }, unit, { supplies }) => ofColour('grain', colour, unit, supplies),
  sheet: ({ colour }, unit, { supplies }) => ofColour('sheet', colour, unit, supplies),
  tip: ({ box, size }, _unit, { supplies }) =>
    supplies.flatMap((one): Place[] => {
      const own = one.kind === 'tips' && one.id === box && one.sizes.find((each) => each.size === size);
      if (!own) return [];
      const all = one.sizes.length;
      return [
        {
          ...placeWords(one),
          size,
          counted: own.count,
          ...(one.pack ? { pack: one.pack / all } : {}),
          ...(one.pack && isNoted(one.price) ? { price: one.price / all } : {}),
        },
      ];
    }),
  sundry: ({ use }, unit, { supplies }) =>
    supplies.flatMap((one) => (one.kind === 'sundry' && one.use === use ? [supplyPlace(one, unit)] : [])),
  other: () => [],
};

/** Nought is a price as well. */
function isNoted(figure: number | null | undefined): figure is number {
  return figure !== null && figure !== undefined;
}

type Countable = Extract<Supply, { count: number | null }>;

function ofColour(kind: 'grain' | 'sheet', colour: string, unit: Unit, supplies: readonly Supply[]): Place[] {
  return supplies.flatMap((one) =>
    one.kind === kind && one.colour.toLowerCase() === colour.toLowerCase() ? [supplyPlace(one, unit)] : [],
  );
}

function placeWords(one: Countable | SupplyOf<'tips'>): Place {
  return {
    table: 'supplies',
    id: one.id,
    name: one.name,
    ...(one.currency ? { currency: one.currency } : {}),
    ...(one.counted_at ? { counted_at: one.counted_at } : {}),
    ...(one.pack ? { packNoted: one.pack } : {}),
    ...(isNoted(one.price) ? { priceNoted: one.price } : {}),
  };
}

function supplyPlace(one: Countable, unit: Unit): Place {
  return {
    ...placeWords(one),
    ...(one.count === null ? {} : { counted: Math.round(one.count * IN_ONE[unit]) }),
    ...(one.pack ? { pack: Math.round(one.pack * IN_ONE[unit]) } : {}),
    ...(isNoted(one.price) ? { price: one.price } : {}),
  };
}

function productPlace(item: ShelfItem, unit: Unit): Place {
  const { product, count, price, currency, counted_at, opened_on } = item;
  const pack = contentOf(item, unit);
  return {
    table: 'shelf',
    id: product.id,
    name: product.name,
    item,
    ...(pack ? { pack: pack.amount } : {}),
    ...(pack?.by_usual_density ? { by_usual_density: true } : {}),
    ...(pack && count !== null ? { counted: Math.round(count * pack.amount) } : {}),
    ...(price === null ? {} : { price }),
    ...(currency ? { currency } : {}),
    ...(counted_at ? { counted_at } : {}),
    ...(opened_on ? { opened_on } : {}),
  };
}

/** What a full one holds, in µL or mg; undefined where that is not noted. */
export function contentOf(
  { product, holds, holds_in, density_g_ml }: ShelfItem,
  unit: Unit,
): { amount: number; by_usual_density?: true } | undefined {
  if (!holds) return undefined;
  const told: Unit = (holds_in ?? 'mL') === 'g' ? 'mg' : 'ul';
  const whole = Math.round(holds * 1000);
  if (told === unit) return { amount: whole };
  // A jar of powder is told by what it holds loose.
  const usual = isPowder(product.family) ? LOOSE_G_ML : usualDensity_g_ml(product.family);
  const density = density_g_ml ?? usual;
  const amount = Math.round(unit === 'ul' ? whole / density : whole * density);
  return density_g_ml ? { amount } : { amount, by_usual_density: true };
}

/** How much of it is left, as far as the shelf knows; less than nothing where more was taken than was counted. */
export function leftAt(place: Place, takings: readonly Taking[]): number | undefined {
  if (place.counted === undefined) return undefined;
  return place.counted - takenSince(place as Counted, takings);
}

/** What a set takes off the shelf once it is done: of each thing that stands there. */
export function takenLines(needs: readonly Need[], stock: Stock): TakenLine[] {
  return needs.flatMap((need): TakenLine[] => {
    const place = placeOf(need, stock);
    if (!place) return [];
    const { table, id, size } = place;
    return [{ table, id, ...(size === undefined ? {} : { size }), unit: need.unit, amount: need.amount }];
  });
}
