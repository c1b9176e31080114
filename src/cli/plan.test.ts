import { buildSync } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { curtainUp } from '@/core/demo/curtainUp';
import { matinee } from '@/core/demo/matinee';
import { understudy } from '@/core/demo/understudy';
import { writeSetText } from '@/core/document/parse';
import { cardOf, cardText } from '../core/timing/card';
import { AT_LENGTH } from '../core/timing/effort';
import type { SetDocument } from '@/core/document/document';
import { NAILS, type NailName } from '@/core/model/names';
import { forecastOf } from '@/core/plan/forecastOf';
import { planSet } from '@/core/plan/planSet';
import { needsOf } from '@/core/stock/needs';

const folder = mkdtempSync(join(tmpdir(), 'lacquer-'));
function put(name: string, text: string | Buffer): string {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
}
/** The command line, compiled once for all tests. */
const program = join(folder, 'plan.cjs');
beforeAll(() => {
  buildSync({
    entryPoints: ['src/cli/plan.ts'],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    outfile: program,
    logLevel: 'error',
  });
});
/** So many nails in the work that a long search takes seconds. */
function only(set: SetDocument, ...names: NailName[]): SetDocument {
  for (const name of NAILS) set.nails[name] = { ...set.nails[name], in_work: names.includes(name) };
  return set;
}
const node = (...args: string[]) => spawnSync(process.execPath, args, { encoding: 'utf8', maxBuffer: 1e8 });
const run = (...args: string[]) => node(program, ...args);

describe('plan FILE', () => {
  it('prints the plan that the core makes at length, and exits 0 when nothing stops it', () => {
    const set = only(matinee(), 'left-ring', 'right-ring');
    const result = run(put('matinee.json', writeSetText(set)));
    expect(result.status).toBe(0);
    const plan = planSet(set, { effort: { iterations: AT_LENGTH.iterations } });
    expect(JSON.parse(result.stdout)).toEqual(plan);
    // At length is not as while editing, or this would show nothing.
    expect(plan.sitting).not.toEqual(planSet(set, { effort: { iterations: 1 } }).sitting);
    expect(result.stdout.trim().split('\n')).toHaveLength(1);
  });

  it('prints when it will be over and what it takes, as the page shows them', () => {
    const set = only(matinee(), 'left-ring', 'left-middle', 'right-ring');
    const file = put('asked.json', writeSetText(set));
    const result = run(file, '--forecast', '--supplies', '--iterations=200');
    expect(result.status).toBe(0);
    const plan = planSet(set, { effort: { iterations: 200 } });
    const said = JSON.parse(result.stdout) as {
      forecast: unknown;
      supplies: { key: string; amount: number }[];
    };
    expect(Object.keys(said)).toEqual(['forecast', 'supplies']);
    expect(said.forecast).toEqual(forecastOf(set, plan));
    expect(said.supplies.map(({ key, amount }) => [key, amount])).toEqual(
      needsOf(set, plan).map(({ key, amount }) => [key, amount]),
    );
    expect(run(file, '--price').status).toBe(2);
  });

  it('prints the sheet to work from', () => {
    const set = only(matinee(), 'left-ring', 'right-ring');
    const result = run(put('card.json', writeSetText(set)), '--card', '--iterations=200');
    expect(result.status).toBe(0);
    const { passes, windows } = planSet(set, { effort: { iterations: 200 } });
    expect(result.stdout.trimEnd()).toBe(cardText(cardOf(passes, ['left-ring', 'right-ring'], windows)));
    expect(result.stdout).toMatch(/ hand · Colour, first coat · /);
  });

  it('exits 1 when something is at stop, pretty or not, searched as long as it is told', () => {
    // As some editors write it: UTF-16 with a mark.
    const set = only(understudy(), 'left-thumb', 'left-ring', 'right-middle');
    const file = put('under.json', Buffer.from(`\ufeff${writeSetText(set)}`, 'utf16le'));
    const result = run(file, '--pretty', '--iterations=100');
    expect(result.status).toBe(1);
    expect(result.stdout.split('\n').length).toBeGreaterThan(100);
    expect(JSON.parse(result.stdout)).toEqual(planSet(set, { effort: { iterations: 100 } }));
  });

  it.each([
    ['a broken file', '{', /this is not JSON/],
    ['a wrong value', writeSetText({ ...curtainUp(), title: '' }), /: title: /],
    ['a file too large', ' '.repeat(9 * 1024 * 1024), /9\.0 MB/],
  ])(
    'exits 2 on %s, with the path on standard error and nothing on standard output',
    (_words, text, message) => {
      const result = run(put('bad.json', text));
      expect(result.status).toBe(2);
      expect(result.stderr).toMatch(message);
      expect(result.stdout).toBe('');
    },
  );

  it('exits 3 on a fault of its own, with one line on standard error', () => {
    const broken = `data:text/javascript,Math.hypot=()=>{throw new Error('worn out')}`;
    const result = node('--import', broken, program, put('fine.json', writeSetText(curtainUp())));
    expect(result.status).toBe(3);
    expect(result.stderr).toBe('a fault of the program itself: worn out\n');
    expect(result.stdout).toBe('');
  });

  it('exits 2 without a file, on one that is not there, and on an unknown option', () => {
    expect(run().status).toBe(2);
    expect(run(join(folder, 'none.json')).stderr).toMatch(/ENOENT/);
    expect(run('--fancy', 'x').stderr).toMatch(/unknown option --fancy/);
    expect(run('--iterations=many', 'x').stderr).toMatch(/unknown option --iterations=many/);
  });
});
