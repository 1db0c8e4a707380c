import { type Bounds, checkRange, checkWhole } from '@lanakit/core/base';
import { problemWords } from '@lanakit/core/words';
import { Input } from 'antd';
import { Field } from './Field.tsx';
import { useTypedValue, type Reading } from './useTypedValue.ts';

interface NumberRules {
  bounds: Bounds;
  isWhole?: boolean;
  /** Null may be meant: the field may be empty. */
  allowEmpty?: boolean;
}

interface NumberFieldProps<T extends number | null> extends NumberRules {
  label: string;
  value: T;
  suffix?: string;
  placeholder?: string;
  hint?: string;
  unknown?: string | null;
  problem?: string | null;
  className?: string;
  /** Shown with so many, such as 5.20. */
  decimals?: number;
  /** In a table, whose heading says it already. */
  isLabelHidden?: boolean;
  onValue: (value: T) => void;
}

/** A number with its bounds; what is typed and cannot be taken stays, with the reason under it. */
export function NumberField<T extends number | null>(props: NumberFieldProps<T>) {
  const { label, value, suffix, placeholder, hint, unknown, problem, className, isLabelHidden, onValue } =
    props;
  const form = {
    show: (number: T) =>
      number === null ? '' : props.decimals === undefined ? String(number) : number.toFixed(props.decimals),
    read: (text: string) => readNumber(text, props) as Reading<T>,
  };
  const typed = useTypedValue(value, form, onValue);
  return (
    <Field
      label={label}
      problem={typed.problem ?? problem ?? null}
      unknown={unknown ?? null}
      hint={hint}
      className={className ?? ''}
      isLabelHidden={isLabelHidden ?? false}
    >
      {(control) => (
        <Input
          {...control}
          value={typed.text}
          inputMode="decimal"
          autoComplete="off"
          suffix={suffix}
          placeholder={placeholder}
          status={typed.problem || problem ? 'error' : ''}
          onChange={(event) => typed.onChange(event.target.value)}
          onBlur={typed.onBlur}
        />
      )}
    </Field>
  );
}

function readNumber(text: string, { allowEmpty, bounds, isWhole }: NumberRules): Reading<number | null> {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '' && allowEmpty) return { ok: true, value: null };
  // Number('') is 0 and Number('0x1f') is 31: only what looks like a plain number is one.
  if (!/^-?\d*\.?\d+$/.test(trimmed))
    return { ok: false, message: `Give a number from ${bounds.min} to ${bounds.max}.` };
  const value = Number(trimmed);
  const [problem] = isWhole ? checkWhole(value, bounds, '') : checkRange(value, bounds, '');
  return problem ? { ok: false, message: problemWords(problem) } : { ok: true, value };
}
