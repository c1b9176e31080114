import type { SetRule } from '../rule';
import { rounded } from '../../model/rounded';

/** What the schedule could not keep: dust beside wet nails, films that wait too long for light. */
export const sittingKept: SetRule = {
  codes: ['dust-beside-wet', 'open-too-long'],
  asks: 'Can the sitting be run as the craft asks?',
  check: ({ sitting, operations }) =>
    sitting.broken.map((broken) => {
      const operation = operations.find((one) => one.id === broken.operation)!;
      const dust = broken.kind === 'dust-beside-wet';
      return {
        code: broken.kind,
        severity: 'warn' as const,
        nail: operation.nail,
        operation: operation.id,
        element: operation.element,
        message: dust
          ? `${operation.words} raises dust while another nail of that hand is wet or sticky.`
          : `${operation.words} waits ${rounded(broken.seconds, 0)} s too long for the lamp.`,
        reason: dust
          ? 'Dust settles in the sticky layer and shows under the top.'
          : 'A runny film drifts to the sides before the light holds it.',
        ...(dust
          ? {}
          : {
              figure: {
                words: 'over its open time',
                value: rounded(broken.seconds, 0),
                limit: 0,
                is: 'at most' as const,
                unit: 's',
              },
            }),
      };
    }),
};
