import { tipBox } from '../craft/tipBox';
import type { Kit, Product } from '../model/product';

/**
 * The generic kit that ships: plain products with guide figures (common practice), so that ten nails stand
 * there before anyone types a number. A product's own direction replaces them.
 */
interface Shade {
  id: string;
  name: string;
  colour: string;
  coats: number;
  /** Depth of light in µm: dark and filled colours cure more slowly. */
  depth_um: number;
  effect?: Product['effect'];
}

const SHADES: readonly Shade[] = [
  { id: 'velvet-04', name: 'Velvet 04', colour: '#4a0f22', coats: 2, depth_um: 60 },
  { id: 'plum-07', name: 'Plum 07', colour: '#5f2050', coats: 2, depth_um: 65 },
  { id: 'ember-12', name: 'Ember 12', colour: '#b5392c', coats: 2, depth_um: 80 },
  { id: 'amber-11', name: 'Amber 11', colour: '#e2942a', coats: 2, depth_um: 90 },
  { id: 'ivory-02', name: 'Ivory 02', colour: '#f2e7d3', coats: 3, depth_um: 90 },
  { id: 'blush-sheer', name: 'Blush sheer', colour: '#fbeee8', coats: 2, depth_um: 200, effect: 'sheer' },
  { id: 'rose-nude', name: 'Rose nude', colour: '#d6a190', coats: 2, depth_um: 90 },
  { id: 'lemon-05', name: 'Lemon 05', colour: '#ecd446', coats: 3, depth_um: 100 },
  { id: 'violet-09', name: 'Violet 09', colour: '#5b3fa0', coats: 2, depth_um: 70 },
  { id: 'night-blue', name: 'Night blue', colour: '#1c2a4f', coats: 2, depth_um: 60 },
  { id: 'sage-03', name: 'Sage 03', colour: '#8fa08a', coats: 2, depth_um: 85 },
];

/** A plain gel colour with guide figures. */
export function shade({ id, name, colour, coats, depth_um, effect }: Shade): Product {
  return {
    id,
    name,
    family: 'gel-colour',
    coat_um: 45,
    lamp: { cure_s: 60, flash_s: 10, depth_um },
    colour,
    effect: effect ?? 'film',
    coats_to_cover: coats,
    judged_on: 'nail',
  };
}

function liner(id: string, name: string, colour: string): Product {
  return {
    id,
    name,
    family: 'liner-gel',
    coat_um: 40,
    lamp: { cure_s: 30, flash_s: 8, depth_um: 90 },
    colour,
    effect: 'metallic',
    coats_to_cover: 1,
    judged_on: 'nail',
  };
}

/** The magnetic gel that comes with a first element of it. */
export const MAGNETIC_ID = 'footlight-magnetic';

function magneticGel(id: string, name: string, colour: string): Product {
  return {
    id,
    name,
    family: 'magnetic-gel',
    coat_um: 40,
    lamp: { cure_s: 60, flash_s: 10, depth_um: 70 },
    colour,
    effect: 'metallic',
    coats_to_cover: 2,
    judged_on: 'nail',
  };
}

function dipColour(id: string, name: string, colour: string): Product {
  return {
    id,
    name,
    family: 'dip',
    coat_um: 130,
    colour,
    effect: 'film',
    coats_to_cover: 2,
    judged_on: 'nail',
  };
}

/** A plain air-dry lacquer with guide figures. */
export function lacquer(id: string, name: string, colour: string): Product {
  return {
    id,
    name,
    family: 'lacquer',
    coat_um: 25,
    dry_s: 240,
    colour,
    effect: 'film',
    coats_to_cover: 2,
    judged_on: 'nail',
  };
}

function gel(
  id: string,
  name: string,
  family: Product['family'],
  coat_um: number,
  depth_um: number,
  cure_s = 60,
): Product {
  return { id, name, family, coat_um, lamp: { cure_s, flash_s: 10, depth_um } };
}

/** Acrylic in a colour: it covers in one bead. */
function acrylicColour(id: string, name: string, colour: string): Product {
  return {
    id,
    name,
    family: 'acrylic',
    coat_um: 500,
    working_s: 90,
    dry_s: 300,
    colour,
    effect: 'film',
    coats_to_cover: 0.6,
    judged_on: 'nail',
  };
}

function puttyColour(id: string, name: string, colour: string): Product {
  return {
    ...gel(id, name, 'putty-gel', 500, 420),
    colour,
    effect: 'film',
    coats_to_cover: 0.6,
    judged_on: 'nail',
  };
}

