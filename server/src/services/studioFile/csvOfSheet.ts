import { fromMilli, type StockUnit } from '@lanakit/core/shelf';
import { writeTable } from '@lanakit/core/tables';
import { UNIT_WORDS } from '@lanakit/core/words';
import type { Sheet, SheetColumn, SheetRow } from '../../db/sheets.ts';
import type { TSchema } from '@sinclair/typebox';
import { documentSchema } from './sheetSchema.ts';

/** What things are called, and what they are counted in: a list of ids tells nobody anything. */
export interface Names {
  /** @param table what the id is of */
  readonly nameOf: (table: string, id: string) => string;
  readonly unitOf: (itemId: string) => StockUnit | null;
}

interface CsvColumn {
  readonly heading: string;
  readonly cell: (row: SheetRow) => unknown;
}

export type SheetCsv = ReturnType<typeof csvOfSheet>;

/** Rows as CSV: what the JSON has, with the names of what is referred to and amounts in their units. */
export function csvOfSheet(sheet: Sheet, names: Names) {
  const columns = sheet.columns.flatMap((column) => csvColumns(sheet, column, names));
  const header = columns.map(({ heading }) => heading);
  const cellsOf = (row: SheetRow) => columns.map(({ cell }) => cellOf(cell(row)));
  return {
    header: (): string => writeTable(header, []),
    lines: (rows: readonly SheetRow[]): string => {
      const [first, ...rest] = rows.map(cellsOf);
      return first ? withoutMark(writeTable(first, rest)) : '';
    },
  };
}

/** Only the first line of a file begins with the mark that says it is UTF-8. */
const withoutMark = (text: string): string => text.replace(/^\ufeff/, '');

function csvColumns(sheet: Sheet, column: SheetColumn, { nameOf, unitOf }: Names): CsvColumn[] {
  const { key, refersTo } = column;
  const plain: CsvColumn = { heading: key, cell: (row) => row[key] };
  if (refersTo !== null) {
    const heading = key.replace(/Id$/, '');
    const named = (id: unknown) => (typeof id === 'string' ? nameOf(refersTo, id) : '');
    return [{ heading, cell: (row) => named(row[key]) }, plain];
  }
  if (key === 'amountMilli') {
    const amount = (row: SheetRow) => fromMilli(Number(row[key]));
    const unit = (row: SheetRow) => unitOf(String(row['itemId']));
    return [
      { heading: 'amount', cell: amount },
      { heading: 'unit', cell: (row) => UNIT_WORDS[unit(row) ?? 'piece'] },
    ];
  }
  if (key === 'massMg') return [{ heading: 'massG', cell: (row) => fromMilli(Number(row[key])) }];
  if (column.is !== 'document' || column.isApart) return [plain];
  return documentKeys(documentSchema(sheet, column)).map((inner) => ({
    heading: inner,
    cell: (row) => (row[key] as SheetRow | null)?.[inner],
  }));
}

/** A document whose keys are known is laid out; a name stands there already. */
const documentKeys = (schema: TSchema): readonly string[] =>
  Object.keys((schema as { properties?: object }).properties ?? {}).filter((key) => key !== 'name');

/** What is unknown is an empty cell; what has parts of its own is JSON. */
function cellOf(value: unknown): string | number {
  if (value === null || value === undefined) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' || typeof value === 'number' ? value : JSON.stringify(value);
}
