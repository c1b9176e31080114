import type { Operation } from '../craft/operation';
import { NAILS, type NailName } from '../model/names';
import { momentAt } from './moment';
import type { Load, Schedule, Stroke } from './problem';
import { whoseWords, roundsOf } from './rounds';

const operation = (id: string, over: Partial<Operation> = {}): Operation =>
  ({
    id,
    nail: id.split('/')[0] as NailName,
    element: 'body',
    stage: 'art',
    step: 'coat',
    pass: 1,
    verb: 'coat',
    words: 'Velvet 04, coat 1 of 1',
    class: 'coat:velvet',
    hand_s: 10,
    reason: 'Thin coats cure through.',
    ...over,
  }) as Operation;

const stroke = (id: string, start_s: number, end_s: number): Stroke => ({
  operation: id,
  nail: id.split('/')[0]!,
  hand: id.startsWith('left') ? 'left' : 'right',
  start_s,
  end_s,
  changeover_s: 0,
});

const load = (ids: string[], start_s: number, end_s: number, over: Partial<Load> = {}): Load => ({
  lamp: 'a',
  hand: ids[0]!.startsWith('left') ? 'left' : 'right',
  nails: ids.map((id) => id.split('/')[0]!),
  operations: ids,
  mode: 'cure',
  start_s,
  end_s,
  ...over,
});

const sitting = (strokes: Stroke[], loads: Load[] = []): Schedule => ({
  strokes,
  loads,
  wipes: [],
  broken: [],
  missing: [],
  total_s: Math.max(...strokes.map((one) => one.end_s), ...loads.map((one) => one.end_s)),
});

const cure = (nail: string, words = 'Cure Velvet 04') =>
  operation(`${nail}/cure`, { verb: 'cure', words, lamp: { mode: 'cure', seconds: 60 } });

describe('rounds', () => {
  it('the same work on nails of a hand is one; other work between parts it', () => {
    const operations = ['left-ring/a', 'left-index/a', 'left-middle/a'].map((id) => operation(id));
    const other = operation('left-thumb/b', { words: 'Set a stone', class: 'stone' });
    const rounds = roundsOf(
      sitting([
        stroke('left-ring/a', 0, 10),
        stroke('left-index/a', 10, 20),
        stroke('left-thumb/b', 20, 30),
        stroke('left-middle/a', 30, 40),
      ]),
      [...operations, other],
    );
    expect(rounds.map((one) => [one.nails, one.start_s, one.end_s])).toEqual([
      [['left-ring', 'left-index'], 0, 20],
      [['left-thumb'], 20, 30],
      [['left-middle'], 30, 40],
    ]);
    expect(rounds.map((one) => one.number)).toEqual([1, 2, 3]);
  });

  it('the other hand begins a round of its own, unless the work is for the whole set', () => {
    const strokes = [stroke('left-ring/a', 0, 10), stroke('right-ring/a', 10, 20)];
    const ids = strokes.map((one) => one.operation);
    const own = roundsOf(
      sitting(strokes),
      ids.map((id) => operation(id)),
    );
    expect(own.map((one) => one.hand)).toEqual(['left', 'right']);
    const shared = roundsOf(
      sitting(strokes),
      ids.map((id) => operation(id, { scope: 'set' })),
    );
    expect(shared.map((one) => [one.hand, one.nails.length])).toEqual([['both', 2]]);
  });

  it('what is held is one piece of work, with its light', () => {
    const press = operation('left-ring/press', { verb: 'press-on', words: 'Press the tip on' });
    const flash = operation('left-ring/flash', {
      verb: 'flash',
      words: 'Flash Fixing gel A',
      lamp: { mode: 'flash', seconds: 10 },
      held: true,
    });
    const held = load(['left-ring/flash'], 20, 30, { mode: 'flash', held: true });
    const [round, ...rest] = roundsOf(sitting([stroke('left-ring/press', 0, 20)], [held]), [press, flash]);
    expect(rest).toEqual([]);
    expect(round).toMatchObject({
      end_s: 30,
      light: { mode: 'flash', seconds: 10, lamp: 'a' },
      operations: ['left-ring/press', 'left-ring/flash'],
    });
  });

  it('a load says all that it hardens, once', () => {
    const operations = [cure('left-ring'), cure('left-index'), cure('left-middle', 'Cure Plum 07')];
    const rounds = roundsOf(
      sitting(
        [],
        [
          load(
            operations.map((one) => one.id),
            0,
            60,
          ),
        ],
      ),
      operations,
    );
    expect(rounds.map((one) => one.words)).toEqual(['Cure Velvet 04 (ring, index), Plum 07 (middle)']);
    expect(rounds[0]!.nails).toHaveLength(3);
  });
});

describe('nails in words', () => {
  const left = NAILS.filter((nail) => nail.startsWith('left'));
  it.each<[string, NailName[], string]>([
    ['every nail', [...NAILS], 'all ten'],
    ['one hand', left, 'all five'],
    ['without its thumb', left.filter((nail) => nail !== 'left-thumb'), 'four fingers'],
    ['one finger of both hands', ['left-thumb', 'right-thumb'], 'both thumbs'],
    ['some', ['left-ring', 'left-index'], 'ring, index'],
    [
      'some fingers, the same of both hands',
      ['left-ring', 'left-index', 'right-ring', 'right-index'],
      'ring, index of both hands',
    ],
    ['others of each hand', ['left-ring', 'left-index', 'right-thumb'], 'left ring, index; right thumb'],
    ['all but one', NAILS.filter((nail) => nail !== 'right-thumb'), 'all but the right thumb'],
  ])('%s', (_what, nails, words) => expect(whoseWords(nails, NAILS)).toBe(words));

  it('are counted among those that are worked on', () => {
    const worked: NailName[] = ['left-ring', 'left-index', 'right-ring'];
    expect(whoseWords(worked, worked)).toBe('all');
    expect(whoseWords(['left-ring', 'left-index'], worked)).toBe('all');
    expect(whoseWords(['left-ring'], worked)).toBe('ring');
    expect(whoseWords(['left-ring'], ['left-ring'])).toBe('ring finger');
  });
});

describe('a moment of the sitting', () => {
  const rounds = roundsOf(
    sitting(
      [stroke('left-ring/a', 0, 10), stroke('right-ring/a', 20, 60)],
      [load(['left-ring/cure'], 10, 70)],
    ),
    [operation('left-ring/a'), operation('right-ring/a'), cure('left-ring')],
  );

  it('says what the artist does, what each hand does and what comes next', () => {
    expect(momentAt(rounds, 5).artist?.nails).toEqual(['left-ring']);
    expect(momentAt(rounds, 15)).toMatchObject({
      hands: { left: { kind: 'load' }, right: undefined },
      next: { nails: ['right-ring'] },
    });
    expect(momentAt(rounds, 15).artist).toBeUndefined();
    expect(momentAt(rounds, 30)).toMatchObject({
      artist: { hand: 'right' },
      hands: { left: { kind: 'load' } },
    });
    expect(momentAt(rounds, 70)).toEqual({ hands: { left: undefined, right: undefined } });
  });
});
