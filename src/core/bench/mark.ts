import type { Bench } from './log';

/** What a course was planned for, as a short mark (FNV-1a): another one says that the set was changed since. */
export function markOf(set: object): Bench['mark'] {
  const text = JSON.stringify(set);
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return `${(hash >>> 0).toString(36)}-${text.length.toString(36)}`;
}
