import { leftOfPlate_mm, type Edge } from '../craft/build';
import { coatOf } from '../craft/cure';
import { FAMILIES, settingOf, type Family } from '../craft/families';
import { laidBy, type Draft, type Place } from '../craft/operation';
import { hardened, stepped, type SurfaceOf } from '../craft/seats';
import { foundSurface, type FoundOn } from '../craft/start';
import { ALL_SURFACES, decode, encode, type Surface } from '../craft/surface';
import { lookup, REASONS, rowOf, type Reason } from '../craft/surfaces';
import type { NailContext } from '../craft/context';
import type { Product } from '../model/product';
import { coverer, latticeOf, pointsOf } from '../craft/lattice';
import type { NailFrame } from '../geometry/frame';
import { perFrame } from '../geometry/perFrame';

/**
 * The surfaces of one nail while its order is worked out: what the table of surfaces says after every operation so far, with
 * what has set, dried, been cured or wiped since, in each zone of the nail that all its work treats alike. Every light is taken at its word.
 */
export interface Ground {
  /** Zones an operation meets, on the nail as long as it is by now. */
  zonesUnder: (draft: Draft) => readonly number[];
  /** Whether an operation does not hold in any of some zones. */
  isRefused: (draft: Draft, zones: readonly number[]) => boolean;
  /** The surfaces of some zones, each once. */
  surfaces: (zones: readonly number[]) => Surface[];
  /** Goes on to the surfaces that an operation leaves. */
  goOn: (draft: Draft) => void;
  /** What was laid last in a zone: its draft; undefined on what was found there. */
  topAt: (zone: number) => Draft | undefined;
  /** The film of a zone that has yet to harden. */
  softAt: (zone: number) => SoftFilm | undefined;
}

/** A film that has yet to harden, by itself or under a lamp. */
export interface SoftFilm {
  product: Product;
  t_um: number;
  place: Place;
}

const BARE: Surface = { material: 'plate', phase: 'bare', finish: 'shine', soil: 'clean', prep: 'none' };
const FORM = encode({ ...BARE, material: 'form' });
const OLD = encode({ ...BARE, material: 'old', phase: 'cured' });
const TIP = encode({ ...BARE, material: 'tip', phase: 'cured' });

/** The nail as it is found, before any work; `work`: what comes, which divides it into zones. */
export function groundOf(context: NailContext, edge: Edge, found: FoundOn, work: readonly Draft[]): Ground {
  const { frame, nail } = context;
  const plateEnds_mm = edge === 'plate' ? frame.length_mm : frame.bed_mm + leftOfPlate_mm(edge, nail.plate);
  const bare = encode(foundSurface(found));
  const { old } = found;
  const onPlate = along(frame, -Infinity, plateEnds_mm);
  const isOld = old ? along(frame, old.from_mm, Infinity) : [];
  const zones = zonesOf(context, work, [onPlate, isOld]);
  const plate = new Set(zones.in(onPlate));
  const aged = new Set(zones.in(isOld));
  const codes = Uint16Array.from({ length: zones.count }, (_, zone) =>
    aged.has(zone) && (old?.stays || plate.has(zone)) ? OLD : bare,
  );
  return walked(context, zones, plate, codes, edge === 'plate' || old?.stays === true);
}

/** The inside of a ready tip that nobody wears yet. */
export function insideOfTip(context: NailContext, work: readonly Draft[]): Ground {
  const zones = zonesOf(context, work, []);
  return walked(context, zones, new Set(), new Uint16Array(zones.count).fill(TIP), true);
}

const stretches = perFrame<readonly number[]>();

/** The points of a stretch along the nail. */
function along(frame: NailFrame, from_mm: number, to_mm: number): readonly number[] {
  return stretches(frame, `${from_mm} ${to_mm}`, () => {
    const points: number[] = [];
    latticeOf(frame).forEach((at, n) => {
      if (at && at.y >= from_mm && at.y <= to_mm) points.push(n);
    });
    return points;
  });
}

