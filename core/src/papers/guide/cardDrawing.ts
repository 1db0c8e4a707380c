import { showSizesIn } from '../../base/index.ts';
import type { CardLine, PlaceCard } from '../../figure/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';
import { cardLines } from '../../words/index.ts';
import { atOrigin, type Drawing, extent } from './drawing.ts';
import { type GuideItem, lineItem, textItem } from './guidePage.ts';

/** Drawn as large as it is, or so many times smaller, whatever is the first to find room. */
export const CARD_SCALES = [1, 1 / 2, 1 / 3, 1 / 4, 1 / 5, 1 / 8, 1 / 10, 1 / 20, 1 / 50] as const;
/** Between the two views: the heights stand there. */
const BETWEEN_MM = 22;

/** The place card: the finished figure from its front and its side on one ground, the heights of what sits on it between them. */
export const cardDrawing = (
  card: PlaceCard,
  build: Pick<Pattern, 'title' | 'parts' | 'lengthUnit' | 'showsBothUnits'>,
  scale: number,
): Drawing => ({
  ...views(card, scale, build),
  title: `Place card of ${build.title || 'the figure'}, ${scaleWords(scale)}`,
  lines: cardLines(card, build),
  isTurnable: false,
});

const scaleWords = (scale: number): string => (scale === 1 ? 'true size' : `1 : ${Math.round(1 / scale)}`);

function views(
  { first, side, places }: PlaceCard,
  scale: number,
  build: Pick<Pattern, 'lengthUnit' | 'showsBothUnits'>,
): Pick<Drawing, 'items' | 'widthMm' | 'heightMm'> {
  const [firstLeft, firstRight, , firstBottom] = extent(first.lines.flatMap(({ points }) => points));
  const [sideLeft, sideRight] = extent(side.flatMap(({ points }) => points));
  const gapFrom = firstRight * scale;
  const shift = gapFrom + BETWEEN_MM - sideLeft * scale;
  const isOnGround = first.from === 'front';
  return atOrigin([
    lineItem('ruler', [
      [isOnGround ? firstLeft * scale - 1 : sideLeft * scale + shift - 1, 0],
      [sideRight * scale + shift + 1, 0],
    ]),
    // Seen from above it has no ground to stand on: its lower edge is level with the other’s.
    ...first.lines.map((line) => drawn(line, scale, [0, isOnGround ? 0 : -firstBottom * scale])),
    ...side.map((line) => drawn(line, scale, [shift, 0])),
    ...heights(
      places.map(({ heightMm }) => heightMm),
      { scale, from: gapFrom, isFromBoth: isOnGround, build },
    ),
  ]);
}

function drawn({ points, isClosed, isPiece }: CardLine, scale: number, [dx, dy]: PointMm): GuideItem {
  const line = lineItem(
    isPiece ? 'side' : 'mark',
    points.map(([x, y]): PointMm => [x * scale + dx, y * scale + dy]),
    isClosed,
  );
  return isPiece ? { ...line, isHiding: true } : line;
}

const LABEL_MM = 2.2;

/** Heights one under the other between the views, each with a line to where it is; none over another. */
function heights(
  heightsMm: readonly number[],
  {
    scale,
    from,
    isFromBoth,
    build,
  }: {
    scale: number;
    from: number;
    isFromBoth: boolean;
    build: Pick<Pattern, 'lengthUnit' | 'showsBothUnits'>;
  },
): GuideItem[] {
  const rising = [...new Set(heightsMm.map((mm) => Math.round(mm * 10) / 10))].sort((a, b) => a - b);
  let last = Infinity;
  return rising.flatMap((mm): GuideItem[] => {
    const y = -mm * scale;
    // From the ground up: each at least a line over the one below.
    const at = Math.min(y, last - LABEL_MM * 1.15);
    last = at;
    return [
      lineItem('frame', [
        [from + (isFromBoth ? 1 : 5), y],
        [from + 5, y],
        [from + 8, at],
      ]),
      textItem(
        showSizesIn([Math.max(0, mm)], { ...build, showsBothUnits: false }),
        [from + 8.6, at + LABEL_MM * 0.35],
        {
          sizeMm: LABEL_MM,
        },
      ),
      lineItem('frame', [
        [from + BETWEEN_MM - 4, y],
        [from + BETWEEN_MM - 1, y],
      ]),
    ];
  });
}
