'use client';
import {
  IconClock,
  IconHandFinger,
  IconLayersIntersect,
  IconListCheck,
  IconPalette,
} from '@tabler/icons-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import classes from './Rail.module.css';

const VIEWS = [
  { path: 'design', words: 'Design', Icon: IconPalette },
  { path: 'layers', words: 'Layers', Icon: IconLayersIntersect },
  { path: 'timing', words: 'Timing', Icon: IconClock },
  { path: 'card', words: 'Card', Icon: IconListCheck },
] as const;

/** The way through the work, in its order. */
export function Rail({ id }: { id: string }) {
  const path = usePathname();
  return (
    <nav className={classes.rail} aria-label="Views of this set">
      <Link href="/" prefetch={false} className={classes.item}>
        <IconHandFinger size={24} stroke={1.5} aria-hidden />
        Sets
      </Link>
      <span className={classes.line} aria-hidden />
      {VIEWS.map(({ path: to, words, Icon }) => {
        const here = path.endsWith(`/${to}`);
        return (
          <Link
            key={to}
            href={`/set/${id}/${to}`}
            prefetch={false}
            className={classes.item}
            data-here={here || undefined}
            aria-current={here ? 'page' : undefined}
          >
            <Icon size={24} stroke={1.5} aria-hidden />
            {words}
          </Link>
        );
      })}
    </nav>
  );
}
