import { timeWords, waitWords } from '@/core/model/times';

it.each([
  [40, '40 s', '40 s'],
  [90, '90 s', '2 min'],
  [100, '100 s', '2 min'],
  [150, '2 min 30 s', '3 min'],
  [180, '3 min', '3 min'],
  [750, '13 min', '13 min'],
  [4680, '1 h 18 min', '1 h 18 min'],
])('%i s is waited for as “%s”, and planned with as “%s”', (seconds, waited, planned) => {
  expect(waitWords(seconds)).toBe(waited);
  expect(timeWords(seconds)).toBe(planned);
});
