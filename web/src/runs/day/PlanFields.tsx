import { daysAfter } from '@lanakit/core/base';
import { type ClassPlan, type ClassSession, PLAN_BOUNDS, type RunInput } from '@lanakit/core/run';
import { needsOf } from '@lanakit/core/needles';
import type { Room } from '@lanakit/core/timetable';
import { counted, joinWords, needName, showDay } from '@lanakit/core/words';
import { Button, Checkbox } from 'antd';
import { nanoid } from 'nanoid';
import { DayField } from '../../ui/fields/DayField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { ClockField } from './ClockField.tsx';
import styles from './Day.module.css';

interface PlanFieldsProps {
  input: RunInput;
  /** Null: its time cannot be told. */
  room: Room | null;
  onPlan: (change: Partial<ClassPlan>) => void;
  /** The first sitting is on the day of the class. */
  onDate: (date: string) => void;
  problemAt: (pointer: string) => string | null;
}

const MOST_SITTINGS = 10;

/** When it is, and what is kept of it before and after. */
export function PlanFields({ input, room, onPlan, onDate, problemAt }: PlanFieldsProps) {
  const { plan } = input;
  const set = (id: string, change: Partial<ClassSession>) =>
    onPlan({ sessions: plan.sessions.map((each) => (each.id === id ? { ...each, ...change } : each)) });
  const add = () => {
    const last = plan.sessions.at(-1);
    const date = daysAfter(last?.date ?? input.date, 1);
    onPlan({
      sessions: [
        ...plan.sessions,
        { id: nanoid(8), date, startsAt: last?.startsAt ?? '14:00', minutes: last?.minutes ?? 120 },
      ],
    });
  };
  const remove = (id: string) =>
    onPlan({
      sessions: plan.sessions.filter((each) => each.id !== id),
      rows: plan.rows.filter(({ sessionId }) => sessionId !== id),
    });
  return (
    <section className={`sheet ${styles.panel}`} aria-label="When it is">
      <h2>When it is</h2>
      {plan.sessions.map((session, at) => (
        <div key={session.id} className={styles.sitting} role="group" aria-label={`Sitting ${at + 1}`}>
          <DayField
            label={plan.sessions.length > 1 ? `Sitting ${at + 1}` : 'Day'}
            day={session.date ?? input.date}
            problem={problemAt(`/plan/sessions/${at}/date`)}
            onDay={(date) => {
              if (at === 0 && date !== null) onDate(date);
              else set(session.id, { date: date === input.date ? null : date });
            }}
          />
          <ClockField
            label="Begins"
            value={session.startsAt}
            problem={problemAt(`/plan/sessions/${at}/startsAt`)}
            onValue={(startsAt) => set(session.id, { startsAt })}
          />
          <NumberField
            label="How long"
            value={session.minutes}
            bounds={PLAN_BOUNDS.sessionMinutes}
            suffix="min"
            problem={problemAt(`/plan/sessions/${at}/minutes`)}
            onValue={(minutes) => set(session.id, { minutes })}
          />
          {plan.sessions.length > 1 && (
            <Button size="small" aria-label={`Take sitting ${at + 1} out`} onClick={() => remove(session.id)}>
              Take out
            </Button>
          )}
        </div>
      ))}
      {plan.sessions.length < MOST_SITTINGS && (
        <Button size="small" onClick={add}>
          Add a sitting
        </Button>
      )}
      <div className={styles.sitting}>
        <NumberField
          label="Until all have come"
          value={plan.lateMinutes}
          bounds={PLAN_BOUNDS.lateMinutes}
          suffix="min"
          problem={problemAt('/plan/lateMinutes')}
          onValue={(lateMinutes) => onPlan({ lateMinutes })}
        />
        <NumberField
          label="Kept for clearing up"
          value={plan.clearUpMinutes}
          bounds={PLAN_BOUNDS.clearUpMinutes}
          suffix="min"
          problem={problemAt('/plan/clearUpMinutes')}
          onValue={(clearUpMinutes) => onPlan({ clearUpMinutes })}
        />
      </div>
      <Checkbox checked={plan.isRemote} onChange={(event) => onPlan({ isRemote: event.target.checked })}>
        Everybody sits at home: nothing is shared, and packs are posted
      </Checkbox>
      {plan.isRemote && (
        <div className={styles.sitting}>
          <NumberField
            label="Days in the post"
            value={plan.postDays}
            bounds={PLAN_BOUNDS.postDays}
            isWhole
            problem={problemAt('/plan/postDays')}
            onValue={(postDays) => onPlan({ postDays })}
          />
          <p>
            Post {counted(input.seats, 'pack')} by <b>{showDay(daysAfter(input.date, -plan.postDays))}</b>.{' '}
            {room &&
              `Each needs at home: ${joinWords(neededAtHome(room))}; good light, a pad that does not slip.`}
          </p>
        </div>
      )}
    </section>
  );
}

/** What each has to have, for nothing is shared over a wire: needles come with the pack or are bought, tools are theirs. */
const neededAtHome = ({ graphs }: Room): string[] => [
  ...new Set(
    graphs.flatMap(({ build }) =>
      needsOf(build)
        .listed.filter(({ isUsedUp }) => !isUsedUp)
        .map((need) => needName(need)),
    ),
  ),
];
