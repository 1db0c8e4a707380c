import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { SessionState } from '@lanakit/core/api';
import type { Express } from 'express';
import pino from 'pino';
import supertest from 'supertest';
import { createApp } from '../../src/createApp.ts';
import { hostNames } from '../../src/http/hostNames.ts';
import { studioDoor } from '../../src/http/studioDoor.ts';
import { ownerKey } from '../../src/access/passphrase.ts';
import { openStudio, type Studio } from '../support/studio.ts';

const PASSPHRASE = 'four green felted pears';

let studio: Studio;
let app: Express;
beforeEach(async () => {
  studio = openStudio();
  const owner = await ownerKey(PASSPHRASE, new Date(), 2 ** 10);
  app = createApp({
    ...studio.deps,
    log: pino({ level: 'silent' }),
    names: hostNames('127.0.0.1'),
    door: studioDoor({ owner }),
    webDir: null,
  });
});
afterEach(() => studio.close());

const logIn = (who: ReturnType<typeof supertest.agent>, passphrase = PASSPHRASE) =>
  who.post('/api/session').send({ passphrase });
const codeOf = (answer: { body: unknown }) => (answer.body as { code?: string }).code;

describe('a studio that is opened to its network', () => {
  test('that it is up, and that it asks who is there, is all it tells', async () => {
    await supertest(app).get('/api/health').expect(200);
    const { body } = (await supertest(app).get('/api/session')) as { body: SessionState };
    expect(body).toEqual({
      isOpened: true,
      isKnown: false,
      role: null,
      deviceName: null,
      seesNames: false,
      wrongTries: null,
    });
  });
  test.each(['/API/runs', '/api//runs', '/api/runs/', '/api/%72uns', '/./api/runs'])('%s is no way round', async (path) => {
    const answer = await supertest(app).get(path);
    expect(JSON.stringify(answer.body)).not.toContain('items');
    expect(answer.status).toBeGreaterThanOrEqual(400);
  }); // prettier-ignore
  test('by its passphrase everything is as it was, by a cookie no script reads and no other site sends', async () => {
    const owner = supertest.agent(app);
    const answer = await logIn(owner).expect(204);
    const [cookie = ''] = answer.get('Set-Cookie') ?? [];
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    await owner.get('/api/runs').expect(200);
    await supertest(app).get('/api/runs').expect(401);
    await owner.delete('/api/session').set('X-Lanakit', '1').expect(204);
    await owner.get('/api/runs').expect(401);
  });
  test('wrong ones are refused, slow down, and are told to its owner and to nobody else', async () => {
    const stranger = supertest.agent(app);
    for (let at = 0; at < 5; at++)
      expect(codeOf(await logIn(stranger, `pears ${at}`).expect(401))).toBe('passphrase_wrong');
    const slowed = await logIn(stranger, 'pears 6').expect(429);
    expect(codeOf(slowed)).toBe('tries_too_many');
    expect(Number(slowed.get('Retry-After'))).toBeGreaterThan(0);
    // Slowed down, the right one waits as well: nobody learns which it was.
    await logIn(stranger).expect(429);
  });
  test.each([[null], [{}], [{ passphrase: 7 }], [{ passphrase: ['a'] }], ['four green felted pears']])('%j opens nothing', async (body) => {
    const answer = await supertest(app).post('/api/session').set('Content-Type', 'application/json').send(JSON.stringify(body));
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.get('Set-Cookie')).toBeUndefined();
  }); // prettier-ignore
  test('a cookie that is made up, or of another name, opens nothing', async () => {
    for (const cookie of ['lanakit=', 'lanakit=x', 'other=1; lanakit=%00', `lanakit=${'a'.repeat(5000)}`]) {
      await supertest(app).get('/api/runs').set('Cookie', cookie).expect(401);
    }
  });
});

test('on loopback nobody is asked', async () => {
  const { body } = (await supertest(studio.app).get('/api/session').expect(200)) as { body: SessionState };
  expect(body).toMatchObject({ isOpened: false, isKnown: true, role: 'owner', wrongTries: null });
  await supertest(studio.app).get('/api/runs').expect(200);
});
