import { isWoolOnly, type Minutes, minutesRange } from '../pattern/index.ts';

/** Minutes as text: `20 min`, `15–25 min`, `2 h`, `1 day`. */
export function minutesWords(minutes: Minutes): string {
  const { low, high } = minutesRange(minutes);
  if (low !== high) return `${Math.round(low)}–${Math.round(high)} min`;
  if (low >= 1440 && low % 1440 === 0) return low === 1440 ? '1 day' : `${low / 1440} days`;
  if (low < 120) return `${Math.round(low)} min`;
  const [hours, rest] = [Math.floor(low / 60), Math.round(low % 60)];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** Minutes as a person says them. */
export function showMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  if (hours === 0) return `${whole} min`;
  return `${hours} h ${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes of many things, of which some are unknown: then only at least so many. */
export function showKnownMinutes({
  known,
  unknownCount,
}: {
  readonly known: number;
  readonly unknownCount: number;
}): string {
  if (unknownCount === 0) return showMinutes(known);
  return known > 0 ? `at least ${showMinutes(known)}` : 'time unknown';
}

/** Minutes of a make; a pattern without steps takes no time that anybody knows. */
export const showPace = (
  pattern: Parameters<typeof isWoolOnly>[0],
  minutes: Parameters<typeof showKnownMinutes>[0],
): string =>
  isWoolOnly(pattern) ? 'wool only, no steps' : `${showKnownMinutes(minutes)} at the author’s pace`;
