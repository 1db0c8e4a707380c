import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

test('a pattern is gone back to as it was, told in words, and that can be gone back from', async ({
  page,
  demo,
}) => {
  const { items } = (await (await page.request.get(`${demo.url}/api/patterns`)).json()) as {
    items: { id: string; version: number; document: { title: string; prerequisites: string } }[];
  };
  const puffin = items.find(({ document }) => document.title === 'Harbour puffin');
  const saved = await page.request.put(`${demo.url}/api/patterns/${puffin?.id}`, {
    headers: { 'If-Match': `"${puffin?.version}"` },
    data: { ...puffin?.document, title: 'Harbour puffin, too hasty' },
  });
  expect(saved.status()).toBe(200);
  await page.goto(`${demo.url}/patterns/${puffin?.id}`);
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByText('History: as it was before').click();
  await expect(page.getByRole('heading', { name: 'Harbour puffin, too hasty' })).toBeVisible();
  await page.getByRole('region', { name: 'History' }).getByRole('button').first().click();
  await expect(page.getByRole('region', { name: 'In words' })).toContainText(
    '“Harbour puffin” → “Harbour puffin, too hasty”',
  );
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Go back to this' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour puffin', exact: true })).toBeVisible();
  await expect(page.getByRole('region', { name: 'History' }).getByRole('button')).toHaveCount(2);
  await page.getByRole('link', { name: 'As it is now' }).click();
  await expect(page.getByRole('button', { name: 'More to do with this pattern' })).toBeVisible();
});

test('a run and a thing of the shelf have their history too', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'History' }).click();
  await expect(page.getByText('It was never changed since it is kept here.')).toBeVisible();
  await page.getByRole('link', { name: 'As it is now' }).click();
  await page.getByLabel('Seats', { exact: true }).fill('14');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'History' }).click();
  await page.getByRole('region', { name: 'History' }).getByRole('button').first().click();
  await expect(page.getByRole('region', { name: 'In words' })).toContainText('seats: 11 → 14');
  await expectNothingByAxe(page);
});
