'use client';
import { Button, Modal, Text } from '@mantine/core';
import type { Client } from '@/core/model/client';
import { removeClientWhole } from '@/data/backup';
import { go } from '../kit/Go';
import { notify, notKept } from '../kit/notify';

/** A card and all that was made for them, for good: asked once more, since nothing brings it back. */
export function DeleteWhole({ client, onClose }: { client: Client; onClose: () => void }) {
  const sets = client.sets.length;
  async function remove() {
    await removeClientWhole(client.id);
    onClose();
    go('/clients');
    notify(`Nothing of ${client.name} is kept here any more.`);
  }
  return (
    <Modal opened onClose={onClose} title={`Delete all of ${client.name}`} centered>
      <Text mb="md">
        The card, its measures,{' '}
        {sets === 0 ? 'and' : sets === 1 ? 'the set made for them,' : `the ${sets} sets made for them,`} the
        records, pictures and how they wore are deleted from this device, for good. What was exported or
        backed up before stays where you put it.
      </Text>
      <Button fullWidth color="red" onClick={() => void remove().catch(notKept)}>
        Delete it for good
      </Button>
    </Modal>
  );
}
