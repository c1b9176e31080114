import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { request as ask } from 'node:http';
import { connect, type Socket } from 'node:net';
import { curtainUp } from '../src/core/demo/curtainUp';
import { flyTower } from '../src/core/demo/flyTower';
import { matinee } from '../src/core/demo/matinee';
import { understudy } from '../src/core/demo/understudy';
import { writeSetText } from '../src/core/document/parse';
import { setAtEveryLimit } from '../src/core/testing/sets';
import { EACH } from './helpers';

/* A server of its own, so that what it holds in memory can be read and nothing else asks of it. */
const PORT = 4311;
const MB = 1024 * 1024;
let server: ChildProcess;

test.beforeAll(async () => {
  const next = 'node_modules/next/dist/bin/next';
  server = spawn(process.execPath, [next, 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
    stdio: 'ignore',
  });
  await expect
    .poll(() =>
      page().then(
        () => true,
        () => false,
      ),
    )
    .toBe(true);
});
test.afterAll(() => {
  server.kill();
});

interface Answer {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  body: string;
}
/** Asks by Node's own client, so that bodies can be slow, endless or broken off. */
function asked(
  method: string,
  path: string,
  body?: string | ((write: (chunk: Buffer) => Promise<boolean>) => Promise<void>),
  headers: Record<string, string> = { 'content-type': 'application/json' },
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asking = ask({ host: '127.0.0.1', port: PORT, method, path, headers, agent: false }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on('data', (chunk: Buffer) => chunks.push(chunk));
      answer.on('end', () =>
        resolve({
          status: answer.statusCode!,
          headers: answer.headers,
          body: Buffer.concat(chunks).toString('utf8'),
        }),
      );
      answer.on('error', reject);
    });
    let over = false;
    asking.on('error', (error) => {
      over = true;
      reject(error);
    });
    asking.on('response', () => (over = true));
    if (typeof body !== 'function') {
      asking.end(body);
      return;
    }
    const write = (chunk: Buffer) =>
      new Promise<boolean>((next) => {
        if (over) next(false);
        else asking.write(chunk, () => next(!over));
      });
    body(write).then(() => asking.end(), reject);
  });
}
const page = () => asked('GET', '/');
const plan = (set = matinee()) => asked('POST', '/api/plan', writeSetText(set));
/** Resident memory of the server, in MB. */
const memory_MB = () =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024);

test('every route answers with its headers', EACH, async () => {
  for (const path of [
    '/',
    '/shelf',
    '/clients',
    '/set/curtain-up/design',
    '/set/x/layers',
    '/set/x/timing',
    '/set/x/card',
    '/nowhere',
  ]) {
    const { headers, status } = await asked('GET', path);
    expect(status).toBe(path === '/nowhere' ? 404 : 200);
    const policy = String(headers['content-security-policy']);
    const scripts = /script-src ([^;]*)/.exec(policy)![1]!;
    expect(scripts).toMatch(/'nonce-[\w=+/]{20,}' 'strict-dynamic'/);
    expect(scripts).not.toMatch(/unsafe|\*|http/);
    expect(policy).toMatch(/object-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'/);
  }
  const first = String((await page()).headers['content-security-policy']);
  expect(String((await page()).headers['content-security-policy'])).not.toBe(first);
  const part = /\/_next\/static\/[^"]+\.js/.exec((await page()).body)![0];
  const others = ['/api/plan', part, '/icons/any-192.png', '/manifest.webmanifest', '/service-worker.js'];
  for (const path of ['/', ...others]) {
    const { headers } = await asked('GET', path);
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'x-frame-options': 'DENY',
    });
    expect(String(headers['permissions-policy'])).toMatch(/camera=\(\), microphone=\(\)/);
    expect(String(headers['content-security-policy'])).toMatch(/frame-ancestors 'none'/);
    expect(headers['x-powered-by']).toBeUndefined();
  }
});

