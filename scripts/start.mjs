import { run } from './machine.mjs';

/** Starts what was built. Only this machine is answered unless HOST names another address. */
const { status } = run('npx', [
  'next',
  'start',
  '-H',
  process.env.HOST ?? '127.0.0.1',
  '-p',
  process.env.PORT ?? '3000',
]);
process.exit(status ?? 1);
