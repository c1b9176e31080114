/**
 * What a surface can be, and the one table of the craft: verb × surface → what it leaves, or why it does not
 * hold. Everything that judges an order asks this table; nothing else knows what sticks to what.
 */
export const MATERIALS = ['plate', 'tip', 'gel', 'top', 'piece', 'stone'] as const;
export const PHASES = ['bare', 'wet', 'gelled', 'cured'] as const;
export const FINISHES = ['shine', 'tacky', 'wiped', 'slick', 'keyed', 'matte'] as const;
export const SOILS = ['clean', 'dust', 'oil'] as const;
export const PREPS = ['none', 'dehydrated', 'primed'] as const;

export interface Surface {
  /** What it is made of. Gel stands for base, colour and builder alike. */
  material: (typeof MATERIALS)[number];
  /** Gelled holds its place and can still be pressed. */
  phase: (typeof PHASES)[number];
  /** Tacky: the inhibition layer that air keeps from curing. Shine: a plate or tip not yet keyed. */
  finish: (typeof FINISHES)[number];
  soil: (typeof SOILS)[number];
  prep: (typeof PREPS)[number];
}

/** Why an operation does not work on a surface. Each is the code of a finding. */
export const REASONS = [
  'no-grip',
  'uncured-covered',
  'wet-touched',
  'oil-before-layer',
  'dust-under-layer',
  'tacky-filed',
  'top-over-stones',
  'needs-wet',
  'unprepared-plate',
] as const;
export type Reason = (typeof REASONS)[number];

/** What an element shows at the end, and what an operation would hide of it. */
export type Shown = 'colour' | 'piece' | 'stone' | 'finish';

export interface Row {
  /** The surface it wants, in the words of the trade. */
  wants: string;
  /** Undefined where the operation holds. */
  refuses: (s: Surface) => Reason | undefined;
  /** The surface it leaves; `product` gives what a cured film is like. */
  leaves: (s: Surface) => Surface;
  /** What it covers for good. */
  hides: readonly Shown[];
  /** Closes colour and pieces below it, which must not stay open at the end. */
  seals?: boolean;
  /** Raises dust, so it wants no wet or tacky nail beside it. */
  dusty?: boolean;
}

const lay = (material: Surface['material']) => (): Surface => ({
  material,
  phase: 'wet',
  finish: 'tacky',
  soil: 'clean',
  prep: 'none',
});
const same = (s: Surface): Surface => s;

/** Faults every film shares: oil, dust, or a wet film beneath. */
function soiledOrWet(s: Surface): Reason | undefined {
  if (s.soil === 'oil') return 'oil-before-layer';
  if (s.phase === 'wet') return 'uncured-covered';
  if (s.soil === 'dust') return 'dust-under-layer';
  return undefined;
}

/** Gel over gel: onto tacky, wiped or keyed; two-stage products on the bare plate are not in this table. */
function gelOverGel(s: Surface): Reason | undefined {
  if (s.material === 'stone') return 'top-over-stones';
  const fault = soiledOrWet(s);
  if (fault) return fault;
  if (s.material === 'piece') return undefined;
  if (s.material === 'plate') return 'unprepared-plate';
  return s.finish === 'tacky' || s.finish === 'wiped' || s.finish === 'keyed' ? undefined : 'no-grip';
}

function dryWork(s: Surface): Reason | undefined {
  return s.phase === 'wet' ? 'wet-touched' : undefined;
}

function filed(s: Surface): Surface {
  return { ...s, finish: 'keyed', soil: 'dust', prep: 'none' };
}

