import type { Start } from '../../model/start';
import type { StartKind } from '../start';
import { bare } from './bare';
import { finished } from './finished';
import { infill } from './infill';
import { practice } from './practice';
import { prepared } from './prepared';
import { removal } from './removal';

/** Every way a nail's work can begin: one file and one line each. */
export const STARTS = [
  bare,
  prepared,
  removal,
  infill,
  finished,
  practice,
] as unknown as readonly StartKind<Start>[];

const BY_KIND = new Map(STARTS.map((start) => [start.kind, start]));

export function startKindOf(kind: Start['kind']): StartKind<Start> {
  return BY_KIND.get(kind)!;
}
