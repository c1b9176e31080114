import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import { written } from './latin';
import { pathOf, strokeOf, type Sheet } from './templateSheet';

/** Points of a PDF (ISO 32000: 1/72 inch) in a mm. */
const POINTS = 72 / 25.4;

/** The sheet as a PDF of one page, at true scale. */
export async function sheetPdf(sheet: Sheet, title: string): Promise<Uint8Array> {
  const file = await PDFDocument.create();
  file.setTitle(title);
  const font = await file.embedFont(StandardFonts.Helvetica);
  const page = file.addPage([sheet.width_mm * POINTS, sheet.height_mm * POINTS]);
  const top = sheet.height_mm * POINTS;
  for (const line of sheet.lines) {
    const { width_mm, colour, dash_mm } = strokeOf(line.what);
    page.drawSvgPath(pathOf(line), {
      x: 0,
      y: top,
      scale: POINTS,
      borderColor: colourOf(colour),
      // The width is scaled with the path.
      borderWidth: width_mm,
      ...(dash_mm ? { borderDashArray: dash_mm } : {}),
    });
  }
  for (const { at, words, size_mm, anchor } of sheet.words) {
    const text = written(words, (sign) => font.encodeText(sign));
    const size = size_mm * POINTS;
    const left = anchor === 'middle' ? font.widthOfTextAtSize(text, size) / 2 : 0;
    page.drawText(text, { x: at.x * POINTS - left, y: top - at.y * POINTS, size, font });
  }
  return file.save();
}

function colourOf(hex: string) {
  const part = (at: number) => parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}
