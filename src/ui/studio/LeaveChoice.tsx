'use client';
import { Button, Modal, Text } from '@mantine/core';
import { useEffect } from 'react';
import { downloadSet } from '../kit/download';
import { useStudio, useStudioStore } from './studio';

interface Props {
  onStay: () => void;
  onLeave: () => void;
}

/** The set is about to be left, and what was last changed is not kept. Once it is, one goes on by itself. */
export function LeaveChoice({ onStay, onLeave }: Props) {
  const store = useStudioStore();
  const saving = useStudio((s) => s.saving);
  const fault = useStudio((s) => s.savingFault);
  useEffect(() => {
    if (saving === 'saved') onLeave();
  }, [saving, onLeave]);
  return (
    <Modal opened onClose={onStay} title="What you changed is not kept yet" size={500} centered>
      <Text mb="md">
        {fault && saving === 'failed'
          ? `It was not saved: ${fault}. It is tried again.`
          : 'It waits for you.'}{' '}
        If you leave this set now, your last changes to it are lost.
      </Text>
      <Button fullWidth mb="sm" onClick={onStay} data-autofocus>
        Stay here
      </Button>
      <Button fullWidth mb="sm" variant="default" onClick={() => downloadSet(store.getState().set)}>
        Export the set
      </Button>
      <Button fullWidth variant="subtle" color="red" onClick={onLeave}>
        Leave, and lose them
      </Button>
    </Modal>
  );
}
