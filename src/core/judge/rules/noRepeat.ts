import { NAILS } from '../../model/names';
import type { SetRule } from '../rule';

/** With fewer nails than this each may well be its own. */
const FROM_NAILS = 4;

/** Ten nails of ten looks are worked one by one: nothing is laid on several in a round. */
export const noRepeat: SetRule = {
  codes: ['no-nail-repeats'],
  asks: 'Do some nails share their look, so that they are worked together?',
  check: ({ set }) => {
    const worked = NAILS.filter((nail) => set.nails[nail].in_work && set.nails[nail].look !== null);
    const looks = new Set(worked.map((nail) => set.nails[nail].look));
    if (worked.length < FROM_NAILS || looks.size < worked.length) return [];
    return [
      {
        severity: 'note',
        message: 'No two nails wear the same: this sitting is long because of it.',
        reason:
          'Nails that share a look are worked in rounds, one bottle and one light for all; here each is work of its own.',
      },
    ];
  },
};