/** Parts of the nail that all work treats alike. */
interface Zones {
  count: number;
  /** Those that some lattice points lie in. */
  in: (points: readonly number[]) => readonly number[];
  /** Those that an operation covers. */
  under: (draft: Draft) => readonly number[];
}

function zonesOf(
  { frame }: NailContext,
  work: readonly Draft[],
  first: readonly (readonly number[])[],
): Zones {
  const cover = coverer(frame);
  const lattice = latticeOf(frame);
  const zone = new Int32Array(lattice.length);
  let next = 1;
  const points = new Map(work.map((draft) => [draft, pointsOf(cover([draft]))]));
  // No zone parts more than once for each point that lies in it.
  const parted = new Int32Array(lattice.length * 2);
  for (const some of new Set([...first, ...points.values()])) {
    // What lies in it parts from what lay in the same zone outside it; what was parted for it has a higher number.
    const before = next;
    for (const n of some) {
      const from = zone[n]!;
      const now = parted[from]!;
      if (now >= before) zone[n] = now;
      else zone[n] = parted[from] = next++;
    }
    if (next > lattice.length) next = renumbered(zone, parted);
  }
  // Those that everything has left are empty.
  const named = new Int32Array(next).fill(-1);
  let count = 0;
  for (let n = 0; n < zone.length; n += 1)
    if (lattice[n] && named[zone[n]!] === -1) {
      named[zone[n]!] = count;
      count += 1;
    }
  const known = new Map<readonly number[], readonly number[]>();
  const within = (some: readonly number[]): readonly number[] => {
    let zones = known.get(some);
    if (!zones) {
      const ids: number[] = [];
      const seen = new Uint8Array(count);
      for (const n of some) {
        const id = named[zone[n]!]!;
        if (seen[id] === 0) {
          seen[id] = 1;
          ids.push(id);
        }
      }
      known.set(some, (zones = ids));
    }
    return zones;
  };
  return {
    count,
    in: within,
    under: (draft) => within(points.get(draft) ?? pointsOf(cover([draft]))),
  };
}

/** Zones numbered anew from 0, without those that everything has left; the next number. */
function renumbered(zone: Int32Array, parted: Int32Array): number {
  parted.fill(-1);
  let next = 0;
  for (let n = 0; n < zone.length; n += 1) {
    const before = zone[n]!;
    if (parted[before] === -1) parted[before] = next++;
    zone[n] = parted[before]!;
  }
  parted.fill(0);
  return next;
}

interface Soft extends SoftFilm {
  hardening: Family['hardens'];
  /** By surface code: what it is once the film has gelled, and once it is hard. */
  gelled: Uint16Array;
  cured: Uint16Array;
  /** Seconds since it was first touched. */
  age_s: number;
}

