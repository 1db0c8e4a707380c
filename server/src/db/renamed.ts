/** What becomes of what came: under which id it is here, and whether it was here before. */
export interface Fate {
  readonly id: string;
  /** It stays as it is here; what came of it is not brought in. */
  readonly isHere: boolean;
}

/** @param table what the id is of */
export type FateOf = (table: string, id: string) => Fate;

/** The table whose id stands under a key of a document. */
const TABLE_OF_KEY: Readonly<Record<string, string>> = {
  fibreId: 'item',
  findingId: 'item',
  itemId: 'item',
  supplierId: 'item',
  needleId: 'item',
  lotId: 'lot',
  offcutId: 'offcut',
  runId: 'run',
  pictureId: 'picture',
  revisionId: 'revision',
  patternId: 'pattern',
  techniqueId: 'technique',
  makingId: 'making',
};

/** Lists of things that have their id themselves. */
const TABLE_OF_LIST: Readonly<Record<string, string>> = { pictures: 'picture' };
/** The same in what a run wrote down of the shelf. */
const TABLE_OF_WOOL: Readonly<Record<string, string>> = { fibres: 'item', findings: 'item', lots: 'lot' };

/** A document with everything it names called what it is called here. */
export const renamed = <T>(document: T, fateOf: FateOf): T => walked(document, fateOf, TABLE_OF_LIST) as T;

/** Numbers of a run, with the wool it wrote down. Its packs are told apart by choices, which are of their pattern. */
export function renamedNumbers(frozen: unknown, fateOf: FateOf): unknown {
  const { wool, ...rest } = frozen as { readonly wool: unknown };
  return { ...(walked(rest, fateOf, {}) as object), wool: walked(wool, fateOf, TABLE_OF_WOOL) };
}

function walked(value: unknown, fateOf: FateOf, lists: Readonly<Record<string, string>>): unknown {
  if (Array.isArray(value)) return value.map((inner) => walked(inner, fateOf, lists));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]): [string, unknown] => {
      const table = TABLE_OF_KEY[key];
      if (table !== undefined && typeof inner === 'string') return [key, fateOf(table, inner).id];
      const listTable = lists[key];
      const next = walked(inner, fateOf, lists);
      if (listTable === undefined || !Array.isArray(next)) return [key, next];
      return [
        key,
        next.map((thing: { readonly id: string }) => ({ ...thing, id: fateOf(listTable, thing.id).id })),
      ];
    }),
  );
}

/** What was ticked: a pack, a bag, and last the fibre. */
export function renamedMark(mark: string, fateOf: FateOf): string {
  const at = mark.lastIndexOf('|');
  return at < 0 ? mark : `${mark.slice(0, at + 1)}${fateOf('item', mark.slice(at + 1)).id}`;
}

/** Where something was weighed: the making or run, and last its place in it; a fibre, in a run. */
export function renamedEvidence(id: string, fateOf: FateOf): string {
  const at = id.indexOf(':');
  const [owner, place] = [id.slice(0, at), id.slice(at + 1)];
  return `${fateOf('making', fateOf('run', owner).id).id}:${fateOf('item', place).id}`;
}
