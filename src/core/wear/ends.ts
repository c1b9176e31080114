import type { Worn } from '../model/wear';

/**
 * Worn sets with the day each came off: as it was said; else, on hands that are known, the day the next was made on them, for then nothing more is
 * known of it. One after which nothing was made is worn still.
 */
export function withEnds<T extends Pick<Worn, 'client' | 'made_on' | 'off_on'>>(all: readonly T[]): T[] {
  const made = new Map<string, string[]>();
  for (const { client, made_on } of all)
    if (client !== null) made.set(client, [...(made.get(client) ?? []), made_on]);
  for (const days of made.values()) days.sort();
  return all.map((worn) => {
    if (worn.off_on !== null || worn.client === null) return worn;
    const off_on = made.get(worn.client)?.find((day) => day > worn.made_on);
    return off_on === undefined ? worn : { ...worn, off_on };
  });
}
