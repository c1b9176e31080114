import { readFileSync, statSync } from 'node:fs';
import { MAX_FILE_BYTES, parseSetText, tooLarge } from '../core/document/parse';
import { decodeText } from '../core/files/decodeText';
import { NAILS } from '../core/model/names';
import { fail, faultLine } from '../core/model/result';
import { without } from '../core/model/without';
import { forecastOf } from '../core/plan/forecastOf';
import { needsOf } from '../core/stock/needs';
import { hasStop, planSet } from '../core/plan/planSet';
import { cardOf, cardText } from '../core/timing/card';
import { AT_LENGTH } from '../core/timing/effort';

const SWITCHES: readonly string[] = ['--pretty', '--forecast', '--supplies', '--card'];

/**
 * `plan FILE [--pretty] [--iterations=N] [--forecast] [--supplies] [--card]`: the plan of a set file as JSON on standard output; N
 * shortens the search for a good sitting. In the plan's place with `--forecast` when it will be over, with `--supplies` what it
 * takes, with `--card` the sheet to work from as text.
 * Exit 0: nothing stops it. 1: something does. 2: the file cannot be read; faults with their path on standard
 * error. 3: a fault of the program itself, with one line on standard error.
 */
function run(args: readonly string[]): number {
  const pretty = args.includes('--pretty');
  const asked = args.map((arg) => /^--iterations=([0-9]{1,5})$/.exec(arg)?.[1]).find((n) => n !== undefined);
  const unknown = args.find(
    (arg) => arg.startsWith('--') && !SWITCHES.includes(arg) && !/^--iterations=[0-9]{1,5}$/.test(arg),
  );
  const files = args.filter((arg) => !arg.startsWith('--'));
  if (unknown || files.length !== 1) {
    process.stderr.write(
      `${unknown ? `unknown option ${unknown}\n` : ''}usage: plan FILE [--pretty] [--iterations=N] [--forecast] [--supplies] [--card]\n`,
    );
    return 2;
  }
  const parsed = read(files[0]!);
  if (!parsed.ok) {
    for (const fault of parsed.faults) process.stderr.write(`${files[0]}: ${faultLine(fault)}\n`);
    return 2;
  }
  const plan = planSet(parsed.value, {
    effort: { iterations: Math.min(Number(asked ?? Infinity), AT_LENGTH.iterations) },
  });
  if (args.includes('--card')) {
    const worked = NAILS.filter((name) => parsed.value.nails[name].in_work);
    process.stdout.write(`${cardText(cardOf(plan.passes, worked, plan.windows))}\n`);
    return hasStop(plan) ? 1 : 0;
  }
  const asked_for = {
    ...(args.includes('--forecast') ? { forecast: forecastOf(parsed.value, plan) } : {}),
    ...(args.includes('--supplies')
      ? { supplies: needsOf(parsed.value, plan).map((need) => without(need, 'of', 'parts')) }
      : {}),
  };
  const said = Object.keys(asked_for).length > 0 ? asked_for : plan;
  process.stdout.write(`${JSON.stringify(said, null, pretty ? 2 : 0)}\n`);
  return hasStop(plan) ? 1 : 0;
}

function read(file: string): ReturnType<typeof parseSetText> {
  try {
    const { size } = statSync(file);
    if (size > MAX_FILE_BYTES) return fail('', tooLarge(size));
    const text = decodeText(readFileSync(file));
    return text.ok ? parseSetText(text.value) : text;
  } catch (error) {
    return fail('', error instanceof Error ? error.message : 'cannot be read');
  }
}

try {
  process.exitCode = run(process.argv.slice(2));
} catch (error) {
  const words = error instanceof Error ? error.message.split('\n')[0] : String(error);
  process.stderr.write(`a fault of the program itself: ${words}\n`);
  process.exitCode = 3;
}
