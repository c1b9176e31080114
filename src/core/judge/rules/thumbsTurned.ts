import { fingerOf, NAILS } from '../../model/names';
import type { SetRule } from '../rule';

/** A school, and a risk: said once for the set. */
export const thumbsTurned: SetRule = {
  codes: ['thumb-turned'],
  asks: 'Do the thumbs face the light?',
  check: ({ set, operations }) => {
    const thumb = NAILS.find((nail) => fingerOf(nail) === 'thumb' && set.nails[nail].in_work);
    const light = operations.some((one) => one.lamp && one.nail === thumb);
    if (set.practice.thumbs !== 'with-fingers' || !thumb || !light) return [];
    return [
      {
        severity: 'note',
        nail: thumb,
        message:
          'The thumbs are lit with the fingers: turned to the light each time, or they stay soft at one side.',
        reason: 'In a load of five the thumb lies on its side; what the lamp does not reach is under-cured.',
      },
    ];
  },
};
