import type { Minutes } from './minutes.ts';

export type ParsedMinutes =
  | { readonly ok: true; readonly minutes: Minutes | null }
  | { readonly ok: false; readonly code: 'minutes_not_read' };

const ONE = String.raw`(\d+(?:[.,]\d+)?)\s*(h|hours?|hrs?|min(?:utes?)?|d|days?)?(?:\s*(\d{1,2})\s*(?:min)?)?`;
const FORM = new RegExp(`^${ONE}(?:\\s*(?:-|–|to)\\s*${ONE})?$`, 'i');

const SCALE: Readonly<Record<string, number>> = { h: 60, d: 1440, m: 1 };

/** Minutes as people type them: `20`, `15–25`, `1 h 30`, `2 hours`, `1 day`. Nothing typed is unknown. */
export function parseMinutes(text: string): ParsedMinutes {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: true, minutes: null };
  const match = FORM.exec(trimmed);
  if (!match) return { ok: false, code: 'minutes_not_read' };
  const [, first, firstUnit, firstRest, second, secondUnit, secondRest] = match;
  // “1–2 h” means hours at both ends.
  const low = minutesOf(first, firstUnit ?? secondUnit, firstRest);
  if (second === undefined) return { ok: true, minutes: low };
  const high = minutesOf(second, secondUnit ?? firstUnit, secondRest);
  return { ok: true, minutes: low === high ? low : { low, high } };
}

function minutesOf(number: string | undefined, unit: string | undefined, rest: string | undefined): number {
  const scale = SCALE[unit?.charAt(0).toLowerCase() ?? 'm'] ?? 1;
  return Number((number ?? '0').replace(',', '.')) * scale + Number(rest ?? 0);
}

/** As it is typed back: `20`, `15–25`, `1 h 30`. */
export function showTypedMinutes(minutes: Minutes | null): string {
  if (minutes === null) return '';
  const words = (value: number): string => {
    if (value < 120 || !Number.isInteger(value)) return String(value);
    if (value % 1440 === 0) return `${value / 1440} d`;
    return value % 60 === 0 ? `${value / 60} h` : `${Math.floor(value / 60)} h ${value % 60}`;
  };
  // “1–2 h” would be read as hours at both ends: a range is in minutes.
  return typeof minutes === 'number' ? words(minutes) : `${minutes.low}–${minutes.high}`;
}
