import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { installPackages, must, root } from './machine.mjs';

/** Installs if needed, builds, starts, says the address. The browser's store is seeded by the page itself. */
installPackages();
must('node', ['scripts/build.mjs']);
const host = process.env.HOST ?? '127.0.0.1';
const port = await freePort(Number(process.env.PORT ?? 3000));
const server = spawn('node', ['.next/serve.mjs'], {
  cwd: root,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, HOST: host, PORT: String(port), NEXT_TELEMETRY_DISABLED: '1' },
});
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready')) {
    console.log(`\n  Merry Lacquer is open at http://localhost:${port}\n  Ctrl C closes it.\n`);
  }
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));

/** The wished port, or the next one that nothing listens on. */
async function freePort(wished) {
  for (let port = wished; port < wished + 50; port += 1) {
    const free = await new Promise((done) => {
      const probe = createServer();
      probe.once('error', () => done(false));
      probe.once('listening', () => probe.close(() => done(true)));
      probe.listen(port, host);
    });
    if (free) return port;
  }
  throw new Error(`no free port from ${wished} on`);
}
