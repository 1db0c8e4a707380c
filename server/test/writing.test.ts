import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import {
  BLANK_FIBRE,
  blankPart,
  blankPattern,
  BLANK_STEP,
  blankTechniqueStep,
  blankUse,
  byGauge,
  type Fibre,
  type Mapping,
  OWN_RIGHTS,
  type Pattern,
  type PatternFile,
  SCHOOL_DEFAULTS,
  type Step,
  type StoredPattern,
  type TechniqueInput,
} from '@lanakit/core';
import { strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import sharp from 'sharp';
import request from 'supertest';
import { sanitizeDrawing } from '../src/pictures.ts';
import { addFibre, addPattern, ballPattern, openStudio, type Studio } from './support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const upload = (path: string, bytes: Buffer) =>
  request(studio.app).post(`/api${path}`).set('Content-Type', 'application/octet-stream').send(bytes);
const bytesOf = (path: string) =>
  request(studio.app)
    .get(`/api${path}`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    });
/** Whatever these answers may say; a test asks only for what its own does. */
interface Told {
  readonly id: string;
  readonly mime: string;
  readonly code: string;
  readonly version: number;
  readonly steps: readonly { readonly text: string }[];
  readonly items: readonly unknown[];
  readonly errors: readonly unknown[];
  readonly unfinished: readonly unknown[];
}
const told = ({ body }: { readonly body: unknown }): Told => body as Told;

const photo = (width = 40, height = 20) =>
  sharp({ create: { width, height, channels: 3, background: '#a9b04a' } });

