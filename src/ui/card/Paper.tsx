'use client';
import type { ReactNode } from 'react';
import { PrintButton } from './PrintButton';
import classes from './CardView.module.css';

interface Props {
  label: string;
  /** What else can be shown in its place. */
  choice: ReactNode;
  title: string;
  says: string;
  /** What else can be done with it. */
  more?: ReactNode;
  /** Beside the title. */
  picture?: ReactNode;
  children: ReactNode;
}

/** A sheet for someone else, to be printed. */
export function Paper({ label, choice, title, says, picture, more, children }: Props) {
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label={label}>
      {choice}
      <article className={classes.card}>
        <header className={classes.head}>
          <div>
            <h2>{title}</h2>
            <p>{says}</p>
          </div>
          {picture && <div className={classes.hands}>{picture}</div>}
          <div className={classes.actions}>
            <PrintButton />
            {more}
          </div>
        </header>
        {children}
      </article>
    </div>
  );
}
