import { CHROMIUM } from './chromium.ts';
import { type Browser, chromium, type Page } from '@playwright/test';
import { FLAGS } from './browser.ts';
import { rowOf, type Row } from './measure.ts';
import { startServer } from './server.ts';

/** Counts what hands do: keys pressed, and presses of a button of the mouse. */
function countHands(): void {
  const hands = { keys: 0, presses: 0 };
  (globalThis as unknown as { hands: typeof hands }).hands = hands;
  addEventListener('keydown', () => (hands.keys += 1), true);
  addEventListener('pointerdown', () => (hands.presses += 1), true);
}

const handsOf = (page: Page): Promise<{ keys: number; presses: number }> =>
  page.evaluate(() => (globalThis as unknown as { hands: { keys: number; presses: number } }).hands);

/** From an empty studio to the packs of a class of eleven, the short way, typed key by key. */
async function shortWay(browser: Browser): Promise<{ seconds: number; keys: number; presses: number }> {
  const server = await startServer(undefined, { LANAKIT_DEMO: '0' });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  try {
    await page.addInitScript(countHands);
    const begun = performance.now();
    await page.goto(server.url);
    await page.getByRole('link', { name: /The short way/ }).click();
    await page.locator('label', { hasText: 'Stands on four' }).click();
    await page.getByLabel('What is it called?').click();
    await page.keyboard.type('Harbour seal');
    await page.getByLabel('People', { exact: true }).click();
    await page.keyboard.press('Control+A');
    await page.keyboard.type('11');
    await page.getByRole('button', { name: 'Make 11 packs' }).click();
    await page.getByRole('region', { name: 'Portions' }).waitFor();
    const seconds = (performance.now() - begun) / 1000;
    return { seconds, ...(await handsOf(page)) };
  } finally {
    await page.close();
    server.stop();
  }
}

export async function benchFirstJourney(): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: FLAGS });
  try {
    const runs: { seconds: number; keys: number; presses: number }[] = [];
    for (let i = 0; i < 3; i++) runs.push(await shortWay(browser));
    const row = (what: 'seconds' | 'keys' | 'presses', unit: string) =>
      rowOf(
        'from an empty studio to eleven packs',
        'the short way',
        runs.map((run) => run[what]),
        unit,
      );
    return [row('seconds', 's'), row('keys', 'keys'), row('presses', 'presses')];
  } finally {
    await browser.close();
  }
}
