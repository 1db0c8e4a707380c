import type { Amount } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';

type Grade = Extract<Amount, { form: 'locks' }>['grades'][number];

interface LockGradesProps {
  grades: readonly Grade[];
  onGrades: (grades: Grade[], key: string) => void;
}

const SOME = { min: 0.01, max: 1000 };
const GRAMS = { min: 0.001, max: 10_000 };
const MOST_GRADES = 8;

/** Locks by how they are graded: two long alike, one thick, two short. */
export function LockGrades({ grades, onGrades }: LockGradesProps) {
  const change = (at: number, what: Partial<Grade>, key: string) =>
    onGrades(
      grades.map((grade, index) => (index === at ? { ...grade, ...what } : grade)),
      `grades.${at}.${key}`,
    );
  return (
    <>
      {grades.map((grade, at) => (
        <div key={at} className={styles.span12}>
          <div className={styles.grid}>
            <NumberField<number | null>
              className={styles.span3 ?? ''}
              label="Locks"
              value={grade.count}
              bounds={SOME}
              allowEmpty
              onValue={(count) => change(at, { count }, 'count')}
            />
            <Field label="Such as" className={styles.span4 ?? ''}>
              {(control) => (
                <Input
                  {...control}
                  value={grade.name}
                  maxLength={60}
                  placeholder="long, alike"
                  onChange={(event) => change(at, { name: event.target.value }, 'name')}
                />
              )}
            </Field>
            <NumberField<number | null>
              className={styles.span3 ?? ''}
              label="Each"
              value={grade.eachG}
              bounds={GRAMS}
              suffix="g"
              allowEmpty
              onValue={(eachG) => change(at, { eachG }, 'eachG')}
            />
            {grades.length > 1 && (
              <Button
                className={styles.alignEnd ?? ''}
                aria-label={`Take away the locks “${grade.name || at + 1}”`}
                onClick={() =>
                  onGrades(
                    grades.filter((_, index) => index !== at),
                    'grades',
                  )
                }
              >
                Take away
              </Button>
            )}
          </div>
        </div>
      ))}
      {grades.length < MOST_GRADES && (
        <Button
          size="small"
          className={styles.span4 ?? ''}
          onClick={() => onGrades([...grades, { name: '', count: null, eachG: null }], 'grades')}
        >
          Locks of another sort
        </Button>
      )}
    </>
  );
}
