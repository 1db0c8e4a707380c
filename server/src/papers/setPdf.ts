import {
  bagLine,
  CODE_GAP_MM,
  type FittedLabel,
  fittedLabels,
  isLowLabel,
  LABEL_INNER_MM,
  type LabelPlace,
  labelPlaces,
  qrSvg,
  type Paper,
  type PaperLabel,
  type PaperRow,
  type PaperSection,
  type Swatch,
  swatchSvg,
  cellWords,
  MOST_TICK_BOXES,
} from '@lanakit/core/papers';
import { labelCodeInGroups, type LabelSheet, PAGE_SIZES_MM, type PageSize } from '@lanakit/core/run';
import sharp from 'sharp';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { pdfmakeWithFonts, pointsOf } from './pdfmakeWithFonts.ts';

/** What is to be set, and on what. Plain data: it crosses into a worker. */
export interface PdfTask {
  readonly paper: Paper;
  readonly page: PageSize;
  /** Of labels; on other papers it says nothing. */
  readonly labels: LabelSheet;
  /** Marks where labels are cut, to try a sheet out on plain paper. */
  readonly hasCropMarks: boolean;
}

const INK = '#1d2733';
const QUIET = '#55616d';
const LINE = '#8a9299';

/** A paper as a PDF, its fonts in it. */
export async function setPdf(task: PdfTask): Promise<Buffer> {
  const images = { ...(await swatchImages(task.paper)), ...(await figureImages(task.paper)) };
  return pdfmakeWithFonts()
    .createPdf({ ...documentOf(task), images })
    .getBuffer();
}

function documentOf(task: PdfTask): TDocumentDefinitions {
  const { paper, page } = task;
  return {
    pageSize: page === 'a4' ? 'A4' : 'LETTER',
    info: { title: paper.title, creator: 'Lanakit', producer: 'Lanakit' },
    defaultStyle: { font: 'SourceSans', fontSize: 10, color: INK, lineHeight: 1.1 },
    ...(paper.name === 'labels' ? labelPages(task) : listPages(paper)),
  };
}

function listPages(paper: Paper): Pick<TDocumentDefinitions, 'content' | 'pageMargins' | 'footer'> {
  return {
    pageMargins: [42, 42, 42, 56],
    footer: (current: number, count: number): Content => ({
      margin: [42, 12, 42, 0],
      columns: [
        { text: paper.foot, fontSize: 7.5, color: QUIET, width: '*' },
        { text: `${current} of ${count}`, fontSize: 8, color: QUIET, alignment: 'right', width: 60 },
      ],
    }),
    content: [
      { text: paper.title, fontSize: 20, bold: true },
      ...paper.head.map((line): Content => ({ text: line, color: QUIET, margin: [0, 1, 0, 0] })),
      ...paper.sections.map(sectionContent),
    ],
  };
}

function sectionContent(paperSection: PaperSection): Content {
  const heading: Content = {
    columns: [
      ...(paperSection.swatch ? [{ ...swatch(paperSection.swatch, 34, 14), width: 42 }] : []),
      { text: paperSection.title, bold: true, fontSize: 12, width: '*' },
      { text: paperSection.aside, bold: true, alignment: 'right', width: 'auto' },
    ],
    margin: [0, 12, 0, 2],
  };
  const notes = paperSection.notes.map((line): Content => ({ text: line, color: QUIET, fontSize: 9 }));
  const head: Content = { stack: [heading, ...notes], headlineLevel: 1 };
  if (paperSection.rows.length === 0) return { stack: [heading, ...notes], unbreakable: true };
  const isShort = !paperSection.isLarge && paperSection.rows.length <= SHORT_ROWS;
  return { stack: [head, table(paperSection)], unbreakable: isShort };
}

/** Read at arm’s length, points. */
const LARGE_TYPE = 12;
/** A table of so few rows is never broken over two pages. */
const SHORT_ROWS = 14;

