import { buildOf } from '../../document/nailContext';
import { techniqueOf } from '../../craft/techniques';
import { rounded } from '../../model/rounded';
import { bodyOf } from '../../simulate/strength';
import type { FindingCode } from '../codes';
import type { FindingDraft, Fix } from '../finding';
import { granted, grantedByAny, type NailCase, type NailRule } from '../rule';

/** Product a millimetre and a half in from the skin, at most; what a ready tip brings with it lies within (common practice). */
const MOST_CUTICLE_MM = 0.9;
const MOST_SIDEWALLS_MM = 1.3;
const STEP_UM = 50;
const LEAST_APEX_UM = 300;

/** A nail is thin where it meets the skin: a ledge at the cuticle catches, and thick walls look wide. */
export const thickSides: NailRule = {
  codes: ['cuticle-thick', 'walls-thick'],
  asks: 'Is the nail thin where it meets cuticle and sidewalls?',
  check: (nail) => {
    const { cuticle_mm, sidewalls_mm } = bodyOf(nail.field);
    const at = (
      code: FindingCode,
      where: string,
      value: number,
      limit: number,
      reason: string,
    ): FindingDraft[] =>
      value <= limit
        ? []
        : [
            {
              code,
              severity: 'warn',
              message: `The nail is thick ${where}.`,
              reason,
              figure: {
                words: `product 1.5 mm from the ${code === 'cuticle-thick' ? 'cuticle' : 'sidewalls'}`,
                value: rounded(value, 2),
                limit,
                is: 'at most',
                unit: 'mm',
              },
              tries: [
                ...thinner(nail, value - limit),
                ...lessOver(nail, value - limit),
                ...grantedByAny(nail, 'without-ground', {}),
              ],
            },
          ];
    return [
      ...at(
        'cuticle-thick',
        'near the cuticle',
        cuticle_mm,
        MOST_CUTICLE_MM,
        'A ledge at the cuticle catches in hair and lifts from there; the highest place is over the stress area.',
      ),
      ...at(
        'walls-thick',
        'at the sidewalls',
        sidewalls_mm,
        MOST_SIDEWALLS_MM,
        'Thick sides look wide and hide the curve: strength stands along the middle.',
      ),
    ];
  },
};

/** Less at the apex: what is poured runs out to cuticle and walls. */
function thinner({ set, context }: NailCase, over_mm: number): Fix[] {
  const build = buildOf(set, context.nail);
  if (!('apex_um' in build)) return [];
  const apex_um = Math.floor((build.apex_um - over_mm * 2000) / STEP_UM) * STEP_UM;
  if (apex_um < LEAST_APEX_UM) return [];
  return [
    {
      words: `Build the apex ${apex_um} µm high`,
      change: { kind: 'put-build', build: { ...build, apex_um } },
    },
  ];
}

/** The thickest cap of an inlay laid thinner. */
function lessOver(nail: NailCase, over_mm: number): Fix[] {
  const inlays = nail.elements.flatMap((one) => {
    const asked = techniqueOf(one.kind).inlaid?.(one, nail.context);
    return asked ? [{ id: one.id, cap_um: asked.cap_um }] : [];
  });
  const thickest = inlays.reduce<(typeof inlays)[number] | undefined>(
    (most, one) => (!most || one.cap_um > most.cap_um ? one : most),
    undefined,
  );
  if (!thickest) return [];
  const cap_um = Math.floor((thickest.cap_um - over_mm * 2000) / STEP_UM) * STEP_UM;
  if (cap_um < LEAST_APEX_UM) return [];
  return granted(nail, thickest.id, 'thicker-clear', { cap_um });
}
