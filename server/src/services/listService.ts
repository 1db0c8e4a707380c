import type { PageOf, PatternLine, RevisionLine, RunLine } from '@lanakit/core/api';
import { revisionsOfRun, type Run } from '@lanakit/core/run';
import type { PageAsked, PatternsAsked, Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { patternsOneByOne, revisionsOneByOne, runsOneByOne, unlessDamaged } from './oneByOne.ts';
import { patternLine } from './patternLine.ts';
import { answering } from './refusal.ts';
import { shelfOf } from './runSources.ts';

export type ListService = ReturnType<typeof listService>;

export interface RunsAsked extends PageAsked {
  readonly when: 'ahead' | 'behind';
}

/** Lists by page: what they show, and nothing else. */
export const listService = ({ store, now }: ServiceDeps) =>
  answering({
    patterns(asked: PatternsAsked): PageOf<PatternLine> {
      const { total, items } = unlessDamaged(
        () => store.lists.patterns(asked),
        () => patternsOneByOne(store, asked),
      );
      const wool = shelfOf(store);
      return {
        total,
        items: store.patterns.byIds(items).map((pattern) => patternLine(store, pattern, wool)),
      };
    },
    runs({ when, ...page }: RunsAsked): PageOf<RunLine> & { readonly today: string } {
      const today = todayOf(now());
      const { total, items } = unlessDamaged(
        () => store.lists.runs(when, today, page),
        () => runsOneByOne(store, when, today, page),
      );
      const titles = new Map<string, { title: string; number: number } | null>();
      return {
        today,
        total,
        items: store.sound.each('run', store.runs.byIds(items), (run) => runLine(store, run, titles)),
      };
    },
    /** @param ids those of these instead of any */
    revisions: (page: PageAsked, ids: readonly string[] | null): PageOf<RevisionLine> =>
      unlessDamaged(
        () => (ids ? store.lists.revisionsById(ids) : store.lists.revisions(page)),
        () => revisionsOneByOne(store, page, ids),
      ),
  });

/** @param known designs that were looked up for this answer: runs share them */
function runLine(
  store: Store,
  run: Run,
  known: Map<string, { title: string; number: number } | null>,
): RunLine {
  const headOf = (id: string) => {
    const head = known.get(id) ?? store.patterns.revisionHead(id);
    known.set(id, head);
    return head;
  };
  const { id, kind, name, date, state, seats } = run;
  return {
    id,
    kind,
    name,
    date,
    state,
    seats,
    titles: revisionsOfRun(run).flatMap((revisionId) => headOf(revisionId)?.title ?? []),
    revisionNumber: headOf(run.revisionId)?.number ?? 0,
  };
}
