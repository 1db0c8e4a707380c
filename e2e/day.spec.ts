import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

/** Each lever is tried three hundred times over. */
const ALL_TRIED_MS = 120_000;

async function openDay(page: Page, url: string, run: RegExp): Promise<void> {
  await page.goto(`${url}/runs`);
  await page.getByRole('link', { name: run }).click();
  await page.getByRole('button', { name: 'The day' }).click();
}

const chance = (page: Page) => page.getByRole('status', { name: 'Chance that everybody finishes' });
const help = (page: Page) => page.getByRole('region', { name: 'What would help' });

test('the pear class that does not fit two hours is made to fit, and its sheets say so', async ({
  page,
  demo,
}) => {
  test.setTimeout(ALL_TRIED_MS * 2);
  await openDay(page, demo.url, /Saturday pears/);
  await expect(chance(page)).toHaveText(/^(0|under 1) %$/);
  await expect(page.getByRole('region', { name: 'The day, hour by hour' })).toContainText('over');
  await expect(help(page)).toContainText('For 95 %:', { timeout: ALL_TRIED_MS });
  await expectNothingByAxe(page);
  await help(page)
    .getByRole('button', { name: /^Take (it|these \d)$/ })
    .click();
  await expect(help(page)).toContainText('It fits, as sure as it is wanted.', { timeout: ALL_TRIED_MS });
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  // What was taken is on paper.
  await page.getByRole('button', { name: 'Run sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Run sheet' })).toBeVisible();
  await expect(page.getByText('Prepared for every pack')).toBeVisible();
  await expect(page.getByText('Welcome, needles, fingers, 8 min')).toBeVisible();
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'PDF' }).click(),
  ]);
  expect(pdf.suggestedFilename()).toMatch(/run-sheet\.pdf$/);
  await page.goBack();
  // Taken back by keys it is as it was.
  await page.keyboard.press('Control+z');
});

test('the puffin weekend: where its first day is left, and who waits for the pliers', async ({
  page,
  demo,
}) => {
  await openDay(page, demo.url, /Puffin weekend/);
  const strips = page.getByRole('region', { name: 'The day, hour by hour' });
  await expect(strips).toContainText('Sitting 2');
  await expect(strips).toContainText(/Best left after \d+ /);
  await expect(strips).toContainText(/Pliersthe last waits|Pliers\s*the last waits/);
  await expect(page.getByRole('region', { name: 'Step by step' })).toContainText('longest chain');
});

test('a class that has no day yet is given one; by keys and by hand it is moved, and taken back', async ({
  page,
  demo,
}) => {
  test.setTimeout(ALL_TRIED_MS);
  await openDay(page, demo.url, /Tide-pool evening/);
  await page.getByRole('button', { name: 'Begin with 1 sitting' }).click();
  const begins = page.getByLabel('Begins');
  await begins.fill('half past six');
  await expect(page.getByText('Write a time of day, such as 14:00.')).toBeVisible();
  await begins.fill('6:30 pm');
  await page.getByLabel('How long').fill('0');
  await expect(page.getByText('Give a number from 15 to 720.')).toBeVisible();
  await page.getByLabel('How long').fill('240');
  const strips = page.getByRole('region', { name: 'The day, hour by hour' });
  await expect(strips).toContainText('18:30');
  const rows = page.getByRole('region', { name: 'Talk, show, pause' });
  await rows.getByRole('button', { name: 'Propose a day' }).click();
  await expect(rows.getByRole('group', { name: 'Welcome' })).toBeVisible();
  const welcome = strips.getByRole('button', { name: /^Welcome, 18:30/ });
  await welcome.focus();
  await page.keyboard.press('ArrowRight');
  await expect(rows.getByRole('group', { name: 'Welcome' }).getByLabel('After')).toHaveValue('5');
  const moved = strips.getByRole('button', { name: /^Welcome, 18:35/ });
  const [from, track] = [await moved.boundingBox(), await moved.locator('..').boundingBox()];
  if (!from || !track) throw new Error('the strip is not drawn');
  await page.mouse.move(from.x + 2, from.y + 6);
  await page.mouse.down();
  await page.mouse.move(from.x + 2 + track.width / 8, from.y + 6, { steps: 6 });
  await page.mouse.up();
  await expect(moved).toHaveCount(0);
  // It is moved when it is let go, and not while it is under the hand.
  await expect(rows.getByRole('group', { name: 'Welcome' }).getByLabel('After')).not.toHaveValue('5');
  await page.keyboard.press('Control+z');
  await expect(strips.getByRole('button', { name: /^Welcome, 18:35/ })).toBeVisible();
  await expectNothingByAxe(page);
});

test('a seat makes something else: its pack, its day and the room list follow', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: /^Ines/ }).click();
  const editor = page.getByRole('region', { name: 'Seat 1' });
  await editor.getByLabel('Makes').click();
  await editor.getByLabel('Makes').fill('octopus');
  await page.locator('.ant-select-item-option', { hasText: 'Tide-pool octopus' }).first().click();
  await expect(page.getByRole('region', { name: 'Portions' })).toContainText(/Foam|Anchor|Coral|Plum|Chalk/);
  await expect(page.getByText('Tide-pool octopus').first()).toBeVisible();
  await page.getByRole('button', { name: 'The day' }).click();
  await page.getByLabel('Whose steps').click();
  await expect(
    page.locator('.ant-select-item-option', { hasText: 'Tide-pool octopus, 1 seat' }),
  ).toBeVisible();
});
