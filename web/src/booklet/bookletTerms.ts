import { BOOKLET_TERMS, type BookletEnd, type BookletTerms } from '@lanakit/core/papers';

/** How a booklet was set last, on this device. */
export interface BookletChoice {
  readonly end: BookletEnd;
  readonly terms: BookletTerms;
}

const keyOf = (of: string): string => `lanakit-booklet ${of}`;

/** @param of a pattern, or a run */
export function lastChoice(of: string, end: BookletEnd = 'sell'): BookletChoice {
  const usual: BookletChoice = { end, terms: BOOKLET_TERMS[end] };
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(of)) ?? 'null') as Partial<BookletChoice> | null;
    if (!kept?.terms || !kept.end || !(kept.end in BOOKLET_TERMS)) return usual;
    // What a later Lanakit added has its usual setting.
    return { end: kept.end, terms: { ...BOOKLET_TERMS[kept.end], ...kept.terms } };
  } catch {
    return usual;
  }
} // prettier-ignore

export function keepChoice(of: string, choice: BookletChoice): void {
  try {
    localStorage.setItem(keyOf(of), JSON.stringify(choice));
  } catch {
    // A full browser keeps no settings, and nothing else is lost by it.
  }
}
