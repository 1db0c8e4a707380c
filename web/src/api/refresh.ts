import { mutate } from 'swr';

/** Asks again for everything under these paths: one write moves numbers in many places. */
export function refresh(...prefixes: readonly string[]): Promise<unknown> {
  return mutate((key) => typeof key === 'string' && prefixes.some((prefix) => key.startsWith(prefix)));
}
