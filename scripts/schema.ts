import { writeFileSync } from 'node:fs';
import { setJsonSchema } from '../src/core/files/jsonSchema';

/** Writes docs/set.schema.json from the document's schema. */
writeFileSync(new URL('../docs/set.schema.json', import.meta.url), setJsonSchema());
