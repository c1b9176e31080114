'use client';
import { FAMILIES } from '@/core/craft/families';
import type { PotGrains } from '@/core/model/grains';
import type { Product, ProductFamily } from '@/core/model/product';
import classes from './Bottles.module.css';

/** What a family comes in. */
type Vessel = 'bottle' | 'pot' | 'jar' | 'flask';

function vesselOf(family: ProductFamily): Vessel {
  const { laid, hardens, powder } = FAMILIES[family];
  if (laid === 'structure' || laid === 'art') return 'pot';
  if (laid === 'acrylic' || laid === 'dip' || powder) return 'jar';
  return hardens === 'never' || laid === 'glue' ? 'flask' : 'bottle';
}

/** Glass and cap of each vessel, in a box of 44 by 72. */
const VESSELS: Record<Vessel, { glass: string; cap: string }> = {
  bottle: {
    glass: 'M9 34 Q9 30 14 29 H30 Q35 30 35 34 V64 Q35 70 29 70 H15 Q9 70 9 64 Z',
    cap: 'M16 4 Q16 2 18 2 H26 Q28 2 28 4 L29 28 H15 Z',
  },
  pot: {
    glass: 'M5 48 H39 V63 Q39 70 32 70 H12 Q5 70 5 63 Z',
    cap: 'M4 36 Q4 33 7 33 H37 Q40 33 40 36 V47 H4 Z',
  },
  jar: {
    glass: 'M8 38 H36 V64 Q36 70 30 70 H14 Q8 70 8 64 Z',
    cap: 'M7 27 Q8 20 22 20 Q36 20 37 27 V37 H7 Z',
  },
  flask: {
    glass: 'M12 36 Q12 30 18 29 H26 Q32 30 32 36 V64 Q32 70 27 70 H17 Q12 70 12 64 Z',
    cap: 'M20 6 Q22 3 24 6 L26 18 H27 V28 H17 V18 H18 Z',
  },
};

/** Where grains show in a bottle: inside the glass of every one. */
const SPECKS = [
  [14, 61],
  [15.5, 52],
  [17, 57.5],
  [18.5, 64],
  [20, 49.5],
  [21.5, 55],
  [23, 60.5],
  [24.5, 51],
  [26, 65],
  [27.5, 56.5],
  [29, 62],
  [30, 53],
] as const;

const speck_px = ({ size_mm }: PotGrains) => Math.min(1.9, 0.55 + size_mm);

/** A product as it stands on a shelf; what is metallic wants the sheen once on its page. */
export function Bottle({ product }: { product: Product }) {
  const { glass, cap } = VESSELS[vesselOf(product.family)];
  const matte = product.family === 'top-matte';
  return (
    <svg viewBox="0 0 44 72" className={classes.drawn} aria-hidden>
      <path d={glass} fill={product.colour ?? 'var(--sheet)'} stroke="var(--line)" strokeWidth={1} />
      {product.effect === 'metallic' && <path d={glass} fill="url(#metal)" />}
      {product.grains &&
        SPECKS.map(([x, y]) => (
          <circle key={x} cx={x} cy={y} r={speck_px(product.grains!)} fill={product.grains!.colour} />
        ))}
      {!matte && (
        <path
          d="M14 40 Q13 54 15 64"
          fill="none"
          stroke="#fff"
          strokeOpacity={0.5}
          strokeWidth={2.4}
          strokeLinecap="round"
        />
      )}
      <path d={cap} fill="var(--ink)" />
    </svg>
  );
}

/** What makes metal of a colour, once for all bottles of a page. */
export function MetalSheen() {
  return (
    <svg width={0} height={0} aria-hidden className={classes.metals}>
      <linearGradient id="metal" x1="0" x2="1" y1="0" y2="0.4">
        <stop offset="0" stopColor="#fff" stopOpacity={0.05} />
        <stop offset="0.35" stopColor="#fff" stopOpacity={0.5} />
        <stop offset="0.6" stopColor="#000" stopOpacity={0.12} />
        <stop offset="1" stopColor="#fff" stopOpacity={0.2} />
      </linearGradient>
    </svg>
  );
}
