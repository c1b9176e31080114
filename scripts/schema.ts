import { readFileSync, writeFileSync } from 'node:fs';
import { setJsonSchema } from '../src/core/files/jsonSchema';
import { withParts } from './formatParts';
import { layeringDoc } from './layeringDoc';
import { techniquesDoc } from './techniquesDoc';

/** Writes what is said of the document in docs/ from its schema and its registries. */
writeFileSync(new URL('../docs/set.schema.json', import.meta.url), setJsonSchema());
const format = new URL('../docs/format.md', import.meta.url);
writeFileSync(format, withParts(readFileSync(format, 'utf8')));
writeFileSync(new URL('../docs/layering.md', import.meta.url), layeringDoc());
writeFileSync(new URL('../docs/techniques.md', import.meta.url), techniquesDoc());
