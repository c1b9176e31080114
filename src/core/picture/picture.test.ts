import { curtainUp } from '../demo/curtainUp';
import type { SetDocument } from '../document/document';
import { handOf, NAILS, type NailName } from '../model/names';
import { layRegion } from '../regions';
import { height_um } from '../simulate/field';
import { planNail } from '../plan/nailPlan';
import { nominalSteps, simulateNail } from '../simulate/simulate';
import { element, setWearing } from '../testing/sets';
import { drawNail, type NailPicture } from './nailPicture';
import { crosswise, lengthwise } from './section';
import { PICTURE_PAD_MM, spreadOf } from './spread';

const PX = 8;
function draw(set: SetDocument, name: NailName = 'left-ring') {
  const { nominal, compiled } = planNail(set, name);
  return { picture: drawNail(nominal.field, compiled.context.product, PX), field: nominal.field };
}
function at(picture: NailPicture, across: number, along: number): [number, number, number, number] {
  const column = Math.round(picture.width / 2 + (across * picture.width) / 2);
  const row = Math.round(picture.height * (1 - along));
  const i = (row * picture.width + column) * 4;
  return [picture.data[i]!, picture.data[i + 1]!, picture.data[i + 2]!, picture.data[i + 3]!];
}
describe('a nail’s picture', () => {
  it('has the nail’s true proportions and is clear outside it', () => {
    const { picture, field } = draw(setWearing([element('colour')]));
    expect(picture.width).toBe(Math.ceil((field.frame.width_mm + 2 * PICTURE_PAD_MM) * PX));
    expect(picture.height).toBe(Math.ceil((field.frame.length_mm + 2 * PICTURE_PAD_MM) * PX));
    expect(at(picture, 0, 0.5)[3]).toBe(255);
    expect(at(picture, 0.96, 0.97)[3]).toBe(0);
    expect(at(picture, -0.99, 0.5)[3]).toBeLessThan(60);
  });

  it('shows the colour that was laid', () => {
    const [r, g, b] = at(draw(setWearing([element('colour', { product: 'sage-03' })])).picture, 0.25, 0.5);
    expect(g).toBeGreaterThan(r);
    expect(g).toBeGreaterThan(b);
    const [r2, g2, b2] = at(
      draw(setWearing([element('colour', { product: 'ember-12' })])).picture,
      0.25,
      0.5,
    );
    expect(r2).toBeGreaterThan(2 * g2);
    expect(r2).toBeGreaterThan(2 * b2);
  });

  it('runs from one colour to the other along an ombre', () => {
    const set = setWearing([
      element('ombre', {
        stops: [
          { product: 'amber-11', at: 0.1 },
          { product: 'plum-07', at: 0.9 },
        ],
      }),
    ]);
    const { picture } = draw(set);
    expect(at(picture, 0.25, 0.2)[0]).toBeGreaterThan(at(picture, 0.25, 0.8)[0] + 40);
  });

  it('a mirror at the tip leaves the flakes of a cat-eye below it as coarse as they are', () => {
    const band = (from: number, to: number) => ({ kind: 'band' as const, from, to });
    const mirror = element('colour', { id: 'mirror', product: 'mirror-silver', region: band(1.5, 2) });
    const shimmer = [element('colour', { product: 'night-blue' }), element('magnetic', { width_mm: 8 })];
    const [plain, both] = [draw(setWearing(shimmer)), draw(setWearing([...shimmer, mirror]))];
    const grainAt = (picture: NailPicture) => {
      // From pixel to pixel flakes differ, a mirror does not.
      const row = [...Array(40).keys()].map((i) => at(picture, -0.4 + i * 0.02, 0.5)[2]);
      return row.slice(1).reduce((sum, one, i) => sum + Math.abs(one - row[i]!), 0);
    };
    expect(grainAt(both.picture)).toBe(grainAt(plain.picture));
  });

  it('lets the bed show through one coat of a colour that needs three', () => {
    const one = at(
      draw(setWearing([element('colour', { product: 'ivory-02', passes: 1 })])).picture,
      0.25,
      0.4,
    );
    const three = at(
      draw(setWearing([element('colour', { product: 'ivory-02', passes: 3 })])).picture,
      0.25,
      0.4,
    );
    // The bed is pink: seen through, blue and green fall behind red.
    expect(one[0] - one[2]).toBeGreaterThan(three[0] - three[2]);
  });

  it('ends a colour where its region ends, and leaves all else as it was', () => {
    const oval = { kind: 'oval', across: 0.3, along: 0.8, width_mm: 3, length_mm: 4, turn_deg: 20 } as const;
    const plain = draw(setWearing([element('colour', { product: 'sage-03' })])).picture;
    const spotted = draw(
      setWearing([
        element('colour', { product: 'sage-03' }),
        element('colour', { id: 'spot', product: 'ember-12', region: oval }),
      ]),
    );
    const { frame } = spotted.field;
    const area = layRegion(frame, oval);
    let inside = 0;
    for (let row = 0; row < plain.height; row += 1) {
      const y = frame.length_mm + PICTURE_PAD_MM - (row + 0.5) / PX;
      for (let column = 0; column < plain.width; column += 1) {
        const seen = (column + 0.5) / PX - PICTURE_PAD_MM - frame.width_mm / 2;
        if (Math.abs(seen) >= Math.min(frame.radius_mm, frame.width_mm / 2 - 0.3)) continue;
        const d = area.distance_mm(frame.radius_mm * Math.asin(seen / frame.radius_mm), y);
        const i = (row * plain.width + column) * 4;
        const apart = [0, 1, 2].map((c) => Math.abs(plain.data[i + c]! - spotted.picture.data[i + c]!));
        // The lamp mirrored in the surface moves a hair where films rise; no colour does.
        if (d < -1.5 / PX) expect(Math.max(...apart)).toBeLessThan(40);
        if (d < -1.5) expect(Math.max(...apart)).toBeLessThan(16);
        if (d < 1.5 / PX) continue;
        expect(Math.max(...apart)).toBeGreaterThan(0);
        inside += 1;
      }
    }
    expect(inside).toBeGreaterThan(300);
  });

  it('is duller matte than glossy', () => {
    const gloss = draw(setWearing([element('colour')])).picture;
    const matte = draw(setWearing([element('colour'), element('finish', { finish: 'matte' })])).picture;
    const brightest = (picture: NailPicture) =>
      Math.max(
        ...Array.from({ length: 60 }, (_, i) =>
          at(picture, -0.6 + i / 50, 0.5)
            .slice(0, 3)
            .reduce((a, b) => a + b),
        ),
      );
    expect(brightest(gloss)).toBeGreaterThan(brightest(matte) + 150);
  });

  it('shows a stone standing out of it where it was set', () => {
    const plain = draw(setWearing([element('colour')])).picture;
    const stones = draw(setWearing([element('colour'), element('crystals', { sizes: ['SS16'] })])).picture;
    const y = (0.6 + 3.9 / 2 + PICTURE_PAD_MM) / (plain.height / PX);
    const [r] = at(plain, 0, y);
    const [rs] = at(stones, 0, y);
    expect(Math.abs(rs - r)).toBeGreaterThan(40);
  });

  it('is the same each time', () => {
    const set = curtainUp();
    for (const name of ['left-ring', 'right-thumb'] as const) {
      expect(
        Buffer.from(draw(set, name).picture.data).equals(Buffer.from(draw(curtainUp(), name).picture.data)),
      ).toBe(true);
    }
  });
});

