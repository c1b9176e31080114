import fc from 'fast-check';
import { STAGES } from './operation';
import { isPreparing, stageGroups } from './stageGroups';

const steps = fc.array(fc.record({ stage: fc.constantFrom(...STAGES), hand_s: fc.nat(200) }), {
  maxLength: 40,
});

it('every step stands under one heading, in its order, with the time of its hands', () => {
  fc.assert(
    fc.property(steps, (all) => {
      const groups = stageGroups(all);
      expect(groups.flatMap(({ from, to }) => all.slice(from, to + 1))).toEqual(all);
      expect(groups.reduce((sum, one) => sum + one.hand_s, 0)).toBe(
        all.reduce((sum, one) => sum + one.hand_s, 0),
      );
      groups.forEach((one, i) => {
        const before = groups[i - 1];
        if (before)
          expect(before.stage === one.stage || (isPreparing(before.stage) && isPreparing(one.stage))).toBe(
            false,
          );
      });
    }),
  );
});

it('arriving and preparing are one', () => {
  const at = (stage: 'arrive' | 'prepare' | 'seal') => ({ stage, hand_s: 10 });
  expect(
    stageGroups([at('arrive'), at('prepare'), at('seal')]).map(({ words, hand_s }) => [words, hand_s]),
  ).toEqual([
    ['Preparing', 20],
    ['Top', 10],
  ]);
});