export const TABLE = {
  'push-back': {
    wants: 'a nail with nothing wet on it',
    refuses: dryWork,
    leaves: same,
    hides: [],
  },
  soak: {
    wants: 'the old product',
    refuses: (s) => (s.phase === 'wet' ? 'wet-touched' : undefined),
    leaves: same,
    hides: [],
  },
  shape: {
    wants: 'a dry free edge',
    refuses: dryWork,
    leaves: (s) => ({ ...s, soil: 'dust' }),
    hides: [],
    dusty: true,
  },
  buff: {
    wants: 'a dry surface that is not tacky',
    refuses: (s) => dryWork(s) ?? (s.finish === 'tacky' ? 'tacky-filed' : undefined),
    leaves: filed,
    hides: [],
    dusty: true,
  },
  'dust-off': {
    wants: 'a dry surface',
    refuses: dryWork,
    leaves: (s) => ({ ...s, soil: s.soil === 'dust' ? 'clean' : s.soil }),
    hides: [],
  },
  wipe: {
    wants: 'a cured or dry surface',
    refuses: dryWork,
    leaves: (s) => ({ ...s, finish: s.finish === 'tacky' ? 'wiped' : s.finish, soil: 'clean' }),
    hides: [],
  },
  dehydrate: {
    wants: 'a buffed, clean plate',
    refuses: (s) =>
      dryWork(s) ??
      (s.soil === 'oil' ? 'oil-before-layer' : s.soil === 'dust' ? 'dust-under-layer' : undefined),
    leaves: (s) => ({ ...s, prep: s.material === 'plate' ? 'dehydrated' : s.prep }),
    hides: [],
  },
  prime: {
    wants: 'a buffed, dehydrated plate',
    refuses: (s) =>
      dryWork(s) ??
      (s.soil === 'oil' ? 'oil-before-layer' : s.soil === 'dust' ? 'dust-under-layer' : undefined) ??
      (s.material === 'plate' && (s.prep === 'none' || s.finish !== 'keyed')
        ? 'unprepared-plate'
        : undefined),
    leaves: (s) => ({ ...s, prep: s.material === 'plate' ? 'primed' : s.prep }),
    hides: [],
  },
  base: {
    wants: 'a buffed, dust-free, dehydrated plate, or a keyed clean extension',
    refuses: (s) => {
      const fault = soiledOrWet(s);
      if (fault) return fault;
      if (s.material === 'plate')
        return s.finish === 'keyed' && s.prep !== 'none' ? undefined : 'unprepared-plate';
      return s.finish === 'keyed' || s.finish === 'wiped' || s.finish === 'tacky' ? undefined : 'no-grip';
    },
    leaves: lay('gel'),
    hides: ['colour', 'finish'],
  },
  'press-on': {
    wants: 'a cured base, tacky or wiped',
    refuses: gelOverGel,
    leaves: () => ({ material: 'tip', phase: 'cured', finish: 'shine', soil: 'clean', prep: 'none' }),
    hides: ['colour', 'piece', 'finish'],
  },
  coat: {
    wants: 'a tacky or wiped film, or a keyed and clean one',
    refuses: gelOverGel,
    leaves: lay('gel'),
    hides: ['colour', 'piece', 'finish', 'stone'],
  },
  draw: {
    wants: 'any cured film that is clean, slick ones too',
    refuses: (s) => {
      if (s.material === 'stone') return 'top-over-stones';
      const fault = soiledOrWet(s);
      if (fault) return fault;
      if (s.material === 'plate') return 'unprepared-plate';
      return s.finish === 'shine' ? 'no-grip' : undefined;
    },
    leaves: lay('gel'),
    hides: ['finish'],
  },
  bed: {
    wants: 'a tacky or wiped film, or a keyed and clean one',
    refuses: gelOverGel,
    leaves: lay('gel'),
    hides: ['finish'],
  },
  place: {
    wants: 'thin wet clear',
    refuses: (s) => (s.soil === 'oil' ? 'oil-before-layer' : s.phase === 'wet' ? undefined : 'needs-wet'),
    leaves: () => ({ material: 'piece', phase: 'wet', finish: 'tacky', soil: 'clean', prep: 'none' }),
    hides: ['colour'],
  },
  press: {
    wants: 'pieces that still give',
    refuses: (s) => (s.phase === 'cured' && s.material === 'gel' ? 'needs-wet' : undefined),
    leaves: same,
    hides: [],
  },
  cap: {
    wants: 'pieces flashed or cured, on a film that is tacky, wiped or keyed',
    refuses: gelOverGel,
    leaves: lay('gel'),
    hides: ['finish', 'stone'],
  },
  file: {
    wants: 'a cured surface with the sticky layer wiped off',
    refuses: (s) => dryWork(s) ?? (s.finish === 'tacky' ? 'tacky-filed' : undefined),
    leaves: filed,
    hides: ['finish', 'stone'],
    dusty: true,
  },
  top: {
    wants: 'a tacky, wiped, keyed or matte film, without stones',
    refuses: (s) => (s.finish === 'matte' ? soiledOrWet(s) : gelOverGel(s)),
    leaves: lay('top'),
    hides: ['finish', 'stone'],
    seals: true,
  },
  'matte-top': {
    wants: 'a tacky, wiped, keyed or glossy film, without stones',
    refuses: (s) => (s.finish === 'slick' ? soiledOrWet(s) : gelOverGel(s)),
    leaves: lay('top'),
    hides: ['finish', 'stone'],
    seals: true,
  },
  bead: {
    wants: 'a tacky, wiped or keyed film',
    refuses: gelOverGel,
    leaves: lay('gel'),
    hides: ['finish'],
  },
  'set-in-top': {
    wants: 'wet top coat',
    refuses: (s) =>
      s.soil === 'oil'
        ? 'oil-before-layer'
        : s.phase === 'wet' && s.material === 'top'
          ? undefined
          : 'needs-wet',
    leaves: () => ({ material: 'stone', phase: 'wet', finish: 'slick', soil: 'clean', prep: 'none' }),
    hides: ['colour', 'piece', 'finish'],
  },
  'set-in-bead': {
    wants: 'a wet bead of bedding gel',
    refuses: (s) =>
      s.soil === 'oil'
        ? 'oil-before-layer'
        : s.phase === 'wet' && s.material === 'gel'
          ? undefined
          : 'needs-wet',
    leaves: () => ({ material: 'stone', phase: 'wet', finish: 'slick', soil: 'clean', prep: 'none' }),
    hides: ['colour', 'piece', 'finish'],
  },
  flash: { wants: 'anything', refuses: () => undefined, leaves: same, hides: [] },
  cure: { wants: 'anything', refuses: () => undefined, leaves: same, hides: [] },
  rest: { wants: 'anything', refuses: () => undefined, leaves: same, hides: [] },
  'ready-tip': { wants: 'a tip that fits', refuses: () => undefined, leaves: same, hides: [] },
  oil: {
    wants: 'a finished nail, dry to the touch',
    refuses: (s) => dryWork(s),
    leaves: (s) => ({ ...s, soil: 'oil' }),
    hides: [],
  },
} as const satisfies Record<string, Row>;

