import { type Bounds, majorOf, minorOf } from '@lanakit/core/base';
import { isColour } from '@lanakit/core/shelf';
import { Input, Select } from 'antd';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import styles from './Panel.module.css';

interface TextFieldProps {
  label: string;
  value: string;
  problem?: string | null;
  hint?: string;
  placeholder?: string;
  maxLength?: number;
  autoFocus?: boolean;
  isLong?: boolean;
  onValue: (value: string) => void;
}

export function TextField({ label, value, problem, hint, isLong, onValue, ...rest }: TextFieldProps) {
  return (
    <Field label={label} problem={problem ?? null} hint={hint}>
      {(control) =>
        isLong ? (
          <Input.TextArea
            {...control}
            {...rest}
            value={value}
            autoSize={{ minRows: 1, maxRows: 5 }}
            onChange={(event) => onValue(event.target.value)}
          />
        ) : (
          <Input {...control} {...rest} value={value} onChange={(event) => onValue(event.target.value)} />
        )
      }
    </Field>
  );
}

interface NamesFieldProps {
  value: readonly string[];
  onValue: (value: string[]) => void;
}

/** Other names, one after another, each ended by Enter or a comma. */
export function NamesField({ value, onValue }: NamesFieldProps) {
  return (
    <Field label="Other names" hint="search finds these too">
      {(control) => (
        <Select
          {...control}
          mode="tags"
          value={[...value]}
          open={false}
          suffixIcon={null}
          tokenSeparators={[',']}
          placeholder="cream, white"
          onChange={(names: string[]) =>
            onValue(names.map((name) => name.trim()).filter((name) => name !== ''))
          }
        />
      )}
    </Field>
  );
}

interface ColourFieldProps<T extends string | null> {
  label?: string;
  value: T;
  problem?: string | null;
  onValue: (value: string) => void;
}

/** A colour picked as colour, or written as #rrggbb. */
export function ColourField<T extends string | null>({
  label = 'Colour',
  value,
  problem,
  onValue,
}: ColourFieldProps<T>) {
  return (
    <Field label={label} problem={problem ?? null}>
      {(control) => (
        <span className={styles.colour}>
          <input
            type="color"
            aria-label={`Pick the ${label.toLowerCase()}`}
            value={value !== null && isColour(value) ? value : '#ffffff'}
            onChange={(event) => onValue(event.target.value)}
          />
          <Input
            {...control}
            value={value ?? ''}
            maxLength={20}
            placeholder="#rrggbb"
            onChange={(event) => onValue(event.target.value.trim().toLowerCase())}
          />
        </span>
      )}
    </Field>
  );
}

interface ChoiceFieldProps<T extends string> {
  label: string;
  value: T;
  words: Readonly<Record<T, string>>;
  hint?: string;
  onValue: (value: T) => void;
}

export function ChoiceField<T extends string>({ label, value, words, hint, onValue }: ChoiceFieldProps<T>) {
  return (
    <Field label={label} hint={hint}>
      {(control) => (
        <Select<T>
          {...control}
          value={value}
          options={(Object.keys(words) as T[]).map((key) => ({ value: key, label: words[key] }))}
          onChange={onValue}
        />
      )}
    </Field>
  );
}

interface FlagsFieldProps<T extends string> {
  label: string;
  value: readonly T[];
  words: Readonly<Record<T, string>>;
  onValue: (value: T[]) => void;
}

export function FlagsField<T extends string>({ label, value, words, onValue }: FlagsFieldProps<T>) {
  return (
    <Field label={label}>
      {(control) => (
        <Select<T[]>
          {...control}
          mode="multiple"
          value={[...value]}
          placeholder="none"
          options={(Object.keys(words) as T[]).map((key) => ({ value: key, label: words[key] }))}
          onChange={onValue}
        />
      )}
    </Field>
  );
}

interface MoneyFieldProps {
  label: string;
  minor: number | null;
  boundsMinor: Bounds;
  hint?: string;
  problem?: string | null;
  onValue: (minor: number | null) => void;
}

/** Money in the studio's own currency; empty is unknown. */
export function MoneyField({ label, minor, boundsMinor, hint, problem, onValue }: MoneyFieldProps) {
  return (
    <NumberField
      label={label}
      value={minor === null ? null : majorOf(minor)}
      bounds={{ min: majorOf(boundsMinor.min), max: majorOf(boundsMinor.max) }}
      allowEmpty
      decimals={2}
      {...(hint !== undefined && { hint })}
      problem={problem ?? null}
      onValue={(price) => onValue(price === null ? null : minorOf(price))}
    />
  );
}
