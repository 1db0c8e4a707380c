import { expectNothingSerious } from './support/axe.ts';
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
  await expect(page.getByRole('article')).toContainText('239.4 g in all');
  const pdf = await page.pdf({ format: 'A4', printBackground: false });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});

test('who comes: the room by choices, a seat that changes its mind, one that is taken out, and sheets by name', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  const portions = page.getByRole('region', { name: 'Portions' });
  const listed = (name: string) =>
    page
      .locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option')
      .filter({ hasText: name });
  const column = (name: RegExp) => portions.getByRole('columnheader', { name });
  await expect(page.getByText('9 of 11 have chosen')).toBeVisible();
  await expect(column(/as written × 9/)).toBeVisible();
  await expect(column(/russet × 3/)).toBeVisible();
  await expectNothingSerious(page);
  await page.getByRole('button', { name: 'Sef, not chosen yet' }).click();
  const seat = page.getByRole('region', { name: 'Seat 9' });
  await seat.getByRole('checkbox', { name: 'Has chosen' }).check();
  await seat.getByLabel('colourway').click();
  await listed('russet').click();
  await expect(column(/russet × 4/)).toBeVisible();
  await expect(column(/as written × 8/)).toBeVisible();
  await expect(page.getByText('10 of 11 have chosen')).toBeVisible();
  await seat.getByRole('button', { name: 'Take this seat out' }).click();
  await expect(page.getByText('10 packs')).toHaveCount(0);
  await expect(column(/russet × 3/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(column(/russet × 4/)).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.getByRole('button', { name: 'Pack sheets' }).click();
  await expect(page.getByRole('article')).toContainText('9 · Sef');
  await expect(page.getByRole('article')).toContainText('left-handed: wraps run the other way');
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('article')).toContainText('3.0 g each, 4 packs: russet.');
  await expect(page.getByRole('article')).toContainText('3 Tove');
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('button', { name: /^Seat 1,/ }).click();
  await page.getByLabel('May not touch').click();
  await listed('may bleed').click();
  await expect(page.getByText(/^Seat 1 may not touch .*Marigold is in this pack/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expectNothingSerious(page);
});

test('how sure it is that nobody is short: packed for a chance, and back to a percentage', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  const sure = page.getByRole('region', { name: 'So that nobody is short' });
  const portions = page.getByRole('region', { name: 'Portions' });
  await expect(sure).toContainText('10 % over in every pack');
  await sure.getByRole('button', { name: 'Pack for 95 %' }).click();
  await expect(portions.getByRole('columnheader', { name: /as written, first-timers × 2/ })).toBeVisible();
  await expect(portions).toContainText('so much that nobody is short, with 95 %');
  await expect(page.getByLabel('Nobody short, with')).toHaveValue('95');
  await expectNothingSerious(page);
  await page.getByLabel('Nobody short, with').fill('100');
  await expect(page.getByText('Give a number from 50 to 99.').first()).toBeVisible();
  await page.getByLabel('Nobody short, with').fill('80');
  await expect(sure).toContainText('for 80 %');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.getByRole('button', { name: 'Weigh-out sheet' }).click();
  await expect(page.getByRole('article')).toContainText('So much that nobody is short, with 80 %');
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await sure.getByRole('button', { name: 'Back to 10 % over' }).click();
  await expect(portions).toContainText('10 % over the likely amount');
});

test('a pasted list becomes seats, by keys alone', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Paste a list…' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('The list').focus();
  await page.keyboard.insertText('Mara, russet\nJun, first-timer, vegan\nmara\n=1+1');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Two are called the same: mara')).toBeVisible();
  await expect(dialog.getByText('note: vegan')).toBeVisible();
  await expectNothingSerious(page);
  await dialog.getByRole('button', { name: 'Take 4 seats' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 of 4 have chosen')).toBeVisible();
  await expect(page.getByRole('button', { name: '=1+1, not chosen yet' })).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Mara, russet' })).toBeVisible();
});
