'use client';
import { Button } from '@mantine/core';
import { faultLine } from '@/core/model/result';
import type { Listed } from '@/data/listed';
import { asText } from '@/data/backup';
import { downloadText } from '../kit/download';
import { removeAndOffer } from './removeAndOffer';
import classes from './SetsView.module.css';
import { notKept } from '../kit/notify';

type Broken = Extract<Listed, { kind: 'broken' }>;

/** Records of the store that cannot be read: each with its fault, kept until they are removed. */
export function BrokenSets({ broken }: { broken: readonly Broken[] }) {
  return (
    <section aria-label="Sets that cannot be read" className={classes.broken}>
      <h2>{broken.length === 1 ? 'One set cannot be read' : `${broken.length} sets cannot be read`}</h2>
      <ul>
        {broken.map((one) => (
          <li key={one.id}>
            <div>
              <h3>
                <bdi>{one.title}</bdi>
              </h3>
              <p>{faultLine(one.faults[0]!)}</p>
            </div>
            <Button
              variant="default"
              h={44}
              onClick={() => downloadText(`${one.id}.broken.json`, asText(one.record))}
            >
              Export as it is
            </Button>
            <Button
              variant="default"
              h={44}
              onClick={() => void removeAndOffer(one.title, (one.record as { id: string }).id).catch(notKept)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
