import { isKnownNow, useWhoComes } from '../../src/api/whoComes.ts';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { blankPattern } from '@lanakit/core/pattern';
import { readFileSync } from 'node:fs';
import { ApiProblem, Unreachable } from '../../src/api/client.ts';
import { perform, performAll, type Mutation } from '../../src/api/mutations/mutation.ts';
import * as patterns from '../../src/api/mutations/patterns.ts';
import * as runs from '../../src/api/mutations/runs.ts';
import * as shelf from '../../src/api/mutations/shelf.ts';

interface Sent {
  readonly path: string;
  readonly init: RequestInit;
}

/** A server that answers what the test lays before it, and remembers what came. */
let sent: Sent[] = [];
let answers: (() => Response)[] = [];
const realFetch = globalThis.fetch;
beforeEach(() => {
  sent = [];
  answers = [];
  globalThis.fetch = jest.fn<typeof fetch>((path, init) => {
    sent.push({ path: path as string, init: init ?? {} });
    const answer = answers.shift();
    return answer ? Promise.resolve(answer()) : Promise.reject(new TypeError('no route to host'));
  });
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const json =
  (body: unknown, status = 200) =>
  () =>
    Response.json(body, { status });
const touching = (path: string): Mutation<{ id: string }> => ({ method: 'POST', path, touches: ['/bench'] });

test('the version goes as If-Match, the body as JSON, below /api', async () => {
  answers = [json({ id: 'r1' }, 201)];
  await perform(patterns.publishRevision('p1', 7, 'softer ears'));
  expect(sent[0]?.path).toBe('/api/patterns/p1/revisions');
  expect(sent[0]?.init).toMatchObject({ method: 'POST', body: '{"note":"softer ears"}' });
  expect(sent[0]?.init.headers).toMatchObject({ 'Content-Type': 'application/json', 'If-Match': '"7"' });
});

test('what has no body and no version sends neither, and our header all the same', async () => {
  answers = [json({ id: 'c' }, 201)];
  await perform(runs.copyRun('a'));
  expect(sent[0]?.init.body).toBeUndefined();
  expect(Object.keys(sent[0]?.init.headers ?? {})).toEqual(['X-Lanakit', 'Idempotency-Key']);
});

const keysSent = () => sent.map(({ init }) => (init.headers as Record<string, string>)['Idempotency-Key']);

test('what makes something goes under a key; not answered, the same goes under the same again', async () => {
  const enter = () => perform(shelf.enterCounts([{ itemId: 'i', lotId: null, amount: 4 }]));
  await expect(enter()).rejects.toThrow(Unreachable);
  await expect(perform(shelf.enterCounts([{ itemId: 'i', lotId: null, amount: 5 }]))).rejects.toThrow();
  answers = [json({}, 200), json({}), json({})];
  await enter();
  const [first, other, again] = keysSent();
  expect(first).toMatch(/^[\w-]{21}$/);
  expect(again).toBe(first);
  expect(other).not.toBe(first);
});

test('answered, or refused, the next goes under a new one; what carries its own key needs none, nor what only changes', async () => {
  answers = [json({}), json({ code: 'x', status: 409, title: '' }, 409), json({}), json({}), json({})];
  const enter = () => perform(shelf.enterCounts([{ itemId: 'i', lotId: null, amount: 6 }]));
  await enter();
  await expect(enter()).rejects.toThrow(ApiProblem);
  await enter();
  await perform(runs.tickRun('r', 'k', { mark: 'm', isDone: true, massG: 1 }));
  await perform(shelf.saveItem('/fibres', 'i', 1, {}));
  const keys = keysSent();
  expect(new Set(keys.slice(0, 3)).size).toBe(3);
  expect(keys.slice(3)).toEqual([undefined, undefined]);
});

test('a file goes as it is', async () => {
  answers = [json({ id: 'picture' }, 201)];
  const file = new File(['P1'], 'ear.png');
  expect(await perform(patterns.keepPicture(file))).toEqual({ id: 'picture' });
  expect(sent[0]?.init.body).toBe(file);
});

describe('what follows at once', () => {
  test('comes with the answer, before the promise is over', async () => {
    answers = [json({ id: 'x' })];
    const order: string[] = [];
    const done = perform(touching('/things'), ({ id }) => order.push(`answer ${id}`));
    void done.then(() => order.push('over'));
    await done;
    await Promise.resolve();
    expect(order).toEqual(['answer x', 'over']);
  });
  test('does not come where it was refused', async () => {
    answers = [json({ code: 'in_use', status: 409, title: 'It is in use.' }, 409)];
    const follows = jest.fn();
    await expect(perform(shelf.deleteItem('/fibres', 'f', 1), follows)).rejects.toThrow('It is in use.');
    expect(follows).not.toHaveBeenCalled();
  });
});

describe('several', () => {
  test('are sent one after the other; their answers come together', async () => {
    answers = [json({ id: 'a' }), json({ id: 'b' })];
    const follows = jest.fn();
    await performAll([touching('/a'), touching('/b')], follows);
    expect(sent.map(({ path }) => path)).toEqual(['/api/a', '/api/b']);
    expect(follows.mock.calls).toEqual([[[{ id: 'a' }, { id: 'b' }]]]);
  });
  test('end at the first that is refused', async () => {
    answers = [json({ code: 'version_conflict', status: 409, title: 'Changed elsewhere.' }, 409)];
    const all = performAll([touching('/a'), touching('/b')]);
    await expect(all).rejects.toBeInstanceOf(ApiProblem);
    expect(sent).toHaveLength(1);
  });
  test('none at all is no write', async () => {
    expect(await performAll([])).toEqual([]);
    expect(sent).toEqual([]);
  });
});

test('a server that does not answer is told apart from one that refuses', async () => {
  await expect(perform(touching('/things'))).rejects.toBeInstanceOf(Unreachable);
});

describe('what is asked for again', () => {
  const source = readFileSync(new URL('../../src/api/queries.ts', import.meta.url), 'utf8');
  const keys = [...source.matchAll(/['`](\/[a-z-]+)/g)].map(([, key]) => key ?? '');
  const writes = [
    patterns.createPattern(blankPattern('Pear')),
    patterns.deletePattern('p', 1),
    patterns.deleteTechnique('t'),
    runs.replanRun('r', 1),
    runs.moveRun('r', 1, 'bought', false),
    runs.closeTray('r'),
    shelf.enterCounts([]),
    shelf.keepHandMeasure({ name: 'pinch', massG: 0.1, lowG: 0.08, highG: 0.12 }),
    shelf.takeBackList('i'),
  ];
  test.each(writes.map((write) => [`${write.method} ${write.path}`, write] as const))(
    'is something that is shown: %s',
    (_name, { touches }) => {
      const lost = touches.filter((prefix) => !keys.some((key) => key.startsWith(prefix.replace(/\/$/, ''))));
      expect(lost).toEqual([]);
    },
  );
});

test('a studio that does not know who is there keeps what was to be sent with whoever wrote it', async () => {
  answers = [json({ code: 'not_logged_in', status: 401, title: 'Say the passphrase' }, 401)];
  await expect(perform(runs.copyRun('a'))).rejects.toThrow(Unreachable);
  expect(useWhoComes.getState().isAsked).toBe(true);
  isKnownNow();
  expect(useWhoComes.getState().isAsked).toBe(false);
});
