import type { WorkbookSheet } from '@lanakit/core/papers';
import writeWorkbook, { type Cell } from 'write-excel-file/node';

export const WORKBOOK_MIME = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** What a spreadsheet allows in the name of a sheet. */
const sheetName = (name: string): string =>
  name
    .replaceAll(/[[\]:*?/\\]/g, ' ')
    .trim()
    .slice(0, 31) || 'Table';

/** Characters that XML 1.0 has no way to write: they would make the file unreadable. */
const UNWRITABLE = /(?![\t\n\r])[\p{Cc}\uFFFE\uFFFF]/gu;
const MOST_LETTERS = 32_767;

const words = (text: string): Cell => {
  const value = text.replaceAll(UNWRITABLE, '').slice(0, MOST_LETTERS);
  return value === '' ? null : { value, type: String };
};

/** Wide enough for what stands in it, no wider than a hand. */
const widthOf = (texts: readonly string[]): number =>
  Math.min(48, Math.max(8, ...texts.map(({ length }) => length + 2)));

/**
 * A table as a spreadsheet workbook (ISO/IEC 29500). Numbers are numbers, with as many decimals as they are known to; words are always words,
 * so nothing that was typed anywhere can run as a formula. Its first row stays in sight.
 */
export function workbookOf({ name, headings, rows }: WorkbookSheet): Promise<Buffer> {
  const data = [
    headings.map((heading): Cell => ({ value: heading, type: String, fontWeight: 'bold' })),
    ...rows.map((row) =>
      row.map((cell): Cell => ('words' in cell ? words(cell.words) : { value: cell.number, type: Number, format: formatOf(cell.decimals) })),
    ),
  ];
  const columns = headings.map((heading, at) => ({
    width: widthOf([heading, ...rows.map((row) => textOf(row[at]))]),
  }));
  return writeWorkbook(data, { sheet: sheetName(name), columns, stickyRowsCount: 1 }).toBuffer();
} // prettier-ignore

const formatOf = (decimals: number): string => (decimals === 0 ? '0' : `0.${'0'.repeat(decimals)}`);

const textOf = (cell: WorkbookSheet['rows'][number][number] | undefined): string => {
  if (!cell) return '';
  return 'words' in cell ? cell.words : cell.number.toFixed(cell.decimals);
};
