import { CHROMIUM } from './chromium.ts';
import { BLANK_FIBRE } from '@lanakit/core/shelf';
import { chromium, type Page } from '@playwright/test';
import { FLAGS } from './browser.ts';
import { rowOf, time, type Row } from './measure.ts';
import type { RunningServer } from './server.ts';

const MANY = 5000;

/** The shelf with 5 000 fibres more: how long the server takes, and how long the list takes to follow a key. */
export async function benchShelf(server: RunningServer): Promise<Row[]> {
  await fill(server.url);
  const size = `${MANY} fibres`;
  const list = await time(
    'answers the whole shelf',
    size,
    async () => (await fetch(`${server.url}/api/fibres`)).arrayBuffer(),
    20,
  );
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: [...FLAGS] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    return [list, ...(await searches(page, server.url, size))];
  } finally {
    await browser.close();
  }
}

async function fill(url: string): Promise<void> {
  const creates = Array.from({ length: MANY }, (_, i) => ({
    kind: 'fibre',
    input: {
      ...BLANK_FIBRE,
      name: `Fibre ${i}`,
      kind: i % 7 === 0 ? 'hill cross' : '',
      colour: `#${((i * 7919) % 0xffffff).toString(16).padStart(6, '0')}`,
    },
  }));
  const body = JSON.stringify({ fileName: 'bench.csv', creates, updates: [], counts: [] });
  const headers = { 'Content-Type': 'application/json' };
  const answer = await fetch(`${url}/api/imports`, { method: 'POST', headers, body });
  if (!answer.ok) throw new Error(`the shelf could not be filled: ${answer.status}`);
}

async function searches(page: Page, url: string, size: string): Promise<Row[]> {
  const begun = performance.now();
  await page.goto(`${url}/shelf`);
  await page.getByText('5031 fibres and blends').waitFor();
  const opened = performance.now() - begun;
  const typed: number[] = [];
  for (const text of ['fibre 4', 'fibre 49', 'hill', '', 'fibre 1 hill', 'fibre 7', '']) {
    const field = page.getByLabel('Find on the shelf');
    typed.push(await field.evaluate(typeAndWait, text));
  }
  return [
    rowOf('the shelf opens', size, [opened], 'ms'),
    rowOf('a key in the search shows its list', size, typed, 'ms'),
  ];
}

/** Runs in the page: from a key until the count it brings is painted; every text here brings another count. */
async function typeAndWait(field: Node, text: string): Promise<number> {
  const heading = document.querySelector('h1')?.nextElementSibling;
  const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
  if (!heading || !value) throw new Error('no shelf');
  const begun = performance.now();
  const painted = new Promise<number>((resolve) => {
    const observer = new MutationObserver(() => {
      observer.disconnect();
      requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - begun)));
    });
    observer.observe(heading, { subtree: true, characterData: true, childList: true });
  });
  value.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  const ms = await painted;
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: 500 }));
  return ms;
}
