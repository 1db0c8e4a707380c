import type { Revision, StoredPattern } from '@lanakit/core/api';
import { byCodePoint } from '@lanakit/core/base';
import type { Remark } from '@lanakit/core/review';
import type { Pattern, PatternNamed } from '@lanakit/core/pattern';
import type { HistoryQueries } from './history.ts';
import type { Db } from './openDatabase.ts';
import type { remembered } from './remembered.ts';
import { patternLinks, unknownCountOf, woolOnlyFlag } from './patternLinks.ts';
import { whole } from './whole.ts';
import { sealOf, unsealed } from './sealed.ts';
import { softDelete } from './softDelete.ts';
import { isDamage, type SoundReader } from './sound.ts';

interface PatternRow {
  id: string;
  version: number;
  document: string;
  document_seal: number | null;
  updated_at: string;
  archived_at: string | null;
  revision_id: string | null;
  revision_number: number | null;
}

interface RevisionRow {
  id: string;
  pattern_id: string;
  number: number;
  published_at: string;
  note: string;
  open_remarks: string | null;
  document: string;
  document_seal: number | null;
}

interface NamedRow {
  id: string;
  title: string;
  series: string | null;
  related: string | null;
}

/** Where a page of a list goes on: after this row in its order. */
export interface PatternCursor {
  readonly updatedAt: string;
  readonly id: string;
}

const SELECT = `
  SELECT p.id, p.version, p.document, p.document_seal, p.updated_at, p.archived_at, r.id AS revision_id, r.number AS revision_number
  FROM pattern p
  LEFT JOIN revision r ON r.pattern_id = p.id
    AND r.number = (SELECT max(number) FROM revision WHERE pattern_id = p.id)
  WHERE p.deleted_at IS NULL`;

