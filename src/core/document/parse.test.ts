import { VERSION } from './document';
import { without } from '../model/without';
import fc from 'fast-check';
import { DEMO_SETS } from '../demo';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compileNail } from '../compile/compile';
import { NAILS, type NailName } from '../model/names';
import { curtainUp } from '../demo/curtainUp';
import { runs } from '../testing/runs';
import { oldFiles } from '../../../tests/oldFiles';
import { newSet } from '../starter/newSet';
import { MAX_FILE_BYTES, parseSet, parseSetText, writeSetText } from './parse';
import type { Kit } from '../model/product';
import { faultLine } from '../model/result';
import type { SetDocument } from './document';

type Json = Record<string, unknown>;
const file = () => JSON.parse(writeSetText(curtainUp())) as Json;
/** Looks of old files with their mirror powder as it is said now. */
function asPowder(looks: readonly Json[]): Json[] {
  return looks.map((look) => ({
    ...look,
    elements: (look.elements as Json[]).map((one) => {
      if (one.product !== 'mirror-silver') return one;
      const { passes: _, ...rest } = one;
      return { ...rest, kind: 'powder', own_top: false, top_cure: 'full' };
    }),
  }));
}

/** Looks as they are read since inlays may be islands. */
const withoutIslands = (looks: Json[]): Json[] =>
  looks.map((look) => ({
    ...look,
    elements: (look.elements as Json[]).map((one) => (one.kind === 'inlay' ? { ...one, island: null } : one)),
  }));

/** Looks as they are read since version 16; `kinds` gathers what was met. */
function sinceVersion16(looks: readonly Json[], kinds = new Set<string>()): Json[] {
  const added: Record<string, (one: Json) => Json> = {
    french: ({ smile, ...rest }) => ({
      ...rest,
      region: { kind: 'tip', smile },
      tint: null,
      fade: null,
      second: null,
    }),
    ombre: (one) => ({ ...one, how: 'brush' }),
    marbled: (one) => ({ ...one, how: 'usual' }),
    motif: (one) => ({ ...one, spots: [], kept: null }),
    finish: (one) => ({ ...one, doubled: false, thick_um: null, underside: false }),
  };
  return looks.map((look) => ({
    ...look,
    elements: (look.elements as Json[]).map((one) => {
      const kind = String(one.kind);
      kinds.add(kind);
      return added[kind]?.(one) ?? one;
    }),
  }));
}

/** The top below powder as its cure is said since version 13. */
function withTopCured(looks: readonly Json[]): Json[] {
  return looks.map((look) => ({
    ...look,
    elements: (look.elements as Json[]).map((one) =>
      one.kind === 'powder' ? { ...one, top_cure: 'full' } : one,
    ),
  }));
}

/** Changes one place of a good file and tells the first fault. */
function fault(change: (set: ReturnType<typeof curtainUp>) => void): string {
  const set = curtainUp();
  change(set);
  const parsed = parseSet(JSON.parse(JSON.stringify(set)));
  return parsed.ok ? 'accepted' : faultLine(parsed.faults[0]!);
}

/** All of an older kit is still in it; tips have boxes of their own since. */
function keepsKit({ kit }: SetDocument, old: Kit): void {
  expect(kit.products.slice(0, old.products.length)).toEqual(old.products);
  expect(kit).toMatchObject({ lamps: old.lamps, roles: old.roles });
}

