import { COMMISSION_BOUNDS, checkCommission } from '@lanakit/core/commissions';
import { problemWords } from '@lanakit/core/words';
import { Input } from 'antd';
import { DayField } from '../../ui/fields/DayField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { COMMISSION_STATE_WORDS } from '../../words/commissionWords.ts';
import { showDay } from '../../words/show.ts';
import making from '../making/Making.module.css';
import styles from './Asked.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

/** Who wants what, how many, how large, by when. */
export function AskedAbout({ draft: { input, change } }: { draft: CommissionDraft }) {
  const problemAt = (pointer: string): string | null => {
    const problem = checkCommission(input).find((each) => each.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  return (
    <header className={making.about}>
      <p className={styles.state}>
        {COMMISSION_STATE_WORDS[input.state]}
        {input.handedOverOn !== null && ` on ${showDay(input.handedOverOn)}`}
      </p>
      <Input
        variant="borderless"
        className={making.title ?? ''}
        aria-label="What is wanted, in a few words"
        status={problemAt('/title') === null ? '' : 'error'}
        value={input.title}
        maxLength={120}
        onChange={({ target: { value } }) => change('name', (commission) => void (commission.title = value))}
      />
      {problemAt('/title') !== null && <p className="red small">{problemAt('/title')}</p>}
      <div className={making.facts}>
        <Field label="Asked by">
          {(control) => (
            <Input
              {...control}
              value={input.askedBy}
              maxLength={60}
              onChange={({ target: { value } }) =>
                change('who asked', (commission) => void (commission.askedBy = value))
              }
            />
          )}
        </Field>
        <Field label="How to reach them">
          {(control) => (
            <Input
              {...control}
              value={input.reach}
              maxLength={160}
              onChange={({ target: { value } }) =>
                change('how to reach them', (commission) => void (commission.reach = value))
              }
            />
          )}
        </Field>
        <DayField
          label="Wanted by"
          day={input.byDay}
          allowEmpty
          onDay={(day) => change('day it is wanted by', (commission) => void (commission.byDay = day))}
        />
        <NumberField<number>
          label="How many"
          isWhole
          value={input.count}
          bounds={COMMISSION_BOUNDS.count}
          onValue={(count) => change('how many', (commission) => void (commission.count = count))}
        />
        <LengthField
          label="How tall"
          hint="Empty: as the pattern is"
          defaultUnit="mm"
          value={input.height}
          onValue={(height) => change('how tall', (commission) => void (commission.height = height))}
        />
      </div>
      <Field label="What they want" isLabelHidden>
        {(control) => (
          <Input.TextArea
            {...control}
            autoSize={{ minRows: 2 }}
            value={input.words}
            maxLength={4000}
            placeholder="What they want, in their words: colours, pose, what it is for"
            onChange={({ target: { value } }) => change('words', (commission) => void (commission.words = value))}
          />
        )}
      </Field>
    </header>
  ); // prettier-ignore
}
