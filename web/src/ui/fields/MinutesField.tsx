import { type Minutes, parseMinutes, showTypedMinutes } from '@lanakit/core/pattern';
import { Input } from 'antd';
import { Field } from './Field.tsx';
import { useTypedValue, type Reading } from './useTypedValue.ts';

interface MinutesFieldProps {
  label: string;
  value: Minutes | null;
  problem?: string | null;
  unknown?: string | null;
  hint?: string;
  className?: string;
  onValue: (value: Minutes | null) => void;
}

/** How long: 20, 15–25, 1 h 30. */
export function MinutesField({
  label,
  value,
  problem,
  unknown,
  hint,
  className,
  onValue,
}: MinutesFieldProps) {
  const typed = useTypedValue(value, { show: showTypedMinutes, read }, onValue);
  return (
    <Field
      label={label}
      problem={typed.problem ?? problem ?? null}
      unknown={unknown ?? null}
      hint={hint}
      className={className ?? ''}
    >
      {(control) => (
        <Input
          {...control}
          value={typed.text}
          autoComplete="off"
          placeholder="20 or 15–25"
          suffix="min"
          status={typed.problem || problem ? 'error' : ''}
          onChange={(event) => typed.onChange(event.target.value)}
          onBlur={typed.onBlur}
        />
      )}
    </Field>
  );
}

function read(text: string): Reading<Minutes | null> {
  const parsed = parseMinutes(text);
  return parsed.ok
    ? { ok: true, value: parsed.minutes }
    : { ok: false, message: 'Give minutes: 20, 15–25 or 1 h 30.' };
}
