import { databaseFault } from './databaseFault.ts';
import type { Db } from './openDatabase.ts';

type ListTable =
  | 'pattern'
  | 'revision'
  | 'technique'
  | 'run'
  | 'item'
  | 'lot'
  | 'purchase_order'
  | 'cutting_plan'
  | 'making'
  | 'commission'
  | 'translation';

/** What may be damaged: things with names, and what is only counted together. */
export type SoundTable =
  | ListTable
  | 'movement'
  | 'hand_measure'
  | 'needle_tap'
  | 'needle_closing'
  | 'setting'
  | 'stock_level'
  | 'offcut'
  | 'learnt';

/** Something that is there and cannot be read. */
export interface Unreadable {
  readonly table: SoundTable;
  /** Empty where all of it is meant. */
  readonly id: string;
  /** Null where not even that can be read. */
  readonly name: string | null;
}

export interface RowReading<Row extends { readonly id: string }, T> {
  readonly all: () => Row[];
  readonly byId: (id: string) => Row | undefined;
  readonly read: (row: Row) => T;
}

/** Whether an error says that a part of the studio’s file is damaged. */
export const isDamage = (error: unknown): boolean => databaseFault(error)?.code === 'database_damaged';

/** Lists of which one damaged row, or one damaged page, takes nothing along but itself; and what could not be read. */
export function soundReader(db: Db) {
  const unreadable = new Map<string, Unreadable>();
  const note = (table: SoundTable, id: string) =>
    unreadable.set(`${table} ${id}`, { table, id, name: nameOf(db, table, id) });
  /** Each by itself: what is damaged is noted and left out. */
  const each = <Item extends { readonly id: string }, T>(
    table: SoundTable,
    items: readonly Item[],
    work: (item: Item) => T,
  ): T[] =>
    items.flatMap((item) => {
      try {
        const value = work(item);
        unreadable.delete(`${table} ${item.id}`);
        return [value];
      } catch (error) {
        if (!isDamage(error)) throw error;
        note(table, item.id);
        return [];
      }
    });
  return {
    each,
    /** Those of these ids that are there and can be read, in their order. */
    byIds: <Row extends { readonly id: string }, T>(
      table: ListTable,
      ids: readonly string[],
      { byId, read }: Pick<RowReading<Row, T>, 'byId' | 'read'>,
    ): T[] =>
      each(
        table,
        ids.map((id) => ({ id })),
        ({ id }) => {
          const row = byId(id);
          return row ? [read(row)] : [];
        },
      ).flat(),
    /** All of a list; where it cannot be read in one go, row by row, in no order. */
    rows: <Row extends { readonly id: string }, T>(
      table: ListTable,
      { all, byId, read }: RowReading<Row, T>,
    ): T[] => {
      let found: Row[];
      try {
        found = all();
      } catch (error) {
        if (!isDamage(error)) throw error;
        const ids = idsOf(db, table).map((id) => ({ id }));
        found = each(table, ids, ({ id }) => byId(id)).flatMap((row) => row ?? []);
      }
      return each(table, found, read);
    },
    /** The first of these ways that can be read; where none can it is noted, and is what is said of the unknown. */
    firstOf: <T>(table: SoundTable, ways: readonly (() => T)[], unknown: T): T => {
      for (const way of ways) {
        try {
          const value = way();
          unreadable.delete(`${table} `);
          return value;
        } catch (error) {
          if (!isDamage(error)) throw error;
        }
      }
      note(table, '');
      return unknown;
    },
    /** What could not be read when it was last asked for. */
    unreadable: (): Unreadable[] => [...unreadable.values()],
  };
}

export type SoundReader = ReturnType<typeof soundReader>;

const NAME_COLUMNS: Readonly<Partial<Record<SoundTable, string>>> = {
  pattern: 'title',
  revision: 'title',
  run: 'name',
  item: 'name',
  lot: 'name',
};

/** What a damaged thing is called stands beside its document, and may be whole. */
function nameOf(db: Db, table: SoundTable, id: string): string | null {
  const column = NAME_COLUMNS[table];
  if (column === undefined) return null;
  try {
    return (
      db.prepare<[string], string>(`SELECT ${column} FROM ${table} WHERE id = ?`).pluck().get(id) ?? null
    );
  } catch {
    return null;
  }
}

/** The ids of a table, by its index and by its pages, whichever of them can be read and how far. */
function idsOf(db: Db, table: ListTable): string[] {
  const ids = new Set<string>();
  for (const way of [`INDEXED BY sqlite_autoindex_${table}_1`, 'NOT INDEXED']) {
    try {
      for (const id of db.prepare<[], string>(`SELECT id FROM ${table} ${way}`).pluck().iterate())
        ids.add(id);
    } catch (error) {
      if (!isDamage(error)) throw error;
    }
  }
  return [...ids];
}
