import { isEqual } from '@lanakit/core/base';
import { valuesOf } from '@lanakit/core/build';
import { brokenLimit, type Choices, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { Button, Select } from 'antd';
import { memo } from 'react';
import styles from './ChoiceFields.module.css';

interface ChoiceFieldsProps {
  pattern: Pattern;
  choices: Choices;
  onChoose: (choices: Choices) => void;
}

/** One select for each option, the colourway, and the swaps. Nothing where a pattern has none of them. */
export const ChoiceFields = memo(function ChoiceFields({ pattern, choices, onChoose }: ChoiceFieldsProps) {
  const { options, colourways, swaps, limits } = pattern;
  if (options.length === 0 && colourways.length === 0 && swaps.length === 0) return null;
  const values = valuesOf(pattern, choices);
  const broken = brokenLimit(values, limits);
  const isPlain = isEqual(choices, NO_CHOICES);
  return (
    <div className={styles.choices} role="group" aria-label="The build that is looked at">
      {options.map((option) => (
        <label key={option.id}>
          <span>{option.name || 'an option'}</span>
          <Select
            size="small"
            aria-label={option.name || 'an option'}
            value={values[option.id] ?? null}
            popupMatchSelectWidth={false}
            options={option.values.map(({ id, name }) => ({ value: id, label: name || 'unnamed' }))}
            onChange={(valueId) =>
              onChoose({ ...choices, values: { ...choices.values, [option.id]: valueId ?? '' } })
            }
          />
        </label>
      ))}
      {colourways.length > 0 && (
        <label>
          <span>colourway</span>
          <Select
            size="small"
            aria-label="colourway"
            value={choices.colourwayId ?? WRITTEN}
            popupMatchSelectWidth={false}
            options={[
              { value: WRITTEN, label: 'as written' },
              ...colourways.map(({ id, name }) => ({ value: id, label: name || 'unnamed' })),
            ]}
            onChange={(id) => onChoose({ ...choices, colourwayId: id === WRITTEN ? null : id })}
          />
        </label>
      )}
      {swaps.length > 0 && (
        <label>
          <span>swaps</span>
          <Select
            size="small"
            mode="multiple"
            aria-label="swaps"
            className={styles.swaps ?? ''}
            value={[...choices.swapIds]}
            placeholder="none"
            popupMatchSelectWidth={false}
            options={swaps.map(({ id, look }) => ({ value: id, label: look || 'a swap' }))}
            onChange={(swapIds) => onChoose({ ...choices, swapIds })}
          />
        </label>
      )}
      {!isPlain && (
        <Button size="small" type="text" onClick={() => onChoose(NO_CHOICES)}>
          back to the usual
        </Button>
      )}
      {broken && (
        <p className="red small" role="alert">
          These do not go together{broken.reason ? `: ${broken.reason}` : ''}. Choose one of the two again.
        </p>
      )}
    </div>
  );
}, isSameChoice);

/** What is asked is of four lists; the rest of the pattern may change as it likes. */
function isSameChoice(before: ChoiceFieldsProps, after: ChoiceFieldsProps): boolean {
  const lists = ['options', 'colourways', 'swaps', 'limits'] as const;
  return (
    before.choices === after.choices &&
    before.onChoose === after.onChoose &&
    lists.every((list) => before.pattern[list] === after.pattern[list])
  );
}

const WRITTEN = ' ';
