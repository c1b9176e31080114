import type { Operation } from '../craft/operation';
import { DEMO_SETS } from '../demo';
import { chance } from '../model/chance';
import { handOf, NAILS, type NailName } from '../model/names';
import { planSet } from '../plan/planSet';
import { randomSet } from '../testing/randomLooks';
import { runs } from '../testing/runs';
import { QUICK } from '../testing/sets';
import type { SetDocument } from '../document/document';
import { cardOf, cardText } from './card';
import { aheadOf_s, passesOf } from './passes';
import type { Round } from './rounds';

let made = 0;
type Of = Partial<Operation> & { words: string };

/** A round on some nails, with operations made for it. */
function round(
  start_s: number,
  seconds: number,
  nails: readonly NailName[],
  of: Of,
  over: Partial<Round> = {},
) {
  made += 1;
  const operations = nails.map((nail) => ({
    id: `${nail}/e/step${made}#1`,
    nail,
    stage: 'surface',
    verb: 'coat',
    ...of,
  })) as Operation[];
  const hands = new Set(nails.map(handOf));
  const one: Round = {
    number: made,
    kind: 'work',
    start_s,
    end_s: start_s + seconds,
    hand: hands.size > 1 ? 'both' : [...hands][0]!,
    nails: [...nails],
    words: of.words,
    reason: '',
    operations: operations.map(({ id }) => id),
    ...over,
  };
  return { one, operations };
}
const lamp = (start_s: number, nails: readonly NailName[]) =>
  round(
    start_s,
    60,
    nails,
    { words: 'Cure', verb: 'cure' },
    { kind: 'load', light: { mode: 'cure', seconds: 60, lamp: 'a' } },
  );

const FILM = { kind: 'conformal', t_um: 80 } as const;
const LEFT = NAILS.filter((nail) => handOf(nail) === 'left');
const RIGHT = NAILS.filter((nail) => handOf(nail) === 'right');

const passes = (...all: ReturnType<typeof round>[]) =>
  passesOf(
    all.map(({ one }) => one),
    all.flatMap(({ operations }) => operations),
  );
const told = (...all: ReturnType<typeof round>[]) =>
  passes(...all).map(({ hand, rounds }) => `${hand}: ${rounds.map(({ words }) => words).join(', ')}`);

describe('passes', () => {
  it('end with the light of what was done in them, wherever the hands are by then', () => {
    expect(
      told(
        round(0, 50, RIGHT, { words: 'Base', deposit: FILM }),
        round(50, 50, LEFT, { words: 'Base', deposit: FILM }),
        lamp(55, RIGHT),
        round(115, 50, RIGHT, { words: 'Colour', deposit: FILM }),
        lamp(116, LEFT),
        lamp(176, RIGHT),
      ),
    ).toEqual(['right: Base, Cure', 'left: Base, Cure', 'right: Colour, Cure']);
  });

  it('go on beside a light that is for other nails of the hand', () => {
    expect(
      told(
        round(0, 20, ['left-thumb'], { words: 'Base', deposit: FILM }),
        round(20, 20, ['right-ring'], { words: 'Colour', deposit: FILM }),
        round(40, 20, ['left-ring'], { words: 'Colour', deposit: FILM }),
        lamp(41, ['left-thumb']),
        round(110, 20, ['left-index'], { words: 'Colour', deposit: FILM }),
      ),
    ).toEqual(['left: Base, Cure', 'right: Colour', 'left: Colour, Colour']);
  });

  it('that wet nothing are of both hands; a file is never in one with what is wet', () => {
    expect(
      told(
        round(0, 20, LEFT, { words: 'File', verb: 'file' }),
        round(20, 20, RIGHT, { words: 'File', verb: 'file' }),
        round(40, 5, RIGHT, { words: 'Dust off', verb: 'dust-off' }),
        round(45, 20, RIGHT, { words: 'Top', deposit: FILM }),
        round(65, 20, RIGHT, { words: 'File', verb: 'file' }),
      ),
    ).toEqual(['both: File, File, Dust off', 'right: Top', 'right: File']);
  });

  it('made ahead, preparing and care stand by themselves', () => {
    const all = passes(
      round(0, 100, LEFT, { words: 'Size', stage: 'ahead', verb: 'ready-tip' }),
      round(110, 10, NAILS, { words: 'Sanitise', stage: 'arrive', verb: 'sanitise' }),
      round(120, 10, LEFT, { words: 'Push back', stage: 'prepare', verb: 'push-back' }),
      round(130, 10, LEFT, { words: 'Form', stage: 'foundation', verb: 'fit-form' }),
      round(150, 10, NAILS, { words: 'Oil', stage: 'care', verb: 'oil' }),
    );
    expect(all.map((pass) => pass.rounds.length)).toEqual([1, 2, 1, 1]);
    expect(all.map((pass) => pass.ahead)).toEqual([true, undefined, undefined, undefined]);
    expect(aheadOf_s(all)).toBe(110);
  });

  it('made ahead is only what comes before all other work', () => {
    const tray = round(0, 60, ['left-ring'], { words: 'Tray', stage: 'ahead', verb: 'make' });
    const sanitise = round(70, 10, NAILS, { words: 'Sanitise', stage: 'arrive', verb: 'sanitise' });
    const late = round(90, 60, ['right-ring'], { words: 'Tray', stage: 'ahead', verb: 'make' });
    expect(passes(tray, sanitise, late).map(({ ahead }) => ahead)).toEqual([true, undefined, undefined]);
    // On a stand all is made ahead, and nobody comes.
    expect(aheadOf_s(passes(tray))).toBe(0);
    expect(passes(tray)[0]!.ahead).toBeUndefined();
  });
});