describe('reading a set', () => {
  it('takes every demo set and a new one, and writes the same text back', () => {
    for (const set of [...DEMO_SETS.map((demo) => demo.make()), newSet('a', 'A')]) {
      const text = writeSetText(set);
      const parsed = parseSetText(text);
      expect(parsed).toEqual({ ok: true, value: set });
      expect(parsed.ok && writeSetText(parsed.value)).toBe(text);
    }
  });

  it.each<[string, string, RegExp]>([
    ['no JSON', '{"format": ', /this is not JSON/],
    ['a second byte order mark', '\ufeff{}', /begins with a second byte order mark/],
    ['a no-break space', ' \u00a0{}', /begins with a no-break space/],
    ['a list', '[]', /one JSON object/],
    ['nothing', 'null', /one JSON object/],
    ['another format', '{"format":"recipe","version":1}', /^format: must be/],
    ['no version', '{"format":"merry-lacquer-set"}', /^version: must be a whole number/],
    [
      'a newer version',
      '{"format":"merry-lacquer-set","version":99}',
      new RegExp(`^version: is 99; this program reads up to ${VERSION}:`),
    ],
  ])('refuses %s', (_words, text, message) => {
    const parsed = parseSetText(text);
    expect(parsed.ok).toBe(false);
    expect(!parsed.ok && faultLine(parsed.faults[0]!)).toMatch(message);
  });

  it('refuses 50 MB without reading it', () => {
    const parsed = parseSetText(' '.repeat(50 * 1024 * 1024));
    expect(!parsed.ok && parsed.faults[0]!.message).toMatch(/50\.0 MB/);
    expect(MAX_FILE_BYTES).toBeLessThan(50 * 1024 * 1024);
  });

  it.each<[string, (set: ReturnType<typeof curtainUp>) => void, RegExp]>([
    ['a blank title', (s) => (s.title = ' \t'), /^title: must have a letter or sign that can be seen/],
    ['a title of no width', (s) => (s.title = '\u200b\u2060\u202e'), /^title: must have a letter/],
    ['a title with a space before it', (s) => (s.title = ' A'), /^title: must not begin or end/],
    [
      'an unknown key',
      (s) => Object.assign(s.nails['left-ring'].plate, { glitter: 1 }),
      /^nails\.left-ring\.plate\.glitter: is not a key/,
    ],
    [
      'a nail of 0 mm',
      (s) => (s.nails['left-ring'].plate.width_mm = 0),
      /^nails\.left-ring\.plate\.width_mm: must be at least 4 mm/,
    ],
    [
      'a nail of 400 mm',
      (s) => (s.nails['left-ring'].plate.width_mm = 400),
      /^nails\.left-ring\.plate\.width_mm: must be at most 25 mm/,
    ],
    [
      'a look that does not exist',
      (s) => (s.nails['right-thumb'].look = 'ghost'),
      /^nails\.right-thumb\.look: no look "ghost"/,
    ],
    [
      'a colour that is none',
      (s) => (s.kit.products[0]!.colour = 'plum'),
      /^kit\.products\.0\.colour: must be a colour/,
    ],
    [
      'a product that does not exist',
      (s) => Object.assign(s.looks[0]!.elements[0]!, { product: 'ghost' }),
      /^looks\.0\.elements\.0: no product "ghost"/,
    ],
    [
      'a build that does not exist',
      (s) => (s.nails['left-ring'].build = 'ghost'),
      /^nails\.left-ring\.build: no build "ghost"/,
    ],
    ['an id used twice', (s) => (s.looks[1]!.id = s.looks[0]!.id), /^looks\.1\.id: .* is used twice/],
    [
      'an id kept for the program',
      (s) => (s.looks[0]!.elements[0]!.id = 'prep'),
      /^looks\.0\.elements\.0\.id: .* is kept/,
    ],
    [
      'a technique that is none',
      (s) => Object.assign(s.looks[0]!.elements[0]!, { kind: 'sparkle' }),
      /^looks\.0\.elements\.0\.kind/,
    ],
    ['a missing nail', (s) => delete (s.nails as Partial<typeof s.nails>)['left-ring'], /^nails\.left-ring/],
    [
      'an edit that names no operation',
      (s) => (s.edits = [{ kind: 'skip', a: 'ring' }]),
      /^edits\.0\.a: must be an operation/,
    ],
    [
      'ombre stops out of order',
      (s) => {
        const glow = s.looks[1]!.elements[0]!;
        if (glow.kind === 'ombre') glow.stops.reverse();
      },
      /^looks\.1\.elements\.0\.stops: must lie in rising order/,
    ],
  ])('refuses %s, with its path', (_words, change, message) => {
    expect(fault(change)).toMatch(message);
  });

  it('refuses 10,000 elements', () => {
    expect(
      fault((set) => {
        const one = set.looks[0]!.elements[0]!;
        set.looks[0]!.elements = Array.from({ length: 10_000 }, (_, i) => ({ ...one, id: `e${i}` }));
      }),
    ).toMatch(/^looks\.0\.elements: must hold at most 40/);
  });

  it('never throws, whatever JSON it is given', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(parseSetText(text).ok).toBe(false);
      }),
    );
    // Real files with one value replaced by something else.
    const paths = ['nails', 'looks', 'builds', 'practice', 'kit', 'edits', 'title', 'note', 'id'];
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, value) => {
        const changed = { ...file(), [path]: value };
        const parsed = parseSet(changed);
        if (!parsed.ok) expect(parsed.faults[0]!.message.length).toBeGreaterThan(3);
      }),
      { numRuns: 200 },
    );
  });
});

