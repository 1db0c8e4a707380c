import type { Found, PageOf, RevisionLine } from '@lanakit/core/api';
import type Database from 'better-sqlite3';
import type { ItemKind } from './items.ts';
import { SEARCHED_KINDS, type SearchedKind } from './searchIndex.ts';
import type { Db } from './openDatabase.ts';
import { registerHasWords } from './hasWords.ts';
import { isDamage } from './sound.ts';

/** A part of a list: so many after so many. */
export interface PageAsked {
  /** Words that its name has, in any order; empty: all of it. */
  readonly search: string;
  readonly offset: number;
  readonly limit: number;
}

export const PATTERN_ORDERS = ['changed', 'title'] as const;
type PatternOrder = (typeof PATTERN_ORDERS)[number];

export interface PatternsAsked extends PageAsked {
  readonly isArchive: boolean;
  /** Only those with something unknown. */
  readonly isUnknownOnly: boolean;
  readonly order: PatternOrder;
}

export interface NamedItem {
  readonly id: string;
  readonly kind: ItemKind;
  readonly name: string;
  readonly version: number;
  readonly detail: string;
  readonly otherNames: string | null;
}

export interface NamedLot {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly itemId: string;
  readonly itemName: string;
  readonly itemKind: ItemKind;
}

type RevisionRow = Omit<RevisionLine, 'isWoolOnly'> & { readonly isWoolOnly: 0 | 1 };

const revisionLine = (row: RevisionRow): RevisionLine => ({ ...row, isWoolOnly: row.isWoolOnly === 1 });

const SEARCHED = (column: string): string => `(@search = '' OR has_words(${column}, @search))`;

const REVISION_COLUMNS =
  'SELECT id, pattern_id AS patternId, number, title, published_at AS publishedAt, note, is_wool_only AS isWoolOnly';

/** What is found by its name, the last first; on the shelf by kind. */
const FOUND = [
  `SELECT 'pattern' AS kind, id, title AS name, '' AS detail FROM pattern
   WHERE deleted_at IS NULL AND (archived_at IS NOT NULL) = 0 AND has_words(title, @search)
   ORDER BY updated_at DESC, id LIMIT @limit`,
  `SELECT 'run' AS kind, id, name, date AS detail FROM run
   WHERE deleted_at IS NULL AND has_words(name, @search) ORDER BY date DESC, created_at DESC LIMIT @limit`,
  `SELECT kind, id, name,
     CASE WHEN json_valid(properties) THEN coalesce(json_extract(properties, '$.preparation'), '') ELSE '' END AS detail
   FROM item WHERE deleted_at IS NULL AND has_words(name, @search) ORDER BY kind, name COLLATE NOCASE LIMIT @limit`,
];

