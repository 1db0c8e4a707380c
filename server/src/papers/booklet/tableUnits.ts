import type { Block, Words } from '@lanakit/core/papers';
import { FONTS, linesOf } from './lines.ts';
import { INK, QUIET } from './pen.ts';
import { type Setting, swatchKey } from './setting.ts';
import { type Tagged, tagged } from './structure.ts';
import { heightOf, together, type Unit } from './units.ts';
import { wordUnits } from './wordUnits.ts';

type Table = Extract<Block, { is: 'table' }>;

const [GAP, ROW_PAD] = [0.9, 0.28] as const;

/** A table row by row; where it goes on in another column its head stands there once more. */
export function tableUnits(table: Table, parent: Tagged | null, setting: Setting): Unit[] {
  const node = tagged('Table', parent, table.about);
  const hasBoxes = table.rows.some(({ hasBox }) => hasBox);
  const boxPt = hasBoxes ? setting.sizePt * 1.3 : 0;
  const swatchPt = table.rows.some(({ cells }) => cells.some(({ swatch }) => swatch)) ? setting.sizePt * 2.4 : 0;
  if (isTooNarrow(table, setting.widthPt - boxPt, swatchPt, setting)) return stackedUnits(table, node, boxPt, setting);
  const columns = columnsOf(table, setting.widthPt - boxPt, swatchPt, setting);
  const head = headUnit(table, columns, boxPt, node, setting);
  const rows = table.rows.map((row) => rowUnit(row, table, columns, { boxPt, swatchPt }, node, head, setting));
  const { heightPt, marginPt } = setting.sheet;
  const all = [head, ...rows];
  return heightOf(all) <= (heightPt - 2 * marginPt) * SHORT_FRACTION ? together(all) : all;
} // prettier-ignore

/** So little of a column it is never broken. */
const SHORT_FRACTION = 0.28;

interface Column {
  readonly xPt: number;
  readonly widthPt: number;
  readonly hasSwatch: boolean;
}

interface ColumnFacts {
  readonly hasSwatch: boolean;
  readonly wantsPt: number;
  readonly leastPt: number;
}

function factsOf({ columns, rows }: Table, swatchPt: number, setting: Setting): ColumnFacts[] {
  const { measure, sizePt } = setting;
  const wide = (words: Words) => Math.max(0, ...linesOf(words, Infinity, sizePt, measure).map(({ widthPt }) => widthPt));
  const longest = (words: Words) =>
    Math.max(0, ...words.flatMap(({ text }) => text.split(/[ \n]/)).map((word) => measure(word, FONTS.plain, sizePt)));
  return columns.map(({ title }, at) => {
    const cells = rows.flatMap((row) => row.cells[at] ?? []);
    const hasSwatch = cells.some(({ swatch }) => swatch !== null);
    const besidePt = hasSwatch ? swatchPt : 0;
    const titlePt = measure(title, FONTS.plain, setting.smallPt);
    return {
      hasSwatch,
      wantsPt: besidePt + Math.max(titlePt, ...cells.map(({ words }) => wide(words))),
      leastPt: besidePt + Math.max(titlePt, ...cells.map(({ words }) => longest(words))),
    };
  });
} // prettier-ignore

/** A column of text that is so narrow that words would be broken, or every cell be a tower of them. */
function isTooNarrow(table: Table, widthPt: number, swatchPt: number, setting: Setting): boolean {
  const facts = factsOf(table, swatchPt, setting);
  const gapsPt = setting.sizePt * GAP * (facts.length - 1);
  const sum = (of: (fact: ColumnFacts) => number) => facts.reduce((total, fact) => total + of(fact), gapsPt);
  return (
    sum(({ leastPt }) => leastPt) > widthPt ||
    sum(({ wantsPt }) => wantsPt) > widthPt * setting.sheet.towerTimes
  );
}

/** Row under row: what it is, and beneath it each of the others with what its column is called. */
function stackedUnits({ columns, rows }: Table, node: Tagged, boxPt: number, setting: Setting): Unit[] {
  const { sizePt } = setting;
  return rows.flatMap(({ cells, hasBox }) => {
    const row = tagged('TR', node);
    const [first, ...others] = cells;
    const name = wordUnits(
      (first?.words ?? []).map((run) => ({ ...run, isStrong: true as const })),
      { xPt: boxPt, abovePt: sizePt * 0.5 },
      tagged('TH', row),
      setting,
    ).map((unit, at): Unit =>
      at > 0 || !hasBox
        ? unit
        : {
            ...unit,
            draw: (pen, left, yPt, isRepeat) => {
              pen.box(left, yPt + sizePt * 0.22, sizePt * 0.75);
              unit.draw(pen, left, yPt, isRepeat);
            },
          });
    const rest = others.flatMap(({ words }, at): Unit[] => {
      const title = columns[at + 1]?.title ?? '';
      if (words.length === 0) return [];
      const told = title === '' ? words : [{ text: `${title}: ` }, ...words];
      return wordUnits(told, { xPt: boxPt, abovePt: 0 }, tagged('TD', row), setting);
    });
    return together([...name, ...rest]);
  });
} // prettier-ignore

/** As wide as they want to be; where that is too much, the widest give way down to their longest word. */
function columnsOf(table: Table, widthPt: number, swatchPt: number, setting: Setting): Column[] {
  const facts = factsOf(table, swatchPt, setting);
  const gapPt = setting.sizePt * GAP;
  const freePt = widthPt - gapPt * (facts.length - 1);
  const widths = fitted(facts, freePt);
  let xPt = 0;
  return facts.map(({ hasSwatch }, at) => {
    const column = { xPt, widthPt: widths[at] ?? 0, hasSwatch };
    xPt += (widths[at] ?? 0) + gapPt;
    return column;
  });
} // prettier-ignore

function fitted(facts: readonly ColumnFacts[], freePt: number): number[] {
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
