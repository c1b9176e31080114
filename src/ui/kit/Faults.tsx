'use client';
import { Button } from '@mantine/core';
import { faultWords } from '@/core/model/placeWords';
import type { Fault } from '@/core/model/result';
import classes from './Faults.module.css';

/** Why something was not taken in: each fault with its place, and that nothing stored was touched. */
export function Faults({
  title,
  faults,
  onClose,
}: {
  title: string;
  faults: readonly Fault[];
  onClose: () => void;
}) {
  return (
    <section className={classes.faults} role="alert">
      <h2>{title}</h2>
      <ul>
        {faults.map((fault) => (
          <li key={`${fault.path} ${fault.message}`}>
            {faultWords(fault)}
            {fault.path && <small className={classes.path}>{fault.path}</small>}
          </li>
        ))}
      </ul>
      <p>Nothing that is stored here was touched.</p>
      <Button variant="default" onClick={onClose}>
        All right
      </Button>
    </section>
  );
}
