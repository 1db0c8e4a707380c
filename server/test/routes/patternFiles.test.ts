import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { StoredPattern } from '@lanakit/core/api';
import type { Mapping, PatternFile } from '@lanakit/core/files';
import {
  BLANK_STEP,
  blankPart,
  blankPattern,
  blankUse,
  OWN_RIGHTS,
  PATTERN_FORMAT,
  type Pattern,
  SCHOOL_DEFAULTS,
  type Step,
  isWool,
} from '@lanakit/core/pattern';
import { BLANK_FIBRE, byGauge, type Fibre } from '@lanakit/core/shelf';
import { strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import { request } from '../support/request.ts';

import { bytesOf as bytesFrom, photo, told, upload as uploadTo } from '../support/files.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const upload = (path: string, bytes: Buffer) => uploadTo(studio, path, bytes);
const bytesOf = (path: string) => bytesFrom(studio, path);

interface Read {
  readonly file: PatternFile;
  readonly mapping: Mapping[];
  readonly lostPictures: number;
}
const readFile = async (bytes: Buffer | string): Promise<Read> =>
  (await upload('/pattern-files', Buffer.from(bytes)).expect(200)).body as Read;
const takeIn = async ({ file, mapping }: Read): Promise<StoredPattern> => {
  const body = { file, mapping: mapping.map(({ kind, id, itemId }) => ({ kind, id, itemId })) };
  return (await request(studio.app).post('/api/pattern-files/taken').send(body).expect(201))
    .body as StoredPattern;
};
const fileOf = async (id: string, as: string) =>
  (await bytesOf(`/patterns/${id}/file?as=${as}`).expect(200)).body as Buffer;
describe('pattern files', () => {
  test('a ZIP brings everything back, its pictures too', async () => {
    const fibre = await addFibre(studio);
    const picture = told(await upload('/pictures', await photo().png().toBuffer())).id;
    const ownPattern: Pattern = {
      ...ballPattern(fibre.id),
      pictures: [{ id: picture, name: 'a ball', alt: '', rights: OWN_RIGHTS }],
      steps: [
        {
          ...BLANK_STEP,
          id: 's',
          text: 'Roll **tight**',
          pictures: [{ id: 'p', pictureId: picture, caption: 'so' }],
        },
      ],
    };
    const stored = await addPattern(studio, ownPattern);
    const zip = await fileOf(stored.id, 'zip');
    expect(Object.keys(unzipSync(zip)).sort()).toEqual([
      'pattern.json',
      'pattern.md',
      `pictures/${picture}.png`,
    ]);
    const again = await takeIn(await readFile(zip));
    expect(again.document).toEqual(ownPattern);
    expect(again.id).not.toBe(stored.id);
  });
  test('the same pattern makes the same archive', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    expect((await fileOf(id, 'zip')).equals(await fileOf(id, 'zip'))).toBe(true);
  });
  test('on another shelf what it relies on is the same, the nearest, or put there', async () => {
    const chalk = await addFibre(studio, { name: 'Chalk' });
    const moss = await addFibre(studio, { name: 'Moss', colour: '#6b7d36' });
    const odd = await addFibre(studio, {
      name: 'Odd',
      colour: '#ff00ff',
      pricePer100gMinor: 900,
      note: 'mine',
    });
    const uses = [chalk, moss, odd].map(({ id }, at) => ({
      ...blankUse(`u${at}`, at === 0 ? 'core' : 'coat', id),
    }));
    const pattern = { ...ballPattern(null), parts: [{ ...blankPart('p', 'Ball'), uses }] };
    const json = await fileOf((await addPattern(studio, pattern)).id, 'json');
    expect(json.toString()).not.toContain('mine');
    studio.close();
    studio = openStudio();
    await addFibre(studio, { name: 'chalk ' });
    const near = await addFibre(studio, { name: 'Olive', colour: '#6a7c37' });
    const read = await readFile(json);
    expect(read.mapping.map(({ name, match }) => [name, match])).toEqual([
      ['Chalk', 'same'],
      ['Moss', 'nearest'],
      ['Odd', 'none'],
    ]);
    const { document } = await takeIn(read);
    const fibres = document.parts[0]?.uses.map((use) => isWool(use) && use.fibreId);
    expect(fibres?.[1]).toBe(near.id);
    const put = (
      await request(studio.app)
        .get(`/api/fibres/${String(fibres?.[2])}`)
        .expect(200)
    ).body as Fibre;
    expect(put).toMatchObject({ name: 'Odd', colour: '#ff00ff', pricePer100gMinor: null, note: '' });
  });
  test('export and import give the same pattern, whatever is in it', async () => {
    const name = fc.string({ minLength: 1, maxLength: 20 }).filter((text) => text.trim() !== '');
    const generated = fc.record({
      title: name,
      step: fc.string({ unit: 'grapheme', maxLength: 80 }),
      count: fc.oneof(fc.integer({ min: 1, max: 9 }), fc.constant(null), fc.constant({ low: 2, high: 5 })),
      diameter: fc.double({ min: 1, max: 900, noNaN: true }),
      minutes: fc.oneof(fc.integer({ min: 0, max: 99 }), fc.constant(null), fc.constant({ low: 3, high: 8 })),
      kind: fc.constantFrom('make' as const, 'glue' as const, 'wait' as const),
      note: fc.string({ maxLength: 40 }),
      isExtra: fc.boolean(),
      needle: fc.constantFrom<Step['needle']>({ by: 'stage' }, { by: 'none' }, byGauge(40, 'spiral'), {
        by: 'feel',
        feel: 'small',
      }),
      school: fc.constantFrom(...Object.values(SCHOOL_DEFAULTS)),
    });
    await fc.assert(
      fc.asyncProperty(generated, async (drawn) => {
        const ownPattern: Pattern = {
          ...blankPattern(drawn.title),
          parts: [
            {
              ...blankPart('p', 'Ball'),
              count: drawn.count,
              hides: drawn.note,
              shape: { kind: 'ball', diameter: { value: drawn.diameter, unit: 'mm' } },
            },
          ],
          steps: [
            {
              ...BLANK_STEP,
              id: 's',
              text: drawn.step,
              partIds: ['p'],
              minutes: drawn.minutes,
              act: { kind: drawn.kind },
              cue: drawn.note,
              needle: drawn.needle,
            },
          ],
          school: drawn.school,
          options: drawn.isExtra
            ? [
                {
                  id: 'o',
                  name: drawn.note,
                  kind: 'extra',
                  defaultValueId: 'no',
                  values: [
                    { id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'p' }] },
                    { id: 'no', name: 'no', things: [] },
                  ],
                },
              ]
            : [],
          rights: { ...OWN_RIGHTS, credit: drawn.note },
        };
        const { id } = await addPattern(studio, ownPattern);
        for (const as of ['json', 'zip'])
          expect((await takeIn(await readFile(await fileOf(id, as)))).document).toEqual(ownPattern);
      }),
      { numRuns: 12 },
    );
  });
  test('older documents are brought forward, newer ones refused politely', async () => {
    const second = {
      format: 'lanakit-pattern',
      formatVersion: 2,
      title: 'Old',
      finishedHeight: null,
      level: 'practised',
      lengthUnit: 'mm',
      parts: [],
      joins: [],
      joinsApart: false,
      cuts: [],
      findings: [],
      shared: [],
      steps: [{ id: 's', text: 'Roll', partIds: [], stage: 'coat', needle: { gauge: 38 }, minutes: 4 }],
    };
    const { file } = await readFile(JSON.stringify(second));
    expect(file.pattern).toMatchObject({
      formatVersion: PATTERN_FORMAT,
      level: 'practised',
      steps: [{ act: { kind: 'wrap' }, needle: { by: 'gauge', gauge: 38, profile: null }, minutes: 4 }],
    });
    const newer = await upload(
      '/pattern-files',
      Buffer.from(JSON.stringify({ ...second, formatVersion: PATTERN_FORMAT + 1 })),
    ).expect(422);
    expect(newer.body).toMatchObject({
      code: 'file_newer',
      version: PATTERN_FORMAT + 1,
      newest: PATTERN_FORMAT,
    });
  });
  test('Markdown goes out and comes in with its title, its stages and its steps', async () => {
    const ownPattern: Pattern = {
      ...blankPattern('Pear & *two* leaves'),
      parts: [blankPart('p', 'Ball')],
      steps: [
        {
          ...BLANK_STEP,
          id: 'a',
          text: 'Roll it **tight**.',
          partIds: ['p'],
          minutes: 4,
          needle: { by: 'gauge', gauge: 38, profile: null },
          checks: [
            { id: 'c', look: 'the size', how: '', pass: 'it fits', remedy: 'more', returnToStepId: null },
          ],
        },
        {
          ...BLANK_STEP,
          id: 'b',
          text: 'Coat it.',
          stage: 'coat',
          act: { kind: 'wrap' },
          repeat: { times: 2, notes: ['left'] },
        },
      ],
    };
    const { id } = await addPattern(studio, ownPattern);
    const markdown = (await fileOf(id, 'markdown')).toString();
    expect(markdown).toContain('# Pear & \\*two\\* leaves');
    expect(markdown).toContain('1. Roll it **tight**.');
    expect(markdown).toContain('- [ ] left');
    expect(markdown).toContain('**Check:** the size **Right when:** it fits **If not:** more');
    const { file } = await readFile(markdown);
    expect(file.pattern.steps.map(({ text, stage, checks }) => [text, stage, checks.length])).toEqual([
      ['Roll it **tight**.', 'core', 1],
      ['Coat it.', 'coat', 0],
    ]);
    expect(file.pattern.parts.map(({ name }) => name)).toEqual(['Ball']);
  });
  test.each([
    ['bytes that are no text', Buffer.from([0xff, 0xfe, 0x00, 0x81]), 'not text'],
    ['a nought among letters', Buffer.from('a\0b'), 'not text'],
    ['nothing', Buffer.alloc(0), 'no text'],
    ['only blanks', Buffer.from(' \n\t'), 'no text'],
  ])('%s is told as what it is', async (_name, bytes, reason) => {
    const answer = await upload('/pattern-files', bytes).expect(422);
    expect(answer.body).toMatchObject({ code: 'file_not_read', reason });
  });
  const zip = (entries: Record<string, Uint8Array>) => Buffer.from(zipSync(entries));
  const pattern = strToU8(JSON.stringify(blankPattern('x')));
  test.each<[name: string, bytes: Buffer, status: number, code: string]>([
    ['a path that leaves the archive', zip({ 'pattern.json': pattern, '../../etc/passwd': strToU8('x') }), 422, 'archive_unsafe'],
    ['a path from the root', zip({ 'pattern.json': pattern, '/etc/passwd': strToU8('x') }), 422, 'archive_unsafe'],
    ['a bomb', zip({ 'pattern.json': pattern, 'pictures/a.png': new Uint8Array(60_000_000) }), 422, 'archive_unsafe'],
    ['too many files', zip(Object.fromEntries(Array.from({ length: 500 }, (_, at) => [`${at}.txt`, strToU8('x')]))), 422, 'archive_unsafe'],
    ['a ZIP without a pattern', zip({ 'other.json': pattern }), 422, 'file_not_read'],
    ['a damaged ZIP', Buffer.concat([zip({ 'pattern.json': pattern }).subarray(0, 40), Buffer.from('xx')]), 422, 'file_not_read'],
    ['broken JSON', Buffer.from('{"format":'), 422, 'file_not_read'],
    ['JSON of something else', Buffer.from('{"format":"other"}'), 422, 'file_not_read'],
    ['a pattern that is not one', Buffer.from('{"format":"lanakit-pattern","formatVersion":3,"parts":[{}],"steps":[]}'), 422, 'file_not_read'],
    ['an old one that lacks what it promises', Buffer.from('{"format":"lanakit-pattern","formatVersion":1,"parts":[null],"steps":[]}'), 422, 'file_not_read'],
    ['bytes', Buffer.from([0xff, 0xfe, 0x00, 0x81]), 422, 'file_not_read'],
    ['nothing', Buffer.alloc(0), 422, 'file_not_read'],
  ])('%s is refused, and nothing is kept', async (_name, bytes, status, code) => {
    expect(told(await upload('/pattern-files', bytes).expect(status)).code).toBe(code);
    expect(studio.db.prepare('SELECT count(*) AS n FROM pattern').get()).toEqual({ n: 0 });
  }); // prettier-ignore
  test('an archive that lies about what it unpacks to is not unpacked past it', async () => {
    const honest = zip({ 'pattern.json': pattern, 'pictures/a.png': new Uint8Array(1_000_000) });
    // The size in the head of the entry and in the directory are both made small.
    const lying = Buffer.from(honest);
    for (
      let at = lying.indexOf(Buffer.from([0x40, 0x42, 0x0f, 0x00]));
      at >= 0;
      at = lying.indexOf(Buffer.from([0x40, 0x42, 0x0f, 0x00]), at + 4)
    )
      lying.writeUInt32LE(10, at);
    const answer = await upload('/pattern-files', lying);
    expect([answer.status, told(answer).code]).not.toEqual([500, 'internal']);
  });
  test('what is to be put on the shelf is checked like anything else, all or none', async () => {
    const read = await readFile(
      JSON.stringify({
        format: 'lanakit-pattern-file',
        formatVersion: 1,
        pattern: ballPattern('f'),
        shelf: { fibres: [{ id: 'f', is: { ...BLANK_FIBRE, name: '' } }], findings: [], needles: [] },
      }),
    );
    const body = { file: read.file, mapping: [{ kind: 'fibre', id: 'f', itemId: null }] };
    await request(studio.app).post('/api/pattern-files/taken').send(body).expect(422);
    expect(studio.db.prepare('SELECT count(*) AS n FROM item').get()).toEqual({ n: 0 });
  });
  test.each([
    ['as=xlsx', 400],
    ['as=json', 404],
  ])('%s of a pattern that is not there: %s', async (query, status) => {
    await request(studio.app)
      .get(
        `/api/patterns/${status === 404 ? 'gone' : (await addPattern(studio, ballPattern(null))).id}/file?${query}`,
      )
      .expect(status);
  });
});
