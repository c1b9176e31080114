import type { WearWhat } from '@/core/model/wear';

/** What became of a nail, as it is said. */
export const WHAT_WORDS: Record<WearWhat, string> = {
  lifted: 'Lifted',
  chipped: 'Chipped',
  cracked: 'Cracked',
  fell: 'Fell off',
  'grown-out': 'Grown out',
  'off-early': 'Taken off early',
};
