import { runOf } from '../../craft/paints';
import { leastOf } from '../../model/extent';
import { rounded } from '../../model/rounded';
import type { FindingDraft } from '../finding';
import { granted, type NailRule } from '../rule';

/** Two colours that meet over less than this read as a line, not as a fade (common practice). */
const LEAST_MM = 2.5;

/** The stretch over which two colours of a fade are brushed into each other. */
export const fadeShort: NailRule = {
  codes: ['fade-short'],
  asks: 'Do the colours of a fade overlap enough to melt into each other?',
  check: (nail) => {
    const told = new Set<string>();
    return nail.operations.flatMap((operation): FindingDraft[] => {
      const run = runOf(operation.paint);
      // Tip and bed of a build may be laid up against each other on purpose.
      if (!nail.elements.some((one) => one.id === operation.element)) return [];
      if (!run || told.has(operation.element)) return [];
      const run_mm = run.direction === 'along' ? nail.context.frame.length_mm : nail.context.frame.arc_mm;
      const gaps = run.stops.slice(1).map((stop, i) => (stop.at - run.stops[i]!.at) * run_mm);
      const least = leastOf(gaps);
      if (least >= LEAST_MM) return [];
      told.add(operation.element);
      const i = gaps.indexOf(least);
      const name = (at: number) => nail.context.product(run.stops[at]!.product).name;
      return [
        {
          severity: 'warn',
          operation: operation.id,
          element: operation.element,
          message: `${name(i)} and ${name(i + 1)} overlap too little: they meet in a line.`,
          reason: 'A fade needs room to be brushed out; over two millimetres it stays an edge.',
          figure: {
            words: 'stretch they blend over',
            value: rounded(least, 1),
            limit: LEAST_MM,
            is: 'at least',
            unit: 'mm',
          },
          tries: granted(nail, operation.element, 'longer-fade', { run_mm, least_mm: LEAST_MM }),
        },
      ];
    });
  },
};
