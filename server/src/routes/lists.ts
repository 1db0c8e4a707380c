import { AT_THE_TABLE, OWNER } from '../access/caller.ts';
import { ok } from '../http/replies.ts';
import { route, type Route } from '../http/route.ts';
import { PATTERN_ORDERS, type PageAsked } from '../db/index.ts';
import type { ListService } from '../services/listService.ts';
import type { SearchService } from '../services/searchService.ts';
import { isRefusal, type Outcome, Refusal } from '../services/refusal.ts';

const DEFAULT_PAGE = 50;
const LARGEST_PAGE = 200;
/** No list is as long. */
const FARTHEST = 10_000_000;
const LONGEST_SEARCH = 200;
/** Names asked for at once. */
const MOST_IDS = 100;

/** Lists by page, with what they show. */
export const listRoutes = (lists: ListService, search: SearchService): Route[] => [
  patternLines(lists),
  ...namedThings(lists),
  foundThings(search),
];

const patternLines = (lists: ListService): Route =>
  route({
    method: 'get',
    path: '/pattern-lines',
    summary:
      'Patterns as a list shows them, by page: `search` words of the title, `order=title` or `changed`, `archived=true`, `unknown=true` for those with something unknown',
    roles: OWNER,
    query: ['search', 'offset', 'limit', 'order', 'archived', 'unknown'],
    answers: [200],
    handle: ({ query }) => {
      const page = readPage(query);
      if (isRefusal(page)) return page;
      const order = PATTERN_ORDERS.find((known) => known === (query.order ?? 'changed'));
      if (!order) return new Refusal({ code: 'query_invalid', field: 'order' });
      return ok(
        lists.patterns({
          ...page,
          order,
          isArchive: query.archived === 'true',
          isUnknownOnly: query.unknown === 'true',
        }),
      );
    },
  });

const namedThings = (lists: ListService): Route[] => [
  route({
    method: 'get',
    path: '/runs',
    summary:
      'Runs as a list shows them, by page: those ahead by day, or, `when=behind`, the last first; `search` words of the name',
    roles: AT_THE_TABLE,
    query: ['when', 'search', 'offset', 'limit'],
    answers: [200],
    handle: ({ query }) => {
      const page = readPage(query);
      if (isRefusal(page)) return page;
      const when = query.when ?? 'ahead';
      if (when !== 'ahead' && when !== 'behind') return new Refusal({ code: 'query_invalid', field: 'when' });
      return ok(lists.runs({ ...page, when }));
    },
  }),
  route({
    method: 'get',
    path: '/revisions',
    summary:
      'Published revisions that a run can be planned from, by title, the newest of each first, by page; `search` words of the title, or `ids`',
    roles: OWNER,
    query: ['search', 'offset', 'limit', 'ids'],
    answers: [200],
    handle: ({ query }) => {
      const page = readPage(query);
      if (isRefusal(page)) return page;
      const ids = query.ids?.split(',') ?? null;
      if (ids && ids.length > MOST_IDS)
        return new Refusal({ code: 'query_invalid', field: 'ids', min: 1, max: MOST_IDS });
      return ok(lists.revisions(page, ids));
    },
  }),
];

const foundThings = (search: SearchService): Route =>
  route({
    method: 'get',
    path: '/found',
    summary:
      'What has these words in its name or in what is written in it, a few of each kind: patterns and their parts and steps, runs and who comes, the shelf and its lots, techniques, papers; where nothing has, of what was most likely meant',
    roles: OWNER,
    query: ['search'],
    answers: [200],
    handle: ({ query }) => {
      const page = readPage(query);
      if (isRefusal(page)) return page;
      return ok(search.found(page.search));
    },
  });

interface PageQuery {
  readonly search?: string | undefined;
  readonly offset?: string | undefined;
  readonly limit?: string | undefined;
}

function readPage({ search = '', offset, limit }: PageQuery): Outcome<PageAsked> {
  if (search.length > LONGEST_SEARCH)
    return new Refusal({ code: 'query_invalid', field: 'search', min: 0, max: LONGEST_SEARCH });
  const from = readWhole('offset', offset, { usual: 0, min: 0, max: FARTHEST });
  if (isRefusal(from)) return from;
  const many = readWhole('limit', limit, { usual: DEFAULT_PAGE, min: 1, max: LARGEST_PAGE });
  return isRefusal(many) ? many : { search: search.trim(), offset: from, limit: many };
}

function readWhole(
  field: string,
  text: string | undefined,
  { usual, min, max }: { readonly usual: number; readonly min: number; readonly max: number },
): Outcome<number> {
  if (text === undefined) return usual;
  const value = Number(text);
  return Number.isInteger(value) && value >= min && value <= max
    ? value
    : new Refusal({ code: 'query_invalid', field, min, max });
}
