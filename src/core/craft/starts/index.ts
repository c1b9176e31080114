import type { Start } from '../../model/start';
import type { StartKind } from '../start';
import { bare } from './bare';
import { finished } from './finished';
import { infill } from './infill';
import { removal } from './removal';

/** Every way a nail's work can begin: one file and one line each. */
export const STARTS = [bare, removal, infill, finished] as unknown as readonly StartKind<Start>[];

const BY_KIND = new Map(STARTS.map((start) => [start.kind, start]));

export function startKindOf(kind: Start['kind']): StartKind<Start> {
  return BY_KIND.get(kind)!;
}
