import type { ShowNow } from './show.ts';

/** How long a step or a row took in the class, of what was marked. Minutes. */
export interface EntryTook {
  readonly entryId: string;
  readonly name: string;
  readonly stepId: string | null;
  readonly plannedMinutes: number;
  /** From its beginning to when everybody had it; null: one of them was not marked. */
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
      tookMinutes: beganAt === null || endedAt === null ? null : endedAt - beganAt,
      lateMinutes: endedAt === null ? null : endedAt - to,
    })),
  );
