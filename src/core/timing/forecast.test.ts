import { acrossNails } from '../compile/acrossNails';
import { DEMO_SETS } from '../demo';
import { chance } from '../model/chance';
import { NAILS, handOf, type NailName } from '../model/names';
import { forecastOf } from '../plan/forecastOf';
import { planSet } from '../plan/planSet';
import { walkEvening, type EveningStep } from '../testing/evening';
import { QUICK } from '../testing/sets';
import { forecast, type Scatter, type ScatteredWork } from './forecast';
import { played, waitsOf, type SittingWaits, type WaitingPiece } from './waits';

/** Standard normal quantiles (NIST/SEMATECH e-Handbook 1.3.6.7.1). */
const Z90 = 1.2816;
const piece = (
  hand_s: number,
  after: WaitingPiece['after'] = [],
  fixed_s = 0,
  light = false,
): WaitingPiece => ({ operation: 'left-ring/a/coat#1', light, fixed_s, hand_s, after, start_s: 0 });
const scattered = (scatter: Scatter): ScatteredWork => ({ work: 'coat', scatter });
const many = { runs: 30_000, seed: 3 };

describe('a sitting played again by its waits', () => {
  it.each(
    DEMO_SETS.filter(({ id }) => id === 'matinee' || id === 'fly-tower').map(
      (demo) => [demo.id, demo] as const,
    ),
  )(
    '%s: with the hands of the plan every piece begins as it was planned, whoever’s nails they are',
    (_id, demo) => {
      for (const wearer of ['client', 'own'] as const) {
        const set = demo.make();
        set.practice = { ...set.practice, wearer };
        const { sitting, operations } = planSet(set, QUICK);
        const all = NAILS.map((nail) => operations[nail]);
        const waits = waitsOf(sitting, all.flat(), acrossNails(set, all).precedences, wearer === 'own');
        const ends = new Float64Array(waits.pieces.length);
        expect(played(waits, () => 1, ends)).toBeCloseTo(sitting.total_s, 1);
        const off = waits.pieces.filter(
          ({ start_s, fixed_s, hand_s }, i) => Math.abs(ends[i]! - fixed_s - hand_s - start_s) > 0.02,
        );
        expect(off).toEqual([]);
        // Slower hands end no sooner, quicker ones no later.
        expect(played(waits, () => 1.3, ends)).toBeGreaterThan(sitting.total_s);
        expect(played(waits, () => 0.8, ends)).toBeLessThan(sitting.total_s);
      }
    },
  );
});

describe('the forecast, against closed forms', () => {
  it('of one chain that an evening makes slow or quick as a whole is that lognormal', () => {
    const waits: SittingWaits = {
      pieces: [piece(100), piece(200, [{ piece: 0, lag_s: 0 }]), piece(300, [{ piece: 1, lag_s: 0 }])],
      tail_s: 0,
    };
    const scatter = { middle: 1.1, evening: 0.2, piece: 0 };
    const { half_s, nine_s } = forecast(
      waits,
      waits.pieces.map(() => scattered(scatter)),
      many,
    );
    expect(Math.abs(half_s / 660 - 1)).toBeLessThan(0.01);
    expect(Math.abs(nine_s / (660 * Math.exp(0.2 * Z90)) - 1)).toBeLessThan(0.01);
  });

  it('of the later of two that scatter alone is where both have come: F(x)² is nine of ten', () => {
    const waits: SittingWaits = { pieces: [piece(100), piece(100)], tail_s: 0 };
    const scatter = { middle: 1, evening: 0, piece: 0.3 };
    const { half_s, nine_s } = forecast(
      waits,
      waits.pieces.map(() => scattered(scatter)),
      many,
    );
    // Φ⁻¹(√0.9) = 1.6322, Φ⁻¹(√0.5) = 0.5450 (from the same table, interpolated).
    expect(Math.abs(nine_s / (100 * Math.exp(0.3 * 1.6322)) - 1)).toBeLessThan(0.01);
    expect(Math.abs(half_s / (100 * Math.exp(0.3 * 0.545)) - 1)).toBeLessThan(0.01);
  });

  it('of a lamp that is shared waits for the light before, where the hands are quick', () => {
    // One hand is lit for 60 s; the other's work of 40 s scatters, then its light: max(60, 40·X) + 60.
    const waits: SittingWaits = {
      pieces: [
        piece(0, [], 60, true),
        piece(40),
        piece(
          0,
          [
            { piece: 0, lag_s: 0 },
            { piece: 1, lag_s: 0 },
          ],
          60,
          true,
        ),
      ],
      tail_s: 0,
    };
    const work = [undefined, scattered({ middle: 1, evening: 0, piece: 0.5 }), undefined];
    const { half_s, nine_s } = forecast(waits, work, many);
    expect(half_s).toBeCloseTo(120, 6);
    expect(Math.abs(nine_s / (40 * Math.exp(0.5 * Z90) + 60) - 1)).toBeLessThan(0.01);
  });

  it('is the same with the same seed, and another with another', () => {
    const waits: SittingWaits = { pieces: [piece(100)], tail_s: 5 };
    const work = [scattered({ middle: 1, evening: 0.1, piece: 0.2 })];
    expect(forecast(waits, work, { runs: 500, seed: 4 })).toEqual(
      forecast(waits, work, { runs: 500, seed: 4 }),
    );
    expect(forecast(waits, work, { runs: 500, seed: 5 }).half_s).not.toBe(
      forecast(waits, work, { runs: 500, seed: 4 }).half_s,
    );
  });
});

