import { expect, test } from './support/studio.ts';

test('a first run is shown in five stops, done with the page’s own fields, and is there afterwards', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByRole('link', { name: /Be shown a first run/ }).click();
  const slip = page.getByRole('region', { name: 'The first run, shown' });
  await expect(slip).toContainText('1 of 5');
  await slip.getByRole('button', { name: 'Make these packs' }).click();
  await expect(slip).toContainText('2 of 5');
  await expect(page.getByRole('heading', { name: 'First figure', level: 1 })).toBeVisible();
  await slip.getByRole('button', { name: 'One more comes' }).click();
  await expect(page.getByText('9 seats, 10 packs in all')).toBeVisible();
  await slip.getByRole('button', { name: 'Next stop' }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await slip.getByRole('button', { name: 'Show its steps' }).click();
  await expect(page.getByText('Life of each part')).toBeVisible();
  await slip.getByRole('button', { name: 'Next stop' }).click();
  await slip.getByRole('button', { name: 'Tick the first' }).click();
  await expect(page.getByText(/^1 of \d+ weighed$/)).toBeVisible();
  // A reload does not end it; what was done is done.
  await page.reload();
  await expect(slip).toContainText('4 of 5');
  await expect(page.getByText(/^1 of \d+ weighed$/)).toBeVisible();
  await slip.getByRole('button', { name: 'Next stop' }).click();
  await expect(page.getByRole('heading', { name: 'Packs, seat by seat' })).toBeVisible();
  await slip.getByRole('button', { name: 'Done' }).click();
  await expect(slip).toHaveCount(0);
  await page.goto(empty.url);
  await expect(page.getByText('9 seats and 1 spare')).toBeVisible();
});

test('the tour is left at any stop, and does not come back', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page.getByRole('link', { name: /Be shown a first run/ }).click();
  const slip = page.getByRole('region', { name: 'The first run, shown' });
  await slip.getByRole('button', { name: 'Leave the tour' }).click();
  await expect(slip).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Begin a figure' })).toBeVisible();
  await expect(slip).toHaveCount(0);
});

test('every place says what it answers; a word is found, and a field asks for its own', async ({
  page,
  demo,
}) => {
  for (const [path, answers] of [
    ['/', 'What needs me today?'],
    ['/patterns', 'What can be made, and which of it is ready?'],
    ['/shelf', 'What have I got, and what of it is free?'],
    ['/runs', 'What is planned, and how far is it?'],
  ] as const) {
    await page.goto(demo.url + path);
    await page.getByRole('button', { name: 'Help on this place' }).click();
    await expect(page.getByText(answers)).toBeVisible();
    await page.keyboard.press('Escape');
  }
  await page.goto(`${demo.url}/runs?plan`);
  await page.getByLabel('Spare packs', { exact: true }).focus();
  await page.keyboard.press('F1');
  const drawer = page.getByRole('dialog').filter({ hasText: 'Words' });
  await expect(drawer.getByText('Whole packs over', { exact: false }).first()).toBeVisible();
  await drawer.getByLabel('Find a word').fill('combed');
  await expect(drawer.getByText('How wool is prepared')).toBeVisible();
});
