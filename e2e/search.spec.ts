import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';

const look = async (page: Page, text: string) => {
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find or do' }).fill(text);
};
const entry = (page: Page, name: RegExp) => page.getByRole('option', { name });

test('anything is found by a word of it, also misspelt, and opens where it is', async ({ page, demo }) => {
  await page.goto(demo.url);
  await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();

  await look(page, 'pufin');
  await expect(page.getByText('Nothing is called so.')).toBeVisible();
  await entry(page, /Harbour puffin/)
    .first()
    .click();
  await expect(page).toHaveURL(/\/patterns\//);
  await expect(page.getByRole('textbox', { name: 'Finished height' })).toBeVisible();

  // A step opens in its pattern, also from within that pattern.
  await look(page, 'edges in as you roll');
  await expect(entry(page, /step of Harbour puffin/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('Life of each part')).toBeVisible();

  await look(page, 'ines');
  await entry(page, /Ines comes to Saturday pears/).click();
  await expect(page.getByRole('heading', { name: 'Saturday pears' })).toBeVisible();

  await look(page, 'weigh-out saturday');
  await entry(page, /Weigh-out list: Saturday pears/).click();
  await expect(page).toHaveURL(/papers\/weigh-out$/);

  await look(page, 'staple');
  await entry(page, /Staple word, explained/).click();
  await expect(page.getByText('How long the single fibres are.', { exact: false }).first()).toBeVisible();
});
