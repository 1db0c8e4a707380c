import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import type { NamedRun } from '@lanakit/core/api';
import { blankRecipe, type RunInput } from '@lanakit/core/run';
import { classOf } from '../../../core/test/support/coast.ts';
import { runInputOf, useRunDraft } from '../../src/runs/useRunDraft.ts';
import { conflictWith, FakeServer } from '../support/fakeServer.ts';
import { hookInStudio } from '../support/inStudio.tsx';

let server: FakeServer;
beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  sessionStorage.clear();
  server = new FakeServer();
});
afterEach(() => {
  cleanup();
  server.close();
  jest.useRealTimers();
});

/** A run as the server answers it: what was said of it, and what it adds. */
const stored = (more: Partial<RunInput> = {}, version = 3): NamedRun =>
  ({
    ...classOf({ name: 'Saturday pears', date: '2031-03-08', seats: 11, ...more }),
    id: 'r1',
    version,
    state: 'planned',
    patternTitle: 'Pear with two leaves',
    revisionNumber: 2,
    designs: [],
  }) as unknown as NamedRun;

const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const answered = async (...answer: Parameters<FakeServer['answer']>) => {
  server.answer(...answer);
  await pass(0);
};

function open(run = stored()) {
  const hook = hookInStudio(() => useRunDraft(run), undefined);
  const now = () => hook.result.current;
  return {
    now,
    change: (fields: Partial<RunInput>) => act(() => now().change(fields)),
    settling: () => {
      const seen: { settled: boolean | null } = { settled: null };
      act(
        () =>
          void now()
            .settle()
            .then((settled) => (seen.settled = settled)),
      );
      return seen;
    },
  };
}

describe('a run that is changed', () => {
  test('only what its maker may change is sent, from the version it was opened at', async () => {
    const { change } = open();
    change({ seats: 12 });
    await pass(600);
    expect(server.writes).toHaveLength(1);
    expect(server.writes[0]).toMatchObject({ method: 'PUT', path: '/runs/r1', version: 3 });
    expect(server.writes[0]?.body).toEqual(runInputOf(stored({ seats: 12 })));
    expect(server.writes[0]?.body).not.toHaveProperty('patternTitle');
  });
  test('several fields one after another are one write, the last of each', async () => {
    const { change, now } = open();
    change({ seats: 12 });
    change({ sparePacks: 2 });
    change({ seats: 13 });
    await pass(600);
    expect(server.writes.map(({ body }) => body)).toEqual([runInputOf(stored({ seats: 13, sparePacks: 2 }))]);
    expect(now().input).toMatchObject({ seats: 13, sparePacks: 2 });
  });
  test('two at one press are both there', async () => {
    const { now } = open();
    act(() => {
      now().change({ seats: 12 });
      now().change({ sparePacks: 2 });
    });
    expect(now().input).toMatchObject({ seats: 12, sparePacks: 2 });
    await pass(600);
    expect(server.writes[0]?.body).toMatchObject({ seats: 12, sparePacks: 2 });
  });
  test('of kits the boxes are counted from their sorts', () => {
    const { change, now } = open(stored({ kind: 'kits' }));
    const recipe = { ...blankRecipe('b', 'rev'), boxes: 7, spares: 2 };
    change({ recipes: [recipe, { ...recipe, id: 'c', boxes: 4, spares: 0 }] });
    expect(now().input).toMatchObject({ seats: 11, sparePacks: 2 });
  });
  test('what cannot be is not sent until it is mended', async () => {
    const { change, now } = open();
    change({ seats: 0 });
    await pass(2000);
    expect(server.writes).toEqual([]);
    expect(now().saveState.kind).toBe('refused');
    change({ seats: 9 });
    await pass(600);
    expect(server.writes).toHaveLength(1);
  });
});

