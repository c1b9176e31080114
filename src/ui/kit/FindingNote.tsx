'use client';
import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { nailsOf, type Finding, type Fix } from '@/core/judge/finding';
import { nailWords } from '@/core/model/names';
import { SEVERITY } from './words';
import classes from './FindingNote.module.css';

interface Props {
  finding: Finding;
  onFix: (fix: Fix) => void;
  /** Names its nail, where it does not stand beside it. */
  showNail?: boolean;
  /** Further ways out, beside those that were tried. */
  children?: ReactNode;
}

/** A judgement with its reason and its ways out; how it was judged stands behind it. */
export function FindingNote({ finding, onFix, showNail = false, children }: Props) {
  const { word, mark, variable } = SEVERITY[finding.severity];
  const { figure } = finding;
  const nails = nailsOf(finding);
  const ways = [finding.fix, finding.also].filter((fix) => fix !== undefined);
  return (
    <article
      className={classes.note}
      data-code={finding.code}
      style={{ '--tone': variable } as React.CSSProperties}
    >
      <p className={classes.head}>
        <span aria-hidden>{mark}</span> {word}
        {nails.length > 1 || (showNail && nails.length > 0) ? ` · ${nails.map(nailWords).join(', ')}` : ''}
      </p>
      <p className={classes.message}>{finding.message}</p>
      <p className={classes.reason}>{finding.reason}</p>
      {finding.follows?.map(({ message }) => (
        <p key={message} className={classes.follows}>
          so: {message}
        </p>
      ))}
      {figure && (
        <details className={classes.figure}>
          <summary>How it was judged</summary>
          {figure.words} <strong>{`${figure.value} ${figure.unit}`.trim()}</strong>, {figure.is}{' '}
          {`${figure.limit} ${figure.unit}`.trim()}
        </details>
      )}
      <div className={classes.ways}>
        {ways.map((fix) => (
          <Button
            key={fix.words}
            h="auto"
            variant="default"
            className={classes.fix}
            onClick={() => onFix(fix)}
          >
            {fix.words}
          </Button>
        ))}
        {children}
      </div>
    </article>
  );
}
