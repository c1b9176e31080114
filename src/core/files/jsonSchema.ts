import * as z from 'zod/mini';
import { SetShape, VERSION } from '../document/document';

/** The published JSON Schema of the set document, as the text of its file. */
export function setJsonSchema(): string {
  const schema = z.toJSONSchema(SetShape, { target: 'draft-2020-12', io: 'input' });
  return `${JSON.stringify({ title: `Merry Lacquer set, version ${VERSION}`, ...schema }, null, 2)}\n`;
}
