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

/** Its work in the paint, which is said where the work first names what it is laid with. */
function painted(drafts: readonly Draft[], { product, paint, words }: Made): Draft[] {
  const named = [` of ${product.name}`, ` with ${product.name}`];
  /** Of what is filled first and laid then it is said as it is filled. */
  let said = false;
  return drafts.map((draft): Draft => {
    const lays = draft.product === product.id && draft.deposit;
    const laid = lays ? { ...draft, paint } : draft;
    const name = named.find((one) => draft.words.includes(one));
    const told = said;
    said = name !== undefined && !lays;
    if (!words || draft.lamp || (!name && (!lays || draft.held || told))) return laid;
    return { ...laid, words: `${name ? draft.words.replace(name, '') : draft.words}: ${words}` };
  });
}
