import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { FINDING_CODES } from '../codes';
import { NAIL_RULES, SET_RULES } from '.';

const rules = [...NAIL_RULES, ...SET_RULES];

describe('the codes of findings', () => {
  it('are each told by one rule, and none is a rule’s alone', () => {
    const told = rules.flatMap(({ codes }) => codes);
    expect(new Set(told).size).toBe(told.length);
    expect([...told].sort()).toEqual([...FINDING_CODES].sort());
  });

  it('stand in docs/findings.md, each beside what its rule asks, and nothing else does', () => {
    const text = readFileSync(join(process.cwd(), 'docs/findings.md'), 'utf8');
    const rows = text.split('\n').filter((line) => line.startsWith('| ') && line.includes('`'));
    const said = rows.map((row) => ({
      asks: row.split('|')[1]!.trim(),
      codes: [...row.matchAll(/`([a-z-]+)`/g)].map((one) => one[1]!),
    }));
    expect(said).toEqual(rules.map(({ asks, codes }) => ({ asks, codes: [...codes] })));
  });
});
