import { COST_DEFAULTS } from '@lanakit/core/run';
import type { Caller } from '../access/caller.ts';

/** Whatever is money is called so, in what is kept and in what is worked out (`pricePer100gMinor`, `costMinor`). */
const isMoney = (key: string): boolean => key.endsWith('Minor');

/** Of a seat: who sits there and what is noted of them. What they may not touch and their hand stay: packs are packed by it. */
const withoutName = (seat: object): object => ({ ...seat, name: '', note: '' });

/**
 * An answer as whoever asked may see it: without money for all but the owner, without names for devices that need none.
 * What is unknown is null everywhere, so what is not told is as what nobody knows. Of every answer, not route by route: what
 * comes later is covered as well.
 */
export function redacted(body: unknown, { role, seesNames }: Pick<Caller, 'role' | 'seesNames'>): unknown {
  return role === 'owner' ? body : without(body, seesNames);
}

function without(value: unknown, seesNames: boolean): unknown {
  if (Array.isArray(value)) return value.map((each) => without(each, seesNames));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => {
      if (isMoney(key)) return [key, null];
      // What the owner's time is worth, and what is to be left over.
      if (key === 'cost' && isTerms(inner)) return [key, COST_DEFAULTS];
      if (key === 'roster' && Array.isArray(inner) && !seesNames)
        return [key, inner.map((seat) => withoutName(without(seat, seesNames) as object))];
      return [key, without(inner, seesNames)];
    }),
  );
}

const isTerms = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'hourlyWageMinor' in value;
