import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { smallClass } from './support/smallClass.ts';
import { expect, test } from './support/studio.ts';

/** Things of the pack in front, each a button. */
const things = (page: Page) => page.locator('section[aria-label^="Seat"] li button');
const weighs = (page: Page, grams: string) => page.getByLabel('The finished pack weighs').fill(grams);
const close = (page: Page) => page.getByRole('button', { name: 'Everything is in: close it' });

test('a bag that is missing is found by the weight of the pack, and told before it is closed', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Puffin weekend', 2);
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  await expect(page.getByText('0 of 2 packed')).toBeVisible();
  await expect(things(page).first()).toBeVisible();
  await expectNothingByAxe(page);
  const total = await things(page).count();
  expect(total).toBeGreaterThan(8);
  // The first of its kind, all in by keys alone.
  await things(page).first().focus();
  for (let at = 0; at < total; at++) await page.keyboard.press('Space');
  await expect(page.locator('[aria-label^="Seat"] [aria-pressed="true"]')).toHaveCount(total);
  await weighs(page, '120');
  await page.keyboard.press('Tab');
  await expect(page.getByText('The first of its kind')).toBeVisible();
  await close(page).click();
  await expect(page.getByText('1 of 2 packed')).toBeVisible();
  // The second is short of the bag for Saturday, and of nothing else.
  const saturday = things(page).filter({ hasText: 'session 1: Saturday' });
  const saturdayG = Number(/([\d.]+) g$/.exec((await saturday.textContent()) ?? '')?.[1]);
  expect(saturdayG).toBeGreaterThan(20);
  const names = await things(page).allTextContents();
  for (const [at, name] of names.entries())
    if (!name.includes('session 1: Saturday')) await things(page).nth(at).click();
  await weighs(page, (120 - saturdayG).toFixed(1));
  await page.keyboard.press('Tab');
  await expect(page.getByText(/less than it should be .*: that is session 1: Saturday\./)).toBeVisible();
  await close(page).click();
  const told = page.getByRole('alert').filter({ hasText: 'not in it yet' });
  await expect(told).toContainText('session 1: Saturday');
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Close it all the same' }).click();
  await expect(page.getByText('2 of 2 packed')).toBeVisible();
  await expect(page.getByRole('button', { name: /Seat 2.*packed, 1 out/ })).toBeVisible();
  // And again before it is called packed.
  const run = (await (await page.request.get(`${demo.url}/api/runs/${runId}`)).json()) as { version: number };
  let { version } = run;
  for (const to of ['bought', 'weighed']) {
    const moved = await page.request.post(`${demo.url}/api/runs/${runId}/state`, {
      headers: { 'If-Match': `"${version}"` },
      data: { to, anyway: true },
    });
    version = ((await moved.json()) as { version: number }).version;
  }
  await page.goto(`${demo.url}/runs/${runId}`);
  await page.getByRole('button', { name: 'It is packed' }).click();
  await expect(page.getByText('1 pack was closed with something left out.')).toBeVisible();
});

test('two devices pack at once: each sees what the other laid in, and nothing is lost by a kill', async ({
  page,
  browser,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const other = await context.newPage();
  await other.goto(`${demo.url}/runs/${runId}/packing`);
  await other.getByRole('button', { name: /^Seat 2/ }).click();
  await expect(other.getByRole('heading', { name: /^Seat 2/ })).toBeVisible();
  await things(page).first().click();
  await things(other).first().click();
  await things(other).nth(1).click();
  // Each by itself, without anybody asking anew.
  await expect(page.getByRole('button', { name: /^Seat 2\s*2\// })).toBeVisible();
  await expect(other.getByRole('button', { name: /^Seat 1\s*1\// })).toBeVisible();
  await demo.kill();
  await things(other).nth(2).click();
  await expect(other.getByText('1 tick not sent yet, kept here')).toBeVisible();
  await demo.start();
  await expect(other.getByText('1 tick not sent yet, kept here')).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Seat 2\s*3\// })).toBeVisible();
  await context.close();
});

test('a label is scanned: its bag is ticked in, and one of another pack is kept out of the box', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Puffin weekend', 2);
  const csv = await (await page.request.get(`${demo.url}/api/runs/${runId}/papers/labels/csv`)).text();
  const codeOf = (seat: string) =>
    /([2-9A-Z]{12})\s*$/.exec(csv.split('\n').find((line) => line.startsWith(`${seat},`)) ?? '')?.[1] ?? '';
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  const field = page.getByLabel('Code of a label');
  const scan = async (text: string) => {
    await field.fill(text);
    await page.keyboard.press('Enter');
  };
  const ticked = page.locator('[aria-label^="Seat"] [aria-pressed="true"]');
  await scan(codeOf('Seat 1'));
  await expect(page.getByText(/^In: .*, Seat 1\.$/)).toBeVisible();
  await expect(ticked).toHaveCount(1);
  await expect(field).toHaveValue('');
  await scan(codeOf('Seat 2'));
  await expect(page.getByText(/^Not in here: this is .* of Seat 2\.$/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Seat 1' })).toBeVisible();
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Go to Seat 2' }).click();
  await expect(page.getByRole('region', { name: 'Seat 2' })).toBeVisible();
  await scan(codeOf('Seat 2').toLowerCase());
  await expect(page.getByText(/^Not in here/)).toBeHidden();
  await expect(ticked).toHaveCount(1);
  const misread = codeOf('Seat 2').replace(/.$/, (sign) => (sign === '2' ? '3' : '2'));
  await scan(misread);
  await expect(page.getByText('One of its signs is wrong. Look at the label again.')).toBeVisible();
  await expect(field).toHaveValue(misread);
});

test('a photo of the finished box is kept with its pack, also of boxes that nobody sits at, and taken out again', async ({
  page,
  demo,
}) => {
  const { items } = (await (await page.request.get(`${demo.url}/api/runs`)).json()) as {
    items: { id: string; name: string }[];
  };
  const runId = items.find(({ name }) => name === 'Pears by the three')?.id ?? '';
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  await expect(things(page).first().or(page.locator('section li button').first())).toBeVisible();
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 320, height: 240 } });
  await page
    .getByLabel(/^Photo of the finished box of /)
    .setInputFiles({ name: 'box.png', mimeType: 'image/png', buffer: picture });
  const photo = page.getByAltText(/^The finished box of /);
  await expect(photo).toBeVisible();
  await page.reload();
  await expect(photo).toBeVisible();
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: /^Take the photo of .* out$/ }).click();
  await expect(photo).toHaveCount(0);
});
