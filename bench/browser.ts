import { chromium, type Browser, type Page } from '@playwright/test';
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
    return [...(await firstLoads(browser, server.url)), await edits(browser, server.url)];
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
  return rowOf('an edit shows its grams', 'puffin, 9 parts', samples.slice(3), 'ms');
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
