import type { SetDocument } from '../model/document';
import { curtainUp } from './curtainUp';
import { understudy } from './understudy';

/** The demo sets, all of a made-up theatre. */
export const DEMO_SETS: readonly { id: string; make: () => SetDocument }[] = [
  { id: 'curtain-up', make: curtainUp },
  { id: 'understudy', make: understudy },
];
