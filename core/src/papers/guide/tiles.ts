import { clipPolyline } from 'lineclip';
import type { PointMm } from '../../shapes/index.ts';
import { labelOf } from './cells.ts';
import { type Drawing, moveItem } from './drawing.ts';
import { type GuideItem, type GuidePage, lineItem, type Rect, textItem } from './guidePage.ts';

/** Pages lie over one another by so much. */
const OVERLAP_MM = 10;
/** More pages than this for one piece are not printed: it is drawn with a ruler. */
const MOST_TILES = 24;

/** How many pages beside and over one another a drawing takes, with so much room on each. */
const gridOf = (
  { widthMm, heightMm }: Pick<Drawing, 'widthMm' | 'heightMm'>,
  room: Pick<Rect, 'widthMm' | 'heightMm'>,
) => ({
  columns: countFor(widthMm, room.widthMm),
  rows: countFor(heightMm, room.heightMm),
});

const countFor = (sizeMm: number, roomMm: number): number =>
  Math.max(1, Math.ceil((sizeMm - OVERLAP_MM) / (roomMm - OVERLAP_MM) - 1e-9));

/** A drawing larger than a page over several that overlap, to be laid on one another; null: over too many. */
export function tilesOf(drawing: Drawing, room: Rect): GuidePage[] | null {
  const name = (row: number, column: number) => `${String.fromCodePoint(65 + row)}${column + 1}`;
  const label = labelOf(
    { title: `${drawing.title}, A1 of A1`, lines: [...drawing.lines, LAY_WORDS] },
    room.widthMm,
  );
  const drawn = { ...room, yMm: room.yMm + label.heightMm + 2, heightMm: room.heightMm - label.heightMm - 2 };
  const { columns, rows } = gridOf(drawing, drawn);
  if (columns * rows > MOST_TILES) return null;
  return Array.from({ length: columns * rows }, (_, at): GuidePage => {
    const [row, column] = [Math.floor(at / columns), at % columns];
    const title = `${drawing.title}: ${name(row, column)} of A1–${name(rows - 1, columns - 1)}`;
    const from: PointMm = [column * (drawn.widthMm - OVERLAP_MM), row * (drawn.heightMm - OVERLAP_MM)];
    const words = labelOf({ title, lines: [...drawing.lines, LAY_WORDS] }, room.widthMm);
    const onPage = (item: GuideItem) => moveItem(item, drawn.xMm, drawn.yMm);
    const items = [
      ...drawing.items.flatMap((item) => cut(moveItem(item, -from[0], -from[1]), drawn)),
      ...edges({ row, column, rows, columns }, drawn, name),
    ];
    return {
      items: [...words.items.map((item) => moveItem(item, room.xMm, room.yMm)), ...items.map(onPage)],
      cells: [room],
    };
  });
}

const LAY_WORDS = 'Lay the dashed edges of neighbours on one another, cross on cross, and tape them.';

/** What of a line or a sign lies in the room of a page. */
function cut(item: GuideItem, { widthMm, heightMm }: Pick<Rect, 'widthMm' | 'heightMm'>): GuideItem[] {
  if (item.kind === 'text') {
    const [x, y] = item.at;
    return x >= 0 && x <= widthMm && y >= 0 && y <= heightMm ? [item] : [];
  }
  const points = item.isClosed ? [...item.points, ...item.points.slice(0, 1)] : item.points;
  const parts = clipPolyline(
    points.map(([x, y]): [number, number] => [x, y]),
    [0, 0, widthMm, heightMm],
  );
  return parts.map((part) => ({ ...item, points: part, isClosed: false }));
}

interface Place {
  readonly row: number;
  readonly column: number;
  readonly rows: number;
  readonly columns: number;
}

/** Where the neighbours lie over this page: a dashed edge, two crosses on it, and which page it is. */
function edges(
  { row, column, rows, columns }: Place,
  { widthMm, heightMm }: Pick<Rect, 'widthMm' | 'heightMm'>,
  name: (row: number, column: number) => string,
): GuideItem[] {
  const half = OVERLAP_MM / 2;
  const upright = (x: number, neighbour: string): GuideItem[] => [
    lineItem('tile', [
      [x, 0],
      [x, heightMm],
    ]),
    ...[heightMm * 0.25, heightMm * 0.75].flatMap((y) => cross(x, y)),
    textItem(neighbour, [x + (x < widthMm / 2 ? 1 : -1), heightMm / 2], {
      anchor: x < widthMm / 2 ? 'start' : 'end',
    }),
  ];
  const level = (y: number, neighbour: string): GuideItem[] => [
    lineItem('tile', [
      [0, y],
      [widthMm, y],
    ]),
    ...[widthMm * 0.25, widthMm * 0.75].flatMap((x) => cross(x, y)),
    textItem(neighbour, [widthMm / 2, y + (y < heightMm / 2 ? 3 : -1)], { anchor: 'middle' }),
  ];
  return [
    ...(column > 0 ? upright(half, `← ${name(row, column - 1)}`) : []),
    ...(column < columns - 1 ? upright(widthMm - half, `${name(row, column + 1)} →`) : []),
    ...(row > 0 ? level(half, `↑ ${name(row - 1, column)}`) : []),
    ...(row < rows - 1 ? level(heightMm - half, `↓ ${name(row + 1, column)}`) : []),
  ];
}

const CROSS_MM = 3;
const cross = (x: number, y: number): GuideItem[] => [
  lineItem('ruler', [
    [x - CROSS_MM, y],
    [x + CROSS_MM, y],
  ]),
  lineItem('ruler', [
    [x, y - CROSS_MM],
    [x, y + CROSS_MM],
  ]),
];
