import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { strict } from '@lanakit/core/base';
import type { StoredPattern } from '@lanakit/core/api';
import { Pattern } from '@lanakit/core/pattern';
import { Type } from '@sinclair/typebox';
import type { PatternCursor } from '../db/patterns.ts';
import { gone, listed, made, ok, reply, versioned } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { PatternService } from '../services/patternService.ts';
import { isRefusal, type Outcome, Refusal } from '../services/refusal.ts';

const DEFAULT_PAGE = 50;
const LARGEST_PAGE = 200;
/** Patterns: drafts that are edited, revisions that are not. */
export const patternRoutes = (patterns: PatternService): Route[] => [
  route({
    method: 'get',
    path: '/patterns',
    summary: 'Drafts, the last changed first, in pages; `archived=true` for those put away',
    roles: OWNER,
    query: ['after', 'limit', 'archived'],
    answers: [200],
    handle: ({ query }) => {
      const limit = readLimit(query.limit);
      if (isRefusal(limit)) return limit;
      const after = readCursor(query.after);
      if (isRefusal(after)) return after;
      return reply(patterns.page(after, limit, query.archived === 'true'), (items) => ({
        status: 200,
        body: { items, next: items.length === limit ? cursorAfter(items.at(-1)) : null },
      }));
    },
  }),
  route({
    method: 'post',
    path: '/patterns',
    summary: 'Begin a pattern',
    roles: OWNER,
    body: Pattern,
    answers: [201],
    handle: ({ body }) => made(patterns.begin(body), '/patterns'),
  }),
  route({
    method: 'get',
    path: '/pattern-names',
    summary: 'Every pattern by its title, with its series and the patterns it names',
    roles: OWNER,
    answers: [200],
    handle: () => listed(patterns.named()),
  }),
  route({
    method: 'get',
    path: '/patterns/:id',
    summary: 'A draft and its newest revision',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(patterns.find(id)),
  }),
  route({
    method: 'put',
    path: '/patterns/:id',
    summary: 'Save a draft',
    roles: OWNER,
    body: Pattern,
    ifMatch: true,
    answers: [200],
    handle: ({ params: { id }, body, version }) => versioned(patterns.save(id, version, body)),
  }),
  route({
    method: 'delete',
    path: '/patterns/:id',
    summary: 'Delete a draft; its revisions stay for the runs that use them',
    roles: OWNER,
    ifMatch: true,
    answers: [204],
    handle: ({ params: { id }, version }) => gone(patterns.remove(id, version)),
  }),
  route({
    method: 'post',
    path: '/patterns/:id/restore',
    summary: 'Undo deleting a draft',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => versioned(patterns.restore(id)),
  }),
  route({
    method: 'put',
    path: '/patterns/:id/archived',
    summary: 'Put a pattern away, or bring it back; its revisions stay as they are',
    roles: OWNER,
    body: Type.Object({ archived: Type.Boolean() }, strict),
    answers: [200],
    handle: ({ params: { id }, body }) => versioned(patterns.setArchived(id, body.archived)),
  }),
  route({
    method: 'get',
    path: '/patterns/:id/revisions',
    summary: 'The revisions of a pattern with what each was published for, the newest first',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => listed(patterns.revisionsOf(id)),
  }),
  route({
    method: 'post',
    path: '/patterns/:id/revisions',
    summary: 'Publish the draft as a revision that never changes, with a note of what is new in it',
    roles: OWNER,
    body: Type.Object({ note: Type.String({ maxLength: 400 }) }, strict),
    ifMatch: true,
    answers: [201],
    handle: ({ params: { id }, version, body }) =>
      reply(patterns.publish(id, version, body.note), (revision) => ({
        status: 201,
        body: revision,
        location: `/api/revisions/${revision.id}`,
      })),
  }),
  route({
    method: 'get',
    path: '/revisions/:id',
    summary: 'One revision, whole',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) => ok(patterns.findRevision(id)),
  }),
];

function readLimit(text: string | undefined): Outcome<number> {
  if (text === undefined) return DEFAULT_PAGE;
  const limit = Number(text);
  return Number.isInteger(limit) && limit >= 1 && limit <= LARGEST_PAGE
    ? limit
    : new Refusal({ code: 'query_invalid', field: 'limit', min: 1, max: LARGEST_PAGE });
}

/** A cursor is opaque to callers: the last row's place in the order. */
const cursorAfter = (last: StoredPattern | undefined): string | null =>
  last ? Buffer.from(`${last.updatedAt} ${last.id}`).toString('base64url') : null;

function readCursor(text: string | undefined): Outcome<PatternCursor | null> {
  if (text === undefined) return null;
  const [updatedAt, id] = Buffer.from(text, 'base64url').toString().split(' ');
  return updatedAt && id ? { updatedAt, id } : new Refusal({ code: 'query_invalid', field: 'after' });
}
