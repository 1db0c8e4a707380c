import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { networkInterfaces } from 'node:os';
import supertest from 'supertest';
import { hostNames, isLoopback } from '../../src/http/hostNames.ts';
import {
  addFibre,
  addPattern,
  ballPattern,
  openStudio,
  publish,
  runInput,
  type Studio,
} from '../support/studio.ts';

describe('the names a studio answers to', () => {
  test.each([
    ['127.0.0.1', true], ['127.0.0.2', true], ['127.255.0.9', true], ['::1', true], ['localhost', true],
    ['0.0.0.0', false], ['192.168.1.7', false], ['::', false], ['127.0.0.1.example', false], ['1127.0.0.1', false],
  ])('%s is loopback: %s', (host, is) => {
    expect(isLoopback(host)).toBe(is);
  }); // prettier-ignore
  test('bound to one address: that one, and those of the machine itself', () => {
    expect(hostNames('127.0.0.2')).toEqual(new Set(['localhost', '127.0.0.1', '[::1]', '127.0.0.2']));
    expect(hostNames('fd00::7').has('[fd00::7]')).toBe(true);
  });
  test('bound to all of them: every address it has, and what its owner calls it', () => {
    const names = hostNames('0.0.0.0', [' Studio.Home ', '']);
    const addresses = Object.values(networkInterfaces()).flatMap((all) =>
      (all ?? []).map(({ address }) => address),
    );
    for (const address of addresses)
      expect(names.has(address.includes(':') ? `[${address}]` : address)).toBe(true);
    expect(names.has('studio.home')).toBe(true);
    expect(names.has('')).toBe(false);
    expect(names.has('felting.example')).toBe(false);
  });
});

describe('who may write', () => {
  let studio: Studio;
  let id: string;
  beforeEach(async () => {
    studio = openStudio();
    const revisionId = await publish(
      studio,
      await addPattern(studio, ballPattern((await addFibre(studio, {}, 250)).id)),
    );
    id = ((await supertest(studio.app).post('/api/runs').send(runInput(revisionId))).body as { id: string })
      .id;
  });
  afterEach(() => studio.close());
  const asked = (headers: Readonly<Record<string, string>>, body?: object) => {
    const post = supertest(studio.app).post(body ? '/api/patterns' : `/api/runs/${id}/copy`).set('Host', '127.0.0.1:4310').set(headers);
    return body ? post.send(body) : post;
  }; // prettier-ignore
  const codeOf = async (answer: ReturnType<typeof asked>) =>
    ((await answer).body as { code?: string }).code ?? 'done';

  test.each<[who: string, headers: Readonly<Record<string, string>>, code: string]>([
    ['our page', { Origin: 'http://127.0.0.1:4310', 'X-Lanakit': '1' }, 'done'],
    ['a program with our header', { 'X-Lanakit': '1' }, 'done'],
    ['a form of another page', { Origin: 'http://felting.example' }, 'foreign_request'],
    ['a form of another page, to a plain name no site is told of', { Origin: 'http://felting.example', 'Sec-Fetch-Site': 'none' }, 'foreign_request'],
    ['a page from a file', { Origin: 'null', 'X-Lanakit': '1' }, 'foreign_request'],
    ['the same name at another port', { Origin: 'http://127.0.0.1:9999', 'X-Lanakit': '1' }, 'foreign_request'],
    ['the same place by another way', { Origin: 'ftp://127.0.0.1:4310', 'X-Lanakit': '1' }, 'foreign_request'],
    ['what is no address', { Origin: 'here', 'X-Lanakit': '1' }, 'foreign_request'],
    ['nobody says who', {}, 'header_missing'],
    ['a form by its type', { 'Content-Type': 'application/x-www-form-urlencoded' }, 'header_missing'],
  ])('%s', async (_who, headers, code) => {
    expect(await codeOf(asked(headers))).toBe(code);
  }); // prettier-ignore
  test('JSON asks before it is sent from elsewhere: it needs no header, and its page is looked at all the same', async () => {
    expect(await codeOf(asked({}, ballPattern(null)))).toBe('done');
    expect(await codeOf(asked({ Origin: 'http://felting.example' }, ballPattern(null)))).toBe(
      'foreign_request',
    );
  });
  test('what was refused did nothing', async () => {
    const count = async () => ((await supertest(studio.app).get('/api/runs')).body as { items: unknown[] }).items.length; // prettier-ignore
    const before = await count();
    await asked({ Origin: 'http://felting.example' });
    await asked({});
    expect(await count()).toBe(before);
  });
  test.each(['felting.example', 'localhost.felting.example', '127.0.0.2', ''])('read under the name “%s” nothing is told', async (name) => {
    const answer = await supertest(studio.app).get('/api/runs').set('Host', name === '' ? ' ' : `${name}:4310`);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(JSON.stringify(answer.body)).not.toContain('items');
  }); // prettier-ignore
});
