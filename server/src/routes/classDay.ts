import { ClassEventInput } from '@lanakit/core/classDay';
import { AT_THE_TABLE } from '../access/caller.ts';
import { ok, reply } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { RunNews } from '../http/runNews.ts';
import type { RunService } from '../services/runService.ts';
import type { ClassDayService } from '../services/classDayService.ts';

const MOST = Number.MAX_SAFE_INTEGER;

/** A class on its day: what is planned, what happens, and what it took. */
export const classDayRoutes = (days: ClassDayService, runs: RunService, news: RunNews): Route[] => [
  route({
    method: 'get',
    path: '/runs/:id/class-day',
    summary: 'A class on its day: its plan, and all that happened',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) => ok(days.find(id)),
  }),
  route({
    method: 'get',
    path: '/runs/:id/class-day/events',
    summary: 'What happened in a class since an event',
    roles: AT_THE_TABLE,
    query: ['after'],
    answers: [200],
    handle: ({ params: { id }, query }) => ok(days.events(id, wholeOf(query.after))),
  }),
  route({
    method: 'post',
    path: '/runs/:id/class-day/events',
    summary: 'Something happened in a class',
    roles: AT_THE_TABLE,
    body: ClassEventInput,
    answers: [200],
    handle: ({ params: { id }, body, caller }) => ok(days.add(id, body, caller.name)),
  }),
  route({
    method: 'get',
    path: '/runs/:id/took',
    summary: 'What a class took of each fibre, against what was planned',
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) => ok(days.took(id)),
  }),
  route({
    method: 'get',
    path: '/runs/:id/news',
    summary: 'That something of a run was written, as it happens',
    isWatched: true,
    roles: AT_THE_TABLE,
    answers: [200],
    handle: ({ params: { id } }) =>
      reply(runs.ticks(id), () => ({ status: 200, events: (send) => news.watch(id, send) })),
  }),
];

const wholeOf = (text: string | undefined): number => {
  const number = Number(text ?? 0);
  return Number.isInteger(number) && number >= 0 && number <= MOST ? number : 0;
};
