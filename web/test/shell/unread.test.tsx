import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { SWRConfig } from 'swr';
import { useNeedles, useTicks, useTools } from '../../src/api/queries.ts';
import { tellsUnread } from '../../src/shell/unread.ts';
import { UnreadSlip } from '../../src/shell/UnreadSlip.tsx';
import { FakeServer } from '../support/fakeServer.ts';
import { press, settled } from '../support/inStudio.tsx';

let server: FakeServer;
beforeEach(() => {
  server = new FakeServer();
});
afterEach(() => {
  cleanup();
  server.close();
});

const BROKEN = { status: 500, body: { code: 'internal', status: 500, title: 'Something went wrong.' } };

function Page() {
  return [useNeedles(), useTools(), useTools(), useTicks('r1', false)].filter(({ data }) => data).length;
}

async function openPage() {
  const shown = render(
    <SWRConfig
      value={{
        provider: () => new Map(),
        dedupingInterval: 0,
        shouldRetryOnError: false,
        use: [tellsUnread],
      }}
    >
      <UnreadSlip />
      <Page />
    </SWRConfig>,
  );
  await settled();
  return shown;
}

const told = (): string | null => screen.queryByRole('status')?.textContent ?? null;

describe('what a page asked for and did not get', () => {
  test.each([
    ['everything comes', () => undefined, null],
    ['tools do not', (path: string) => (path === '/tools' ? BROKEN : undefined), 'tools'],
    ['nothing is said of what is weighed', (path: string) => (path.endsWith('/ticks') ? BROKEN : undefined), 'what is weighed and packed'],
    ['two do not', (path: string) => (path === '/tools' || path === '/needles' ? BROKEN : undefined), 'needles and tools'],
    ['a refusal is an answer', () => ({ status: 404, body: { code: 'not_found', status: 404, title: '' } }), null],
  ] as const)('%s', async (_name, answer, missing) => {
    const reads = server.reply;
    server.reply = (came) => answer(came.path) ?? reads(came);
    await openPage();
    if (missing === null) expect(told()).toBeNull();
    else expect(told()).toContain(`Not everything could be read. Numbers may be too small. Missing, or as before: ${missing}.`);
  }); // prettier-ignore

  test('a server that is gone is said to be gone', async () => {
    server.reply = () => 'unreachable';
    await openPage();
    expect(told()).toContain('Lanakit cannot be reached.');
  });

  test('asked again and answered, nothing is said any more', async () => {
    const reads = server.reply;
    server.reply = () => BROKEN;
    await openPage();
    expect(told()).not.toBeNull();
    server.reply = reads;
    await press('Ask again now');
    expect(told()).toBeNull();
  });

  test('of another page nothing is said', async () => {
    server.reply = () => BROKEN;
    const { rerender } = await openPage();
    rerender(<UnreadSlip />);
    await settled();
    expect(told()).toBeNull();
  });
});
