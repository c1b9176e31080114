import type { DndContextProps } from '@dnd-kit/core';
import { upperFirst } from '@/core/model/letters';

type Said = NonNullable<DndContextProps['accessibility']>;

/** What is said of a drag to those who do not see it: things by their names, never by their ids. */
export function announcing(nameOf: (id: string) => string | undefined, instructions: string): Said {
  const named = (id: string | number) => nameOf(String(id)) ?? 'it';
  const sentence = (words: string) => upperFirst(`${words}.`);
  return {
    screenReaderInstructions: { draggable: instructions },
    announcements: {
      onDragStart: ({ active }) => sentence(`${named(active.id)} is taken up`),
      onDragOver: ({ active, over }) =>
        over ? sentence(`${named(active.id)} is over ${named(over.id)}`) : undefined,
      onDragEnd: ({ active, over }) =>
        sentence(
          over
            ? `${named(active.id)} is put on ${named(over.id)}`
            : `${named(active.id)} is let go: nothing changes`,
        ),
      onDragCancel: ({ active }) => sentence(`${named(active.id)} is back where it was`),
    },
  };
}
