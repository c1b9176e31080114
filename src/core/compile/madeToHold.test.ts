import { wholePlace } from '../craft/context';
import { meets, surfacesMet, WORKS } from '../craft/layering';
import { preparations } from '../craft/preparations';
import { encode, surfaceWords } from '../craft/surface';
import { lookup } from '../craft/surfaces';
import { contextOf } from '../document/nailContext';
import { newSet } from '../starter/newSet';
import { afterAll } from './ground';

it('whatever is put in so that work holds, the layering reference names a way there as well', () => {
  const context = contextOf(newSet('a', 'A'), 'left-ring');
  const ways = preparations(context);
  const unnamed: string[] = [];
  let helped = 0;
  for (const work of WORKS)
    for (const surface of surfacesMet()) {
      const { refuses } = lookup(work.verb, work.laid);
      if (refuses[encode(surface)] === 0) continue;
      const helps = ways.some((way) => {
        if (way.spoils?.(surface)) return false;
        const after = afterAll(way.drafts(wholePlace(), ''), surface, context.product);
        return after !== undefined && refuses[encode(after)] === 0;
      });
      if (!helps) continue;
      helped += 1;
      if (meets(work, surface).ways.length === 0) unnamed.push(`${work.key} on ${surfaceWords(surface)}`);
    }
  expect(helped).toBeGreaterThan(300);
  expect(unnamed).toEqual([]);
});
