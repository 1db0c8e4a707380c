import type { StudioThatCame, ThingOfShelf, ThingThatCame } from '@lanakit/core/api';
import type Database from 'better-sqlite3';
import { settleFates } from './arrivalFates.ts';
import { isEmptyStudio } from './mergeStudio.ts';

type Connection = Database.Database;

interface NamedItem extends ThingOfShelf {
  readonly createdAt: string;
}

const ITEMS = `SELECT id, kind, name, json_extract(properties, '$.preparation') AS preparation, created_at AS createdAt
  FROM item WHERE deleted_at IS NULL AND json_valid(properties) ORDER BY kind, name COLLATE NOCASE, id`;

/** Prepared otherwise it is other wool. */
const nameKey = ({ kind, name, preparation }: ThingOfShelf): string =>
  `${kind} ${preparation ?? ''} ${name.trim().toLowerCase()}`;

/** Each thing of the shelf that came, with the one here that it seems to be: the very same, else the one so called. */
function thingsThatCame(shelf: readonly NamedItem[], came: readonly NamedItem[]): ThingThatCame[] {
  const known = new Map(shelf.map((item) => [item.id, item]));
  const byName = new Map(shelf.map((item) => [nameKey(item), item.id]));
  return came.map(({ createdAt, ...item }) => {
    const there = known.get(item.id);
    const isSame = there?.kind === item.kind && there.createdAt === createdAt;
    const itemId = isSame ? item.id : (byName.get(nameKey(item)) ?? null);
    return { ...item, itemId, isSame };
  });
}

const KINDS = ['pattern', 'run', 'item'] as const;

/** What is in a studio that came, and what of it is here already. */
export function studioThatCame(here: Connection, came: Connection): Omit<StudioThatCame, 'id'> {
  const shelf = here.prepare<[], NamedItem>(ITEMS).all();
  const things = thingsThatCame(shelf, came.prepare<[], NamedItem>(ITEMS).all());
  const fateOf = settleFates({ here, came, mapping: things, newId: () => '' });
  const idsOf = (table: string, condition: string) =>
    came.prepare<[], string>(`SELECT id FROM ${table} WHERE ${condition} IS NULL`).pluck().all();
  const ids = {
    ...Object.fromEntries(KINDS.map((kind) => [kind, idsOf(kind, 'deleted_at')])),
    technique: idsOf('technique', 'archived_at'),
  } as Record<keyof StudioThatCame['counts'], string[]>;
  const counted = (count: (kind: keyof typeof ids) => number) => ({
    pattern: count('pattern'),
    run: count('run'),
    item: count('item'),
    technique: count('technique'),
  });
  return {
    counts: counted((kind) => ids[kind].length),
    here: counted((kind) => ids[kind].filter((id) => fateOf(kind, id).isHere).length),
    movements: came.prepare<[], number>('SELECT count(*) FROM movement').pluck().get() ?? 0,
    isEmptyHere: isEmptyStudio(here),
    things,
    shelf: shelf.map(({ createdAt: _at, ...item }) => item),
  };
}
