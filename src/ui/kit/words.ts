import type { Finding, Severity } from '@/core/judge/finding';
import { upperFirst } from '@/core/model/letters';
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

/** "1 h 18 min", "45 min", "40 s". */
export function timeWords(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${Math.floor(minutes / 60)} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}

/** Waited for and not planned with, a time is said to its second: "90 s", "2 min 30 s", "5 min". */
export function waitWords(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 120) return `${whole} s`;
  if (whole >= 600 || whole % 60 === 0) return timeWords(whole);
  return `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** "Left " before some nails; nothing where both hands are meant. */
export function handWords(hand: Round['hand']): string {
  return hand === 'both' ? '' : `${upperFirst(hand)} `;
}

/** "1:04:10", for a clock along the sitting. */
export function clockWords(seconds: number): string {
  const whole = Math.round(seconds);
  const h = Math.floor(whole / 3600);
  const m = Math.floor((whole % 3600) / 60);
  const s = whole % 60;
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
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
