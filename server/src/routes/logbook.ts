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
    path: '/logbook/:id',
    summary: 'The page of one class: what it took, its minutes, what was said',
    roles: OWNER,
    answers: [200],
    handle: ({ params: { id } }) => ok(logbook.page(id)),
  }),
];
