import { curtainUp } from '../demo/curtainUp';
import { latestVersion, migrate } from './migrations';
import { VERSION } from './document';
import type { Parts } from './partMigrations';

type Json = Record<string, unknown>;

/* A history made up for parts that are real: what would be written if a French line's depth were called otherwise. */
const parts: Parts = {
  elements: new Map([
    [
      'french',
      {
        [VERSION]: ({ passes, ...rest }) => (passes === undefined ? rest : { ...rest, coats: passes }),
        [VERSION + 1]: ({ coats, ...rest }) => (coats === undefined ? rest : { ...rest, layers: [coats] }),
      },
    ],
  ]),
  builds: new Map([['natural-gel', { [VERSION + 2]: (build) => ({ ...build, own: true }) }]]),
  products: new Map([
    ['gel-colour', { [VERSION + 1]: ({ coat_um, ...rest }) => ({ ...rest, coat: coat_um }) }],
  ]),
};

const file = (): Json => {
  const set = curtainUp();
  const look = set.looks.find(({ elements }) => elements.some(({ kind }) => kind === 'french'))!;
  const french = look.elements.find(({ kind }) => kind === 'french')!;
  const nail = set.nails['left-ring'];
  nail.look = look.id;
  nail.changes = [{ element: french.id, options: { passes: 2 } }];
  return JSON.parse(JSON.stringify(set)) as Json;
};

describe('parts that carry a history of their own', () => {
  it('lead to the version of the last of them, and without any to that of the whole', () => {
    expect(latestVersion()).toBe(VERSION);
    expect(latestVersion(parts)).toBe(VERSION + 3);
  });

  it('come forward step by step, on looks and on single nails, and nothing else is touched', () => {
    const before = file();
    const kept = structuredClone(before);
    const result = migrate(before, VERSION, parts);
    if (!result.ok) throw new Error(result.faults[0]!.message);
    expect(before).toEqual(kept);
    const after = result.value as unknown as {
      version: number;
      looks: { elements: Json[] }[];
      nails: Record<string, { changes: { options: Json }[] }>;
    };
    expect(after.version).toBe(VERSION + 3);
    const elements = after.looks.flatMap((look) => look.elements);
    for (const one of elements) expect('layers' in one).toBe(one.kind === 'french');
    expect(after.nails['left-ring']!.changes[0]!.options).toEqual({ layers: [2] });
    const olds = (kept as unknown as typeof after).looks.flatMap((look) => look.elements);
    expect(elements.filter(({ kind }) => kind !== 'french')).toEqual(
      olds.filter(({ kind }) => kind !== 'french'),
    );
    const productsOf = ({ kit }: { kit?: unknown }) => (kit as { products: Json[] }).products;
    const products = productsOf(after as { kit?: unknown });
    for (const one of products) expect('coat' in one).toBe(one.family === 'gel-colour');
    const others = ({ family }: Json) => family !== 'gel-colour';
    expect(products.filter(others)).toEqual(productsOf(kept).filter(others));
  });

  it('of a broken file are left for the schema to refuse', () => {
    for (const looks of [
      null,
      'no',
      [null, { elements: 'no' }, { id: 1, elements: [null, 3, { kind: {} }] }],
    ])
      expect(migrate({ ...file(), looks }, VERSION, parts).ok).toBe(true);
    for (const kit of [null, 'no', { products: 'no' }, { products: [null, 3, { family: {} }] }])
      expect(migrate({ ...file(), kit }, VERSION, parts).ok).toBe(true);
  });
});
