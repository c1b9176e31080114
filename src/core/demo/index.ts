import type { SetDocument } from '../document/document';
import { curtainUp } from './curtainUp';
import { flyTower } from './flyTower';
import { matinee } from './matinee';
import { snowScene } from './snowScene';
import { understudy } from './understudy';

/** The demo sets, all of a made-up theatre. */
export const DEMO_SETS: readonly { id: string; make: () => SetDocument }[] = [
  { id: 'curtain-up', make: curtainUp },
  { id: 'matinee', make: matinee },
  { id: 'understudy', make: understudy },
  { id: 'fly-tower', make: flyTower },
  { id: 'snow-scene', make: snowScene },
];
