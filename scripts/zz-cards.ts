import { DEMO_SETS } from '../src/core/demo';
import { NAILS } from '../src/core/model/names';
import { planSet } from '../src/core/plan/planSet';
import { benchCard } from '../src/core/timing/benchCard';
import { AT_LENGTH } from '../src/core/timing/effort';
const only = process.argv[2];
for (const demo of DEMO_SETS) {
  if (only && demo.id !== only) continue;
  const set = demo.make();
  const plan = planSet(set, { effort: { iterations: Number(process.argv[3] ?? AT_LENGTH.iterations) } });
  const worked = NAILS.filter((n) => set.nails[n].in_work);
  const lines = benchCard(plan.rounds, worked, plan.windows);
  console.log(`== ${demo.id} ${plan.sitting.total_s} s, ${lines.length} lines, ${plan.rounds.length} rounds`);
  for (const l of lines) {
    const m = Math.floor(l.start_s / 60), s = l.start_s % 60;
    console.log(`${m}:${String(s).padStart(2, '0')} ${l.hand} | ${l.nails} | ${l.words}${l.light ? ` [${l.light.seconds} ${l.light.mode}${l.light.held ? ' held' : ''}]` : ''}${l.wait_s ? ` (${l.idle ? 'idle' : 'rest'} ${l.wait_s})` : ''}${l.within ? ` {${l.within}}` : ''}${l.caution ? ` !${l.caution}` : ''}`);
  }
}
