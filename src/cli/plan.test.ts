import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { curtainUp } from '@/core/demo/curtainUp';
import { understudy } from '@/core/demo/understudy';
import { writeSetText } from '@/core/document/parse';
import { AT_LENGTH } from '../core/timing/search';
import { planSet } from '@/core/plan/planSet';

const folder = mkdtempSync(join(tmpdir(), 'lacquer-'));
function put(name: string, text: string | Buffer): string {
  const file = join(folder, name);
  writeFileSync(file, text);
  return file;
}
const run = (...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/plan.ts', ...args], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  });

describe('plan FILE', () => {
  it('prints the plan that the core makes, and exits 0 when nothing stops it', () => {
    const out = execFileSync(
      process.execPath,
      ['--import', 'tsx', 'src/cli/plan.ts', put('up.json', writeSetText(curtainUp()))],
      {
        encoding: 'utf8',
        maxBuffer: 1e8,
      },
    );
    expect(JSON.parse(out)).toEqual(planSet(curtainUp(), { effort: { iterations: AT_LENGTH.iterations } }));
    expect(out.trim().split('\n')).toHaveLength(1);
  });

  it('exits 1 when something is at stop, pretty or not', () => {
    // As some editors write it: UTF-16 with a mark.
    const file = put('under.json', Buffer.from(`\ufeff${writeSetText(understudy())}`, 'utf16le'));
    const result = run(file, '--pretty');
    expect(result.status).toBe(1);
    expect(result.stdout.split('\n').length).toBeGreaterThan(100);
    expect(JSON.parse(result.stdout)).toEqual(
      planSet(understudy(), { effort: { iterations: AT_LENGTH.iterations } }),
    );
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
    const result = spawnSync(
      process.execPath,
      ['--import', 'tsx', '--import', broken, 'src/cli/plan.ts', put('fine.json', writeSetText(curtainUp()))],
      { encoding: 'utf8', maxBuffer: 1e8 },
    );
    expect(result.status).toBe(3);
    expect(result.stderr).toBe('a fault of the program itself: worn out\n');
    expect(result.stdout).toBe('');
  });

  it('exits 2 without a file, on one that is not there, and on an unknown option', () => {
    expect(run().status).toBe(2);
    expect(run(join(folder, 'none.json')).stderr).toMatch(/ENOENT/);
    expect(run('--fancy', 'x').stderr).toMatch(/unknown option --fancy/);
  });
});
