import { compileNail } from '../../compile/compile';
import { grey } from '../../colour/film';
import { luminance } from '../../colour/space';
import { planNail } from '../../plan/nailPlan';
import { drawNail } from '../../picture/nailPicture';
import { pileColours } from '../../simulate/pile';
import { codesOn, element, setWearing } from '../../testing/sets';

const GROUND = element('colour', { id: 'ground', product: 'night-blue' });
const gloss = element('finish', { id: 'gloss', finish: 'gloss' });

describe('pearl powder', () => {
  it('goes onto the tack of the colour below, loose rest off before the top, and nothing is found', () => {
    const set = setWearing([GROUND, element('pearl'), gloss]);
    expect(codesOn(set)).toEqual([]);
    const own = compileNail(set, 'left-ring').operations.filter(({ element: id }) => id === 'pearl');
    expect(own.map(({ verb }) => verb)).toEqual(['rub', 'dust-off']);
    expect(own[0]!.words).toBe('Rub Pearl powder on until nothing more sticks');
    expect(own[0]!.caution).toMatch(/air you breathe/);
  });

  it('on what has no tack, such as a keyed tip, is laid on a thin base, whether it brings one or not', () => {
    const onTips = (tack: boolean) =>
      setWearing([element('pearl', { tack })], (set) => {
        set.nails['left-ring'].build = 'tips';
      });
    for (const tack of [false, true]) {
      const set = onTips(tack);
      expect(codesOn(set)).toEqual([]);
      const { operations } = compileNail(set, 'left-ring');
      const rubbed = operations.findIndex(({ verb }) => verb === 'rub');
      expect(operations.slice(rubbed - 2, rubbed).map(({ verb }) => verb)).toEqual(['base', 'cure']);
    }
  });

  it('is a veil: a dark ground is seen through it, paler than bare', () => {
    const seen = (set: ReturnType<typeof setWearing>) => {
      const { nominal, compiled } = planNail(set, 'left-ring');
      return luminance(pileColours(nominal.field, compiled.context.product)(0, 6, { ground: grey(0.5) }));
    };
    const [bare, veiled] = [seen(setWearing([GROUND])), seen(setWearing([GROUND, element('pearl')]))];
    expect(veiled).toBeGreaterThan(bare * 1.2);
    expect(veiled).toBeLessThan(0.5);
  });

  it('is dull until it is topped: nothing of the lamp is seen in it', () => {
    const { nominal, compiled } = planNail(setWearing([GROUND, element('pearl'), gloss]), 'left-ring');
    const brightest = (upTo: string) => {
      const last = nominal.field.films.findIndex((film) => film.operation.includes(upTo));
      const field = { ...nominal.field, films: nominal.field.films.slice(0, last + 1) };
      const { data, width, height } = drawNail(field, compiled.context.product, 6);
      // Away from the rim, where the skin shows.
      let most = 0;
      for (let y = Math.round(height * 0.3); y < height * 0.7; y += 1)
        for (let x = Math.round(width * 0.25); x < width * 0.75; x += 1)
          most = Math.max(most, data[(y * width + x) * 4]!);
      return most;
    };
    expect(brightest('/pearl/')).toBeLessThan(brightest('/gloss/') - 40);
  });
});
