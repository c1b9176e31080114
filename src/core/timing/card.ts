import type { Hand, NailName } from '../model/names';
import type { Operation } from '../craft/operation';
import type { Sitting } from './sitting';

/** One line of the bench card: the same work on one or more nails of a hand, or a load. */
export interface CardLine {
  number: number;
  start_s: number;
  end_s: number;
  hand: Hand;
  kind: 'work' | 'load';
  nails: NailName[];
  words: string;
  reason: string;
  caution?: string;
  lamp_s?: number;
  mode?: 'cure' | 'flash';
  operations: string[];
}

/** The sitting as lines to work from: neighbouring strokes of the same work on one hand become one line. */
export function benchCard(sitting: Sitting, operations: readonly Operation[]): CardLine[] {
  const byId = new Map(operations.map((operation) => [operation.id, operation]));
  const strokes = sitting.strokes.map((stroke) => ({ ...stroke, operation: byId.get(stroke.operation)! }));
  const lines: Omit<CardLine, 'number'>[] = [];
  for (const { operation, hand, start_s, end_s } of strokes) {
    const last = lines[lines.length - 1];
    const same =
      last?.kind === 'work' && last.hand === hand && byId.get(last.operations[0]!)?.class === operation.class;
    if (same && last.words === operation.words) {
      last.nails = last.nails.includes(operation.nail) ? last.nails : [...last.nails, operation.nail];
      last.operations.push(operation.id);
      last.end_s = end_s;
      continue;
    }
    lines.push({
      start_s,
      end_s,
      hand,
      kind: 'work',
      nails: [operation.nail],
      words: operation.words,
      reason: operation.reason,
      ...(operation.caution ? { caution: operation.caution } : {}),
      operations: [operation.id],
    });
  }
  for (const load of sitting.loads) {
    const served = load.operations.map((id) => byId.get(id)!);
    lines.push({
      start_s: load.start_s,
      end_s: load.end_s,
      hand: load.hand,
      kind: 'load',
      nails: served.map((operation) => operation.nail),
      words: [...new Set(served.map((operation) => operation.words))].join(', '),
      reason: served[0]!.reason,
      ...(served[0]!.caution ? { caution: served[0]!.caution } : {}),
      lamp_s: load.end_s - load.start_s,
      mode: load.mode,
      operations: load.operations,
    });
  }
  return lines
    .sort((a, b) => a.start_s - b.start_s || (a.kind === 'load' ? -1 : 1))
    .map((line, i) => ({ number: i + 1, ...line }));
}
