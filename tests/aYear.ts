import { DEMO_SETS } from '../src/core/demo';
import type { Bench } from '../src/core/bench/log';
import type { SetDocument } from '../src/core/document/document';
import { chance } from '../src/core/model/chance';
import { newClient, platesOf, type Client } from '../src/core/model/client';
import { dayAfter } from '../src/core/model/days';
import { NAILS } from '../src/core/model/names';
import type { WearNote, Worn } from '../src/core/model/wear';
import { planSet } from '../src/core/plan/planSet';
import type { Taking } from '../src/core/stock/taking';
import { QUICK } from '../src/core/testing/sets';
import { wornOf } from '../src/core/wear/facts';

/** A year at one table: clients who come every few weeks, what they wore, how it held, and pictures of it. */
export interface AYear {
  clients: Client[];
  sets: { changed_at: number; document: SetDocument }[];
  worn: Worn[];
  benches: Bench[];
  takings: Taking[];
  /** By id and set; their pictures are whoever's asks for them. */
  photos: { id: string; set: string; taken_at: number }[];
}

const FIRST = '2025-12-01';
const DAYS = 364;
/** Names that no word of the program is. */
const NAMES = ['Xanthe', 'Quillon', 'Zephyrine', 'Oswin', 'Isaura', 'Thaddea', 'Corisande', 'Evander'];
const FAMILIES = ['Brackwater', 'Holloway-Finch', 'Underlight', 'Pennywhistle', 'Wrenfield'];

/** So many sittings spread over a year; each client wears the next when the one before comes off. */
export function aYear(sittings: number, seed = 7): AYear {
  const by = chance(seed);
  const made = DEMO_SETS.map((demo) => {
    const set = demo.make();
    return { set, worn: wornOf(set, planSet(set, QUICK), { on: FIRST }) };
  });
  const count = Math.max(1, Math.round(sittings / 10));
  const clients = Array.from({ length: count }, (_, i): Client => ({
    ...newClient(`client-${i}`, `${NAMES[i % NAMES.length]} ${FAMILIES[i % FAMILIES.length]} ${i}`),
    sensitivities: i % 3 === 0 ? `zirconolite ${i}` : '',
    note: `Plays the theorbo ${i}`,
    measures: [{ on: FIRST, plates: platesOf(made[0]!.set.nails) }],
    sets: [],
  }));
  const year: AYear = { clients, sets: [], worn: [], benches: [], takings: [], photos: [] };
  for (let i = 0; i < sittings; i += 1) {
    const client = clients[i % count]!;
    const on = dayAfter(FIRST, Math.floor((i / sittings) * DAYS));
    const off = dayAfter(on, Math.floor((count / sittings) * DAYS));
    const { set, worn } = by.pick(made);
    const id = `year-${i}`;
    const at_ms = Date.parse(`${on}T18:00:00Z`);
    const noted = photosAndNotes(id, on, off, at_ms, by, year.photos);
    client.sets.push(id);
    year.sets.push({
      changed_at: at_ms,
      document: { ...set, id, title: `${set.title} ${i}`, appointment: { on, at: '18:00' }, state: 'done' },
    });
    year.worn.push({
      ...worn,
      set: id,
      title: `${set.title} ${i}`,
      client: client.id,
      made_on: on,
      by: i % 2 ? 'plan' : 'bench',
      ...(i % 4 === 0
        ? { follow_ups: [{ on: dayAfter(on, 3), words: 'Ask how it holds', done: i + count < sittings }] }
        : {}),
      nails: Object.fromEntries(
        NAILS.map((nail) => {
          const one = worn.nails[nail];
          return [nail, one && { ...one, notes: noted[nail] ?? [] }];
        }),
      ) as Worn['nails'],
    });
    if (i % 2 === 0)
      year.benches.push({
        set: id,
        mark: 'm',
        course: [],
        events: [
          { what: 'begun', at_ms },
          { what: 'noted', at_ms: at_ms + 60_000, operation: null, text: 'A warm evening' },
        ],
        clock: { shift_ms: 0, seen_ms: at_ms },
      });
    year.takings.push({
      set: id,
      title: `${set.title} ${i}`,
      at: new Date(at_ms).toISOString(),
      lines: [{ table: 'shelf', id: 'base-a', unit: 'ul', amount: 100 + by.below(60) }],
    });
  }
  return year;
}

/** Two pictures a set; and on one nail in twelve something that failed while it was worn. */
function photosAndNotes(
  set: string,
  on: string,
  off: string,
  at_ms: number,
  by: ReturnType<typeof chance>,
  photos: AYear['photos'],
): Partial<Record<(typeof NAILS)[number], WearNote[]>> {
  const taken = (n: number) => {
    const id = `${set}-photo-${n}`;
    photos.push({ id, set, taken_at: at_ms + n });
    return id;
  };
  const first = taken(1);
  taken(2);
  const span = Math.max(2, Math.round((Date.parse(off) - Date.parse(on)) / 86_400_000));
  let photo: string | null = first;
  return Object.fromEntries(
    NAILS.flatMap((nail) => {
      if (by.below(12) > 0) return [];
      const note: WearNote = {
        on: dayAfter(on, 1 + by.below(span - 1)),
        what: by.pick(['lifted', 'chipped', 'cracked'] as const),
        at: { across: by.next() * 2 - 1, along: by.next() },
        much: 'a little',
        felt: [],
        note: '',
        photo,
        causes: [],
      };
      photo = null;
      return [[nail, [note]]];
    }),
  );
}
