'use client';
import { Button } from '@mantine/core';
import { messageOf } from '@/core/model/messageOf';
import { Plain } from './Plain';

/** In the place of what broke down: every change up to there is on disk. */
export function BrokeDown({ fault, again }: { fault: unknown; again: () => void }) {
  return (
    <Plain
      title="This view broke down"
      ways={
        <>
          <Button onClick={again}>Show it again</Button>
          {/* A whole new page: what broke down may have taken more with it. */}
          <Button component="a" href="/" variant="default">
            To the sets
          </Button>
        </>
      }
    >
      <p>Every change up to here is kept. What went wrong: {messageOf(fault)}.</p>
    </Plain>
  );
}