test('other methods are told the right one, other kinds of content are refused', EACH, async () => {
  for (const method of ['GET', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD']) {
    const { status, headers } = await asked(method, '/api/plan');
    expect([method, status, headers.allow]).toEqual([method, 405, 'POST']);
  }
  for (const method of ['POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']) {
    const { status, headers } = await asked(method, '/shelf', method === 'OPTIONS' ? undefined : '{}');
    expect([method, status, headers.allow]).toEqual([method, 405, 'GET, HEAD']);
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'x-frame-options': 'DENY' });
  }
  for (const path of ['/%E0%A4%A', '/set/%E0%A4%A/design', '/api/%ff']) {
    const { status, headers } = await asked('GET', path);
    expect([path, status]).toEqual([path, 400]);
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer' });
    expect(String(headers['content-security-policy'])).toMatch(/frame-ancestors 'none'/);
  }
  expect((await asked('GET', '/_next/image?url=%2Ficons%2Fany-192.png&w=64&q=75')).status).toBe(404);
  for (const method of ['TRACE', 'PROPFIND', 'SEARCH'])
    expect([method, (await asked(method, '/api/plan')).status, (await asked(method, '/')).status]).toEqual([
      method,
      405,
      405,
    ]);
  const text = await asked('POST', '/api/plan', writeSetText(matinee()), { 'content-type': 'text/plain' });
  expect(text.status).toBe(415);
  const bad = await asked('POST', '/api/plan', '{"format":"merry-lacquer-set","version":99}');
  expect(bad.status).toBe(422);
  expect(JSON.parse(bad.body)).toMatchObject({ faults: [{ path: 'version' }] });
  const deep = await asked('POST', '/api/plan', '['.repeat(2_000_000));
  expect(deep.status).toBe(422);
});

test('two hundred at once: some are planned, the rest asked to come again, the pages go on', async () => {
  const waves = Array.from({ length: 200 }, () => plan());
  const pages = Array.from({ length: 20 }, () => page());
  const statuses = (await Promise.all(waves)).map((one) => one.status);
  const count = (status: number) => statuses.filter((one) => one === status).length;
  // As many as may wait get their plan.
  expect(count(200) + count(503)).toBeGreaterThanOrEqual(40);
  expect(count(200)).toBeGreaterThan(0);
  expect(count(429)).toBeGreaterThan(100);
  // On a slow machine one that waited may have no time left.
  expect(count(200) + count(429) + count(503)).toBe(200);
  expect((await Promise.all(pages)).every((one) => one.status === 200)).toBe(true);
  expect((await plan()).status).toBe(200);
  console.log(
    `200 at once: ${statuses.filter((one) => one === 200).length} planned; memory ${memory_MB()} MB`,
  );
});

test('thirty demo sets of five clients: every one gets its plan, and what was searched is said', async () => {
  const clients = Array.from({ length: 5 }, async (_, i) => {
    for (let n = 0; n < 6; n += 1) {
      const answer = await planAtLast([curtainUp, matinee, understudy, flyTower][(i + n) % 4]!());
      expect(answer.status).toBe(200);
      expect(answer.headers['search-effort']).toBe('short; iterations=4000');
    }
  });
  await Promise.all(clients);
});

/** The plan of one who comes again when told to: on a slow machine a thread that has just begun is late. */
async function planAtLast(set: ReturnType<typeof curtainUp>): ReturnType<typeof plan> {
  let answer = await plan(set);
  for (let tries = 1; answer.status === 503 && tries < 4; tries += 1) {
    await new Promise((resolve) => setTimeout(resolve, 1000 * Number(answer.headers['retry-after'])));
    answer = await plan(set);
  }
  return answer;
}