/** Every query on patterns and revisions, prepared once. */
export function patternQueries(
  db: Db,
  sound: SoundReader,
  history: HistoryQueries,
  rememberAs: ReturnType<typeof remembered>['rememberAs'],
) {
  const selectPage = db.prepare<
    { updatedAt: string; id: string; limit: number; archived: number },
    PatternRow
  >(`
    ${SELECT} AND (p.archived_at IS NOT NULL) = @archived AND (p.updated_at < @updatedAt OR (p.updated_at = @updatedAt AND p.id > @id))
    ORDER BY p.updated_at DESC, p.id LIMIT @limit`);
  const selectOne = db.prepare<[string], PatternRow>(`${SELECT} AND p.id = ?`);
  // Where what was published of it cannot be read.
  const selectBare = db.prepare<[string], PatternRow>(`
    SELECT id, version, document, document_seal, updated_at, archived_at, NULL AS revision_id, NULL AS revision_number
    FROM pattern WHERE id = ? AND deleted_at IS NULL`);
  const insertRow = db.prepare(
    `INSERT INTO pattern (id, title, document, document_seal, unknown_count, created_at, updated_at)
     VALUES (@id, @title, @document, @seal, @unknownCount, @at, @at)`,
  );
  const updateRow = db.prepare(`
    UPDATE pattern SET title = @title, document = @document, document_seal = @seal, unknown_count = @unknownCount, version = version + 1, updated_at = @at
    WHERE id = @id AND version = @version AND deleted_at IS NULL`);
  const selectBefore = db.prepare<[string, number], { version: number; at: string; document: string }>(
    'SELECT version, updated_at AS at, document FROM pattern WHERE id = ? AND version = ?',
  );
  const links = patternLinks(db);
  const insertRevision = db.prepare(`
    INSERT INTO revision (id, pattern_id, number, title, document, document_seal, is_wool_only, published_at, note, open_remarks)
    VALUES (@id, @patternId, (SELECT coalesce(max(number), 0) + 1 FROM revision WHERE pattern_id = @patternId),
            @title, @document, @seal, @isWoolOnly, @at, @note, @openRemarks)`);
  const archive = db.prepare(`UPDATE pattern SET archived_at = @at WHERE id = @id AND deleted_at IS NULL`);
  const selectRevision = db.prepare<[string], RevisionRow>(`SELECT * FROM revision WHERE id = ?`);
  const selectSeal = db.prepare<[string], { document: number | null; published_at: string }>(
    'SELECT document_seal AS document, published_at FROM revision WHERE id = ?',
  );
  const selectHead = db.prepare<[string], { title: string; number: number }>(
    'SELECT title, number FROM revision WHERE id = ?',
  );
  const selectPublished = db.prepare<[], RevisionRow>(`
    SELECT r.* FROM revision r JOIN pattern p ON p.id = r.pattern_id WHERE p.deleted_at IS NULL`);
  const selectRevisionOf = db.prepare<[string, string], RevisionRow>(
    `SELECT * FROM revision WHERE id = ? AND pattern_id = ?`,
  );
  const selectNamed = db.prepare<[], NamedRow>(`
    SELECT p.id, p.title, a.series, a.related FROM pattern p LEFT JOIN pattern_among a ON a.pattern_id = p.id
    WHERE p.deleted_at IS NULL ORDER BY p.title, p.id`);
  const selectRevisions = db.prepare<[string], RevisionRow>(
    `SELECT * FROM revision WHERE pattern_id = ? ORDER BY number DESC`,
  );

  /** A draft without its revision rather than none. */
  const oneOrBare = (id: string): PatternRow | undefined => {
    try {
      return selectOne.get(id);
    } catch (error) {
      if (!isDamage(error)) throw error;
      return selectBare.get(id);
    }
  };
  /** Null where it is deleted, or not on that side of the archive. */
  const soundDraft = (archived: boolean) => (id: string) => {
    const row = oneOrBare(id);
    return row && (row.archived_at !== null) === archived ? row : undefined;
  };
  /** Where a page cannot be read, everything that can be is looked through for it. */
  const soundPage = ({ after, limit, archived }: PageAsked): StoredPattern[] => {
    const from = after ?? { updatedAt: '~', id: '' };
    const found = sound.rows('pattern', {
      all: () => selectPage.all({ ...from, limit, archived: archived ? 1 : 0 }),
      byId: soundDraft(archived),
      read: patternOf,
    });
    const isAfter = ({ updatedAt, id }: StoredPattern) =>
      updatedAt < from.updatedAt || (updatedAt === from.updatedAt && id > from.id);
    return found
      .filter(isAfter)
      .sort((a, b) =>
        a.updatedAt === b.updatedAt ? (a.id < b.id ? -1 : 1) : a.updatedAt < b.updatedAt ? 1 : -1,
      )
      .slice(0, limit);
  };

  return {
    /** @param after null for the first page */
    page: (after: PatternCursor | null, limit: number, archived = false): StoredPattern[] =>
      soundPage({ after, limit, archived }),
    /** All that are not deleted, as others are told of them; no document is read for it. */
    named: (): PatternNamed[] => selectNamed.all().map(namedOf),
    /** Those of these ids that can be read, in their order. */
    byIds: (ids: readonly string[]): StoredPattern[] =>
      sound.byIds('pattern', ids, { byId: oneOrBare, read: patternOf }),
    find: (id: string): StoredPattern | null => {
      const row = selectOne.get(id);
      return row ? patternOf(row) : null;
    },
    insert: whole(db, (id: string, document: Pattern, at: string) => {
      insertRow.run({ id, ...columnsOf(document), at });
      links.ofPattern(id, document);
    }),
    /** False when the version is no longer the stored one; nothing is written then. */
    update: whole(db, (id: string, version: number, document: Pattern, at: string): boolean => {
      const before = selectBefore.get(id, version);
      const isWritten = updateRow.run({ id, version, ...columnsOf(document), at }).changes === 1;
      if (!isWritten) return false;
      links.ofPattern(id, document);
      if (before) history.keep('pattern', id, before, at);
      return isWritten;
    }),
    ...softDelete(db, 'pattern'),
    /** @param at null brings it back */
    setArchived: (id: string, at: string | null) => archive.run({ id, at }),
    publish: whole(
      db,
      (
        id: string,
        patternId: string,
        document: Pattern,
        { at, note = '', openRemarks = null }: Publishing,
      ) => {
        insertRevision.run({
          id,
          patternId,
          ...columnsOf(document),
          at,
          note,
          openRemarks: openRemarks && JSON.stringify(openRemarks),
        });
        links.ofRevision(id, document);
      },
    ),
    /** What a revision is called, without reading it. */
    revisionHead: (id: string): { title: string; number: number } | null => selectHead.get(id) ?? null,
    /** What is published never changes: runs that are pinned to it share it, as long as it is sealed as it was. */
    findRevision: (id: string): Revision | null => {
      const seal = selectSeal.get(id);
      if (!seal) return null;
      return rememberAs(`revision ${id}`, `${seal.document} ${seal.published_at}`, () => {
        const row = selectRevision.get(id);
        return row ? revisionOf(row) : null;
      });
    },
    /** Every one that can be read, of patterns that are there; where the lists of them cannot be. */
    published: (): Revision[] =>
      sound
        .rows('revision', {
          all: () => selectPublished.all(),
          byId: (id) => selectRevision.get(id),
          read: revisionOf,
        })
        .sort((a, b) => byCodePoint(a.document.title, b.document.title) || b.number - a.number),
    revisionsOf: (patternId: string): Revision[] =>
      sound.rows('revision', {
        all: () => selectRevisions.all(patternId),
        byId: (id) => selectRevisionOf.get(id, patternId),
        read: revisionOf,
      }),
  };
}

