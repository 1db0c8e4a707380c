import { CHROMIUM } from './chromium.ts';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Locator, type Page } from '@playwright/test';
import { figureOf } from './core.ts';
import { placedFigure } from './figure.ts';
import { rowOf, type Row } from './measure.ts';
import { writtenFigure } from './writing.ts';
import type { RunningServer } from './server.ts';

export const FLAGS = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-sync',
];

export async function benchBrowser(server: RunningServer): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: FLAGS });
  try {
    return [
      ...(await firstLoads(browser, server.url)),
      await edits(browser, server.url),
      ...(await pulls(browser, server.url)),
      await turns(browser, server.url),
      await places(browser, server.url),
      ...(await longPattern(browser, server.url)),
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

/** Bytes of the scripts a page has asked for, packed as they go over a network; within one machine they go as they are. */
async function scriptBytes(page: Page): Promise<number> {
  const urls = await page.evaluate(() =>
    performance.getEntriesByType('resource').flatMap(({ name }) => (name.endsWith('.js') ? [name] : [])),
  );
  const scripts = await Promise.all(urls.map(async (url) => (await fetch(url)).arrayBuffer()));
  return scripts.reduce((sum, script) => sum + gzipSync(new Uint8Array(script)).length, 0);
}

/** From a key in a size's field until the ledger's new grams are painted. */
async function edits(browser: Browser, url: string): Promise<Row> {
  const page = await pageWithPieces(browser);
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

/** Of who looks at the pieces side by side. */
async function pageWithPieces(browser: Browser): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(() => {
    if (location.protocol !== 'about:') localStorage.setItem('lanakit.table.drawn', 'pieces');
  });
  return page;
}

/** Every place once, from the bar or by its link: from the press until its heading, or what it is about, is there. */
async function places(browser: Browser, url: string): Promise<Row> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url);
  const bar = page.getByRole('navigation', { name: 'Places' });
  const heading = (name: string) => page.getByRole('heading', { name, level: 1 });
  const ways: readonly (readonly [press: Locator, shown: Locator])[] = [
    [bar.getByRole('link', { name: 'Patterns' }), heading('Patterns')],
    [bar.getByRole('link', { name: 'Shelf' }), heading('Shelf')],
    [bar.getByRole('link', { name: 'Runs' }), heading('Runs')],
    [bar.getByRole('link', { name: 'Bench' }), heading('Runs ahead')],
    [page.getByRole('link', { name: /Saturday pears/ }), page.getByRole('heading', { name: 'Portions' })],
    [page.getByRole('button', { name: 'Weigh out' }), page.getByText(/of \d+ weighed/)],
  ];
  const samples: number[] = [];
  for (let round = 0; round < 4; round++)
    for (const [press, shown] of ways) {
      await press.first().waitFor();
      await atRest(page);
      const begun = performance.now();
      await press.first().click();
      await shown.first().waitFor();
      samples.push(performance.now() - begun);
    }
  await page.close();
  return rowOf(
    'any place, until it is there',
    'six of them, the second time on',
    samples.slice(ways.length),
    'ms',
  );
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

/** The bench's fibres by the ids that the demo shelf has. */
const onShelf = (figure: object, items: readonly { readonly id: string }[]): object =>
  JSON.parse(
    JSON.stringify(figure).replaceAll(/"f(\d+)"/g, (_, n) => `"${items[Number(n)]?.id ?? ''}"`),
  ) as object;

const PULLED_PARTS = 40;

/** A size pulled at its grip with forty parts on the table: how far apart frames lie while a hand moves. */
async function pulls(browser: Browser, url: string): Promise<Row[]> {
  const page = await pageWithPieces(browser);
  const { items } = (await (await page.request.get(`${url}/api/fibres`)).json()) as {
    items: { id: string }[];
  };
  const document = onShelf(figureOf(PULLED_PARTS, 'Forty parts'), items);
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

/** A figure of forty parts turned by hand: the time from one picture to the next. At sixty a second it is 17 ms. */
async function turns(browser: Browser, url: string): Promise<Row> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const { items } = (await (await page.request.get(`${url}/api/fibres`)).json()) as {
    items: { id: string }[];
  };
  const document = onShelf({ ...placedFigure(PULLED_PARTS), title: 'Forty placed' }, items);
  const made = (await (await page.request.post(`${url}/api/patterns`, { data: document })).json()) as {
    id: string;
  };
  await page.goto(`${url}/patterns/${made.id}`);
  await page.locator('.ant-segmented-item', { hasText: /^together$/ }).click();
  const figure = page.getByRole('group', { name: 'The figure together' });
  await figure.waitFor();
  const frames = await figure.evaluate(turnByHand);
  await page.close();
  return rowOf('a picture while the figure is turned', `${PULLED_PARTS} parts placed`, frames.slice(5), 'ms');
}

/** Runs in the page: a hand that moves by four pixels before each picture. */
async function turnByHand(figure: Node): Promise<number[]> {
  const svg = figure as SVGElement;
  const { left, top } = svg.getBoundingClientRect();
  const send = (kind: string, x: number) =>
    svg.dispatchEvent(
      new PointerEvent(kind, {
        bubbles: true,
        pointerId: 1,
        button: 0,
        clientX: left + x,
        clientY: top + 60,
      }),
    );
  svg.setPointerCapture = () => undefined;
  send('pointerdown', 40);
  const between: number[] = [];
  let before = performance.now();
  for (let at = 0; at < 90; at++) {
    send('pointermove', 40 + at * 4);
    const now = await new Promise<number>((done) => requestAnimationFrame(done));
    between.push(now - before);
    before = now;
  }
  send('pointerup', 400);
  return between;
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

/** A pattern of 200 steps: opened, typed in, compared with another. */
async function longPattern(browser: Browser, url: string): Promise<Row[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const { items } = (await (await page.request.get(`${url}/api/fibres`)).json()) as {
    items: readonly { readonly id: string }[];
  };
  const document = onShelf(writtenFigure(), items);
  const made = (await (await page.request.post(`${url}/api/patterns`, { data: document })).json()) as {
    id: string;
  };
  const other = (await (await page.request.post(`${url}/api/patterns`, { data: { ...document, title: 'Another' } })).json()) as { id: string }; // prettier-ignore
  await page.goto(`${url}/patterns`);
  await page.getByRole('heading', { name: 'Patterns' }).waitFor();
  const opens: number[] = [];
  const links: number[] = [];
  const ledger = page.getByRole('complementary', { name: 'One make' });
  for (let i = 0; i < 5; i++) {
    await atRest(page);
    const begun = performance.now();
    await page.goto(`${url}/patterns/${made.id}`);
    await ledger.waitFor();
    opens.push(performance.now() - begun);
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Patterns' }).click();
    const link = page.locator(`a[href="/patterns/${made.id}"]`);
    await link.waitFor();
    await atRest(page);
    const pressed = performance.now();
    await link.click();
    await ledger.waitFor();
    links.push(performance.now() - pressed);
  }
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText('200 steps').click();
  await page.getByRole('region', { name: 'Steps' }).locator('[data-row-head]').nth(3).click();
  const words = page.getByLabel('What to do');
  await words.waitFor();
  await words.evaluate((element) => (element as HTMLTextAreaElement).focus());
  const keys: number[] = [];
  for (let i = 0; i < 30; i++) keys.push(await page.evaluate(typeOneAndWait, i));
  const compares: number[] = [];
  for (let i = 0; i < 4; i++) {
    const begun = performance.now();
    await page.goto(`${url}/compare?a=draft:${made.id}&b=draft:${other.id}`);
    await page.getByRole('heading', { name: 'In words' }).waitFor();
    compares.push(performance.now() - begun);
  }
  await page.close();
  return [
    rowOf('a long pattern opens', '60 parts, 200 steps; whole page', opens.slice(1), 'ms'),
    rowOf('a long pattern opens', '60 parts, 200 steps; from the list', links.slice(1), 'ms'),
    rowOf('a key in a step is painted', '60 parts, 200 steps', keys.slice(3), 'ms'),
    rowOf('two long patterns compared', 'whole page', compares.slice(1), 'ms'),
  ];
}

/** Nothing is drawn any more: what is measured next does not wait for what was opened before. */
const atRest = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => void requestIdleCallback(() => setTimeout(done, 300), { timeout: 5000 })),
  );

/** Types one sign into the focused text and waits until it is painted. */
async function typeOneAndWait(i: number): Promise<number> {
  const area = document.activeElement as HTMLTextAreaElement;
  const property = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value');
  const begun = performance.now();
  property?.set?.call(area, `${area.value}${i % 10}`);
  area.dispatchEvent(new Event('input', { bubbles: true }));
  await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
  const ms = performance.now() - begun;
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: 500 }));
  return ms;
}
