import { checkRange } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import { AMOUNT_BOUNDS, blankLot, CountedNow } from '@lanakit/core/shelf';
import { Type, type TObject } from '@sinclair/typebox';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import type { RouteDeps } from './deps.ts';
import { ITEM_SPECS, type ItemSpec, writeOf } from './itemSpecs.ts';

/** Everything on the shelf, kind by kind, by the same few operations. */
export function itemRoutes(deps: RouteDeps): Route[] {
  return Object.values(ITEM_SPECS).flatMap((spec) => routesOf(spec, deps));
}

/** What a first count is called when nobody has named it. */
const FIRST_LOT = 'first lot';

const MOST_AT_ONCE = 5000;

function routesOf(spec: ItemSpec, { store, now, newId }: RouteDeps): Route[] {
  const { items, stock } = store;
  const at = () => now().toISOString();
  const found = (id: string): { readonly version: number } => {
    const item = spec.find(store, id);
    if (!item) throw new HttpProblem('not_found');
    return item;
  };
  const answer = (status: number, id: string): Reply => {
    const item = found(id);
    return { status, body: item, version: item.version };
  };
  const conflict = (id: string, yours: unknown) =>
    new HttpProblem('version_conflict', { id, yours, theirs: found(id) });
  const assertPossible = (input: unknown, id: string | null, pointer = '') => {
    const problems = spec
      .check(input, id, store)
      .map((problem): Problem => ({ ...problem, pointer: pointer + problem.pointer }));
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
  };
  const putCount = (id: string, countedNow: number | null) => {
    if (countedNow === null) return;
    const lotId = spec.stock === 'lots' ? newId() : null;
    if (lotId !== null) stock.insertLot(lotId, id, blankLot(FIRST_LOT), at());
    stock.enterCount({ itemId: id, lotId, amount: countedNow }, at());
  };

  return [
    {
      method: 'get',
      path: spec.path,
      summary: `Every one on the shelf, archived too, by name (${spec.one})`,
      answers: [200],
      handle: () => ({ status: 200, body: { items: spec.all(store) } }),
    },
    {
      method: 'post',
      path: spec.path,
      summary: `Put ${spec.one} on the shelf`,
      body: withCount(spec),
      answers: [201],
      handle: ({ body }) => {
        const { countedNow = null, ...input } = body as { countedNow?: number | null };
        assertPossible(input, null);
        const counted = countedNow === null ? [] : checkRange(countedNow, AMOUNT_BOUNDS, '/countedNow');
        if (counted.length > 0) throw contentProblem('content_invalid', counted);
        const id = newId();
        store.together(() => {
          items.insert(id, writeOf(spec, input), at());
          putCount(id, countedNow);
        });
        return { ...answer(201, id), location: `/api${spec.path}/${id}` };
      },
    },
    {
      method: 'put',
      path: spec.path,
      summary: `Change several at once, all or none (${spec.one})`,
      body: Type.Object(
        {
          items: Type.Array(
            Type.Object(
              {
                id: Type.String({ minLength: 1, maxLength: 40 }),
                version: Type.Integer(),
                input: spec.schema,
              },
              { additionalProperties: false },
            ),
            { minItems: 1, maxItems: MOST_AT_ONCE },
          ),
        },
        { additionalProperties: false },
      ),
      answers: [200],
      handle: ({ body }) => {
        const { items: changes } = body as { items: { id: string; version: number; input: unknown }[] };
        store.together(() => {
          changes.forEach(({ id, version, input }, index) => {
            found(id);
            assertPossible(input, id, `/items/${index}/input`);
            if (!items.update(id, version, writeOf(spec, input), at())) throw conflict(id, input);
          });
        });
        return { status: 200, body: { items: changes.map(({ id }) => found(id)) } };
      },
    },
    {
      method: 'get',
      path: `${spec.path}/:id`,
      summary: `One of them (${spec.one})`,
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(200, id),
    },
    {
      method: 'put',
      path: `${spec.path}/:id`,
      summary: `Change ${spec.one}`,
      body: spec.schema,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        found(id);
        assertPossible(body, id);
        if (!items.update(id, version, writeOf(spec, body), at())) throw conflict(id, body);
        return answer(200, id);
      },
    },
    {
      method: 'get',
      path: `${spec.path}/:id/uses`,
      summary: `Where ${spec.one} is used`,
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        found(id);
        return { status: 200, body: { items: spec.uses(store, id) } };
      },
    },
    {
      method: 'delete',
      path: `${spec.path}/:id`,
      summary: `Take ${spec.one} that nothing uses off the shelf`,
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id = '' }, version }) => {
        found(id);
        const uses = spec.uses(store, id);
        if (uses.length > 0) throw new HttpProblem('in_use', { uses });
        if (!items.remove(id, version, at())) throw conflict(id, null);
        return { status: 204 };
      },
    },
    {
      method: 'post',
      path: `${spec.path}/:id/restore`,
      summary: `Undo deleting ${spec.one}`,
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!items.restore(id)) throw new HttpProblem('not_found');
        return answer(200, id);
      },
    },
  ];
}

const withCount = (spec: ItemSpec): TObject =>
  spec.stock === 'none'
    ? spec.schema
    : Type.Object({ ...spec.schema.properties, ...CountedNow.properties }, { additionalProperties: false });