test('400 MB in pieces are refused after 8, and are not kept', async () => {
  const before = memory_MB();
  let sent = 0;
  const answer = await asked(
    'POST',
    '/api/plan',
    async (write) => {
      const piece = Buffer.alloc(MB, ' ');
      while (sent < 400 && (await write(piece))) sent += 1;
    },
    { 'content-type': 'application/json', 'transfer-encoding': 'chunked' },
  );
  expect(answer.status).toBe(413);
  expect(memory_MB() - before).toBeLessThan(200);
  expect((await plan()).status).toBe(200);
  console.log(`400 MB in pieces: refused after ${sent} MB sent; memory ${before} to ${memory_MB()} MB`);
});

test('two hundred slow sockets hold nobody up, and are let go', async () => {
  const before = memory_MB();
  const head =
    'POST /api/plan HTTP/1.1\r\nhost: here\r\ncontent-type: application/json\r\ncontent-length: 90000\r\n\r\n';
  const sockets: Socket[] = [];
  const ended: Promise<string>[] = [];
  for (let i = 0; i < 200; i += 1) {
    const socket = connect(PORT, '127.0.0.1', () => socket.write(`${head}{`));
    sockets.push(socket);
    ended.push(
      new Promise((done) => {
        socket.once('data', (data: Buffer) => done(data.toString('utf8').split('\r\n')[0]!));
        socket.once('error', () => done('broken'));
        socket.once('close', () => done('closed'));
      }),
    );
  }
  expect((await page()).status).toBe(200);
  expect((await plan()).status).toBe(200);
  const said = await Promise.all(ended);
  expect(said.every((line) => line.includes('408'))).toBe(true);
  for (const socket of sockets) socket.destroy();
  expect(memory_MB() - before).toBeLessThan(200);
  console.log(`200 slow sockets: memory ${before} to ${memory_MB()} MB`);
});

test('uploads and plans that are broken off leave nothing behind', async () => {
  const before = memory_MB();
  for (let round = 0; round < 5; round += 1) {
    const sockets = Array.from({ length: 30 }, () => {
      const socket = connect(PORT, '127.0.0.1', () => {
        socket.write(
          'POST /api/plan HTTP/1.1\r\nhost: here\r\ncontent-type: application/json\r\ncontent-length: 7000000\r\n\r\n',
        );
        socket.write(Buffer.alloc(2 * MB, ' '));
      });
      socket.on('error', () => undefined);
      return socket;
    });
    await new Promise((done) => setTimeout(done, 400));
    for (const socket of sockets) socket.destroy();
  }
  const heavy = writeSetText(setAtEveryLimit());
  const left = Array.from({ length: 6 }, () => {
    const asking = ask({
      host: '127.0.0.1',
      port: PORT,
      method: 'POST',
      path: '/api/plan',
      headers: { 'content-type': 'application/json' },
      agent: false,
    });
    asking.on('error', () => undefined);
    asking.end(heavy);
    return asking;
  });
  await new Promise((done) => setTimeout(done, 1500));
  for (const one of left) one.destroy();
  // Nobody works on what nobody waits for: there is room at once.
  expect((await plan()).status).toBe(200);
  expect(memory_MB() - before).toBeLessThan(400);
  console.log(`broken off: memory ${before} to ${memory_MB()} MB`);
});

test('pages are served beside four heavy plans, each answered in its time', async () => {
  const heavy = Array.from({ length: 4 }, () => plan(setAtEveryLimit()));
  const took: number[] = [];
  let working = true;
  const all = Promise.all(heavy).finally(() => (working = false));
  while (working) {
    const start = performance.now();
    expect((await page()).status).toBe(200);
    took.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 50));
  }
  for (const { status, body } of await all) {
    expect([200, 503]).toContain(status);
    if (status === 503) expect(body).toContain('there was no plan within 20 s');
  }
  took.sort((a, b) => a - b);
  console.log(
    `GET / beside four heavy plans: ${took.length} asked, median ${Math.round(took[took.length >> 1]!)} ms, worst ${Math.round(took.at(-1)!)} ms`,
  );
  expect((await plan(curtainUp())).status).toBe(200);
});
