'use client';
import type { ReactNode } from 'react';
import classes from './App.module.css';

/** A page of words: what is the matter, and the ways on. */
export function Plain({ title, ways, children }: { title: string; ways: ReactNode; children: ReactNode }) {
  return (
    <main className={classes.page}>
      <p className={classes.name}>Merry Lacquer</p>
      <h1>{title}</h1>
      {children}
      <div className={classes.ways}>{ways}</div>
    </main>
  );
}
