import { chromium, type Browser, type Page } from '@playwright/test';
import { figureOf } from './core.ts';
import { rowOf, type Row } from './measure.ts';
import type { RunningServer } from './server.ts';

export const FLAGS = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-sync',
];

export async function benchBrowser(server: RunningServer): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
  try {
    return [
      ...(await firstLoads(browser, server.url)),
      await edits(browser, server.url),
      ...(await pulls(browser, server.url)),
    ];
  } finally {
    await browser.close();
  }
}

/** A browser that has never been here: until the bench shows its heading, and what scripts came over the wire. */
async function firstLoads(browser: Browser, url: string): Promise<Row[]> {
  const loads: { ms: number; kB: number }[] = [];
  for (let i = 0; i < 7; i++) {
    const page = await (await browser.newContext()).newPage();
    const begun = performance.now();
    await page.goto(url);
    await page.getByRole('heading', { name: 'Runs ahead' }).waitFor();
    loads.push({ ms: performance.now() - begun, kB: (await scriptBytes(page)) / 1000 });
    await page.context().close();
  }
  return [
    rowOf('first load, bench shown', 'empty cache', loads.map(({ ms }) => ms), 'ms'),
    rowOf('first load, JavaScript', 'gzipped', loads.map(({ kB }) => kB), 'kB'),
  ]; // prettier-ignore
}

const scriptBytes = (page: Page): Promise<number> =>
  page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => name.endsWith('.js'))
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0),
  );

/** From a key in a size's field until the ledger's new grams are painted. */
async function edits(browser: Browser, url: string): Promise<Row> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: /Harbour puffin/ }).click();
  await page.getByRole('heading', { name: 'Pieces' }).waitFor();
  const samples: number[] = [];
  for (let i = 0; i < 25; i++) {
    const field = page.getByLabel('Length', { exact: true });
    samples.push(await field.evaluate(typeAndWait, String(70 + i)));
  }
  return rowOf('an edit shows its grams', 'puffin, 7 parts', samples.slice(3), 'ms');
}

/** Runs in the page. */
async function typeAndWait(field: Node, text: string): Promise<number> {
  const ledger = document.querySelector('aside[aria-label="One make"]');
  const value = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');
  if (!ledger || !value) throw new Error('no ledger');
  const begun = performance.now();
  const painted = new Promise<number>((resolve) => {
    const observer = new MutationObserver(() => {
      observer.disconnect();
      requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - begun)));
    });
    observer.observe(ledger, { subtree: true, characterData: true, childList: true });
  });
  value.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  const ms = await painted;
  // The next key comes when the page is at rest, as from a hand.
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: 500 }));
  return ms;
}

const PULLED_PARTS = 40;

/** A size pulled at its grip with forty parts on the table: how far apart frames lie while a hand moves. */
async function pulls(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const { items } = (await (await page.request.get(`${url}/api/fibres`)).json()) as {
    items: { id: string }[];
  };
  const figure = JSON.stringify(figureOf(PULLED_PARTS, 'Forty parts'));
  // The bench's fibres by the ids that the demo shelf has.
  const document: unknown = JSON.parse(
    figure.replaceAll(/"f(\d+)"/g, (_, n) => `"${items[Number(n)]?.id ?? ''}"`),
  );
  await page.request.post(`${url}/api/patterns`, { data: document });
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: /Forty parts/ }).click();
  const grip = page.locator('[data-grip="x"]');
  await grip.waitFor();
  const box = await grip.boundingBox();
  if (!box) throw new Error('no grip');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(recordFrames);
  for (let i = 0; i < 120; i++) await page.mouse.move(x + 12 * Math.sin(i / 8), y);
  const frames = await page.evaluate(() => (globalThis as unknown as { frames: number[] }).frames);
  await page.mouse.up();
  return [
    rowOf('a frame while a size is pulled', `${PULLED_PARTS} parts on the table`, frames.slice(2), 'ms'),
  ];
}

/** Runs in the page: how far apart frames lie, until the page is gone. */
function recordFrames(): void {
  const frames: number[] = [];
  (globalThis as unknown as { frames: number[] }).frames = frames;
  let last = performance.now();
  const next = (now: number) => {
    frames.push(now - last);
    last = now;
    requestAnimationFrame(next);
  };
  requestAnimationFrame(next);
}
