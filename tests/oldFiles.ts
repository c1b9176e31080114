import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Every kept file of every older version, parsed. */
export function oldFiles(): unknown[] {
  const folder = join(process.cwd(), 'tests/files');
  return readdirSync(folder).flatMap((version) =>
    readdirSync(join(folder, version))
      .filter((name) => name.endsWith('.json'))
      .map((name): unknown => JSON.parse(readFileSync(join(folder, version, name), 'utf8'))),
  );
}
