import { curveOf } from '../geometry/curve';
import { rounded } from '../model/rounded';
import { MOST_WORDS, tidyWords } from '../model/primitives';
import { fail, ok, type Result } from '../model/result';
import { isObject, list, own, text, type Json } from './json';
import { mostOf } from '../model/extent';
import { PARTS, partsForward, versionOfParts, type Parts } from './partMigrations';

/** One step forward. Pure; gets a copy and may change it freely. */
type Migration = (file: Json) => Result<Json>;

/**
 * Version 0 wrote the practice as switches (`wipe_base`, `bed_stones`), called the length past the free edge
 * of a nail `free_mm`, and had no word on whether the hands are alike.
 */
const fromVersion0: Migration = (file) => {
  const practice = file.practice;
  if (!isObject(practice)) return fail('practice', 'must be an object');
  const { wipe_base, bed_stones, ...rest } = practice;
  file.practice = {
    base: wipe_base === true ? 'wipe' : 'leave',
    stones: bed_stones === true ? 'bedded' : 'wet-top',
    hands: 'alike',
    ...rest,
  };
  if (!isObject(file.nails)) return fail('nails', 'must be an object');
  for (const [name, nail] of Object.entries(file.nails)) {
    if (!isObject(nail) || !isObject(nail.plate)) return fail(`nails.${name}.plate`, 'must be an object');
    const { free_mm, ...plate } = nail.plate;
    nail.plate = { ...plate, free_edge_mm: free_mm };
  }
  return ok(file);
};

/** Bed, cap and filing of inlays belong to the nail since version 2; these are their steps of version 1. */
const BODY_STEPS = ['bed', 'flash', 'cap', 'cure-cap', 'wipe', 'file', 'brush', 'clean'];

/** What each kind of element lost because it never had an effect, and what it gained. */
const ELEMENT_CHANGES: Record<string, { drop: string[]; fit: Record<string, string>; gains: Json }> = {
  colour: { drop: [], fit: { repeat: 'keep', drop: 'keep' }, gains: { seat: 'usual' } },
  ombre: { drop: [], fit: { repeat: 'keep', drop: 'keep' }, gains: { seat: 'usual' } },
  french: { drop: ['region'], fit: { repeat: 'keep', drop: 'keep' }, gains: { seat: 'usual' } },
  finish: { drop: [], fit: { repeat: 'keep', drop: 'keep' }, gains: {} },
  inlay: { drop: ['region'], fit: {}, gains: { clear: null, cap: 'level' } },
  crystals: { drop: ['region', 'hand'], fit: {}, gains: { seat: 'usual' } },
  charm: {
    drop: ['region'],
    fit: { scale: 'keep', repeat: 'keep' },
    gains: { seat: 'usual', bedding: 'gel' },
  },
};

/**
 * Version 1 gave every element a region, a fit and a hand, whether or not they acted; knew no seats; gave each
 * inlay a bed, a cap and a filing of its own; and had neither glue, nor schools of priming and edges.
 */
