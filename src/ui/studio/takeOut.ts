'use client';
import type { SetDocument } from '@/core/document/document';
import { sheetPdf } from '@/core/picture/templatePdf';
import { sheetSvg, templateSheet } from '@/core/picture/templateSheet';
import { PICTURE_PAD_MM, spreadOf } from '@/core/picture/spread';
import { pictureOf } from '@/workers/planner';
import { downloadBlob } from '../kit/download';
import { fingerPath } from '../kit/fingerPath';

export type WayOut = 'picture' | 'cut-out' | 'template-pdf' | 'template-svg';

/** Fine enough for print at the size of a hand. */
const PX_PER_MM = 16;
const TITLE_MM = 7;

/** Hands a picture or a template sheet of a set to the browser. */
export async function takeOut(key: WayOut, set: SetDocument): Promise<void> {
  if (key === 'picture' || key === 'cut-out') {
    downloadBlob(`${set.id}.png`, await pictureOfSet(set, key === 'picture'));
    return;
  }
  const sheet = templateSheet(set);
  if (key === 'template-svg') {
    downloadBlob(`${set.id}-template.svg`, new Blob([sheetSvg(sheet)], { type: 'image/svg+xml' }));
    return;
  }
  const bytes = await sheetPdf(sheet, set.title);
  downloadBlob(`${set.id}-template.pdf`, new Blob([bytes.slice()], { type: 'application/pdf' }));
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
    const picture = await pictureOf(set, laid.name, PX_PER_MM);
    context.save();
    context.translate(laid.x_mm, laid.cuticle_mm);
    context.rotate((laid.turn_deg * Math.PI) / 180);
    context.translate(-laid.x_mm, -laid.cuticle_mm);
    if (onWhite) {
      context.fillStyle = set.skin;
      context.fill(new Path2D(fingerPath(laid, spread.height_mm)));
    }
    const nail = document.createElement('canvas');
    nail.width = picture.width;
    nail.height = picture.height;
    nail.getContext('2d')?.putImageData(new ImageData(picture.data, picture.width, picture.height), 0, 0);
    const width = picture.width / PX_PER_MM;
    const height = picture.height / PX_PER_MM;
    context.drawImage(
      nail,
      laid.x_mm - (laid.width_mm + 2 * PICTURE_PAD_MM) / 2,
      laid.cuticle_mm - laid.length_mm - PICTURE_PAD_MM,
      width,
      height,
    );
    context.restore();
  }
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('the picture is too large'))),
      'image/png',
    ),
  );
}
