import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { CountedNow } from '@lanakit/core/shelf';
import { Type, type TObject } from '@sinclair/typebox';
import { gone, listed, made, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { ITEM_KINDS, type ItemKindRules } from '../services/itemKinds.ts';
import type { ItemService } from '../services/itemService.ts';
import type { Services } from '../services/index.ts';

const MOST_AT_ONCE = 5000;
/** Everything on the shelf, kind by kind, by the same few operations. */
export const itemRoutes = ({ items }: Pick<Services, 'items'>): Route[] =>
  Object.values(ITEM_KINDS).flatMap((kind) => routesOf(kind, items[kind.kind]));

const routesOf = (kind: ItemKindRules, items: ItemService): Route[] => [
  route({
    method: 'get',
    path: kind.path,
    summary: `Every one on the shelf, archived too, by name (${kind.singular})`,
    // Who sells what is for who buys.
    roles: kind.kind === 'supplier' ? OWNER : AT_THE_TABLE,
    answers: [200],
    handle: () => listed(items.all()),
  }),
  route({
    method: 'post',
    path: kind.path,
    summary: `Put ${kind.singular} on the shelf`,
    roles: OWNER,
    body: withCount(kind),
    answers: [201],
    handle: ({ body }) => {
      const { countedNow = null, ...input } = body as { countedNow?: number | null };
      return made(items.put(input, countedNow), kind.path);
    },
  }),
  route({
    method: 'put',
    path: kind.path,
    summary: `Change several at once, all or none (${kind.singular})`,
    roles: OWNER,
    body: severalOf(kind),
    answers: [200],
    handle: ({ body }) => listed(items.saveAll(body.items)),
  }),
  ...routesOfOne(kind, items),
];

const routesOfOne = (kind: ItemKindRules, items: ItemService): Route[] => {
  const path = `${kind.path}/:id` as const;
  return [
    route({
      method: 'get',
      path,
      summary: `One of them (${kind.singular})`,
      roles: OWNER,
      answers: [200],
      handle: ({ params: { id } }) => versioned(items.find(id)),
    }),
    route({
      method: 'put',
      path,
      summary: `Change ${kind.singular}`,
      roles: OWNER,
      body: kind.schema,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id }, body, version }) => versioned(items.save({ id, version, input: body })),
    }),
    route({
      method: 'get',
      path: `${path}/uses`,
      summary: `Where ${kind.singular} is used`,
      roles: OWNER,
      answers: [200],
      handle: ({ params: { id } }) => listed(items.usesOf(id)),
    }),
    route({
      method: 'delete',
      path,
      summary: `Take ${kind.singular} that nothing uses off the shelf`,
      roles: OWNER,
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id }, version }) => gone(items.remove(id, version)),
    }),
    route({
      method: 'post',
      path: `${path}/restore`,
      summary: `Undo deleting ${kind.singular}`,
      roles: OWNER,
      answers: [200],
      handle: ({ params: { id } }) => versioned(items.restore(id)),
    }),
  ];
};

const withCount = (kind: ItemKindRules): TObject =>
  kind.stock === 'none'
    ? kind.schema
    : Type.Object({ ...kind.schema.properties, ...CountedNow.properties }, strict);

const severalOf = (kind: ItemKindRules) =>
  Type.Object(
    {
      items: Type.Array(
        Type.Object(
          {
            id: Type.String({ minLength: 1, maxLength: 40 }),
            version: Type.Integer(),
            input: kind.schema,
          },
          strict,
        ),
        { minItems: 1, maxItems: MOST_AT_ONCE },
      ),
    },
    strict,
  );
