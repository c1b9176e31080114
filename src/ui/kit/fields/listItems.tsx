'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconPlus, IconX } from '@tabler/icons-react';
import type { ListProps } from './props';

export function OneMore({
  field,
  items,
  onMore,
}: {
  field: ListProps['field'];
  items: readonly unknown[];
  onMore: (items: unknown[]) => void;
}) {
  return (
    <Button
      variant="default"
      leftSection={<IconPlus size={18} />}
      disabled={items.length >= field.max}
      onClick={() => onMore([...items, field.fresh ?? items[items.length - 1]])}
    >
      One more
    </Button>
  );
}

interface TakeOutProps {
  index: number;
  least: number;
  items: readonly unknown[];
  onChange: (items: unknown[]) => void;
}

export function TakeOut({ index, least, items, onChange }: TakeOutProps) {
  return (
    <ActionIcon
      variant="subtle"
      color="gray"
      aria-label={`Take out ${index + 1}`}
      disabled={items.length <= least}
      onClick={() => onChange(items.filter((_, i) => i !== index))}
    >
      <IconX size={18} />
    </ActionIcon>
  );
}
