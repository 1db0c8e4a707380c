import { expect, test } from './support/studio.ts';

test('a class saves itself, its portions follow every key, and bad numbers stay beside their field', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  const portions = page.getByRole('region', { name: 'Portions' });
  await expect(portions).toContainText('13 packs');
  await page.getByLabel('Seats').fill('20');
  await expect(portions).toContainText('22 packs');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  for (const [text, words] of [
    ['0', 'Give a number from 1 to 200.'],
    ['201', 'Give a number from 1 to 200.'],
    ['many', 'Give a number from 1 to 200.'],
    ['1.5', 'Give a whole number'],
  ] as const) {
    await page.getByLabel('Seats').fill(text);
    await expect(page.getByText(words).first()).toBeVisible();
  }
  await expect(portions).toContainText('22 packs');
  await page.reload();
  await expect(page.getByLabel('Seats')).toHaveValue('20');
  await page.getByRole('button', { name: 'Delete this class' }).click();
  await expect(page.getByRole('link', { name: /Saturday pears/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Saturday pears/ })).toHaveCount(1);
});

test('a class stays with its revision when the draft moves on', async ({ page, demo }) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).click();
  await page.getByLabel('Diameter', { exact: true }).fill('80');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await expect(page.getByRole('row', { name: /Chalk core batt/ })).toContainText('18.6 g');
});

test('printed, a sheet is the paper alone', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('article')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('banner')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('article')).toContainText('241.8 g in all');
  const pdf = await page.pdf({ format: 'A4', printBackground: false });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});
