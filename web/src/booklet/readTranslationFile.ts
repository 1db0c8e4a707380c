import type { TranslationInput } from '@lanakit/core/translation';
import { languageName } from './languageNames.ts';

type ReadTranslation =
  | { readonly kind: 'read'; readonly translation: TranslationInput }
  | { readonly kind: 'not-one'; readonly message: string };

const notOne = (message: string): ReadTranslation => ({ kind: 'not-one', message });

/** A translation file as it was saved here and written on elsewhere. */
export async function readTranslationFile(file: File, language: string): Promise<ReadTranslation> {
  let found: unknown;
  try {
    found = JSON.parse(await file.text());
  } catch {
    return notOne('This file is no JSON. Save the translation as a file here, and write its texts into that one.');
  }
  if (!isTranslation(found)) return notOne('This is no translation file of Lanakit, or one of a later Lanakit. Nothing was brought in.');
  if (found.language !== language)
    return notOne(`This file is in ${languageName(found.language) ?? found.language}: open that language and bring it in there.`);
  return { kind: 'read', translation: found };
} // prettier-ignore

function isTranslation(found: unknown): found is TranslationInput {
  const { format, formatVersion, language, texts, words } = (found ?? {}) as Partial<Record<keyof TranslationInput, unknown>>;
  return format === 'lanakit-translation' && formatVersion === 1 && typeof language === 'string' && isListOf(texts, ['key', 'source', 'text']) && isListOf(words, ['source', 'text']);
} // prettier-ignore

const isListOf = (list: unknown, fields: readonly string[]): boolean =>
  Array.isArray(list) &&
  list.every((each: unknown) =>
    fields.every((field) => typeof (each as Record<string, unknown> | null)?.[field] === 'string'),
  );
