import {
  type Length,
  type LengthRange,
  type LengthUnit,
  parseLengthRange,
  showTypedRange,
} from '@lanakit/core/base';
import { refusalWords } from '@lanakit/core/words';
import { TypedField } from './TypedField.tsx';
import type { TypedReading } from './useTypedValue.ts';

interface LengthRangeFieldProps {
  label: string;
  low: Length | null;
  /** Null: one length. */
  high: Length | null;
  /** Of a number typed without one. */
  defaultUnit: LengthUnit;
  onValue: (low: Length | null, high: Length | null) => void;
}

/** A length, or from–to, kept as typed. */
export function LengthRangeField({ label, low, high, defaultUnit, onValue }: LengthRangeFieldProps) {
  return (
    <TypedField<LengthRange | null>
      label={label}
      value={low && { low, high }}
      placeholder={defaultUnit === 'in' ? 'such as 8–9 in' : 'such as 30–60 cm'}
      form={{
        show: (range) => (range ? showTypedRange(range) : ''),
        read: (text) => read(text, defaultUnit),
      }}
      onValue={(range) => onValue(range?.low ?? null, range?.high ?? null)}
    />
  );
}

function read(text: string, defaultUnit: LengthUnit): TypedReading<LengthRange | null> {
  if (text.trim() === '') return { ok: true, value: null };
  const parsed = parseLengthRange(text, defaultUnit);
  if (parsed.ok) return { ok: true, value: parsed.range };
  const { refusal } = parsed;
  return {
    ok: false,
    message: refusal.code === 'range_reversed' ? 'The first is the smaller one.' : refusalWords(refusal),
  };
}
