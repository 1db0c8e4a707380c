import { type Length, type LengthUnit, toMm } from './length.ts';
import { type LengthRefusal, parseLength } from './parseLength.ts';
import { showTypedLength } from './showLength.ts';

/** A length from – to, as the maker gave it; `high` null: one length. */
export interface LengthRange {
  readonly low: Length;
  readonly high: Length | null;
}

export type ParsedRange =
  | { readonly ok: true; readonly range: LengthRange }
  | { readonly ok: false; readonly refusal: LengthRefusal | { readonly code: 'range_reversed' } };

const BETWEEN = /\s*(?:–|—|-|\bto\b)\s*/;

/**
 * Reads one length or two: `8–9 in`, `1–1½ in`, `30–60 cm`, `2 ft`. A unit said once, at the end, holds for both.
 * Never throws.
 */
export function parseLengthRange(text: string, defaultUnit: LengthUnit): ParsedRange {
  const trimmed = text.trim();
  const ends = trimmed.split(BETWEEN).filter((end) => end !== '');
  const [first = '', second] = ends;
  if (ends.length > 2 || trimmed.startsWith('-')) {
    return { ok: false, refusal: { code: 'length_not_read', text } };
  }
  if (second === undefined) return parseExactLength(first, defaultUnit);
  const high = parseLength(second, defaultUnit);
  if (!high.ok) return high;
  const low = parseLength(/[a-z"″”'′’]/i.test(first) ? first : first + unitIn(second), defaultUnit);
  if (!low.ok) return low;
  if (toMm(low.length) > toMm(high.length)) return { ok: false, refusal: { code: 'range_reversed' } };
  const isOne = toMm(low.length) === toMm(high.length);
  return { ok: true, range: { low: low.length, high: isOne ? null : high.length } };
}

function parseExactLength(text: string, defaultUnit: LengthUnit): ParsedRange {
  const parsed = parseLength(text, defaultUnit);
  return parsed.ok ? { ok: true, range: { low: parsed.length, high: null } } : parsed;
}

const unitIn = (text: string): string => / *([a-z]+|["″”'′’])$/i.exec(text)?.[0] ?? '';

/** As it is typed back: `8–9 in`. */
export function showTypedRange({ low, high }: LengthRange): string {
  if (high === null) return showTypedLength(low);
  const [from, to] = [low, high].map(showTypedLength);
  return low.unit === high.unit ? `${from?.replace(/ (?:mm|in)$/, '')}–${to}` : `${from} – ${to}`;
}
