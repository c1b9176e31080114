import * as z from 'zod/mini';
import type { NailFrame } from '../geometry/frame';
import { AS_DRAWN, type Area, type Laying } from '../geometry/regions';
import { unionOf } from '../model/registry';
import { band } from './band';
import { bed, tip } from './bySmile';
import { chevron } from './chevron';
import { dots } from './dots';
import { half } from './half';
import { letters } from './letters';
import { lines } from './lines';
import { moon } from './moon';
import { outline } from './outline';
import { oval } from './oval';
import { path } from './path';
import { paths } from './paths';
import { rim } from './rim';
import { ring } from './ring';
import type { RegionKind } from './regionKind';
import { whole } from './whole';

/** Every part of a nail that the program can say: one file and one line each. */
const ALL = [
  whole,
  half,
  band,
  tip,
  bed,
  chevron,
  moon,
  rim,
  oval,
  ring,
  lines,
  dots,
  letters,
  path,
  paths,
  outline,
] as const;

/** A part of the nail. Across by share of the arc, along by landmarks, sizes in mm on the unrolled plate. */
export const Region = unionOf(ALL);
export type Region = z.infer<typeof Region>;

/** The registry is used through the common shape: a region only ever meets its own kind. */
export const REGION_KINDS = ALL as unknown as readonly RegionKind<Region>[];

const BY_KIND = new Map(REGION_KINDS.map((one) => [one.kind, one]));

export function regionKindOf(kind: Region['kind']): RegionKind<Region> {
  return BY_KIND.get(kind)!;
}

/** What a part of the nail makes of a colour that lies on it: "tip", "dots"; nothing of the whole nail. */
export function regionNoun(region: Region): string {
  return regionKindOf(region.kind).noun(region);
}

/** Lays a region of a look on one nail. */
export function layRegion(frame: NailFrame, region: Region, laying: Laying = AS_DRAWN): Area {
  return regionKindOf(region.kind).lay(frame, region, laying);
}
