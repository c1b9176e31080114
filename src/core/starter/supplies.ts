import type { Supply } from '../model/supply';
import { tipBox } from '../craft/tipBox';
import { genericKit } from './kit';

/** The lamps, boxes, pieces and tools that a new artist begins with: plain ones, with guide figures (common practice). */
export function genericSupplies(): Supply[] {
  const kit = genericKit();
  return [
    ...kit.lamps.map((lamp): Supply => ({ kind: 'lamp', ...lamp })),
    {
      kind: 'lamp',
      id: 'torch-a',
      name: 'Hand torch A',
      programmes_s: [],
      light: 'led',
      torch: true,
      low_heat: false,
    },
    ...kit.tips.map((box): Supply => ({ kind: 'tips', ...box })),
    { kind: 'tips', ...tipBox('tips-strong', 'Tips, strong curve', 'strong') },
    { kind: 'tips', ...tipBox('tips-flat', 'Tips, flat', 'flat') },
    { kind: 'tips', ...tipBox('half-tips', 'Half tips', 'normal'), half: true },
    sliver('gilt-sliver', 'Gilt sliver', '#d9b45b', 4, 1, true),
    sliver('silver-sliver', 'Silver sliver', '#b9bec4', 4, 0.6, true),
    sliver('ticket-paper', 'Ticket paper', '#e8d9b8', 5, 1.6, false),
    { ...sliver('pearl-leaf', 'Pearl leaf', '#efe6dc', 3, 2, false), shape: 'leaf' },
    { ...sliver('copper-hexagon', 'Copper hexagon', '#b9714a', 2, 2, true), shape: 'hexagon' },
    { ...sliver('red-heart', 'Red heart', '#b3243c', 2.2, 2.2, false), shape: 'heart' },
    { ...sliver('silver-star', 'Silver star', '#c9ced4', 2.2, 2.2, true), shape: 'star' },
    ...(['SS3', 'SS5', 'SS7', 'SS9', 'SS12'] as const).map((size): Supply => ({
      kind: 'stone',
      id: `clear-${size.toLowerCase()}`,
      name: `Clear stones ${size}`,
      count: 100,
      size,
      colour: '#eef3f6',
    })),
    {
      kind: 'charm',
      id: 'mask',
      name: 'Mask',
      count: 4,
      shape: 'mask',
      colour: '#c9a14a',
      length_mm: 4.5,
      width_mm: 6,
      height_mm: 1.4,
      metallic: true,
    },
    { kind: 'sheet', id: 'transfer-foil-gold', name: 'Transfer foil, gold', count: null, colour: '#d9b45b' },
    { kind: 'grain', id: 'sugar-clear', name: 'Clear powder', count: null, colour: '#f4f6f8' },
    ...(
      [
        ['wipes', 'Lint-free wipes', 'wipe'],
        ['files', 'Files 100/180', 'file'],
        ['buffers', 'Buffers', 'buffer'],
        ['wood-sticks', 'Wood sticks', 'wood stick'],
        ['forms', 'Paper forms', 'form'],
        ['foil-wraps', 'Foil wraps', 'foil wrap'],
        ['applicators', 'Powder applicators', 'applicator'],
      ] as const
    ).map(([id, name, use]): Supply => ({ kind: 'sundry', id, name, use, count: null })),
    ...(
      [
        ['liner-brush', 'Liner brush', 'brush'],
        ['flat-brush', 'Flat gel brush', 'brush'],
        ['dotting-tool', 'Dotting tool, fine', 'dotting tool'],
        ['stamper', 'Soft stamper', 'stamper'],
        ['file-100-180', 'File 100/180', 'file'],
        ['bar-magnet', 'Bar magnet', 'magnet'],
      ] as const
    ).map(([id, name, use]): Supply => ({ kind: 'tool', id, name, use })),
  ];
}

function sliver(
  id: string,
  name: string,
  colour: string,
  length_mm: number,
  width_mm: number,
  metallic: boolean,
): Extract<Supply, { kind: 'piece' }> {
  return {
    kind: 'piece',
    id,
    name,
    count: null,
    shape: 'sliver',
    colour,
    length_mm,
    width_mm,
    thickness_mm: 0.04,
    stiffness: 0.3,
    metallic,
  };
}
