import { CARD_NAMES, type CardTerms } from '@lanakit/core/papers';

const keyOf = (runId: string): string => `lanakit-cards ${runId}`;
/** The box a studio packs into is mostly the same one. */
const BOX_KEY = 'lanakit-box';

/** How the cards of a run were printed last on this device; the box is the last one of any run. */
export function lastCardTerms(runId: string, usual: CardTerms): CardTerms {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(runId)) ?? 'null') as Partial<CardTerms> | null;
    const box = JSON.parse(localStorage.getItem(BOX_KEY) ?? 'null') as Partial<CardTerms> | null;
    const terms = { ...usual, ...box, ...kept };
    return { ...terms, cards: terms.cards.filter((name) => CARD_NAMES.includes(name)) };
  } catch {
    return usual;
  }
}

export function keepCardTerms(runId: string, terms: CardTerms): void {
  const { boxWidthMm, boxHeightMm, page } = terms;
  try {
    localStorage.setItem(keyOf(runId), JSON.stringify(terms));
    localStorage.setItem(BOX_KEY, JSON.stringify({ boxWidthMm, boxHeightMm, page }));
  } catch {
    // A full browser keeps no settings, and nothing else is lost by it.
  }
}
