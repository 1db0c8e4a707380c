import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { filed, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { StudioFileService } from '../services/studioFileService.ts';

const Id = Type.String({ minLength: 1, maxLength: 40 });

const BringIn = Type.Object(
  {
    mapping: Type.Array(Type.Object({ id: Id, itemId: Type.Union([Id, Type.Null()]) }, strict), {
      maxItems: 100_000,
      description: 'what each thing of the shelf is here; null: it is put on this shelf',
    }),
  },
  strict,
);

/** The whole studio as open files. */
export const studioFileRoutes = (studioFile: StudioFileService): Route[] => [
  route({
    method: 'get',
    path: '/studio-file',
    summary: 'The whole studio as one ZIP of open files: JSON, CSV, pictures, and what each of them means',
    roles: OWNER,
    answers: [200],
    handle: async () => filed(await studioFile.write()),
  }),
  route({
    method: 'post',
    path: '/studio-files',
    summary:
      'Read a whole studio: what is in it, and what of it would be what here. Nothing is brought in yet',
    roles: OWNER,
    upload: 'file',
    answers: [200],
    handle: async ({ file }) => ok(await studioFile.read(file)),
  }),
  route({
    method: 'post',
    path: '/studio-files/:id/brought-in',
    summary:
      'Bring a studio that was read into this one, all of it or nothing; what is there is backed up first',
    roles: OWNER,
    body: BringIn,
    largestBody: '16mb',
    isLongList: true,
    isApart: true,
    answers: [200],
    handle: async ({ params: { id }, body }) => ok(await studioFile.bringIn(id, body.mapping)),
  }),
];
