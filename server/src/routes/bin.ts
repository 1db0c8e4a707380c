import { OWNER } from '../access/caller.ts';
import { listed } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import type { BinService } from '../services/binService.ts';

/** What was deleted lately. */
export const binRoutes = (bin: BinService): Route[] => [
  route({
    method: 'get',
    path: '/bin',
    summary:
      'What was deleted or put away for good in the last ninety days; each is brought back by its own `restore`',
    roles: OWNER,
    answers: [200],
    handle: () => listed(bin.all()),
  }),
];
