import { MAX_FILE_BYTES } from '@/core/document/parse';
import { planInPool } from './planPool';
import { readBody } from './readBody';

const RECEIVE_MS = 15_000;
const PLAN_MS = 10_000;
const JSON_TYPE = /^application\/(?:[\w.-]+\+)?json(?:\s*;|$)/i;
const MB = 1024 * 1024;

/** A set document in, its plan out: the same as the command line prints. Faults come with their path. */
export async function answerPlan(request: Request): Promise<Response> {
  try {
    return await answered(request);
  } catch (error) {
    // Whoever asked gets a number, whoever keeps the server the rest.
    const id = crypto.randomUUID();
    console.error(`plan ${id}:`, error);
    return refused(500, 'the program broke down over this file', { id });
  }
}

async function answered(request: Request): Promise<Response> {
  if (!JSON_TYPE.test(request.headers.get('content-type') ?? ''))
    return refused(415, 'a set file is sent as application/json');
  const body = await readBody(request, { bytes: MAX_FILE_BYTES, ms: RECEIVE_MS });
  switch (body.kind) {
    case 'too-large':
      return refused(413, `a set is refused beyond ${MAX_FILE_BYTES / MB} MB`);
    case 'too-slow':
      return refused(408, `the file was not there within ${RECEIVE_MS / 1000} s`);
    case 'broken':
      return refused(400, 'the file broke off');
    case 'full':
      return busy();
    case 'whole':
  }
  const limit = AbortSignal.timeout(PLAN_MS);
  const outcome = await planInPool(body.bytes, AbortSignal.any([request.signal, limit]));
  switch (outcome.kind) {
    case 'busy':
      return busy();
    case 'stopped':
      return limit.aborted
        ? refused(503, `there was no plan within ${PLAN_MS / 1000} s`, {}, { 'Retry-After': '10' })
        : // Nobody is there to read it.
          new Response(null, { status: 499 });
    case 'answer':
      return new Response(outcome.answer.body, {
        status: outcome.answer.kind === 'plan' ? 200 : 422,
        headers: { 'Content-Type': 'application/json' },
      });
  }
}

/** Every other method than POST. */
export function onlyPost(): Response {
  return refused(405, 'a plan is asked for by POST', {}, { Allow: 'POST' });
}

function busy(): Response {
  return refused(429, 'too many plans are being made', {}, { 'Retry-After': '5' });
}

function refused(
  status: number,
  reason: string,
  more: Record<string, string> = {},
  headers: Record<string, string> = {},
): Response {
  return Response.json({ faults: [{ path: '', message: reason }], ...more }, { status, headers });
}
