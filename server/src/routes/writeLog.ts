import { OWNER } from '../access/caller.ts';
import { filed, ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { isRefusal, Refusal } from '../services/refusal.ts';
import type { WriteLogService } from '../services/writeLogService.ts';

const WRITES_QUERY = ['device', 'from', 'to', 'offset', 'limit'] as const;
const MOST_LINES = 500;

/** @param wordsOf what an operation does */
export const writeLogRoutes = (log: WriteLogService, wordsOf: (operation: string) => string): Route[] => [
  route({
    method: 'get',
    path: '/write-log',
    summary: 'Who did what, the last first; of a device, from a day, to a day',
    roles: OWNER,
    query: WRITES_QUERY,
    answers: [200],
    handle: ({ query }) => {
      const asked = readAsked(query);
      return isRefusal(asked) ? asked : ok(log.page(asked, wordsOf));
    },
  }),
  route({
    method: 'get',
    path: '/write-log/csv',
    summary: 'The same as a table',
    roles: OWNER,
    query: WRITES_QUERY,
    answers: [200],
    handle: ({ query }) => {
      const asked = readAsked(query);
      return isRefusal(asked) ? asked : filed(log.csv(asked, wordsOf));
    },
  }),
];

function readAsked(query: Readonly<Partial<Record<(typeof WRITES_QUERY)[number], string | undefined>>>) {
  const { device = '', from = '', to = '', offset = '0', limit = '100' } = query;
  for (const [field, day] of [
    ['from', from],
    ['to', to],
  ] as const)
    if (day !== '' && !/^\d{4}-\d{2}-\d{2}$/.test(day)) return new Refusal({ code: 'query_invalid', field });
  if (!/^\d{1,7}$/.test(offset)) return new Refusal({ code: 'query_invalid', field: 'offset' });
  const lines = Number(limit);
  if (!Number.isInteger(lines) || lines < 1 || lines > MOST_LINES)
    return new Refusal({ code: 'query_invalid', field: 'limit', min: 1, max: MOST_LINES });
  return { device, from, to, offset: Number(offset), limit: lines };
}
