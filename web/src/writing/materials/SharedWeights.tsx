import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { showGrams } from '../../words/show.ts';
import styles from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';

/** One weight for several layers, and what they would calculate to. */
export function SharedWeights() {
  const estimate = useTable((table) => table.estimate);
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  return (
    <section className={styles.section} aria-label="Weights that are shared">
      <header>
        <h3>Weights that are shared</h3>
        <span className="quiet small">one weight for several layers; choose it there as their amount</span>
      </header>
      {document.shared.map((shared, index) => {
        const sharedEstimate = estimate.shared[index];
        return (
          <div key={shared.id} className={`${styles.grid} below-2`}>
            <Field label="Of what" className={styles.span6 ?? ''}>
              {(control) => (
                <Input
                  {...control}
                  value={shared.name}
                  maxLength={80}
                  onChange={(event) => {
                    const name = event.target.value;
                    edit(
                      'a shared weight',
                      (draft) => void (draft.shared[index] && (draft.shared[index].name = name)),
                      `${shared.id}.name`,
                    );
                  }}
                />
              )}
            </Field>
            <NumberField<number | null>
              className={styles.span3 ?? ''}
              label="Weighs"
              value={shared.massG}
              bounds={{ min: 0.01, max: 10_000 }}
              suffix="g"
              allowEmpty
              unknown={shared.massG === null ? 'Unknown until given' : null}
              onValue={(massG) =>
                edit(
                  'a shared weight',
                  (draft) => void (draft.shared[index] && (draft.shared[index].massG = massG)),
                  `${shared.id}.massG`,
                )
              }
            />
            <NumberField<number | null>
              className={styles.span3 ?? ''}
              label="To, if a range"
              value={shared.highG}
              bounds={{ min: 0.01, max: 10_000 }}
              suffix="g"
              allowEmpty
              onValue={(highG) =>
                edit(
                  'a shared weight',
                  (draft) => void (draft.shared[index] && (draft.shared[index].highG = highG)),
                  `${shared.id}.highG`,
                )
              }
            />
            <div className={`${styles.span3} to-end`}>
              <Button
                danger
                onClick={() =>
                  edit(
                    'deleting a shared weight',
                    (draft) => void (draft.shared = draft.shared.filter(({ id }) => id !== shared.id)),
                  )
                }
              >
                Delete
              </Button>
            </div>
            <p className={`quiet small ${styles.span12}`}>
              {sharedEstimate?.calculatedG == null
                ? 'What shares it is not all known.'
                : `By their shapes they take ${showGrams(sharedEstimate.calculatedG)}${sharedEstimate.massG === null ? '' : `: ${remainder(sharedEstimate.massG - sharedEstimate.calculatedG)}`}.`}
            </p>
          </div>
        );
      })}
      <Button
        className="below-2"
        onClick={() => {
          const id = nanoid(10);
          edit(
            'adding a shared weight',
            (draft) =>
              void draft.shared.push({ id, name: 'one weight', massG: null, highG: null, isWeighed: true }),
          );
        }}
      >
        Add a weight
      </Button>
    </section>
  );
}

const remainder = (leftG: number): string =>
  leftG >= 0 ? `${showGrams(leftG)} over, shared out too` : `${showGrams(-leftG)} less than that`;
