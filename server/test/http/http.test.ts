import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { request } from '../support/request.ts';
import { allRoutes } from '../../src/createApp.ts';
import { simulatedDevices } from '../../src/devices/index.ts';
import { studioDoor } from '../../src/http/studioDoor.ts';
import { HTTP_PROBLEMS } from '../../src/http/problems.ts';
import { ballPattern, NOW, openStudio, type Studio } from '../support/studio.ts';

let studio: Studio;
beforeAll(() => {
  studio = openStudio();
});
afterAll(() => studio.close());

const code = (answer: { body: unknown }) => (answer.body as { code: string }).code;

describe('at the door', () => {
  test('broken JSON', async () => {
    const answer = await request(studio.app)
      .post('/api/patterns')
      .type('json')
      .send('{"title": ')
      .expect(400);
    expect(code(answer)).toBe('json_broken');
  });
  test('5 MB', async () => {
    const answer = await request(studio.app)
      .post('/api/patterns')
      .send({ ...ballPattern(null), title: 'x'.repeat(5_000_000) })
      .expect(413);
    expect(code(answer)).toBe('body_too_large');
  });
  test('not JSON at all', async () => {
    const answer = await request(studio.app).post('/api/patterns').type('text').send('pear').expect(415);
    expect(code(answer)).toBe('body_wrong_type');
  });
  test('a place there is not, and a way there is not', async () => {
    expect(code(await request(studio.app).get('/api/sheep').expect(404))).toBe('not_found');
    expect(code(await request(studio.app).delete('/api/runs').expect(405))).toBe('method_not_allowed');
    expect(code(await request(studio.app).get('/api/patterns/%E0%A4%A').expect(400))).toBe('query_invalid');
  });
  test('another name and another site', async () => {
    const named = await request(studio.app)
      .get('/api/fibres')
      .set('Host', 'felting.example:4310')
      .expect(403);
    expect(code(named)).toBe('foreign_request');
    const crossed = await request(studio.app)
      .post('/api/patterns')
      .set('Sec-Fetch-Site', 'cross-site')
      .send(ballPattern(null))
      .expect(403);
    expect(code(crossed)).toBe('foreign_request');
  });
  test('the page may fetch from nowhere else', async () => {
    const answer = await request(studio.app).get('/api/health').expect(200);
    expect(answer.headers['content-security-policy']).toContain("default-src 'self'");
    expect(answer.headers['content-security-policy']).not.toContain("'unsafe-eval'");
  });
});

test('the OpenAPI document and the routes list the same operations', async () => {
  const document = (await request(studio.app).get('/api/openapi.json').expect(200)).body as {
    paths: Record<string, Record<string, { responses: object }>>;
  };
  const documented = Object.entries(document.paths).flatMap(([path, item]) =>
    Object.keys(item).map((method) => `${method} ${path}`),
  );
  const routed = allRoutes(studio.servicesAt(NOW), studioDoor({ owner: null }), simulatedDevices()).map(
    ({ method, path }) => `${method} /api${path.replace(/:(\w+)/g, '{$1}')}`,
  );
  expect(documented.sort()).toEqual(routed.sort());
});

test('every problem code is in the handbook, and no other', () => {
  const handbook = readFileSync(new URL('../../../docs/problems.md', import.meta.url), 'utf8');
  const documented = [...handbook.matchAll(/^\| `(\w+)` +\|/gm)].map((match) => match[1] ?? '');
  expect(documented.sort()).toEqual(Object.keys(HTTP_PROBLEMS).sort());
});
