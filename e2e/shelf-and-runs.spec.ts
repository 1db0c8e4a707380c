import { expectNothingSerious } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

test('a fibre in use is not deleted but archived, and comes back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Marigold' }).click();
  await expect(page.getByText('draft, revision 1')).toBeVisible();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'in use' })).toContainText('archive it instead');
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByRole('row', { name: /Marigold/ })).toHaveCount(0);
  await page.getByText('archived', { exact: true }).click();
  await page.getByRole('button', { name: 'Marigold' }).click();
  await page.getByRole('button', { name: 'Bring back' }).click();
  await page.getByText('in use', { exact: true }).click();
  await expect(page.getByRole('row', { name: /Marigold/ })).toHaveCount(1);
});

test('an unused fibre is deleted and brought back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Lichen' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('row', { name: /Lichen/ })).toHaveCount(0);
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row', { name: /Lichen/ })).toHaveCount(1);
});

test('what cannot be a fibre is said beside its field, and nothing is put on the shelf', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/shelf?add`);
  await page.getByLabel('Colour', { exact: true }).fill('blue');
  await page.getByLabel('On hand').fill('some');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await expect(page.getByText('“blue” is not a colour')).toBeVisible();
  await expect(page.getByText('Give a number from 0 to 1000000.')).toBeVisible();
  await expectNothingSerious(page);
  await expect(page.getByText('25 fibres')).toBeVisible();
});

test('a count that cannot be read is not saved as the old one', async ({ page, demo }) => {
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: 'Moss' }).click();
  await page.getByLabel('On hand').fill('plenty');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel('On hand')).toBeFocused();
  await expect(page.getByText('Moss is saved.')).toHaveCount(0);
  await page.getByLabel('On hand').fill('17');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Moss is saved.')).toBeVisible();
});

test('a new count moves what a class is short of', async ({ page, demo }) => {
  await page.goto(demo.url);
  await expect(page.getByRole('link', { name: /Puffin weekend/ })).toContainText('Marigold short');
  await page.getByRole('region', { name: 'Short' }).getByRole('link', { name: 'Marigold' }).click();
  await page.getByLabel('On hand').fill('400');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Marigold is saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByRole('link', { name: /Puffin weekend/ })).toContainText('wool is there');
});

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
  await expect(page.getByRole('row', { name: /Chalk core batt/ })).toContainText('17.9 g');
});

test('printed, a sheet is the paper alone', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('article')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('banner')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('article')).toContainText('232.7 g in all');
  const pdf = await page.pdf({ format: 'A4', printBackground: false });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});
