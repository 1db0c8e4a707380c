import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import pino from 'pino';
import sharp from 'sharp';
import { request } from '../support/request.ts';
import { hostNames } from '../../src/http/hostNames.ts';
import { createApp } from '../../src/createApp.ts';
import { ballPattern, openStudio, type Studio } from '../support/studio.ts';

/**
 * What brought the application to a stand, or made it blame itself for the client’s fault. Each is small to send; that it is
 * answered at all before the test is given up is the bound, and what it is answered with is what is asked.
 */
let studio: Studio;
let web: string;
let app: Studio['app'];
beforeAll(() => {
  studio = openStudio();
  web = mkdtempSync(join(tmpdir(), 'lanakit-web-'));
  mkdirSync(join(web, 'assets'));
  writeFileSync(join(web, 'index.html'), '<!doctype html><title>Lanakit</title>');
  writeFileSync(join(web, 'assets', 'a.js'), 'export {}\n');
  app = createApp({
    ...studio.deps,
    log: pino({ level: 'silent' }),
    names: hostNames('127.0.0.1'),
    webDir: web,
  });
});
afterAll(() => {
  studio.close();
  rmSync(web, { recursive: true, force: true });
});

interface Told {
  readonly code: string;
  readonly errors?: readonly { readonly pointer: string }[];
  readonly more?: number;
}
const told = (answer: { body: unknown }) => answer.body as Told;

describe('the request itself', () => {
  test.each([
    [
      'a part of a file that it has not',
      () => request(app).get('/assets/a.js').set('Range', 'bytes=900-'),
      416,
    ],
    ['a file that is no longer so', () => request(app).get('/assets/a.js').set('If-Match', '"x"'), 412],
    ['a nought in the address', () => request(app).get('/assets/%00'), 400],
    ['a way up', () => request(app).get('/assets/%2e%2e/%2e%2e/etc/passwd'), 400],
    ['a write to the interface', () => request(app).post('/'), 405],
    ['a write to a page of it', () => request(app).put('/patterns/x').send({}), 405],
    [
      'a body that is not what its coding says',
      () => request(app).post('/api/patterns').type('json').set('Content-Encoding', 'gzip').send('not gzip'),
      400,
    ],
    [
      'a body cut short within its coding',
      () =>
        request(app)
          .post('/api/patterns')
          .type('json')
          .set('Content-Encoding', 'gzip')
          .serialize((bytes: unknown) => bytes as string)
          .send(gzipSync(JSON.stringify(ballPattern(null))).subarray(0, 40)),
      400,
    ],
    [
      'a version that is none',
      () => request(app).put('/api/patterns/x').set('If-Match', 'W/"3"').send(ballPattern(null)),
      400,
    ],
    ['no such thing of the API', () => request(app).get('/api/nothing'), 404],
  ])('%s', async (_name, ask, status) => {
    const answer = await ask();
    expect(answer.status).toBe(status);
    expect(answer.type).toBe('application/problem+json');
    expect(told(answer).code).not.toBe('internal');
  });
});

const fields = (count: number) => Object.fromEntries(Array.from({ length: count }, (_, at) => [`f${at}`, 1]));
const noughts = (count: number) => Array.from({ length: count }, () => 0);
function nested(depth: number): unknown {
  let value: unknown = 0;
  for (let at = 0; at < depth; at++) value = [value];
  return value;
}

