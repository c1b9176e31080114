import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { must, root } from './machine.mjs';
import { writeNotices } from './notices.mjs';

/** Builds the notices and the pages, then what stands beside them: the service worker and the planning thread of the server. */
writeNotices(root);
must('npx', ['next', 'build']);

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
const common = { bundle: true, minify: true, logLevel: 'error', absWorkingDir: root, target: 'es2022' };

await build({
  ...common,
  entryPoints: [at('src/offline/serviceWorker.ts')],
  tsconfig: at('src/offline/tsconfig.json'),
  outfile: at('public/service-worker.js'),
  define: {
    BUILD: JSON.stringify({ id: readFileSync(at('.next/BUILD_ID'), 'utf8').trim(), parts: parts() }),
    'process.env.NODE_ENV': '"production"',
  },
});
await build({
  ...common,
  entryPoints: [at('src/server/planThread.ts')],
  outfile: at('.next/plan-thread.cjs'),
  platform: 'node',
  format: 'cjs',
});
await build({
  ...common,
  entryPoints: [at('src/server/serve.ts')],
  outfile: at('.next/serve.mjs'),
  platform: 'node',
  format: 'esm',
  packages: 'external',
});
makeSmall();

/** Each script and style as small as it can be sent, beside it: that takes too long to be done for every visitor. */
function makeSmall() {
  for (const file of files(at('.next/static')).filter((one) => /\.(js|css)$/.test(one))) {
    const bytes = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(bytes));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

/** Addresses of all that a page of this build may ask for, in a fixed order. */
function parts() {
  const address = (from, prefix) => (file) => prefix + relative(from, file).split(sep).join('/');
  const statics = at('.next/static');
  return [
    ...files(statics)
      .filter((file) => !file.endsWith('.map') && !/_(build|ssg)Manifest\.js$/.test(file))
      .map(address(statics, '/_next/static/')),
    ...files(at('public/icons')).map(address(at('public/icons'), '/icons/')),
    '/notices.txt',
  ].sort();
}

function files(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name));
}
