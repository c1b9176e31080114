import { createServer, type ServerResponse } from 'node:http';
import { join } from 'node:path';
import sirv from 'sirv';
import { FILE_HEADERS } from './headers';

/**
 * The application at an address, from the folder it was built in. Scripts and styles were made small when it was built, as
 * far as can be: they are handed out as they lie; all else is the framework's.
 */
const dir = process.cwd();
const hostname = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 3000);
const STATIC = '/_next/static/';

// What the framework does depends on it as soon as it is loaded.
Object.assign(process.env, { NODE_ENV: 'production' });
const { default: next } = await import('next');
const app = next({ dev: false, dir, hostname, port });
await app.prepare();
const pages = app.getRequestHandler();
const files = sirv(join(dir, '.next/static'), {
  brotli: true,
  gzip: true,
  etag: true,
  immutable: true,
  maxAge: 31_536_000,
  setHeaders,
});

createServer((request, response) => {
  const { url = '/' } = request;
  const page = () => {
    request.url = url;
    pages(request, response).catch((error: unknown) => {
      console.error(String(error));
      response.destroy();
    });
  };
  if (!url.startsWith(STATIC)) return page();
  request.url = url.slice(STATIC.length - 1);
  return files(request, response, page);
})
  .once('error', (error) => {
    console.error(String(error));
    process.exit(1);
  })
  .listen(port, hostname, () => process.stdout.write(`Ready at http://${hostname}:${port}\n`));

function setHeaders(response: ServerResponse): void {
  for (const [name, value] of Object.entries(FILE_HEADERS)) response.setHeader(name, value);
}
