import { type Length, showNumber, showTypedLength } from '../base/index.ts';
import type { CutPiece } from '../engine/index.ts';
import type { TooLarge } from '../run/index.ts';
import type { SpareRule } from '../shelf/index.ts';

/** A cut’s size for reading: `31 cm`, `13 × 12 cm`, `3 × 3 in`, as it was typed; under 10 cm in millimetres. */
export function cutSizeWords(sizes: readonly Length[]): string {
  if (sizes.length === 0) return 'size unknown';
  if (sizes.some(({ unit }) => unit === 'in')) {
    const isAllInches = sizes.every(({ unit }) => unit === 'in');
    return isAllInches
      ? `${sizes.map((size) => showTypedLength(size).replace(/ in$/, '')).join(' × ')} in`
      : sizes.map(showTypedLength).join(' × ');
  }
  const mm = sizes.map(({ value }) => value);
  return Math.min(...mm) < 100
    ? `${mm.map((value) => showNumber(value, 1)).join(' × ')} mm`
    : `${mm.map((value) => showNumber(value / 10, 1)).join(' × ')} cm`;
}

/** `legs`, `legs and feet`, `legs, feet and beak`. */
export const joinWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;

/** One of them is meant: `beads, dots or none`. */
export const orWords = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1) ?? ''}`;

/** Why a piece cannot be cut, and what to do. */
export const tooLargeWords = ({ name, sizesMm, putUpMm }: TooLarge): string =>
  `${name || 'A piece'} of ${mmWords(sizesMm)} does not go into ${mmWords(putUpMm)}: buy it in larger, or join it from two.`;

const mmWords = (sizesMm: readonly number[]): string =>
  cutSizeWords(sizesMm.map((value) => ({ value, unit: 'mm' })));

/** Pieces as they are cut, alike ones together: `12 × 31 cm, 12 × 27 cm`. */
export function piecesLine(pieces: readonly CutPiece[]): string {
  const alike = new Map<string, number>();
  for (const { sizes, count } of pieces) {
    const words = cutSizeWords(sizes);
    alike.set(words, (alike.get(words) ?? 0) + count);
  }
  return [...alike].map(([words, count]) => `${count} × ${words}`).join(', ');
}

/** What pieces are called, each once: `front legs and back legs`. */
export const pieceNames = (pieces: readonly CutPiece[]): string =>
  joinWords([...new Set(pieces.map(({ name }) => name.trim().toLowerCase()).filter((name) => name !== ''))]);

export const SPARE_RULE_WORDS: Readonly<Record<SpareRule['by'], string>> = {
  none: 'none',
  pack: 'so many in every pack',
  table: 'so many for every table',
  run: 'so many for the whole run',
  share: 'a share of what is used',
};

export const spareRuleWords = (rule: SpareRule): string =>
  rule.by === 'none'
    ? 'none'
    : rule.by === 'share'
      ? `${Math.round(rule.fraction * 100)} % of what is used`
      : SPARE_RULE_WORDS[rule.by].replace('so many', String(rule.count));