describe('a sheet is made of what is stored', () => {
  test('nothing was changed: at once', async () => {
    const seen = open().settling();
    await pass(0);
    expect(seen.settled).toBe(true);
  });
  test('what was just typed goes first, without waiting for the hand to rest', async () => {
    const { change, settling } = open();
    change({ seats: 12 });
    const seen = settling();
    await pass(0);
    expect(server.writes).toHaveLength(1);
    await answered({ status: 200, body: { version: 4 } });
    expect(seen.settled).toBe(true);
  });
  test('pressed while it is on its way: it is waited for, and not refused', async () => {
    const { change, now, settling } = open();
    change({ seats: 12 });
    await pass(600);
    expect(now().saveState.kind).toBe('saving');
    const seen = settling();
    await pass(0);
    expect(seen.settled).toBeNull();
    await answered({ status: 200, body: { version: 4 } });
    expect(seen.settled).toBe(true);
    expect(now().version()).toBe(4);
  });
  test('the server is away: no sheet, and nothing lost', async () => {
    const { change, now, settling } = open();
    change({ seats: 12 });
    const seen = settling();
    await pass(0);
    await answered('unreachable');
    expect(seen.settled).toBe(false);
    expect(now().input.seats).toBe(12);
  });
});

describe('changed elsewhere meanwhile', () => {
  async function collide() {
    const opened = open();
    opened.change({ seats: 12 });
    await pass(600);
    await answered(conflictWith(stored({ seats: 8 }, 9)));
    return opened;
  }
  test('both are there, and no sheet is made of either', async () => {
    const { now, settling } = await collide();
    expect(now().saveState.kind).toBe('conflict');
    const seen = settling();
    await pass(0);
    expect(seen.settled).toBe(false);
    expect(server.writes).toHaveLength(1);
  });
  test('mine goes over theirs', async () => {
    const { now } = await collide();
    act(() => now().keepMine());
    await pass(0);
    expect(server.writes[1]).toMatchObject({ version: 9, body: { seats: 12 } });
  });
  test('theirs takes the place of mine', async () => {
    const { now } = await collide();
    act(() => now().takeTheirs());
    expect(now().input.seats).toBe(8);
    expect(now().version()).toBe(9);
    await pass(5000);
    expect(server.writes).toHaveLength(1);
  });
  test('what was done is taken back, one thing after another, and done again; each is saved', async () => {
    const { now, change } = open();
    expect(now().undoLabel).toBeNull();
    change({ seats: 12 });
    change({ date: '2031-03-15' });
    expect(now().undoLabel).toBe('the day');
    act(() => now().undo());
    expect(now().input).toMatchObject({ seats: 12, date: '2031-03-08' });
    expect(now().undoLabel).toBe('how many come');
    act(() => now().undo());
    expect(now().input).toMatchObject({ seats: 11, date: '2031-03-08' });
    act(() => now().undo());
    act(() => now().redo());
    expect(now().input.seats).toBe(12);
    await pass(600);
    expect(server.writes.at(-1)?.body).toEqual(runInputOf(stored({ seats: 12 })));
  });
  test('a name is taken back as a word; what changes nothing leaves no trace', () => {
    const { now, change } = open();
    for (const name of ['S', 'Su', 'Sun']) change({ name });
    change({ name: 'Sun' });
    act(() => now().undo());
    expect(now().input.name).toBe('Saturday pears');
    expect(now().undoLabel).toBeNull();
  });
  test('boxes are taken back with what they come to', () => {
    const recipe = { ...blankRecipe('b1', 'rev'), boxes: 4 };
    const { now, change } = open(stored({ kind: 'kits', recipes: [recipe], seats: 4 }));
    change({ recipes: [{ ...recipe, boxes: 9 }] });
    expect(now().input.seats).toBe(9);
    expect(now().undoLabel).toBe('the boxes');
    act(() => now().undo());
    expect(now().input).toMatchObject({ seats: 4, recipes: [{ boxes: 4 }] });
  });
});