const fromVersion1: Migration = (file) => {
  const kinds = new Map<string, string>();
  const renamed = new Map<string, string>();
  const unused: string[] = [];
  for (const look of list(file.looks)) {
    const ids = new Set(list(look.elements).map((element) => element.id));
    for (const element of list(look.elements)) {
      if (element.id === 'body') {
        // Kept for the program's own steps now.
        let next = 'body-1';
        while (ids.has(next)) next = `${next}-1`;
        renamed.set(text(look.id), next);
        element.id = next;
      }
      kinds.set(`${text(look.id)}/${text(element.id)}`, text(element.kind));
      if (isObject(element.region) && element.region.kind !== 'whole') {
        if (own(ELEMENT_CHANGES, text(element.kind))?.drop.includes('region'))
          unused.push(`${text(element.id)} named a ${text(element.region.kind)} that it never used`);
      }
      changeElement(element, text(element.kind), true);
    }
  }
  const nails = isObject(file.nails) ? file.nails : {};
  for (const nail of Object.values(nails).filter(isObject)) {
    if (isObject(nail.start) && nail.start.kind === 'bare') nail.start.dull = false;
    for (const change of list(nail.changes)) {
      if (change.element === 'body') change.element = renamed.get(text(nail.look)) ?? 'body';
      const kind = kinds.get(`${text(nail.look)}/${text(change.element)}`);
      if (kind && isObject(change.options)) changeElement(change.options, kind, false);
    }
  }
  for (const build of list(file.builds)) if (build.kind === 'natural-gel') build.base = 'coat';
  if (isObject(file.practice)) file.practice = { ...file.practice, primer: 'once', edge_mm: 0.66 };
  if (isObject(file.kit) && isObject(file.kit.roles)) fillRole(file.kit, file.kit.roles, 'glue', GLUE);
  const rewrite = (id: unknown): unknown => {
    const parts = typeof id === 'string' ? /^([^/]*)\/([^/]*)\/([^/#]*)(#\d+)$/.exec(id) : null;
    if (!parts) return id;
    const [, name, old, step, pass] = parts as unknown as [string, string, string, string, string];
    const nail = own(nails, name);
    const look = isObject(nail) ? text(nail.look) : '';
    const element = old === 'body' ? (renamed.get(look) ?? old) : old;
    const shared = kinds.get(`${look}/${element}`) === 'inlay' && BODY_STEPS.includes(step);
    return `${name}/${shared ? 'body' : element}/${step}${pass}`;
  };
  // Of several inlays each had its own: a word on one's bed or cap is none on what all of them share.
  const inlays = (look: string) =>
    [...kinds].filter(([key, kind]) => kind === 'inlay' && key.startsWith(`${look}/`)).length;
  const onOneOfSeveral = (id: unknown): boolean => {
    const parts = typeof id === 'string' ? id.split(/[/#]/) : [];
    const nail = own(nails, parts[0] ?? '');
    const look = isObject(nail) ? text(nail.look) : '';
    const isInlay = kinds.get(`${look}/${parts[1] ?? ''}`) === 'inlay';
    return isInlay && BODY_STEPS.includes(parts[2] ?? '') && inlays(look) > 1;
  };
  if (Array.isArray(file.edits))
    file.edits = file.edits.filter((edit: unknown) => {
      if (!isObject(edit)) return true;
      const of = ['a', 'b', 'after'].map((key) => edit[key]).find(onOneOfSeveral);
      if (of !== undefined)
        unused.push(`a change to the order spoke of ${text(of)}, which several inlays share now`);
      return of === undefined;
    });
  for (const edit of list(file.edits)) {
    for (const key of ['a', 'b', 'after']) if (key in edit) edit[key] = rewrite(edit[key]);
  }
  if (unused.length > 0 && typeof file.note === 'string') {
    const note = `${file.note}${file.note ? '\n' : ''}From an older file: ${unused.join('; ')}.`;
    if (note.length <= 2000) file.note = note;
  }
  return ok(file);
};

function changeElement(element: Json, kind: string, whole: boolean): void {
  const known = own(ELEMENT_CHANGES, kind);
  if (!known) return;
  for (const key of known.drop) Reflect.deleteProperty(element, key);
  if (typeof element.fit === 'string') element.fit = own(known.fit, element.fit) ?? element.fit;
  if (whole) Object.assign(element, known.gains);
}

/** Gives a role that a version did not know to the kit's first product of that family, or to a plain one. */
function fillRole(kit: Json, roles: Json, role: string, plain: Json): void {
  const products = list(kit.products);
  const known = products.find((product) => product.family === plain.family);
  if (known) {
    roles[role] = known.id;
    return;
  }
  let id = text(plain.family);
  while (products.some((product) => product.id === id)) id = `${id}-1`;
  kit.products = [...products, { id, ...plain }];
  roles[role] = id;
}

const GLUE = { name: 'Instant glue', family: 'instant-glue', coat_um: 60, dry_s: 20 };

/** Version 2 worked on every nail, knew one pace of hands, and weighed only time. */
const fromVersion2: Migration = (file) => {
  if (isObject(file.practice)) file.practice = { ...file.practice, pace: 'usual', flow: 'balanced' };
  if (isObject(file.nails))
    for (const nail of Object.values(file.nails)) if (isObject(nail)) nail.in_work = true;
  return ok(file);
};

const CONDITIONS_OF: Record<string, string[]> = {
  sound: [],
  thin: ['thin'],
  ridged: ['ridged'],
  'broken-skin': ['leave-alone'],
};

/** A typical nail's arc for its chord: tips were matched by their chords, on nails of this curve. */
const ARC_FOR_CHORD = curveOf(1, 0.22).arc_mm;

/**
 * Up to version 3 a title or a name could be blank; a nail had one condition, and the length and shape of its build
 * alone; tips lay in one box without counts, by the chord they span.
 */
const fromVersion3: Migration = (file) => {
  tidyAll(file);
  file.skin = '#e6d5c8';
  for (const nail of Object.values(isObject(file.nails) ? file.nails : {}).filter(isObject)) {
    const { condition } = nail;
    Reflect.deleteProperty(nail, 'condition');
    nail.conditions = own(CONDITIONS_OF, text(condition)) ?? condition;
    nail.own_free_mm = null;
    nail.own_shape = null;
  }
  if (isObject(file.kit) && Array.isArray(file.kit.tips)) file.kit.tips = boxed(file.kit.tips);
  return ok(file);
};

function boxed(tips: unknown[]): unknown[] {
  const sizes = tips.map((tip) =>
    isObject(tip) && typeof tip.width_mm === 'number'
      ? { size: tip.size, arc_mm: rounded(tip.width_mm * ARC_FOR_CHORD, 1), count: 20 }
      : tip,
  );
  return sizes.length === 0 ? [] : [{ id: 'tips', name: 'Tips', curve: 'normal', sizes }];
}

function tidyAll(value: unknown): void {
  if (Array.isArray(value)) value.forEach(tidyAll);
  if (!isObject(value)) return;
  for (const [key, inner] of Object.entries(value)) {
    const isWords = ['title', 'name', 'words'].includes(key) && typeof inner === 'string';
    if (isWords && inner.length <= MOST_WORDS) value[key] = tidyWords(inner) ?? 'Untitled';
    else tidyAll(inner);
  }
}

/** The plain products of the roles that version 5 knows first. */
const NEW_IN_5: Record<string, Json> = {
  peel_base: {
    name: 'Peel-off base',
    family: 'peel-off-base',
    coat_um: 80,
    lamp: { cure_s: 60, flash_s: 10, depth_um: 300 },
  },
  putty: {
    name: 'Putty gel',
    family: 'putty-gel',
    coat_um: 500,
    lamp: { cure_s: 60, flash_s: 10, depth_um: 900 },
  },
  acrylic: { name: 'Acrylic', family: 'acrylic', coat_um: 500, working_s: 90, dry_s: 300 },
  dip: { name: 'Dip', family: 'dip', coat_um: 130 },
  activator: { name: 'dip activator', family: 'dip-activator', dry_s: 60 },
};

/** Version 4 knew neither acrylic, putty nor dip, and one base under builder. */
const fromVersion4: Migration = (file) => {
  for (const build of list(file.builds)) if (build.kind === 'natural-builder') build.base = 'coat';
  if (isObject(file.kit) && isObject(file.kit.roles))
    for (const [role, plain] of Object.entries(NEW_IN_5)) fillRole(file.kit, file.kit.roles, role, plain);
  return ok(file);
};

/** The plain products of the roles that version 6 knows first. */
const NEW_IN_6: Record<string, Json> = {
  lacquer_base: { name: 'Lacquer base', family: 'lacquer-base', coat_um: 20, dry_s: 120 },
  lacquer_top: { name: 'Lacquer top', family: 'lacquer-top', coat_um: 25, dry_s: 300 },
};

/** Version 5 knew one way for old product to come off, and ready tips with all art on them. */
const fromVersion5: Migration = (file) => {
  for (const build of list(file.builds))
    if (build.kind === 'soft-gel-tip') Object.assign(build, { art: 'above', filler: null });
    else if (build.kind === 'dip') build.french = null;
    else if (build.kind === 'natural-builder') build.art = 'over';
    else if (build.kind === 'sculpted-form') Object.assign(build, { art: 'over', french: null });
  if (isObject(file.practice))
    Object.assign(file.practice, {
      acrylic_primer: 'dry',
      pinch: 'pinch',
      grit: '100-180',
      filed: 'colour',
      tips: 'before',
    });
  if (isObject(file.kit) && isObject(file.kit.roles))
    for (const [role, plain] of Object.entries(NEW_IN_6)) fillRole(file.kit, file.kit.roles, role, plain);
  for (const nail of isObject(file.nails) ? Object.values(file.nails) : [])
    if (isObject(nail) && isObject(nail.start) && nail.start.kind === 'removal')
      Object.assign(nail.start, { product: 'gel', stones: false });
  return ok(file);
};

/** Version 6 knew rows of stones as they fall, none of them moved. */
const fromVersion6: Migration = (file) => {
  const still = (options: unknown) => {
    if (isObject(options) && options.kind === 'crystals') options.moved = [];
  };
  for (const look of list(file.looks)) list(look.elements).forEach(still);
  return ok(file);
};

/** All that version 7 knew reads the same: since then there are letters, dots, waves and magnetic gel. */
const fromVersion7: Migration = (file) => ok(file);

/** All that version 8 knew reads the same: since then a build may be levelled with 180 grit alone. */
const fromVersion8: Migration = (file) => ok(file);

/** Up to version 9 a set had no day, and nothing said how far it had come. */
const fromVersion9: Migration = (file) => ok({ ...file, appointment: null, state: 'planned' });

/** Up to version 10 mirror powder was laid as a colour, in coats. Where a nail alone swaps it for a colour it stays one. */
const fromVersion10: Migration = (file) => {
  const kit = isObject(file.kit) ? list(file.kit.products) : [];
  const powders = new Set(
    kit.filter(({ family }) => family === 'mirror-powder').map((product) => text(product.id)),
  );
  const isPowder = (value: unknown) => powders.has(text(value));
  const nails = Object.values(isObject(file.nails) ? file.nails : {}).filter(isObject);
  for (const look of list(file.looks)) {
    const changesOf = (id: unknown) =>
      nails
        .filter((nail) => nail.look === look.id)
        .flatMap((nail) => list(nail.changes))
        .filter((change) => change.element === id)
        .flatMap((change) => (isObject(change.options) ? [change.options] : []));
    for (const element of list(look.elements)) {
      if (element.kind !== 'colour' || !isPowder(element.product)) continue;
      const options = changesOf(element.id);
      if (options.some((one) => 'product' in one && !isPowder(one.product))) continue;
      Object.assign(element, { kind: 'powder', own_top: false });
      for (const one of [element, ...options]) Reflect.deleteProperty(one, 'passes');
    }
  }
  return ok(file);
};

/** Up to version 11 the top was always taken around stones. */
const fromVersion11: Migration = (file) => {
  if (isObject(file.practice)) file.practice.stone_top = 'around';
  return ok(file);
};

/** All that version 16 knew reads the same: since then a practice may know its artist's own times. */
const fromVersion16: Migration = (file) => ok(file);

/** All that version 17 knew reads the same: since then a set may hold what was quoted, and an appointment its end. */
const fromVersion17: Migration = (file) => ok(file);

/** Up to version 18 a nail that has grown out was whole. */
const fromVersion18: Migration = (file) => {
  for (const nail of Object.values(isObject(file.nails) ? file.nails : {}))
    if (isObject(nail) && isObject(nail.start) && nail.start.kind === 'infill') nail.start.mend = 'no';
  return ok(file);
};

/**
 * Up to version 19 a nail that has grown out had no stones to come off first. The order inside a seat was derived: what that was
 * is written into the lists once the file is read.
 */
const fromVersion19: Migration = (file) => {
  for (const nail of Object.values(isObject(file.nails) ? file.nails : {}))
    if (isObject(nail) && isObject(nail.start) && nail.start.kind === 'infill') nail.start.stones = false;
  return ok(file);
};

/** The plain products of the roles that version 21 knows first. */
const NEW_IN_21: Record<string, Json> = {
  dip_base: { name: 'dip base', family: 'dip-base' },
  remover: { name: 'soak-off remover', family: 'remover' },
};

/** Version 20 knew neither the liquid that dip is dipped with, nor what old product soaks in. */
const fromVersion20: Migration = (file) => {
  if (isObject(file.kit) && isObject(file.kit.roles))
    for (const [role, plain] of Object.entries(NEW_IN_21)) fillRole(file.kit, file.kit.roles, role, plain);
  return ok(file);
};

/** The step that leads away from each version; where there is none, only parts have changed. */
const STEPS: Readonly<Record<number, Migration>> = {
  0: fromVersion0,
  1: fromVersion1,
  2: fromVersion2,
  3: fromVersion3,
  4: fromVersion4,
  5: fromVersion5,
  6: fromVersion6,
  7: fromVersion7,
  8: fromVersion8,
  9: fromVersion9,
  10: fromVersion10,
  11: fromVersion11,
  16: fromVersion16,
  17: fromVersion17,
  18: fromVersion18,
  19: fromVersion19,
  20: fromVersion20,
};

/** The version that files are written in: that of the whole, or of the part that changed last. */
export function latestVersion(parts: Parts = PARTS): number {
  return Math.max(mostOf(Object.keys(STEPS).map(Number)) + 1, versionOfParts(parts));
}

/** Brings a file of an older version forward, the whole and then each of its parts. The input is left as it is. */
export function migrate(file: Json, version: number, parts: Parts = PARTS): Result<Json> {
  const latest = latestVersion(parts);
  let current = version < latest ? (structuredClone(file) as Json) : file;
  for (let v = version; v < latest; v += 1) {
    const step: Migration = (before) => {
      const whole = (STEPS[v] ?? ok)(before);
      return whole.ok ? ok(partsForward(whole.value, v, parts)) : whole;
    };
    const next = guarded(step, current, v);
    if (!next.ok) return next;
    current = { ...next.value, version: v + 1 };
  }
  return ok(current);
}

/** A step over what may be built like nothing that the version ever wrote. */
function guarded(step: Migration, file: Json, version: number): Result<Json> {
  try {
    return step(file);
  } catch {
    return fail('version', `is ${version}, but the file is not built as files of that version are`);
  }
}
