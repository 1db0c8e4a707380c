import type { Step } from '@lanakit/core/pattern';
import { ticksOf } from '@lanakit/core/reading';
import { Checkbox, Input } from 'antd';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import lists from '../../ui/Lists.module.css';
import { useEditStep, useTable } from '../table/tableContext.ts';

const READER_FIELDS = [
  ['kit', 'Only for those with the kit', 'hold it to the printed guide'],
  ['pattern', 'Only for those with the pattern alone', 'weigh 5 g of chalk'],
] as const;

/** Written once and done several times; and what differs for who reads it. */
export function StepReaders({ step }: { step: Step }) {
  const document = useTable((table) => table.document);
  const editStep = useEditStep(step.id);
  const ticks = ticksOf(step, document);
  return (
    <div className={lists.grid}>
      <div className={`${lists.span8} to-end`}>
        <Checkbox
          checked={step.repeat !== null}
          onChange={(event) => {
            const isRepeated = event.target.checked;
            editStep(
              'repeating a step',
              (draft) => void (draft.repeat = isRepeated ? { times: null, notes: [] } : null),
            );
          }}
        >
          Written once, done and ticked several times
        </Checkbox>
      </div>
      {step.repeat && (
        <>
          <NumberField
            className={lists.span4 ?? ''}
            label="Times"
            value={step.repeat.times}
            bounds={{ min: 1, max: 100 }}
            isWhole
            allowEmpty
            hint="empty: once a piece"
            onValue={(times) =>
              editStep(
                'how often',
                (draft) => {
                  if (draft.repeat) draft.repeat.times = times;
                },
                'times',
              )
            }
          />
          {ticks.slice(0, 12).map((note, at) => (
            <Field key={at} label={`Note for number ${at + 1}`} className={lists.span6 ?? ''}>
              {(control) => (
                <Input
                  {...control}
                  value={note}
                  maxLength={120}
                  placeholder={at === 0 ? 'front left' : ''}
                  onChange={(event) => {
                    const text = event.target.value;
                    editStep(
                      'a note for a repeat',
                      (draft) => {
                        if (!draft.repeat) return;
                        while (draft.repeat.notes.length <= at) draft.repeat.notes.push('');
                        draft.repeat.notes[at] = text;
                      },
                      `note.${at}`,
                    );
                  }}
                />
              )}
            </Field>
          ))}
        </>
      )}
      {READER_FIELDS.map(([key, label, example]) => (
        <Field key={key} label={label} className={lists.span12 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={step.readers[key]}
              maxLength={1000}
              placeholder={example}
              onChange={(event) => {
                const text = event.target.value;
                editStep(
                  'a sentence for some readers',
                  (draft) => void (draft.readers[key] = text),
                  `readers.${key}`,
                );
              }}
            />
          )}
        </Field>
      ))}
    </div>
  );
}
