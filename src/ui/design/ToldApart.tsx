'use client';
import { useEffect, useState } from 'react';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import type { Contrast } from '@/core/picture/contrast';
import { contrastOn } from '@/workers/planner';
import { notDrawn } from '../kit/notDrawn';
import { useSettled, useStudio } from '../studio/studio';
import { elementWords } from './elementWords';
import { Pick } from '../kit/Pick';
import classes from './DesignView.module.css';

/** How far the open element can be told from another on the nail in focus. */
export function ToldApart({ look, element }: { look: Look; element: Element }) {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const [from, setFrom] = useState('');
  const [contrast, setContrast] = useState<Contrast | 'unseen'>();
  const others = look.elements.filter((one) => one.id !== element.id && !techniqueOf(one.kind).sheen);
  const other = others.find((one) => one.id === from)?.id;
  useEffect(() => {
    if (!other) return;
    let stale = false;
    contrastOn(set, focus, [element.id, other]).then(
      (made) => {
        if (!stale) setContrast(made ?? 'unseen');
      },
      (error: unknown) => {
        if (!stale) notDrawn(error, () => undefined);
      },
    );
    return () => {
      stale = true;
    };
  }, [set, focus, element.id, other]);
  if (techniqueOf(element.kind).sheen || others.length === 0) return null;
  return (
    <div className={classes.wide}>
      <Pick
        label="Told from"
        value={other ?? ''}
        data={[
          { value: '', label: 'Choose' },
          ...others.map((one) => ({ value: one.id, label: elementWords(one, look, set.kit.products) })),
        ]}
        onChange={(event) => {
          setContrast(undefined);
          setFrom(event.currentTarget.value);
        }}
      />
      {other && contrast && <p className={classes.apartWords}>{wordsOf(contrast)}</p>}
    </div>
  );
}

/** Common practice: at arm's length less than this is lost, and more than that is plain. */
const LOST = 8;
const PLAIN = 20;

function wordsOf(contrast: Contrast | 'unseen'): string {
  if (contrast === 'unseen') return 'One of them is not to be seen on this nail.';
  const { off, worst } = contrast;
  const how = off < LOST ? 'Hardly told apart' : off < PLAIN ? 'Told apart near by' : 'Plain at arm’s length';
  const least = worst.off < off - 1 ? `; ${worst.words.toLowerCase()} ΔE ${worst.off.toFixed(0)}` : '';
  return `${how}: ΔE ${off.toFixed(0)}${least}.`;
}
