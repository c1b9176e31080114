'use client';
import { dayWords } from '@/core/model/days';
import { upperFirst } from '@/core/model/letters';
import { nailWords, NAILS } from '@/core/model/names';
import { Doings } from './Doings';
import { useAllWorn } from './useWorn';
import { WHAT_WORDS } from './whatWords';
import classes from './WearView.module.css';

/** How a set was worn that is here no more: its record stands by itself. Nothing where there is none. */
export function WornRecord({ set }: { set: string }) {
  const { all } = useAllWorn();
  const worn = all?.find((one) => one.set === set);
  if (!worn) return null;
  return (
    <section className={classes.record} aria-label="Its record">
      <h2>{worn.title}, as it was worn</h2>
      <p>
        The set itself was removed; its record stays. Made {dayWords(worn.made_on)}
        {worn.off_on ? `, worn until ${dayWords(worn.off_on)}.` : '.'}
      </p>
      {NAILS.map((nail) => {
        const one = worn.nails[nail];
        if (!one) return null;
        return (
          <details key={nail} open={one.notes.length > 0}>
            <summary>
              {upperFirst(nailWords(nail))}:{' '}
              {one.notes.length === 0
                ? 'nothing noted'
                : one.notes
                    .map(({ what, much, on }) =>
                      [WHAT_WORDS[what].toLowerCase(), much, dayWords(on)].filter(Boolean).join(', '),
                    )
                    .join('; ')}
            </summary>
            <Doings worn={worn} nail={nail} />
          </details>
        );
      })}
    </section>
  );
}
