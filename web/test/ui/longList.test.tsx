import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { LongList } from '../../src/ui/LongList.tsx';

const ROW_PX = 50;
const realHeight = Object.getOwnPropertyDescriptor(HTMLElement.prototype, 'offsetHeight');

beforeEach(() => {
  // Nothing is scrolled here.
  window.scrollTo = () => undefined;
  Object.defineProperty(window, 'innerHeight', { configurable: true, value: 800 });
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', {
    configurable: true,
    get: () => 10 * ROW_PX,
  });
});
afterEach(() => {
  cleanup();
  if (realHeight) Object.defineProperty(HTMLElement.prototype, 'offsetHeight', realHeight);
});

const show = (total: number) =>
  render(
    <LongList total={total} rowsAPage={10} rowPx={ROW_PX}>
      {(page) => <p>page {page}</p>}
    </LongList>,
  );

test('of a list as long as may be only the pages in sight are there, with room for all', () => {
  const { container } = show(20_000);
  const pages = screen.getAllByText(/^page/).map(({ textContent }) => textContent);
  expect(pages).toEqual(['page 0', 'page 1']);
  expect((container.firstChild as HTMLElement).style.height).toBe(`${20_000 * ROW_PX}px`);
});

test('a short one is one page, and none is none', () => {
  show(3);
  expect(screen.getAllByText(/^page/)).toHaveLength(1);
  cleanup();
  show(0);
  expect(screen.queryByText(/^page/)).toBeNull();
});
