/** What a value of a sheet is. */
export type CellKind = 'id' | 'text' | 'whole' | 'number' | 'yesNo' | 'moment' | 'day' | 'document' | 'bytes';

export interface SheetColumn {
  /** In JSON, and over its column in CSV. */
  readonly key: string;
  /** In the database. */
  readonly column: string;
  readonly is: CellKind;
  readonly canBeNull: boolean;
  readonly about: string;
  /** The table whose id it is. */
  readonly refersTo: string | null;
  /** Stands in a file of its own; its row tells the name of that. */
  readonly isApart: boolean;
  /** JSON, deflated. */
  readonly isPacked: boolean;
}

/** One table of the studio as it goes out and comes in as open data. */
export interface Sheet {
  /** Of its files, with its directory. */
  readonly name: string;
  readonly table: string;
  readonly about: string;
  /** The kind of its things where the table holds several. */
  readonly itemKind: string | null;
  readonly columns: readonly SheetColumn[];
  /** SQL. */
  readonly order: string;
}

/** One row of a sheet as JSON has it, by key. */
export type SheetRow = Readonly<Record<string, unknown>>;

/** What stands in a file of its own: JSON, or the bytes of a picture. Null: there is none. */
export type ApartValue = string | Buffer | null;

/** A column called in the database as in JSON, but for its capitals. */
export const column = (
  key: string,
  is: CellKind,
  about: string,
  more: Partial<Omit<SheetColumn, 'key' | 'is' | 'about'>> = {},
): SheetColumn => ({
  key,
  column: key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`),
  is,
  about,
  canBeNull: false,
  refersTo: null,
  isApart: false,
  isPacked: false,
  ...more,
});

/** A table of the database as a sheet. */
export const sheet = (
  name: string,
  table: string,
  about: string,
  columns: readonly SheetColumn[],
  more: Partial<Pick<Sheet, 'itemKind' | 'order'>> = {},
): Sheet => ({ name, table, about, columns, itemKind: null, order: 'id', ...more });
