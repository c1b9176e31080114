'use client';
import { Button } from '@mantine/core';
import { upperFirst } from '@/core/model/letters';
import { faultWords } from '@/core/model/placeWords';
import { asText } from '@/data/backup';
import { isOfSet } from '@/data/broken';
import { type BrokenRow } from '@/data/rows';
import { TABLES } from '@/data/tables';
import { downloadText } from './download';
import { notKept } from './notify';
import { removeAndOffer } from './removeAndOffer';
import classes from './BrokenRows.module.css';

interface Props {
  /** "One card cannot be read". */
  title: string;
  label: string;
  broken: readonly BrokenRow[];
}

/** Rows of the store that cannot be read: each with its fault, kept as it is until it is removed. */
export function BrokenRows({ title, label, broken }: Props) {
  if (broken.length === 0) return null;
  return (
    <section aria-label={label} className={classes.broken}>
      <h2>{title}</h2>
      <ul>
        {broken.map((one) => (
          <li key={`${one.table} ${String(one.key)}`}>
            <div>
              <h3>
                <bdi>{one.title}</bdi>
              </h3>
              <p>
                {!isOfSet(one) && `${upperFirst(TABLES[one.table].words)}: `}
                {faultWords(one.fault)}
              </p>
            </div>
            <Button variant="default" onClick={() => downloadText(fileName(one), asText(one.record))}>
              Export as it is
            </Button>
            <Button variant="default" onClick={() => void removeAndOffer(one).catch(notKept)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function fileName({ table, key }: BrokenRow): string {
  const name = String(key).replace(/[^\w-]+/g, '-');
  return table === 'sets' ? `${name}.broken.json` : `${table}-${name}.broken.json`;
}
