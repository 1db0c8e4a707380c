import type { Pattern } from '../pattern/index.ts';
import { type PatternText, textsOf, withTexts } from './textsOf.ts';
import type { TranslationInput } from './translation.ts';

/** How far a translation has come with a pattern as it is now. */
export interface TranslationState {
  /** Of so many texts. */
  readonly count: number;
  /** Not translated. */
  readonly missing: readonly PatternText[];
  /** Said otherwise by now than what was translated. */
  readonly changed: readonly PatternText[];
}

type Found =
  { readonly is: 'said'; readonly text: string } | { readonly is: 'missing' } | { readonly is: 'changed' };

function lookup({ texts }: Pick<TranslationInput, 'texts'>) {
  const byKey = new Map(texts.map((each) => [each.key, each]));
  return (key: string, source: string): Found => {
    const known = byKey.get(key);
    if (!known || known.text.trim() === '') return { is: 'missing' };
    return known.source === source ? { is: 'said', text: known.text } : { is: 'changed' };
  };
} // prettier-ignore

/** A pattern in the words of a translation; what that lacks, and what was changed since, stays as it was written. */
export function translated<P extends Pattern>(pattern: P, translation: Pick<TranslationInput, 'texts'>): P {
  const find = lookup(translation);
  return withTexts(pattern, (key, source) => {
    const found = find(key, source);
    return found.is === 'said' ? found.text : source;
  }) as P;
}

export function translationState(pattern: Pattern, translation: Pick<TranslationInput, 'texts'>): TranslationState {
  const find = lookup(translation);
  const all = textsOf(pattern);
  const those = (is: Found['is']) => all.filter(({ key, source }) => find(key, source).is === is);
  return { count: all.length, missing: those('missing'), changed: those('changed') };
} // prettier-ignore

/**
 * A translation with every text of the pattern as it is now, in their order: those that were not there are empty, those that are gone
 * are dropped, and what was changed since keeps what it was translated from.
 */
export function broughtUpToDate(pattern: Pattern, translation: TranslationInput): TranslationInput {
  const known = new Map(translation.texts.map((each) => [each.key, each]));
  return {
    ...translation,
    of: pattern.title,
    texts: textsOf(pattern).map(({ key, source }) => {
      const before = known.get(key);
      return before && before.text.trim() !== '' ? before : { key, source, text: '' };
    }),
  };
}
