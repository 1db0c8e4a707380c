import { blankCheck, type Check, type Step } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useEditStep, useTable } from '../table/tableContext.ts';
import styles from './Steps.module.css';

const FIELDS = [
  ['look', 'Look at', 'the underside', 'span6'],
  ['how', 'How', 'on the table, from the side', 'span6'],
  ['pass', 'It passes when', 'it sits without rocking', 'span6'],
  ['remedy', 'If not', 'flatten it further with straight stabs', 'span6'],
] as const;

/** What to look at before going on, and what to do when it is not so. */
export function StepChecks({ step }: { step: Step }) {
  const editStep = useEditStep(step.id);
  return (
    <>
      {step.checks.map((check) => (
        <CheckFields key={check.id} check={check} step={step} />
      ))}
      <Button
        size="small"
        disabled={step.checks.length >= 6}
        onClick={() => editStep('adding a check', (draft) => void draft.checks.push(blankCheck(nanoid(10))))}
      >
        Add a check
      </Button>
    </>
  );
}

function CheckFields({ check, step }: { check: Check; step: Step }) {
  const steps = useTable((table) => table.document.steps);
  const editStep = useEditStep(step.id);
  const change = (label: string, recipe: (draft: Check) => void, key?: string) =>
    editStep(
      label,
      (draft) => {
        const ownCheck = draft.checks.find(({ id }) => id === check.id);
        if (ownCheck) recipe(ownCheck);
      },
      key && `${check.id}.${key}`,
    );
  return (
    <div className={`${styles.check} ${lists.grid}`} role="group" aria-label="A check">
      {FIELDS.map(([key, label, example, span]) => (
        <Field
          key={key}
          label={label}
          className={lists[span] ?? ''}
          unknown={(key === 'pass' || key === 'remedy') && check[key] === '' ? 'A check needs this' : null}
        >
          {(control) => (
            <Input
              {...control}
              value={check[key]}
              maxLength={key === 'remedy' ? 300 : 200}
              placeholder={example}
              onChange={(event) => {
                const text = event.target.value;
                change('a check', (draft) => void (draft[key] = text), key);
              }}
            />
          )}
        </Field>
      ))}
      <Choice
        className={lists.span8 ?? ''}
        label="Go back to"
        value={check.returnToStepId}
        words={Object.fromEntries(
          steps.map(({ id, text }, at) => [id, `step ${at + 1}: ${text.slice(0, 44)}`]),
        )}
        none="no step: mend it here"
        onChoose={(id) => change('where a check goes back to', (draft) => void (draft.returnToStepId = id))}
      />
      <div className={`${lists.span4} to-end`}>
        <Button
          size="small"
          onClick={() =>
            editStep(
              'deleting a check',
              (draft) => void (draft.checks = draft.checks.filter(({ id }) => id !== check.id)),
            )
          }
        >
          Take it off
        </Button>
      </div>
    </div>
  );
}