export function genericKit(): Kit {
  return {
    products: [
      ...SHADES.map(shade),
      liner('gilt-liner', 'Gilt liner', '#c9993a'),
      liner('silver-liner', 'Silver liner', '#b9bec4'),
      gel('foil-a', 'Foil gel A', 'foil-gel', 25, 200),
      magneticGel(MAGNETIC_ID, 'Footlight', '#c9b8e8'),
      {
        ...shade({
          id: 'coral-two-stage',
          name: 'Coral two-stage',
          colour: '#d9614c',
          coats: 2,
          depth_um: 85,
        }),
        family: 'two-stage-colour',
      },
      {
        ...shade({ id: 'white-art', name: 'White art gel', colour: '#f4f1ea', coats: 1, depth_um: 70 }),
        family: 'art-gel',
      },
      {
        id: 'mirror-silver',
        name: 'Mirror powder',
        family: 'mirror-powder',
        coat_um: 2,
        colour: '#c9ccd1',
        effect: 'metallic',
        coats_to_cover: 1,
        judged_on: 'nail',
      },
      {
        id: 'pearl-white',
        name: 'Pearl powder',
        family: 'pearl-powder',
        coat_um: 4,
        colour: '#f0e6ee',
        effect: 'sheer',
        coats_to_cover: 5,
        judged_on: 'nail',
      },
      { id: 'lacquer-base-a', name: 'Lacquer base A', family: 'lacquer-base', coat_um: 20, dry_s: 120 },
      { id: 'lacquer-top-a', name: 'Lacquer top A', family: 'lacquer-top', coat_um: 25, dry_s: 300 },
      lacquer('lacquer-red', 'Lacquer red', '#a8202c'),
      gel('base-a', 'Base A', 'base-gel', 60, 300),
      gel('peel-a', 'Peel-off base A', 'peel-off-base', 80, 300),
      gel('builder-a', 'Clear builder A', 'builder-gel', 350, 700),
      {
        ...gel('cover-a', 'Cover builder rose', 'builder-gel', 350, 450),
        colour: '#dfb3a2',
        effect: 'film',
        coats_to_cover: 1,
        judged_on: 'nail',
      },
      gel('putty-a', 'Clear putty A', 'putty-gel', 500, 900),
      puttyColour('putty-blush', 'Putty blush', '#dca998'),
      puttyColour('putty-ivory', 'Putty ivory', '#efe4d2'),
      {
        id: 'acrylic-a',
        name: 'Clear acrylic A',
        family: 'acrylic',
        coat_um: 500,
        working_s: 90,
        dry_s: 300,
      },
      acrylicColour('acrylic-blush', 'Acrylic blush', '#e3b3a6'),
      acrylicColour('acrylic-white', 'Acrylic white', '#f5f2ec'),
      acrylicColour('acrylic-plum', 'Acrylic plum', '#6d2c4a'),
      { id: 'dip-a', name: 'Clear dip A', family: 'dip', coat_um: 130 },
      dipColour('dip-rose', 'Dip rose', '#e0b5a3'),
      dipColour('dip-white', 'Dip white', '#f6f2ea'),
      { id: 'dip-base-a', name: 'dip base', family: 'dip-base' },
      { id: 'activator-a', name: 'dip activator', family: 'dip-activator', dry_s: 60 },
      gel('bedding-a', 'Bedding gel A', 'bedding-gel', 150, 400),
      { id: 'glue-a', name: 'Instant glue A', family: 'instant-glue', coat_um: 60, dry_s: 18 },
      gel('fixing-a', 'Fixing gel A', 'fixing-gel', 120, 500),
      gel('top-a', 'No-wipe top A', 'top-no-wipe', 80, 400),
      gel('matte-a', 'Matte top A', 'top-matte', 60, 250),
      { id: 'dehydrator-a', name: 'dehydrator', family: 'dehydrator', dry_s: 15 },
      { id: 'primer-a', name: 'acid-free primer', family: 'primer', dry_s: 30 },
      { id: 'cleanser-a', name: 'cleanser', family: 'cleanser' },
      { id: 'remover-a', name: 'soak-off remover', family: 'remover' },
      { id: 'oil-a', name: 'Cuticle oil', family: 'oil' },
    ],
    lamps: [{ id: 'lamp-a', name: 'Table lamp A', programmes_s: [10, 30, 60, 90] }],
    roles: {
      dehydrator: 'dehydrator-a',
      primer: 'primer-a',
      base: 'base-a',
      peel_base: 'peel-a',
      builder: 'builder-a',
      putty: 'putty-a',
      acrylic: 'acrylic-a',
      dip: 'dip-a',
      dip_base: 'dip-base-a',
      activator: 'activator-a',
      bedding: 'bedding-a',
      fixing: 'fixing-a',
      glue: 'glue-a',
      top: 'top-a',
      lacquer_base: 'lacquer-base-a',
      lacquer_top: 'lacquer-top-a',
      matte_top: 'matte-a',
      cleanser: 'cleanser-a',
      remover: 'remover-a',
      oil: 'oil-a',
    },
    tips: [tipBox('tips', 'Tips', 'normal')],
  };
}
