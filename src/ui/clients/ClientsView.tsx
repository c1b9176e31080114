'use client';
import { Button } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import type { Client } from '@/core/model/client';
import { messageOf } from '@/core/model/messageOf';
import { addClient } from '@/data/clients';
import { BrokenRows } from '../kit/BrokenRows';
import { Go, go } from '../kit/Go';
import { notKept } from '../kit/notify';
import { once } from '../kit/once';
import { pathOf } from '../kit/route';
import { PageHead } from '../kit/PageHead';
import { useBroken } from '../kit/useBroken';
import { useTitle } from '../kit/useTitle';
import { ClientCard } from './ClientCard';
import { dayWords } from '@/core/model/days';
import { useClients } from './useClients';
import classes from './ClientsView.module.css';

const CARDS = ['clients'] as const;

/** For whom? Every client's card: measures by day, what is not used on these hands, the sets made for them. */
export function ClientsView({ id }: { id?: string }) {
  useTitle('Clients');
  const { clients, fault } = useClients();
  const broken = useBroken(CARDS);
  const here = clients?.find((one) => one.id === id) ?? (id === undefined ? clients?.[0] : undefined);
  const add = () =>
    once('new client', () =>
      addClient('New client').then((made) => go(pathOf({ kind: 'clients', id: made.id }))),
    );
  return (
    <main className={classes.page}>
      <PageHead words="Clients">
        <Button leftSection={<IconPlus size={18} />} onClick={() => void add().catch(notKept)}>
          New client
        </Button>
      </PageHead>
      {fault !== undefined && <p role="alert">The clients cannot be read: {messageOf(fault)}.</p>}
      {clients?.length === 0 && broken.length === 0 && (
        <p className={classes.none}>
          Nobody yet. A card keeps a client’s ten measures, what is not used on these hands, and the sets made
          for them.
        </p>
      )}
      {clients && clients.length > 0 && (
        <div className={classes.columns}>
          <nav aria-label="Clients" className={classes.list}>
            {clients.map((one) => (
              <Go
                key={one.id}
                href={pathOf({ kind: 'clients', id: one.id })}
                aria-current={one.id === here?.id ? 'page' : undefined}
                className={classes.entry}
              >
                <b>{one.name}</b>
                <span>{entryWords(one)}</span>
              </Go>
            ))}
          </nav>
          {here ? (
            <ClientCard key={here.id} client={here} others={clients.filter((one) => one.id !== here.id)} />
          ) : (
            <p className={classes.none}>There is no such card any more.</p>
          )}
        </div>
      )}
      <BrokenRows
        label="Cards that cannot be read"
        title={broken.length === 1 ? 'One card cannot be read' : `${broken.length} cards cannot be read`}
        broken={broken}
      />
    </main>
  );
}

function entryWords({ sets, measures }: Client): string {
  const made = sets.length === 0 ? 'no set yet' : sets.length === 1 ? 'one set' : `${sets.length} sets`;
  return measures[0] ? `${made}, measured ${dayWords(measures[0].on)}` : made;
}
