import { buildKindOf, BUILDS } from '../craft/builds';
import type { Change } from '../document/changes';
import type { SetDocument } from '../document/document';
import { freeId } from '../model/freeId';
import { NAILS } from '../model/names';
import { hasTorch } from '../model/product';
import type { Practice } from '../model/practice';
import { FLOWS } from '../timing/effort';
import { rhythmOf, type Rhythm } from '../timing/rhythm';
import type { Round } from '../timing/rounds';
import { HELPED } from './helperList';
import { forecastOf } from './forecastOf';
import { sizesTips } from './simplifications';
import { planSet, type Plan, type PlanMemo } from './planSet';

/** Another way to work the same set; the looks stay as they are. */
export interface WayOfWorking {
  key: string;
  words: string;
  change: Change;
  /** Somebody helps: that is of the evening, and stands in no set. */
  helped?: true;
}

const FLOW_WORDS: Record<(typeof FLOWS)[number], string> = {
  quick: 'Quick: every second saved, round or not',
  balanced: 'Balanced: whole rounds, where that costs little time',
  calm: 'Calm: whole rounds, each product taken up as seldom as can be',
};
const THUMB_WORDS: Record<Practice['thumbs'], string> = {
  apart: 'Each thumb in a load of its own',
  together: 'Both thumbs in one load',
  'with-fingers': 'Thumbs with the fingers, turned to the light',
};

/** The ways a set could be worked otherwise than it is. */
export function waysOfWorking(set: SetDocument): WayOfWorking[] {
  const { practice, kit } = set;
  const lamp = kit.lamps.find((one) => one.torch !== true);
  const torch = kit.lamps.find((one) => one.torch === true);
  const roomy = kit.lamps.length < 6;
  return [
    ...FLOWS.filter((flow) => flow !== practice.flow).map((flow): WayOfWorking => ({
      key: `flow ${flow}`,
      words: FLOW_WORDS[flow],
      change: { kind: 'practice', practice: { flow } },
    })),
    ...(Object.keys(THUMB_WORDS) as Practice['thumbs'][])
      .filter((thumbs) => thumbs !== practice.thumbs)
      .map((thumbs): WayOfWorking => ({
        key: `thumbs ${thumbs}`,
        words: THUMB_WORDS[thumbs],
        change: { kind: 'practice', practice: { thumbs } },
      })),
    { key: 'helper', words: 'Somebody cleans, soaks, dusts and oils', change: NOTHING, helped: true },
    ...(practice.tips !== 'ready' && sizesTips(set)
      ? [
          {
            key: 'tips ready',
            words: 'The tips sized and cut before the sitting',
            change: { kind: 'practice', practice: { tips: 'ready' } },
          } satisfies WayOfWorking,
        ]
      : []),
    ...onStands(set),
    ...(lamp && roomy
      ? [
          {
            key: 'second lamp',
            words: 'One lamp more',
            change: {
              kind: 'put-lamp',
              lamp: { ...lamp, id: freeId(lamp.id, kit.lamps), name: `${lamp.name}, one more` },
            },
          } satisfies WayOfWorking,
        ]
      : []),
    ...(torch
      ? [
          {
            key: 'no torch',
            words: 'Without the torch',
            change: { kind: 'remove-lamp', lamp: torch.id },
          } satisfies WayOfWorking,
        ]
      : []),
    ...(!hasTorch(kit) && roomy
      ? [
          {
            key: 'torch',
            words: 'With a hand torch for single nails',
            change: {
              kind: 'put-lamp',
              lamp: {
                id: freeId('torch', kit.lamps),
                name: 'Hand torch',
                programmes_s: [],
                light: 'led',
                torch: true,
                low_heat: false,
              },
            },
          } satisfies WayOfWorking,
        ]
      : []),
  ];
}

const NOTHING: Change = { kind: 'many', changes: [] };

/** Ready tips finished on stands, with nobody at the table, to be worn later. */
function onStands(set: SetDocument): WayOfWorking[] {
  const stand = BUILDS.find(({ offHand }) => offHand === true);
  const tips = set.builds.filter(
    (build) =>
      NAILS.some((name) => set.nails[name].in_work && set.nails[name].build === build.id) &&
      buildKindOf(build.kind).edge === 'tip' &&
      buildKindOf(build.kind).offHand !== true,
  );
  if (!stand || tips.length === 0) return [];
  return [
    {
      key: 'stands',
      words: 'The tips on stands, nobody at the table',
      change: {
        kind: 'many',
        changes: tips.map((build): Change => {
          const { name, shape } = build;
          const length = 'length_mm' in build ? { length_mm: build.length_mm } : {};
          return {
            kind: 'put-build',
            build: { ...stand.fresh(build.id), name, shape, ...length } as typeof build,
          };
        }),
      },
    },
  ];
}

/** What a way of working comes to. */
export interface WayMeasured extends Rhythm {
  total_s: number;
  half_s: number;
  nine_s: number;
  loads: number;
  /** With nothing in hand. */
  idle_s: number;
  rounds: Round[];
}

/** Enough evenings to compare by. */
const EVENINGS = 1000;

/** A set planned as it is worked now. Searched as while editing, so that ways are compared alike. */
export function measuredWay(set: SetDocument, memo?: PlanMemo, helped = false): WayMeasured {
  const plan = planSet(set, {
    fixes: false,
    ...(memo ? { memo } : {}),
    ...(helped ? { helped: new Set(HELPED) } : {}),
  });
  const { half_s, nine_s } = forecastOf(set, plan, { runs: EVENINGS });
  return { ...figuresOf(plan), half_s, nine_s };
}

/** What of a plan's work can be counted. */
export function figuresOf({ sitting, rounds, operations }: Plan): Omit<WayMeasured, 'half_s' | 'nine_s'> {
  return {
    ...rhythmOf(
      rounds,
      NAILS.flatMap((name) => operations[name]),
    ),
    total_s: sitting.total_s,
    loads: rounds.filter((round) => round.kind === 'load').length,
    idle_s: Math.max(0, sitting.total_s - sitting.hand_work_s),
    rounds,
  };
}
