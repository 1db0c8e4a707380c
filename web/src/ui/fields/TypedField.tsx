import { Input } from 'antd';
import type { KeyboardEvent, ReactNode } from 'react';
import { Field } from './Field.tsx';
import { useTypedValue, type TypedForm } from './useTypedValue.ts';

/** What every field takes over a value that is typed. */
export interface TypedFieldProps<T> {
  label: string;
  /** In a table, whose heading says it already. */
  isLabelHidden?: boolean;
  value: T;
  /** What is wrong with the value beside others. */
  problem?: string | null;
  unknown?: string | null;
  hint?: ReactNode;
  placeholder?: string;
  className?: string;
  onValue: (value: T) => void;
}

interface FormedFieldProps<T> extends TypedFieldProps<T> {
  form: TypedForm<T>;
  suffix?: string;
  inputMode?: 'numeric' | 'decimal';
  /** A key that steps the value; only asked while what is typed can be read. */
  onStep?: (event: KeyboardEvent) => void;
}

/** A value as text; what is typed and cannot be taken stays, with the reason under it. */
export function TypedField<T>({ value, form, onValue, onStep, ...props }: FormedFieldProps<T>) {
  const typed = useTypedValue(value, form, onValue);
  const problem = typed.problem ?? props.problem ?? null;
  return (
    <Field
      label={props.label}
      isLabelHidden={props.isLabelHidden ?? false}
      problem={problem}
      unknown={props.unknown ?? null}
      hint={props.hint}
      className={props.className ?? ''}
    >
      {(control) => (
        <Input
          {...control}
          value={typed.text}
          autoComplete="off"
          placeholder={props.placeholder}
          suffix={props.suffix}
          inputMode={props.inputMode}
          status={problem ? 'error' : ''}
          onChange={(event) => typed.onChange(event.target.value)}
          onBlur={typed.onBlur}
          onKeyDown={(event) => {
            if (typed.problem === null) onStep?.(event);
          }}
        />
      )}
    </Field>
  );
}
