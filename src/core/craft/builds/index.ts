import type * as z from 'zod/mini';
import { unionOf } from '../../model/registry';
import type { BuildKind } from '../build';
import { builderOverlay } from './builderOverlay';
import { dip } from './dip';
import { gelAcrylic } from './gelAcrylic';
import { halfTip } from './halfTip';
import { lengthened } from './lengthened';
import { naturalGel } from './naturalGel';
import { naturalLacquer } from './naturalLacquer';
import { onStand } from './onStand';
import { sculptedForm } from './sculptedForm';
import { softGelTip } from './softGelTip';
import { upperMould } from './upperMould';

/** Every build the program knows: one file and one line each. */
const ALL = [
  naturalGel,
  naturalLacquer,
  builderOverlay,
  gelAcrylic,
  dip,
  softGelTip,
  halfTip,
  lengthened,
  sculptedForm,
  upperMould,
  onStand,
] as const;

export const Build = unionOf(ALL);
export type Build = z.infer<typeof Build>;

/** The registry is used through the common shape: a build only ever meets its own kind. */
export const BUILDS = ALL as unknown as readonly BuildKind<Build>[];

const BY_KIND = new Map(BUILDS.map((build) => [build.kind, build]));

export function buildKindOf(kind: string): BuildKind<Build> {
  const build = BY_KIND.get(kind);
  if (!build) throw new Error(`no build "${kind}": documents are parsed before they are planned`);
  return build;
}