function table(paperSection: PaperSection): Content {
  const hasTicks = paperSection.rows.some(({ ticks }) => ticks > 0);
  const hasSwatches = paperSection.rows.some(({ swatch: row }) => row !== null);
  const lead = (hasTicks ? 1 : 0) + (hasSwatches ? 1 : 0);
  return {
    margin: [0, 3, 0, 0],
    ...(paperSection.isLarge && { fontSize: LARGE_TYPE }),
    layout: {
      hLineWidth: (at: number) => (at <= 1 ? 0.7 : 0.3),
      vLineWidth: () => 0,
      hLineColor: () => LINE,
      paddingLeft: () => 2,
      paddingRight: () => 6,
      paddingTop: () => 1.2,
      paddingBottom: () => 1.2,
    },
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: [
        ...(hasTicks ? ['auto'] : []),
        ...(hasSwatches ? [28] : []),
        ...paperSection.columns.map(({ isWide }) => (isWide ? '*' : 'auto')),
      ],
      body: [
        [
          ...Array.from({ length: lead }, (): TableCell => ''),
          ...paperSection.columns.map(({ title, align }): TableCell => ({
            text: title,
            alignment: align,
            fontSize: 8,
            color: QUIET,
          })),
        ],
        ...paperSection.rows.map((line) => rowCells(line, paperSection, { hasTicks, hasSwatches })),
      ],
    },
  };
}

function rowCells(
  line: PaperRow,
  { columns }: PaperSection,
  { hasTicks, hasSwatches }: { hasTicks: boolean; hasSwatches: boolean },
): TableCell[] {
  const firstWide = Math.max(
    0,
    columns.findIndex(({ isWide }) => isWide),
  );
  return [
    ...(hasTicks ? [line.ticks > 0 ? tickBoxes(line.ticks) : ''] : []),
    ...(hasSwatches ? [line.swatch ? swatch(line.swatch, 24, 10) : ''] : []),
    ...columns.map(({ align }, at): TableCell => {
      const cell = line.cells[at];
      const text = cell ? cellWords(cell) : '';
      const document = {
        text,
        alignment: align,
        bold: align === 'right',
        noWrap: align === 'right' || at === 0,
      };
      return at === firstWide && line.note
        ? { stack: [document, { text: line.note, fontSize: 8, color: QUIET }] }
        : document;
    }),
  ];
}

/** The picture of a swatch by name: each is in the file once, however often it is shown. */
const swatchName = ({ colour, preparation }: Swatch): string => `${preparation} ${colour}`;

const swatch = (ownSwatch: Swatch, width: number, height: number) => ({
  image: swatchName(ownSwatch),
  width,
  height,
});

/** Sharp enough for a printer, in points of 1⁄72 inch. */
const SWATCH_PT = [34, 14] as const;
const SWATCH_DPI = 360;

/** Every swatch of a paper as a picture. */
async function swatchImages({ sections, labels }: Paper): Promise<Record<string, string>> {
  const all = [
    ...sections.flatMap((section) => [section.swatch, ...section.rows.map((line) => line.swatch)]),
    ...labels.flatMap(({ lines }) => lines.map((line) => line.swatch)),
  ];
  const distinct = new Map(
    all.flatMap((ownSwatch) => (ownSwatch ? [[swatchName(ownSwatch), ownSwatch] as const] : [])),
  );
  const images = await Promise.all(
    [...distinct].map(async ([name, ownSwatch]) => {
      const svg = Buffer.from(swatchSvg(ownSwatch, ...SWATCH_PT));
      const png = await sharp(svg, { density: SWATCH_DPI }).png().toBuffer();
      return [name, `data:image/png;base64,${png.toString('base64')}`] as const;
    }),
  );
  return Object.fromEntries(images);
}

const figureName = (key: string): string => `figure ${key}`;
/** Dots down a figure of eight millimetres: as fine as a printer makes them. */
const FIGURE_DOTS = 220;

