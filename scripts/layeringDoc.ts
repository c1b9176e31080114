import { hardensOf, isClean, meets, surfacesMet, wantsOf, WORKS } from '../src/core/craft/layering';
import { REASON_WORDS } from '../src/core/craft/reasonWords';
import { REASONS } from '../src/core/craft/surfaces';
import { surfaceWords } from '../src/core/craft/surface';

/** docs/layering.md: the table of surfaces as it is asked, written from it. */
export function layeringDoc(): string {
  const clean = surfacesMet().filter(isClean);
  const rows = WORKS.map((work) => {
    const met = clean.map((surface) => meets(work, surface));
    const holds = met.filter(({ reason }) => !reason);
    const leaves = [...new Set(holds.map((one) => one.leaves))];
    return [
      work.words,
      wantsOf(work),
      gathered(holds.map(({ surface }) => surface)),
      leaves.length > FEW ? 'what was there, changed by it' : leaves.join('; '),
      hardensOf(work),
    ];
  });
  return [
    '# What holds on what',
    '',
    'Written from the table that every order is judged by (`npm run schema`); _Plate to top_ shows the same, with what to do where it does',
    'not hold. Surfaces are clean and free of oil here: what is dusty is brushed and wiped before anything wet, and oil comes last.',
    '',
    table(['Laid, or done', 'Wants', 'Holds on', 'Leaves', 'Hardens'], rows),
    '',
    '## Why not',
    '',
    table(
      ['Found as', 'Why it matters'],
      REASONS.map((reason) => [`\`${reason}\``, REASON_WORDS[reason]]),
    ),
    '',
    `## Surfaces\n\n${clean.map(surfaceWords).join('; ')}.`,
    '',
  ].join('\n');
}

const FEW = 4;

/** "cured gel: tacky, wiped; wet gel": surfaces of one stuff and phase said together. */
function gathered(surfaces: readonly string[]): string {
  const by = new Map<string, string[]>();
  for (const words of surfaces) {
    const [what, ...rest] = words.split(', ');
    by.set(what!, [...(by.get(what!) ?? []), ...(rest.length > 0 ? [rest.join(' and ')] : [])]);
  }
  return [...by].map(([what, how]) => (how.length > 0 ? `${what}: ${how.join(', ')}` : what)).join('; ');
}

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n');
}
