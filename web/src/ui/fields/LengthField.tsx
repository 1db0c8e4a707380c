import { type Length, type LengthUnit, nudgeLength, parseLength, showTypedLength } from '@lanakit/core/base';
import { refusalWords } from '@lanakit/core/words';
import { Input } from 'antd';
import type { KeyboardEvent } from 'react';
import { Field } from './Field.tsx';
import { useTypedValue, type Reading } from './useTypedValue.ts';

interface LengthFieldProps {
  label: string;
  value: Length | null;
  /** Of a number typed without one. */
  defaultUnit: LengthUnit;
  /** Nought means a point here. */
  allowZero?: boolean;
  /** What is wrong with this size beside others. */
  problem?: string | null;
  unknown?: string | null;
  hint?: string;
  onValue: (value: Length | null) => void;
}

/** A size in millimetres or inches, kept as typed. */
export function LengthField({
  label,
  value,
  defaultUnit,
  allowZero,
  problem,
  unknown,
  hint,
  onValue,
}: LengthFieldProps) {
  const form = {
    show: (length: Length | null) => (length ? showTypedLength(length) : ''),
    read: (text: string) => readLength(text, defaultUnit, allowZero),
  };
  const typed = useTypedValue(value, form, onValue);
  return (
    <Field label={label} problem={typed.problem ?? problem ?? null} unknown={unknown ?? null} hint={hint}>
      {(control) => (
        <Input
          {...control}
          value={typed.text}
          placeholder={defaultUnit}
          status={typed.problem || problem ? 'error' : ''}
          autoComplete="off"
          onChange={(event) => typed.onChange(event.target.value)}
          onBlur={typed.onBlur}
          onKeyDown={(event) => {
            const steps = stepsOf(event);
            if (steps === 0 || value === null || typed.problem !== null) return;
            event.preventDefault();
            onValue(nudgeLength(value, steps));
          }}
        />
      )}
    </Field>
  );
}

/** Arrows by a millimetre or a sixteenth; with Shift by five. */
function stepsOf({ key, shiftKey, altKey }: KeyboardEvent): number {
  const step = key === 'ArrowUp' ? 1 : key === 'ArrowDown' ? -1 : 0;
  return altKey ? 0 : step * (shiftKey ? 5 : 1);
}

function readLength(text: string, defaultUnit: LengthUnit, allowZero = false): Reading<Length | null> {
  if (text.trim() === '') return { ok: true, value: null };
  const parsed = parseLength(text, defaultUnit);
  if (parsed.ok) return { ok: true, value: parsed.length };
  const { refusal } = parsed;
  if (allowZero && refusal.code === 'size_not_positive' && refusal.valueMm === 0) {
    return { ok: true, value: { value: 0, unit: defaultUnit } };
  }
  return { ok: false, message: refusalWords(refusal) };
}
