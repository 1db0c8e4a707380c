import type Database from 'better-sqlite3';

type Connection = Database.Database;

/** What becomes of what came: under which id it is here, and whether it was here before. */
interface Fate {
  readonly id: string;
  /** It stays as it is here; what came of it is not brought in. */
  readonly isHere: boolean;
}

/** @param table what the id is of */
export type FateOf = (table: string, id: string) => Fate;

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
  settle('picture', fatesOf(deps, { table: 'picture', mark: 'sha256' }));
  settle('technique', fatesOf(deps, { table: 'technique', mark: 'created_at' }));
  settle('lot', fatesOf(deps, { table: 'lot', mark: 'created_at' }));
  settle('import', fatesOf(deps, { table: 'import', mark: 'at' }));
  settle('pattern', fatesOf(deps, { table: 'pattern', mark: "created_at || ' ' || document_seal" }));
  settle('revision', fatesOf(deps, { table: 'revision', mark: 'published_at' }));
  settle('run', fatesOf(deps, { table: 'run', mark: 'created_at' }));
  return (table, id) => fates.get(`${table} ${id}`) ?? { id, isHere: false };
}

interface Marked {
  readonly id: string;
  /** Makes it known again, with its id. */
  readonly mark: string | null;
}

function* fatesOf(
  deps: FateDeps,
  { table, mark }: { readonly table: string; readonly mark: string },
): Generator<readonly [id: string, fate: Fate]> {
  const { here, came } = deps;
  const select = `SELECT id, ${mark} AS mark FROM "${table}"`;
  const known = new Map(
    here
      .prepare<[], Marked>(select)
      .all()
      .map((row) => [row.id, row.mark]),
  );
  const pictures = table === 'picture' ? new Map([...known].map(([id, sha256]) => [sha256, id])) : null;
  const freshId = freshIds(deps, table);
  for (const row of came.prepare<[], Marked>(select).all()) {
    // Brought in twice, a picture is the same under whatever id.
    const same = pictures ? pictures.get(row.mark) : known.get(row.id) === row.mark ? row.id : undefined;
    if (same !== undefined) yield [row.id, { id: same, isHere: true }];
    else yield [row.id, { id: known.has(row.id) ? freshId() : row.id, isHere: false }];
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

function* itemFates(deps: FateDeps): Generator<readonly [id: string, fate: Fate]> {
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
