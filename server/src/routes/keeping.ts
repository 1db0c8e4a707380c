import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { gone, ok, reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { KeepingService } from '../services/keepingService.ts';

const Thing = Type.Object(
  {
    kind: Type.Unsafe<'pattern' | 'run' | 'item'>({ type: 'string', enum: ['pattern', 'run', 'item'] }),
    id: Type.String({ minLength: 1, maxLength: 40 }),
  },
  strict,
);

/** Backups, and how safe the studio is. */
export const keepingRoutes = (keeping: KeepingService): Route[] => [
  route({
    method: 'get',
    path: '/keeping',
    summary: 'The backups there are, the last one’s fate, and what is damaged',
    roles: OWNER,
    answers: [200],
    handle: () => ok(keeping.state()),
  }),
  route({
    method: 'put',
    path: '/keeping/second-place',
    summary: 'Where each backup is copied to as well; null: nowhere',
    roles: OWNER,
    body: Type.Object(
      { path: Type.Union([Type.String({ minLength: 1, maxLength: 1000 }), Type.Null()]) },
      strict,
    ),
    answers: [204],
    handle: ({ body }) => gone(keeping.setSecondPlace(body.path)),
  }),
  route({
    method: 'post',
    path: '/backups',
    summary: 'Make a backup now, and find it whole',
    roles: OWNER,
    isApart: true,
    answers: [201],
    handle: async () =>
      reply(await keeping.backUp(), (backup) => ({
        status: 201,
        body: backup,
        location: `/api/backups/${backup.name}`,
      })),
  }),
  route({
    method: 'get',
    path: '/backups/:name',
    summary: 'What a backup holds, and what putting it back would do to what is there now',
    roles: OWNER,
    answers: [200],
    handle: async ({ params: { name } }) => ok(await keeping.lookInto(name)),
  }),
  route({
    method: 'post',
    path: '/backups/:name/put-back',
    summary: 'Put one thing of a backup back, or, without one, all of it; what is there is backed up first',
    roles: OWNER,
    body: Type.Object({ thing: Type.Union([Thing, Type.Null()]) }, strict),
    isApart: true,
    answers: [200],
    handle: async ({ params: { name }, body }) => ok(await keeping.putBack(name, body.thing)),
  }),
];
