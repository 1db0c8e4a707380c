import { distance } from 'fastest-levenshtein';

/** A word that stands somewhere, and in how many things. */
export interface KnownWord {
  readonly word: string;
  readonly count: number;
}

/** A slip or two of the finger; of a short word one, or any word would be near. */
const mostSlips = (word: string): number => (word.length <= 4 ? 1 : 2);

/**
 * The word that was most likely meant: the one with the fewest letters other, wanting or too many (Levenshtein), of those the
 * one that stands in most things. A word still being typed is held against the beginnings of longer ones too.
 * @returns null where none is near enough
 */
export function nearestWord(word: string, known: Iterable<KnownWord>): string | null {
  const most = mostSlips(word);
  let nearest: { readonly word: string; readonly slips: number; readonly count: number } | null = null;
  for (const { word: other, count } of known) {
    if (other.length < word.length - most) continue;
    const slips = slipsBetween(word, other, most);
    if (slips > most) continue;
    if (!nearest || slips < nearest.slips || (slips === nearest.slips && count > nearest.count))
      nearest = { word: other, slips, count };
  }
  return nearest?.word ?? null;
}

function slipsBetween(word: string, other: string, most: number): number {
  if (other.length <= word.length + most) {
    const slips = distance(word, other);
    if (slips <= most) return slips;
  }
  // Half typed and misspelt: one worse than as much of it in full.
  return word.length >= 4 ? distance(word, other.slice(0, word.length)) + 1 : Infinity;
}
