import { readTable } from '../tables/index.ts';
import type { WorkbookSheet } from './paperTable.ts';

/** Digits alone, as many as are meant: a code that begins with nought is none. */
const NUMBER = /^-?(?:0|[1-9]\d{0,14})(?:\.(\d{1,10}))?$/;

/**
 * A table that was written as CSV, as a sheet of a workbook: what is a number there is one, with as many decimals; anything else is words.
 * Units stand in its headings already.
 */
export function tableSheet(name: string, csv: string): WorkbookSheet {
  const { header, rows } = readTable(csv, ',');
  const keys = [...(rows[0]?.cells.keys() ?? [])];
  return {
    name,
    headings: header,
    rows: rows.map(({ cells }) =>
      header.map((_heading, at) => {
        const words = cells.get(keys[at] ?? '') ?? '';
        const found = NUMBER.exec(words);
        return found ? { number: Number(words), decimals: found[1]?.length ?? 0 } : { words };
      }),
    ),
  };
}