/** What is kept of a revision beside its document. */
export interface Publishing {
  readonly at: string;
  readonly note?: string;
  readonly openRemarks?: readonly Remark[] | null;
}

interface PageAsked {
  readonly after: PatternCursor | null;
  readonly limit: number;
  readonly archived: boolean;
}

const columnsOf = (pattern: Pattern) => {
  const document = JSON.stringify(pattern);
  return {
    title: pattern.title,
    document,
    seal: sealOf(document),
    unknownCount: unknownCountOf(pattern),
    isWoolOnly: woolOnlyFlag(pattern),
  };
};

/** Spoilt, it is as if it stood alone: its document tells all of it anew when it is saved. */
function namedOf({ id, title, series, related }: NamedRow): PatternNamed {
  try {
    return {
      id,
      title,
      series: series === null ? null : (JSON.parse(series) as PatternNamed['series']),
      related: related === null ? [] : (JSON.parse(related) as PatternNamed['related']),
    };
  } catch {
    return { id, title, series: null, related: [] };
  }
}

const patternOf = (row: PatternRow): StoredPattern => ({
  id: row.id,
  version: row.version,
  document: unsealed<Pattern>(row.document, row.document_seal),
  updatedAt: row.updated_at,
  archivedAt: row.archived_at,
  revision:
    row.revision_id !== null && row.revision_number !== null
      ? { id: row.revision_id, number: row.revision_number }
      : null,
});

/** Spoilt, it is as if it had not been kept: the document tells all of it anew. */
function remarksOf(json: string | null): readonly Remark[] | null {
  if (json === null) return null;
  try {
    return JSON.parse(json) as readonly Remark[];
  } catch {
    return null;
  }
}

const revisionOf = (row: RevisionRow): Revision => ({
  id: row.id,
  patternId: row.pattern_id,
  number: row.number,
  publishedAt: row.published_at,
  note: row.note,
  openRemarks: remarksOf(row.open_remarks),
  document: unsealed<Pattern>(row.document, row.document_seal),
});
