import { MAX_FILE_BYTES } from '@/core/document/parse';
import { AT_LENGTH, EDITING } from '@/core/timing/effort';
import { planInPool } from './planPool';
import { readBody } from './readBody';

const RECEIVE_MS = 15_000;
/** How long a sitting is searched for, by the `effort` of the address; and how long it may take, waiting not counted. */
const EFFORTS = {
  short: { iterations: EDITING.iterations, limit_ms: 20_000 },
  long: { iterations: AT_LENGTH.iterations, limit_ms: 30_000 },
} as const;
const JSON_TYPE = /^application\/(?:[\w.-]+\+)?json(?:\s*;|$)/i;
const MB = 1024 * 1024;

/**
 * A set document in, its plan out; at `?effort=long` the same as the command line prints, else one that is searched for
 * as while an artist edits. The answer says which. Faults come with their path.
 */
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
  const effort = new URL(request.url).searchParams.get('effort') ?? 'short';
  if (!isEffort(effort)) return refused(400, 'the effort is "short" or "long"');
  const body = await readBody(request, { bytes: MAX_FILE_BYTES, ms: RECEIVE_MS });
  switch (body.kind) {
    case 'too-large':
      return refused(413, `a set is refused beyond ${MAX_FILE_BYTES / MB} MB`);
    case 'too-slow':
      return refused(408, `the file was not there within ${RECEIVE_MS / 1000} s`);
    case 'broken':
      return refused(400, 'the file broke off');
    case 'full':
      return busy(5, 'the server receives as much as it can hold');
    case 'whole':
  }
  const { iterations, limit_ms } = EFFORTS[effort];
  const outcome = await planInPool({ bytes: body.bytes, iterations }, limit_ms, request.signal);
  switch (outcome.kind) {
    case 'busy':
      return busy(outcome.again_s, `${outcome.waiting} plans wait already`);
    case 'late':
      return refused(503, `there was no plan within ${limit_ms / 1000} s`, {}, retry(outcome.again_s));
    case 'stopped':
      // Nobody is there to read it.
      return new Response(null, { status: 499 });
    case 'answer':
      return new Response(outcome.answer.body, {
        status: outcome.answer.kind === 'plan' ? 200 : 422,
        headers: {
          'Content-Type': 'application/json',
          'Search-Effort': `${effort}; iterations=${iterations}`,
        },
      });
  }
}

/** Every other method than POST. */
export function onlyPost(): Response {
  return refused(405, 'a plan is asked for by POST', {}, { Allow: 'POST' });
}

function busy(again_s: number, why: string): Response {
  return refused(429, `${why}: come again in ${again_s} s`, {}, retry(again_s));
}

const retry = (again_s: number) => ({ 'Retry-After': String(again_s) });

function isEffort(effort: string): effort is keyof typeof EFFORTS {
  return Object.hasOwn(EFFORTS, effort);
}

function refused(
  status: number,
  reason: string,
  more: Record<string, string> = {},
  headers: Record<string, string> = {},
): Response {
  return Response.json({ faults: [{ path: '', message: reason }], ...more }, { status, headers });
}
