import fc from 'fast-check';
import { curtainUp } from '../demo/curtainUp';
import { FINGERS, NAILS, type NailName } from '../model/names';
import { balanceWords, HEAVY } from '../judge/balance';
import { compose, costOf, type Wishes } from './compose';
import type { LookProfile } from '../judge/profile';
import { profilesOf } from './profile';

const colour = fc.tuple(
  fc.double({ min: 0, max: 1, noNaN: true }),
  fc.double({ min: 0, max: 1, noNaN: true }),
  fc.double({ min: 0, max: 1, noNaN: true }),
);
const looks = fc
  .array(fc.record({ mean: colour, weight: fc.double({ min: 0, max: 1, noNaN: true }) }), {
    minLength: 1,
    maxLength: 3,
  })
  .map((all) => all.map((one, i): LookProfile => ({ look: `l${i}`, name: `Look ${i}`, ...one })));

/** Every way to dress one hand, by counting up: shares nothing with the composer. */
function everyHand(ids: readonly string[]): string[][] {
  const all: string[][] = [];
  for (let n = 0; n < ids.length ** FINGERS.length; n += 1) {
    let rest = n;
    all.push(
      FINGERS.map(() => {
        const id = ids[rest % ids.length]!;
        rest = Math.floor(rest / ids.length);
        return id;
      }),
    );
  }
  return all;
}
const dressed = (left: readonly string[], right: readonly string[]) =>
  Object.fromEntries(
    FINGERS.flatMap((finger, i) => [
      [`left-${finger}`, left[i]!],
      [`right-${finger}`, right[i]!],
    ]),
  ) as Record<NailName, string>;

describe('the composer', () => {
  it('finds the calmest of all hands, where they match', () => {
    fc.assert(
      fc.property(looks, fc.integer({ min: 0, max: 3 }), (profiles, accents) => {
        const wishes: Wishes = { looks: profiles.map((one) => one.look), accents, alike: true, keep: {} };
        const least = Math.min(
          ...everyHand(wishes.looks).map((hand) => costOf(profiles, dressed(hand, hand), wishes)),
        );
        const [best] = compose(profiles, wishes, 1);
        expect(best!.cost).toBeCloseTo(least, 2);
        expect(costOf(profiles, best!.looks, wishes)).toBeCloseTo(least, 2);
      }),
      { numRuns: 40 },
    );
  });

  it('finds the calmest of all pairs of hands on two looks', () => {
    fc.assert(
      fc.property(
        looks.filter((all) => all.length === 2),
        (profiles) => {
          const wishes: Wishes = { looks: ['l0', 'l1'], accents: 1, alike: false, keep: {} };
          const hands = everyHand(wishes.looks);
          const least = Math.min(
            ...hands.flatMap((a) => hands.map((b) => costOf(profiles, dressed(a, b), wishes))),
          );
          expect(compose(profiles, wishes, 1)[0]!.cost).toBeCloseTo(least, 2);
        },
      ),
      { numRuns: 15 },
    );
  });

  it('proposes what differs, keeps what is to be kept, and offers only what is wished', () => {
    const profiles = profilesOf(curtainUp());
    const offered = profiles.slice(0, 4).map((one) => one.look);
    const kept = profiles[5]!.look;
    const wishes: Wishes = { looks: offered, accents: 1, alike: true, keep: { 'left-thumb': kept } };
    const proposals = compose(profiles, wishes, 5);
    expect(proposals).toHaveLength(5);
    for (const { looks: worn } of proposals) {
      expect(worn['left-thumb']).toBe(kept);
      expect(worn['right-thumb']).toBe(kept);
      for (const nail of NAILS) if (!nail.endsWith('thumb')) expect(offered).toContain(worn[nail]);
    }
    proposals.forEach((a, i) =>
      proposals.slice(i + 1).forEach((b) => {
        expect(NAILS.filter((nail) => a.looks[nail] !== b.looks[nail]).length).toBeGreaterThanOrEqual(4);
      }),
    );
  });

  it('weighs stones and pieces more than a plain colour', () => {
    const profiles = new Map(profilesOf(curtainUp()).map((one) => [one.name, one.weight]));
    expect(profiles.get('Chandelier')!).toBeGreaterThan(profiles.get('House velvet')!);
    expect(profiles.get('Ticket stubs')!).toBeGreaterThan(profiles.get('House velvet')!);
  });
});

it('says what the eye finds: neighbours that fight, near misses, empty and leaderless hands', () => {
  const plain = { look: 'a', name: 'A', mean: [0.5, 0.1, 0.1], weight: 0.1 } as const;
  const near = { look: 'b', name: 'B', mean: [0.53, 0.11, 0.1], weight: 0.1 } as const;
  const loud = { look: 'c', name: 'C', mean: [0.1, 0.1, 0.6], weight: HEAVY + 0.1 } as const;
  const louder = { look: 'd', name: 'D', mean: [0.1, 0.6, 0.1], weight: 0.9 } as const;
  expect(balanceWords([plain, loud, plain, plain, plain], 'each')).toEqual([]);
  expect(balanceWords([plain, plain, plain, plain, plain], 'left')[0]).toContain('No finger');
  expect(balanceWords([plain, loud, louder, plain, loud], 'left').join(' ')).toMatch(
    /3 fingers of left hand stand out/,
  );
  expect(balanceWords([plain, loud, louder, plain, plain], 'each')).toEqual([
    'Ring finger and middle finger of each hand ask for the eye at once.',
  ]);
  expect(balanceWords([plain, near, plain, loud, plain], 'right').join(' ')).toContain('nearly one colour');
  expect(balanceWords([plain, undefined, loud, plain, plain], 'left')).toContain(
    'The ring finger of left hand is empty.',
  );
});