describe('documents of nothing but mistakes', () => {
  const post = (path: string, body: unknown) =>
    request(app)
      .post(`/api${path}`)
      .send(body as object);
  test.each([
    [
      'ten thousand counts that are none',
      '/stock/counts',
      { counts: Array.from({ length: 10_000 }, () => 0) },
    ],
    [
      'five thousand counts that are none',
      '/stock/counts',
      { counts: Array.from({ length: 5000 }, () => 0) },
    ],
    ['sixty thousand fields nobody knows', '/patterns', fields(60_000)],
    ['ten thousand fields nobody knows', '/patterns', fields(10_000)],
    [
      'two million noughts',
      '/imports',
      { fileName: '', creates: [], updates: [], counts: noughts(2_000_000) },
    ],
    ['a name of half a megabyte', '/patterns', { ['n'.repeat(500_000)]: 1 }],
    ['a thousand lists in lists', '/patterns', { title: nested(1000) }],
  ])('%s', async (_name, path, body) => {
    const answer = await post(path, body).expect(400);
    const { errors = [], code } = told(answer);
    expect(code).toBe('body_invalid');
    expect(errors.length).toBeGreaterThan(0);
    expect(errors.length).toBeLessThanOrEqual(100);
    expect(JSON.stringify(answer.body).length).toBeLessThan(50_000);
  });
  test('more values than any document has are too large, whatever they are', async () => {
    const answer = await post('/patterns', { parts: noughts(400_000) }).expect(413);
    expect(told(answer).code).toBe('body_too_large');
  });
  test('of more than are told it is said how many there are', async () => {
    const answer = await post('/patterns', fields(10_000)).expect(400);
    const { errors = [], more = 0 } = told(answer);
    // And what a pattern must have and this has not.
    expect(errors.length + more).toBeGreaterThanOrEqual(10_000);
  });
});

/** A PNG that says how large it is, and holds nothing. */
function pngHead(width: number, height: number): Buffer {
  const chunk = Buffer.alloc(25);
  chunk.writeUInt32BE(13, 0);
  chunk.write('IHDR', 4, 'latin1');
  chunk.writeUInt32BE(width, 8);
  chunk.writeUInt32BE(height, 12);
  chunk.set([1, 0, 0, 0, 0], 16);
  chunk.writeUInt32BE(crc32(chunk.subarray(4, 21)), 21);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk,
    Buffer.from([0, 0, 0, 0, 0x49, 0x44, 0x41, 0x54, 0x35, 0xaf, 0x06, 0x1e]),
  ]);
}

function crc32(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}

describe('pictures', () => {
  const bring = (bytes: Buffer | string) =>
    request(app).post('/api/pictures').type('application/octet-stream').send(Buffer.from(bytes));
  const strip = (width: number, height: number) => pngHead(width, height);
  const circle = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><circle r="3"/></svg>';
  test.each([
    ['twenty-eight comments and no drawing', '<!---->'.repeat(28), 415, 'picture_not_read'],
    ['five hundred comments and spaces', '<!-- --> '.repeat(500), 415, 'picture_not_read'],
    ['a comment that never ends', `<!--${'-'.repeat(4000)}`, 415, 'picture_not_read'],
    ['forty million wide, one high', strip(40_000_000, 1), 413, 'picture_too_large'],
    ['one wide, forty million high', strip(1, 40_000_000), 413, 'picture_too_large'],
    [
      'a hundred thousand shapes',
      circle.replace('<circle r="3"/>', '<path d="M0 0h1"/>'.repeat(100_000)),
      413,
      'drawing_too_large',
    ],
    [
      'a drawing of five megabytes',
      circle.replace('r="3"', `r="${'3'.repeat(5_000_000)}"`),
      413,
      'drawing_too_large',
    ],
  ])('%s', async (_name, bytes, status, code) => {
    const answer = await bring(bytes);
    expect([answer.status, told(answer).code]).toEqual([status, code]);
  });
  test('a drawing behind twenty-eight comments is one', () =>
    bring('<!---->'.repeat(28) + circle).expect(201));
  test('twenty pictures at once are all kept, one after another', async () => {
    const pictures = await Promise.all(
      Array.from({ length: 20 }, (_, at) =>
        sharp({ create: { width: 40 + at, height: 30, channels: 3, background: '#777' } })
          .png()
          .toBuffer(),
      ),
    );
    const answers = await Promise.all(pictures.map((picture) => bring(picture)));
    expect(answers.map(({ status }) => status)).toEqual(pictures.map(() => 201));
  });
});

