import type { LogbookLine, LogbookPage } from '@lanakit/core/api';
import { type ClassDayPlan, clockOfDay, saidNow } from '@lanakit/core/classDay';
import {
  classMaking,
  type ClassQuestion,
  classQuestions,
  type QuestionPlace,
  woolSum,
} from '@lanakit/core/logbook';
import { trayOf } from '@lanakit/core/needles';
import { classDayPlan } from '@lanakit/core/papers';
import type { Run } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
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
  /** By pattern and step. */
  const questions = (): ClassQuestion[] => {
    const choices = [...store.learnt.choices()];
    const done = new Set(choices.flatMap(([id, choice]) => (choice === 'done' ? [id] : [])));
    const classes = store.runs
      .all()
      .filter(isWritten)
      .map(({ id: runId, name: runName, date }) => ({
        runId,
        runName,
        date,
        notes: saidNow(store.classEvents.of(runId)),
      }));
    return classQuestions(classes, (revisionId) => placeOf(store, revisionId), done);
  };
  return answering({
    questions,
    /** Worked off into the pattern, or to be asked again. */
    setQuestion(id: string, isDone: boolean): ClassQuestion[] {
      foundOr(questions().find((question) => question.id === id) ?? null);
      store.learnt.choose(id, isDone ? 'done' : null, now().toISOString());
      return questions();
    },
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

/** The pattern a revision is of, as it is written now; null: one of them is gone. */
function placeOf(store: Store, revisionId: string): QuestionPlace | null {
  const revision = store.patterns.findRevision(revisionId);
  const pattern = revision && store.patterns.find(revision.patternId);
  if (!pattern) return null;
  const { title, steps } = pattern.document;
  return { patternId: pattern.id, title, stepIds: steps.map(({ id }) => id) };
}
