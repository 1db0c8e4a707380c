import { type Bounds, checkRange, checkWhole } from '@lanakit/core/base';
import { problemWords } from '@lanakit/core/words';
import { TypedField, type TypedFieldProps } from './TypedField.tsx';
import type { TypedReading } from './useTypedValue.ts';

interface NumberRules {
  bounds: Bounds;
  isWhole?: boolean;
  /** Null may be meant: the field may be empty. */
  allowEmpty?: boolean;
}

interface NumberFieldProps<T extends number | null> extends NumberRules, TypedFieldProps<T> {
  suffix?: string;
  /** Shown with so many, such as 5.20. */
  decimals?: number;
}

/** A number with its bounds. */
export function NumberField<T extends number | null>({
  bounds,
  isWhole,
  allowEmpty,
  decimals,
  ...props
}: NumberFieldProps<T>) {
  const rules = { bounds, isWhole: isWhole ?? false, allowEmpty: allowEmpty ?? false };
  return (
    <TypedField<T>
      {...props}
      inputMode="decimal"
      form={{
        show: (number) =>
          number === null ? '' : decimals === undefined ? String(number) : number.toFixed(decimals),
        read: (text) => readNumber(text, rules) as TypedReading<T>,
      }}
    />
  );
}

function readNumber(text: string, { allowEmpty, bounds, isWhole }: NumberRules): TypedReading<number | null> {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '' && allowEmpty) return { ok: true, value: null };
  // Number('') is 0 and Number('0x1f') is 31: only what looks like a plain number is one.
  if (!/^-?\d*\.?\d+$/.test(trimmed))
    return { ok: false, message: `Give a number from ${bounds.min} to ${bounds.max}.` };
  const value = Number(trimmed);
  const [problem] = isWhole ? checkWhole(value, bounds, '') : checkRange(value, bounds, '');
  return problem ? { ok: false, message: problemWords(problem) } : { ok: true, value };
}
