import { checkWhole } from '@lanakit/core/base';
import { type Count, PATTERN_BOUNDS } from '@lanakit/core/pattern';
import { problemWords } from '@lanakit/core/words';
import { TypedField, type TypedFieldProps } from './TypedField.tsx';
import type { TypedReading } from './useTypedValue.ts';

/** How many: a number, from–to where it is not settled, or nothing where nobody knows yet. */
export const CountField = (props: TypedFieldProps<Count>) => (
  <TypedField placeholder="such as 4 or 10–14" {...props} inputMode="numeric" form={{ show, read }} />
);

const show = (count: Count): string =>
  count === null ? '' : typeof count === 'number' ? String(count) : `${count.low}–${count.high}`;

const FORM = /^(\d+)(?:\s*(?:-|–|to)\s*(\d+))?$/;

function read(text: string): TypedReading<Count> {
  if (text.trim() === '') return { ok: true, value: null };
  const [, low, high] = FORM.exec(text.trim()) ?? [];
  if (low === undefined) return { ok: false, message: 'Give a whole number, or two such as 10–14.' };
  const ends = [Number(low), Number(high ?? low)] as const;
  const problem = ends.flatMap((end) => checkWhole(end, PATTERN_BOUNDS.count, ''))[0];
  if (problem) return { ok: false, message: problemWords(problem) };
  if (ends[0] > ends[1]) return { ok: false, message: 'The first is the smaller one.' };
  return { ok: true, value: ends[0] === ends[1] ? ends[0] : { low: ends[0], high: ends[1] } };
}
