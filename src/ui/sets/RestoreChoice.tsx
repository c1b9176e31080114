'use client';
import { Button, Modal, Text } from '@mantine/core';
import { restoreDemo } from '@/data/starting';
import { notKept } from '../kit/notify';

/** Restoring the demo sets where some were edited: which, and what becomes of them. */
export function RestoreChoice({ edited, onClose }: { edited: readonly string[]; onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Restore the demo sets" centered>
      <Text mb="md">
        Edited since: {edited.map((title) => `“${title}”`).join(', ')}. Your edited{' '}
        {edited.length === 1 ? 'set is kept as a copy' : 'sets are kept as copies'} beside the restored.
      </Text>
      <Button fullWidth onClick={() => void restoreDemo().then(onClose).catch(notKept)}>
        Restore, and keep mine as {edited.length === 1 ? 'a copy' : 'copies'}
      </Button>
    </Modal>
  );
}
