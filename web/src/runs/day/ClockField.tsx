import { readClock } from '@lanakit/core/run';
import { TypedField, type TypedFieldProps } from '../../ui/fields/TypedField.tsx';
import type { TypedReading } from '../../ui/fields/useTypedValue.ts';

/** A time of day, however it is typed. */
export const ClockField = (props: TypedFieldProps<string>) => (
  <TypedField placeholder="14:00" {...props} form={{ show: (clock) => clock, read }} />
);

function read(text: string): TypedReading<string> {
  const clock = readClock(text);
  return clock === null
    ? { ok: false, message: 'Write a time of day, such as 14:00.' }
    : { ok: true, value: clock };
}
