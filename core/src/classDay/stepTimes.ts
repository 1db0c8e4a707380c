import type { ShowNow } from './show.ts';

/** How long a step or a row took in the class, of what was marked. Minutes. */
export interface EntryTook {
  readonly entryId: string;
  readonly name: string;
  readonly stepId: string | null;
  readonly plannedMinutes: number;
  /** From its beginning to when everybody had it; null: one of them was not marked, or they stand the wrong way round. */
  readonly tookMinutes: number | null;
  /** Its end against the plan; null: not marked. */
  readonly lateMinutes: number | null;
}

/** Minutes as they were, in the order of the plan. */
export const entriesTook = (shows: readonly ShowNow[]): EntryTook[] =>
  shows.flatMap(({ lines }) =>
    lines.map(({ entry: { id, name, stepId, from, to }, beganAt, endedAt }) => ({
      entryId: id,
      name,
      stepId,
      plannedMinutes: to - from,
      // Had before it was begun: it was begun once more, for somebody.
      tookMinutes: beganAt === null || endedAt === null || endedAt < beganAt ? null : endedAt - beganAt,
      lateMinutes: endedAt === null ? null : endedAt - to,
    })),
  );
