import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup } from '@testing-library/react';
import type { RunTicks } from '@lanakit/core/api';
import useSWR from 'swr';
import { get } from '../../src/api/client.ts';
import { Outbox } from '../../src/draft/outbox.ts';
import { useTicksHere } from '../../src/runs/unsentTicks.ts';
import { useTickActions } from '../../src/runs/useTickActions.ts';
import { useTrayActions } from '../../src/runs/useTrayActions.ts';
import { FakeServer } from '../support/fakeServer.ts';
import { hookInStudio, press, noticeText, settled } from '../support/inStudio.tsx';

let server: FakeServer;
let runs = 0;
/** A run no test before has asked for: what is shown of it comes from the server of this one. */
let runId: string;
beforeEach(() => {
  server = new FakeServer();
  runId = `run${++runs}`;
});
afterEach(() => {
  cleanup();
  server.close();
});

const answered = async (...answer: Parameters<FakeServer['answer']>) => {
  server.answer(...answer);
  await settled();
};

const tick = (mark: string, isDone: boolean) => ({ mark, isDone }) as unknown as RunTicks['items'][number];

async function weighing() {
  server.reply = ({ method, path }) =>
    method === 'GET' && path.endsWith('/ticks')
      ? { status: 200, body: { items: [tick('w|1', true)] } }
      : method === 'GET'
        ? { status: 200, body: { items: [] } }
        : undefined;
  const hook = hookInStudio(
    () => ({
      shown: useTicksHere(runId).items ?? null,
      unsent: useTicksHere(runId).unsent,
      send: useTickActions(runId),
    }),
    undefined,
  );
  await settled();
  return {
    shown: () => hook.result.current.shown,
    unsent: () => hook.result.current.unsent,
    closes: () => hook.unmount(),
    ticks: async (mark: string, isDone: boolean) => {
      act(() => void hook.result.current.send(tick(mark, isDone)));
      await settled();
    },
  };
}

describe('ticked off', () => {
  test('it is shown at once, before the server has it', async () => {
    const { shown, ticks } = await weighing();
    await ticks('w|2', true);
    expect(server.waiting).toBe(1);
    expect(shown()).toEqual([tick('w|1', true), tick('w|2', true)]);
  });
  test('a tick taken back stands in the place of the first', async () => {
    const { shown, ticks } = await weighing();
    await ticks('w|1', false);
    expect(shown()).toEqual([tick('w|1', false)]);
  });
  test('what another device did meanwhile comes with the answer', async () => {
    const { shown, ticks } = await weighing();
    await ticks('w|2', true);
    const items = [tick('w|1', true), tick('w|2', true), tick('w|9', true)];
    await answered({ status: 200, body: { items } });
    expect(shown()).toEqual(items);
  });
  test('each has a key of its own', async () => {
    const { ticks } = await weighing();
    await ticks('w|2', true);
    await ticks('w|3', true);
    // One after the other: the second waits for the first.
    expect(server.writes).toHaveLength(1);
    await answered({ status: 200, body: { items: [] } });
    const keys = server.writes.map(({ body }) => (body as { key: string }).key);
    expect(new Set(keys).size).toBe(2);
    expect(keys.every((key) => key.length === 16)).toBe(true);
  });
  test('not reached: it stays ticked here, is said to wait, and goes with the same key, so that it counts once', async () => {
    const { shown, ticks, unsent } = await weighing();
    await ticks('w|2', true);
    await answered('unreachable');
    expect(shown()).toEqual([tick('w|1', true), tick('w|2', true)]);
    expect(unsent()).toBe(1);
    expect(noticeText()).toMatch(/cannot be reached.*kept on this device/);
    await press('Try again');
    const [before, again] = server.writes.map(({ body }) => body);
    expect(again).toEqual(before);
    await answered({ status: 200, body: { items: [tick('w|2', true)] } });
    expect([shown(), unsent()]).toEqual([[tick('w|2', true)], 0]);
  });
  test('what waits outlives the page: the next one has it, and sends it in its order', async () => {
    const first = await weighing();
    await first.ticks('w|2', true);
    await first.ticks('w|2', false);
    await answered('unreachable');
    first.closes();
    const waiting = new Outbox<unknown>(`ticks/${runId}`).waiting.map(({ what }) => what);
    expect(waiting).toEqual([tick('w|2', true), tick('w|2', false)]);
    const second = await weighing();
    expect(server.writes).toHaveLength(2);
    expect(server.writes[1]?.body).toEqual(server.writes[0]?.body);
    await answered({ status: 200, body: { items: [] } });
    await answered({ status: 200, body: { items: [tick('w|2', false)] } });
    expect([second.shown(), second.unsent()]).toEqual([[tick('w|2', false)], 0]);
    expect(new Outbox(`ticks/${runId}`).waiting).toEqual([]);
  });
  test('refused: it is no longer shown as done, said, and not tried again', async () => {
    const { shown, ticks } = await weighing();
    await ticks('w|2', true);
    await answered({ status: 409, body: { code: 'run_done', status: 409, title: 'The class is over.' } });
    expect(shown()).toEqual([tick('w|1', true)]);
    expect(noticeText()).toBe('The class is over.');
    expect(document.body.textContent).not.toContain('Try again');
  });
});

