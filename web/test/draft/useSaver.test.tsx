import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import { useSaver, type Savable } from '../../src/draft/useSaver.ts';
import { conflictWith, FakeServer } from '../support/fakeServer.ts';
import { hookInStudio } from '../support/inStudio.tsx';

interface Note {
  readonly text: string;
}

const savable: Savable<Note> = {
  path: '/notes/n',
  check: ({ text }) => (text === '' ? [{ code: 'title_empty', pointer: '/text' }] : []),
  isSame: (a, b) => a.text === b.text,
  readStored: (stored) => stored as { version: number; document: Note },
  touches: ['/bench'],
};
const at = (version: number, text: string) => ({ version, document: { text } });

let server: FakeServer;
beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  sessionStorage.clear();
  server = new FakeServer();
});
afterEach(() => {
  jest.restoreAllMocks();
  cleanup();
  server.close();
  jest.useRealTimers();
});

const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const answered = async (...answer: Parameters<FakeServer['answer']>) => {
  server.answer(...answer);
  await pass(0);
};

function open(stored = at(3, 'as stored'), more: Partial<Savable<Note>> = {}) {
  const hook = hookInStudio(() => useSaver(stored, { ...savable, ...more }), undefined);
  return {
    now: () => hook.result.current,
    types: (text: string) => act(() => hook.result.current.saver.current?.changed({ text })),
    close: () => hook.unmount(),
    state: () => hook.result.current.saveState.kind,
  };
}

/** What the browser keeps of what was typed, over a closed tab. */
const kept = (): string[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith('lanakit.draft.'))
    .map((key) => (JSON.parse(localStorage.getItem(key) ?? 'null') as { document: Note }).document.text);

describe('what is typed', () => {
  test('is kept in the browser at once, sent when the hand rests, and let go when it is saved', async () => {
    const { types, state } = open();
    types('a');
    types('ab');
    expect(state()).toBe('unsaved');
    await pass(150);
    expect(kept()).toEqual(['ab']);
    expect(server.writes).toEqual([]);
    await pass(500);
    expect(server.writes).toEqual([
      expect.objectContaining({ method: 'PUT', path: '/notes/n', version: 3, body: { text: 'ab' } }),
    ]);
    await answered({ status: 200, body: { version: 4 } });
    expect(state()).toBe('saved');
    expect(kept()).toEqual([]);
  });
  test.each([
    ['the server does not answer', 'unreachable' as const, 'kept-here'],
    [
      'the server is ill',
      { status: 500, body: { code: 'internal', status: 500, title: 'Ill.' } },
      'kept-here',
    ],
    [
      'the server refuses it',
      { status: 422, body: { code: 'content_invalid', status: 422, title: 'No.' } },
      'refused',
    ],
    ['it was changed elsewhere', conflictWith(at(9, 'theirs')), 'conflict'],
  ])('%s: it is said, and kept', async (_name, answer, expected) => {
    const { types, state } = open();
    types('mine');
    await pass(600);
    await answered(answer);
    expect(state()).toBe(expected);
    expect(kept()).toEqual(['mine']);
  });
  test('the same change made elsewhere is no conflict', async () => {
    const { types, state } = open();
    types('both');
    await pass(600);
    await answered(conflictWith(at(9, 'both')));
    expect(state()).toBe('saved');
  });
  test('tried again by itself when the server is back', async () => {
    const { types, state } = open();
    types('mine');
    await pass(600);
    await answered('unreachable');
    await pass(3100);
    expect(server.writes).toHaveLength(2);
    await answered({ status: 200, body: { version: 4 } });
    expect(state()).toBe('saved');
  });
  test('what may not be stored waits for its mending', async () => {
    const { types, state } = open();
    types('');
    await pass(4000);
    expect(server.writes).toEqual([]);
    expect(state()).toBe('refused');
    expect(kept()).toEqual(['']);
  });
});

describe('left', () => {
  test('the page goes: what waits is sent so that it outlives the page', async () => {
    const { types } = open();
    types('mine');
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(server.writes).toEqual([expect.objectContaining({ keepalive: true, body: { text: 'mine' } })]);
    expect(kept()).toEqual(['mine']);
    await pass(0);
  });
  test('too long for that it is kept here, and sent as it can be', () => {
    const { types } = open();
    const long = 'x'.repeat(70_000);
    types(long);
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(server.writes[0]).toMatchObject({ keepalive: false });
    expect(kept()).toEqual([long]);
  });
  test('another place in the application: sent at once', () => {
    const { types, close } = open();
    types('mine');
    close();
    expect(server.writes).toEqual([expect.objectContaining({ body: { text: 'mine' } })]);
  });
  test('nothing typed, nothing sent', () => {
    open().close();
    expect(server.writes).toEqual([]);
  });
  test('where the browser has no room the browser asks first', async () => {
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('full');
    });
    const { types } = open();
    types('mine');
    await pass(150);
    const leaving = new Event('beforeunload', { cancelable: true });
    act(() => void window.dispatchEvent(leaving));
    expect(leaving.defaultPrevented).toBe(true);
  });
  test('where the browser forbids it altogether, a document still opens and is saved', async () => {
    const forbidden = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError');
    };
    for (const name of ['setItem', 'getItem', 'removeItem'] as const)
      jest.spyOn(Storage.prototype, name).mockImplementation(forbidden);
    const { types, now, state } = open();
    expect(now().opening.document).toEqual({ text: 'as stored' });
    types('mine');
    await pass(600);
    await answered({ status: 200, body: { version: 4 } });
    expect(state()).toBe('saved');
  });
  test('where it has, it does not', async () => {
    const { types } = open();
    types('mine');
    await pass(150);
    const leaving = new Event('beforeunload', { cancelable: true });
    act(() => void window.dispatchEvent(leaving));
    expect(leaving.defaultPrevented).toBe(false);
  });
});

describe('opened again', () => {
  async function left(text: string) {
    const { types, close } = open();
    server.reply = () => 'unreachable';
    types(text);
    await pass(150);
    close();
    await pass(10);
    server.reply = ({ method }) => (method === 'GET' ? { status: 200, body: { items: [] } } : undefined);
  }
  test('what was never sent is gone on from, and sent', async () => {
    await left('mine');
    const { now } = open();
    expect(now().opening).toEqual({ document: { text: 'mine' }, state: { kind: 'unsaved' } });
    await pass(600);
    expect(server.writes.at(-1)).toMatchObject({ version: 3, body: { text: 'mine' } });
  });
  test('changed elsewhere meanwhile: both are there, and nothing is sent until she decides', async () => {
    await left('mine');
    const before = server.writes.length;
    const { now, state } = open(at(5, 'theirs'));
    expect(now().opening.document).toEqual({ text: 'mine' });
    expect(state()).toBe('conflict');
    await pass(5000);
    expect(server.writes).toHaveLength(before);
    expect(kept()).toEqual(['mine']);
  });
  test('it had reached the server after all: nothing is left to do', async () => {
    await left('mine');
    const { now } = open(at(4, 'mine'));
    expect(now().opening).toEqual({ document: { text: 'mine' }, state: { kind: 'saved', atMs: null } });
    expect(kept()).toEqual([]);
  });
  test('a copy kept by an earlier Lanakit is read in the form of today', async () => {
    await left('old form');
    const { now } = open(undefined, { readKept: ({ text }) => ({ text: `${text}, read anew` }) });
    expect(now().opening.document).toEqual({ text: 'old form, read anew' });
  });
});
