import type Database from 'better-sqlite3';
import { type Fate, type FateOf, renamed } from './renamed.ts';
import { sealOf } from './sealed.ts';

type Connection = Database.Database;

/** A thing of the shelf that came, and the one here it is; null: it is put on this shelf. */
export interface ThingMapping {
  readonly id: string;
  readonly itemId: string | null;
}

interface FateDeps {
  /** The studio that is open. */
  readonly here: Connection;
  /** The one that came. */
  readonly came: Connection;
  readonly mapping: readonly ThingMapping[];
  readonly newId: () => string;
}

/**
 * Settles what everything that came is here. What has the same id and was made at the same moment is the same; a picture is
 * known by what is in it, a thing of the shelf by what the maker says it is; a pattern that was written on since is another.
 * Whatever is new keeps its id unless something else has it.
 */
export function settleFates(deps: FateDeps): FateOf {
  const fates = new Map<string, Fate>();
  const settle = (table: string, found: Iterable<readonly [id: string, fate: Fate]>) => {
    for (const [id, fate] of found) fates.set(`${table} ${id}`, fate);
  };
  settle('item', itemFates(deps));
  settle('picture', pictureFates(deps));
  settle('technique', fatesOf(deps, { table: 'technique', mark: 'created_at' }));
  settle('lot', fatesOf(deps, { table: 'lot', mark: 'created_at' }));
  settle('import', fatesOf(deps, { table: 'import', mark: 'at' }));
  settle('revision', fatesOf(deps, { table: 'revision', mark: 'published_at' }));
  settle('purchase_order', fatesOf(deps, { table: 'purchase_order', mark: 'created_at' }));
  settle('offcut', fatesOf(deps, { table: 'offcut', mark: 'created_at' }));
  settle('cutting_plan', fatesOf(deps, { table: 'cutting_plan', mark: 'created_at' }));
  settle('run', fatesOf(deps, { table: 'run', mark: 'created_at' }));
  settle('making', fatesOf(deps, { table: 'making', mark: 'created_at' }));
  settle('commission', fatesOf(deps, { table: 'commission', mark: 'created_at' }));
  const fateOf: FateOf = (table, id) => fates.get(`${table} ${id}`) ?? { id, isHere: false };
  // By what everything in them is called here.
  settle('pattern', patternFates(deps, fateOf));
  settle('translation', fatesOf(deps, { table: 'translation', mark: 'created_at' }));
  return fateOf;
}

type Fates = Generator<readonly [id: string, fate: Fate]>;

interface Marked {
  readonly id: string;
  /** Makes it known again, with its id. */
  readonly mark: string | null;
}

function* fatesOf(deps: FateDeps, { table, mark }: { readonly table: string; readonly mark: string }): Fates {
  const select = `SELECT id, ${mark} AS mark FROM "${table}"`;
  const known = new Map(
    deps.here
      .prepare<[], Marked>(select)
      .all()
      .map((row) => [row.id, row.mark]),
  );
  const freshId = freshIds(deps, table);
  for (const row of deps.came.prepare<[], Marked>(select).all()) {
    const isHere = known.get(row.id) === row.mark;
    yield [row.id, { id: known.has(row.id) && !isHere ? freshId() : row.id, isHere }];
  }
}

/** The same picture is the same, under whatever id. */
function* pictureFates(deps: FateDeps): Fates {
  const select = 'SELECT id, sha256 AS mark FROM picture';
  const here = deps.here.prepare<[], Marked>(select).all();
  const [byMark, ids] = [new Map(here.map(({ id, mark }) => [mark, id])), new Set(here.map(({ id }) => id))];
  const freshId = freshIds(deps, 'picture');
  for (const { id, mark } of deps.came.prepare<[], Marked>(select).all()) {
    const same = byMark.get(mark);
    yield [id, { id: same ?? (ids.has(id) ? freshId() : id), isHere: same !== undefined }];
  }
}

/**
 * A pattern made at the same moment is the same as long as it says the same; one that was written on since is another, and
 * where that other came before it is here too.
 */
function* patternFates(deps: FateDeps, fateOf: FateOf): Fates {
  const select = `SELECT id, created_at || ' ' || document_seal AS mark FROM pattern`;
  const here = deps.here.prepare<[], Marked>(select).all();
  const [byMark, ids] = [new Map(here.map(({ id, mark }) => [mark, id])), new Set(here.map(({ id }) => id))];
  const freshId = freshIds(deps, 'pattern');
  const rows = deps.came.prepare<[], { id: string; createdAt: string; document: string }>(
    'SELECT id, created_at AS createdAt, document FROM pattern',
  );
  for (const { id, createdAt, document } of rows.iterate()) {
    if (!ids.has(id)) yield [id, { id, isHere: false }];
    else {
      const calledHere = JSON.stringify(renamed(JSON.parse(document), fateOf));
      const same = byMark.get(`${createdAt} ${sealOf(calledHere)}`);
      yield [id, { id: same ?? freshId(), isHere: same !== undefined }];
    }
  }
}

/** Free in both: what is not brought in under its id must not take another’s. */
function freshIds({ here, came, newId }: FateDeps, table: string): () => string {
  const isTaken = [here, came].map((db) =>
    db.prepare<[string], number>(`SELECT 1 FROM "${table}" WHERE id = ?`).pluck(),
  );
  const fresh = (): string => {
    const id = newId();
    return isTaken.some((statement) => statement.get(id) !== undefined) ? fresh() : id;
  };
  return fresh;
}

interface ItemMark extends Marked {
  readonly kind: string;
}

function* itemFates(deps: FateDeps): Fates {
  const { here, came, mapping } = deps;
  const select = 'SELECT id, kind, created_at AS mark FROM item';
  const known = new Map(
    here
      .prepare<[], ItemMark>(select)
      .all()
      .map((row) => [row.id, row]),
  );
  const told = new Map(mapping.map(({ id, itemId }) => [id, itemId]));
  const freshId = freshIds(deps, 'item');
  for (const { id, kind, mark } of came.prepare<[], ItemMark>(select).all()) {
    const isSame = known.get(id)?.kind === kind && known.get(id)?.mark === mark;
    const itemId = told.get(id) ?? (isSame ? id : null);
    if (itemId !== null && known.get(itemId)?.kind === kind) yield [id, { id: itemId, isHere: true }];
    else yield [id, { id: known.has(id) ? freshId() : id, isHere: false }];
  }
}
