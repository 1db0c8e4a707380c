import {
  bagLine,
  cellWords,
  CODE_GAP_MM,
  type FittedLabel,
  fittedLabels,
  isLowLabel,
  LABEL_INNER_MM,
  type LabelPlace,
  labelPlaces,
  type Paper,
  type PaperLabel,
  qrSvg,
} from '@lanakit/core/papers';
import { labelCodeInGroups, type LabelSheet, PAGE_SIZES_MM } from '@lanakit/core/run';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, LINE, QUIET } from './inks.ts';
import { figureName, swatch } from './paperImages.ts';
import { pointsOf } from './pdfmakeWithFonts.ts';

interface LabelTask {
  readonly paper: Paper;
  readonly labels: LabelSheet;
  readonly hasCropMarks: boolean;
}

/** Labels at their places; a page to each sheet. */
export function labelPages({
  paper,
  labels: sheet,
  hasCropMarks,
}: LabelTask): Pick<TDocumentDefinitions, 'content' | 'pageMargins'> {
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
    { text, fontSize: size },
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