describe('what a file may hold', () => {
  it('is not nested without end: refused with the path, at any depth', () => {
    for (const depth of [30, 5_000, 200_000]) {
      const set = file();
      const text = JSON.stringify(set).replace(
        '"changes":[]',
        `"changes":[${'['.repeat(depth)}${']'.repeat(depth)}]`,
      );
      const parsed = parseSetText(text);
      expect(!parsed.ok && faultLine(parsed.faults[0]!)).toMatch(
        /^nails\..*changes\..*nested more than 24 levels/,
      );
    }
  });

  it('names only products that are there, in a nail’s own options too', () => {
    expect(
      fault((set) => {
        set.nails['left-ring'].changes = [{ element: 'stubs', options: { clear: 'ghost' } }];
      }),
    ).toMatch(/^nails\.left-ring\.changes\.0\.options: no product "ghost"/);
  });
});

/** Up to version 19 the order of a list was not that of its laying, which is written into it as it is read. */
const byId = <E>(elements: readonly E[]): E[] =>
  [...elements].sort((a, b) => ((a as Json).id as string).localeCompare((b as Json).id as string));
const unlisted = <S extends { looks: unknown }>(set: S): S => ({
  ...set,
  looks: (set.looks as Json[]).map((look) => ({ ...look, elements: byId(look.elements as Json[]) })),
});

/** The kept files of a version, each as it was written and as it opens now. */
function kept(version: string): { name: string; old: SetDocument; value: SetDocument }[] {
  const folder = join(process.cwd(), 'tests/files', version);
  return readdirSync(folder).map((name) => {
    const text = readFileSync(join(folder, name), 'utf8');
    const parsed = parseSetText(text);
    if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
    return { name, old: JSON.parse(text) as SetDocument, value: parsed.value };
  });
}

/** A set without what version 21 knows first. */
function before21(set: SetDocument): SetDocument {
  const { dip_base: _base, remover: _remover, ...roles } = set.kit.roles;
  return {
    ...set,
    kit: {
      ...set.kit,
      products: set.kit.products.filter(({ family }) => family !== 'dip-base' && family !== 'remover'),
      roles: roles as SetDocument['kit']['roles'],
    },
    builds: set.builds.map((build) => {
      if (build.kind === 'natural-builder') return without(build, 'part') as typeof build;
      return build.kind === 'upper-mould' ? (without(build, 'material') as typeof build) : build;
    }),
    looks: set.looks.map((look) => ({
      ...look,
      elements: look.elements.map((one) =>
        one.kind === 'flakes' ? (without(one, 'left', 'manner') as typeof one) : one,
      ),
    })),
  };
}

