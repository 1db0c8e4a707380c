import { MM_PER_INCH } from '../../base/index.ts';
import { PAGE_SIZES_MM, type PageSize } from '../../run/index.ts';
import {
  EDGE_MM,
  FOOT_MM,
  type GuideItem,
  type GuideStroke,
  HEAD_MM,
  lineItem,
  textItem,
} from './guidePage.ts';
import { textWidthMm, wrapText } from './wrapText.ts';

/** What the lines of every page mean. */
const LEGEND: readonly (readonly [GuideStroke, string])[] = [
  ['finished', 'finished, or cut'],
  ['rolled', 'roll up or lay out to'],
  ['felted', 'felt to, before the coat'],
  ['loose-end', 'leave loose'],
  ['mark', 'joins, eyes, details'],
  ['behind', 'behind'],
];

const SAMPLE_MM = 9;
const LEGEND_TEXT_MM = 2.2;

/** Over and under the drawings of every page: what it is of, what its lines mean, and whether it was printed true. */
export function frameItems(page: PageSize, title: string, number: number, count: number): GuideItem[] {
  return [...headItems(page, title, `page ${number} of ${count}`), ...footItems(page)];
}

function headItems(page: PageSize, title: string, place: string): GuideItem[] {
  const right = PAGE_SIZES_MM[page].widthMm - EDGE_MM;
  const placeMm = textWidthMm(place, 2.6) + 4;
  const [line = ''] = wrapText(title, 4, right - EDGE_MM - placeMm);
  const y = EDGE_MM + 4;
  return [
    textItem(line === title ? line : `${line} …`, [EDGE_MM, y], { sizeMm: 4, isBold: true }),
    textItem(place, [right, y], { sizeMm: 2.6, anchor: 'end' }),
    ...legendItems(EDGE_MM, EDGE_MM + HEAD_MM - 4),
  ];
}

function legendItems(fromMm: number, y: number): GuideItem[] {
  let x = fromMm;
  return LEGEND.flatMap(([stroke, words]): GuideItem[] => {
    const at = x;
    x += SAMPLE_MM + 1.5 + textWidthMm(words, LEGEND_TEXT_MM) * 0.92 + 3;
    return [
      lineItem(stroke, [
        [at, y - 0.8],
        [at + SAMPLE_MM, y - 0.8],
      ]),
      textItem(words, [at + SAMPLE_MM + 1.5, y], { sizeMm: LEGEND_TEXT_MM }),
    ];
  });
}

/** What is measured before anything else. */
const BAR_MM = 100;
const SQUARE_MM = 20;
const BAR_INCHES = 4;

function footItems(page: PageSize): GuideItem[] {
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  const top = heightMm - EDGE_MM - FOOT_MM;
  const right = widthMm - EDGE_MM;
  const squareTop = heightMm - EDGE_MM - SQUARE_MM;
  const square = [
    [right - SQUARE_MM, squareTop],
    [right, squareTop],
    [right, squareTop + SQUARE_MM],
    [right - SQUARE_MM, squareTop + SQUARE_MM],
  ] as const;
  const textMm = EDGE_MM + BAR_INCHES * MM_PER_INCH + 5;
  return [
    lineItem('frame', [
      [EDGE_MM, top + 2],
      [right, top + 2],
    ]),
    ...mmRuler(EDGE_MM, top + 11),
    ...inchRuler(EDGE_MM, top + 16),
    lineItem('ruler', square, true),
    textItem(`${SQUARE_MM} mm`, [right - SQUARE_MM / 2, squareTop + SQUARE_MM / 2 + 0.9], {
      anchor: 'middle',
    }),
    textItem('Print at 100 %', [textMm, top + 7], { sizeMm: 3, isBold: true }),
    ...wrapText(PRINT_WORDS, 2.2, right - SQUARE_MM - 4 - textMm).map((line, at) =>
      textItem(line, [textMm, top + 10.5 + at * 2.8], { sizeMm: 2.2 }),
    ),
  ];
}

const PRINT_WORDS =
  'not “fit to page”. Hold a ruler to the bar: 100 mm. If it is not, nothing on this page is true.';

/** A bar of 100 mm with a tick for each. */
function mmRuler(x: number, y: number): GuideItem[] {
  const ticks = Array.from({ length: BAR_MM + 1 }, (_, mm): GuideItem => {
    const high = mm % 10 === 0 ? 3 : mm % 5 === 0 ? 2.2 : 1.2;
    return lineItem('ruler', [
      [x + mm, y],
      [x + mm, y - high],
    ]);
  });
  const numbers = [0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100].map((mm) =>
    textItem(mm === BAR_MM ? '100 mm' : String(mm), [x + mm, y - 3.8], {
      sizeMm: 2,
      anchor: mm === 0 ? 'start' : 'middle',
    }),
  );
  return [
    lineItem('ruler', [
      [x, y],
      [x + BAR_MM, y],
    ]),
    ...ticks,
    ...numbers,
  ];
}

const EIGHTHS = 8;

function inchRuler(x: number, y: number): GuideItem[] {
  const ticks = Array.from({ length: BAR_INCHES * EIGHTHS + 1 }, (_, eighth): GuideItem => {
    const at = x + (eighth * MM_PER_INCH) / EIGHTHS;
    const long = eighth % 8 === 0 ? 3 : eighth % 4 === 0 ? 2.2 : 1.4;
    return lineItem('ruler', [
      [at, y],
      [at, y + long],
    ]);
  });
  const numbers = Array.from({ length: BAR_INCHES + 1 }, (_, inch): GuideItem =>
    textItem(inch === BAR_INCHES ? `${inch} in` : String(inch), [x + inch * MM_PER_INCH, y + 5.6], {
      sizeMm: 2,
      anchor: inch === 0 ? 'start' : 'middle',
    }),
  );
  return [
    lineItem('ruler', [
      [x, y],
      [x + BAR_INCHES * MM_PER_INCH, y],
    ]),
    ...ticks,
    ...numbers,
  ];
}
