import { PDFDocument } from 'pdf-lib';
import { DEMO_SETS } from '../demo';
import { curtainUp } from '../demo/curtainUp';
import { frameOf, buildOf } from '../document/nailContext';
import { outlinePolygon } from '../geometry/frame';
import { polygonArea_mm2 } from '../geometry/polygons';
import { NAILS, type NailName } from '../model/names';
import { sheetPdf } from './templatePdf';
import { sheetSvg, templateSheet } from './templateSheet';

describe('a template sheet', () => {
  it.each(DEMO_SETS.map((demo) => [demo.id, demo] as const))(
    '%s: every nail at its own size, inside the page',
    (_, demo) => {
      const set = demo.make();
      const sheet = templateSheet(set);
      const sidesOf = (nail: NailName) => {
        const xs = sheet.lines
          .find((line) => line.nail === nail && line.what === 'outline')!
          .points.map(({ x }) => x);
        return [Math.min(...xs), Math.max(...xs)] as const;
      };
      for (const name of NAILS) {
        const frame = frameOf(set.nails[name], buildOf(set, set.nails[name]));
        const outline = sheet.lines.find((line) => line.nail === name && line.what === 'outline')!;
        expect(polygonArea_mm2(outline.points)).toBeCloseTo(polygonArea_mm2(outlinePolygon(frame, 60)), 1);
        const xs = outline.points.map((point) => point.x);
        expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(frame.arc_mm, 1);
      }
      for (const { points, nail, what } of sheet.lines)
        for (const { x, y } of points) {
          // What is drawn on a nail ends where it ends.
          if (nail && what === 'region') {
            const [left, right] = sidesOf(nail);
            expect(x).toBeGreaterThan(left - 0.05);
            expect(x).toBeLessThan(right + 0.05);
          }
          expect(x).toBeGreaterThan(0);
          expect(x).toBeLessThan(sheet.width_mm);
          expect(y).toBeGreaterThan(0);
          expect(y).toBeLessThan(sheet.height_mm);
        }
    },
  );

  it('has a rule of 50 mm, and shows what is drawn and set on each nail', () => {
    const { lines } = templateSheet(curtainUp());
    const rule = lines.filter((line) => line.what === 'rule').map((line) => line.points);
    const long = rule.find(([a, b]) => a!.y === b!.y)!;
    expect(long[1]!.x - long[0]!.x).toBe(50);
    const of = (nail: string, what: string) =>
      lines.filter((line) => line.nail === nail && line.what === what).length;
    expect(of('left-ring', 'piece')).toBe(7);
    expect(of('left-index', 'region')).toBeGreaterThanOrEqual(2);
    expect(of('left-middle', 'piece')).toBeGreaterThan(4);
  });

  it('is one mm a unit as SVG, and nothing in a title gets out of its place', () => {
    const set = { ...curtainUp(), title: '<script>alert("x")</script> & more' };
    const svg = sheetSvg(templateSheet(set));
    expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
    expect(svg).not.toContain('<script>');
    expect(svg).toContain('&lt;script&gt;alert(&quot;x&quot;)&lt;/script&gt; &amp; more');
  });

  // ISO 216: A4 is 210 × 297 mm; ISO 32000: a point is 1/72 inch.
  it('is an A4 page as PDF, whatever letters its title has', async () => {
    const set = { ...curtainUp(), title: 'Matinée – 夜' };
    const file = await PDFDocument.load(await sheetPdf(templateSheet(set), set.title));
    expect(file.getPageCount()).toBe(1);
    const { width, height } = file.getPage(0).getSize();
    expect((width / 72) * 25.4).toBeCloseTo(210, 6);
    expect((height / 72) * 25.4).toBeCloseTo(297, 6);
    expect(file.getTitle()).toBe(set.title);
  });
});
