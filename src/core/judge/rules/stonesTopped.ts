import type { SetRule } from '../rule';

/** Top over set stones is a way of working, with its price: told once. */
export const stonesTopped: SetRule = {
  codes: ['stones-topped'],
  asks: 'What does a top that is run over stones take from them?',
  check: ({ operations }) =>
    operations
      .filter((one) => one.verb === 'top-over')
      .slice(0, 1)
      .map(() => ({
        severity: 'note' as const,
        message:
          'Set stones are topped over, as you work: they hold more safely and lose some of their fire.',
        reason: 'Facets mirror against air; under gel they are smooth and dull.',
      })),
};
