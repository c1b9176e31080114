import * as z from 'zod/mini';
import { NAILS, type NailName } from './names';
import { Plate, type Nail } from './nail';
import { Id, Words } from './primitives';

const plates = Object.fromEntries(NAILS.map((nail) => [nail, Plate])) as Record<NailName, typeof Plate>;

/** Ten plates as they were measured on a day. */
export const Measured = z.strictObject({
  /** ISO 8601, the day alone. */
  on: z.iso.date('must be a day such as 2026-11-25'),
  plates: z.strictObject(plates),
});
export type Measured = z.infer<typeof Measured>;

/**
 * A client's card: who it is, what is not used on these hands, the measures by day, latest first, and the sets made for
 * them. A set knows nothing of its client, so nothing of this leaves with it.
 */
export const Client = z.strictObject({
  id: Id,
  name: Words,
  sensitivities: z.string().check(z.maxLength(2000, 'must be at most 2000 characters')),
  note: z.string().check(z.maxLength(2000, 'must be at most 2000 characters')),
  measures: z.array(Measured).check(z.maxLength(60, 'must hold at most 60 measures')),
  /** Ids of the sets made for this client. */
  sets: z.array(z.string().check(z.maxLength(80))).check(z.maxLength(2000)),
});
export type Client = z.infer<typeof Client>;

export function newClient(id: string, name: string): Client {
  return { id, name, sensitivities: '', note: '', measures: [], sets: [] };
}

/** A card with the measures of a day; those of the same day are replaced, the oldest go where there are too many. */
export function withMeasures(client: Client, measured: Measured): Client {
  const others = client.measures.filter((one) => one.on !== measured.on);
  const measures = [...others, measured].sort((a, b) => (a.on < b.on ? 1 : -1)).slice(0, 60);
  return { ...client, measures };
}

/** Whether nails have the plates that were measured on a day. */
export function areOnPlates(
  nails: Record<NailName, Pick<Nail, 'plate'>>,
  plates: Measured['plates'],
): boolean {
  return NAILS.every((name) =>
    (Object.keys(plates[name]) as (keyof Plate)[]).every(
      (key) => plates[name][key] === nails[name].plate[key],
    ),
  );
}

/** Nails on the plates of a day. */
export function onPlates(nails: Record<NailName, Nail>, plates: Measured['plates']): Record<NailName, Nail> {
  return Object.fromEntries(NAILS.map((name) => [name, { ...nails[name], plate: plates[name] }])) as Record<
    NailName,
    Nail
  >;
}

/** The ten plates of a set's nails, as they are. */
export function platesOf(nails: Record<NailName, Pick<Nail, 'plate'>>): Measured['plates'] {
  return Object.fromEntries(NAILS.map((name) => [name, nails[name].plate])) as Measured['plates'];
}

/**
 * Two cards of one client as one, under the first's name: all sets; the measures of every day, the first's where both measured on one; what is not
 * used on either's hands; both notes. Undefined where a card would not hold it all.
 */
export function mergedCard(into: Client, from: Client): Client | undefined {
  const joined = (a: string, b: string, between: string) =>
    b.trim() === '' || a.includes(b.trim()) ? a : [a.trim(), b.trim()].filter(Boolean).join(between);
  const measures = [...from.measures, ...into.measures].reduce(withMeasures, {
    ...into,
    measures: [],
  }).measures;
  const merged = Client.safeParse({
    ...into,
    sensitivities: joined(into.sensitivities, from.sensitivities, ', '),
    note: joined(into.note, from.note, '\n'),
    measures,
    sets: [...new Set([...into.sets, ...from.sets])],
  });
  return merged.success ? merged.data : undefined;
}
