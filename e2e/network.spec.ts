import { chromium, type Page } from '@playwright/test';
import { once } from 'node:events';
import { createServer } from 'node:http';
import { expectNothingByAxe } from './support/axe.ts';
import { PASSPHRASE, runCommand } from './support/opened.ts';
import { expect, Studio, test } from './support/studio.ts';

/** A name that is not ours and leads to this machine all the same, as who owns it may let it. */
const FOREIGN = 'felting.example';

/** A page of somebody else’s. */
async function foreignPage(html: string) {
  const server = createServer((_request, response) =>
    response.setHeader('Content-Type', 'text/html').end(html),
  );
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return { url: `http://${FOREIGN}:${port}`, close: () => server.close() };
}

async function inForeignBrowser(
  executablePath: string | undefined,
  use: (page: Page) => Promise<void>,
): Promise<void> {
  const browser = await chromium.launch({
    ...(executablePath !== undefined && { executablePath }),
    args: ['--no-sandbox', '--disable-quic', `--host-resolver-rules=MAP ${FOREIGN} 127.0.0.1`],
  });
  try {
    await use(await browser.newPage());
  } finally {
    await browser.close();
  }
}

const countOf = async (page: Page, url: string): Promise<number> =>
  ((await (await page.request.get(`${url}/api/runs`)).json()) as { items: unknown[] }).items.length;

test('a name that is not the studio’s leads nowhere, and a page elsewhere changes nothing', async ({
  page,
  demo,
  launchOptions,
}) => {
  const { items } = (await (await page.request.get(`${demo.url}/api/runs`)).json()) as {
    items: { id: string }[];
  };
  const copy = `${demo.url}/api/runs/${items[0]?.id}/copy`;
  const before = await countOf(page, demo.url);
  const foreign = await foreignPage(`<!doctype html><title>elsewhere</title>
    <form method="post" action="${copy}"><button>press</button></form>`);
  await inForeignBrowser(launchOptions.executablePath, async (theirs) => {
    // The studio itself under their name: a page of theirs could then read it as its own.
    const named = await theirs.goto(demo.url.replace('127.0.0.1', FOREIGN));
    expect(named?.status()).toBe(403);
    const read = await theirs.goto(`${demo.url.replace('127.0.0.1', FOREIGN)}/api/runs`);
    expect(read?.status()).toBe(403);
    expect(await theirs.content()).not.toContain('Saturday pears');
    // A page of theirs that writes: by script without asking, with our header, and by a form.
    await theirs.goto(foreign.url);
    for (const init of ['{method:"POST",mode:"no-cors"}', '{method:"POST",headers:{"X-Lanakit":"1"}}']) {
      await theirs.evaluate(`fetch(${JSON.stringify(copy)}, ${init}).then(() => 0, () => 0)`);
    }
    const [answer] = await Promise.all([theirs.waitForResponse(copy), theirs.getByRole('button').click()]);
    expect(answer.status()).toBe(403);
  });
  foreign.close();
  expect(await countOf(page, demo.url)).toBe(before);
});

test('bound to a second loopback address it answers there, and to no other name', async ({ page }) => {
  const studio = new Studio(true);
  try {
    await studio.start({ LANAKIT_HOST: '127.0.0.2' });
    await page.goto(studio.url);
    expect(studio.url).toContain('//127.0.0.2:');
    await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();
    // A write of its own page goes through.
    await page.goto(`${studio.url}/patterns`);
    await page.getByRole('link', { name: /Pear with two leaves/ }).click();
    await page.getByLabel('Finished height').fill('97 mm');
    await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
    const named = await page.request.get(`${studio.url}/api/runs`, { headers: { Host: `${FOREIGN}:1` } });
    expect(named.status()).toBe(403);
  } finally {
    await studio.dispose();
  }
});

test('opened to its network it asks who is there: without a passphrase it does not start, wrong ones open nothing, and what was written waits', async ({
  page,
}) => {
  const studio = new Studio(true);
  try {
    const refused = await studio.startAgainst({ LANAKIT_HOST: '0.0.0.0' });
    expect(refused.code).toBe(1);
    expect(refused.words).toContain('npm run passphrase');
    expect(await runCommand('passphraseCommand', studio.dataDir, 'short')).toMatchObject({ code: 1 });
    expect(await runCommand('passphraseCommand', studio.dataDir, PASSPHRASE)).toMatchObject({ code: 0 });
    await studio.start({ LANAKIT_HOST: '0.0.0.0' });
    const url = studio.url.replace('0.0.0.0', '127.0.0.1');
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${url}/patterns`);
    const ask = page.getByRole('main', { name: 'Who is there?' });
    await expect(ask).toBeVisible();
    await expect(page.getByText('Pear with two leaves')).toHaveCount(0);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expectNothingByAxe(page);
    await page.getByRole('textbox', { name: 'Passphrase' }).fill('four green felted plums');
    await page.keyboard.press('Enter');
    await expect(page.getByText('That is not the passphrase of this studio.')).toBeVisible();
    await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
    await page.keyboard.press('Enter');
    await expect(ask).toHaveCount(0);
    await expect(page.getByText('Wrong passphrases and codes within the last hour: 1.')).toBeVisible();
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByRole('link', { name: /Pear with two leaves/ }).click();
    const height = page.getByLabel('Finished height');
    await expect(height).toBeVisible();
    // Shut out in the middle of the work: it stays, is said, and goes where it belongs as soon as one is known again.
    await page.request.delete(`${url}/api/session`, { headers: { 'X-Lanakit': '1' } });
    await height.fill('97 mm');
    await expect(ask).toBeVisible();
    await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
    await page.keyboard.press('Enter');
    await expect(ask).toHaveCount(0);
    await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
    await page.reload();
    await expect(height).toHaveValue('97 mm');
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Find or do' }).fill('log out');
    await page.keyboard.press('Enter');
    await expect(ask).toBeVisible();
  } finally {
    await studio.dispose();
  }
});
