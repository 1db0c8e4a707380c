import type { Block, Words } from '@lanakit/core/papers';
import { FONTS, linesOf } from './lines.ts';
import { INK, QUIET } from './pen.ts';
import { type Setting, swatchKey } from './setting.ts';
import { type Tagged, tagged } from './structure.ts';
import { together, type Unit } from './units.ts';

type Table = Extract<Block, { is: 'table' }>;

const [GAP, ROW_PAD] = [0.9, 0.28] as const;

/** A table row by row; where it goes on in another column its head stands there once more. */
export function tableUnits(table: Table, parent: Tagged | null, setting: Setting): Unit[] {
  const node = tagged('Table', parent, table.about);
  const hasBoxes = table.rows.some(({ hasBox }) => hasBox);
  const boxPt = hasBoxes ? setting.sizePt * 1.3 : 0;
  const swatchPt = table.rows.some(({ cells }) => cells.some(({ swatch }) => swatch)) ? setting.sizePt * 2.4 : 0;
  const columns = columnsOf(table, setting.widthPt - boxPt, swatchPt, setting);
  const head = headUnit(table, columns, boxPt, node, setting);
  const rows = table.rows.map((row) => rowUnit(row, table, columns, { boxPt, swatchPt }, node, head, setting));
  return [head, ...rows].length <= SHORT_TABLE ? together([head, ...rows]) : [head, ...rows];
} // prettier-ignore

/** So short it is never broken. */
const SHORT_TABLE = 9;

interface Column {
  readonly xPt: number;
  readonly widthPt: number;
  readonly hasSwatch: boolean;
}

/** As wide as they want to be; where that is too much, the widest give way down to their longest word. */
function columnsOf({ columns, rows }: Table, widthPt: number, swatchPt: number, setting: Setting): Column[] {
  const { measure, sizePt } = setting;
  const wide = (words: Words) =>
    words.reduce((sum, run) => sum + measure(run.text, run.isStrong ? FONTS.strong : FONTS.plain, sizePt), 0);
  const longest = (words: Words) =>
    Math.max(0, ...words.flatMap(({ text }) => text.split(' ')).map((word) => measure(word, FONTS.plain, sizePt)));
  const facts = columns.map(({ title }, at) => {
    const cells = rows.flatMap((row) => row.cells[at] ?? []);
    const hasSwatch = cells.some(({ swatch }) => swatch !== null);
    const besidePt = hasSwatch ? swatchPt : 0;
    return {
      hasSwatch,
      wantsPt: besidePt + Math.max(measure(title, FONTS.plain, setting.smallPt), ...cells.map(({ words }) => wide(words))),
      leastPt: besidePt + Math.max(measure(title, FONTS.plain, setting.smallPt), ...cells.map(({ words }) => longest(words))),
    };
  });
  const gapPt = sizePt * GAP;
  const freePt = widthPt - gapPt * (columns.length - 1);
  const widths = fitted(facts, freePt);
  let xPt = 0;
  return facts.map(({ hasSwatch }, at) => {
    const column = { xPt, widthPt: widths[at] ?? 0, hasSwatch };
    xPt += (widths[at] ?? 0) + gapPt;
    return column;
  });
} // prettier-ignore

function fitted(facts: readonly { readonly wantsPt: number; readonly leastPt: number }[], freePt: number): number[] {
  const wantedPt = facts.reduce((sum, { wantsPt }) => sum + wantsPt, 0);
  if (wantedPt <= freePt) {
    // What is over goes to the first: what it is called stands there.
    return facts.map(({ wantsPt }, at) => (at === 0 ? wantsPt + freePt - wantedPt : wantsPt));
  }
  const leastPt = facts.reduce((sum, fact) => sum + fact.leastPt, 0);
  const givePt = Math.max(1e-6, wantedPt - leastPt);
  const share = Math.max(0, freePt - leastPt) / givePt;
  return leastPt >= freePt
    ? facts.map((fact) => (fact.leastPt / leastPt) * freePt)
    : facts.map((fact) => fact.leastPt + (fact.wantsPt - fact.leastPt) * share);
} // prettier-ignore

function headUnit({ columns: titles }: Table, columns: readonly Column[], boxPt: number, node: Tagged, setting: Setting): Unit {
  const sizePt = setting.smallPt;
  const row = tagged('TR', node);
  const cells = titles.map(() => tagged('TH', row));
  const heightPt = sizePt * setting.lead + setting.sizePt * ROW_PAD;
  return {
    heightPt,
    keepsNext: true,
    abovePt: setting.sizePt * 0.5,
    draw: (pen, left, yPt, isRepeat) => {
      titles.forEach(({ title, isNumber }, at) => {
        const column = columns[at];
        if (!column || title === '') return;
        const wide = pen.measure(title, FONTS.plain, sizePt);
        const xPt = left + boxPt + column.xPt + (isNumber ? column.widthPt - wide : 0);
        pen.text(title, { xPt, yPt, sizePt, colour: QUIET, font: FONTS.plain }, isRepeat ? null : (cells[at] ?? null));
      });
      pen.rule(left, yPt + heightPt - 0.5, setting.widthPt);
    },
  };
} // prettier-ignore

interface Room {
  readonly boxPt: number;
  readonly swatchPt: number;
}

function rowUnit(
  { cells, hasBox }: Table['rows'][number],
  { columns: titles }: Table,
  columns: readonly Column[],
  { boxPt, swatchPt }: Room,
  node: Tagged,
  head: Unit,
  setting: Setting,
): Unit {
  const { sizePt, lead, measure } = setting;
  const row = tagged('TR', node);
  const set = cells.map(({ words, swatch }, at) => {
    const column = columns[at] ?? { xPt: 0, widthPt: 0, hasSwatch: false };
    const besidePt = column.hasSwatch ? swatchPt : 0;
    const lines = linesOf(words, column.widthPt - besidePt + 0.5, sizePt, measure);
    return { column, besidePt, lines, swatch, node: tagged(at === 0 ? 'TH' : 'TD', row), isNumber: titles[at]?.isNumber === true };
  });
  const linePt = sizePt * lead;
  const heightPt = Math.max(1, ...set.map(({ lines }) => lines.length)) * linePt + 2 * sizePt * ROW_PAD;
  return {
    heightPt,
    keepsNext: false,
    abovePt: 0,
    repeated: head,
    draw: (pen, left, yPt) => {
      const topPt = yPt + sizePt * ROW_PAD;
      if (hasBox) pen.box(left, topPt + sizePt * 0.22, sizePt * 0.75);
      for (const { column, besidePt, lines, swatch, node: cell, isNumber } of set) {
        const xPt = left + boxPt + column.xPt;
        const image = swatch ? setting.swatches.get(swatchKey(swatch)) : undefined;
        if (image)
          pen.image(image, { xPt, yPt: topPt + sizePt * 0.2, widthPt: swatchPt * 0.82, heightPt: sizePt * 0.8 }, null);
        lines.forEach((line, at) => {
          const shiftPt = isNumber ? column.widthPt - line.widthPt : besidePt;
          pen.line(line, { xPt: xPt + shiftPt, yPt: topPt + at * linePt, sizePt, colour: INK }, cell);
        });
      }
      pen.rule(left, yPt + heightPt - 0.3, setting.widthPt);
    },
  };
} // prettier-ignore
