import { FAMILIES, type Hardening, type Laid } from './families';
import { append } from '../model/extent';
import { decode, encode, surfaceWords, type Surface } from './surface';
import type { Operation } from './operation';
import { lookup, REASONS, wantsFor, type Reason, type Verb } from './surfaces';

/** Something an artist lays or does, as the table of surfaces is asked about it. */
export interface Work {
  key: string;
  words: string;
  verb: Verb;
  laid: Laid;
}

const work = (key: string, words: string, verb: Verb, laid: Laid = 'nothing'): Work => ({
  key,
  words,
  verb,
  laid,
});

/** What can be laid on what there is, and what is done to it. */
export const WORKS: readonly Work[] = [
  work('base', 'Base gel', 'base', 'base'),
  work('colour', 'Gel colour', 'coat', 'gel'),
  work('two-stage', 'Two-stage colour', 'coat', 'two-stage'),
  work('art', 'Art gel', 'coat', 'art'),
  work('strokes', 'Strokes of a liner', 'draw', 'gel'),
  work('art-strokes', 'Strokes in art gel', 'draw', 'art'),
  work('builder', 'Builder or putty gel', 'cap', 'structure'),
  work('raised', 'Raised lines and drops', 'draw', 'structure'),
  work('bed', 'A thin bed of clear', 'bed', 'structure'),
  work('acrylic', 'Acrylic in beads', 'sculpt', 'acrylic'),
  work('dip', 'Dip', 'dip', 'dip'),
  work('lacquer', 'Lacquer', 'coat', 'lacquer'),
  work('top', 'Top', 'top', 'top'),
  work('matte-top', 'Matte top', 'matte-top', 'top'),
  work('mirror', 'Mirror powder, burnished', 'burnish', 'powder'),
  work('flakes', 'Flakes, burnished', 'burnish', 'sheet'),
  work('pearl', 'Pearl powder, rubbed on', 'rub', 'pearl'),
  work('grains', 'Loose glitter, beads', 'strew', 'grains'),
  work('sheet', 'Leaf, foil, decal', 'lay-sheet', 'sheet'),
  work('sticker', 'Sticker, or a decal slid on', 'stick', 'sheet'),
  work('stamp', 'Stamped image', 'stamp', 'sheet'),
  work('pieces', 'Pieces', 'place', 'piece'),
  work('fine-pieces', 'Fine pieces', 'place', 'fine-piece'),
  work('stones-top', 'Stones into the top', 'set-in-top', 'stone'),
  work('stones-colour', 'Stones into the colour', 'set-in-colour', 'stone'),
  work('stones-bead', 'Stones into a bead', 'set-in-bead', 'stone'),
  work('gel-bead', 'A bead of bedding gel', 'bead', 'structure'),
  work('glue', 'A drop of instant glue', 'bead', 'glue'),
  work('acrylic-bead', 'A bead of acrylic to hold something', 'bead', 'acrylic'),
  work('top-over', 'Top, run over stones', 'top-over', 'top'),
  work('file', 'The file', 'file'),
  work('buff', 'The fine buffer', 'buff'),
  work('wipe', 'The wipe', 'wipe'),
  work('dehydrate', 'Dehydrator', 'dehydrate'),
  work('prime', 'Primer', 'prime'),
  work('oil', 'Cuticle oil', 'oil'),
];

/** How what is laid meets a surface. */
export interface Meeting {
  work: Work;
  surface: string;
  /** Undefined where it holds. */
  reason?: Reason;
  /** The surface it is then, in words. */
  leaves: string;
  /** What makes it hold, shortest first: read from the same table. Empty where it holds, or nothing known does. */
  ways: string[];
}

type Step = (s: Surface) => Surface | undefined;

/** Work as a step: undefined where the table has something against it. */
const does =
  (verb: Verb, laid: Laid = 'nothing'): Step =>
  (s) => {
    const { refuses, leaves } = lookup(verb, laid);
    const code = encode(s);
    return refuses[code] === 0 ? decode(leaves[code]!) : undefined;
  };

