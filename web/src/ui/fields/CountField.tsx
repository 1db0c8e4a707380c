import { checkWhole } from '@lanakit/core/base';
import { type Count, PATTERN_BOUNDS } from '@lanakit/core/pattern';
import { problemWords } from '@lanakit/core/words';
import { Input } from 'antd';
import { Field } from './Field.tsx';
import { useTypedValue, type Reading } from './useTypedValue.ts';

interface CountFieldProps {
  label: string;
  value: Count;
  problem?: string | null;
  unknown?: string | null;
  hint?: string;
  placeholder?: string;
  className?: string;
  onValue: (value: Count) => void;
}

/** How many: a number, from–to where it is not settled, or nothing where nobody knows yet. */
export function CountField({
  label,
  value,
  problem,
  unknown,
  hint,
  placeholder,
  className,
  onValue,
}: CountFieldProps) {
  const typed = useTypedValue(value, { show, read }, onValue);
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
          inputMode="numeric"
          autoComplete="off"
          placeholder={placeholder ?? 'such as 4 or 10–14'}
          status={typed.problem || problem ? 'error' : ''}
          onChange={(event) => typed.onChange(event.target.value)}
          onBlur={typed.onBlur}
        />
      )}
    </Field>
  );
}

const show = (count: Count): string =>
  count === null ? '' : typeof count === 'number' ? String(count) : `${count.low}–${count.high}`;

const FORM = /^(\d+)(?:\s*(?:-|–|to)\s*(\d+))?$/;

function read(text: string): Reading<Count> {
  if (text.trim() === '') return { ok: true, value: null };
  const [, low, high] = FORM.exec(text.trim()) ?? [];
  if (low === undefined) return { ok: false, message: 'Give a whole number, or two such as 10–14.' };
  const ends = [Number(low), Number(high ?? low)] as const;
  const problem = ends.flatMap((end) => checkWhole(end, PATTERN_BOUNDS.count, ''))[0];
  if (problem) return { ok: false, message: problemWords(problem) };
  if (ends[0] > ends[1]) return { ok: false, message: 'The first is the smaller one.' };
  return { ok: true, value: ends[0] === ends[1] ? ends[0] : { low: ends[0], high: ends[1] } };
}
