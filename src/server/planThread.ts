// First, so that loading all the rest stands back too.
import './standBack';
import { parseSetText } from '@/core/document/parse';
import { decodeText } from '@/core/files/decodeText';
import type { Fault } from '@/core/model/result';
import { planSet } from '@/core/plan/planSet';

/** What a thread of the pool answers: whether it is a plan or faults, and the body of the response. */
export interface ThreadAnswer {
  kind: 'plan' | 'faults';
  body: string;
}

/** A set file's bytes, and how long the sitting is searched for. */
export interface ThreadAsked {
  bytes: Uint8Array;
  iterations: number;
}

/** A set file to its plan, as text. Runs in a thread of its own, so that the server goes on answering. */
export default function plan({ bytes, iterations }: ThreadAsked): ThreadAnswer {
  const text = decodeText(bytes);
  if (!text.ok) return told(text.faults);
  const parsed = parseSetText(text.value);
  if (!parsed.ok) return told(parsed.faults);
  const made = planSet(parsed.value, { effort: { iterations } });
  return { kind: 'plan', body: JSON.stringify(made) };
}

function told(faults: Fault[]): ThreadAnswer {
  return { kind: 'faults', body: JSON.stringify({ faults }) };
}
