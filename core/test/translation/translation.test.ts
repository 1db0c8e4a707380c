import { NO_SURROUNDINGS } from '../../src/pattern/index.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Pattern } from '../../src/pattern/index.ts';
import { TEXT_FIELDS } from '../../src/translation/textsOf.ts';
import {
  blankTranslation,
  broughtUpToDate,
  textsOf,
  translated,
  translationState,
  type TranslationInput,
} from '../../src/translation/index.ts';
import { BOOKLET_TERMS, bookletOf, bookletWords, textOfBooklet } from '../../src/papers/index.ts';
import { bird, coastWool } from '../support/coast.ts';

/** Every string field of the document’s form, by its name: free words, or something else. */
function stringFields(schema: unknown, field: string, found: Map<string, Set<'words' | 'other'>>): void {
  if (typeof schema !== 'object' || schema === null) return;
  const {
    type,
    pattern,
    enum: choices,
    maxLength,
    const: fixed,
    properties,
    items,
    anyOf,
    oneOf,
  } = schema as Record<string, unknown>;
  if (type === 'string' || typeof fixed === 'string') {
    const isWords =
      type === 'string' &&
      pattern === undefined &&
      choices === undefined &&
      fixed === undefined &&
      Number(maxLength) >= 60;
    found.set(field, (found.get(field) ?? new Set()).add(isWords ? 'words' : 'other'));
  }
  for (const [name, inner] of Object.entries((properties as object | undefined) ?? {}))
    stringFields(inner, name, found);
  for (const inner of [
    ...((anyOf as unknown[] | undefined) ?? []),
    ...((oneOf as unknown[] | undefined) ?? []),
    items,
  ])
    stringFields(inner, field, found);
}

/** Of the form’s free words those that no reader comes upon. */
const NOT_READ = new Set([
  'where',
  'from',
  'conditions',
  'credit',
  'code',
  'of',
  'levelReason',
  'needKey',
  'value',
  'path',
]);

test('what is translated are the free words of a pattern, every one of them and nothing else', () => {
  const found = new Map<string, Set<'words' | 'other'>>();
  stringFields(Pattern, '', found);
  const words = [...found].filter(([, kinds]) => kinds.has('words')).map(([field]) => field);
  expect(words.length).toBeGreaterThan(15);
  for (const field of words)
    expect([field, TEXT_FIELDS.has(field) || NOT_READ.has(field)]).toEqual([field, true]);
  for (const field of TEXT_FIELDS)
    expect([field, found.has(field) && !found.get(field)?.has('other')]).toEqual([field, true]);
});

const german = (more: Partial<TranslationInput> = {}): TranslationInput => ({
  ...broughtUpToDate(bird, blankTranslation('de', 'Vogel')),
  ...more,
});
const shouted = german({
  texts: textsOf(bird).map(({ key, source }) => ({ key, source, text: source.toUpperCase() })),
});

describe('a pattern in another language', () => {
  test('every text has a place of its own, and is found there again', () => {
    const texts = textsOf(bird);
    expect(new Set(texts.map(({ key }) => key)).size).toBe(texts.length);
    expect(texts.map(({ source }) => source)).toEqual(
      expect.arrayContaining(bird.steps.map(({ text }) => text)),
    );
    expect(textsOf(translated(bird, shouted)).map(({ source }) => source)).toEqual(
      texts.map(({ source }) => source.toUpperCase()),
    );
  });
  test('nothing but words changes: sizes, wool and order stay', () => {
    const letters = (value: unknown) => JSON.stringify(value).toLowerCase();
    expect(letters(translated(bird, shouted))).toBe(letters(bird));
  });
  test('what is missing or was changed since stays as it is written, and is told', () => {
    const first = bird.steps[0];
    const since = {
      ...bird,
      steps: bird.steps.map((step, at) => (at === 0 ? { ...step, text: `${step.text} anew` } : step)),
    };
    const some = german({
      texts: shouted.texts.map((each) => (each.key === 'title' ? { ...each, text: ' ' } : each)),
    });
    const { count, missing, changed } = translationState(since, some);
    expect(count).toBe(textsOf(bird).length);
    expect(missing.map(({ key }) => key)).toEqual(['title']);
    expect(changed.map(({ key }) => key)).toEqual([`steps/${first?.id ?? ''}/text`]);
    expect(translated(since, some).steps[0]?.text).toBe(`${first?.text ?? ''} anew`);
    expect(translated(since, some).title).toBe(bird.title);
  });
  test('brought up to date it loses no word, whatever was taken out of the pattern and put in', () => {
    fc.assert(
      fc.property(fc.subarray([...bird.steps.keys()]), (left) => {
        const other = { ...bird, steps: left.flatMap((at) => bird.steps[at] ?? []) };
        const there = broughtUpToDate(other, shouted);
        const keys = new Set(textsOf(other).map(({ key }) => key));
        expect(there.texts.map(({ key }) => key)).toEqual([...keys]);
        for (const each of shouted.texts.filter(({ key }) => keys.has(key)))
          expect(there.texts).toContainEqual(each);
      }),
    );
  });
});

describe('its booklet', () => {
  const request = { whole: bird, build: bird, what: [], notes: [], terms: BOOKLET_TERMS.sell, needles: [], packed: null, surroundings: NO_SURROUNDINGS, sources: { suppliers: [], blends: [] } };
  const english = bookletOf({ ...request, translation: null }, coastWool);
  test('says the translated texts, with the cautions, grams and sizes of the original', () => {
    const other = bookletOf({ ...request, translation: shouted }, coastWool);
    expect(other.language).toBe('de');
    const [here, there] = [english, other].map((booklet) => textOfBooklet(booklet).toLowerCase());
    // The words are the same but for their case: the same cautions, grams and links stand beside them.
    expect(there).toBe(here);
    for (const { text } of bird.steps) expect(textOfBooklet(other)).toContain(text.toUpperCase());
  });
  test('its own words come from the table beside them, wherever they stand alone', () => {
    const words = bookletWords(english, new Set(textsOf(bird).map(({ source }) => source)));
    expect(words).toEqual(expect.arrayContaining(['Pieces', 'Steps', 'You need', 'How much', 'What helps:']));
    for (const word of words) expect(word).not.toMatch(/\d/);
    const told = bookletOf({ ...request, translation: german({ words: [{ source: 'Pieces', text: 'Teile' }, { source: 'What helps:', text: 'Was hilft:' }] }) }, coastWool);
    expect(told.parts.map(({ title }) => title)).toContain('Teile');
    expect(textOfBooklet(told)).toContain(' Was hilft: ');
    expect(textOfBooklet(told)).not.toContain('What helps:');
  });
}); // prettier-ignore
