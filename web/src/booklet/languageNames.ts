/** What a language is called in English: `pt-BR` is Brazilian Portuguese; null: nobody knows one of that name. */
export function languageName(language: string): string | null {
  try {
    const name = new Intl.DisplayNames(['en-GB'], { type: 'language', fallback: 'none' }).of(language);
    return name ?? null;
  } catch {
    return null;
  }
}

/** Those offered first; any other is typed by its code. */
export const COMMON_LANGUAGES = ['cs', 'da', 'de', 'es', 'et', 'fi', 'fr', 'is', 'it', 'lv', 'lt', 'nb', 'nl', 'pl', 'pt', 'sv', 'cy', 'uk'] as const; // prettier-ignore

/** It is the code of a language, as BCP 47 writes it: `cy`, `pt-BR`, and not `Welsh` or `CY`. */
export function isLanguageCode(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text)[0] === text && languageName(text) !== null;
  } catch {
    return false;
  }
}
