/** How far a smile line is drawn by hand or by figure; files may hold more. */
export const SMILE_MM = { rise: [-8, 8], depth: [0, 8], tilt: [-4, 4] } as const;

/** The figures of a smile line as an editor shows them; `at` is where it stands in its element or build. */
export function smileFields(at = 'smile') {
  const figure = (path: string, words: string, [min, max]: readonly [number, number]) => ({
    kind: 'number' as const,
    path: `${at}.${path}`,
    words,
    unit: 'mm',
    min,
    max,
    step: 0.1,
  });
  return [
    figure('rise_mm', 'Rise', SMILE_MM.rise),
    figure('depth_mm', 'Depth', SMILE_MM.depth),
    figure('tilt_mm', 'Tilt', SMILE_MM.tilt),
  ];
}
