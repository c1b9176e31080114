import { courseChange } from './changed';
import type { CourseRound } from './log';

const round = (words: string, nails: CourseRound['nails'], step: string): CourseRound => ({
  number: 1,
  kind: 'work',
  start_s: 0,
  end_s: 1,
  hand: 'left',
  nails,
  words,
  reason: '',
  operations: nails.map((nail) => `${nail}/${step}#1`),
  pieces: [],
  windows: [],
});

describe('what another course of the rest changes', () => {
  const base = round('Base A', ['left-ring', 'left-index'], 'build/base');
  const coat = round('Ivory', ['left-ring'], 'tip/coat');

  it('is what falls away and what comes in, each on its own nails; the same rest is none', () => {
    expect(courseChange([base, coat], [base, coat])).toEqual({ out: [], added: [], now: undefined });
    const wipe = round('Wipe the spill', ['left-index'], 'own/spill');
    const onlyRing = round('Base A', ['left-ring'], 'build/base');
    expect(courseChange([base, coat], [wipe, onlyRing, coat])).toEqual({
      out: [{ nails: ['left-index'], words: 'Base A' }],
      added: [{ nails: ['left-index'], words: 'Wipe the spill' }],
      now: { nails: ['left-index'], words: 'Wipe the spill' },
    });
  });

  it('of a rest that is over says all that is left out', () => {
    expect(courseChange([coat], [])).toEqual({
      out: [{ nails: ['left-ring'], words: 'Ivory' }],
      added: [],
      now: undefined,
    });
  });
});
