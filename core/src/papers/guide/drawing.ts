import type { GuideLine, GuideLineIs, GuideMark, GuidePiece } from '../../figure/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';
import { guideLines, guideSigns, guideTitle, stretchWords } from '../../words/index.ts';
import { showSizesIn } from '../../base/index.ts';
import { type GuideItem, type GuideStroke, type GuideText, lineItem, textItem } from './guidePage.ts';
import { textBox, wrapText } from './wrapText.ts';

/** One piece drawn, from 0, 0; its words are set under it. */
export interface Drawing {
  readonly items: readonly GuideItem[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** Bold, over the others. */
  readonly title: string;
  readonly lines: readonly string[];
  /** It may lie the other way on a page. */
  readonly isTurnable: boolean;
}

type BuildOfDrawing = Pick<Pattern, 'parts' | 'lengthUnit' | 'showsBothUnits'>;

/** Room round the lines for signs and for the pencil. */
const ROOM_MM = 1;

/** @param roomMm across a page: a length that is longer goes on in the next row */
export function drawPiece(piece: GuidePiece, build: BuildOfDrawing, roomMm: number): Drawing {
  const words = { title: guideTitle(piece), lines: guideLines(piece, build) };
  if (piece.kind === 'length') return { ...lengthRows(piece, build, roomMm), ...words, isTurnable: false };
  const { lines, marks } = piece;
  const signs = guideSigns(marks, build);
  const items: GuideItem[] = [
    ...layBox(lines),
    ...marks.map((mark) => lineItem(strokeOf(mark), mark.points, mark.isClosed)),
    ...lines.map(({ is, points, isClosed }) => lineItem(is, points, isClosed)),
    ...outlineNames(lines),
    ...signItems(marks, signs),
  ];
  return { ...atOrigin(items), ...words, isTurnable: true };
}

function strokeOf({ of, isBehind }: GuideMark): GuideStroke {
  if (of.kind === 'wire' || of.kind === 'sunk') return of.kind;
  if (of.kind === 'slot') return 'cut';
  return isBehind ? 'behind' : 'mark';
}

/** A box to lay the finished piece on: its corners, and a tick for every 5 mm along its lower and left side. */
function layBox(lines: readonly { readonly is: string; readonly points: readonly PointMm[] }[]): GuideItem[] {
  const finished = lines
    .filter(({ is }) => is === 'finished' || is === 'cut')
    .flatMap(({ points }) => points);
  if (finished.length === 0) return [];
  const [left, right, top, bottom] = extent(finished);
  const ticks: GuideItem[] = [];
  for (let mm = TICK_MM; mm < right - left - 0.01; mm += TICK_MM)
    ticks.push(
      lineItem('frame', [
        [left + mm, bottom],
        [left + mm, bottom - tickAt(mm)],
      ]),
    );
  for (let mm = TICK_MM; mm < bottom - top - 0.01; mm += TICK_MM)
    ticks.push(
      lineItem('frame', [
        [left, bottom - mm],
        [left + tickAt(mm), bottom - mm],
      ]),
    );
  return [
    lineItem(
      'frame',
      [
        [left, top],
        [right, top],
        [right, bottom],
        [left, bottom],
      ],
      true,
    ),
    ...ticks,
  ];
}

const TICK_MM = 5;
const tickAt = (mm: number): number => (mm % 10 === 0 ? 2 : 1.2);

/** What its outlines are, on them: of the dashed one in the gap below the solid one, of the solid one in a corner of its box. */
function outlineNames(lines: readonly GuideLine[]): GuideItem[] {
  const boxOf = (is: GuideLineIs) => {
    const points = lines.filter((line) => line.is === is).flatMap((line) => line.points);
    return points.length > 0 ? extent(points) : null;
  };
  const name = (text: string, at: PointMm, anchor: 'start' | 'middle') =>
    textItem(text, at, { sizeMm: NAME_MM, anchor, isOnLines: true });
  const finished = boxOf('finished');
  if (!finished || finished[1] - finished[0] < NAMED_FROM_MM) return [];
  const [left, right, top, bottom] = finished;
  const isLoose = lines.some(({ is }) => is === 'loose-end');
  return [
    name(lines.some(({ is }) => is === 'felted') ? 'with its coat' : 'felted', [left, top - 0.7], 'start'),
    ...(['rolled', 'laid'] as const).flatMap((is) => {
      const box = boxOf(is);
      return box && !isLoose && box[3] - bottom > 2 * NAME_MM
        ? [name(is === 'rolled' ? 'rolled up' : 'laid out', [(left + right) / 2, box[3] - 1.3], 'middle')]
        : [];
    }),
  ];
}

const NAME_MM = 1.9;
/** On what is narrower there is no room for words. */
const NAMED_FROM_MM = 18;

/** The sign of each mark in its middle, or beside what is too small for it; none over another. */
function signItems(marks: readonly GuideMark[], signs: readonly string[]): GuideItem[] {
  const placed: [number, number, number, number][] = [];
  const signed: GuideText[] = [];
  return marks.flatMap(({ points }, at) => {
    const sign = signs[at] ?? '';
    if (sign === '' || points.length === 0) return [];
    const [left, right, top, bottom] = extent(points);
    const isRoomy = right - left >= SIGN_MM * (sign.length + 0.6) && bottom - top >= 1.3 * SIGN_MM;
    const y = (top + bottom) / 2 + SIGN_MM * 0.35;
    const item = (x: number) =>
      textItem(sign, [x, y], { sizeMm: SIGN_MM, anchor: isRoomy ? 'middle' : 'start', isOnLines: true });
    let x = isRoomy ? (left + right) / 2 : right + 0.8;
    for (let tries = 0; tries < MOST_TRIES && placed.some((box) => isOver(box, textBox(item(x)))); tries++)
      x += SIGN_MM;
    // What lies behind its like needs no sign of its own.
    if (signed.some((other) => other.text === sign && distance(other.at, item(x).at) < SAME_SIGN_MM))
      return [];
    placed.push(textBox(item(x)));
    signed.push(item(x));
    return [item(x)];
  });
}

const SIGN_MM = 2.3;
const MOST_TRIES = 12;
/** One sign does for two like marks that are nearer. */
const SAME_SIGN_MM = 4;

const distance = (a: PointMm, b: PointMm): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

const isOver = (
  a: readonly [number, number, number, number],
  b: readonly [number, number, number, number],
): boolean => a[0] < b[1] && b[0] < a[1] && a[2] < b[3] && b[2] < a[3];

/** Rows of a length, one under the other, each as long as the page allows; bends and what lies between them. */
function lengthRows(
  { lengthMm, stretches }: Extract<GuidePiece, { kind: 'length' }>,
  build: BuildOfDrawing,
  roomMm: number,
): Pick<Drawing, 'items' | 'widthMm' | 'heightMm'> {
  const rowMm = Math.min(lengthMm, roomMm - ROW_AROUND_MM);
  const rows = Math.ceil(lengthMm / rowMm - 1e-9);
  const items: GuideItem[] = [];
  for (let row = 0; row < rows; row++) {
    const [fromMm, toMm] = [row * rowMm, Math.min(lengthMm, (row + 1) * rowMm)];
    const y = row * ROW_MM;
    const x = (mm: number) => ROW_END_MM + mm - fromMm;
    const tick = (mm: number, half: number) =>
      lineItem('cut', [
        [x(mm), y - half],
        [x(mm), y + half],
      ]);
    items.push(
      lineItem('cut', [
        [x(fromMm), y],
        [x(toMm), y],
      ]),
      ...[fromMm, toMm].map((mm) => tick(mm, END_TICK_MM)),
      ...(row > 0
        ? [textItem(`from ${showSizesIn([fromMm], build)}`, [x(fromMm) + 0.8, y + 3.6], { sizeMm: 2 })]
        : []),
      ...(row < rows - 1
        ? [
            textItem(`goes on below, ${showSizesIn([toMm], build)}`, [x(toMm) - 0.8, y + 3.6], {
              sizeMm: 2,
              anchor: 'end',
            }),
          ]
        : []),
      ...stretches.flatMap((stretch) => stretchItems(stretch, { fromMm, toMm, x, y })),
    );
  }
  return atOrigin(items);
}

const ROW_MM = 11;
const ROW_END_MM = 0.5;
/** What a row leaves free of a page’s width for its ends and its words. */
const ROW_AROUND_MM = 8;
const END_TICK_MM = 2;
const BEND_TICK_MM = 1.5;

interface Row {
  readonly fromMm: number;
  readonly toMm: number;
  readonly x: (mm: number) => number;
  readonly y: number;
}

/** A bend at its end, and its name over as much of it as lies in this row. */
function stretchItems(
  stretch: Extract<GuidePiece, { kind: 'length' }>['stretches'][number],
  { fromMm, toMm, x, y }: Row,
): GuideItem[] {
  const [from, to] = [Math.max(fromMm, stretch.fromMm), Math.min(toMm, stretch.toMm)];
  if (to <= from) return [];
  const [name] = wrapText(stretchWords(stretch), 2, Math.max(4, to - from));
  const bend =
    stretch.toMm < toMm && stretch.toMm > fromMm
      ? [
          lineItem('mark', [
            [x(stretch.toMm), y - BEND_TICK_MM],
            [x(stretch.toMm), y + BEND_TICK_MM],
          ]),
        ]
      : [];
  return [
    ...bend,
    ...(name ? [textItem(name, [(x(from) + x(to)) / 2, y - 1.2], { sizeMm: 2, anchor: 'middle' })] : []),
  ];
}

/** Moved so that everything of it lies right of and below 0, 0. */
export function atOrigin(items: readonly GuideItem[]): Pick<Drawing, 'items' | 'widthMm' | 'heightMm'> {
  const points = items.flatMap((item) => (item.kind === 'line' ? item.points : textCorners(item)));
  const [left, right, top, bottom] = points.length === 0 ? [0, 0, 0, 0] : extent(points);
  return {
    items: items.map((item) => moveItem(item, ROOM_MM - left, ROOM_MM - top)),
    widthMm: right - left + 2 * ROOM_MM,
    heightMm: bottom - top + 2 * ROOM_MM,
  };
}

function textCorners(item: GuideText): PointMm[] {
  const [left, right, top, bottom] = textBox(item);
  return [
    [left, top],
    [right, bottom],
  ];
}

export const moveItem = (item: GuideItem, dx: number, dy: number): GuideItem =>
  item.kind === 'line'
    ? { ...item, points: item.points.map(([x, y]): PointMm => [x + dx, y + dy]) }
    : { ...item, at: [item.at[0] + dx, item.at[1] + dy] };

/** Left, right, top, bottom. */
export function extent(points: readonly PointMm[]): [number, number, number, number] {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) {
    [left, right] = [Math.min(left, x), Math.max(right, x)];
    [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
  }
  return [left, right, top, bottom];
}
