import { BOOKLET_TERMS, type BookletEnd, type BookletTerms } from '@lanakit/core/papers';

/** How a pattern’s booklet was set last, on this device. */
export interface BookletChoice {
  readonly end: BookletEnd;
  readonly terms: BookletTerms;
}

const keyOf = (patternId: string): string => `lanakit-booklet ${patternId}`;

export function lastChoice(patternId: string): BookletChoice {
  const usual: BookletChoice = { end: 'sell', terms: BOOKLET_TERMS.sell };
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(patternId)) ?? 'null') as Partial<BookletChoice> | null;
    if (!kept?.terms || !kept.end || !(kept.end in BOOKLET_TERMS)) return usual;
    // What a later Lanakit added has its usual setting.
    return { end: kept.end, terms: { ...BOOKLET_TERMS[kept.end], ...kept.terms } };
  } catch {
    return usual;
  }
} // prettier-ignore

export function keepChoice(patternId: string, choice: BookletChoice): void {
  try {
    localStorage.setItem(keyOf(patternId), JSON.stringify(choice));
  } catch {
    // A full browser keeps no settings, and nothing else is lost by it.
  }
}
