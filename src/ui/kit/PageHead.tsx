'use client';
import { ActionIcon } from '@mantine/core';
import { IconArrowLeft } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { Go } from './Go';
import { SchemeButton } from './SchemeButton';
import classes from './PageHead.module.css';

/** The head of a page beside the sets: the way back, what it is, and what can be done. */
export function PageHead({ words, children }: { words: string; children: ReactNode }) {
  return (
    <header className={classes.head}>
      <ActionIcon component={Go} href="/" variant="subtle" color="gray" aria-label="Back to the sets">
        <IconArrowLeft size={22} />
      </ActionIcon>
      <h1>{words}</h1>
      <span className={classes.grow} />
      {children}
      <SchemeButton />
    </header>
  );
}
