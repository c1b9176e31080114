import { leastOf, mostOf } from '../model/extent';
/**
 * A checker of sittings that knows nothing of how they are made: what each nail needs, in plain figures, and what
 * was done when. It walks the clock and says every rule of the craft that is broken. For tests only.
 */

/** One thing that a nail needs, in order. Seconds throughout. */
export interface Need {
  id: string;
  /** Light it asks for, instead of hand work. */
  light_s?: number;
  flash?: boolean;
  hand_s?: number;
  wait_s?: number;
  /** The nail afterwards. */
  wet?: boolean;
  tacky?: boolean;
  /** Raises dust; and takes the last of it away. */
  dusty?: boolean;
  clean?: boolean;
  /** The film just laid must be lit within this. */
  lit_within_s?: number;
  /** That time is counted from here: it is worked into, and that begins within the time before. */
  anew?: boolean;
  /** The next wet work on this nail must begin within this. */
  covered_within_s?: number;
  /** The next work on the nail begins within this of its end: beads give no longer. */
  pinched_within_s?: number;
  /** What goes into it begins within this of its end: a bead takes pieces while it is wet. */
  taken_within_s?: number;
  /** Follows at once on the need before it; the artist does nothing else between. */
  held?: boolean;
  /** Done in one go with the same on other nails. */
  round?: string;
  /** Must see no other light before its own. */
  soft?: boolean;
  /** Its hand can do no work: wet, only flashed, wrapped in remover, on a form or in a mould. */
  unfit?: boolean;
  /** It hardens by itself: its hand can do no work until the wait is over. */
  settles_s?: number;
  /** A form or mould is on it. */
  form?: boolean;
  /** Light that powder follows: the next work on the nail begins within this of its end. */
  warm_within_s?: number;
  /** What was only flashed: the next work on the nail begins within this of its end. */
  wiped_within_s?: number;
  /** A soak: the next work on the nail begins within this of its end. */
  opened_within_s?: number;
}

export interface Facts {
  nails: { name: string; hand: 'left' | 'right'; needs: Need[] }[];
  own: boolean;
  /** The lamp that is held to one nail, where there is one. */
  torch?: string;
  /** What a sticky nail needs to be wiped in passing; such a wipe takes its stickiness away. */
  done: {
    id: string;
    nail: string;
    start_s: number;
    end_s: number;
    wipe?: boolean;
  }[];
  loads: {
    lamp: string;
    nails: string[];
    serves: string[];
    start_s: number;
    end_s: number;
    held?: boolean;
  }[];
}

export interface Fault {
  rule:
    | 'not-once'
    | 'order'
    | 'too-short'
    | 'two-at-once'
    | 'lamp-taken'
    | 'hand-in-lamp'
    | 'dust'
    | 'waits-too-long'
    | 'primed-too-long'
    | 'pinched-too-late'
    | 'gone-dull'
    | 'not-held'
    | 'not-together'
    | 'soft-lit'
    | 'hand-at-work'
    | 'forms-on-both'
    | 'filed-beside-primed'
    | 'soaked-too-long'
    | 'cooled'
    | 'spill-left'
    | 'torch-idle';
  id: string;
}

/** What each rule is called where a sitting tells itself that it could not be kept. */
export const TOLD_AS: Partial<Record<Fault['rule'], string>> = {
  dust: 'dust-beside-wet',
  'waits-too-long': 'open-too-long',
  'primed-too-long': 'primed-too-long',
  'pinched-too-late': 'pinched-too-late',
  'gone-dull': 'gone-dull',
  'soaked-too-long': 'soaked-too-long',
  'hand-at-work': 'hand-at-work',
  'forms-on-both': 'forms-on-both',
  cooled: 'cooled',
  'spill-left': 'spill-left',
};

const EPS = 1e-3;

