import { STONE_NUMBERS, SUNDRY_USES, Supply, TOOL_USES, type SupplyOf } from '../model/supply';
import { CHARM_CHOICES } from './charmForms';
import { PIECE_CHOICES } from './pieceCuts';
import { CURVES, LIGHTS, TipSize, type Lamp, type TipBox } from '../model/product';
import { ofKind } from '../model/registry';
import { upperFirst } from '../model/letters';
import { without } from '../model/without';
import { tipBox } from './tipBox';
import { STONE_SIZES_MM } from './stoneSizes';
import { PULL_FIELDS } from './magnets';
import { numberField, type Field } from './technique';

/** A kind of thing on the shelf that is no product: its words, what is asked of it, and what a line says of one. */
export interface SupplyKind<S extends Supply> {
  kind: S['kind'];
  /** Of one and of many. */
  words: string;
  many: string;
  fields: readonly Field[];
  fresh: (id: string) => S;
  says: (supply: S) => string;
}

/** What is counted, and what a pack of it held and cost. `of`: what schema says how it is counted. */
function counted(of: Supply['kind'], left: string): readonly Field[] {
  const schema = ofKind(Supply, of);
  return [
    { kind: 'optional', path: 'count', words: 'Counted', fresh: () => 10 },
    numberField(schema, 'count', left),
    ...bought(of),
  ];
}
function bought(of: Supply['kind']): readonly Field[] {
  const schema = ofKind(Supply, of);
  return [
    { kind: 'optional', path: 'pack', words: 'Pack noted', fresh: () => 10 },
    numberField(schema, 'pack', 'A pack holds'),
    { kind: 'optional', path: 'price', words: 'Price noted', fresh: () => 5 },
    numberField(schema, 'price', 'Price of it'),
  ];
}
const COLOUR: Field = { kind: 'shade', path: 'colour', words: 'Colour' };
const METALLIC: Field = { kind: 'switch', path: 'metallic', words: 'Metal' };
const choices = (values: readonly string[]) => values.map((value) => ({ value, words: upperFirst(value) }));
const left = (count: number | null) => (count === null ? '' : `, ${count} left`);

export const LIGHT_WORDS: Record<(typeof LIGHTS)[number], string> = {
  led: 'LED',
  uv: 'UV',
  both: 'LED and UV',
};

const lamp: SupplyKind<SupplyOf<'lamp'>> = {
  kind: 'lamp',
  words: 'Lamp',
  many: 'Lamps',
  fields: [
    { kind: 'figures', path: 'programmes_s', words: 'Programmes', unit: 's', min: 5, max: 600, most: 12 },
    {
      kind: 'choice',
      path: 'light',
      words: 'Light',
      choices: [
        { value: '', words: 'Not noted' },
        ...LIGHTS.map((value) => ({ value, words: LIGHT_WORDS[value] })),
      ],
    },
    { kind: 'switch', path: 'torch', words: 'A torch, held to one nail' },
    { kind: 'switch', path: 'low_heat', words: 'Has a low-heat mode' },
  ],
  fresh: (id) => ({
    kind: 'lamp',
    id,
    name: 'Lamp',
    programmes_s: [10, 30, 60, 90],
    light: 'led',
    torch: false,
    low_heat: false,
  }),
  says: ({ programmes_s, light, torch, low_heat }) =>
    [
      torch ? 'torch' : '',
      light ? LIGHT_WORDS[light] : '',
      programmes_s.length > 0 ? `${programmes_s.join(', ')} s` : 'any time',
      low_heat ? 'low heat' : '',
    ]
      .filter(Boolean)
      .join(' · '),
};

const tips: SupplyKind<SupplyOf<'tips'>> = {
  kind: 'tips',
  words: 'Tip box',
  many: 'Tip boxes',
  fields: [
    { kind: 'choice', path: 'curve', words: 'Curve', choices: choices(CURVES) },
    { kind: 'switch', path: 'half', words: 'Half tips' },
    {
      kind: 'list',
      path: 'sizes',
      words: 'Sizes, widest first',
      item: [
        numberField(TipSize, 'size', 'Size'),
        numberField(TipSize, 'arc_mm', 'Arc'),
        numberField(TipSize, 'count', 'Left'),
      ],
      fresh: { size: 11, arc_mm: 8, count: 10 },
      min: 1,
      max: 20,
    },
    ...bought('tips'),
  ],
  fresh: (id) => ({ kind: 'tips', ...tipBox(id, 'Tips', 'normal'), half: false }),
  says: ({ curve, sizes, half }) =>
    `${half ? 'half tips · ' : ''}${curve} curve · ${sizes.length} sizes · ${sizes.reduce((sum, size) => sum + size.count, 0)} left`,
};

const PIECE = ofKind(Supply, 'piece');