describe('older files', () => {
  /** What an older practice is taken to do where it said nothing. */
  const NEW_WAYS = {
    stone_top: 'around',
    acrylic_primer: 'dry',
    pinch: 'pinch',
    grit: '100-180',
    filed: 'colour',
    tips: 'before',
  };
  const folder = join(process.cwd(), 'tests/files/v1');
  const files = readdirSync(folder).sort();
  const read = (name: string) => readFileSync(join(folder, name), 'utf8');

  function version0(): Json {
    const old = JSON.parse(read('curtain-up.lacquer.json')) as Json & {
      practice: Json;
      nails: Record<string, { plate: Json }>;
    };
    const { base, stones, hands, ...rest } = old.practice;
    old.practice = { ...rest, wipe_base: base === 'wipe', bed_stones: stones === 'bedded' };
    expect(hands).toBe('alike');
    for (const nail of Object.values(old.nails)) {
      const { free_edge_mm, ...plate } = nail.plate;
      nail.plate = { ...plate, free_mm: free_edge_mm };
    }
    return { ...old, version: 0 };
  }

  it('of version 0 open as the set they were', () => {
    expect(parseSet(version0())).toEqual(parseSetText(read('curtain-up.lacquer.json')));
  });

  it('of version 1: twenty stand as they were', () => {
    expect(files).toHaveLength(20);
    for (const name of files) expect(JSON.parse(read(name))).toMatchObject({ version: 1 });
  });

  it('of version 1 with several inlays: a word on the bed of one is none on the bed of all', () => {
    const old = JSON.parse(read('two-inlays.lacquer.json')) as Json & {
      nails: Record<string, { look: string }>;
      looks: { id: string; elements: { id: string; kind: string }[] }[];
      edits: Json[];
    };
    const [name, nail] = Object.entries(old.nails).find(([, one]) => {
      const look = old.looks.find((each) => each.id === one.look);
      return (look?.elements.filter((each) => each.kind === 'inlay').length ?? 0) > 1;
    })!;
    const [one, other] = old.looks
      .find((each) => each.id === nail.look)!
      .elements.filter((each) => each.kind === 'inlay');
    const at = (inlay: { id: string }, step: string) => `${name}/${inlay.id}/${step}#1`;
    const own = { kind: 'skip', a: at(one!, 'press') };
    old.edits = [
      { kind: 'skip', a: at(one!, 'bed') },
      { kind: 'before', a: at(one!, 'flash'), b: at(other!, 'bed') },
      own,
    ];
    const parsed = parseSet(old);
    if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
    expect(parsed.value.edits).toEqual([own]);
    expect(parsed.value.note).toContain('several inlays share');
    const steps = compileNail(parsed.value, name as NailName)
      .operations.filter((each) => each.element === 'body')
      .map((each) => each.step);
    expect(steps.indexOf('bed')).toBeGreaterThanOrEqual(0);
    expect(steps.indexOf('flash')).toBeGreaterThan(steps.indexOf('bed'));
  });

  it('of version 2 open, are planned, and work on every nail', () => {
    const newer = join(process.cwd(), 'tests/files/v2');
    const names = readdirSync(newer);
    expect(names).toHaveLength(8);
    for (const name of names) {
      const text = readFileSync(join(newer, name), 'utf8');
      const old = JSON.parse(text) as Json & { practice: Json };
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      expect(parsed.value.practice).toEqual({
        ...old.practice,
        pace: 'usual',
        flow: 'balanced',
        ...NEW_WAYS,
      });
      expect(Object.values(parsed.value.nails).every((nail) => nail.in_work)).toBe(true);
      expect(unlisted(parsed.value)).toMatchObject({
        looks: unlisted({ looks: asPowder(sinceVersion16(old.looks as Json[])) }).looks,
        edits: old.edits,
      });
      keepsKit(parsed.value, old.kit as Kit);
      expect(compileNail(parsed.value, 'left-ring').operations.length).toBeGreaterThan(10);
    }
  });

  it('of version 5 open: every build as it was, and product comes off as it did', () => {
    const folder5 = join(process.cwd(), 'tests/files/v5');
    for (const name of readdirSync(folder5)) {
      const text = readFileSync(join(folder5, name), 'utf8');
      const old = JSON.parse(text) as Json & { builds: Json[]; kit: Kit; practice: Json };
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const { practice, builds, kit } = parsed.value;
      expect(practice).toEqual({ ...old.practice, ...NEW_WAYS });
      expect(builds).toMatchObject(old.builds);
      expect(kit.products.slice(0, old.kit.products.length)).toEqual(old.kit.products);
      expect(kit.products.find((one) => one.id === kit.roles.lacquer_top)?.family).toBe('lacquer-top');
    }
    const every = parseSetText(readFileSync(join(folder5, 'every-build.lacquer.json'), 'utf8'));
    if (!every.ok) throw new Error(faultLine(every.faults[0]!));
    expect(every.value.nails['left-thumb'].start).toEqual({
      kind: 'removal',
      product: 'gel',
      soak_s: 600,
      stones: false,
    });
    expect(every.value.builds.find((one) => one.kind === 'soft-gel-tip')).toMatchObject({ art: 'above' });
    for (const nail of NAILS) expect(compileNail(every.value, nail).operations.length).toBeGreaterThan(8);
  });

  it('of version 6 open, their rows of stones as they fell', () => {
    const folder6 = join(process.cwd(), 'tests/files/v6');
    expect(readdirSync(folder6)).toHaveLength(4);
    for (const name of readdirSync(folder6)) {
      const text = readFileSync(join(folder6, name), 'utf8');
      const old = JSON.parse(text) as Json;
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      expect(before21(parsed.value)).toMatchObject({
        ...old,
        looks: sinceVersion16(old.looks as Json[]),
        version: VERSION,
      });
      const rows = parsed.value.looks.flatMap((look) =>
        look.elements.filter((one) => one.kind === 'crystals'),
      );
      expect(rows.length).toBeGreaterThan(0);
      for (const row of rows) expect(row).toMatchObject({ moved: [] });
    }
  });

  it('the version that docs/format.md speaks of is the one that is written', () => {
    const text = readFileSync(join(process.cwd(), 'docs/format.md'), 'utf8');
    expect(text).toContain(`\`"merry-lacquer-set"\`, \`${VERSION}\``);
    expect(text).toContain(`- **${VERSION}**: this one.`);
  });

  it.each(['v7', 'v8', 'v9'])('of %s open as they are, without a day and planned', (version) => {
    const kept = join(process.cwd(), 'tests/files', version);
    expect(readdirSync(kept)).toHaveLength(4);
    for (const name of readdirSync(kept)) {
      const text = readFileSync(join(kept, name), 'utf8');
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const old = JSON.parse(text) as Json;
      expect(before21(parsed.value)).toEqual({
        ...old,
        version: VERSION,
        looks: sinceVersion16(withoutIslands(old.looks as Json[])),
        appointment: null,
        state: 'planned',
        practice: { ...(old.practice as Json), stone_top: 'around' },
      });
    }
  });

  it.each(['v14', 'v15'])(
    'of %s open as they are; a French is of the part beyond its smile line, a fade is brushed, a top is one thin coat',
    (version) => {
      const kept = join(process.cwd(), 'tests/files', version);
      expect(readdirSync(kept)).toHaveLength(5);
      const kinds = new Set<string>();
      for (const name of readdirSync(kept)) {
        const text = readFileSync(join(kept, name), 'utf8');
        const parsed = parseSetText(text);
        if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
        const old = JSON.parse(text) as Json;
        const looks = sinceVersion16(old.looks as Json[], kinds);
        expect(before21(parsed.value)).toEqual({ ...old, looks, version: VERSION });
      }
      for (const kind of ['french', 'ombre', 'finish', 'marbled']) expect(kinds).toContain(kind);
    },
  );

  it.each(['v16', 'v17', 'v18'])('of %s open as they are', (version) => {
    const files = kept(version);
    expect(files).toHaveLength(5);
    for (const { old, value } of files) expect(before21(value)).toEqual({ ...old, version: VERSION });
  });

  it('of version 19 open with the nails they had: the order that was derived is written into the lists', () => {
    const files = kept('v19');
    expect(files).toHaveLength(6);
    for (const { name, old, value } of files) {
      // A nail that has grown out says of its stones.
      const nails = Object.fromEntries(
        Object.entries(old.nails).map(([one, nail]) => [
          one,
          nail.start.kind === 'infill' ? { ...nail, start: { ...nail.start, stones: false } } : nail,
        ]),
      );
      expect(unlisted(before21(value))).toEqual(unlisted({ ...old, nails, version: VERSION }));
      if (name !== 'turned-round.lacquer.json') {
        expect(value.looks).toEqual(old.looks);
        continue;
      }
      // As version 19 laid each of these lists, which none of them says.
      const laid = value.looks.map(({ id, elements }) => `${id}: ${elements.map((one) => one.id).join()}`);
      expect(laid).toEqual([
        'over-gloss: velvet,gloss',
        'stones-first: velvet,stones',
        'powder-first: velvet,gloss,chrome',
        'matte-then-charm: velvet,mask,hush',
        'leaf-on-gloss: velvet,leaf,gloss',
        'gloss-below-slivers: velvet,slivers,gloss',
        'beads: tip,drawing',
      ]);
      for (const nail of NAILS) {
        const look = value.looks.find((one) => one.id === value.nails[nail].look);
        const own = look?.elements.map((one) => one.id) ?? [];
        const order = compileNail(value, nail).operations.map((one) => one.element);
        expect([...new Set(order)].filter((one) => own.includes(one))).toEqual(own);
      }
    }
  });

  it('of version 20 open as they are: builder lay all over, moulds were of builder, flakes left as their ground has them', () => {
    const files = kept('v20');
    expect(files).toHaveLength(6);
    for (const { name, old, value } of files) {
      expect(before21(value)).toEqual({ ...old, version: VERSION });
      const { kit, builds, looks } = value;
      const family = (id: string) => kit.products.find((one) => one.id === id)?.family;
      expect([family(kit.roles.dip_base), family(kit.roles.remover)]).toEqual(['dip-base', 'remover']);
      for (const build of builds) {
        if (build.kind === 'natural-builder') expect(build.part).toBe('whole');
        if (build.kind === 'upper-mould') expect(build.material).toBe('builder');
      }
      const flakes = looks.flatMap(({ elements }) => elements).filter((one) => one.kind === 'flakes');
      expect(flakes).toHaveLength(name.startsWith('flaked') ? 2 : 0);
      for (const one of flakes)
        expect([one.left, one.manner]).toEqual([one.on === 'slick' ? 'closed' : 'broken', 'pressed']);
    }
  });

  it('of version 13 open as they are, no inlay an island', () => {
    const kept = join(process.cwd(), 'tests/files/v13');
    expect(readdirSync(kept)).toHaveLength(5);
    let inlays = 0;
    for (const name of readdirSync(kept)) {
      const text = readFileSync(join(kept, name), 'utf8');
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const old = JSON.parse(text) as Json;
      const looks = sinceVersion16(withoutIslands(old.looks as Json[]));
      inlays += looks
        .flatMap(({ elements }) => elements as Json[])
        .filter(({ kind }) => kind === 'inlay').length;
      expect(before21(parsed.value)).toEqual({ ...old, looks, version: VERSION });
    }
    expect(inlays).toBe(4);
  });

  it('of version 12 open as they are, the top below their powder cured its whole time', () => {
    const kept = join(process.cwd(), 'tests/files/v12');
    expect(readdirSync(kept)).toHaveLength(5);
    let powders = 0;
    for (const name of readdirSync(kept)) {
      const text = readFileSync(join(kept, name), 'utf8');
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const old = JSON.parse(text) as Json;
      const looks = sinceVersion16(withTopCured(old.looks as Json[]));
      powders += looks
        .flatMap(({ elements }) => elements as Json[])
        .filter(({ kind }) => kind === 'powder').length;
      expect(before21(parsed.value)).toEqual({ ...old, looks: withoutIslands(looks), version: VERSION });
    }
    expect(powders).toBe(1);
  });

  it('of version 11 open as they are, the top taken around their stones', () => {
    const kept = join(process.cwd(), 'tests/files/v11');
    expect(readdirSync(kept)).toHaveLength(5);
    for (const name of readdirSync(kept)) {
      const old = JSON.parse(readFileSync(join(kept, name), 'utf8')) as Json & { practice: Json };
      const parsed = parseSet(old);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      expect(before21(parsed.value)).toEqual({
        ...old,
        version: VERSION,
        looks: sinceVersion16(withoutIslands(withTopCured(old.looks as Json[]))),
        practice: { ...old.practice, stone_top: 'around' },
      });
    }
  });

  it('of version 10 open as they are; powder that was laid as a colour is a technique of its own, where it stands', () => {
    const kept = join(process.cwd(), 'tests/files/v10');
    expect(readdirSync(kept)).toHaveLength(4);
    let powders = 0;
    for (const name of readdirSync(kept)) {
      const old = JSON.parse(readFileSync(join(kept, name), 'utf8')) as Json;
      const looks = sinceVersion16(asPowder(old.looks as Json[]));
      powders += looks
        .flatMap(({ elements }) => elements as Json[])
        .filter(({ kind }) => kind === 'powder').length;
      const parsed = parseSetText(readFileSync(join(kept, name), 'utf8'));
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const practice = { ...(old.practice as Json), stone_top: 'around' };
      expect(unlisted(before21(parsed.value))).toEqual(
        unlisted({ ...old, looks: withoutIslands(looks), practice, version: VERSION }),
      );
    }
    expect(powders).toBe(1);
  });

  it('of version 10: a powder that one nail swaps for a colour stays a colour, and is burnished all the same', () => {
    const old = JSON.parse(
      readFileSync(join(process.cwd(), 'tests/files/v10/matinee.lacquer.json'), 'utf8'),
    ) as SetDocument;
    const look = old.looks.find(({ elements }) => elements.some(({ id }) => id === 'mirror'))!;
    const nail = NAILS.find((one) => old.nails[one].look === look.id)!;
    old.nails[nail].changes.push({ element: 'mirror', options: { product: 'sage-03' } });
    const parsed = parseSetText(JSON.stringify(old));
    if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
    const mirror = parsed.value.looks.flatMap(({ elements }) => elements).find(({ id }) => id === 'mirror')!;
    expect(mirror.kind).toBe('colour');
    const other = NAILS.find((one) => one !== nail && old.nails[one].look === look.id)!;
    const verbs = (name: NailName) =>
      compileNail(parsed.value, name)
        .operations.filter(({ element }) => element === 'mirror')
        .map(({ verb }) => verb);
    expect(verbs(other)).toContain('burnish');
    expect(verbs(nail)).not.toContain('burnish');
  });

  it('of version 3 open; what could not be seen of a title or a name has words now', () => {
    const folder3 = join(process.cwd(), 'tests/files/v3');
    for (const id of ['curtain-up', 'matinee', 'understudy']) {
      const text = readFileSync(join(folder3, `${id}.lacquer.json`), 'utf8');
      const old = JSON.parse(text) as Json & { nails: Record<string, Json>; kit: { tips: Json[] } };
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const { nails, kit, ...rest } = parsed.value;
      expect(rest).toMatchObject({
        looks: sinceVersion16(old.looks as Json[]),
        edits: old.edits,
        practice: old.practice,
      });
      for (const [name, nail] of Object.entries(old.nails)) {
        const { condition, ...same } = nail;
        const conditions = condition === 'sound' ? [] : [condition];
        expect(nails[name as (typeof NAILS)[number]]).toEqual({
          ...same,
          conditions,
          own_free_mm: null,
          own_shape: null,
        });
      }
      keepsKit(parsed.value, old.kit as unknown as Kit);
      expect(kit.tips[0]!.sizes.map((one) => one.size)).toEqual(old.kit.tips.map((one) => one.size));
    }
    const hurt = JSON.parse(readFileSync(join(folder3, 'matinee.lacquer.json'), 'utf8')) as {
      nails: Record<string, Json>;
    };
    hurt.nails['left-ring']!.condition = 'broken-skin';
    const left = parseSet(hurt);
    expect(left.ok && left.value.nails['left-ring'].conditions).toEqual(['leave-alone']);
    hurt.nails['left-ring']!.condition = 'purple';
    const told = parseSet(hurt);
    expect(!told.ok && told.faults[0]!.path).toBe('nails.left-ring.conditions');
    const blank = parseSetText(readFileSync(join(folder3, 'blank-words.lacquer.json'), 'utf8'));
    if (!blank.ok) throw new Error(faultLine(blank.faults[0]!));
    expect(blank.value.title).toBe('Untitled');
    expect(blank.value.looks[0]!.name).toBe('Untitled');
    expect(blank.value.kit.products[0]!.name).toBe('Base \u202egnp');
  });

  it('of version 4 open, with a product for each role that is new, and the base that builder had', () => {
    const folder4 = join(process.cwd(), 'tests/files/v4');
    for (const name of readdirSync(folder4)) {
      const text = readFileSync(join(folder4, name), 'utf8');
      const old = JSON.parse(text) as Json & { kit: Kit };
      const parsed = parseSetText(text);
      if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
      const { builds, kit } = parsed.value;
      expect(before21(parsed.value)).toMatchObject({
        looks: sinceVersion16(old.looks as Json[]),
        edits: old.edits,
        nails: old.nails,
      });
      keepsKit(parsed.value, old.kit);
      const familyOf = (id: string) => kit.products.find((one) => one.id === id)!.family;
      expect(
        ['peel_base', 'putty', 'acrylic', 'dip', 'activator'].map((role) =>
          familyOf(kit.roles[role as 'dip']),
        ),
      ).toEqual(['peel-off-base', 'putty-gel', 'acrylic', 'dip', 'dip-activator']);
      for (const build of builds) if (build.kind === 'natural-builder') expect(build.base).toBe('coat');
    }
    expect(readdirSync(folder4)).toHaveLength(3);
    // A product of the family that is there already takes the role; its name is no reason to take its id.
    const own = JSON.parse(readFileSync(join(folder4, 'matinee.lacquer.json'), 'utf8')) as { kit: Kit };
    own.kit.products.push(
      { id: 'dip', name: 'Putty of mine', family: 'putty-gel' },
      ...Array.from({ length: 500 - own.kit.products.length - 1 }, (_, i) => ({
        id: `p${i}`,
        name: 'P',
        family: 'oil' as const,
      })),
    );
    const filled = parseSet(own);
    if (!filled.ok) throw new Error(faultLine(filled.faults[0]!));
    expect(filled.value.kit.roles).toMatchObject({ putty: 'dip', dip: 'dip-1' });
  });

  it.each(files)('%s opens without a word lost, and is planned', (name) => {
    const old = JSON.parse(read(name)) as {
      title: string;
      note: string;
      looks: { elements: { id: string; kind: string }[] }[];
      nails: Record<string, { changes: unknown[] }>;
      edits: { kind: string }[];
      kit: { products: { id: string }[] };
    };
    const parsed = parseSetText(read(name));
    if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
    const set = parsed.value;
    expect([set.title, set.note]).toEqual([old.title, old.note]);
    expect(set.looks.map((look) => byId(look.elements).map((one) => [one.id, one.kind]))).toEqual(
      old.looks.map((look) => byId(look.elements).map((one) => [one.id, one.kind])),
    );
    for (const nail of NAILS) expect(set.nails[nail].changes).toHaveLength(old.nails[nail]!.changes.length);
    expect(set.edits.map((edit) => edit.kind)).toEqual(old.edits.map((edit) => edit.kind));
    expect(set.kit.products.map((one) => one.id)).toEqual(
      expect.arrayContaining(old.kit.products.map((one) => one.id)),
    );
    // Each edit still finds its step, save the one that never did.
    const lost = NAILS.flatMap((nail) => compileNail(set, nail).editFaults).map((fault) => fault.missing);
    expect(lost.filter((id) => id !== 'right-middle/glitter/coat#1')).toEqual([]);
    expect(parseSetText(writeSetText(set))).toEqual({ ok: true, value: set });
  });

  it('with an element called body get another name for it, wherever it is named', () => {
    const old = JSON.parse(read('two-inlays.lacquer.json').replaceAll('"two"', '"body"')) as Json;
    old.edits = [
      { kind: 'skip', a: 'left-ring/body/file#1' },
      { kind: 'skip', a: 'left-ring/body/place#1' },
    ];
    const parsed = parseSet(old);
    if (!parsed.ok) throw new Error(faultLine(parsed.faults[0]!));
    expect(parsed.value.looks[0]!.elements.map((one) => one.id)).toEqual(['colour', 'one', 'body-1']);
    expect(parsed.value.edits).toEqual([
      { kind: 'skip', a: 'left-ring/body/file#1' },
      { kind: 'skip', a: 'left-ring/body-1/place#1' },
    ]);
  });

  it('are left as they are by the migration', () => {
    const old = version0();
    const before = structuredClone(old);
    parseSet(old);
    expect(old).toEqual(before);
  });

  it('with a fault are refused with its path', () => {
    const parsed = parseSet({ ...version0(), practice: 7 });
    expect(!parsed.ok && faultLine(parsed.faults[0]!)).toBe('practice: must be an object');
  });
});

