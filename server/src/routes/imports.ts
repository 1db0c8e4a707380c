import { OWNER } from '../access/caller.ts';
import { ImportInput } from '@lanakit/core/files';
import { listed, ok, reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { ImportService } from '../services/importService.ts';

/** Lists read in, all or nothing, and taken back. */
export const importRoutes = (imports: ImportService): Route[] => [
  route({
    method: 'get',
    path: '/imports',
    summary: 'The last imports',
    roles: OWNER,
    answers: [200],
    handle: () => listed(imports.recent()),
  }),
  route({
    method: 'post',
    path: '/imports',
    summary: 'Read in a list: all of it or nothing',
    roles: OWNER,
    body: ImportInput,
    largestBody: '16mb',
    isLongList: true,
    answers: [201],
    handle: ({ body }) =>
      reply(imports.take(body), (record) => ({
        status: 201,
        body: record,
        location: `/api/imports/${record.id}`,
      })),
  }),
  route({
    method: 'post',
    path: '/imports/:id/undo',
    summary: 'Take an import back, all of it; refused where something has been built on it since',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => ok(imports.undo(id)),
  }),
];
