'use client';
import { Button, Modal, Text } from '@mantine/core';
import { useState } from 'react';
import type { Client } from '@/core/model/client';
import { mergeClients } from '@/data/clients';
import { go } from '../kit/Go';
import { Choice } from '../kit/Inputs';
import { notify, notKept } from '../kit/notify';
import { pathOf } from '../kit/route';

/** Two cards of one client become one: what both say is kept. */
export function MergeCard({
  client,
  others,
  onClose,
}: {
  client: Client;
  others: readonly Client[];
  onClose: () => void;
}) {
  const [chosen, setChosen] = useState(others[0]?.id ?? '');
  const other = others.find(({ id }) => id === chosen);
  async function merge() {
    if (!other) return;
    const apart = await mergeClients(client.id, other.id);
    onClose();
    if (!apart) return;
    go(pathOf({ kind: 'clients', id: client.id }));
    notify(
      <>
        {other.name} is on the card of {client.name} now.{' '}
        <Button variant="default" onClick={() => void apart().catch(notKept)}>
          Take them apart again
        </Button>
      </>,
    );
  }
  return (
    <Modal opened onClose={onClose} title="Two cards of one client" centered>
      <Choice
        label={`Which card comes into that of ${client.name}`}
        value={chosen}
        choices={others.map(({ id, name, sets }) => ({
          value: id,
          label: `${name} (${sets.length === 0 ? 'no set' : sets.length === 1 ? 'one set' : `${sets.length} sets`})`,
        }))}
        onChange={setChosen}
      />
      <Text my="md">
        Its sets, measures, notes and how they wore come onto this card; what is not used on either’s hands is
        not used on these. The other card goes.
      </Text>
      <Button fullWidth disabled={!other} onClick={() => void merge().catch(notKept)}>
        Merge them
      </Button>
    </Modal>
  );
}