describe('files whose words are no words', () => {
  const old = oldFiles().filter((_, i) => i % runs(3, 1) === 0) as Record<string, unknown>[];
  const odd: unknown[] = ['constructor', '__proto__', 'toString', { toString: 1 }, [['x']], null, 7];

  it.each(odd.map((value) => [JSON.stringify(value), value] as const))(
    'a kind, a look, a condition of %s in a file of any version is refused with its place, and nothing throws',
    (_words, value) => {
      for (const file of old) {
        const broken = structuredClone(file) as {
          looks?: { id: unknown; elements: Record<string, unknown>[] }[];
          nails?: Record<string, Record<string, unknown>>;
          builds?: Record<string, unknown>[];
        };
        for (const spoil of [
          () => broken.looks?.[0]?.elements[0] && (broken.looks[0].elements[0].kind = value),
          () => broken.looks?.[0]?.elements[0] && (broken.looks[0].elements[0].fit = value),
          () => broken.nails?.['left-ring'] && (broken.nails['left-ring'].condition = value),
          () => broken.nails?.['left-ring'] && (broken.nails['left-ring'].look = value),
          () => broken.builds?.[0] && (broken.builds[0].kind = value),
        ]) {
          spoil();
          const parsed = parseSet(structuredClone(broken));
          if (!parsed.ok) expect(parsed.faults[0]!.path).not.toBe('');
        }
        expect(parseSet(broken).ok).toBe(false);
      }
    },
  );
});
