import type { StoredPattern } from '@lanakit/core/api';
import {
  checkPattern,
  comparePatterns,
  isWoolOnly,
  missingForPublishing,
  Pattern,
  strangeFibres,
  strangeFindings,
} from '@lanakit/core/pattern';
import { Type } from '@sinclair/typebox';
import type { PatternCursor } from '../db/patterns.ts';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import type { RouteDeps } from './deps.ts';

const DEFAULT_PAGE = 50;
const LARGEST_PAGE = 200;

/** Patterns: drafts that are edited, revisions that are not. */
export function patternRoutes({ store: { patterns, items }, now, newId }: RouteDeps): Route[] {
  const at = () => now().toISOString();
  const found = (id: string): StoredPattern => {
    const pattern = patterns.find(id);
    if (!pattern) throw new HttpProblem('not_found');
    return pattern;
  };
  const answer = (status: number, id: string): Reply => {
    const pattern = found(id);
    return { status, body: pattern, version: pattern.version };
  };
  const conflict = (id: string, yours: unknown) =>
    new HttpProblem('version_conflict', { yours, theirs: found(id) });
  const isWool = (id: string): boolean => {
    const kind = items.kindOf(id)?.kind;
    return kind === 'fibre' || kind === 'blend';
  };
  const isFinding = (id: string): boolean => items.kindOf(id)?.kind === 'finding';
  const strange = (document: Pattern) => [
    ...strangeFibres(document, isWool),
    ...strangeFindings(document, isFinding),
  ];
  const checked = (document: Pattern): Pattern => {
    const problems = [...checkPattern(document), ...strange(document)];
    if (problems.length > 0) throw contentProblem('content_invalid', problems);
    return document;
  };

  return [
    {
      method: 'get',
      path: '/patterns',
      summary: 'Drafts, the last changed first, in pages; `archived=true` for those put away',
      query: ['after', 'limit', 'archived'],
      answers: [200],
      handle: ({ query }) => {
        const limit = readLimit(query['limit']);
        const items = patterns.page(readCursor(query['after']), limit, query['archived'] === 'true');
        return {
          status: 200,
          body: { items, next: items.length === limit ? cursorAfter(items.at(-1)) : null },
        };
      },
    },
    {
      method: 'post',
      path: '/patterns',
      summary: 'Begin a pattern',
      body: Pattern,
      answers: [201],
      handle: ({ body }) => {
        const id = newId();
        patterns.insert(id, checked(body as Pattern), at());
        return { ...answer(201, id), location: `/api/patterns/${id}` };
      },
    },
    {
      method: 'get',
      path: '/patterns/:id',
      summary: 'A draft and its newest revision',
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(200, id),
    },
    {
      method: 'put',
      path: '/patterns/:id',
      summary: 'Save a draft',
      body: Pattern,
      ifMatch: true,
      answers: [200],
      handle: ({ params: { id = '' }, body, version }) => {
        found(id);
        const document = checked(body as Pattern);
        if (!patterns.update(id, version, document, at())) throw conflict(id, document);
        return answer(200, id);
      },
    },
    {
      method: 'delete',
      path: '/patterns/:id',
      summary: 'Delete a draft; its revisions stay for the runs that use them',
      ifMatch: true,
      answers: [204],
      handle: ({ params: { id = '' }, version }) => {
        found(id);
        if (!patterns.remove(id, version, at())) throw conflict(id, null);
        return { status: 204 };
      },
    },
    {
      method: 'post',
      path: '/patterns/:id/restore',
      summary: 'Undo deleting a draft',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        if (!patterns.restore(id)) throw new HttpProblem('not_found');
        return answer(200, id);
      },
    },
    {
      method: 'put',
      path: '/patterns/:id/archived',
      summary: 'Put a pattern away, or bring it back; its revisions stay as they are',
      body: Type.Object({ archived: Type.Boolean() }, { additionalProperties: false }),
      answers: [200],
      handle: ({ params: { id = '' }, body }) => {
        found(id);
        patterns.setArchived(id, (body as { archived: boolean }).archived ? at() : null);
        return answer(200, id);
      },
    },
    {
      method: 'get',
      path: '/patterns/:id/revisions',
      summary: 'The revisions of a pattern with what each was published for, the newest first',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        found(id);
        const items = patterns.revisionsOf(id).map(({ document: _document, ...revision }) => revision);
        return { status: 200, body: { items } };
      },
    },
    {
      method: 'post',
      path: '/patterns/:id/revisions',
      summary: 'Publish the draft as a revision that never changes, with a note of what is new in it',
      body: Type.Object({ note: Type.String({ maxLength: 400 }) }, { additionalProperties: false }),
      ifMatch: true,
      answers: [201],
      handle: ({ params: { id = '' }, version, body }) => {
        const pattern = found(id);
        if (pattern.version !== version) throw conflict(id, null);
        const missing = missingForPublishing(pattern.document);
        const gone = strange(pattern.document);
        if (missing.length + gone.length > 0)
          throw contentProblem('pattern_incomplete', [...missing, ...gone]);
        const last = pattern.revision && patterns.findRevision(pattern.revision.id);
        if (last && comparePatterns(pattern.document, last.document).length === 0) {
          throw new HttpProblem('revision_unchanged', { number: last.number });
        }
        const revisionId = newId();
        patterns.publish(revisionId, id, pattern.document, at(), (body as { note: string }).note);
        return {
          status: 201,
          body: patterns.findRevision(revisionId),
          location: `/api/revisions/${revisionId}`,
        };
      },
    },
    {
      method: 'get',
      path: '/revisions',
      summary: 'Every published revision that a class can be planned from, newest first under each title',
      answers: [200],
      handle: () => ({
        status: 200,
        body: {
          items: patterns.published().map(({ document, ...revision }) => ({
            ...revision,
            title: document.title,
            isWoolOnly: isWoolOnly(document),
          })),
        },
      }),
    },
    {
      method: 'get',
      path: '/revisions/:id',
      summary: 'One revision, whole',
      answers: [200],
      handle: ({ params: { id = '' } }) => {
        const revision = patterns.findRevision(id);
        if (!revision) throw new HttpProblem('not_found');
        return { status: 200, body: revision };
      },
    },
  ];
}

function readLimit(text: string | undefined): number {
  if (text === undefined) return DEFAULT_PAGE;
  const limit = Number(text);
  if (!Number.isInteger(limit) || limit < 1 || limit > LARGEST_PAGE) {
    throw new HttpProblem('query_invalid', { field: 'limit', min: 1, max: LARGEST_PAGE });
  }
  return limit;
}

/** A cursor is opaque to callers: the last row's place in the order. */
const cursorAfter = (last: StoredPattern | undefined): string | null =>
  last ? Buffer.from(`${last.updatedAt} ${last.id}`).toString('base64url') : null;

function readCursor(text: string | undefined): PatternCursor | null {
  if (text === undefined) return null;
  const [updatedAt, id] = Buffer.from(text, 'base64url').toString().split(' ');
  if (!updatedAt || !id) throw new HttpProblem('query_invalid', { field: 'after' });
  return { updatedAt, id };
}
