/** What a worker says of itself, beside its answers. */
export type Sign =
  /** It is there, and loads what it works with. */
  | { sign: 'there' }
  /** It holds this lock for as long as it lives. */
  | { sign: 'held'; lock: string }
  /** What it works with cannot be loaded. */
  | { sign: 'lost'; why: string };

export function isSign(data: unknown): data is Sign {
  return typeof data === 'object' && data !== null && 'sign' in data;
}
