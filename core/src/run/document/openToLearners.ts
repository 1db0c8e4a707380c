import { daysAfter } from '../../base/index.ts';
import type { RunInput } from './run.ts';

/** The last day of a class: of its sittings, or its own. YYYY-MM-DD */
export const lastDayOf = ({ date, plan }: Pick<RunInput, 'date' | 'plan'>): string =>
  plan.sessions.reduce(
    (last, session) => (session.date !== null && session.date > last ? session.date : last),
    date,
  );

/** Until which day learners may open the pattern of their pack, that day included; null: not at all. */
export const openToLearnersUntil = (
  run: Pick<RunInput, 'kind' | 'date' | 'plan' | 'learnerDays'>,
): string | null =>
  run.kind === 'class' && run.learnerDays !== null
    ? daysAfter(lastDayOf(run), Math.floor(run.learnerDays))
    : null;