export function checkSitting(facts: Facts): Fault[] {
  const faults: Fault[] = [];
  const add = (rule: Fault['rule'], id: string) => faults.push({ rule, id });
  const span = new Map<string, { start: number; end: number }>();
  for (const one of facts.done) {
    if (span.has(one.id)) add('not-once', one.id);
    span.set(one.id, { start: one.start_s, end: one.end_s });
  }
  for (const load of facts.loads) {
    for (const id of load.serves) {
      if (span.has(id)) add('not-once', id);
      span.set(id, { start: load.start_s, end: load.end_s });
    }
  }

  for (const { needs } of facts.nails) {
    let free = 0;
    let before: { start: number; end: number } | undefined;
    for (const need of needs) {
      const at = span.get(need.id);
      if (!at) {
        // What takes no time of the artist leaves no trace: it only waits.
        if (need.hand_s || need.light_s) add('not-once', need.id);
        free += need.wait_s ?? 0;
        continue;
      }
      if (at.start < free - EPS) add('order', need.id);
      if (at.end - at.start < (need.light_s ?? need.hand_s ?? 0) - EPS) add('too-short', need.id);
      if (need.held && before && Math.abs(at.start - before.end) > EPS) add('not-held', need.id);
      free = at.end + (need.wait_s ?? 0);
      before = at;
    }
  }

  // One pair of hands, held light included; one load a lamp.
  const work = [
    ...facts.done.map((one) => ({ ...one, hand: handOf(facts, one.nail) })),
    ...facts.loads
      .filter((load) => load.held)
      .map((load) => ({ ...load, id: load.serves[0]!, hand: handOf(facts, load.nails[0]!) })),
  ].sort((a, b) => a.start_s - b.start_s);
  for (let i = 1; i < work.length; i += 1)
    if (work[i]!.start_s < work[i - 1]!.end_s - EPS) add('two-at-once', work[i]!.id);
  facts.loads.forEach((a, i) =>
    facts.loads.slice(i + 1).forEach((b) => {
      if (a.lamp === b.lamp && a.start_s < b.end_s - EPS && b.start_s < a.end_s - EPS)
        add('lamp-taken', b.serves[0]!);
    }),
  );
  for (const load of facts.loads) {
    if (load.held || load.lamp === facts.torch) {
      if (load.nails.length > 1) add('torch-idle', load.serves[0]!);
      continue;
    }
    const flash = facts.nails.some((nail) =>
      nail.needs.some((need) => need.id === load.serves[0] && need.flash),
    );
    if (facts.torch && flash && load.serves.length === 1) add('torch-idle', load.serves[0]!);
    const hands = new Set(load.nails.map((nail) => handOf(facts, nail)));
    for (const one of work) {
      const clash = one.start_s < load.end_s - EPS && load.start_s < one.end_s - EPS;
      if (clash && (facts.own || hands.has(one.hand))) add('hand-in-lamp', one.id);
    }
  }

  rounds(facts, span, work, add);
  walk(facts, span, add);
  return faults;
}

function handOf(facts: Facts, nail: string): string {
  return facts.nails.find((one) => one.name === nail)?.hand ?? '';
}

/** What is done in one go has nothing else between. */
function rounds(
  facts: Facts,
  span: ReadonlyMap<string, { start: number; end: number }>,
  work: readonly { id: string; start_s: number }[],
  add: (rule: Fault['rule'], id: string) => void,
): void {
  const groups = new Map<string, string[]>();
  for (const { needs } of facts.nails)
    for (const need of needs)
      if (need.round && span.has(need.id))
        groups.set(need.round, [...(groups.get(need.round) ?? []), need.id]);
  for (const ids of groups.values()) {
    const from = leastOf(ids.map((id) => span.get(id)!.start));
    const to = mostOf(ids.map((id) => span.get(id)!.start));
    for (const one of work)
      if (one.start_s > from + EPS && one.start_s < to - EPS && !ids.includes(one.id))
        add('not-together', one.id);
  }
}

interface NailNow {
  hand: string;
  wet: boolean;
  tacky: boolean;
  dust: boolean;
  soft: boolean;
  litBy: number;
  coveredBy: number;
  pinchedBy: number;
  takesUntil: number;
  unfit: boolean;
  form: boolean;
  settledAt: number;
  openedBy: number;
  warmUntil: number;
  spillUntil: number;
}

