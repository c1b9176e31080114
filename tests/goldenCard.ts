import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** A card kept in tests/cards, to hold a new one against; WRITE_CARDS=1 writes what is new, to be read as a change. */
export function goldenCard(name: string, card: string): string {
  const file = join(process.cwd(), `tests/cards/${name}.txt`);
  if (process.env.WRITE_CARDS === '1') writeFileSync(file, `${card}\n`);
  return readFileSync(file, 'utf8').trimEnd();
}
