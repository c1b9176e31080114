import type { BuildStages, Structure } from '../craft/build';
import type { Build } from '../craft/builds';
import type { NailContext } from '../craft/context';
import type { Draft } from '../craft/operation';
import type { Made } from '../craft/technique';
import { techniqueOf, type Element } from '../craft/techniques';
import { stagesOf } from './stages';

/** What a look makes the build of; the last of its elements that says so. */
export function madeOf(elements: readonly Element[], context: NailContext): Made | undefined {
  return elements.flatMap((one) => techniqueOf(one.kind).builds?.(one, context) ?? []).at(-1);
}

/**
 * The stages of a build in what the look makes it of. Over pieces the build's own material stays clear, as the kit has it: they
 * are to be seen. About islands it is in colour, and what they are set on is clear: the file bares them.
 */
export function stagesIn(
  made: Made | undefined,
  build: Build,
  context: NailContext,
): { stages: BuildStages; structure?: Structure | undefined } {
  if (!made) return stagesOf(build, context);
  const inColour: NailContext = {
    ...context,
    role: (role) => (role === made.role ? made.product : context.role(role)),
  };
  const own = stagesOf(build, inColour);
  const clear = context.inlaid ? stagesOf(build, context) : own;
  const { stages } = context.framed ? clear : own;
  const { structure } = context.framed ? own : clear;
  const { foundation } = stages;
  return {
    stages: { ...stages, ...(foundation ? { foundation: painted(foundation, made) } : {}) },
    structure: structure && {
      ...structure,
      lay: (t_um, over) => painted(structure.lay(t_um, over), made),
    },
  };
}

function painted(drafts: readonly Draft[], { product, paint, words }: Made): Draft[] {
  return drafts.map((draft) => {
    if (draft.product !== product.id || !draft.deposit) return draft;
    if (!words) return { ...draft, paint };
    // Every product is named in how they are laid.
    const work = draft.words.replace(` of ${product.name}`, '').replace(` with ${product.name}`, '');
    return { ...draft, paint, words: `${work}: ${words}` };
  });
}
