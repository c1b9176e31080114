import { rounded } from '../model/rounded';
import type { Region } from '../regions';
import { heldPoint } from '../regions/drawnPoints';
import { paths } from '../regions/paths';
import { middleOfStrokes, type Spot } from './placedStrokes';

/** Of the drawing as it is, so much of its way from the middle of the nail. */
const TOWARDS = 0.4;

/** All its colours drawn nearer to the middle, together; or what stands past the edge cut there. */
export function broughtOn<C extends { region: Region }>(colours: readonly C[], how: 'towards' | 'cut'): C[] {
  const middle = middleOfStrokes(colours.map(({ region }) => region));
  return colours.map((one) => {
    const { region } = one;
    if (region.kind !== 'paths') return one;
    if (how === 'cut') return { ...one, region: paths.sized!.inwards(region)[0]!.region };
    const [dx, dy] = middle
      ? [(TOWARDS - 1) * middle.across, (TOWARDS - 1) * (middle.along - MIDDLE_ALONG)]
      : [0, 0];
    return { ...one, region: shifted(region, dx, dy) };
  });
}
/** Half-way between the cuticle and the tip of a nail of usual length. */
const MIDDLE_ALONG = 0.9;

function shifted(region: Region & { kind: 'paths' }, dx: number, dy: number): Region {
  const at = ({ across, along }: { across: number; along: number }) =>
    heldPoint(rounded(across + dx, 3), rounded(along + dy, 3));
  return { ...region, paths: region.paths.map((path) => ({ ...path, points: path.points.map(at) })) };
}

/** The places of a drawing, each so much nearer to the middle. */
export function spotsTowards(spots: readonly Spot[]): Spot[] {
  return spots.map((one) => ({
    ...one,
    across: rounded(one.across * TOWARDS, 2),
    along: rounded(MIDDLE_ALONG + (one.along - MIDDLE_ALONG) * TOWARDS, 2),
  }));
}
