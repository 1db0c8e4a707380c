import { fractionOf, percentBounds, percentOf } from '@lanakit/core/base';
import { checkRun, planMoved, RUN_BOUNDS, type RunInput } from '@lanakit/core/run';
import { problemWords } from '@lanakit/core/words';
import { Input } from 'antd';
import { DayField } from '../ui/fields/DayField.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { RevisionSelect } from './RevisionSelect.tsx';
import styles from './RunFields.module.css';

interface RunFieldsProps {
  input: RunInput;
  problemAt: (pointer: string) => string | null;
  autoFocus?: boolean;
  onChange: (change: Partial<RunInput>) => void;
}

/** Who comes to what, when, and how it is weighed. */
export function RunFields({ input, problemAt, autoFocus = false, onChange }: RunFieldsProps) {
  return (
    <div className={styles.fields}>
      <Field label="Name" problem={problemAt('/name')} className={styles.wide ?? ''}>
        {(control) => (
          <Input
            {...control}
            autoFocus={autoFocus}
            value={input.name}
            maxLength={120}
            placeholder="Saturday pears"
            onChange={(event) => onChange({ name: event.target.value })}
          />
        )}
      </Field>
      {input.kind === 'class' && (
        <Field label="Pattern" problem={problemAt('/revisionId')} className={styles.wide ?? ''}>
          {(control) => (
            <RevisionSelect
              control={control}
              value={input.revisionId}
              onChoose={(revisionId) => onChange({ revisionId })}
            />
          )}
        </Field>
      )}
      <DayField
        label="Day"
        day={input.date}
        problem={problemAt('/date')}
        className={styles.wide ?? ''}
        onDay={(date) => onChange({ date: date ?? '', plan: planMoved(input.plan, input.date, date ?? '') })}
      />
      {input.kind === 'class' && (
        <>
          <NumberField
            label="Seats"
            value={input.seats}
            bounds={RUN_BOUNDS.seats}
            isWhole
            problem={problemAt('/seats')}
            onValue={(seats) => onChange({ seats })}
          />
          <NumberField
            label="Spare packs"
            value={input.sparePacks}
            bounds={RUN_BOUNDS.sparePacks}
            isWhole
            problem={problemAt('/sparePacks')}
            onValue={(sparePacks) => onChange({ sparePacks })}
          />
        </>
      )}
      <NumberField
        label="Scale reads to"
        value={input.scaleStepG}
        bounds={RUN_BOUNDS.scaleStepG}
        suffix="g"
        problem={problemAt('/scaleStepG')}
        onValue={(scaleStepG) => onChange({ scaleStepG })}
      />
      {input.wantedChance === null ? (
        <NumberField
          label="Pack more than likely"
          value={percentOf(input.extraFraction)}
          bounds={PERCENT_BOUNDS}
          suffix="%"
          problem={problemAt('/extraFraction')}
          onValue={(percent) => onChange({ extraFraction: fractionOf(percent) })}
        />
      ) : (
        <NumberField
          label={input.kind === 'kits' ? 'A box suffices, with' : 'Nobody short, with'}
          value={percentOf(input.wantedChance)}
          bounds={CHANCE_BOUNDS}
          suffix="%"
          problem={problemAt('/wantedChance')}
          onValue={(percent) => onChange({ wantedChance: fractionOf(percent) })}
        />
      )}
    </div>
  );
}

const PERCENT_BOUNDS = percentBounds(RUN_BOUNDS.extraFraction);

const CHANCE_BOUNDS = percentBounds(RUN_BOUNDS.wantedChance);

/** What is wrong with the roster stands beside the number of seats: there it is mended. */
const isAbout = (found: string, field: string): boolean =>
  found === field || (field === '/seats' && found.startsWith('/roster/'));

/** What is wrong with a class, beside its fields, once it is asked to be told. */
export function runProblems(input: RunInput, isAsked: boolean) {
  const problems = checkRun(input);
  return {
    hasAny: problems.length > 0,
    at: (pointer: string): string | null => {
      const problem = isAsked ? problems.find((candidate) => isAbout(candidate.pointer, pointer)) : undefined;
      return problem ? problemWords(problem) : null;
    },
  };
}
