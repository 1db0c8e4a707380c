import { mutate } from 'swr';
import { forgetEarly } from './askedEarly.ts';

/** What tells of patterns and the shelf together: nearly every write changes something in it. */
const ALWAYS = ['/pattern-lines'];

/** Asks again for everything under these paths: one write moves numbers in many places. */
export function refresh(...prefixes: readonly string[]): Promise<unknown> {
  const isTouched = (path: string) => [...prefixes, ...ALWAYS].some((prefix) => path.startsWith(prefix));
  forgetEarly(isTouched);
  return mutate((key) => typeof key === 'string' && isTouched(key));
}
