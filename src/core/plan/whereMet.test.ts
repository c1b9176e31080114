import { snowScene } from '../demo/snowScene';
import { planSet } from './planSet';
import { whereMet } from './whereMet';

it('a work of the reference is found where it meets what was asked for, and nowhere else', () => {
  const set = snowScene();
  const plan = planSet(set, { fixes: false, effort: { iterations: 0 } });
  const product = (id: string) => set.kit.products.find((one) => one.id === id)!;
  const mirror = whereMet(plan, product, 'mirror', 'cured top coat, slick, no-wipe');
  expect(mirror.map(({ nails }) => nails)).toEqual([['left-little', 'right-little']]);
  expect(mirror.every(({ operation }) => operation.verb === 'burnish')).toBe(true);
  expect(whereMet(plan, product, 'mirror', 'cured gel, tacky')).toEqual([]);
});
