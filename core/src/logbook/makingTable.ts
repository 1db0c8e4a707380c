import {
  column,
  guessDecimal,
  guessDelimiter,
  numberOrUnknown,
  readRow,
  readTable,
  type RowProblem,
  text as textCell,
  writeRow,
  writeTable,
} from '../tables/index.ts';
import type { MakingInput } from './making.ts';

/** One row of a page as a table: what is filled in stands in the columns of its kind, the others stay empty. */
interface Row {
  readonly what: string;
  readonly key: string;
  readonly name: string;
  readonly beforeG: number | null;
  readonly afterG: number | null;
  readonly addedG: number | null;
  readonly removedG: number | null;
  readonly rolledMm: number | null;
  readonly feltedMm: number | null;
  readonly finishedMm: number | null;
  readonly massG: number | null;
  readonly minutes: number | null;
}

const BLANK: Row = {
  what: '',
  key: '',
  name: '',
  beforeG: null,
  afterG: null,
  addedG: null,
  removedG: null,
  rolledMm: null,
  feltedMm: null,
  finishedMm: null,
  massG: null,
  minutes: null,
};

const COLUMNS = [
  column('What', 'what', textCell),
  column('Key', 'key', textCell),
  column('Name', 'name', textCell),
  column('Before (g)', 'beforeG', numberOrUnknown),
  column('After (g)', 'afterG', numberOrUnknown),
  column('Came to it (g)', 'addedG', numberOrUnknown),
  column('Pulled off (g)', 'removedG', numberOrUnknown),
  column('Rolled across (mm)', 'rolledMm', numberOrUnknown),
  column('Felted across (mm)', 'feltedMm', numberOrUnknown),
  column('Finished (mm)', 'finishedMm', numberOrUnknown),
  column('Weighs (g)', 'massG', numberOrUnknown),
  column('Minutes', 'minutes', numberOrUnknown),
];

/** What lines of a page are called. */
export interface MakingNames {
  readonly line: (id: string) => string;
  readonly piece: (id: string) => string;
  readonly step: (id: string) => string;
}

/** A page as CSV, to be filled in by whoever makes it and sent back. */
export function makingTable({ lines, pieces, steps, wholeG }: MakingInput, names: MakingNames): string {
  const rows: Row[] = [
    ...lines.map(({ id, beforeG, afterG, addedG, removedG }) => ({
      ...BLANK,
      what: 'wool',
      key: id,
      name: names.line(id),
      beforeG,
      afterG,
      addedG,
      removedG,
    })),
    ...pieces.map(({ id, rolledMm, feltedMm, finishedMm, massG }) => ({
      ...BLANK,
      what: 'piece',
      key: id,
      name: names.piece(id),
      rolledMm,
      feltedMm,
      finishedMm,
      massG,
    })),
    ...steps.map(({ id, minutes }) => ({ ...BLANK, what: 'step', key: id, name: names.step(id), minutes })),
    { ...BLANK, what: 'whole', key: 'whole', name: '', massG: wholeG },
  ];
  return writeTable(
    COLUMNS.map(({ header }) => header),
    rows.map((row) => writeRow(COLUMNS, row)),
  );
}

/** A row that was not taken. */
export type UnreadRow =
  | { readonly line: number; readonly code: 'not_on_page'; readonly key: string }
  | { readonly line: number; readonly code: 'cells'; readonly problems: readonly RowProblem[] };

export interface FilledIn {
  readonly making: MakingInput;
  /** Rows that filled something in. */
  readonly taken: number;
  readonly unread: readonly UnreadRow[];
}

/** A page with what somebody filled in: what is empty in the table stays as it is on the page. */
export function fillIn(making: MakingInput, csv: string): FilledIn {
  const delimiter = guessDelimiter(csv);
  const style = { decimal: guessDecimal(csv, delimiter) };
  let filled = making;
  let taken = 0;
  const unread: UnreadRow[] = [];
  for (const { line, cells } of readTable(csv, delimiter).rows) {
    const { value: row, problems } = readRow(COLUMNS, cells, BLANK, style);
    if (problems.length > 0) unread.push({ line, code: 'cells', problems });
    const next = filledBy(filled, row);
    if (next === null) unread.push({ line, code: 'not_on_page', key: row.key });
    else if (next !== filled) {
      filled = next;
      taken += 1;
    }
  }
  return { making: filled, taken, unread };
}

/** The same page where the row is empty; null where it is of nothing on the page. */
function filledBy(making: MakingInput, row: Row): MakingInput | null {
  switch (row.what.trim().toLowerCase()) {
    case 'wool':
      return withFilled(making, 'lines', row, ['beforeG', 'afterG', 'addedG', 'removedG']);
    case 'piece':
      return withFilled(making, 'pieces', row, ['rolledMm', 'feltedMm', 'finishedMm', 'massG']);
    case 'step':
      return withFilled(making, 'steps', row, ['minutes']);
    case 'whole':
      return row.massG === null ? making : { ...making, wholeG: row.massG };
    default:
      return null;
  }
}

function withFilled(
  making: MakingInput,
  list: 'lines' | 'pieces' | 'steps',
  row: Row,
  keys: readonly (keyof Row)[],
): MakingInput | null {
  const place = making[list].findIndex(({ id }) => id === row.key.trim());
  if (place < 0) return null;
  const values = Object.fromEntries(keys.flatMap((key) => (row[key] === null ? [] : [[key, row[key]]])));
  if (Object.keys(values).length === 0) return making;
  return {
    ...making,
    [list]: making[list].map((each, at) => (at === place ? { ...each, ...values } : each)),
  };
}