/** The clock, event by event: what each nail is like, and what may not lie beside it. */
function walk(
  facts: Facts,
  span: ReadonlyMap<string, { start: number; end: number }>,
  add: (rule: Fault['rule'], id: string) => void,
): void {
  const now = new Map<string, NailNow>(
    facts.nails.map(({ name, hand }) => [
      name,
      {
        hand,
        wet: false,
        tacky: false,
        dust: false,
        soft: false,
        litBy: Infinity,
        coveredBy: Infinity,
        pinchedBy: Infinity,
        takesUntil: Infinity,
        unfit: false,
        form: false,
        settledAt: 0,
        openedBy: Infinity,
        warmUntil: Infinity,
        spillUntil: Infinity,
      },
    ]),
  );
  interface Event {
    at: number;
    /** Ends come before starts of the same moment. */
    rank: number;
    run: () => void;
  }
  const events: Event[] = [];
  const beside = (name: string, hand: string) =>
    [...now].filter(([other, one]) => other !== name && one.hand === hand).map(([, one]) => one);
  for (const { name, hand, needs } of facts.nails) {
    for (const [n, need] of needs.entries()) {
      const at = span.get(need.id);
      if (!at) continue;
      const nail = now.get(name)!;
      const sticks = need.tacky === true && (need.light_s !== undefined || !needs[n - 1]?.tacky);
      events.push({
        at: at.start,
        rank: 1,
        run: () => {
          if ((need.light_s !== undefined || need.anew) && at.start > nail.litBy + EPS)
            add('waits-too-long', need.id);
          const works = need.light_s === undefined && need.hand_s;
          const across = [...now.values()].filter((one) => one.hand !== hand);
          if (facts.own && works && across.some((one) => one.unfit || one.settledAt > at.start + EPS))
            add('hand-at-work', need.id);
          if (need.form && !nail.form && across.some((one) => one.form)) add('forms-on-both', need.id);
          if (need.dusty && beside(name, hand).some((one) => one.coveredBy < Infinity))
            add('filed-beside-primed', need.id);
          if (works && at.start > nail.openedBy + EPS) add('soaked-too-long', need.id);
          if (works && at.start > nail.warmUntil + EPS) add('cooled', need.id);
          if (works && at.start > nail.spillUntil + EPS) add('spill-left', need.id);
          if (works) nail.openedBy = nail.warmUntil = nail.spillUntil = Infinity;
          if ((need.wet || need.covered_within_s !== undefined) && need.light_s === undefined) {
            if (at.start > nail.coveredBy + EPS) add('primed-too-long', need.id);
            nail.coveredBy = Infinity;
          }
          if (at.start > nail.pinchedBy + EPS) add('pinched-too-late', need.id);
          nail.pinchedBy = Infinity;
          if (at.start > nail.takesUntil + EPS) add('gone-dull', need.id);
          nail.takesUntil = Infinity;
          if (need.dusty) {
            nail.dust = true;
            const isWet = (one: NailNow) =>
              one.wet && !(one.settledAt > 0 && one.settledAt <= at.start + EPS);
            if (beside(name, hand).some((one) => isWet(one) || one.tacky)) add('dust', need.id);
          }
          const lays = need.light_s === undefined && (need.wet || sticks);
          if (lays && beside(name, hand).some((one) => one.dust)) add('dust', need.id);
        },
      });
      events.push({
        at: at.end,
        rank: 0,
        run: () => {
          nail.wet = need.wet ?? false;
          // A nail that was wiped in passing stays wiped until something makes it sticky anew.
          nail.tacky = need.tacky === true && (sticks || nail.tacky);
          nail.soft = need.soft ?? false;
          nail.unfit = need.unfit ?? false;
          nail.form = need.form ?? false;
          nail.settledAt = need.settles_s === undefined ? 0 : at.end + need.settles_s;
          if (need.wiped_within_s !== undefined) nail.spillUntil = at.end + need.wiped_within_s;
          if (need.warm_within_s !== undefined) nail.warmUntil = at.end + need.warm_within_s;
          if (need.opened_within_s !== undefined) nail.openedBy = at.end + need.opened_within_s;
          if (need.clean) nail.dust = false;
          // It waited for its light; what is still wet after that is the films' matter, not the clock's.
          if (!nail.wet || need.light_s !== undefined) nail.litBy = Infinity;
          else if (need.lit_within_s !== undefined)
            nail.litBy = Math.min(need.anew ? Infinity : nail.litBy, at.end + need.lit_within_s);
          if (need.pinched_within_s !== undefined) nail.pinchedBy = at.end + need.pinched_within_s;
          if (need.taken_within_s !== undefined) nail.takesUntil = at.end + need.taken_within_s;
          if (need.covered_within_s !== undefined) nail.coveredBy = at.end + need.covered_within_s;
        },
      });
    }
  }
  for (const one of facts.done) {
    if (!one.wipe) continue;
    events.push({ at: one.end_s, rank: 0, run: () => (now.get(one.nail)!.tacky = false) });
  }
  for (const load of facts.loads) {
    events.push({
      at: load.start_s,
      rank: 2,
      run: () => {
        for (const name of load.nails) if (now.get(name)?.soft) add('soft-lit', load.serves[0]!);
      },
    });
  }
  events.sort((a, b) => (Math.abs(a.at - b.at) > EPS ? a.at - b.at : a.rank - b.rank));
  for (const event of events) event.run();
}