const piece: SupplyKind<SupplyOf<'piece'>> = {
  kind: 'piece',
  words: 'Inlay',
  many: 'Inlays',
  fields: [
    {
      kind: 'choice',
      path: 'shape',
      words: 'Cut as',
      choices: PIECE_CHOICES,
    },
    COLOUR,
    numberField(PIECE, 'length_mm', 'Length'),
    numberField(PIECE, 'width_mm', 'Width'),
    numberField(PIECE, 'thickness_mm', 'Thickness'),
    numberField(PIECE, 'stiffness', 'Stiffness, 0 to 1'),
    METALLIC,
    ...counted('piece', 'Left'),
  ],
  fresh: (id) => ({
    kind: 'piece',
    id,
    name: 'Inlay',
    count: null,
    shape: 'sliver',
    colour: '#e8c66a',
    length_mm: 4,
    width_mm: 1,
    thickness_mm: 0.04,
    stiffness: 0.3,
    metallic: false,
  }),
  says: ({ length_mm, width_mm, thickness_mm, count }) =>
    `${length_mm} × ${width_mm} mm, ${thickness_mm} thick${left(count)}`,
};

const stone: SupplyKind<SupplyOf<'stone'>> = {
  kind: 'stone',
  words: 'Stone',
  many: 'Stones',
  fields: [
    {
      kind: 'choice',
      path: 'size',
      words: 'Size',
      choices: STONE_NUMBERS.map((value) => ({ value, words: `${value}, ${STONE_SIZES_MM[value]} mm` })),
    },
    COLOUR,
    ...counted('stone', 'Left'),
  ],
  fresh: (id) => ({ kind: 'stone', id, name: 'Stones', count: 100, size: 'SS5', colour: '#eef3f6' }),
  says: ({ size, count }) => `${size}, ${STONE_SIZES_MM[size]} mm${left(count)}`,
};

const CHARM = ofKind(Supply, 'charm');

const charm: SupplyKind<SupplyOf<'charm'>> = {
  kind: 'charm',
  words: 'Charm',
  many: 'Charms',
  fields: [
    { kind: 'choice', path: 'shape', words: 'Shape', choices: CHARM_CHOICES },
    COLOUR,
    numberField(CHARM, 'length_mm', 'Length'),
    numberField(CHARM, 'width_mm', 'Width'),
    numberField(CHARM, 'height_mm', 'Height'),
    METALLIC,
    ...counted('charm', 'Left'),
  ],
  fresh: (id) => ({
    kind: 'charm',
    id,
    name: 'Charm',
    count: null,
    shape: 'oval',
    colour: '#c9a14a',
    length_mm: 5,
    width_mm: 4,
    height_mm: 1.5,
    metallic: true,
  }),
  says: ({ length_mm, width_mm, height_mm, count }) =>
    `${length_mm} × ${width_mm} mm, ${height_mm} high${left(count)}`,
};

const sheet: SupplyKind<SupplyOf<'sheet'>> = {
  kind: 'sheet',
  words: 'Foil or sheet',
  many: 'Foils and sheets',
  fields: [COLOUR, ...counted('sheet', 'Left, cm²')],
  fresh: (id) => ({ kind: 'sheet', id, name: 'Transfer foil', count: null, colour: '#d9b45b' }),
  says: ({ count }) => (count === null ? 'not counted' : `${count} cm² left`),
};

const grain: SupplyKind<SupplyOf<'grain'>> = {
  kind: 'grain',
  words: 'Glitter or grains',
  many: 'Glitters and grains',
  fields: [COLOUR, ...counted('grain', 'Left, g')],
  fresh: (id) => ({ kind: 'grain', id, name: 'Glitter', count: null, colour: '#d9b45b' }),
  says: ({ count }) => (count === null ? 'not counted' : `${count} g left`),
};

const sundry: SupplyKind<SupplyOf<'sundry'>> = {
  kind: 'sundry',
  words: 'Thing used up',
  many: 'Used up',
  fields: [
    { kind: 'choice', path: 'use', words: 'What it is', choices: choices(SUNDRY_USES) },
    ...counted('sundry', 'Left'),
  ],
  fresh: (id) => ({ kind: 'sundry', id, name: 'Lint-free wipes', use: 'wipe', count: null }),
  says: ({ use, count }) => `${use}${left(count)}`,
};

const tool: SupplyKind<SupplyOf<'tool'>> = {
  kind: 'tool',
  words: 'Tool',
  many: 'Brushes and tools',
  fields: [
    { kind: 'choice', path: 'use', words: 'What it is', choices: choices(TOOL_USES) },
    ...PULL_FIELDS.map((field) => ({ ...field, where: { path: 'use', is: ['magnet'] } })),
  ],
  fresh: (id) => ({ kind: 'tool', id, name: 'Brush', use: 'brush' }),
  says: ({ use, pull }) => (pull && use === 'magnet' ? `${pull.strength} ${pull.form} magnet` : use),
};

/** Every kind of supply, one entry each. */
export const SUPPLIES = [
  lamp,
  tips,
  piece,
  stone,
  charm,
  sheet,
  grain,
  sundry,
  tool,
] as unknown as readonly SupplyKind<Supply>[];

const BY_KIND = new Map(SUPPLIES.map((one) => [one.kind, one]));

export function supplyKindOf(kind: Supply['kind']): SupplyKind<Supply> {
  return BY_KIND.get(kind)!;
}

/** A lamp or box of the shelf as a set carries it. */
export function lampOfSupply(supply: SupplyOf<'lamp'>): Lamp {
  return without(supply, 'kind');
}
export function boxOfSupply(supply: SupplyOf<'tips'>): TipBox {
  return without(supply, 'kind', 'pack', 'price', 'currency', 'counted_at');
}
