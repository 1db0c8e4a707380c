import { checkRange } from '@lanakit/core/base';
import { ImportInput } from '@lanakit/core/files';
import type { Problem } from '@lanakit/core/problems';
import { AMOUNT_BOUNDS } from '@lanakit/core/shelf';
import { bodyCheck, type BodyCheck } from '../http/bodyCheck.ts';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Route } from '../http/route.ts';
import type { ItemKind } from '../db/index.ts';
import type { RouteDeps } from './deps.ts';
import { ITEM_SPECS, type ItemSpec, writeOf } from './itemSpecs.ts';

const SHOWN = 20;

/** Lists read in, all or nothing, and taken back. */
export function importRoutes({ store, now, newId }: RouteDeps): Route[] {
  const { items, stock, imports } = store;
  const at = () => now().toISOString();
  const checks = new Map<ItemKind, BodyCheck>(
    Object.values(ITEM_SPECS).map((spec) => [spec.kind, bodyCheck(spec.schema)]),
  );
  const problemsOf = (spec: ItemSpec, input: unknown, id: string | null, pointer: string): Problem[] => {
    const form = checks.get(spec.kind)?.(input) ?? [];
    const problems = form.length > 0 ? form : spec.check(input, id, store);
    return problems.map((problem) => ({ ...problem, pointer: `${pointer}/input${problem.pointer}` }));
  };

  const bringIn = (importId: string, input: ImportInput) => {
    imports.insert(importId, input.fileName, at());
    for (const { kind, input: own } of input.creates) {
      const itemId = newId();
      items.insert(itemId, writeOf(ITEM_SPECS[kind], own), at());
      imports.noteChange(importId, { itemId, before: null, versionAfter: 1 });
    }
    for (const { kind, id, version, input: own } of input.updates) {
      const before = items.find<object>(kind, id);
      if (!before || !items.update(id, version, writeOf(ITEM_SPECS[kind], own), at())) {
        throw new HttpProblem('version_conflict', { id, yours: own, theirs: before });
      }
      const { id: _id, version: _version, ...properties } = before;
      imports.noteChange(importId, {
        itemId: id,
        before: JSON.stringify(properties),
        versionAfter: version + 1,
      });
    }
    for (const count of input.counts) stock.enterCount(count, at(), importId);
  };

  const takeBack = (importId: string) => {
    for (const { itemId, before, versionAfter } of imports.changesOf(importId)) {
      const kind = items.kindOf(itemId)?.kind;
      if (!kind) continue;
      const spec = ITEM_SPECS[kind];
      const isDone =
        before === null
          ? spec.uses(store, itemId).length === 0 && items.remove(itemId, versionAfter, at())
          : items.update(itemId, versionAfter, writeOf(spec, JSON.parse(before)), at());
      if (!isDone) throw new HttpProblem('import_built_on', { name: items.kindOf(itemId)?.name });
    }
    for (const { itemId, lotId, amountMilli } of imports.movesOf(importId)) {
      if (amountMilli !== 0)
        stock.enter({ itemId, lotId, amountMilli: -amountMilli, reason: 'undone', at: at() });
    }
  };

  return [
    {
      method: 'get',
      path: '/imports',
      summary: 'The last imports',
      answers: [200],
      handle: () => ({ status: 200, body: { items: imports.recent(SHOWN) } }),
    },
    {
      method: 'post',
      path: '/imports',
      summary: 'Read in a list: all of it or nothing',
      body: ImportInput,
      largestBody: '32mb',
      answers: [201],
      handle: ({ body }) => {
        const input = body as ImportInput;
        const problems = [
          ...input.creates.flatMap((one, index) =>
            problemsOf(ITEM_SPECS[one.kind], one.input, null, `/creates/${index}`),
          ),
          ...input.updates.flatMap((one, index) =>
            problemsOf(ITEM_SPECS[one.kind], one.input, one.id, `/updates/${index}`),
          ),
          ...input.counts.flatMap(({ amount, itemId }, index) => [
            ...checkRange(amount, AMOUNT_BOUNDS, `/counts/${index}/amount`),
            ...(items.kindOf(itemId)
              ? []
              : [{ code: 'not_on_shelf', pointer: `/counts/${index}/itemId`, name: itemId } as const]),
          ]),
        ];
        if (problems.length > 0) throw contentProblem('content_invalid', problems.slice(0, 100));
        const id = newId();
        store.together(() => bringIn(id, input));
        return {
          status: 201,
          body: imports.recent(SHOWN).find((one) => one.id === id),
          location: `/api/imports/${id}`,
        };
      },
    },
    {
      method: 'post',
      path: '/imports/:id/undo',
      summary: 'Take an import back, all of it; refused where something has been built on it since',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!imports.find(id)) throw new HttpProblem('not_found');
        store.together(() => {
          if (!imports.markUndone(id, at())) throw new HttpProblem('import_undone');
          takeBack(id);
        });
        return { status: 200, body: imports.recent(SHOWN).find((one) => one.id === id) ?? null };
      },
    },
  ];
}
