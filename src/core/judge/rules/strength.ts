import { buildOf } from '../../document/nailContext';
import { rounded } from '../../model/rounded';
import { bodyOf, WEAK } from '../../simulate/strength';
import type { Fix } from '../finding';
import type { NailCase, NailRule } from '../rule';

/** A way out is taken a little further than it must. */
const SPARE = 1.3;
const STEP_UM = 50;
const MOST_APEX_UM = 1500;

/** The stress area, where bed turns into free edge, against the length that levers on it. */
export const strength: NailRule = {
  codes: ['weak-stress'],
  asks: 'Does the nail hold at the stress area what its length levers on it?',
  check: (nail) => {
    const { carries } = bodyOf(nail.field);
    if (carries === 0 || carries >= WEAK) return [];
    const fix = thicker(nail, carries) ?? shorter(nail, carries);
    return [
      {
        severity: 'warn',
        message: 'The nail is weak at the stress area for its length.',
        reason:
          'It breaks where the bed ends: a higher apex there, a stronger curve or a shorter edge gives the strength back.',
        figure: {
          words: 'of what a natural nail carries',
          value: rounded(carries, 2),
          limit: WEAK,
          is: 'at least',
          unit: '×',
        },
        ...(fix ? { fix } : {}),
      },
    ];
  },
};

/** A curved section carries by its thickness, a flat one by the square of it: the first never promises too much. */
function thicker({ set, context }: NailCase, carries: number): Fix | undefined {
  const build = buildOf(set, context.nail);
  if (!('apex_um' in build)) return undefined;
  const plate_um = context.nail.plate.thickness_mm * 1000;
  const wanted = (plate_um + build.apex_um) * ((WEAK * SPARE) / carries) - plate_um;
  const apex_um = Math.ceil(wanted / STEP_UM) * STEP_UM;
  if (apex_um > MOST_APEX_UM || apex_um <= build.apex_um) return undefined;
  return {
    words: `Build the apex ${apex_um} µm high`,
    change: { kind: 'put-build', build: { ...build, apex_um } },
  };
}

/** What a load bends goes with the length it sits out at. */
function shorter({ name, context: { frame, nail } }: NailCase, carries: number): Fix | undefined {
  const free_mm = Math.floor((((frame.length_mm - frame.bed_mm) * carries) / (WEAK * SPARE)) * 2) / 2;
  if (free_mm < 1) return undefined;
  return {
    words: `Make it ${free_mm} mm past the free edge`,
    change:
      nail.plate.free_edge_mm === frame.length_mm - frame.bed_mm
        ? { kind: 'measure', nails: [name], plate: { free_edge_mm: free_mm } }
        : { kind: 'nail', nails: [name], put: { own_free_mm: free_mm } },
  };
}
