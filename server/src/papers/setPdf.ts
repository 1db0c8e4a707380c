import {
  type Paper,
  type PaperRow,
  type PaperSection,
  cellWords,
  MOST_TICK_BOXES,
} from '@lanakit/core/papers';
import type { LabelSheet, PageSize } from '@lanakit/core/run';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK, LINE, QUIET } from './inks.ts';
import { labelPages } from './labelPages.ts';
import { figureImages, swatch, swatchImages } from './paperImages.ts';
import { pdfmakeWithFonts } from './pdfmakeWithFonts.ts';

/** What is to be set, and on what. Plain data: it crosses into a worker. */
export interface PdfTask {
  readonly paper: Paper;
  readonly page: PageSize;
  /** Of labels; on other papers it says nothing. */
  readonly labels: LabelSheet;
  /** Marks where labels are cut, to try a sheet out on plain paper. */
  readonly hasCropMarks: boolean;
}

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

const SHORT_NAME_LETTERS = 24;

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
    ...columns.map(({ align, isWide }, at): TableCell => {
      const cell = line.cells[at];
      const text = cell ? cellWords(cell) : '';
      const document = {
        text,
        alignment: align,
        bold: align === 'right',
        // A short name is not broken; a long one would push the table over the edge of the page.
        noWrap: align === 'right' || (at === 0 && !isWide && text.length <= SHORT_NAME_LETTERS),
      };
      return at === firstWide && line.note
        ? { stack: [document, { text: line.note, fontSize: 8, color: QUIET }] }
        : document;
    }),
  ];
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
