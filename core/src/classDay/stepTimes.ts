import type { ShowEntry } from './plan.ts';
import type { ShowNow } from './show.ts';

/** How long a step or a row took in the class. Minutes. */
export interface EntryTook {
  readonly entry: ShowEntry;
  /** From its beginning to when everybody had it; null: its beginning was not marked, or they stand the wrong way round. */
  readonly tookMinutes: number | null;
  /** Its end against the plan. */
  readonly lateMinutes: number;
}

/** Minutes as they were, in the order of the plan: of what everybody had. What was not marked is not told. */
export const entriesTook = (shows: readonly ShowNow[]): EntryTook[] =>
  shows.flatMap(({ lines }) =>
    lines.flatMap(({ entry, beganAt, endedAt }): EntryTook[] => {
      if (endedAt === null) return [];
      // Had before it was begun: it was begun once more, for somebody.
      const tookMinutes = beganAt === null || endedAt < beganAt ? null : endedAt - beganAt;
      return [{ entry, tookMinutes, lateMinutes: endedAt - entry.to }];
    }),
  );