/** What is wet or flashed there is hard: with the finish that a family of its material has. */
const hardened: Step = (s) => (s.phase === 'wet' || s.phase === 'gelled' ? curedAs(s)[0] : undefined);

function curedAs(s: Surface): Surface[] {
  const own = Object.values(FAMILIES).filter(
    (family) => family.material === s.material && family.hardens !== 'never' && family.laid !== 'nothing',
  );
  const finishes = own.length > 0 ? [...new Set(own.map((family) => family.finish))] : [s.finish];
  return finishes.map((finish) => ({ ...s, phase: 'cured', finish }));
}

const DUSTED = does('dust-off');
const WIPED = does('wipe');
const DEHYDRATED = does('dehydrate');
const CLEAN: readonly Step[] = [DUSTED, WIPED];
const KEYED: readonly Step[] = [does('buff'), ...CLEAN];
const PRIMED: readonly Step[] = [DEHYDRATED, does('prime')];
const BASED: readonly Step[] = [does('base', 'base'), hardened];

/** What an artist may do first; the shorter before the longer. */
const FIRST: readonly { words: string; steps: readonly Step[] }[] = [
  { words: 'Brush the dust off', steps: [DUSTED] },
  { words: 'Wipe it', steps: [WIPED] },
  { words: 'Cure it, or let it set', steps: [hardened] },
  { words: 'Dehydrate it', steps: [DEHYDRATED] },
  { words: 'Brush the dust off and wipe', steps: CLEAN },
  { words: 'Dehydrate and prime it', steps: PRIMED },
  { words: 'Cure it and wipe it', steps: [hardened, WIPED] },
  { words: 'Key it with a fine buffer, brush and wipe the dust off', steps: KEYED },
  { words: 'Wipe it, key it, brush and wipe the dust off', steps: [WIPED, ...KEYED] },
  { words: 'Key it, clean it, dehydrate and prime it', steps: [...KEYED, ...PRIMED] },
  { words: 'Cure it, wipe it, key it and clean it', steps: [hardened, WIPED, ...KEYED] },
  { words: 'Into a thin wet bed of clear', steps: [does('bed', 'structure')] },
  { words: 'Into a wet bead of bedding gel', steps: [does('bead', 'structure')] },
  { words: 'Into a wet top', steps: [does('top', 'top')] },
  { words: 'Into a wet coat of colour', steps: [does('coat', 'gel')] },
  { words: 'Lay a thin base first and cure it', steps: BASED },
  { words: 'Lay a no-wipe top first and cure it', steps: [does('top', 'top'), cured('top', 'slick')] },
  { words: 'Key it, clean it, lay a thin base and cure it', steps: [...KEYED, ...BASED] },
  { words: 'Dehydrate and prime it, lay base and cure it', steps: [...PRIMED, ...BASED] },
  {
    words: 'Key it, clean it, dehydrate and prime it, lay base and cure it',
    steps: [...KEYED, ...PRIMED, ...BASED],
  },
];

function cured(material: Surface['material'], finish: Surface['finish']): Step {
  return (s) => (s.material === material && s.phase === 'wet' ? { ...s, phase: 'cured', finish } : undefined);
}

const MOST_WAYS = 2;

/** What the table says of one work on one surface. */
export function meets(one: Work, surface: Surface): Meeting {
  const { refuses, leaves } = lookup(one.verb, one.laid);
  const code = encode(surface);
  const refused = refuses[code]!;
  const told = { work: one, surface: surfaceWords(surface), leaves: surfaceWords(decode(leaves[code]!)) };
  if (refused === 0) return { ...told, ways: [] };
  const holds = (s: Surface | undefined) => s !== undefined && refuses[encode(s)] === 0;
  const ways = FIRST.filter(({ steps }) =>
    holds(steps.reduce<Surface | undefined>((s, step) => s && step(s), surface)),
  )
    // What is another way with more work in it is none.
    .filter(
      ({ steps }, i, all) => !all.slice(0, i).some((way) => way.steps.every((step) => steps.includes(step))),
    )
    .slice(0, MOST_WAYS);
  return { ...told, reason: REASONS[refused - 1]!, ways: ways.map(({ words }) => words) };
}

