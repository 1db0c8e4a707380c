import { type TermId, termOfLabel } from '@lanakit/core/words';

/** What the field is about that the cursor is in; null: it is in none, or in one whose label says it all. */
export function askedTerm(): TermId | null {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement)) return null;
  return termOfLabel(field.labels?.[0]?.textContent?.trim() ?? field.getAttribute('aria-label') ?? '');
}
