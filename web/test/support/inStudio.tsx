import { act, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { NoticeProvider } from '../../src/shell/Notice.tsx';

/** What stands around every page: notices, places, and server state that no other test has asked for. */
function Studio({ children }: { children: ReactNode }) {
  return (
    <MemoryRouter>
      <SWRConfig value={{ dedupingInterval: 0, shouldRetryOnError: false }}>
        <NoticeProvider>{children}</NoticeProvider>
      </SWRConfig>
    </MemoryRouter>
  );
}

export const hookInStudio = <R, P>(hook: (props: P) => R, initialProps: P) =>
  renderHook(hook, { wrapper: Studio, initialProps });

/** What is said at the foot of the page. */
export const noticeText = (): string => screen.getByRole('status').querySelector('span')?.textContent ?? '';

/** Lets everything that can go on go on. */
export const settled = (): Promise<void> =>
  act(async () => {
    for (let i = 0; i < 12; i++) await new Promise((resolve) => setTimeout(resolve, 0));
  });

export async function press(name: string): Promise<void> {
  await act(async () => screen.getByRole('button', { name }).click());
  await settled();
}
