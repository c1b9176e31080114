'use client';
import { Button, Modal, Text } from '@mantine/core';

interface Props {
  onTakeTheirs: () => void;
  onKeepMine: () => void;
  onKeepBoth: () => void;
  onExport: () => void;
}

/** Two tabs changed the same set: nothing is written until the artist has chosen. */
export function ConflictChoice({ onTakeTheirs, onKeepMine, onKeepBoth, onExport }: Props) {
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      title="This set was changed in another tab"
      centered
    >
      <Text mb="md">Both hold changes that the other does not have. Nothing is lost until you choose.</Text>
      <Button fullWidth mb="sm" onClick={onKeepBoth}>
        Keep both: mine as a copy
      </Button>
      <Button fullWidth mb="sm" variant="default" onClick={onTakeTheirs}>
        Take the other tab’s set
      </Button>
      <Button fullWidth variant="default" onClick={onKeepMine}>
        Keep mine here
      </Button>
      <Button fullWidth mt="sm" variant="subtle" onClick={onExport}>
        Export mine as a file first
      </Button>
    </Modal>
  );
}
