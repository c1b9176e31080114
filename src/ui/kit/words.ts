import type { Finding, Severity } from '@/core/judge/finding';
import { upperFirst } from '@/core/model/letters';
import { clockWords } from '@/core/model/times';
import type { Round } from '@/core/timing/rounds';

/** Each severity has a word and a mark, so that colour never speaks alone. */
export const SEVERITY: Record<Severity, { word: string; mark: string; variable: string }> = {
  stop: { word: 'Stop', mark: '■', variable: 'var(--stop)' },
  warn: { word: 'Look', mark: '▲', variable: 'var(--warn)' },
  note: { word: 'Note', mark: '●', variable: 'var(--note)' },
};

export function countWords(findings: readonly Finding[]): string {
  const stops = findings.filter((finding) => finding.severity === 'stop').length;
  const warns = findings.filter((finding) => finding.severity === 'warn').length;
  if (stops === 0 && warns === 0) return 'Nothing stops it';
  const parts = [];
  if (stops > 0) parts.push(`${stops} ${stops === 1 ? 'stop' : 'stops'}`);
  if (warns > 0) parts.push(`${warns} to look at`);
  return parts.join(', ');
}

/** "Left " before some nails; nothing where both hands are meant. */
export function handWords(hand: Round['hand']): string {
  return hand === 'both' ? '' : `${upperFirst(hand)} `;
}

/** "21:05": a moment by the clock on the wall. */
export function hourWords(at: Date): string {
  return HOUR.format(at);
}
const HOUR = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** A moment of a sitting: by the clock on the wall where it is known when she sits down, else from the begin on. */
export function momentWords(begins: Date | undefined, at_s: number): string {
  return begins ? hourWords(new Date(begins.getTime() + at_s * 1000)) : clockWords(at_s);
}
