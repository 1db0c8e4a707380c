import { OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import { PatternFile } from '@lanakit/core/files';
import { Type } from '@sinclair/typebox';
import { filed, ok, reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { FILE_FORMS, type PatternFileService } from '../services/patternFileService.ts';
import { Refusal } from '../services/refusal.ts';

const Id = Type.String({ minLength: 1, maxLength: 40 });
/** What becomes of each carried thing: an id of this shelf, or null to put it there. */
const BroughtIn = Type.Object(
  {
    file: PatternFile,
    mapping: Type.Array(
      Type.Object(
        {
          kind: Type.Unsafe<'fibre' | 'finding' | 'needle'>({
            type: 'string',
            enum: ['fibre', 'finding', 'needle'],
          }),
          id: Id,
          itemId: Type.Union([Id, Type.Null()]),
        },
        strict,
      ),
      { maxItems: 1200 },
    ),
  },
  strict,
);

/** Patterns out of and into files. */
export const patternFileRoutes = (files: PatternFileService): Route[] => [
  route({
    method: 'get',
    path: '/patterns/:id/file',
    summary: 'A draft as a file: `as=json`, `as=zip` with its pictures, or `as=markdown`',
    roles: OWNER,
    query: ['as'],
    answers: [200],
    handle: ({ params: { id }, query }) => {
      const form = FILE_FORMS.find((fileForm) => fileForm === (query.as ?? 'json'));
      return form ? filed(files.write(id, form)) : new Refusal({ code: 'query_invalid', field: 'as' });
    },
  }),
  route({
    method: 'post',
    path: '/pattern-files',
    summary: 'Read a pattern from JSON, ZIP or Markdown: what is in it, and where it would go on this shelf',
    roles: OWNER,
    upload: '64mb',
    answers: [200],
    handle: async ({ bytes }) => ok(await files.read(bytes)),
  }),
  route({
    method: 'post',
    path: '/pattern-files/taken',
    summary: 'Take a read pattern in: a new draft, with what the shelf lacks put on it',
    roles: OWNER,
    body: BroughtIn,
    largestBody: '8mb',
    answers: [201],
    handle: ({ body: { file, mapping } }) =>
      reply(files.takeIn(file, mapping), (pattern) => ({
        status: 201,
        body: pattern,
        location: `/api/patterns/${pattern.id}`,
      })),
  }),
];
