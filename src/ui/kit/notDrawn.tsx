'use client';
import { Button } from '@mantine/core';
import { messageOf } from '@/core/model/messageOf';
import { notify } from './notify';

/** Says that nails could not be drawn, and offers to draw them again. */
export function notDrawn(error: unknown, again: () => void): void {
  notify(
    <>
      {messageOf(error)}.{' '}
      <Button variant="default" onClick={again}>
        Draw again
      </Button>
    </>,
    'Not every nail could be drawn',
    'not-drawn',
  );
}