describe('pictures', () => {
  test('are turned upright and lose where they were taken', async () => {
    const taken = await photo(60, 30)
      .withExif({ IFD0: { Artist: 'somebody' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(taken).metadata()).exif).toBeDefined();
    const body = told(await upload('/pictures', taken).expect(201));
    expect(body).toMatchObject({ mime: 'image/jpeg', width: 30, height: 60 });
    const kept = await bytesOf(`/pictures/${body.id}`).expect(200).expect('Content-Type', 'image/jpeg');
    const metadata = await sharp(kept.body as Buffer).metadata();
    expect([metadata.exif, metadata.orientation, metadata.width]).toEqual([undefined, undefined, 30]);
  });
  test('are kept in two sizes, once however often they come', async () => {
    const bytes = await photo(2000, 1000).png().toBuffer();
    const body = told(await upload('/pictures', bytes).expect(201));
    expect(told(await upload('/pictures', bytes).expect(201)).id).toBe(body.id);
    const widths = await Promise.all(
      ['', '?size=small'].map(async (query) => {
        const kept = await bytesOf(`/pictures/${body.id}${query}`);
        return (await sharp(kept.body as Buffer).metadata()).width;
      }),
    );
    expect(widths).toEqual([1600, 480]);
  });
  test('are read by what is in them, not by their name', async () => {
    for (const format of ['jpeg', 'png', 'webp'] as const) {
      const body = told(
        await upload(
          '/pictures',
          await photo(20 + format.length, 20)
            .toFormat(format)
            .toBuffer(),
        ).expect(201),
      );
      expect(body.mime).toBe(`image/${format}`);
    }
  });
  test.each([
    ['a text', Buffer.from('this is not a picture'), 415, 'picture_not_read'],
    ['nothing', Buffer.alloc(0), 415, 'picture_not_read'],
    ['a page that says it is one', Buffer.from('<html><svg></svg></html>'), 415, 'picture_not_read'],
    ['a drawing that is only a script', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'), 422, 'drawing_unsafe'],
  ])('%s is refused', async (_name, bytes, status, code) => {
    expect(told(await upload('/pictures', bytes).expect(status)).code).toBe(code);
    expect(studio.db.prepare('SELECT count(*) AS n FROM picture').get()).toEqual({ n: 0 });
  }); // prettier-ignore
  test('one cut short, and one too large to open, are refused', async () => {
    const whole = await photo(400, 400).jpeg().toBuffer();
    await upload('/pictures', whole.subarray(0, 200)).expect(415);
    const huge = await sharp({ create: { width: 7000, height: 6000, channels: 3, background: '#000' }, limitInputPixels: false }).png({ compressionLevel: 1 }).toBuffer();
    expect(told(await upload('/pictures', huge).expect(413)).code).toBe('picture_too_large');
  }); // prettier-ignore
  test('drawings keep their lines and lose whatever runs, links or fetches', () => {
    const hostile = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9" onload="alert(1)">
      <script>alert(2)</script><style>@import url(http://x)</style>
      <a href="javascript:alert(3)"><path d="M0 0h9" onclick="alert(4)" style="fill:url(http://x)"/></a>
      <foreignObject><body><img src="x" onerror="alert(5)"/></body></foreignObject>
      <image href="http://x/y.png"/><use href="http://x#y"/><rect fill="url(http://x)" width="4" height="4"/>
      <circle r="2" fill="url(#own)" stroke="red"/><animate attributeName="href" to="javascript:1"/></svg>`;
    const clean = sanitizeDrawing(hostile);
    expect(clean).toContain('<circle');
    expect(clean).toContain('fill="url(#own)"');
    expect(clean).toContain('viewBox="0 0 9 9"');
    expect(clean).not.toMatch(/script|alert|onload|onclick|href|http:\/\/x|style|foreign|image|animate/i);
  });
  test('no drawing gets anything that runs past the door', () => {
    const piece = fc.constantFrom('<svg>', '</svg>', '<g ', 'on', 'load=', '"alert(1)"', '<script>', '</script>', '<path d="M0 0"/>', "javascript:", 'href=', '<![CDATA[', ']]>', '<!--', '-->', '&lt;script&gt;', '<svg/onload=alert(1)>', ' '); // prettier-ignore
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 14 }), (pieces) => {
        const clean = sanitizeDrawing(pieces.join(''));
        expect(clean).not.toMatch(/<script|<[^>]*\son\w+\s*=|<[^>]*href/i);
      }),
    );
  });
  test('are shown as pictures and nothing else', async () => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><path d="M0 0h9"/></svg>';
    const body = told(await upload('/pictures', Buffer.from(svg)).expect(201));
    await request(studio.app)
      .get(`/api/pictures/${body.id}`)
      .expect('Content-Security-Policy', /default-src 'none'.*sandbox/)
      .expect('X-Content-Type-Options', 'nosniff');
    await request(studio.app).get(`/api/pictures/${body.id}?size=huge`).expect(400);
    await request(studio.app).get('/api/pictures/nobody').expect(404);
  });
  test('that nothing uses any more are swept, and those in use stay', async () => {
    const kept = told(await upload('/pictures', await photo(11).png().toBuffer())).id;
    await upload('/pictures', await photo(12).png().toBuffer());
    await addPattern(studio, {
      ...ballPattern(null),
      pictures: [{ id: kept, name: '', alt: '', rights: OWN_RIGHTS }],
    });
    expect(studio.deps.store.pictures.sweep('2020-01-01')).toBe(0);
    expect(studio.deps.store.pictures.sweep('2099-01-01')).toBe(1);
    await request(studio.app).get(`/api/pictures/${kept}`).expect(200);
  });
});

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
    const own: Pattern = {
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
    const stored = await addPattern(studio, own);
    const zip = await fileOf(stored.id, 'zip');
    expect(Object.keys(unzipSync(zip)).sort()).toEqual([
      'pattern.json',
      'pattern.md',
      `pictures/${picture}.png`,
    ]);
    const again = await takeIn(await readFile(zip));
    expect(again.document).toEqual(own);
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
    const fibres = document.parts[0]?.uses.map((use) => use.role !== 'insert' && use.fibreId);
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
        const own: Pattern = {
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
        const { id } = await addPattern(studio, own);
        for (const as of ['json', 'zip'])
          expect((await takeIn(await readFile(await fileOf(id, as)))).document).toEqual(own);
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
      formatVersion: 7,
      level: 'practised',
      steps: [{ act: { kind: 'wrap' }, needle: { by: 'gauge', gauge: 38, profile: null }, minutes: 4 }],
    });
    const newer = await upload(
      '/pattern-files',
      Buffer.from(JSON.stringify({ ...second, formatVersion: 9 })),
    ).expect(422);
    expect(newer.body).toMatchObject({ code: 'file_newer', version: 9, newest: 7 });
  });
  test('Markdown goes out and comes in with its title, its stages and its steps', async () => {
    const own: Pattern = {
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
    const { id } = await addPattern(studio, own);
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

describe('techniques', () => {
  const input: TechniqueInput = {
    name: 'Limb',
    about: '',
    parameters: [],
    steps: [{ ...blankTechniqueStep(), text: 'Roll' }],
    rights: OWN_RIGHTS,
  };
  test('every change is a version, and the old ones stay', async () => {
    const body = told(await request(studio.app).post('/api/techniques').send(input).expect(201));
    const path = `/api/techniques/${body.id}`;
    const next = { ...input, steps: [{ ...blankTechniqueStep(), text: 'Roll tight' }] };
    expect(
      told(await request(studio.app).put(path).set('If-Match', '"1"').send(next).expect(200)).version,
    ).toBe(2);
    await request(studio.app).put(path).set('If-Match', '"1"').send(next).expect(409);
    expect(told(await request(studio.app).get(`${path}/versions/1`).expect(200)).steps[0]?.text).toBe('Roll');
    await request(studio.app).get(`${path}/versions/3`).expect(404);
    expect(() => studio.db.prepare(`UPDATE technique_version SET document = '{}'`).run()).toThrow(
      /cannot be changed/,
    );
  });
  test('tells who uses it and in which version; put away, it is offered no more', async () => {
    const body = told(await request(studio.app).post('/api/techniques').send(input).expect(201));
    const use = {
      id: 'u',
      techniqueId: body.id,
      name: 'Limb',
      version: 1,
      partIds: [],
      values: [],
      rights: OWN_RIGHTS,
    };
    const pattern = await addPattern(studio, { ...ballPattern(null), techniques: [use] });
    const uses = told(await request(studio.app).get(`/api/techniques/${body.id}/uses`).expect(200)).items;
    expect(uses).toEqual([{ patternId: pattern.id, title: 'Ball', useId: 'u', version: 1 }]);
    await request(studio.app).delete(`/api/techniques/${body.id}`).expect(204);
    expect(told(await request(studio.app).get('/api/techniques')).items).toEqual([]);
    await request(studio.app).get(`/api/techniques/${body.id}/versions/1`).expect(200);
  });
  test('one that asks for what is not filled in is refused at its step', async () => {
    const body = told(
      await request(studio.app)
        .post('/api/techniques')
        .send({ ...input, steps: [{ ...blankTechniqueStep(), text: '{x}' }] })
        .expect(422),
    );
    expect(body.errors[0]).toMatchObject({ code: 'parameter_not_found', pointer: '/steps/0/text' });
  });
});

describe('patterns as a whole', () => {
  test('put away they are in no list but their own, and come back', async () => {
    const { id } = await addPattern(studio, ballPattern(null));
    const titles = async (query: string) =>
      told(await request(studio.app).get(`/api/patterns${query}`)).items.length;
    await request(studio.app).put(`/api/patterns/${id}/archived`).send({ archived: true }).expect(200);
    expect([await titles(''), await titles('?archived=true')]).toEqual([0, 1]);
    expect(told(await request(studio.app).get('/api/bench')).unfinished).toEqual([]);
    const body = told(
      await request(studio.app).put(`/api/patterns/${id}/archived`).send({ archived: false }).expect(200),
    );
    expect(body).toMatchObject({ archivedAt: null });
    expect([await titles(''), await titles('?archived=true')]).toEqual([1, 0]);
  });
  test('a revision keeps what it was published for', async () => {
    const fibre = await addFibre(studio);
    const { id } = await addPattern(studio, ballPattern(fibre.id));
    await request(studio.app)
      .post(`/api/patterns/${id}/revisions`)
      .set('If-Match', '"1"')
      .send({ note: 'rounder' })
      .expect(201);
    const { items } = told(await request(studio.app).get(`/api/patterns/${id}/revisions`).expect(200));
    expect(items).toMatchObject([{ number: 1, note: 'rounder' }]);
    expect(items[0]).not.toHaveProperty('document');
  });
  test('a fibre that only a colourway or a swap names is in use', async () => {
    const [coat, other] = [await addFibre(studio), await addFibre(studio, { name: 'Other' })];
    await addPattern(studio, {
      ...ballPattern(coat.id),
      slots: [{ id: 's', name: '', places: [{ kind: 'use', id: 'p1-core' }], rule: null }],
      colourways: [{ id: 'c', name: '', fills: [{ slotId: 's', fibreId: other.id }] }],
    });
    await request(studio.app).delete(`/api/fibres/${other.id}`).set('If-Match', '"1"').expect(409);
  });
});
