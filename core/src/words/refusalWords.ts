import type { LengthRefusal } from '../base/index.ts';
import { problemWords } from './problemWords.ts';

/** Why a typed size was not taken, and how to write one. */
export function refusalWords(refusal: LengthRefusal): string {
  if (refusal.code === 'length_not_read') {
    return 'Not a size. Write it as 60, 6 cm or 2 3/8 in.';
  }
  return problemWords({ ...refusal, pointer: '' });
}
