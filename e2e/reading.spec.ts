import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

const open = async (page: Page, url: string, title: string) => {
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
};

test('the reader finds each piece in a block of its own, its wool at the steps, and everything to cut beforehand', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  await page.goto(`${page.url()}/read`);
  const pieces = page.getByRole('group', { name: 'Pieces' });
  await expect(pieces.getByRole('heading', { name: /2 Head/ })).toBeVisible();
  await expect(pieces).toContainText('Roll to');
  await expect(pieces).toContainText('firm: under a thumb it dents a little');
  await expect(pieces).toContainText('onto Body: needled, 30');
  await expect(pieces).toContainText('begins in step 3');
  const sheet = page.getByRole('article');
  await expect(sheet).toContainText(/Keep about [\d.]+ g Chalk core batt back for step 3\./);
  await expect(sheet).toContainText('Chalk core batt: what you kept back in step 1.');
  await expect(sheet).toContainText(/Still to come, about [\d.]+ g/);
  // By keys: the list of what is cut, as a table to be ticked off.
  await page.getByRole('radio', { name: 'before you cut' }).focus();
  await page.keyboard.press('Space');
  const cuts = page.getByRole('region', { name: 'Before you cut' });
  await expect(cuts.getByRole('row', { name: /Leg wire Wire 1\.2 mm, annealed 1 27 cm 11/ })).toBeVisible();
  await expect(cuts.getByRole('row', { name: /Body, core Chalk core batt 1 a strip of batt/ })).toBeVisible();
  await expectNothingByAxe(page);
});

test('sizes on paper in both units, where the pattern says so', async ({ page, demo }) => {
  await open(page, demo.url, 'Pear with two leaves');
  const pattern = page.url();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText('about').click();
  await page.getByRole('combobox', { name: 'Sizes on paper' }).click();
  await page.getByTitle('millimetres, inches beside').click();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.goto(`${pattern}/read`);
  await expect(page.getByRole('group', { name: 'Pieces' })).toContainText(/74\smm \(2 15⁄16\sin\)/);
});

test('words of a step offer a tool; it is listed when its author says so, and not offered again', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Balloon mobile');
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText('materials').click();
  const tools = page.getByRole('region', { name: 'Tools' });
  await expect(tools).toContainText('scale? its words suggest it');
  await expect(tools.getByLabel('How many: scale')).toHaveCount(0);
  await tools.getByRole('button', { name: 'List scale' }).focus();
  await page.keyboard.press('Enter');
  await expect(tools.getByLabel('How many: scale')).toBeVisible();
  await expect(tools).not.toContainText('scale? its words suggest it');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.goto(`${page.url().split('?')[0]}/read`);
  await expect(page.getByRole('article')).toContainText('scale');
});

test('a figure without wool is not published, and its ledger says what is not there yet', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/patterns?begin`);
  await page.getByLabel('A new figure').fill('Bare round');
  await page.getByRole('button', { name: 'Begin' }).click();
  const ledger = page.getByRole('complementary', { name: 'One make' });
  await expect(ledger).toContainText('no wool yet');
  await expect(ledger).toContainText('no steps yet');
  await page.getByRole('button', { name: 'or begin with an egg, 60 × 45 mm' }).click();
  await expect(ledger.getByRole('region', { name: 'To settle' })).toBeVisible();
  await page.getByRole('button', { name: 'Publish revision 1' }).click();
  await expect(page.getByText(/Not published/)).toBeVisible();
});
