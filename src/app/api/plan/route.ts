import { MAX_FILE_BYTES, parseSetText, tooLarge } from '@/core/document/parse';
import type { Fault } from '@/core/model/result';
import { planSet } from '@/core/plan/planSet';
import { AT_LENGTH } from '@/core/timing/search';

/** A set document in, its plan out: the same as the command line prints. Faults come with their path. */
export async function POST(request: Request): Promise<Response> {
  const announced = Number(request.headers.get('content-length') ?? 0);
  if (announced > MAX_FILE_BYTES) return refuse(413, [{ path: '', message: tooLarge(announced) }]);
  const parsed = parseSetText(await request.text());
  if (!parsed.ok) return refuse(422, parsed.faults);
  return Response.json(planSet(parsed.value, { effort: { iterations: AT_LENGTH.iterations } }));
}

function refuse(status: number, faults: Fault[]): Response {
  return Response.json({ faults }, { status });
}