describe('the cuts', () => {
  const set = curtainUp();
  const { nominal, compiled } = planNail(set, 'left-ring');

  it('carry the films of the columns, in order, and as high as they are', () => {
    const section = lengthwise(nominal.field, compiled.context.product);
    const sums = section.at_mm.map((_, i) => section.films.reduce((sum, film) => sum + film.t_um[i]!, 0));
    const middle = 28 / 2;
    section.at_mm.forEach((_, j) =>
      expect(sums[j]).toBeCloseTo(height_um(nominal.field, j * 28 + middle), 0),
    );
    expect(section.films.map((film) => film.words)).toEqual(
      expect.arrayContaining([
        'Base A',
        'Fixing gel A',
        'tip',
        'Velvet 04',
        'Clear builder A',
        'No-wipe top A',
      ]),
    );
  });

  it('say what is still wet half-way', () => {
    const until = compiled.operations.findIndex((one) => one.verb === 'cap') + 1;
    const { field } = simulateNail(compiled, 'tip', nominalSteps(compiled.operations.slice(0, until)));
    const films = crosswise(field, compiled.context.product).films;
    expect(films[films.length - 1]!.phase).toBe('wet');
    expect(films[0]!.phase).toBe('cured');
  });

  it('follow the C-curve across: highest in the middle', () => {
    const { ground_mm, at_mm } = crosswise(nominal.field, compiled.context.product);
    const middle = ground_mm.length / 2;
    expect(ground_mm[0]!).toBeLessThan(ground_mm[middle]!);
    expect(at_mm[0]).toBeCloseTo(-at_mm[at_mm.length - 1]!, 3);
  });
});

describe('the spread', () => {
  it('lays ten nails from left to right, none over another, the middle finger highest of each hand', () => {
    const { nails, width_mm, height_mm } = spreadOf(curtainUp());
    expect(nails.map((nail) => nail.name)).toEqual(NAILS);
    for (let i = 1; i < nails.length; i += 1) {
      const gap = nails[i]!.x_mm - nails[i - 1]!.x_mm - (nails[i]!.finger_mm + nails[i - 1]!.finger_mm) / 2;
      expect(gap).toBeGreaterThan(0);
    }
    for (const hand of ['left', 'right'] as const) {
      const own = nails.filter((nail) => handOf(nail.name) === hand);
      const top = own.reduce((a, b) => (b.cuticle_mm - b.length_mm < a.cuticle_mm - a.length_mm ? b : a));
      expect(top.name).toBe(`${hand}-middle`);
    }
    for (const nail of nails) {
      expect(nail.x_mm - nail.finger_mm / 2).toBeGreaterThan(0);
      expect(nail.x_mm + nail.finger_mm / 2).toBeLessThan(width_mm);
      expect(nail.cuticle_mm - nail.length_mm).toBeGreaterThan(0);
      expect(nail.cuticle_mm).toBeLessThan(height_mm);
    }
  });

  it('twenty crossed lines with the finest wave are drawn: many points are no harm', () => {
    const waves = element('colour', {
      region: {
        kind: 'lines',
        count: 20,
        width_mm: 0.1,
        pitch_mm: 0.5,
        turn_deg: 45,
        across: 0,
        along: 0.8,
        crossed: true,
        wave: { rise_mm: 0.05, length_mm: 0.5 },
      },
    });
    const set = setWearing([waves]);
    const { nominal } = planNail(set, 'left-thumb');
    const products = new Map(set.kit.products.map((one) => [one.id, one]));
    const picture = drawNail(nominal.field, (id) => products.get(id)!, 12);
    expect(picture.data.some((value) => value > 0)).toBe(true);
  });
});