async function figureImages({ figures }: Paper): Promise<Record<string, string>> {
  const images = await Promise.all(
    Object.entries(figures).map(async ([key, { svg }]) => {
      const png = await sharp(Buffer.from(svg), { density: 300 })
        .resize({ height: FIGURE_DOTS })
        .png()
        .toBuffer();
      return [figureName(key), `data:image/png;base64,${png.toString('base64')}`] as const;
    }),
  );
  return Object.fromEntries(images);
}

/** So many boxes stand in one line of them. */
const BOXES_A_LINE = 6;
const BOX_PT = 11;

/** Boxes to tick by hand, in lines. */
const tickBoxes = (count: number): TableCell => ({
  canvas: Array.from({ length: Math.min(count, MOST_TICK_BOXES) }, (_, at) => ({
    type: 'rect' as const,
    x: (at % BOXES_A_LINE) * BOX_PT + 0.5,
    y: Math.floor(at / BOXES_A_LINE) * BOX_PT + 1.5,
    w: 8,
    h: 8,
    lineWidth: 0.7,
    lineColor: INK,
  })),
});

/** Labels at their places; a page to each sheet. */
function labelPages({
  paper,
  labels: sheet,
  hasCropMarks,
}: PdfTask): Pick<TDocumentDefinitions, 'content' | 'pageMargins'> {
  const fitted = fittedLabels(paper, sheet);
  const places = labelPlaces(sheet, fitted.length);
  const sheets = Math.max(1, (places.at(-1)?.sheet ?? 0) + 1);
  const content = Array.from({ length: sheets }, (_, number): Content[] => {
    const contents = fitted.flatMap((label, at) =>
      places[at]?.sheet === number ? labelContent(label, places[at], sheet) : [],
    );
    const marks = hasCropMarks ? [cropMarks(sheet)] : [];
    const turn: Content[] = number > 0 ? [{ text: '', pageBreak: 'before' }] : [];
    return [...turn, ...marks, ...contents];
  }).flat();
  return { pageMargins: [0, 0, 0, 0], content };
}

function labelContent(label: FittedLabel, { xMm, yMm }: LabelPlace, sheet: LabelSheet): Content[] {
  const width = pointsOf(sheet.widthMm - 2 * LABEL_INNER_MM);
  const at = { x: pointsOf(xMm + LABEL_INNER_MM), y: pointsOf(yMm + LABEL_INNER_MM) };
  const wordsWidth = width - (label.codeMm ? pointsOf(label.codeMm.sideMm + CODE_GAP_MM) : 0);
  const isLow = isLowLabel(sheet);
  const size = isLow ? 7 : 8;
  const cells = ({ swatch: ownSwatch, text, grams }: PaperLabel['lines'][number]): TableCell[] => [
    ownSwatch ? swatch(ownSwatch, 18, 8) : '',
    { text, fontSize: size, noWrap: true },
    { text: cellWords(grams), fontSize: size, bold: true, alignment: 'right', noWrap: true },
  ];
  const half = Math.ceil(label.lines.length / label.columns);
  const body = label.lines.slice(0, half).map((line, at): TableCell[] => {
    const beside = label.lines[at + half];
    return label.columns === 1 ? cells(line) : [...cells(line), ...(beside ? cells(beside) : ['', '', ''])];
  });
  const under = bagLine(label);
  return [
    {
      absolutePosition: at,
      columns: [
        {
          width,
          lineHeight: LABEL_LINE_HEIGHT,
          stack: [
            { text: label.title, bold: true, fontSize: isLow ? 9 : 11, noWrap: true },
            // A figure stands beside two lines, though there be nothing to say on the second.
            ...(under === '' && !label.figureMm ? [] : [{ text: under || ' ', bold: true, fontSize: size }]),
            { columns: [{ width: wordsWidth, stack: bodyOfLabel(label, body) }] },
          ],
        },
      ],
    },
    ...figureContent(label, { xMm, yMm }, sheet),
    ...codeContent(label, { xMm, yMm }, sheet),
    {
      absolutePosition: { x: at.x, y: pointsOf(yMm + sheet.heightMm - LABEL_INNER_MM) - 8 },
      columns: [{ width, text: label.foot, fontSize: 6, color: QUIET, noWrap: true }],
    },
  ];
}

