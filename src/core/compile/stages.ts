import type { BuildKind, BuildStages, Structure } from '../craft/build';
import { buildKindOf, type Build } from '../craft/builds';
import type { NailContext } from '../craft/context';
import { baseDraft } from '../craft/drafts';
import type { BuildAnew, FoundOn } from '../craft/start';
import { startKindOf } from '../craft/starts';
import { pouredStructure } from '../craft/structures';

/** Thickness at the apex of old nails whose build has none of its own (common practice). */
const WORN_POLISH_UM = 200;
const WORN_TIP_UM = 600;
/** Builder that brings the apex back on what was not built of it (common practice). */
const REFILL_UM = 600;

/** Work on a stand meets no old nail. */
function startOf(kind: BuildKind<Build>, { nail }: NailContext) {
  return kind.offHand ? ({ kind: 'bare', dull: false } as const) : nail.start;
}

/** Whether nobody's hand is at the table. */
export function isOffHand(kind: Pick<BuildKind<Build>, 'offHand'>, { nail }: NailContext): boolean {
  return kind.offHand === true || startKindOf(nail.start.kind).offHand === true;
}

function anew(build: Build, kind: BuildKind<Build>, context: NailContext): BuildAnew {
  const stages = () => kind.stages(build, context);
  const structure = () => kind.structure?.(build, context);
  return {
    stages,
    structure,
    worn_um:
      'apex_um' in build
        ? build.apex_um
        : (structure()?.apex_um ?? (kind.edge === 'plate' ? WORN_POLISH_UM : WORN_TIP_UM)),
    refill: () => {
      const own = kind.refill?.(build, context);
      if (own) return own;
      if (kind.edge !== 'plate')
        return {
          foundation: baseDraft(context, 'Over the new growth and the keyed old nail alike.'),
          structure: pouredStructure(context.role('builder'), REFILL_UM),
        };
      const laid = structure();
      return { foundation: stages().foundation ?? [], ...(laid ? { structure: laid } : {}) };
    },
  };
}

/** Whether the old nail stays, so that no tip or form is put on. */
export function keepsOld(build: Build, context: NailContext): boolean {
  return startKindOf(startOf(buildKindOf(build.kind), context).kind).keeps !== undefined;
}

/** The stages of a nail's work before its art, and what is built over it, by how it starts and what it is built on. */
export function stagesOf(
  build: Build,
  context: NailContext,
): { stages: BuildStages; structure?: Structure | undefined } {
  const kind = buildKindOf(build.kind);
  const start = startOf(kind, context);
  const { keeps } = startKindOf(start.kind);
  const own = anew(build, kind, context);
  return keeps ? keeps(start, own, context) : { stages: own.stages(), structure: own.structure() };
}

/** What is found on a nail before any work. */
export function foundOn(build: Build, context: NailContext): FoundOn {
  const kind = buildKindOf(build.kind);
  const start = startOf(kind, context);
  return startKindOf(start.kind).found(start, anew(build, kind, context).worn_um);
}
