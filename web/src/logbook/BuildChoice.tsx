import type { Choices, Pattern } from '@lanakit/core/pattern';
import { Choice } from '../ui/fields/Choice.tsx';

interface BuildChoiceProps {
  document: Pattern;
  choices: Choices;
  onChoices: (choices: Choices) => void;
}

/** What may be chosen of a pattern: its options, its colours. Nothing where it has none. */
export function BuildChoice({ document: { options, colourways }, choices, onChoices }: BuildChoiceProps) {
  return (
    <>
      {options.map((option) => (
        <Choice<string>
          key={option.id}
          label={option.name}
          value={choices.values[option.id] ?? option.values[0]?.id ?? null}
          words={Object.fromEntries(option.values.map(({ id, name }) => [id, name]))}
          onChoose={(valueId) =>
            valueId && onChoices({ ...choices, values: { ...choices.values, [option.id]: valueId } })
          }
        />
      ))}
      {colourways.length > 0 && (
        <Choice<string>
          label="Colours"
          value={choices.colourwayId}
          words={Object.fromEntries(colourways.map(({ id, name }) => [id, name]))}
          none="as it is written"
          onChoose={(colourwayId) => onChoices({ ...choices, colourwayId })}
        />
      )}
    </>
  );
}
