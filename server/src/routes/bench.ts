import { OWNER } from '../access/caller.ts';
import { ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { BenchService } from '../services/benchService.ts';

/** What needs the maker today: runs ahead with what is short, patterns with what is unknown. */
export const benchRoutes = (bench: BenchService): Route[] => [
  route({
    method: 'get',
    path: '/bench',
    summary: 'Runs ahead with what is short; patterns with what is unknown',
    roles: OWNER,
    answers: [200],
    handle: async () => ok(await bench.today()),
  }),
];