function walked(
  { product }: NailContext,
  zones: Zones,
  onPlate: ReadonlySet<number>,
  codes: Uint16Array,
  wholeLength: boolean,
): Ground {
  const top: (Draft | undefined)[] = [];
  const film: (Soft | undefined)[] = Array.from(codes, () => undefined);
  let lengthened = wholeLength;
  let setting: Soft[] = [];
  let softUnderLamp = false;

  const zonesUnder = (draft: Draft): readonly number[] => {
    // A tip is fixed where the plate is; past it, it stands free.
    const { lengthens } = rowOf(draft.verb);
    const long = lengthened || lengthens === 'form' || lengthens === 'stand';
    const under = zones.under(draft);
    return long ? under : under.filter((zone) => onPlate.has(zone));
  };
  const harden = (is: (soft: Soft) => boolean, phase: 'gelled' | 'cured') => {
    for (let n = 0; n < codes.length; n += 1) {
      const soft = film[n];
      if (soft && is(soft)) codes[n] = soft[phase][codes[n]!]!;
    }
  };
  const pass = (seconds: number) => {
    if (setting.length === 0) return;
    for (const soft of setting) {
      const { working_s, dry_s } = settingOf(soft.product)!;
      soft.age_s += seconds;
      if (soft.age_s >= dry_s) harden((one) => one === soft, 'cured');
      else if (soft.age_s >= working_s) harden((one) => one === soft, 'gelled');
    }
    setting = setting.filter((soft) => soft.age_s < settingOf(soft.product)!.dry_s);
  };

  return {
    zonesUnder,
    isRefused: (draft, some) => {
      const { refuses } = lookup(draft.verb, laidBy(draft, product));
      return some.some((n) => refuses[codes[n]!] !== 0);
    },
    surfaces: (some) => [...new Set(some.map((n) => codes[n]!))].map(decode),
    topAt: (n) => top[n],
    softAt: (n) => {
      const { phase } = decode(codes[n]!);
      return phase === 'wet' || phase === 'gelled' ? film[n] : undefined;
    },
    goOn: (draft) => {
      const { lengthens } = rowOf(draft.verb);
      if (lengthens === 'form')
        for (let n = 0; n < codes.length; n += 1) if (!onPlate.has(n)) codes[n] = FORM;
      const { leaves } = lookup(draft.verb, laidBy(draft, product));
      const made = draft.product ? product(draft.product) : undefined;
      if (lengthens === 'tip') for (let n = 0; n < codes.length; n += 1) if (!onPlate.has(n)) codes[n] = TIP;
      // Light and rest change what is soft, and touch nothing.
      const here = draft.lamp || draft.verb === 'rest' ? [] : zonesUnder(draft);
      const isFilm = draft.deposit && made && FAMILIES[made.family].hardens !== 'never';
      const soft: Soft | undefined = isFilm
        ? {
            product: made,
            t_um: thickness_um(draft, made),
            place: draft.place,
            hardening: FAMILIES[made.family].hardens,
            gelled: hardenedCodes(made, 'gelled'),
            cured: hardenedCodes(made, 'cured'),
            age_s: 0,
          }
        : undefined;
      if (soft && settingOf(soft.product)) setting.push(soft);
      else if (soft) softUnderLamp = true;
      for (const n of here) {
        codes[n] = leaves[codes[n]!]!;
        if (draft.deposit) top[n] = draft;
        if (soft) film[n] = soft;
      }
      if (lengthens) lengthened = true;
      if (draft.verb === 'activate')
        for (const n of here) {
          const dipped = film[n];
          if (dipped?.hardening === 'activator') codes[n] = dipped.cured[codes[n]!]!;
        }
      if (draft.lamp && softUnderLamp) {
        harden(({ hardening }) => hardening === 'lamp', draft.lamp.mode === 'cure' ? 'cured' : 'gelled');
        softUnderLamp = draft.lamp.mode === 'flash';
      }
      pass(draft.hand_s + (draft.wait_s ?? 0) + (draft.lamp?.seconds ?? 0));
    },
  };
}

const HARDENED = new Map<string, Uint16Array>();

/** By surface code: what it is once a film of a family has gelled, or is hard. */
function hardenedCodes(film: Product, phase: 'gelled' | 'cured'): Uint16Array {
  const key = `${film.family} ${phase}`;
  let codes = HARDENED.get(key);
  if (!codes)
    HARDENED.set(key, (codes = Uint16Array.from(ALL_SURFACES, (one) => encode(hardened(one, film, phase)))));
  return codes;
}

function thickness_um({ deposit }: Draft, product: Product): number {
  return deposit && 't_um' in deposit ? deposit.t_um : coatOf(product);
}

/** The surface after some operations on one point, lights taken at their word; undefined where one of them does not hold. */
export function afterAll(
  drafts: readonly Draft[],
  from: Surface,
  product: NailContext['product'],
  soft?: Product,
): Surface | undefined {
  let at: SurfaceOf = { surface: from, film: soft };
  for (const draft of drafts) {
    if (refusal(draft, at.surface, product)) return undefined;
    at = stepped(at, draft, product);
  }
  return at.surface;
}

/** Why an operation does not hold on a surface; undefined where it does. */
export function refusal(draft: Draft, surface: Surface, product: NailContext['product']): Reason | undefined {
  const at = lookup(draft.verb, laidBy(draft, product)).refuses[encode(surface)]!;
  return at === 0 ? undefined : REASONS[at - 1];
}