/** Lists by page, searched and sorted by SQLite over indexes: no document is read. */
export function listQueries(db: Db) {
  registerHasWords(db);
  const patternsWhere = `FROM pattern WHERE deleted_at IS NULL AND (archived_at IS NOT NULL) = @isArchive
    AND (@isUnknownOnly = 0 OR unknown_count > 0) AND ${SEARCHED('title')}`;
  const ORDERS: Readonly<Record<PatternOrder, string>> = {
    changed: 'updated_at DESC, id',
    title: 'title COLLATE NOCASE, id',
  };
  const pagesOf = <Asked extends object, Row>(what: string, where: string, order: string) => ({
    rows: db.prepare<Asked, Row>(`SELECT ${what} ${where} ORDER BY ${order} LIMIT @limit OFFSET @offset`),
    count: db.prepare<Asked, number>(`SELECT count(*) ${where}`).pluck(),
  });
  const patterns = Object.fromEntries(
    PATTERN_ORDERS.map((order) => [
      order,
      pagesOf<object, { id: string }>('id', patternsWhere, ORDERS[order]),
    ]),
  ) as Record<PatternOrder, ReturnType<typeof pagesOf<object, { id: string }>>>;
  const ahead = `FROM run WHERE deleted_at IS NULL AND date >= @today AND ${SEARCHED('name')}`;
  const behind = `FROM run WHERE deleted_at IS NULL AND date < @today AND ${SEARCHED('name')}`;
  const runs = {
    ahead: pagesOf<object, { id: string }>('id', ahead, 'date, created_at, id'),
    behind: pagesOf<object, { id: string }>('id', behind, 'date DESC, created_at DESC, id DESC'),
  };
  const revisions = pagesOf<object, RevisionRow>(
    REVISION_COLUMNS.replace('SELECT ', ''),
    `FROM revision r WHERE ${SEARCHED("title || ', revision ' || number")}
      AND EXISTS (SELECT 1 FROM pattern p INDEXED BY pattern_there WHERE p.id = r.pattern_id AND p.deleted_at IS NULL)`,
    'title COLLATE NOCASE, number DESC, id',
  );
  const unknown = db
    .prepare<{ limit: number }, string>(
      `SELECT id FROM pattern INDEXED BY pattern_unknown
       WHERE deleted_at IS NULL AND archived_at IS NULL AND unknown_count > 0 ORDER BY updated_at DESC, id LIMIT @limit`,
    )
    .pluck();
  const countUnknown = db
    .prepare<[], number>(
      `SELECT count(*) FROM pattern INDEXED BY pattern_unknown
       WHERE deleted_at IS NULL AND archived_at IS NULL AND unknown_count > 0`,
    )
    .pluck();
  const revisionById = db.prepare<[string], RevisionRow>(`${REVISION_COLUMNS} FROM revision r WHERE id = ?`);
  const finders = FOUND.map((select) =>
    db.prepare<{ search: string; limit: number }, Omit<Found, 'within'>>(select),
  );
  const versions = Object.fromEntries(
    SEARCHED_KINDS.map((kind) => [
      kind,
      db.prepare<[], { id: string; version: number }>(
        `SELECT id, version FROM ${kind} INDEXED BY ${kind}_by_version WHERE deleted_at IS NULL`,
      ),
    ]),
  ) as Record<SearchedKind, Database.Statement<[], { id: string; version: number }>>;
  const namedItem = db.prepare<[string], NamedItem>(
    `SELECT id, kind, name, version,
       coalesce(json_extract(properties, '$.preparation'), '') AS detail,
       (SELECT group_concat(value, ' ') FROM json_each(properties, '$.otherNames')) AS otherNames
     FROM item WHERE id = ? AND deleted_at IS NULL AND json_valid(properties)`,
  );
  const namedLot = db.prepare<[string], NamedLot>(
    `SELECT lot.id, lot.name, lot.version, item.id AS itemId, item.name AS itemName, item.kind AS itemKind
     FROM lot JOIN item ON item.id = lot.item_id AND item.deleted_at IS NULL WHERE lot.id = ? AND lot.deleted_at IS NULL`,
  );
  const anyItem = db.prepare('SELECT 1 FROM item WHERE deleted_at IS NULL LIMIT 1');
  const idsOf = ({ total, items }: PageOf<{ id: string }>): PageOf<string> => ({
    total,
    items: items.map(({ id }) => id),
  });
  const listed = <Row>(
    {
      rows,
      count,
    }: { rows: { all(asked: object): Row[] }; count: { get(asked: object): number | undefined } },
    asked: object,
  ): PageOf<Row> => ({ total: count.get(asked) ?? 0, items: rows.all(asked) });
  return {
    /** Ids of drafts. */
    patterns: ({ isArchive, isUnknownOnly, order, ...page }: PatternsAsked): PageOf<string> =>
      idsOf(
        listed(patterns[order], {
          ...page,
          isArchive: isArchive ? 1 : 0,
          isUnknownOnly: isUnknownOnly ? 1 : 0,
        }),
      ),
    /** Drafts with something unknown, the last changed first, and how many there are. */
    unknown: (limit: number): PageOf<string> => ({
      total: countUnknown.get() ?? 0,
      items: unknown.all({ limit }),
    }),
    /** Ids of runs: those ahead by day, those behind by day, the last first. */
    runs: (when: 'ahead' | 'behind', today: string, page: PageAsked): PageOf<string> =>
      idsOf(listed(runs[when], { ...page, today })),
    /** By title, the newest of each first. */
    revisions: (page: PageAsked): PageOf<RevisionLine> => {
      const { total, items } = listed(revisions, page);
      return { total, items: items.map(revisionLine) };
    },
    revisionsById: (ids: readonly string[]): PageOf<RevisionLine> => {
      const items = ids.flatMap((id) => revisionById.get(id) ?? []).map(revisionLine);
      return { total: items.length, items };
    },
    /** At most so many of each kind; of a kind that cannot be read, none. */
    found: (search: string, limit: number): Found[] =>
      finders.flatMap((finder) => {
        try {
          return finder.all({ search, limit }).map((found): Found => ({ ...found, within: null }));
        } catch (error) {
          if (!isDamage(error)) throw error;
          return [];
        }
      }),
    /** What is there of each kind, by its version: read from an index alone. */
    versions: (kind: SearchedKind): { id: string; version: number }[] => versions[kind].all(),
    /** A thing of the shelf by what it is called. */
    namedItems: (ids: readonly string[]): NamedItem[] => ids.flatMap((id) => namedItem.get(id) ?? []),
    namedLots: (ids: readonly string[]): NamedLot[] => ids.flatMap((id) => namedLot.get(id) ?? []),
    isShelfEmpty: (): boolean => anyItem.get() === undefined,
  };
}
