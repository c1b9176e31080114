'use client';
import type { SetDocument } from '@/core/document/document';
import { fingerTop_mm, fingerWidth_mm } from '@/core/picture/finger';
import { sheetPdf } from '@/core/picture/templatePdf';
import { sheetSvg, templateSheet } from '@/core/picture/templateSheet';
import { PICTURE_PAD_MM, spreadOf } from '@/core/picture/spread';
import type { Raster } from '@/core/picture/raster';
import { buildOf, frameOf } from '@/core/document/nailContext';
import { fingerOfNail, pictureOf, RANK } from '@/workers/planner';
import { downloadBlob, downloadPdf, fileName } from '../kit/download';
import { pixelCanvas, pngOf } from '../kit/pixelCanvas';

export type WayOut = 'picture' | 'cut-out' | 'template-pdf' | 'template-svg';

/** Fine enough for print at the size of a hand. */
const PX_PER_MM = 16;
const TITLE_MM = 7;

/** Hands a picture or a template sheet of a set to the browser. */
export async function takeOut(key: WayOut, set: SetDocument): Promise<void> {
  if (key === 'picture' || key === 'cut-out') {
    downloadBlob(
      `${fileName(set.title)}${key === 'picture' ? '' : ', without a ground'}.png`,
      await pictureOfSet(set, key === 'picture'),
    );
    return;
  }
  const sheet = templateSheet(set);
  if (key === 'template-svg') {
    downloadBlob(
      `${fileName(set.title)}, template.svg`,
      new Blob([sheetSvg(sheet)], { type: 'image/svg+xml' }),
    );
    return;
  }
  const bytes = await sheetPdf(sheet, set.title);
  downloadPdf(`${fileName(set.title)}, template.pdf`, bytes);
}

/** Ten nails as they lie on two hands; on white with fingers and the title, or by themselves without a ground. */
async function pictureOfSet(set: SetDocument, onWhite: boolean): Promise<Blob> {
  const spread = spreadOf(set);
  const head_mm = onWhite ? TITLE_MM * 2 : 0;
  const canvas = document.createElement('canvas');
  canvas.width = Math.ceil(spread.width_mm * PX_PER_MM);
  canvas.height = Math.ceil((spread.height_mm + head_mm) * PX_PER_MM);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('this browser gives no canvas');
  context.scale(PX_PER_MM, PX_PER_MM);
  if (onWhite) {
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, spread.width_mm, spread.height_mm + head_mm);
    context.fillStyle = '#2b2320';
    const { fontFamily } = getComputedStyle(document.querySelector('h1') ?? document.body);
    context.font = `600 ${TITLE_MM}px ${fontFamily}`;
    context.fillText(set.title, 4, TITLE_MM * 1.4, spread.width_mm - 8);
  }
  context.translate(0, head_mm);
  for (const laid of spread.nails) {
    const picture = await pictureOf({
      set,
      name: laid.name,
      px_per_mm: PX_PER_MM,
      turn_deg: laid.turn_deg,
      rank: RANK.large,
    });
    context.save();
    context.translate(laid.x_mm, laid.cuticle_mm);
    context.rotate((laid.turn_deg * Math.PI) / 180);
    context.translate(-laid.x_mm, -laid.cuticle_mm);
    if (onWhite) {
      const frame = frameOf(set.nails[laid.name], buildOf(set, set.nails[laid.name]));
      const below_mm = spread.height_mm - laid.cuticle_mm + 1;
      const asked = { set, name: laid.name, below_mm, turn_deg: laid.turn_deg };
      lay(
        context,
        await fingerOfNail(asked, PX_PER_MM),
        laid.x_mm - fingerWidth_mm(frame) / 2,
        laid.cuticle_mm - fingerTop_mm(frame),
      );
    }
    lay(
      context,
      picture,
      laid.x_mm - (laid.width_mm + 2 * PICTURE_PAD_MM) / 2,
      laid.cuticle_mm - laid.length_mm - PICTURE_PAD_MM,
    );
    context.restore();
  }
  return pngOf(canvas);
}

/** Lays a picture with its upper left corner there, in mm. */
function lay(context: CanvasRenderingContext2D, picture: Raster, x_mm: number, y_mm: number) {
  const { width, height } = picture;
  context.drawImage(pixelCanvas(picture), x_mm, y_mm, width / PX_PER_MM, height / PX_PER_MM);
}
