import { mutate } from 'swr';
import { forgetEarly } from './askedEarly.ts';

/** Asks again for everything under these paths: one write moves numbers in many places. */
export function refresh(...prefixes: readonly string[]): Promise<unknown> {
  const isTouched = (path: string) => prefixes.some((prefix) => path.startsWith(prefix));
  forgetEarly(isTouched);
  return mutate((key) => typeof key === 'string' && isTouched(key));
}
