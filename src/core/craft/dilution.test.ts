import { mixedWithClear, Strength } from './dilution';

test('a mixture is said in parts, as it is counted at a table', () => {
  expect([0.5, 0.25, 0.15, 0.1, 0.05].map(mixedWithClear)).toEqual([
    '1 part to 1 of clear',
    '1 part to 3 of clear',
    '1 part to 6 of clear',
    '1 part to 9 of clear',
    '1 part to 19 of clear',
  ]);
});

test('more colour than clear is no wash, and next to none is no colour', () => {
  expect([0.04, 0.05, 0.5, 0.51].map((strength) => Strength.safeParse(strength).success)).toEqual([
    false,
    true,
    true,
    false,
  ]);
});
