import type { ImportInput, ImportRecord } from '@lanakit/core/files';
import type { Problem } from '@lanakit/core/problems';
import type { ServiceDeps } from './deps.ts';
import { formCheck } from './formCheck.ts';
import { ITEM_KINDS, type ItemKindRules, writeOf } from './itemKinds.ts';
import { checkCount } from './stockPlaces.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';

export type ImportService = ReturnType<typeof importService>;

const SHOWN = 20;
/** More problems nobody mends in one go, and each row is looked at until there are so many. */
const MOST_PROBLEMS = 100;

/** Lists read in, all or nothing, and taken back. */
export function importService({ store, now, newId }: ServiceDeps) {
  const { items, stock, imports } = store;
  const at = () => now().toISOString();
  const recent = (id: string): ImportRecord =>
    foundOr(imports.recent(SHOWN).find((importRecord) => importRecord.id === id));

  const problemsOf = (kind: ItemKindRules, input: unknown, id: string | null, pointer: string): Problem[] => {
    const form = formCheck(kind.schema)(input);
    const problems = form.length > 0 ? form : kind.check(input, id, store);
    return problems.map((problem) => ({ ...problem, pointer: `${pointer}/input${problem.pointer}` }));
  };
  const problemsOfList = ({ creates, updates, counts }: ImportInput): Problem[] => [
    ...creates.flatMap((create, index) =>
      problemsOf(ITEM_KINDS[create.kind], create.input, null, `/creates/${index}`),
    ),
    ...updates.flatMap((update, index) =>
      problemsOf(ITEM_KINDS[update.kind], update.input, update.id, `/updates/${index}`),
    ),
    ...counts.flatMap((count, index) => checkCount(store, count, `/counts/${index}`)),
  ];

  const bringIn = (importId: string, input: ImportInput): void => {
    imports.insert(importId, input.fileName, at());
    for (const { kind, input: create } of input.creates) {
      const itemId = newId();
      items.insert(itemId, writeOf(ITEM_KINDS[kind], create), at());
      imports.noteChange(importId, { itemId, before: null, versionAfter: 1 });
    }
    for (const { kind, id, version, input: update } of input.updates) {
      const before = items.find<object>(kind, id);
      if (!before || !items.update(id, version, writeOf(ITEM_KINDS[kind], update), at()))
        throw new Refusal({ code: 'version_conflict', id, yours: update, theirs: before });
      const { id: _id, version: _version, ...properties } = before;
      const change = { itemId: id, before: JSON.stringify(properties), versionAfter: version + 1 };
      imports.noteChange(importId, change);
    }
    for (const count of input.counts) stock.enterCount(count, at(), importId);
  };

  const takeBack = (importId: string): void => {
    for (const { itemId, before, versionAfter } of imports.changesOf(importId)) {
      const kind = items.kindOf(itemId)?.kind;
      if (!kind) continue;
      const rules = ITEM_KINDS[kind];
      const isDone =
        before === null
          ? rules.uses(store, itemId).length === 0 && items.remove(itemId, versionAfter, at())
          : items.update(itemId, versionAfter, writeOf(rules, JSON.parse(before)), at());
      if (!isDone) throw new Refusal({ code: 'import_built_on', name: items.kindOf(itemId)?.name });
    }
    for (const { itemId, lotId, amountMilli } of imports.movesOf(importId)) {
      if (amountMilli === 0) continue;
      stock.enter({ itemId, lotId, amountMilli: -amountMilli, reason: 'undone', at: at() });
    }
  };

  return answering({
    recent: () => imports.recent(SHOWN),
    take(input: ImportInput): ImportRecord {
      const id = newId();
      store.together(() => {
        assertSound(problemsOfList(input).slice(0, MOST_PROBLEMS));
        bringIn(id, input);
      });
      return recent(id);
    },
    /** All of it; refused where something has been built on it since. */
    undo(id: string): ImportRecord | null {
      foundOr(imports.find(id));
      store.together(() => {
        if (!imports.markUndone(id, at())) throw new Refusal({ code: 'import_undone' });
        takeBack(id);
      });
      return imports.recent(SHOWN).find((importRecord) => importRecord.id === id) ?? null;
    },
  });
}
