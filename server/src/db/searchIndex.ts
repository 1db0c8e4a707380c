import type { KnownWord } from '@lanakit/core/search';
import Database from 'better-sqlite3';
import { rmSync } from 'node:fs';
import { join } from 'node:path';

export const SEARCHED_KINDS = ['pattern', 'run', 'item', 'lot'] as const;
export type SearchedKind = (typeof SEARCHED_KINDS)[number];

/** A thing by the words it is found by. */
export interface SearchedThing {
  readonly kind: SearchedKind;
  readonly id: string;
  readonly version: number;
  /** Its name, and all that is written in it. */
  readonly words: readonly string[];
}

export type SearchIndex = ReturnType<typeof indexIn>;

const FILE = 'search.sqlite';

/** Changed whenever what is searched of a thing changes: the index is made anew then. */
const FORM = 1;

const SCHEMA = `
CREATE TABLE thing (
  row INTEGER PRIMARY KEY,
  kind TEXT NOT NULL,
  id TEXT NOT NULL,
  version INTEGER NOT NULL,
  UNIQUE (kind, id)
) STRICT;
CREATE VIRTUAL TABLE words USING fts5 (text, content = '', contentless_delete = 1, detail = none,
  tokenize = 'unicode61 remove_diacritics 0', prefix = '2 3');
CREATE VIRTUAL TABLE known USING fts5vocab (words, row);
PRAGMA user_version = ${FORM};
`;

/**
 * Words of everything in a studio, in a file of its own beside the studio’s: all of it follows from that one, so that it may be
 * lost, is in no backup, and is thrown away when anything about it is wrong.
 */
export function openSearchIndex(dataDir: string) {
  const path = join(dataDir, FILE);
  return indexIn(opened(path) ?? made(path));
}

/** Thrown away and begun anew. */
export const newSearchIndex = (dataDir: string): SearchIndex => indexIn(made(join(dataDir, FILE)));

function indexIn(db: Database.Database) {
  const versions = new Map<string, number>(
    db
      .prepare<[], { kind: string; id: string; version: number }>('SELECT kind, id, version FROM thing')
      .all()
      .map(({ kind, id, version }) => [`${kind} ${id}`, version]),
  );
  const rowOf = db
    .prepare<[string, string], number>('SELECT row FROM thing WHERE kind = ? AND id = ?')
    .pluck();
  const upsert = db.prepare(`
    INSERT INTO thing (kind, id, version) VALUES (@kind, @id, @version)
    ON CONFLICT (kind, id) DO UPDATE SET version = @version`);
  const dropThing = db.prepare('DELETE FROM thing WHERE row = ?');
  const dropWords = db.prepare('DELETE FROM words WHERE rowid = ?');
  const insertWords = db.prepare('INSERT INTO words (rowid, text) VALUES (?, ?)');
  const find = db
    .prepare<[string, string, number], string>(
      `SELECT t.id FROM words JOIN thing t ON t.row = words.rowid WHERE words MATCH ? AND t.kind = ? ORDER BY t.row DESC LIMIT ?`,
    )
    .pluck();
  const known = db.prepare<[], KnownWord>('SELECT term AS word, doc AS count FROM known');
  const remove = (kind: SearchedKind, id: string): void => {
    const row = rowOf.get(kind, id);
    if (row === undefined) return;
    dropWords.run(row);
    dropThing.run(row);
    versions.delete(`${kind} ${id}`);
  };
  const putAll = db.transaction((things: readonly SearchedThing[]): void => {
    for (const { kind, id, version, words } of things) {
      remove(kind, id);
      upsert.run({ kind, id, version });
      insertWords.run(rowOf.get(kind, id), words.join(' '));
      versions.set(`${kind} ${id}`, version);
    }
  });
  return {
    versionOf: (kind: SearchedKind, id: string): number | undefined => versions.get(`${kind} ${id}`),
    /** Of those of a kind that are in it. */
    ids: (kind: SearchedKind): string[] =>
      [...versions.keys()].flatMap((key) => (key.startsWith(`${kind} `) ? key.slice(kind.length + 1) : [])),
    put: (things: readonly SearchedThing[]): void => putAll(things),
    remove,
    /** Ids of things of a kind that have words beginning with each of these. */
    find: (kind: SearchedKind, words: readonly string[], limit: number): string[] =>
      find.all(words.map((word) => `"${word}"*`).join(' AND '), kind, limit),
    /** Every word that stands anywhere. */
    known: (): KnownWord[] => known.all(),
    close: (): void => void db.close(),
  };
}

function opened(path: string): Database.Database | null {
  let db: Database.Database | null = null;
  try {
    db = new Database(path, { fileMustExist: true });
    quick(db);
    if (db.pragma('user_version', { simple: true }) === FORM) return db;
  } catch {
    // Not there, or not what it was: it is made anew.
  }
  db?.close();
  return null;
}

function made(path: string): Database.Database {
  for (const end of ['', '-wal', '-shm', '-journal']) rmSync(path + end, { force: true });
  const db = new Database(path);
  quick(db);
  db.exec(SCHEMA);
  return db;
}

/** It may be lost: nobody waits for the disk. */
function quick(db: Database.Database): void {
  db.pragma('journal_mode = MEMORY');
  db.pragma('synchronous = OFF');
  db.pragma('cache_size = -4000');
}
