import { understudy } from '../src/core/demo/understudy';
import { NAILS } from '../src/core/model/names';
import { inOneGo } from '../src/core/model/inSlices';
import { puttingRight, putRightWords } from '../src/core/plan/putRight';
const set = understudy();
for (const n of NAILS) {
  const t = performance.now();
  const r = inOneGo(puttingRight(set, [n]));
  console.log(
    n,
    putRightWords(r),
    r.steps.map((s) => s.words),
    r.tried,
    Math.round(performance.now() - t),
  );
}
