import { PRODUCT_FAMILIES, type Product } from '../model/product';
import { genericKit } from '../starter/kit';
import { cureSeconds, flashSeconds, neededDose } from './cure';
import { hardenOf } from './drafts';
import { wholePlace } from './context';
import { FAMILIES, LAID, lampOf, settingOf } from './families';
import { rowOf } from './surfaces';
import type { Surface } from './surface';

const product = (family: Product['family'], over: Partial<Product> = {}): Product => ({
  id: 'one',
  name: 'One',
  family,
  ...over,
});

describe('product families', () => {
  it.each(PRODUCT_FAMILIES)('%s hardens in one way, and leaves a surface that the table knows', (family) => {
    const { hardens, laid, material, finish } = FAMILIES[family];
    const made = product(family);
    expect(lampOf(made) !== undefined).toBe(hardens === 'lamp');
    expect(settingOf(made) !== undefined).toBe(hardens === 'dries' || hardens === 'sets');
    expect(neededDose(made) !== undefined).toBe(hardens === 'lamp');
    expect(LAID).toContain(laid);
    if (laid === 'nothing') return;
    const left = rowOf('coat').leaves({} as Surface, laid);
    expect([left.material, left.phase]).toEqual([material, 'wet']);
    expect(finish.length).toBeGreaterThan(3);
  });

  it('a product’s own direction goes before the guide of its family', () => {
    expect(lampOf(product('base-gel'))).toEqual({ cure_s: 60, flash_s: 10, depth_um: 200 });
    const own = { cure_s: 45, flash_s: 5, depth_um: 120 };
    expect(lampOf(product('base-gel', { lamp: own }))).toBe(own);
    expect(settingOf(product('lacquer', { dry_s: 90 }))).toEqual({ working_s: 60, dry_s: 90 });
    // No working time is longer than the setting time.
    expect(settingOf(product('lacquer', { dry_s: 30 }))).toEqual({ working_s: 30, dry_s: 30 });
    // What a lamp does not harden has no use for lamp data, even where a file gives some.
    expect(lampOf(product('lacquer', { lamp: own }))).toBeUndefined();
  });

  it('a thicker coat asks for more light, up to what a hand bears', () => {
    const gel = product('builder-gel', { coat_um: 100, lamp: { cure_s: 60, flash_s: 10, depth_um: 200 } });
    expect(cureSeconds(gel, 50)).toBe(60);
    expect(cureSeconds(gel, 300)).toBe(Math.round(60 * Math.E));
    expect(flashSeconds(gel, 300)).toBe(Math.round(10 * Math.E));
    expect(cureSeconds(gel, 3000)).toBe(600);
    expect(
      Number.isFinite(
        cureSeconds(product('gel-colour', { lamp: { cure_s: 600, flash_s: 120, depth_um: 10 } }), 3000),
      ),
    ).toBe(true);
  });

  it('hardening is work in the lamp, held work, or none', () => {
    const verbs = (family: Product['family']) =>
      hardenOf(product(family), 50, wholePlace()).map((draft) => [draft.verb, draft.hand_s > 0]);
    expect(verbs('gel-colour')).toEqual([['cure', false]]);
    expect(verbs('instant-glue')).toEqual([['rest', true]]);
    expect(verbs('lacquer')).toEqual([]);
    expect(verbs('mirror-powder')).toEqual([]);
  });

  it('the generic kit has each role filled by a product that can do it', () => {
    const kit = genericKit();
    const family = (id: string) => kit.products.find((one) => one.id === id)!.family;
    expect(Object.fromEntries(Object.entries(kit.roles).map(([role, id]) => [role, family(id)]))).toEqual({
      dehydrator: 'dehydrator',
      primer: 'primer',
      base: 'base-gel',
      builder: 'builder-gel',
      bedding: 'bedding-gel',
      fixing: 'fixing-gel',
      glue: 'instant-glue',
      top: 'top-no-wipe',
      matte_top: 'top-matte',
      cleanser: 'cleanser',
      remover: 'remover',
      oil: 'oil',
      peel_base: 'peel-off-base',
      putty: 'putty-gel',
      acrylic: 'acrylic',
      dip: 'dip',
      dip_base: 'dip-base',
      activator: 'dip-activator',
      lacquer_base: 'lacquer-base',
      lacquer_top: 'lacquer-top',
    });
  });
});
