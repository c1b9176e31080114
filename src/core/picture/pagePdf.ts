import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import { written } from './latin';

/** One page for a client: a title, a picture, facts side by side, a list, and small print. */
export interface ClientPage {
  title: string;
  facts: readonly { words: string; says: string }[];
  list_words: string;
  list: readonly string[];
  small: readonly string[];
}

/** A5 upright (ISO 216), in points (ISO 32000: 1/72 inch). */
const WIDTH = (148 * 72) / 25.4;
const HEIGHT = (210 * 72) / 25.4;
const MARGIN = 36;
const INK = rgb(0.17, 0.14, 0.13);
const SOFT = rgb(0.4, 0.35, 0.31);

/** The page as a PDF; `png` is drawn under the title. More than a page holds goes on to the next. */
export async function pagePdf(page: ClientPage, png?: Uint8Array): Promise<Uint8Array> {
  const file = await PDFDocument.create();
  file.setTitle(page.title);
  const serif = await file.embedFont(StandardFonts.TimesRoman);
  const sans = await file.embedFont(StandardFonts.Helvetica);
  let sheet = file.addPage([WIDTH, HEIGHT]);
  let y = HEIGHT - MARGIN;
  const room = (points: number) => {
    if (y - points >= MARGIN) return;
    sheet = file.addPage([WIDTH, HEIGHT]);
    y = HEIGHT - MARGIN;
  };
  const text = (words: string, size: number, font: PDFFont, colour = INK, x = MARGIN) => {
    for (const line of broken(words, font, size, WIDTH - MARGIN - x)) {
      room(size * 1.35);
      y -= size * 1.35;
      drawn(sheet, line, x, y, size, font, colour);
    }
  };
  text(page.title, 24, serif);
  y -= 8;
  if (png) {
    const picture = await file.embedPng(png);
    const width = WIDTH - 2 * MARGIN;
    const height = Math.min(220, (picture.height / picture.width) * width);
    const shown = (picture.width / picture.height) * height;
    room(height);
    y -= height;
    sheet.drawImage(picture, { x: (WIDTH - shown) / 2, y, width: shown, height });
    y -= 8;
  }
  for (const { words, says } of page.facts) {
    text(words, 10, sans, SOFT);
    text(says, 14, serif);
    y -= 4;
  }
  y -= 6;
  text(page.list_words, 10, sans, SOFT);
  for (const line of page.list) text(`– ${line}`, 11, sans);
  y -= 8;
  for (const line of page.small) text(line, 9, sans, SOFT);
  return file.save();
}

function drawn(
  sheet: PDFPage,
  words: string,
  x: number,
  y: number,
  size: number,
  font: PDFFont,
  color: ReturnType<typeof rgb>,
): void {
  sheet.drawText(words, { x, y, size, font, color });
}

/** Words in lines no wider than there is room; a word that is wider by itself stands alone. */
function broken(words: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of written(words, (sign) => font.encodeText(sign)).split(' ')) {
    const next = line === '' ? word : `${line} ${word}`;
    if (line !== '' && font.widthOfTextAtSize(next, size) > width) {
      lines.push(line);
      line = word;
    } else line = next;
  }
  return [...lines, line];
}
