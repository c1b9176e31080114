import fc from 'fast-check';
import { acrossNails } from '../compile/acrossNails';
import { chance } from '../model/chance';
import { NAILS } from '../model/names';
import { planNail } from '../plan/nailPlan';
import { randomSet } from '../testing/randomLooks';
import { boardOf } from './board';
import { inRounds, ROUNDS } from './inRounds';
import { moveStrokes } from './moves';
import { Player } from './play';
import { problemOf } from './pose';
import { moveRounds } from './roundMoves';
import { assign, copyOf, type Sequence } from './trail';

function boardOfSet(seed: number) {
  const set = randomSet(chance(seed));
  const works = NAILS.map((nail) => {
    const { compiled, nominal } = planNail(set, nail);
    return { nail, operations: compiled.operations, states: nominal.states };
  });
  const { precedences } = acrossNails(
    set,
    works.map(({ operations }) => operations),
  );
  return boardOf(problemOf(set, works, precedences));
}

describe('a sequence played from where it parts from one that is known', () => {
  it('comes to just what it comes to from the first stroke on', () => {
    fc.assert(
      fc.property(fc.nat(5000), fc.boolean(), fc.nat(1_000_000), (seed, whole, luck) => {
        const board = boardOfSet(seed);
        const size = board.activities.length;
        const known = new Player(board);
        const random = chance(luck).below;
        const marks = () => new Uint8Array(size);
        const now: Sequence = { order: inRounds(board, ROUNDS[0]!), close: marks(), keep: marks(), whole };
        // Far from any order that can be played as it is: much has to be fetched.
        for (let i = 0; i < 40; i += 1) moveRounds(board, now, random);
        const next = copyOf(now);
        for (let i = 0; i < 60; i += 1) {
          assign(next, now);
          const kind = random(4);
          if (kind === 0) moveStrokes(board, next, random);
          else if (kind < 3) moveRounds(board, next, random);
          else next.close[random(size)]! ^= 1;
          const most_s = random(3) === 0 ? known.tally.total_s : Infinity;
          const tooMuch = (_: unknown, least_s: number) => least_s > most_s;
          const order = next.order.slice();
          const tally = { ...known.play(next, tooMuch) };
          // A player that knows nothing else.
          const fresh = new Player(board);
          const total_s = fresh.play(next, tooMuch).total_s;
          expect(tally.total_s).toBe(total_s);
          if (total_s === Infinity) continue;
          expect(tally).toEqual(fresh.tally);
          expect(known.effort).toBe(fresh.effort);
          if (random(2) > 0) continue;
          known.goOnFrom();
          assign(now, next);
          if (random(4) > 0) continue;
          known.writeInto(now.order);
          fresh.writeInto(order);
          expect(now.order).toEqual(order);
        }
      }),
      { numRuns: 12 },
    );
  });
});