describe('the card of passes', () => {
  const gel = { words: 'Base A', deposit: FILM };
  const card = (...all: ReturnType<typeof round>[]) =>
    cardOf(
      passes(...all).map((pass) => ({ ...pass, title: 'Base' })),
      NAILS,
    );

  it('reads as a text', () => {
    const thumb: NailName[] = ['right-thumb'];
    const four = RIGHT.filter((nail) => nail !== 'right-thumb');
    expect(
      cardText(
        card(
          round(0, 90, RIGHT, gel, { caution: 'Off the skin.' }),
          lamp(90, thumb),
          round(92, 90, LEFT, gel, { caution: 'Off the skin.', wait_s: 30 }),
          lamp(150, four),
          lamp(215, LEFT),
        ),
      ),
    ).toBe(
      `0:00 Right hand · Base · 2 min
    all five: Base A
    ! Off the skin.
    thumb, then four fingers: into the lamp, cure 60 s each
1:30 Left hand · Base · 2 min !
    all five: Base A – rests 30 s
    3:40 all five: into the lamp, cure 60 s`,
    );
  });

  it('joins the same on both hands, and has a line for a wait in which nothing is done', () => {
    const dry = { words: 'Let it soak', verb: 'soak', stage: 'arrive' } as const;
    const lines = card(
      round(0, 10, RIGHT, dry, { wait_s: 300, waited: 'Wait for the soak' }),
      round(10, 10, LEFT, dry, { wait_s: 300, waited: 'Wait for the soak' }),
      round(310, 10, RIGHT, { words: 'Push off', verb: 'push-off', stage: 'arrive' }),
      round(320, 10, ['left-ring'], { words: 'Push off', verb: 'push-off', stage: 'arrive' }),
    ).flatMap((pass) => pass.lines);
    expect(lines.map(({ kind, nails, words, wait_s }) => [kind, nails, words, wait_s])).toEqual([
      ['work', 'all five, right then left', 'Let it soak', 300],
      ['wait', 'all five', 'Wait for the soak', 290],
      ['work', 'right all five, then left ring', 'Push off', undefined],
    ]);
  });

  const stumbles = (set: SetDocument) => {
    const plan = planSet(set, { ...QUICK, fixes: false });
    const worked = NAILS.filter((nail) => set.nails[nail].in_work);
    const all = cardOf(plan.passes, worked, plan.windows);
    const faults: string[] = [];
    const ids = new Set(all.map(({ id }) => id));
    if (ids.size < all.length) faults.push('two passes have one name');
    all.forEach(({ title, lines, start_s }, i) => {
      if (lines.length === 0 || lines[0]!.kind !== 'work') faults.push(`${title} begins with no work`);
      if (i > 0 && start_s < all[i - 1]!.start_s) faults.push(`${title} is out of order`);
      if (!/^[A-Z]/.test(title) || /undefined|, $/.test(title)) faults.push(`headed by “${title}”`);
    });
    // A nail is in the lamp with what was done on it last.
    for (const { rounds } of plan.passes)
      for (const load of rounds.filter(({ kind }) => kind === 'load'))
        if (!load.nails.some((nail) => rounds.some((one) => one.kind === 'work' && one.nails.includes(nail))))
          faults.push(`${load.words} has no work`);
    return faults;
  };

  it.each(DEMO_SETS.map(({ id, make }) => [id, make] as const))(
    '%s reads from first to last',
    (_id, make) => {
      expect(stumbles(make())).toEqual([]);
    },
  );

  it('so do random sets', () => {
    for (let seed = 1; seed <= runs(4, 200); seed += 1)
      expect([seed, stumbles(randomSet(chance(9900 + seed)))]).toEqual([seed, []]);
  });
});
