import { type Length, type LengthUnit, nudgeLength, parseLength, showTypedLength } from '@lanakit/core/base';
import { refusalWords } from '@lanakit/core/words';
import type { KeyboardEvent } from 'react';
import { TypedField, type TypedFieldProps } from './TypedField.tsx';
import type { TypedReading } from './useTypedValue.ts';

interface LengthFieldProps extends TypedFieldProps<Length | null> {
  /** Of a number typed without one. */
  defaultUnit: LengthUnit;
  /** Nought means a point here. */
  allowZero?: boolean;
}

/** A size in millimetres or inches, kept as typed. */
export function LengthField({ defaultUnit, allowZero, ...props }: LengthFieldProps) {
  return (
    <TypedField
      placeholder={defaultUnit}
      {...props}
      form={{
        show: (length) => (length ? showTypedLength(length) : ''),
        read: (text) => readLength(text, defaultUnit, allowZero),
      }}
      onStep={(event) => {
        const steps = stepsOf(event);
        if (steps === 0 || props.value === null) return;
        event.preventDefault();
        props.onValue(nudgeLength(props.value, steps));
      }}
    />
  );
}

/** Arrows by a millimetre or a sixteenth; with Shift by five. */
function stepsOf({ key, shiftKey, altKey }: KeyboardEvent): number {
  const step = key === 'ArrowUp' ? 1 : key === 'ArrowDown' ? -1 : 0;
  return altKey ? 0 : step * (shiftKey ? 5 : 1);
}

function readLength(text: string, defaultUnit: LengthUnit, allowZero = false): TypedReading<Length | null> {
  if (text.trim() === '') return { ok: true, value: null };
  const parsed = parseLength(text, defaultUnit);
  if (parsed.ok) return { ok: true, value: parsed.length };
  const { refusal } = parsed;
  if (allowZero && refusal.code === 'size_not_positive' && refusal.valueMm === 0) {
    return { ok: true, value: { value: 0, unit: defaultUnit } };
  }
  return { ok: false, message: refusalWords(refusal) };
}
