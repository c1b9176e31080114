import { run } from './machine.mjs';

/** Starts what was built. Only this machine is answered unless HOST names another address. */
const { status } = run('node', ['.next/serve.mjs']);
process.exit(status ?? 1);
