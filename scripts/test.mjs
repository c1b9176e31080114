import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installChromium, installPackages, run } from './machine.mjs';

/** The whole check: format, lint, types, layering, unit and browser tests; closes with how many passed and failed. */
installPackages();
installChromium();

const folder = mkdtempSync(join(tmpdir(), 'lacquer-test-'));
const jestReport = join(folder, 'jest.json');
const browserReport = join(folder, 'browser.json');
let passed = 0;
let failed = 0;

function check(words, command, args) {
  console.log(`\n— ${words}`);
  const good = run(command, args).status === 0;
  if (good) passed += 1;
  else failed += 1;
  return good;
}

function counted(words, command, args, env, report, count) {
  console.log(`\n— ${words}`);
  const { status } = run(command, args, { env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } });
  try {
    const sums = count(JSON.parse(readFileSync(report, 'utf8')));
    passed += sums.passed;
    // A runner that fails without a failing test has still failed.
    failed += sums.failed + (status !== 0 && sums.failed === 0 ? 1 : 0);
  } catch {
    failed += 1;
  }
}

check('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
check('route types', 'npx', ['next', 'typegen']);
check('types', 'npm', ['run', '--silent', 'types']);
check('layering', 'npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs', '--output-type', 'err']);
counted('unit tests', 'npx', ['jest', '--json', `--outputFile=${jestReport}`], {}, jestReport, (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
}));
if (check('build', 'node', ['scripts/build.mjs'])) {
  counted(
    'browser tests',
    'npx',
    ['playwright', 'test', '--reporter=list,json'],
    { PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
    browserReport,
    (report) => ({ passed: report.stats.expected, failed: report.stats.unexpected + report.stats.flaky }),
  );
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
