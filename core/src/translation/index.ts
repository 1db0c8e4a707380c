export { blankTranslation, type Translation, TranslationInput } from './translation.ts';
export { textsOf } from './textsOf.ts';
export { broughtUpToDate, translated, translationState } from './translated.ts';
