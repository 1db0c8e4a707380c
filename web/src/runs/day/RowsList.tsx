import {
  type ClassPlan,
  type Designs,
  PLAN_BOUNDS,
  PLAN_ROW_KINDS,
  type PlanRow,
  revisionsOfRun,
  type RunInput,
} from '@lanakit/core/run';
import { proposeRows } from '@lanakit/core/timetable';
import { counted, stepTitle } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from './Day.module.css';
import type { DayTold } from './useDay.ts';

interface RowsListProps {
  input: RunInput;
  designs: Designs;
  told: DayTold;
  onPlan: (change: Partial<ClassPlan>) => void;
  problemAt: (pointer: string) => string | null;
}

const KIND_WORDS: Readonly<Record<PlanRow['kind'], string>> = { talk: 'Talk', demo: 'Show', break: 'Break' };

/** What stops hands: talks, demonstrations, breaks. */
export function RowsList({ input, designs, told, onPlan, problemAt }: RowsListProps) {
  const { plan } = input;
  const set = (id: string, change: Partial<PlanRow>) =>
    onPlan({ rows: plan.rows.map((row) => (row.id === id ? { ...row, ...change } : row)) });
  const propose = () => onPlan({ rows: proposedRows(input, designs, told) });
  const add = (kind: PlanRow['kind']) =>
    onPlan({
      rows: [
        ...plan.rows,
        {
          id: nanoid(8),
          kind,
          name: KIND_WORDS[kind],
          sessionId: plan.sessions[0]?.id ?? '',
          atMinute: 0,
          minutes: kind === 'break' ? 10 : 5,
          stepIds: [],
          groups: 1,
        },
      ],
    });
  return (
    <section className={`sheet ${styles.panel}`} aria-label="Talk, show, pause">
      <div className={styles.panelHead}>
        <h2>Talk, show, pause</h2>
        {plan.rows.length === 0 && (
          <Button size="small" type="primary" disabled={told.outcome === null} onClick={propose}>
            Propose a day
          </Button>
        )}
      </div>
      {plan.rows.length === 0 && (
        <p className="quiet">
          Nothing yet: everybody begins at once and needs to be shown nothing. A proposal welcomes them, and
          shows each new thing when the middle of the class comes to it.
        </p>
      )}
      {plan.rows.map((row, at) => (
        <RowFields
          key={row.id}
          row={row}
          problemAt={(path) => problemAt(`/plan/rows/${at}/${path}`)}
          {...{ plan, input, designs }}
          onSet={(change) => set(row.id, change)}
          onRemove={() => onPlan({ rows: plan.rows.filter(({ id }) => id !== row.id) })}
        />
      ))}
      <div className={styles.adds}>
        {PLAN_ROW_KINDS.map((kind) => (
          <Button key={kind} size="small" onClick={() => add(kind)}>
            Add {kind === 'demo' ? 'something to show' : kind === 'talk' ? 'a talk' : 'a break'}
          </Button>
        ))}
      </div>
    </section>
  );
}

/** As the class is gone through without them. */
function proposedRows(input: RunInput, designs: Designs, { outcome, views }: DayTold): PlanRow[] {
  const pattern = designs.get(input.revisionId);
  if (!pattern || !outcome) return [];
  const bands = (views[0] ?? []).flatMap(({ sitting, bands: { middle } }) =>
    middle.map((band) => ({ ...band, sessionId: sitting.id, minute: band.from - sitting.from })),
  );
  const middleAt = (stepId: string) => bands.find((band) => band.stepId === stepId) ?? null;
  return proposeRows(pattern, input.plan, middleAt, () => nanoid(8));
}

interface RowFieldsProps {
  row: PlanRow;
  plan: ClassPlan;
  input: RunInput;
  designs: Designs;
  problemAt: (path: string) => string | null;
  onSet: (change: Partial<PlanRow>) => void;
  onRemove: () => void;
}

function RowFields({ row, plan, input, designs, problemAt, onSet, onRemove }: RowFieldsProps) {
  const session = plan.sessions.find(({ id }) => id === row.sessionId);
  const steps = revisionsOfRun(input).flatMap((id) => designs.get(id)?.steps ?? []);
  const goneCount = row.stepIds.filter((id) => !steps.some((step) => step.id === id)).length;
  return (
    <div className={styles.planRow} role="group" aria-label={row.name || KIND_WORDS[row.kind]}>
      <Field label={KIND_WORDS[row.kind]}>
        {(control) => (
          <Input
            {...control}
            value={row.name}
            maxLength={80}
            onChange={(event) => onSet({ name: event.target.value })}
          />
        )}
      </Field>
      {plan.sessions.length > 1 && (
        <Field label="Sitting" problem={problemAt('sessionId')}>
          {(control) => (
            <Select<string>
              {...control}
              value={session ? row.sessionId : ''}
              options={plan.sessions.map(({ id }, at) => ({ value: id, label: String(at + 1) }))}
              onChange={(sessionId) => onSet({ sessionId })}
            />
          )}
        </Field>
      )}
      <NumberField
        label="After"
        value={row.atMinute}
        bounds={{ min: 0, max: Math.max(0, (session?.minutes ?? 0) - row.minutes) }}
        suffix="min"
        problem={problemAt('atMinute')}
        onValue={(atMinute) => onSet({ atMinute })}
      />
      <NumberField
        label="Takes"
        value={row.minutes}
        bounds={PLAN_BOUNDS.rowMinutes}
        suffix="min"
        problem={problemAt('minutes')}
        onValue={(minutes) => onSet({ minutes })}
      />
      {row.kind === 'demo' && (
        <>
          <NumberField
            label="Groups"
            value={row.groups}
            bounds={{ min: 1, max: 12 }}
            isWhole
            problem={problemAt('groups')}
            onValue={(groups) => onSet({ groups })}
          />
          <Field
            label="Nobody begins before it"
            className={styles.gate ?? ''}
            problem={
              goneCount > 0
                ? `${counted(goneCount, 'step')} that waited for it ${goneCount === 1 ? 'is' : 'are'} gone: nobody comes to it. Choose another.`
                : null
            }
          >
            {(control) => (
              <Select<string[]>
                {...control}
                mode="multiple"
                className="wide"
                value={[...row.stepIds]}
                placeholder="nothing waits for it"
                options={steps.map((step, at) => ({ value: step.id, label: `${at + 1} ${stepTitle(step)}` }))}
                onChange={(stepIds) => onSet({ stepIds })}
              />
            )}
          </Field>
        </>
      )}
      <Button size="small" aria-label={`Take “${row.name || KIND_WORDS[row.kind]}” out`} onClick={onRemove}>
        Take out
      </Button>
    </div>
  );
}
