'use client';
import { createTheme, type MantineColorsTuple } from '@mantine/core';

/** One deep lacquer accent. */
const lacquer: MantineColorsTuple = [
  '#fbeeee',
  '#f0d6d7',
  '#e0a9ac',
  '#d07a80',
  '#bf535b',
  '#a63a44',
  '#8a2532',
  '#741c28',
  '#5d131f',
  '#450b15',
];
/** Kept for light and curing, and for nothing else. */
const cure: MantineColorsTuple = [
  '#f3effb',
  '#e2d9f3',
  '#c3b0e6',
  '#a486d9',
  '#8863cd',
  '#7449c3',
  '#6539ae',
  '#552f94',
  '#462579',
  '#361a60',
];

/** What a finger works is 44 px high, wherever it stands. */
const TARGET_PX = 44;

/** The component kit's greys are cold: these are of the paper. */
const gray: MantineColorsTuple = [
  '#f5f0e8',
  '#ede6da',
  '#e2d9ca',
  '#d2c7b6',
  '#b8ac9a',
  '#978a7a',
  '#776b5e',
  '#5c5148',
  '#433a33',
  '#2b2420',
];

const SHEET = {
  defaultProps: { closeButtonProps: { 'aria-label': 'Close', size: TARGET_PX, iconSize: 22 } },
  styles: { title: { fontFamily: 'var(--serif)', fontSize: 24, fontWeight: 600 } },
} as const;

/** The head of a dialog is no banner of the page. */
const HEAD = { defaultProps: { role: 'presentation' } } as const;

const PRESSED = { defaultProps: { h: TARGET_PX } } as const;
const FIELD = { defaultProps: { size: 'md' } } as const;
const TICKED = {
  defaultProps: { size: 'md' },
  styles: { body: { minHeight: TARGET_PX, alignItems: 'center' } },
} as const;

export const theme = createTheme({
  components: {
    Modal: SHEET,
    Drawer: SHEET,
    ModalHeader: HEAD,
    DrawerHeader: HEAD,
    Button: PRESSED,
    ActionIcon: { defaultProps: { size: TARGET_PX } },
    Checkbox: TICKED,
    Switch: TICKED,
    TextInput: FIELD,
    NumberInput: FIELD,
    ColorInput: FIELD,
    Textarea: FIELD,
    NativeSelect: FIELD,
    SegmentedControl: FIELD,
  },
  primaryColor: 'lacquer',
  primaryShade: { light: 6, dark: 4 },
  colors: { lacquer, cure, gray, red: lacquer },
  fontFamily: "'Source Sans 3 Variable', 'Source Sans 3', sans-serif",
  headings: { fontFamily: "'Brygada 1918 Variable', 'Brygada 1918', serif", fontWeight: '600' },
  defaultRadius: 'sm',
  cursorType: 'pointer',
  autoContrast: true,
  respectReducedMotion: true,
});
