import type { BackupContents, BackupDifference } from '@lanakit/core/api';
import type Database from 'better-sqlite3';
import { isDamage } from './sound.ts';

type Connection = Database.Database;
type Kind = BackupDifference['kind'];

interface Named {
  readonly id: string;
  readonly name: string;
  /** Another in another state. */
  readonly state: string;
  readonly isThere: number;
}

const NAMES: Readonly<Record<Kind, string>> = {
  pattern: `SELECT id, title AS name, printf('%d %s', document_seal, archived_at) AS state, deleted_at IS NULL AS isThere
    FROM pattern`,
  run: `SELECT id, name, printf('%d %d %s', document_seal, frozen_seal, state) AS state, deleted_at IS NULL AS isThere
    FROM run`,
  item: `SELECT id, name, printf('%d %d', properties_seal, is_archived) AS state, deleted_at IS NULL AS isThere FROM item`,
  technique: `SELECT t.id, coalesce(json_extract(v.document, '$.name'), '') AS name, printf('%d', t.version) AS state,
      t.archived_at IS NULL AS isThere
    FROM technique t JOIN technique_version v ON v.technique_id = t.id AND v.version = t.version`,
};

const KINDS = Object.keys(NAMES) as readonly Kind[];

/** What a backup holds, and what putting all of it back would do to the studio as it is. */
export function contentsOf(
  now: Connection,
  then: Connection,
): Pick<BackupContents, 'counts' | 'differences' | 'movementsLost' | 'ticksLost'> {
  const counts = { pattern: 0, run: 0, item: 0, technique: 0 };
  const differences = KINDS.flatMap((kind) => {
    const before = namesIn(then, kind);
    counts[kind] = [...before.values()].filter(({ isThere }) => isThere === 1).length;
    return differencesOf(kind, namesIn(now, kind), before);
  });
  return {
    counts,
    differences,
    movementsLost: Math.max(0, lastOf(now, 'movement') - lastOf(then, 'movement')),
    ticksLost: Math.max(0, lastOf(now, 'run_tick') - lastOf(then, 'run_tick')),
  };
}

function differencesOf(
  kind: Kind,
  now: ReadonlyMap<string, Named>,
  then: ReadonlyMap<string, Named>,
): BackupDifference[] {
  const ids = [...new Set([...now.keys(), ...then.keys()])];
  return ids.flatMap((id): BackupDifference[] => {
    const [here, there] = [now.get(id), then.get(id)];
    const [isHere, wasThere] = [here?.isThere === 1, there?.isThere === 1];
    if (here && isHere && !wasThere) return [{ is: 'lost', kind, id, name: here.name }];
    if (there && wasThere && !isHere) return [{ is: 'back', kind, id, name: there.name }];
    if (here && there && isHere && here.state !== there.state)
      return [{ is: 'changed', kind, id, name: here.name }];
    return [];
  });
}

/** What cannot be read of a damaged studio is not in it: it would come back. */
function namesIn(db: Connection, kind: Kind): Map<string, Named> {
  const found = new Map<string, Named>();
  try {
    for (const row of db.prepare<[], Named>(NAMES[kind]).iterate()) found.set(row.id, row);
  } catch (error) {
    if (!isDamage(error)) throw error;
  }
  return found;
}

function lastOf(db: Connection, table: 'movement' | 'run_tick'): number {
  try {
    return db.prepare<[], number>(`SELECT coalesce(max(id), 0) FROM ${table}`).pluck().get() ?? 0;
  } catch (error) {
    if (!isDamage(error)) throw error;
    return 0;
  }
}
