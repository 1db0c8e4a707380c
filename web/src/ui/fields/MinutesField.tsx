import { type Minutes, parseMinutes, showTypedMinutes } from '@lanakit/core/pattern';
import { TypedField, type TypedFieldProps } from './TypedField.tsx';
import type { TypedReading } from './useTypedValue.ts';

/** How long: 20, 15–25, 1 h 30. */
export const MinutesField = (props: TypedFieldProps<Minutes | null>) => (
  <TypedField placeholder="20 or 15–25" {...props} suffix="min" form={{ show: showTypedMinutes, read }} />
);

function read(text: string): TypedReading<Minutes | null> {
  const parsed = parseMinutes(text);
  return parsed.ok
    ? { ok: true, value: parsed.minutes }
    : { ok: false, message: 'Give minutes: 20, 15–25 or 1 h 30.' };
}
