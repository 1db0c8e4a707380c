import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredPattern } from '@lanakit/core/api';
import { BOOKLET_TERMS } from '@lanakit/core/papers';
import { textsOf, type Translation, type TranslationInput } from '@lanakit/core/translation';
import { request } from '../support/request.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
let stored: StoredPattern;
beforeEach(async () => {
  studio = openStudio();
  const fibre = await addFibre(studio, {});
  stored = await addPattern(studio, ballPattern(fibre.id, { title: 'A ball' }));
});
afterEach(() => studio.close());

const at = (language: string, more = '') => `/api/patterns/${stored.id}/translations/${language}${more}`;
const opened = async (language: string) =>
  (await request(studio.app).get(at(language)).expect(200)).body as Translation;
const inputOf = ({
  id: _id,
  version: _version,
  patternId: _patternId,
  ...input
}: Translation): TranslationInput => input;
const put = (language: string, version: number, input: object) =>
  request(studio.app).put(at(language)).set('If-Match', `"${version}"`).set('X-Lanakit', '1').send(input);
const shouted = (input: TranslationInput): TranslationInput => ({ ...input, texts: input.texts.map((each) => ({ ...each, text: `Ganz ${each.source}` })) }); // prettier-ignore

describe('a translation beside a pattern', () => {
  test('begins with every text of it, not translated, and nothing is kept until something is', async () => {
    const blank = await opened('de');
    expect(blank.version).toBe(0);
    expect(blank.texts).toEqual(textsOf(stored.document).map((each) => ({ ...each, text: '' })));
    expect(blank.words.map(({ source }) => source)).toEqual(expect.arrayContaining(['Pieces', 'You need']));
    expect((await request(studio.app).get(`/api/patterns/${stored.id}/translations`).expect(200)).body).toEqual({ items: [] });
  });
  test('is kept, and told of', async () => {
    await put('de', 0, shouted(inputOf(await opened('de')))).expect(200);
    const list = (await request(studio.app).get(`/api/patterns/${stored.id}/translations`).expect(200)).body as object;
    expect(list).toEqual({ items: [{ language: 'de', count: textsOf(stored.document).length, missing: 0, changed: 0 }] });
    expect((await opened('de')).texts[0]?.text).toBe('Ganz A ball');
  });
  test('what the pattern says otherwise since is told, and what it was translated from', async () => {
    await put('de', 0, shouted(inputOf(await opened('de')))).expect(200);
    await request(studio.app).put(`/api/patterns/${stored.id}`).set('If-Match', `"${stored.version}"`).set('X-Lanakit', '1').send({ ...stored.document, title: 'A round ball' }).expect(200);
    const answer = await request(studio.app).get(`/api/patterns/${stored.id}/translations`).expect(200);
    expect(answer.body).toMatchObject({ items: [{ missing: 0, changed: 1 }] });
    expect((await opened('de')).texts[0]).toEqual({ key: 'title', source: 'A ball', text: 'Ganz A ball' });
  });
  test('written twice from the same version: the second is told, with both, and nothing is lost', async () => {
    const input = shouted(inputOf(await opened('de')));
    await put('de', 0, input).expect(200);
    const answer = await put('de', 0, { ...input, of: 'Another' }).expect(409);
    expect(answer.body).toMatchObject({ yours: { of: 'Another' }, theirs: { version: 1 } });
    await put('de', 1, input).expect(200);
  });
  test('goes out as a file and comes in again as it was', async () => {
    await put('pt-BR', 0, shouted(inputOf(await opened('pt-BR')))).expect(200);
    const file = await request(studio.app).get(at('pt-BR', '/file')).expect(200);
    expect(file.headers['content-disposition']).toContain('a-ball.pt-BR.json');
    const input = file.body as TranslationInput;
    expect(input).toEqual(inputOf(await opened('pt-BR')));
    await request(studio.app).delete(at('pt-BR')).set('X-Lanakit', '1').expect(204);
    expect((await opened('pt-BR')).version).toBe(0);
    await put('pt-BR', 0, input).expect(200);
  });
  test('its booklet says it so, in each form, and says which language it is in', async () => {
    const told = shouted(inputOf(await opened('de')));
    await put('de', 0, { ...told, words: told.words.map((each) => (each.source === 'Pieces' ? { ...each, text: 'Teile' } : each)) }).expect(200);
    const terms = encodeURIComponent(JSON.stringify(BOOKLET_TERMS.sell));
    const html = (await request(studio.app).get(`/api/patterns/${stored.id}/booklet/html?terms=${terms}&language=de`).expect(200)).text;
    expect(html).toContain('<html lang="de"');
    expect(html).toContain('<h1>Ganz A ball</h1>');
    expect(html).toContain('>Teile</h2>');
    const pdf = (await request(studio.app).get(`/api/patterns/${stored.id}/booklet/pdf?language=de`).responseType('blob').expect(200)).body as Buffer;
    expect(pdf.toString('latin1')).toContain('/Lang (de)');
  });
  test.each<[string, () => Promise<unknown>]>([
    ['a language that is none', () => request(studio.app).get(at('German!')).expect(404)],
    ['a booklet in one nobody has translated into', () => request(studio.app).get(`/api/patterns/${stored.id}/booklet/pdf?language=fr`).expect(404)],
    ['one of another pattern', () => request(studio.app).get('/api/patterns/nobody/translations/de').expect(404)],
    ['a file of another language', async () => put('fr', 0, inputOf(await opened('de'))).expect(400)],
    ['removing what is not there', () => request(studio.app).delete(at('fr')).set('X-Lanakit', '1').expect(404)],
    ['a text of another form', () => put('de', 0, { format: 'lanakit-translation' }).expect(400)],
  ])('%s is refused', async (_what, ask) => {
    await ask();
  });
}); // prettier-ignore
