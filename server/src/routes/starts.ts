import { OWNER } from '../access/caller.ts';
import { FirstClassInput, ShelfStartInput } from '@lanakit/core/starts';
import { reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { StartService } from '../services/startService.ts';

/** From nothing: a shelf that is ticked, a figure from a body, its first class. */
export const startRoutes = (starts: StartService): Route[] => [
  route({
    method: 'post',
    path: '/starts/shelf',
    summary: 'Ordinary things onto the shelf, with what they are usually like; all or none',
    roles: OWNER,
    body: ShelfStartInput,
    answers: [201],
    handle: ({ body }) => reply(starts.shelf(body), (made) => ({ status: 201, body: made })),
  }),
  route({
    method: 'post',
    path: '/starts/first-class',
    summary: 'A figure from a body, in two colours; with people and a day its first revision and class too',
    roles: OWNER,
    body: FirstClassInput,
    answers: [201],
    handle: ({ body }) => reply(starts.firstClass(body), (made) => ({ status: 201, body: made })),
  }),
];
