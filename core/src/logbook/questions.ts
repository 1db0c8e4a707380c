import type { SaidNow, SaidSort } from '../classDay/index.ts';
import { byCodePoint } from '../base/index.ts';

/** Something that was asked, went wrong or was thought of in a class. */
export interface ClassQuestion {
  /** RUN:KEY, the same for the same. */
  readonly id: string;
  readonly runId: string;
  readonly runName: string;
  readonly date: string;
  readonly sort: SaidSort;
  readonly text: string;
  readonly patternId: string;
  readonly title: string;
  readonly stepId: string | null;
  /** In the draft as it is now, from 1; null: of no step, or of one that is gone. */
  readonly number: number | null;
  readonly isDone: boolean;
}

/** Where a note belongs: the pattern its revision is of, as it is written now. */
export interface QuestionPlace {
  readonly patternId: string;
  readonly title: string;
  readonly stepIds: readonly string[];
}

/** By pattern, then by step: what the next revision is to answer. @param placeOf of a revision; null: it is gone */
export function classQuestions(
  classes: readonly {
    readonly runId: string;
    readonly runName: string;
    readonly date: string;
    readonly notes: readonly SaidNow[];
  }[],
  placeOf: (revisionId: string) => QuestionPlace | null,
  done: ReadonlySet<string>,
): ClassQuestion[] {
  return classes
    .flatMap(({ runId, runName, date, notes }) =>
      notes.flatMap(({ key, sort, text, revisionId, stepId }): ClassQuestion[] => {
        const place = placeOf(revisionId);
        if (!place) return [];
        const at = stepId === null ? -1 : place.stepIds.indexOf(stepId);
        const id = `${runId}:${key}`;
        const { patternId, title } = place;
        return [
          {
            id,
            runId,
            runName,
            date,
            sort,
            text,
            patternId,
            title,
            stepId,
            number: at < 0 ? null : at + 1,
            isDone: done.has(id),
          },
        ];
      }),
    )
    .sort(
      (a, b) =>
        byCodePoint(a.title, b.title) || (a.number ?? 1e9) - (b.number ?? 1e9) || byCodePoint(a.date, b.date),
    );
}
