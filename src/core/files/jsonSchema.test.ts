import { readFileSync } from 'node:fs';
import { setJsonSchema } from './jsonSchema';

describe('the published schema', () => {
  it('is the one the program reads by: run `npm run schema` after a change', () => {
    expect(readFileSync('docs/set.schema.json', 'utf8')).toBe(setJsonSchema());
  });

  it('refuses unknown keys at the top and inside', () => {
    const schema = JSON.parse(setJsonSchema()) as {
      additionalProperties: boolean;
      properties: { practice: { additionalProperties: boolean } };
    };
    expect(schema.additionalProperties).toBe(false);
    expect(schema.properties.practice.additionalProperties).toBe(false);
  });
});
