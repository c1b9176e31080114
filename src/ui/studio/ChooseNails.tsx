'use client';
import { Button } from '@mantine/core';
import { handNails, NAILS, type NailName } from '@/core/model/names';
import { useStudio } from './studio';
import classes from './ChooseNails.module.css';

const GROUPS: readonly { words: string; nails: readonly NailName[] }[] = [
  { words: 'All ten', nails: NAILS },
  { words: 'Left hand', nails: handNails('left') },
  { words: 'Right hand', nails: handNails('right') },
];

/** All ten nails, or those of a hand, chosen in one press. */
export function ChooseNails() {
  const selected = useStudio((s) => s.selected);
  const select = useStudio((s) => s.select);
  const are = (nails: readonly NailName[]) =>
    nails.length === selected.length && nails.every((name) => selected.includes(name));
  return (
    <div className={classes.groups} role="group" aria-label="Choose nails">
      {GROUPS.map(({ words, nails }) => (
        <Button
          key={words}
          variant="subtle"
          color="gray"
          px={12}
          className={classes.group}
          aria-pressed={are(nails)}
          onClick={() => select([...nails])}
        >
          {words}
        </Button>
      ))}
    </div>
  );
}
