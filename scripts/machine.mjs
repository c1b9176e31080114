import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** What the start scripts share: the project's root, running a step, and installing what a machine lacks. */
export const root = fileURLToPath(new URL('..', import.meta.url));
export const CHROMIUM = '/usr/bin/chromium';

export function run(command, args, options = {}) {
  return spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
    ...options,
  });
}

export function must(command, args) {
  const { status } = run(command, args);
  if (status !== 0) {
    console.error(`\n${command} ${args.join(' ')} did not succeed.`);
    process.exit(status ?? 1);
  }
}

/**
 * `npm install` keeps to the lock file as `npm ci` does, and also works where a registry lacks the optional
 * packages of other systems.
 */
export function installPackages() {
  if (!existsSync(new URL('../node_modules/.package-lock.json', import.meta.url)))
    must('npm', ['install', '--no-save']);
}

/** Debian's Chromium, for the browser tests. */
export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const [apt, ...rest] = [...asRoot, 'apt-get'];
  must(apt, [...rest, 'update', '-qq']);
  must(apt, [...rest, 'install', '-y', '-qq', 'chromium']);
}
