import { useState } from 'react';

export type TypedReading<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

/** How a value is written in its field, and read from it. */
export interface TypedForm<T> {
  readonly show: (value: T) => string;
  readonly read: (text: string) => TypedReading<T>;
}

interface TypedValue {
  readonly text: string;
  /** Why the typed text is not taken. */
  readonly problem: string | null;
  readonly onChange: (text: string) => void;
  readonly onBlur: () => void;
}

/**
 * Text in a field over a value that only changes when the text can be read. What cannot be read stays in the
 * field with its reason, and the value stays what it was. A value that changes for another reason (an undo,
 * another field) takes the place of what was typed.
 */
export function useTypedValue<T>(
  value: T,
  { show, read }: TypedForm<T>,
  onValue: (value: T) => void,
): TypedValue {
  const [typed, setTyped] = useState<{ readonly text: string; readonly seen: string } | null>(null);
  const shown = show(value);
  const reading = typed ? read(typed.text) : null;
  if (typed && typed.seen !== shown) {
    const isOwnDoing = reading?.ok === true && show(reading.value) === shown;
    setTyped(isOwnDoing ? { text: typed.text, seen: shown } : null);
  }
  return {
    text: typed?.text ?? shown,
    problem: reading && !reading.ok ? reading.message : null,
    onChange: (text) => {
      setTyped({ text, seen: shown });
      const next = read(text);
      if (next.ok) onValue(next.value);
    },
    // Left, what was read is written as it is always written; what was not stays to be mended.
    onBlur: () => {
      if (reading?.ok) setTyped(null);
    },
  };
}