export type Verb = keyof typeof TABLE;
export const VERBS = Object.keys(TABLE) as Verb[];

export function rowOf(verb: Verb): Row {
  return TABLE[verb];
}

/* ---- surfaces as small integers, so that a grid of them is a typed array ---- */

const SIZES = [MATERIALS.length, PHASES.length, FINISHES.length, SOILS.length, PREPS.length] as const;
export const SURFACE_COUNT = SIZES.reduce((product, size) => product * size, 1);

export function encode(s: Surface): number {
  let code = MATERIALS.indexOf(s.material);
  code = code * SIZES[1] + PHASES.indexOf(s.phase);
  code = code * SIZES[2] + FINISHES.indexOf(s.finish);
  code = code * SIZES[3] + SOILS.indexOf(s.soil);
  return code * SIZES[4] + PREPS.indexOf(s.prep);
}

export function decode(code: number): Surface {
  return DECODED[code]!;
}

const DECODED: Surface[] = MATERIALS.flatMap((material) =>
  PHASES.flatMap((phase) =>
    FINISHES.flatMap((finish) =>
      SOILS.flatMap((soil) => PREPS.map((prep): Surface => ({ material, phase, finish, soil, prep }))),
    ),
  ),
);

/** One flag for each surface code, for checks that run over whole grids. */
export function flagSurfaces(is: (s: Surface) => boolean): Uint8Array {
  return Uint8Array.from(DECODED, (s) => (is(s) ? 1 : 0));
}

interface Lookup {
  /** Index into REASONS plus one; 0 where it holds. */
  refuses: Uint8Array;
  leaves: Uint16Array;
}

const LOOKUPS = new Map<Verb, Lookup>(
  VERBS.map((verb) => {
    const row = rowOf(verb);
    return [
      verb,
      {
        refuses: Uint8Array.from(DECODED, (s) => {
          const reason = row.refuses(s);
          return reason ? REASONS.indexOf(reason) + 1 : 0;
        }),
        leaves: Uint16Array.from(DECODED, (s) => encode(row.leaves(s))),
      },
    ];
  }),
);

/** The table of one verb over all encoded surfaces. */
export function lookup(verb: Verb): Lookup {
  return LOOKUPS.get(verb)!;
}

const FINISH_WORDS: Record<Surface['finish'], string> = {
  shine: 'with its shine on',
  tacky: 'tacky',
  wiped: 'wiped',
  slick: 'slick, no-wipe',
  keyed: 'keyed',
  matte: 'matte',
};

/** A surface in words: "cured top coat, slick, no-wipe, dusty". */
export function surfaceWords(s: Surface): string {
  const material = {
    plate: 'natural plate',
    tip: 'tip',
    gel: 'gel',
    top: 'top coat',
    piece: 'pieces',
    stone: 'stones',
  }[s.material];
  const words = [s.phase === 'bare' || s.material === 'tip' ? material : `${s.phase} ${material}`];
  if (s.phase !== 'wet' && s.material !== 'stone') words.push(FINISH_WORDS[s.finish]);
  if (s.soil === 'dust') words.push('dusty');
  if (s.soil === 'oil') words.push('oily');
  if (s.material === 'plate' && s.prep !== 'none') words.push(s.prep);
  return words.join(', ');
}
