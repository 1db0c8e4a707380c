import { type Minutes, minutesRange } from '../pattern/index.ts';

/** Minutes as text: `20 min`, `15–25 min`, `2 h`, `1 day`. */
export function minutesWords(minutes: Minutes): string {
  const { low, high } = minutesRange(minutes);
  if (low !== high) return `${Math.round(low)}–${Math.round(high)} min`;
  if (low >= 1440 && low % 1440 === 0) return low === 1440 ? '1 day' : `${low / 1440} days`;
  if (low < 120) return `${Math.round(low)} min`;
  const [hours, rest] = [Math.floor(low / 60), Math.round(low % 60)];
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}
