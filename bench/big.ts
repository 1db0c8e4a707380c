import { CHROMIUM } from './chromium.ts';
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeBigStudio, sizeOf } from '../harness/bigStudio.ts';
import { FLAGS } from './browser.ts';
import { rowOf, type Row, time } from './measure.ts';
import { type RunningServer, startServer } from './server.ts';

const SIZE = 'ten lives';
const SEED = 20_261_128;
/** How often each page is gone to. */
const VISITS = 7;

/** Ten times a studio's life: what its lists take to be answered, and to be seen; what the server holds. */
export async function benchBig(): Promise<Row[]> {
  const dataDir = mkdtempSync(join(tmpdir(), 'lanakit-bench-big-'));
  await makeBigStudio(dataDir, sizeOf(1), SEED);
  const server = await startServer(dataDir);
  try {
    const asked = await answers(server);
    const seen = await visits(server);
    const status = readFileSync(`/proc/${server.pid}/status`, 'utf8');
    const megabytes = (what: string) => Number(new RegExp(`${what}:\\s+(\\d+)`).exec(status)?.[1]) / 1024;
    return [
      rowOf('server start', SIZE, [server.startMs], 'ms'),
      ...asked,
      ...seen,
      rowOf('memory of the server', `${SIZE}, after those`, [megabytes('VmRSS')], 'MB'),
      rowOf('memory of the server, at its peak', SIZE, [megabytes('VmHWM')], 'MB'),
    ];
  } finally {
    server.stop();
  }
}

const ASKED: readonly (readonly [what: string, path: string])[] = [
  ['answers the bench', '/bench'],
  ['answers a page of patterns', '/pattern-lines?limit=24'],
  ['answers a page of patterns far down', '/pattern-lines?limit=24&offset=15000'],
  ['answers patterns by title', '/pattern-lines?limit=24&order=title'],
  ['answers patterns found', '/pattern-lines?limit=24&search=otter%20sleepy'],
  ['answers runs been', '/runs?limit=24&when=behind'],
  ['answers what is called so', '/found?search=gnome'],
  ['answers the fibres', '/fibres'],
];

async function answers({ url }: RunningServer): Promise<Row[]> {
  const rows: Row[] = [];
  for (const [what, path] of ASKED) {
    const ask = async () => void (await (await fetch(`${url}/api${path}`)).arrayBuffer());
    rows.push(await time(what, SIZE, ask, 20));
  }
  return rows;
}

interface Visit {
  readonly what: string;
  readonly link: string;
  /** What is first to be seen. */
  readonly shows: string;
}

const VISITED: readonly Visit[] = [
  { what: 'bench', link: 'Bench', shows: 'section[aria-label="Runs ahead"] li' },
  { what: 'patterns', link: 'Patterns', shows: 'main.sheet ul a[href^="/patterns/"]' },
  { what: 'runs', link: 'Runs', shows: 'section[aria-label="Runs"] li' },
  { what: 'shelf', link: 'Shelf', shows: '[aria-label="On the shelf"] button' },
];

/** From a press on its name until it is painted. */
async function visits({ url }: RunningServer): Promise<Row[]> {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: FLAGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url);
  await page.getByRole('heading', { name: 'Runs ahead' }).waitFor();
  const taken = new Map(VISITED.map(({ what }) => [what, [] as number[]]));
  // Away from where it begins first: what is there already is not gone to.
  const round = [...VISITED.slice(1), ...VISITED.slice(0, 1)];
  for (let visit = 0; visit <= VISITS; visit++)
    for (const each of round) {
      const ms = await visitMs(page, each);
      // The first brings the page's own script.
      if (visit > 0) taken.get(each.what)?.push(ms);
    }
  await browser.close();
  return [...taken].map(([what, samples]) => rowOf(`gone to and seen: ${what}`, SIZE, samples, 'ms'));
}

async function visitMs(page: Page, { link, shows }: Visit): Promise<number> {
  const begun = performance.now();
  await page.getByRole('link', { name: link, exact: true }).click();
  await page.locator(shows).first().waitFor();
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve))));
  return performance.now() - begun;
}