/** What is in the bag, what lots say of it, and for which parts it is. */
const bodyOfLabel = (label: FittedLabel, body: TableCell[][]): Content[] => [
  ...(body.length === 0
    ? []
    : [
        {
          table: {
            widths: label.columns === 1 ? [20, '*', 'auto'] : [20, '*', 'auto', 20, '*', 'auto'],
            body,
          },
          layout: { ...NO_LINES },
        } satisfies Content,
      ]),
  ...label.notes.map((text) => ({ text, fontSize: 6.5 })),
  { text: label.parts, fontSize: 6.5, color: QUIET },
];

/** What a scanner reads, above the foot at the right, and its signs under it. */
function codeContent(
  { code, codeMm }: FittedLabel,
  { xMm, yMm }: Pick<LabelPlace, 'xMm' | 'yMm'>,
  sheet: LabelSheet,
): Content[] {
  if (!codeMm) return [];
  const groups = codeMm.hasSigns ? labelCodeInGroups(code).split('-') : [];
  const [side, low] = [pointsOf(codeMm.sideMm), groups.length * CODE_LINE_PT];
  const x = pointsOf(xMm + sheet.widthMm - LABEL_INNER_MM) - side;
  const y = pointsOf(yMm + sheet.heightMm - LABEL_INNER_MM) - FOOT_PT - low - side;
  return [
    { absolutePosition: { x, y }, svg: qrSvg(code), width: side, height: side },
    ...groups.map((text, at): Content => ({
      absolutePosition: { x, y: y + side + 0.5 + at * CODE_LINE_PT },
      columns: [{ width: side, text, fontSize: 6, alignment: 'center', characterSpacing: 0.3 }],
    })),
  ];
}

const CODE_LINE_PT = 6;
const FOOT_PT = 8;

/** What a pack is known by, at the upper right of its label. */
function figureContent(
  { figureMm, figureKey }: FittedLabel,
  { xMm, yMm }: Pick<LabelPlace, 'xMm' | 'yMm'>,
  sheet: LabelSheet,
): Content[] {
  if (!figureMm || figureKey === null) return [];
  return [
    {
      absolutePosition: {
        x: pointsOf(xMm + sheet.widthMm - LABEL_INNER_MM - figureMm.widthMm),
        y: pointsOf(yMm + LABEL_INNER_MM),
      },
      image: figureName(figureKey),
      width: pointsOf(figureMm.widthMm),
      height: pointsOf(figureMm.heightMm),
    },
  ];
}

/** The letters’ own lines are 1.424 of their size apart; on a label 1.25, which is what `fittedLabels` reckons with. */
const LABEL_LINE_HEIGHT = 1.25 / 1.424;

const NO_LINES = {
  hLineWidth: () => 0,
  vLineWidth: () => 0,
  paddingLeft: () => 0,
  paddingRight: () => 2,
  paddingTop: () => 0.15,
  paddingBottom: () => 0.15,
};

/** Corners of every label, as far as its neighbours leave room. */
function cropMarks(sheet: LabelSheet): Content {
  const page = PAGE_SIZES_MM[sheet.page];
  const corners = labelPlaces({ ...sheet, used: 0 }, sheet.rows * sheet.columns).map(
    ({ xMm, yMm }) =>
      `<rect x="${xMm}" y="${yMm}" width="${sheet.widthMm}" height="${sheet.heightMm}" fill="none" stroke="${LINE}" stroke-width="0.15" stroke-dasharray="3 2"/>`,
  );
  const bar = `<path d="M10 ${page.heightMm - 6}h100m0-2v4m-100-4v4" fill="none" stroke="${INK}" stroke-width="0.3"/>`;
  return {
    absolutePosition: { x: 0, y: 0 },
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" width="${pointsOf(page.widthMm)}" height="${pointsOf(page.heightMm)}" ` +
      `viewBox="0 0 ${page.widthMm} ${page.heightMm}">${corners.join('')}${bar}</svg>`,
    width: pointsOf(page.widthMm),
  };
}
