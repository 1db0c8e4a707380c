import type { LogbookLine, LogbookPage } from '@lanakit/core/api';
import { type ClassDayPlan, clockOfDay } from '@lanakit/core/classDay';
import { classMaking, woolSum } from '@lanakit/core/logbook';
import { trayOf } from '@lanakit/core/needles';
import { classDayPlan } from '@lanakit/core/papers';
import type { Run } from '@lanakit/core/run';
import { todayOf, type ServiceDeps } from './deps.ts';
import { answering, foundOr } from './refusal.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { designsOf } from './runSources.ts';
import { tookOfRun } from './tookOfRun.ts';

export type LogbookService = ReturnType<typeof logbookService>;

/** What each class really took, and what it taught: a page each, out of what happened. */
export function logbookService({ store, now }: ServiceDeps) {
  const today = () => todayOf(now());
  const isWritten = ({ id, kind, state }: Run): boolean =>
    kind === 'class' && (state === 'done' || store.classEvents.of(id).length > 0);
  const pageOf = (run: Run): LogbookPage => {
    const plan: ClassDayPlan = classDayPlan(paperSourceOf(store, run, today()));
    const clock = clockOfDay(run.date);
    const making = classMaking({
      plan,
      events: store.classEvents.of(run.id),
      wool: tookOfRun(store, run, today()),
      tray: trayOf(store.trays.taps(run.id)),
      clock,
      now: clock(now().toISOString()),
    });
    return {
      runId: run.id,
      name: run.name,
      date: run.date,
      titles: [...designsOf(store, run).values()].map(({ title }) => title),
      isClosed: run.state === 'done',
      seats: making.seats,
      finished: making.finished,
      notes: making.notes.length,
      wool: woolSum(making.wool),
      making,
      makes: plan.makes,
    };
  };
  return answering({
    /** The last first. */
    list: (): LogbookLine[] =>
      store.runs
        .all()
        .filter(isWritten)
        .toReversed()
        .map((run) => {
          const { making: _making, makes: _makes, ...line } = pageOf(run);
          return line;
        }),
    page: (runId: string): LogbookPage => {
      const run = foundOr(store.runs.find(runId));
      return foundOr(isWritten(run) ? pageOf(run) : null);
    },
  });
}
