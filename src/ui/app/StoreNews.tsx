'use client';
import { Button } from '@mantine/core';
import type { StoreState } from '@/data/store';
import classes from './App.module.css';

const WORDS: Partial<Record<StoreState['kind'], string>> = {
  newer:
    'A newer version of this program has written what is stored here. It is shown and can be exported; nothing is changed.',
  superseded:
    'A newer version of this program was opened in another tab. What you made is kept; from here on nothing is, until this page is opened anew.',
  memory:
    'Nothing is kept in this browser: what you make is gone when the page is closed, unless you export it.',
};

/** Over every view, where the store is not as it should be. */
export function StoreNews({ store }: { store: StoreState }) {
  const words =
    store.kind === 'lost'
      ? `This browser’s store was ${store.why}. What you see is in this page alone: export what you need before you open it anew.`
      : WORDS[store.kind];
  if (!words) return null;
  return (
    <section
      className={classes.line}
      data-grave={store.kind === 'superseded' || store.kind === 'lost' || undefined}
      role="alert"
    >
      <p>{words}</p>
      {store.kind !== 'memory' && (
        <Button variant="default" onClick={() => window.location.reload()}>
          Open the page anew
        </Button>
      )}
    </section>
  );
}
