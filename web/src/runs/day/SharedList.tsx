import { type ClassPlan, type Designs, PLAN_BOUNDS, revisionsOfRun, type RunInput } from '@lanakit/core/run';
import { INSTRUCTOR_KEY, type Room, tablesOf } from '@lanakit/core/timetable';
import { sharedWords, stepTitle } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from './Day.module.css';

type Shared = ClassPlan['shared'][number];

interface SharedListProps {
  input: RunInput;
  designs: Designs;
  /** Null: its time cannot be told. */
  room: Room | null;
  onPlan: (change: Partial<ClassPlan>) => void;
  problemAt: (pointer: string) => string | null;
}

/** What several use and not all at once: what the steps call for, as many as there are, and what is added. */
export function SharedList({ input, designs, room, onPlan, problemAt }: SharedListProps) {
  const { plan } = input;
  const tables = Math.max(1, room ? tablesOf(room) : 1);
  const derived = (room?.shared ?? []).filter(({ key }) => !plan.shared.some((each) => each.key === key));
  const set = (key: string, change: Partial<Shared>) =>
    onPlan({ shared: plan.shared.map((each) => (each.key === key ? { ...each, ...change } : each)) });
  const add = (thing: Shared) => onPlan({ shared: [...plan.shared, thing] });
  const steps = revisionsOfRun(input).flatMap((id) => designs.get(id)?.steps ?? []);
  if (plan.isRemote) return null;
  return (
    <section className={`sheet ${styles.panel}`} aria-label="What is shared">
      <h2>What is shared</h2>
      {room !== null && derived.length + plan.shared.length === 0 && (
        <p className="quiet">No step calls for anything that a table or the room has only once.</p>
      )}
      {derived.map(({ key, name, count, isPerTable }) => (
        <div key={key} className={styles.planRow}>
          <p>
            <b>{sharedWords(key, name)}</b>{' '}
            <span className="quiet">
              {isPerTable ? `${count} at each of ${tables} tables` : `${count} in the room`}, as the steps
              call for it
            </span>
          </p>
          <Button
            size="small"
            onClick={() =>
              add({ key, name, count: count * (isPerTable ? tables : 1), minutesAtIt: null, stepIds: null })
            }
          >
            Say otherwise
          </Button>
        </div>
      ))}
      {plan.shared.map((thing, at) => (
        <div
          key={thing.key}
          className={styles.planRow}
          role="group"
          aria-label={sharedWords(thing.key, thing.name || thing.key)}
        >
          {thing.stepIds === null ? (
            <p>
              <b>{sharedWords(thing.key, thing.name || thing.key)}</b>
            </p>
          ) : (
            <Field label="Shared">
              {(control) => (
                <Input
                  {...control}
                  value={thing.name}
                  maxLength={80}
                  placeholder={thing.key === INSTRUCTOR_KEY ? 'Your own hands' : 'glue gun'}
                  onChange={(event) => set(thing.key, { name: event.target.value })}
                />
              )}
            </Field>
          )}
          <NumberField
            label="In the room"
            value={thing.count}
            bounds={PLAN_BOUNDS.sharedCount}
            isWhole
            problem={problemAt(`/plan/shared/${at}/count`)}
            onValue={(count) => set(thing.key, { count })}
          />
          <NumberField<number | null>
            label="Minutes at it"
            value={thing.minutesAtIt}
            bounds={PLAN_BOUNDS.minutesAtIt}
            allowEmpty
            placeholder="all of it"
            problem={problemAt(`/plan/shared/${at}/minutesAtIt`)}
            onValue={(minutesAtIt) => set(thing.key, { minutesAtIt })}
          />
          {thing.stepIds !== null && (
            <Field label="In these steps" className={styles.gate ?? ''}>
              {(control) => (
                <Select<string[]>
                  {...control}
                  mode="multiple"
                  className="wide"
                  value={[...(thing.stepIds ?? [])]}
                  placeholder="choose the steps that take it"
                  options={steps.map((step, place) => ({
                    value: step.id,
                    label: `${place + 1} ${stepTitle(step)}`,
                  }))}
                  onChange={(stepIds) => set(thing.key, { stepIds })}
                />
              )}
            </Field>
          )}
          <Button
            size="small"
            onClick={() => onPlan({ shared: plan.shared.filter(({ key }) => key !== thing.key) })}
          >
            {thing.stepIds === null ? 'As the steps say' : 'Take out'}
          </Button>
        </div>
      ))}
      <div className={styles.adds}>
        <Button
          size="small"
          onClick={() => add({ key: nanoid(8), name: '', count: 1, minutesAtIt: null, stepIds: [] })}
        >
          Add something shared
        </Button>
        {!plan.shared.some(({ key }) => key === INSTRUCTOR_KEY) && (
          <Button
            size="small"
            onClick={() => add({ key: INSTRUCTOR_KEY, name: '', count: 1, minutesAtIt: 3, stepIds: [] })}
          >
            Add your own hands
          </Button>
        )}
      </div>
    </section>
  );
}
