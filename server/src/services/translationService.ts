import type { TranslationLine } from '@lanakit/core/api';
import { bookletWords, bookletOf, BOOKLET_TERMS } from '@lanakit/core/papers';
import type { Pattern } from '@lanakit/core/pattern';
import {
  blankTranslation,
  broughtUpToDate,
  textsOf,
  type Translation,
  type TranslationInput,
  translationState,
} from '@lanakit/core/translation';
import type { ServiceDeps } from './deps.ts';
import { slugOf } from './fileNames.ts';
import type { OutFile } from './patternFileService.ts';
import { sourcesIn } from './sourcesIn.ts';
import { surroundingsIn } from './surroundingsIn.ts';
import { answering, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';

export type TranslationService = ReturnType<typeof translationService>;

/** Of a language nobody has translated into yet. */
const NOT_KEPT = 0;

/** Texts of a pattern in other languages, in a file beside it. */
export function translationService({ store, now, newId }: ServiceDeps) {
  const { translations } = store;
  const at = () => now().toISOString();
  const patternOf = (id: string): Pattern => foundOr(store.patterns.find(id)).document;
  const keptOf = (id: string, language: string): Translation | null =>
    translations.of(id).find((each) => each.language === language) ?? null;

  /** With every text of the pattern and every word of its booklet as they are now. */
  const wholeOf = (id: string, language: string): Translation => {
    const pattern = patternOf(id);
    const kept = keptOf(id, language);
    const { id: keptId, version, patternId, ...input } = kept ?? { id: '', version: NOT_KEPT, patternId: id, ...blankTranslation(language, pattern.title) };
    const whole = broughtUpToDate(pattern, input);
    const known = new Map(input.words.map(({ source, text }) => [source, text]));
    const words = wordsOf(id, pattern).map((source) => ({ source, text: known.get(source) ?? '' }));
    // What another make of it says is kept, though this one does not.
    const others = input.words.filter(({ source, text }) => text !== '' && !words.some((each) => each.source === source));
    return { ...whole, words: [...words, ...others], id: keptId, version, patternId };
  };
  /** The same while neither the shelf nor a pattern is written; without pictures, which say nothing that has no number. */
  const wordsOf = (id: string, pattern: Pattern): string[] =>
    store.remember(['patterns', 'things', 'needles'], `words of its booklet, ${id}`, () => {
      const terms = { ...BOOKLET_TERMS.sell, hasPictures: false };
      const request = { whole: pattern, build: pattern, what: [], notes: [], terms, needles: store.shelf.needles(), packed: null, surroundings: surroundingsIn(store, id, pattern), sources: sourcesIn(store, pattern), translation: null };
      return bookletWords(bookletOf(request, shelfOf(store)), new Set(textsOf(pattern).map(({ source }) => source)));
    });
  return answering({
    list: (id: string): TranslationLine[] => {
      const pattern = patternOf(id);
      return translations.of(id).map((kept) => {
        const { count, missing, changed } = translationState(pattern, kept);
        return { language: kept.language, count, missing: missing.length, changed: changed.length };
      });
    },
    find: (id: string, language: string): Translation => wholeOf(id, language),
    /** @param version 0: nothing is kept of it yet */
    save(id: string, version: number, language: string, input: TranslationInput): Translation {
      patternOf(id);
      if (input.language !== language) throw new Refusal({ code: 'query_invalid', field: 'language' });
      // Empty texts are what is missing: they are worked out anew whenever it is opened.
      const lean = { ...input, texts: input.texts.filter(({ text }) => text.trim() !== ''), words: input.words.filter(({ text }) => text.trim() !== '') };
      const kept = keptOf(id, language);
      if ((kept?.version ?? NOT_KEPT) !== version) throw new Refusal({ code: 'version_conflict', yours: input, theirs: wholeOf(id, language) });
      if (kept) translations.update(kept.id, version, lean, at());
      else translations.insert(newId(), id, lean, at());
      return wholeOf(id, language);
    },
    remove(id: string, language: string): void {
      const kept = keptOf(id, language);
      if (!kept) throw new Refusal({ code: 'not_found' });
      translations.remove(kept.id);
    },
    /** As a file, to be translated anywhere and brought in again. */
    file(id: string, language: string): OutFile {
      const { id: _id, version: _version, patternId: _patternId, ...input } = wholeOf(id, language);
      const bytes = Buffer.from(`${JSON.stringify(input, null, 2)}\n`, 'utf8');
      return { bytes, mime: 'application/json', name: `${slugOf(input.of, 60) || 'figure'}.${language}.json` };
    },
  });
} // prettier-ignore
