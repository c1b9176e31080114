import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installChromium, installPackages, root } from './machine.mjs';

/**
 * The check: format, lint, types, layering, unit and browser tests; closes with the seconds of each part and how many
 * passed and failed. What does not need the whole machine runs side by side. Of the browser tests the main journey of
 * each view is run, with `--whole` every one.
 */
const whole = process.argv.includes('--whole');
const began = Date.now();
installPackages();
installChromium();

const folder = mkdtempSync(join(tmpdir(), 'lacquer-test-'));
const jestReport = join(folder, 'jest.json');
const browserReport = join(folder, 'browser.json');
const took = [];
let passed = 0;
let failed = 0;

/** Runs a command; what it says is printed when it ends, so that parts that run side by side do not mix. */
function part(words, command, args, { env = {}, live = false } = {}) {
  const start = Date.now();
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', live ? 'inherit' : 'pipe', live ? 'inherit' : 'pipe'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    });
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => said.push(text));
    child.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.on('close', (status) => {
      const seconds = (Date.now() - start) / 1000;
      took.push([words, seconds]);
      console.log(`\n— ${words}: ${status === 0 ? 'done' : 'failed'} in ${seconds.toFixed(0)} s`);
      if (!live) process.stdout.write(Buffer.concat(said));
      done(status === 0);
    });
  });
}

async function check(words, command, args) {
  const good = await part(words, command, args);
  if (good) passed += 1;
  else failed += 1;
  return good;
}

async function counted(words, args, report, count, options) {
  const good = await part(words, 'npx', args, options);
  try {
    const sums = count(JSON.parse(readFileSync(report, 'utf8')));
    passed += sums.passed;
    // A runner that fails without a failing test has still failed.
    failed += sums.failed + (!good && sums.failed === 0 ? 1 : 0);
  } catch {
    failed += 1;
  }
}

async function statics() {
  // Types of the routes are written first: lint and types read them.
  await check('route types', 'npx', ['next', 'typegen']);
  await check('types', 'npm', ['run', '--silent', 'types']);
  await check('lint', 'npx', ['oxlint', '.']);
  await check('format', 'npx', ['oxfmt', '--check', '.']);
  await check('layering', 'npx', [
    'depcruise',
    'src',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
  ]);
}

const unit = () =>
  counted(
    'unit tests',
    ['jest', '--config=jest.shared.config.mjs', '--json', `--outputFile=${jestReport}`],
    jestReport,
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    }),
  );

const browser = (words, project) =>
  counted(
    words,
    [
      'playwright',
      'test',
      `--project=${project}`,
      '--reporter=list,json',
      ...(whole ? [] : ['--grep=@each']),
    ],
    browserReport,
    (report) => ({ passed: report.stats.expected, failed: report.stats.unexpected + report.stats.flaky }),
    { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport }, live: true },
  );

const built = await check('build', 'node', ['scripts/build.mjs']);
await Promise.all([statics(), unit()]);
// Browsers want the machine for themselves.
if (built) {
  await browser('browser tests', 'side by side');
  await browser('browser tests alone', 'alone');
}

const longest = Math.max(...took.map(([words]) => words.length));
console.log('\nSeconds by part (some run side by side):');
for (const [words, seconds] of took)
  console.log(`  ${words.padEnd(longest)} ${seconds.toFixed(0).padStart(5)}`);
console.log(`  ${'in all'.padEnd(longest)} ${((Date.now() - began) / 1000).toFixed(0).padStart(5)}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