describe('the forecast, against evenings walked by a clock', () => {
  const set = DEMO_SETS.find(({ id }) => id === 'matinee')!.make();
  const plan = planSet(set, QUICK);
  const promised = forecastOf(set, plan, { runs: 5000, seed: 1 });

  /** Matinée in its planned order, each step with what it takes; hand work as these hands are this evening. */
  function evening(seed: number): number {
    const by = chance(seed);
    const z = () => Array.from({ length: 12 }, () => by.next()).reduce((sum, one) => sum + one, 0) - 6;
    const day = z();
    const all = new Map(NAILS.flatMap((nail) => plan.operations[nail]).map((one) => [one.id, one]));
    const waitAfter = (id: string) => {
      const nail = id.split('/')[0] as NailName;
      const own = plan.operations[nail];
      let wait_s = all.get(id)?.wait_s ?? 0;
      for (const one of own.slice(own.findIndex((o) => o.id === id) + 1)) {
        if (one.hand_s > 0 || one.lamp) break;
        wait_s += one.wait_s ?? 0;
      }
      return wait_s;
    };
    const { strokes, loads } = plan.sitting;
    const steps = [
      ...strokes.map((one) => ({ at: one.start_s, one })),
      ...loads.map((load) => ({ at: load.start_s, load })),
    ]
      .sort((a, b) => a.at - b.at)
      .map((entry): EveningStep => {
        if ('load' in entry && entry.load) {
          const { load } = entry;
          const nails = load.operations.map((id) => id.split('/')[0]!);
          const hands = [...new Set(nails.map((nail) => `hand ${handOf(nail as NailName)}`))];
          const holds = Object.fromEntries(load.operations.map((id) => [id.split('/')[0]!, waitAfter(id)]));
          return {
            takes: [`lamp ${load.lamp}`, ...hands, ...nails, ...(load.held ? ['artist'] : [])],
            holds,
            seconds: load.end_s - load.start_s,
          };
        }
        const { one: stroke } = entry as { one: (typeof strokes)[number] };
        const { fixed_s = 0 } = all.get(stroke.operation)!;
        const planned = stroke.end_s - stroke.start_s - fixed_s;
        // The same hands as the forecast supposes, said here in full: middle 1.08, 0.112 an evening, 0.2 a piece.
        const share = Math.sqrt(0.9 * 1.3) * Math.exp((Math.log(1.3 / 0.9) / 3.2898) * day + 0.2 * z());
        return {
          takes: ['artist', stroke.nail, `hand ${stroke.hand}`],
          holds: { [stroke.nail]: waitAfter(stroke.operation) },
          seconds: stroke.changeover_s + fixed_s + planned * share,
        };
      });
    return walkEvening(steps);
  }

  it('nine of ten of a thousand are over by the time that is promised, to two in a hundred, and half by the half', () => {
    const ends = Array.from({ length: 1000 }, (_, i) => evening(9000 + i));
    const by = (s: number) => ends.filter((one) => one <= s).length / ends.length;
    expect(Math.abs(by(promised.nine_s) - 0.9)).toBeLessThanOrEqual(0.02);
    expect(Math.abs(by(promised.half_s) - 0.5)).toBeLessThanOrEqual(0.05);
  });

  it('counts every evening once, and says which work scatters it', () => {
    expect(promised.bins.reduce((sum, { count }) => sum + count, 0)).toBe(5000);
    expect(promised.by.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(promised.half_s).toBeLessThan(promised.nine_s);
    // Whose own times are known promises more narrowly.
    const own = {
      ...set,
      practice: {
        ...set.practice,
        own_times: [...new Set(NAILS.flatMap((nail) => plan.operations[nail]).map(({ verb }) => verb))].map(
          (work) => ({ work, share: 1, from: 0.95, to: 1.05, times: 40 }),
        ),
      },
    };
    const known = forecastOf(own, planSet(own, QUICK), { runs: 2000, seed: 1 });
    expect(known.nine_s - known.half_s).toBeLessThan(0.7 * (promised.nine_s - promised.half_s));
  });
});
