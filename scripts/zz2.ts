import { understudy } from '../src/core/demo/understudy';
import { waysOutOf } from '../src/core/plan/fixes';
import { judgeNail, planNail } from '../src/core/plan/nailPlan';
import { applyChange } from '../src/core/document/changes';
const set = understudy();
const name = 'left-ring' as const;
const show = (set: any, pre = '') => {
  const plan = planNail(set, name);
  const { compiled } = plan;
  const told = judgeNail(set, name, plan, plan.nominal).filter((x) => x.severity !== 'note');
  console.log(
    pre,
    told.map((t) => t.code),
  );
  return {
    told,
    line: { operations: compiled.operations, skipped: compiled.skipped, order: compiled.order },
  };
};
const { told, line } = show(set);
for (const t of told)
  for (const w of waysOutOf(set, { ...t, nail: name }, line)) {
    const n = applyChange(set, w.change);
    console.log(t.code, '|', w.words);
    if (n.ok) show(n.value, '     ');
  }
