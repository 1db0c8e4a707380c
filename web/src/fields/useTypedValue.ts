import { useState } from 'react';

export type Reading<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

interface TypedValue {
  readonly text: string;
  /** Why the typed text is not taken. */
  readonly problem: string | null;
  readonly onChange: (text: string) => void;
  readonly onBlur: () => void;
}

/**
 * Text in a field over a value that only changes when the text can be read. What cannot be read stays in the
 * field with its reason, and the value stays what it was.
 * @param shown how the value is written when nobody is typing
 */
export function useTypedValue<T>(
  shown: string,
  read: (text: string) => Reading<T>,
  onValue: (value: T) => void,
): TypedValue {
  const [typed, setTyped] = useState<{ text: string; over: string; isDone: boolean } | null>(null);
  // An undo, a redo or another field may change the value under the text: the value wins once typing has ended.
  const isStale = typed !== null && typed.isDone && typed.over !== shown;
  const current = isStale ? null : typed;
  const reading = current ? read(current.text) : null;
  return {
    text: current?.text ?? shown,
    problem: reading && !reading.ok && current ? reading.message : null,
    onChange: (text) => {
      setTyped({ text, over: shown, isDone: false });
      const next = read(text);
      if (next.ok) onValue(next.value);
    },
    onBlur: () => {
      if (current === null) return;
      setTyped(read(current.text).ok ? null : { ...current, over: shown, isDone: true });
    },
  };
}
