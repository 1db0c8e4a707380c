import { strict } from '@lanakit/core/base';
import { Type } from '@sinclair/typebox';
import { OWNER } from '../access/caller.ts';
import { listed, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { LogbookService } from '../services/logbookService.ts';

/** What each class really took, and what it taught. */
export const logbookRoutes = (logbook: LogbookService): Route[] => [
  route({
    method: 'get',
    path: '/logbook',
    summary: 'Classes that were taught, the last first',
    roles: OWNER,
    answers: [200],
    handle: () => listed(logbook.list()),
  }),
  route({
    method: 'get',
    path: '/class-questions',
    summary: 'What was asked, went wrong and was thought of in classes, by pattern and step',
    roles: OWNER,
    answers: [200],
    handle: () => listed(logbook.questions()),
  }),
  route({
    method: 'put',
    path: '/class-questions/:id',
    summary: 'Say that it is worked off into the pattern, or not after all',
    roles: OWNER,
    body: Type.Object({ isDone: Type.Boolean() }, strict),
    answers: [200],
    handle: ({ params: { id }, body }) => listed(logbook.setQuestion(id, body.isDone)),
  }),
  route({
    method: 'get',
    path: '/logbook/:id',
    summary: 'The page of one class: what it took, its minutes, what was said',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => ok(logbook.page(id)),
  }),
];
