import { isEqual } from '@lanakit/core/base';
import type { Translation, TranslationInput } from '@lanakit/core/translation';
import type { Versioned } from '../draft/DraftSaver.ts';
import { type RecipeDraft, useRecipeDraft } from '../draft/useRecipeDraft.ts';
import type { Savable } from '../draft/useSaver.ts';

const versioned = ({ id: _id, patternId: _patternId, version, ...document }: Translation): Versioned<TranslationInput> => ({
  version,
  document,
}); // prettier-ignore

/** What is not translated is the same whether it stands there or not. */
const translatedOf = ({ texts, words }: TranslationInput) => ({
  texts: texts.filter(({ text }) => text.trim() !== ''),
  words: words.filter(({ text }) => text.trim() !== ''),
});

const savable = (patternId: string, language: string): Savable<TranslationInput> => ({
  path: `/patterns/${patternId}/translations/${language}`,
  check: () => [],
  isSame: (a, b) => isEqual(translatedOf(a), translatedOf(b)),
  readStored: (stored) => versioned(stored as Translation),
  touches: [`/patterns/${patternId}/translations`],
});

/** A translation that saves itself. Mount it anew (by key) for another. */
export const useTranslationDraft = (translation: Translation): RecipeDraft<TranslationInput> =>
  useRecipeDraft(versioned(translation), savable(translation.patternId, translation.language));
