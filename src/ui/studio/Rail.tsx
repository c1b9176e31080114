'use client';
import {
  IconAdjustments,
  IconBasket,
  IconCalendarHeart,
  IconClock,
  IconHandClick,
  IconHandStop,
  IconStack2,
  IconLayoutGrid,
  IconListCheck,
  IconPalette,
} from '@tabler/icons-react';
import { Go } from '../kit/Go';
import { pathOf, type SetView } from '../kit/route';
import classes from './Rail.module.css';

/** The views in the order the work goes: words and mark of each. */
export const VIEWS: readonly { view: SetView; words: string; Icon: typeof IconClock }[] = [
  { view: 'hands', words: 'Hands', Icon: IconHandStop },
  { view: 'practice', words: 'How I work', Icon: IconAdjustments },
  { view: 'design', words: 'Design', Icon: IconPalette },
  { view: 'layers', words: 'Plate to top', Icon: IconStack2 },
  { view: 'timing', words: 'Timing', Icon: IconClock },
  { view: 'table', words: 'Table', Icon: IconBasket },
  { view: 'card', words: 'Card', Icon: IconListCheck },
  { view: 'bench', words: 'Bench', Icon: IconHandClick },
  { view: 'wear', words: 'Wear', Icon: IconCalendarHeart },
];

/** The way through the work, in its order. */
export function Rail({ id, here }: { id: string; here: SetView }) {
  return (
    <nav className={classes.rail} aria-label="Views of this set">
      <Go href="/" className={classes.item}>
        <IconLayoutGrid size={24} stroke={1.5} aria-hidden />
        Sets
      </Go>
      <span className={classes.line} aria-hidden />
      {VIEWS.map(({ view, words, Icon }) => (
        <Go
          key={view}
          href={pathOf({ kind: 'set', id, view })}
          className={classes.item}
          data-here={view === here || undefined}
          aria-current={view === here ? 'page' : undefined}
        >
          <Icon size={24} stroke={1.5} aria-hidden />
          {words}
        </Go>
      ))}
    </nav>
  );
}
