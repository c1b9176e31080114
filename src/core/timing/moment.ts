import type { Hand } from '../model/names';
import type { Round } from './rounds';

/** What goes on at one moment of a sitting. */
export interface Moment {
  artist?: Round;
  hands: Record<Hand, Round | undefined>;
  /** What the artist does next, where nothing is done now. */
  next?: Round;
}

export function momentAt(rounds: readonly Round[], at_s: number): Moment {
  const now = rounds.filter((round) => round.start_s <= at_s && at_s < round.end_s);
  const artist = now.find((round) => round.kind === 'work');
  const on = (hand: Hand) => now.find((round) => round.hand === hand || round.hand === 'both');
  const next = rounds.find((round) => round.kind === 'work' && round.start_s > at_s);
  return {
    ...(artist ? { artist } : {}),
    hands: { left: on('left'), right: on('right') },
    ...(next ? { next } : {}),
  };
}