describe('at the tray', () => {
  const tray = (out: number) => ({ piles: { out } });
  async function counting() {
    server.reply = ({ method, path }) =>
      method !== 'GET' ? undefined : { status: 200, body: path.endsWith('/tray') ? tray(3) : { items: [] } };
    const hook = hookInStudio(
      () => ({ shown: useSWR(`/runs/${runId}/tray`, get).data, actions: useTrayActions(runId) }),
      undefined,
    );
    await settled();
    return {
      shown: () => hook.result.current.shown,
      does: async (work: (actions: ReturnType<typeof useTrayActions>) => Promise<unknown>) => {
        let result: unknown;
        act(() => void work(hook.result.current.actions).then((value) => (result = value)));
        await settled();
        return () => result;
      },
    };
  }
  test('a needle that comes back is shown as the server counts it', async () => {
    const { shown, does } = await counting();
    await does(({ tap }) => tap('n36', 'in', 1));
    expect(server.writes[0]).toMatchObject({
      path: `/runs/${runId}/tray/taps`,
      body: { needleId: 'n36', pile: 'in', amount: 1 },
    });
    await answered({ status: 200, body: tray(2) });
    expect(shown()).toEqual(tray(2));
  });
  test('a tap that did not reach it is tried again with its key', async () => {
    const { does } = await counting();
    await does(({ tap }) => tap('n36', 'in', 1));
    await answered('unreachable');
    await press('Try again');
    expect(server.writes[1]?.body).toEqual(server.writes[0]?.body);
  });
  test('it waits on the device meanwhile, and a count is not closed over it', async () => {
    const { does } = await counting();
    await does(({ tap }) => tap('n36', 'in', 1));
    await answered('unreachable');
    expect(noticeText()).toMatch(/What is counted is kept on this device/);
    expect(new Outbox<{ pile: string }>(`taps/${runId}`).waiting.map(({ what }) => what.pile)).toEqual([
      'in',
    ]);
    await does(({ close }) => close());
    await answered('unreachable');
    expect(server.writes.every(({ path }) => path.endsWith('/taps'))).toBe(true);
    await does(({ close }) => close());
    await answered({ status: 200, body: tray(2) });
    expect(server.writes.at(-1)?.path).toBe(`/runs/${runId}/tray/close`);
    expect(new Outbox(`taps/${runId}`).waiting).toEqual([]);
  });
  test('a count that cannot be closed says which needle stands in its way', async () => {
    const { does } = await counting();
    await does(({ close }) => close());
    const errors = [{ code: 'needle_missing', pointer: '/tray', message: 'A 38 triangular is missing.' }];
    await answered({
      status: 422,
      body: { code: 'content_invalid', status: 422, title: 'Not closed.', errors },
    });
    expect(noticeText()).toBe('A 38 triangular is missing.');
  });
  test('what became of a missing needle: done, or why not', async () => {
    const { does } = await counting();
    const input = { needleId: 'n36', amount: 1, became: 'found' } as never;
    const done = await does(({ resolve }) => resolve(input));
    await answered({ status: 200, body: tray(3) });
    expect(done()).toBeNull();
    const refused = await does(({ resolve }) => resolve(input));
    await answered({
      status: 422,
      body: { code: 'content_invalid', status: 422, title: 'None is missing.' },
    });
    expect(refused()).toBe('None is missing.');
    expect(noticeText()).toBe('');
  });
});
