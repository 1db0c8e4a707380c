import { type Static, Type } from '@sinclair/typebox';
import { strict } from '../base/index.ts';

const Words = Type.String({ maxLength: 4000 });

/**
 * Texts of a pattern in another language, in a file beside it. Each has what it was translated from, so that what was changed since
 * is known.
 */
export const TranslationInput = Type.Object(
  {
    format: Type.Literal('lanakit-translation'),
    formatVersion: Type.Literal(1),
    /** BCP 47: `de`, `pt-BR`. */
    language: Type.String({ pattern: '^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$', maxLength: 35 }),
    /** Of the pattern, for whoever opens the file. */
    of: Type.String({ maxLength: 200 }),
    /** Of the pattern: where it stands, what it was, what it is; an empty text is not translated yet. */
    texts: Type.Array(Type.Object({ key: Type.String({ maxLength: 200 }), source: Words, text: Words }, strict), { maxItems: 5000 }),
    /** Of the paper and the shelf: headings, stages, what wool is called. */
    words: Type.Array(Type.Object({ source: Words, text: Words }, strict), { maxItems: 2000 }),
  },
  { ...strict, title: 'A translation of a pattern' },
); // prettier-ignore
export type TranslationInput = Static<typeof TranslationInput>;

export interface Translation extends TranslationInput {
  readonly id: string;
  readonly patternId: string;
  readonly version: number;
}

export const blankTranslation = (language: string, of: string): TranslationInput => ({
  format: 'lanakit-translation',
  formatVersion: 1,
  language,
  of,
  texts: [],
  words: [],
});
