import type { Practice } from '@/core/model/practice';

/** A choice the trade disagrees about: its ways, each with what it brings and what it costs. */
export interface School {
  key: Exclude<keyof Practice, 'edge_mm' | 'own_times'>;
  words: string;
  choices: readonly { value: string; label: string; says: string }[];
}

export interface SchoolGroup {
  words: string;
  schools: readonly School[];
}

/** The first way of each is what a new artist begins with. */
export const SCHOOLS: readonly SchoolGroup[] = [
  {
    words: 'At the table',
    schools: [
      {
        key: 'wearer',
        words: 'Whose nails',
        choices: [
          {
            value: 'client',
            label: 'A client’s',
            says: 'One hand is worked on while the other is in the lamp.',
          },
          {
            value: 'own',
            label: 'My own',
            says: 'Nothing is done while a hand cures; the weaker hand is slower.',
          },
        ],
      },
      {
        key: 'stronger_hand',
        words: 'Stronger hand',
        choices: [
          {
            value: 'right',
            label: 'Right',
            says: 'On your own nails the right hand is painted by the left.',
          },
          { value: 'left', label: 'Left', says: 'On your own nails the left hand is painted by the right.' },
        ],
      },
      {
        key: 'pace',
        words: 'My hands are',
        choices: [
          { value: 'usual', label: 'Usual', says: 'The guide times as they are.' },
          { value: 'new', label: 'New to this', says: 'Half as long again for all hand work.' },
          { value: 'practised', label: 'Practised', says: 'A quarter less for all hand work.' },
        ],
      },
      {
        key: 'flow',
        words: 'Plan me',
        choices: [
          {
            value: 'balanced',
            label: 'Balanced',
            says: 'Whole rounds, one step on one hand, unless that costs much time.',
          },
          { value: 'quick', label: 'Quick', says: 'Every second saved; rounds are torn for it.' },
          {
            value: 'calm',
            label: 'Calm',
            says: 'Each product is taken up as seldom as can be; some minutes longer.',
          },
        ],
      },
      {
        key: 'hands',
        words: 'The two hands',
        choices: [
          { value: 'alike', label: 'Alike', says: 'A finger that differs is told.' },
          { value: 'differ', label: 'Differ on purpose', says: 'Nothing is said of fingers that differ.' },
        ],
      },
    ],
  },
  {
    words: 'On the nail',
    schools: [
      {
        key: 'base',
        words: 'Base before colour',
        choices: [
          { value: 'leave', label: 'Left tacky', says: 'The next coat grips its sticky layer.' },
          { value: 'wipe', label: 'Wiped', says: 'Lifts less, some say; a wipe more for each nail.' },
        ],
      },
      {
        key: 'primer',
        words: 'Primer',
        choices: [
          { value: 'once', label: 'Once', says: 'On the dehydrated plate, left to dry half a minute.' },
          { value: 'none', label: 'None', says: 'The sanding alone holds: quicker, and lifts sooner.' },
        ],
      },
      {
        key: 'acrylic_primer',
        words: 'Primer under acrylic',
        choices: [
          { value: 'dry', label: 'Once, dry', says: 'Dry before the first bead.' },
          {
            value: 'dry-and-wet',
            label: 'Dry, then wet',
            says: 'A second coat the bead is laid into: a few seconds more for each nail.',
          },
        ],
      },
      {
        key: 'tips',
        words: 'Full tips are shaped',
        choices: [
          { value: 'before', label: 'Before fixing', says: 'In the hand, much quicker.' },
          {
            value: 'after',
            label: 'On the finger',
            says: 'To the finger’s own line; slower, dust at the hand.',
          },
          {
            value: 'ready',
            label: 'Ahead of the sitting',
            says: 'Sized, cut and shaped before anybody sits down: no time of it at the table.',
          },
        ],
      },
      {
        key: 'pinch',
        words: 'Extensions are',
        choices: [
          {
            value: 'pinch',
            label: 'Pinched',
            says: 'A C-curve that carries; a hold for each nail, gel after a flash, beads once they are dull.',
          },
          { value: 'leave', label: 'Left as they lie', says: 'Quicker; the form alone gives the curve.' },
        ],
      },
      {
        key: 'grit',
        words: 'Levelled with',
        choices: [
          { value: '100-180', label: '100, then 180', says: 'Smooth under thin colour.' },
          {
            value: '100',
            label: '100 alone',
            says: 'A quarter quicker; scratches may show through a sheer.',
          },
          { value: '180', label: '180 alone', says: 'Smooth in one go, a fifth slower.' },
        ],
      },
      {
        key: 'filed',
        words: 'On a filed build',
        choices: [
          { value: 'colour', label: 'Colour straight on', says: 'The keyed surface holds it.' },
          { value: 'base', label: 'Base first', says: 'An even ground: a coat and a load more.' },
        ],
      },
      {
        key: 'stones',
        words: 'Stones',
        choices: [
          { value: 'wet-top', label: 'Set in wet top', says: 'Quick: set and cured with the top.' },
          {
            value: 'bedded',
            label: 'Bedded, top around',
            says: 'Brighter: a bead each, and the top taken around.',
          },
        ],
      },
      {
        key: 'stone_top',
        words: 'Top and set stones',
        choices: [
          { value: 'around', label: 'Around them', says: 'Brighter: taken around with a fine brush.' },
          {
            value: 'over',
            label: 'Over them',
            says: 'A safer hold and less fire; after wet top one more coat and load.',
          },
        ],
      },
      {
        key: 'thumbs',
        words: 'Thumbs in the lamp',
        choices: [
          {
            value: 'apart',
            label: 'One at a time',
            says: 'A thumb turns away from the light beside its fingers.',
          },
          { value: 'together', label: 'Both in one load', says: 'Fewer loads; both hands rest meanwhile.' },
          {
            value: 'with-fingers',
            label: 'With the fingers',
            says: 'Fewest loads; for lamps that light the side.',
          },
        ],
      },
    ],
  },
];
