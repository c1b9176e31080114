import { REASON_WORDS } from '../../craft/reasonWords';
import { REASONS, type Reason } from '../../craft/surfaces';
import type { Operation } from '../../craft/operation';
import type { Material } from '../../craft/surface';
import { buildOf } from '../../document/nailContext';
import { naturalGel } from '../../craft/builds/naturalGel';
import { elsewhere } from '../elsewhere';
import type { Fix } from '../finding';
import { granted, grantedByAny, type NailCase, type NailRule } from '../rule';
import { upperFirst } from '../../model/letters';
import { rounded } from '../../model/rounded';
import type { Severity } from '../finding';
import type { Verdict } from '../../simulate/grips';

type Code = Reason | 'filed-through';

/** What no lamp hardens, as it is called. */
const BY_ITSELF: Partial<Record<Material, string>> = {
  acrylic: 'acrylic',
  dip: 'dip',
  lacquer: 'lacquer',
  glue: 'glue',
};

const WORDS: Record<Code, { severity: Severity; says: (what: string, v: Verdict) => string }> = {
  'no-grip': {
    severity: 'stop',
    says: (what) => `${what} does not hold there.`,
  },
  'unprepared-plate': {
    severity: 'stop',
    says: (what) => `${what} meets a plate that is not ready for it.`,
  },
  'uncured-covered': {
    severity: 'stop',
    says: (what, { met }) =>
      met && BY_ITSELF[met.material]
        ? `${what} is laid over ${BY_ITSELF[met.material]} that is still soft.`
        : `${what} is laid over product that has yet to see the lamp.`,
  },
  'wet-touched': {
    severity: 'stop',
    says: (what) => `${what} touches what is still wet.`,
  },
  'needs-wet': {
    severity: 'stop',
    says: (what) => `${what}: nothing there is wet enough to hold it.`,
  },
  'oil-before-layer': {
    severity: 'stop',
    says: (what) => `${what} comes after oil.`,
  },
  'dust-under-layer': {
    severity: 'warn',
    says: (what) => `${what} goes onto dust.`,
  },
  'powder-in-bottle': {
    severity: 'warn',
    says: (what) => `${what} goes onto loose powder.`,
  },
  'tacky-filed': {
    severity: 'warn',
    says: (what) => `${what}: the surface is still sticky.`,
  },
  'top-over-stones': {
    severity: 'stop',
    says: (what) => `${what} runs over set stones.`,
  },
  'nothing-built': {
    severity: 'stop',
    says: (what) => `${what}: nothing that is hard stands on it yet.`,
  },
  // A way of working, slow as it is: some soak for longer instead.
  'still-sealed': {
    severity: 'warn',
    says: (what) => `${what}: the old top is still closed.`,
  },
  'not-softened': {
    severity: 'stop',
    says: (what) => `${what}: the old product is still hard.`,
  },
  'filed-through': {
    severity: 'stop',
    says: (_what, v) => `The file will reach ${v.found}.`,
  },
};

const REASON: Record<Code, string> = {
  ...REASON_WORDS,
  'filed-through':
    'Once the file reaches what lies below the clear, its colour comes off and the seal is open.',
};

/** Every verdict of the simulation, in words. */
export const surfaces: NailRule = {
  codes: [...REASONS, 'filed-through'],
  asks: 'Does each operation meet a surface it works on?',
  check: (nail) =>
    oneEach(nail.verdicts).map((verdict) => {
      const { operations } = nail;
      const operation = operations.find((one) => one.id === verdict.operation)!;
      const words = WORDS[verdict.reason];
      return {
        code: verdict.reason,
        severity: words.severity,
        operation: operation.id,
        element: operation.element,
        message: `${words.says(operation.words, verdict)} ${upperFirst(verdict.where)}.`,
        reason: `${REASON[verdict.reason]} It meets ${verdict.found}; it wants ${verdict.wants}.`,
        figure: {
          words: 'area at fault',
          value: rounded(verdict.area_mm2, 1),
          limit: 0,
          is: 'at most',
          unit: 'mm²',
        },
        tries: triesOf(nail, operation, verdict.reason),
        ...(verdict.reason === 'no-grip' || verdict.reason === 'needs-wet' ? gelUnder(nail, operation) : {}),
        ...(verdict.reason === 'top-over-stones' && operation.verb === 'bead'
          ? leftOff(nail, operation)
          : {}),
      };
    }),
};

/** What another place in the list can mend. */
const LISTED_WRONG: readonly Code[] = ['no-grip', 'uncured-covered', 'needs-wet', 'top-over-stones'];

/** What the technique at fault, or those under the file, can do about it. */
function triesOf(nail: NailCase, { element }: Operation, reason: Code): Fix[] {
  if (reason === 'filed-through') return grantedByAny(nail, 'file-less', {});
  const tack = reason === 'no-grip' ? granted(nail, element, 'own-tack', {}) : [];
  return LISTED_WRONG.includes(reason) ? [...tack, ...elsewhere(nail, element)] : tack;
}

/** Two things that stand in one place: one of them gives way. */
function leftOff(nail: NailCase, { element }: Operation): { fix: Fix } {
  return {
    fix: {
      words: `Leave “${element}” off this nail`,
      change: { kind: 'nail-change', nail: nail.name, change: { element, leave_off: true } },
    },
  };
}

/** Art of gel on a nail of lacquer: nothing holds it there but gel. */
function gelUnder({ set, context, elements }: NailCase, { element }: Operation): { fix?: Fix } {
  const build = buildOf(set, context.nail);
  if (build.kind !== 'natural-lacquer' || !elements.some((one) => one.id === element)) return {};
  const gel = { ...naturalGel.fresh(build.id), shape: build.shape };
  return {
    fix: {
      words: `Make “${build.name}” gel polish: lacquer still holds on its top`,
      change: { kind: 'put-build', build: gel },
    },
  };
}

/** A file that reaches several things is one finding that names them all. */
function oneEach(verdicts: readonly Verdict[]): Verdict[] {
  const told = new Map<string, Verdict>();
  for (const verdict of verdicts) {
    const key = `${verdict.operation} ${verdict.reason}`;
    const known = told.get(key);
    told.set(
      key,
      known
        ? {
            ...known,
            found: `${known.found}, ${verdict.found}`,
            area_mm2: Math.max(known.area_mm2, verdict.area_mm2),
          }
        : verdict,
    );
  }
  return [...told.values()];
}
