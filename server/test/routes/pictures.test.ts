import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { OWN_RIGHTS } from '@lanakit/core/pattern';
import fc from 'fast-check';
import sharp from 'sharp';
import { request } from '../support/request.ts';
import { sanitizeDrawing } from '../../src/services/readPicture.ts';
import { bytesOf as bytesFrom, photo, told, upload as uploadTo } from '../support/files.ts';
import { addPattern, ballPattern, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeEach(() => {
  studio = openStudio();
});
afterEach(() => studio.close());

const upload = (path: string, bytes: Buffer) => uploadTo(studio, path, bytes);
const bytesOf = (path: string) => bytesFrom(studio, path);

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