const STARTS: readonly Surface[] = [
  { material: 'plate', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' },
  { material: 'tip', phase: 'cured', finish: 'shine', soil: 'clean', prep: 'none' },
  { material: 'form', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' },
];

let known: Surface[] | undefined;

/** Every surface that right work on a nail can come by, one for each way it is called, in a steady order. */
export function surfacesMet(): readonly Surface[] {
  if (known) return known;
  const seen = new Map<number, Surface>();
  const open = [...STARTS];
  for (let s = open.pop(); s; s = open.pop()) {
    if (seen.has(encode(s))) continue;
    seen.set(encode(s), s);
    for (const { verb, laid } of WORKS) {
      const next = does(verb, laid)(s);
      if (next) open.push(next);
    }
    const dusted = DUSTED(s);
    if (dusted) open.push(dusted);
    // What a mould held comes out hard and shining.
    if (s.material === 'clear' && s.phase === 'cured' && s.finish === 'tacky')
      open.push(does('mould-off')(s)!);
    if (s.phase === 'wet' || s.phase === 'gelled') {
      append(open, curedAs(s));
      if (s.phase === 'wet') open.push({ ...s, phase: 'gelled' });
    }
  }
  const byWords = new Map([...seen].sort(([a], [b]) => a - b).map(([, s]) => [surfaceWords(s), s]));
  known = [...byWords.values()];
  return known;
}

/** The surface that is called so; undefined where right work comes by none. */
export function surfaceCalled(words: string | undefined): Surface | undefined {
  return surfacesMet().find((one) => surfaceWords(one) === words);
}

/** Clean and free of oil: what is dusty or oily is that besides. */
export function isClean({ soil }: Surface): boolean {
  return soil === 'clean';
}

/** What it wants below it, in the words of the trade. */
export function wantsOf({ verb, laid }: Work): string {
  return wantsFor(verb, laid);
}

/** How what is laid becomes hard, in a word or two; empty for what lays nothing, or is as hard as it will be. */
export function hardensOf({ laid }: Work): string {
  const how = new Set(
    Object.values(FAMILIES).flatMap((family) =>
      family.laid === laid && laid !== 'nothing' ? [HARDENS[family.hardens]] : [],
    ),
  );
  return [...how].join(', ');
}

const HARDENS: Record<Hardening, string> = {
  lamp: 'under the lamp',
  dries: 'as it dries',
  sets: 'by itself',
  activator: 'with activator',
  never: '',
};

/** The work an operation is, where the reference speaks of it. */
export function workOf(verb: Verb, laid: Laid): Work | undefined {
  return WORKS.find((one) => one.verb === verb && one.laid === laid);
}

/** Painted by hand, on a part of the nail: what may go wrong, and be done again. */
const PAINTED: readonly Verb[] = ['draw', 'coat'];

/**
 * Whether what is drawn can be wiped off and drawn again until the lamp: on what is slick or dry it can, without end; on tack
 * it is only tidied (common practice). Undefined for what is not drawn, or meets no surface that is called so.
 */
export function drawnAgain(
  { verb, place, element }: Pick<Operation, 'verb' | 'place' | 'element'>,
  meets: string | undefined,
): string | undefined {
  if (!PAINTED.includes(verb) || place.region.kind === 'whole' || element === 'own') return undefined;
  const surface = surfaceCalled(meets);
  if (!surface || surface.phase !== 'cured') return undefined;
  return surface.finish === 'tacky'
    ? 'tidied only: wiped off, it takes the tack along'
    : 'it can be wiped off and drawn again';
}
