import { Select } from 'antd';
import { Field } from './Field.tsx';

interface ChoiceProps<T extends string> {
  label: string;
  value: T | null;
  /** Each choice with its words. */
  words: Readonly<Partial<Record<T, string>>>;
  /** Which of them, in order; all where left out. */
  among?: readonly T[];
  /** Words of the choice for none; without it none cannot be chosen. */
  none?: string;
  placeholder?: string;
  hint?: string;
  unknown?: string | null;
  problem?: string | null;
  className?: string;
  onChoose: (value: T | null) => void;
}

const NONE = ' ';

/** One of a few things, by name. */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { label, value, words, among, none, placeholder, hint, unknown, problem, className, onChoose } =
    props;
  const keys = among ?? (Object.keys(words) as T[]);
  return (
    <Field
      label={label}
      hint={hint}
      unknown={unknown ?? null}
      problem={problem ?? null}
      className={className ?? ''}
    >
      {(control) => (
        <Select<string>
          {...control}
          className="wide"
          popupMatchSelectWidth={false}
          value={value ?? (none === undefined ? null : NONE)}
          placeholder={placeholder}
          showSearch={keys.length > 8 ? { optionFilterProp: 'label' } : false}
          options={[
            ...(none === undefined ? [] : [{ value: NONE, label: none }]),
            ...keys.map((key) => ({ value: key, label: words[key] ?? key })),
          ]}
          onChange={(key: string) => onChoose(key === NONE ? null : (key as T))}
        />
      )}
    </Field>
  );
}
