'use client';
import { Button } from '@mantine/core';
import type { Finding } from '@/core/judge/finding';
import { nailWords } from '@/core/model/names';
import { SEVERITY } from './words';
import classes from './FindingNote.module.css';

interface Props {
  finding: Finding;
  onFix: (finding: Finding) => void;
  showNail?: boolean;
}

/** A judgement with its figure, its reason and its way out. */
export function FindingNote({ finding, onFix, showNail = false }: Props) {
  const { word, mark, variable } = SEVERITY[finding.severity];
  const { figure } = finding;
  return (
    <article
      className={classes.note}
      data-code={finding.code}
      style={{ '--tone': variable } as React.CSSProperties}
    >
      <p className={classes.head}>
        <span aria-hidden>{mark}</span> {word}
        {showNail && finding.nail ? ` · ${nailWords(finding.nail)}` : ''}
      </p>
      <p className={classes.message}>{finding.message}</p>
      {figure && (
        <p className={classes.figure}>
          {figure.words} <strong>{`${figure.value} ${figure.unit}`.trim()}</strong>, {figure.is}{' '}
          {`${figure.limit} ${figure.unit}`.trim()}
        </p>
      )}
      <p className={classes.reason}>{finding.reason}</p>
      {finding.fix && (
        <Button variant="default" size="md" className={classes.fix} onClick={() => onFix(finding)}>
          {finding.fix.words}
        </Button>
      )}
    </article>
  );
}
