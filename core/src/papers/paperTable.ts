import { writeTable } from '../tables/index.ts';
import { type Cell, cellForTable, cellWords, measureOfCell, text } from './cell.ts';
import type { Paper } from './paper.ts';

/** A paper as one table: a row for each line, its section first. */
interface PaperTable {
  readonly headings: readonly string[];
  /** As many in each as there are headings. */
  readonly rows: readonly (readonly Cell[])[];
}

/** A place of a workbook: a number with as many decimals as it is known to, or words. */
type WorkbookCell = { readonly number: number; readonly decimals: number } | { readonly words: string };

/** A table whose headings say the units, so that every number in it can be added up. */
export interface WorkbookSheet {
  readonly name: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly WorkbookCell[])[];
}

function tableOfPaper({ sections, labels }: Paper): PaperTable {
  if (labels.length > 0) {
    return {
      headings: ['Pack', 'Bag', 'Fibre', 'Grams', 'Note', 'Parts', 'Keep back', 'Foot', 'Code'],
      rows: labels.flatMap(({ title, bag, lines, parts, keepBack, foot, code }) =>
        lines.map((line) => [
          ...[title, bag || 'figure', line.text].map(text),
          line.grams,
          ...[line.note, parts, keepBack, foot, code].map(text),
        ]),
      ),
    };
  }
  const columns = [...new Set(sections.flatMap((section) => section.columns.map(({ title }) => title)))];
  return {
    headings: ['Section', ...columns, 'Note'],
    rows: sections.flatMap(({ title, columns: section, rows }) =>
      rows.map(({ cells, note = '' }) => [
        text(title),
        ...columns.map((column) => cells[section.findIndex((each) => each.title === column)] ?? text('')),
        text(note),
      ]),
    ),
  };
}

/** The same as CSV. */
export function paperTable(paper: Paper): string {
  const { headings, rows } = tableOfPaper(paper);
  return writeTable(
    headings,
    rows.map((row) => row.map(cellForTable)),
  );
}

/** The same as a sheet of a workbook. What is measured in another unit than its column, or known only in part, stays words. */
export function workbookSheet(paper: Paper): WorkbookSheet {
  const { headings, rows } = tableOfPaper(paper);
  const units = headings.map((_, at) => unitOfColumn(rows.map((row) => row[at] ?? text(''))));
  return {
    name: paper.title,
    headings: headings.map((heading, at) => withUnit(heading, units[at] ?? null)),
    rows: rows.map((row) => row.map((cell, at) => workbookCell(cell, units[at] ?? null))),
  };
}

/** What all that is measured in a column is measured in; null: nothing is, or not in the same. */
function unitOfColumn(cells: readonly Cell[]): string | null {
  const units = new Set(cells.flatMap((cell) => measureOfCell(cell)?.unit ?? []));
  const [unit] = units;
  return units.size === 1 && unit !== undefined ? unit : null;
}

const withUnit = (heading: string, unit: string | null): string =>
  unit === null ? heading : `${heading === 'Grams' ? 'Wool' : heading} (${unit})`;

function workbookCell(cell: Cell, unit: string | null): WorkbookCell {
  const measure = measureOfCell(cell);
  if (!measure || (measure.unit !== null && measure.unit !== unit)) return { words: cellWords(cell) };
  return { number: measure.number, decimals: measure.decimals };
}
