import { describe, expect, test } from '@jest/globals';
import { blankTranslation } from '@lanakit/core/translation';
import { COMMON_LANGUAGES, isLanguageCode, languageName } from '../../src/booklet/languageNames.ts';
import { readTranslationFile } from '../../src/booklet/readTranslationFile.ts';
import { textPlace } from '../../src/words/bookletWords.ts';

describe('languages', () => {
  test.each<[string, boolean]>([
    ['cy', true],
    ['pt-BR', true],
    ['gd', true],
    ['CY', false],
    ['Welsh', false],
    ['Ger', false],
    ['x', false],
    ['', false],
    ['de_AT', false],
  ])('%p is a code: %p', (text, is) => {
    expect(isLanguageCode(text)).toBe(is);
  });
  test('those that are offered are, and have a name each', () => {
    for (const code of COMMON_LANGUAGES) expect([code, isLanguageCode(code)]).toEqual([code, true]);
    expect(new Set(COMMON_LANGUAGES.map(languageName)).size).toBe(COMMON_LANGUAGES.length);
  });
});

describe('a translation file', () => {
  const file = (content: unknown) =>
    new File([typeof content === 'string' ? content : JSON.stringify(content)], 'a.json');
  const german = {
    ...blankTranslation('de', 'A ball'),
    texts: [{ key: 'title', source: 'A ball', text: 'Ein Ball' }],
  };
  test('is read as it is', async () => {
    expect(await readTranslationFile(file(german), 'de')).toEqual({ kind: 'read', translation: german });
  });
  test.each<[string, unknown, string]>([
    ['no JSON', '{', 'no JSON'],
    ['nothing', 'null', 'no translation file'],
    ['a pattern', { format: 'lanakit-pattern' }, 'no translation file'],
    ['one of a later Lanakit', { ...german, formatVersion: 2 }, 'later Lanakit'],
    ['texts of another form', { ...german, texts: [{ key: 'title', text: 3 }] }, 'no translation file'],
    ['another language', { ...german, language: 'fr' }, 'French'],
  ])('%s is told with what to do', async (_what, content, words) => {
    const read = await readTranslationFile(file(content), 'de');
    expect(read.kind === 'not-one' && read.message).toContain(words);
  });
});

test.each([
  ['title', 'title'],
  ['parts/p1/name', 'part'],
  ['steps/s1/text', 'step'],
  ['steps/s1/checks/c1/remedy', 'step: check: if not'],
  ['steps/s1/readers/kit', 'step: for who has the kit'],
  ['sessions/a/safeStop', 'session: safe stop'],
])('%s stands in the page as “%s”', (key, words) => {
  expect(textPlace(key)).toBe(words);
});