describe('texts brought in as patterns', () => {
  const read = (text: string) =>
    request(app).post('/api/pattern-files').type('application/octet-stream').send(Buffer.from(text));
  test.each([
    ['twenty thousand spaces', `Roll a${' '.repeat(20_000)}b`],
    ['a million spaces', `1. Roll${' '.repeat(1_000_000)}it`],
    ['sixty thousand empty lines', `${'\n'.repeat(60_000)}1. Roll it`],
    ['sixty thousand lines of spaces', `${' \n'.repeat(60_000)}1. Roll it`],
    [
      'a check with spaces before its way back',
      `1. Roll\n**Check:** round${' '.repeat(20_000)}(back to step 1) x`,
    ],
    ['a piece of stars', `## Pieces\n- **1 ${'**: ; '.repeat(20_000)}\n\n1. Roll it`],
    ['a cut of signs', `## Cut to size\n- ${' ×1: '.repeat(20_000)}\n\n1. Roll it`],
    ['a heading of spaces', `#${' '.repeat(50_000)}\n1. Roll it`],
    ['lists in lists', `${'- '.repeat(50_000)}x`],
    ['a JSON of brackets', '['.repeat(100_000)],
    ['numbers without end', `1. Roll ${'9'.repeat(200_000)} g`],
  ])('%s', async (_name, text) => {
    const answer = await read(text);
    expect([200, 422]).toContain(answer.status);
    if (answer.status === 422) expect(['file_not_read', 'text_too_long']).toContain(told(answer).code);
  });
  test('of a text with more steps than a pattern has nothing is taken, and it is said', async () => {
    const answer = await read(Array.from({ length: 501 }, (_, at) => `${at + 1}. Roll`).join('\n'));
    expect(told(answer).code).toBe('text_too_long');
  });
});

describe('outlines', () => {
  const huge = (curves: number) =>
    `M0 0${Array.from({ length: curves }, (_, at) => `C${at}e6 9e6 -9e6 ${at}e6 ${at * 7}e5 9e6`).join('')}Z`;
  const cut = (path: string) => ({
    ...ballPattern(null),
    parts: ballPattern(null).parts.map((part) => ({
      ...part,
      shape: {
        kind: 'flat-outline' as const,
        length: { value: 100, unit: 'mm' as const },
        thickness: { value: 4, unit: 'mm' as const },
        path,
      },
    })),
  });
  test.each([
    ['forty huge curves', huge(40)],
    ['four hundred', huge(400)],
    ['points beyond all drawing', 'M0 0L1e300 0L1e300 1e300Z'],
    ['more points than are kept', `M0 0${'l1 1'.repeat(3000)}L0 9Z`],
  ])('%s are refused', async (_name, path) => {
    const answer = await request(app).post('/api/patterns').send(cut(path)).expect(422);
    expect(told(answer).errors?.[0]?.pointer).toBe('/parts/0/shape/path');
  });
  test('outlines that are too much together are refused before they are looked at', async () => {
    const zigzag = (seed: number) =>
      `M0 ${seed}${Array.from({ length: 950 }, (_, at) => `L${(at % 2) * 99} ${at + seed / 100}`).join('')}L-50 500Z`;
    const parts = Array.from({ length: 40 }, (_, at) => ({
      ...cut(zigzag(at)).parts[0],
      id: `p${at}`,
      uses: [],
    }));
    const answer = await request(app)
      .post('/api/patterns')
      .send({ ...ballPattern(null), parts })
      .expect(422);
    expect(told(answer).errors?.[0]).toMatchObject({ code: 'outlines_too_fine', pointer: '/parts' });
  });
});

test('options that exclude one another are told as such, however many stand before them', async () => {
  const option = (id: string, values: number) => ({
    id,
    name: id,
    kind: 'one-of',
    defaultValueId: null,
    values: Array.from({ length: values }, (_, at) => ({ id: `v${at}`, name: '', things: [] })),
  });
  const value = (optionId: string, valueId: string) => ({ optionId, valueId });
  const free = Array.from({ length: 22 }, (_, at) => option(`o${at}`, 12));
  const limits = ['v0', 'v1'].flatMap((a) =>
    ['v0', 'v1'].map((b) => ({
      id: `${a}${b}`,
      kind: 'not-with',
      a: value('x', a),
      b: value('y', b),
      reason: '',
    })),
  );
  const options = [...free, option('x', 2), option('y', 2)];
  const answer = await request(app)
    .post('/api/patterns')
    .send({ ...ballPattern(null), options, limits })
    .expect(422);
  expect(told(answer).errors).toMatchObject([{ code: 'options_exclude_all' }]);
  await request(app)
    .post('/api/patterns')
    .send({ ...ballPattern(null), options, limits: limits.slice(1) })
    .expect(201);
});
