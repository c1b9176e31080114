import type { Quote } from '@/core/stock/quote';

const WIDTH_PX = 1080;
const MARGIN_PX = 60;

/**
 * The hands as they are drawn on the page, as a PNG; with a quote, its words below them. Undefined where there is nothing drawn yet.
 */
export async function quotePicture(hands: HTMLElement | null, quote?: Quote): Promise<Blob | undefined> {
  const drawn = hands ? [...hands.querySelectorAll('canvas')] : [];
  if (!hands || drawn.length === 0) return undefined;
  const box = hands.getBoundingClientRect();
  const scale = (WIDTH_PX - 2 * MARGIN_PX) / box.width;
  const hands_px = box.height * scale;
  const lines = quote ? linesOf(quote) : [];
  const words_px = lines.reduce((sum, line) => sum + line.px * 1.35, 0) + (quote ? MARGIN_PX : 0);
  const canvas = document.createElement('canvas');
  canvas.width = WIDTH_PX;
  canvas.height = Math.ceil(2 * MARGIN_PX + hands_px + words_px);
  const pen = canvas.getContext('2d');
  if (!pen) return undefined;
  pen.fillStyle = '#fcf9f4';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  for (const one of drawn) {
    const at = one.getBoundingClientRect();
    pen.drawImage(
      one,
      MARGIN_PX + (at.left - box.left) * scale,
      MARGIN_PX + (at.top - box.top) * scale,
      at.width * scale,
      at.height * scale,
    );
  }
  let y = MARGIN_PX + hands_px + MARGIN_PX / 2;
  for (const { words, px, serif, soft } of lines) {
    y += px * 1.35;
    pen.fillStyle = soft ? '#65584f' : '#2b2320';
    pen.font = `${px}px ${serif ? "'Brygada 1918 Variable', Georgia, serif" : "'Source Sans 3 Variable', sans-serif"}`;
    pen.fillText(words, MARGIN_PX, y, WIDTH_PX - 2 * MARGIN_PX);
  }
  return new Promise((resolve) => canvas.toBlob((blob) => resolve(blob ?? undefined), 'image/png'));
}

function linesOf({ title, facts, included, small }: Quote) {
  return [
    { words: title, px: 64, serif: true },
    ...facts.flatMap(({ words, says }) => [
      { words, px: 26, soft: true },
      { words: says, px: 40, serif: true },
    ]),
    { words: 'Included', px: 26, soft: true },
    ...included.map((line) => ({ words: `– ${line}`, px: 30 })),
    ...small.map((line) => ({ words: line, px: 26, soft: true })),
  ].map((line) => ({ serif: false, soft: false, ...line }));
}
