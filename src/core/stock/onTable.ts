import { without } from '../model/without';
import type { Need } from './needs';
import { leftAt, placeOf, type Place, type Stock } from './held';
import { pastOf, type Past } from './pastDate';

/** How a thing stands with the shelf: enough, no more than this once, short, not there at all, or not counted. */
export type Standing = 'enough' | 'low' | 'short' | 'missing' | 'not-counted';

/** A thing to lay on the table, and how it stands with the shelf. */
export interface TableLine extends Need {
  place?: Place;
  left?: number;
  standing: Standing;
  past?: Past;
}

/** Once more, and it is gone: what is left after this set is less than a set like it takes. */
function standingOf(need: Pick<Need, 'amount' | 'of'>, place: Place | undefined, left?: number): Standing {
  if (!place) return need.of.kind === 'other' ? 'not-counted' : 'missing';
  if (left === undefined) return 'not-counted';
  if (left < need.amount) return 'short';
  return left < 2 * need.amount ? 'low' : 'enough';
}

/** What goes on the table, in order of first use. `on`: the day it is used, ISO 8601. */
export function onTable(needs: readonly Need[], stock: Stock, on: string): TableLine[] {
  return needs.map((need): TableLine => {
    const place = placeOf(need, stock);
    const left = place && leftAt(place, stock.takings);
    const past = place?.item && pastOf(place.item, on);
    return {
      ...need,
      ...(place ? { place } : {}),
      ...(left === undefined ? {} : { left }),
      standing: standingOf(need, place, left),
      ...(past ? { past } : {}),
    };
  });
}

/** The needs of several sets as one: what is the same thing is one line. */
export function together(all: readonly (readonly Need[])[]): Need[] {
  const found = new Map<string, Need>();
  for (const need of all.flat()) {
    const known = found.get(need.key);
    found.set(
      need.key,
      known
        ? {
            ...known,
            amount: known.amount + need.amount,
            on_nails: known.on_nails + need.on_nails,
            parts: [...known.parts, ...need.parts],
          }
        : need,
    );
  }
  return [...found.values()];
}

/** What has to be bought, and how many of it. */
export interface ToBuy {
  line: TableLine;
  /** How much is wanting, in the line's unit. */
  wanting: number;
  /** How many bottles, packs or pieces that is; undefined where nobody said what one holds. */
  packs?: number;
}

/** Of what several sets take: what the shelf has not, or not enough of, or only past its date. */
export function shoppingList(needs: readonly (readonly Need[])[], stock: Stock, on: string): ToBuy[] {
  return onTable(together(needs), stock, on).flatMap((line): ToBuy[] => {
    const usable = line.past?.gone ? 0 : (line.left ?? 0);
    // What stands there and was never counted is taken to be there.
    if (line.standing === 'not-counted' && !line.past?.gone) return [];
    const wanting = line.amount - Math.max(0, usable);
    if (wanting <= 0) return [];
    const pack = line.place?.pack;
    return [
      {
        line: without(line, 'parts') as TableLine,
        wanting,
        ...(pack ? { packs: Math.ceil(wanting / pack) } : {}),
      },
    ];
  });
}
