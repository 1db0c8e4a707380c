import type { Known, WorkKind, WorkSum } from '@lanakit/core/year';
import { counted, showGrams, showMinutes, showMoney } from './show.ts';

export const WORK_KIND_WORDS: Readonly<Record<WorkKind, string>> = {
  class: 'class',
  kits: 'kits',
  commission: 'asked for',
  making: 'made',
};

/** A sum, and that it is only the least where something of it is unknown. */
export const atLeast = ({ known, unknownCount }: Known, show: (known: number) => string): string =>
  unknownCount === 0 ? show(known) : known > 0 ? `at least ${show(known)}` : 'unknown';

export const monthName = (month: number, length: 'long' | 'short' = 'long'): string =>
  new Date(2026, month - 1, 15).toLocaleDateString('en-GB', { month: length });

/** A year, or a month of it, in a sentence or two. */
export function yearWords({ figures, kits, woolG, minutes, takingsMinor, hourMinor, hourOf, sold }: WorkSum): string {
  const made = [
    ...(figures > 0 ? [counted(figures, 'figure')] : []),
    ...(kits > 0 ? [counted(kits, 'kit')] : []),
  ].join(' and ');
  const took = `${made === '' ? 'Nothing was finished' : made}: ${atLeast(woolG, showGrams)} of wool, ${atLeast(minutes, showMinutes)} at work.`;
  if (sold === 0) return took;
  const paid = sold - takingsMinor.unknownCount;
  const came =
    paid === 0
      ? ' What came in is not said yet.'
      : ` ${showMoney(takingsMinor.known)} came in for ${paid === sold ? (sold === 1 ? 'what was sold' : sold === 2 ? 'both that were sold' : `all ${sold} that were sold`) : `${paid} of ${sold}`}.`;
  const hour =
    hourMinor === null
      ? ''
      : ` After material that is ${showMoney(hourMinor)} an hour${hourOf < sold ? `, known of ${hourOf} of ${sold}` : ''}.`;
  return `${took}${came}${hour}`;
} // prettier-ignore
