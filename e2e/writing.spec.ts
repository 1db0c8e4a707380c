import type { Locator, Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

const openPattern = async (page: Page, url: string, title: string) => {
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
};

const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
/** Of the list itself; a part's layers are rows within a row. */
const rows = (page: Page): Locator => page.locator('[data-row]:not([data-row] [data-row])');
const rowHead = (page: Page, name: RegExp) => page.locator('[data-row-head]').filter({ hasText: name });
const names = (page: Page) =>
  page.locator('[data-row-head] b, [data-row-head] span[class*="name"]').allTextContents();

test('choosing a piece on the table chooses it in the list, and its grams follow its size at once', async ({
  page,
  demo,
}) => {
  await openPattern(page, demo.url, 'Harbour puffin');
  await page.getByRole('region', { name: 'Pieces' }).getByRole('button', { name: /Beak/ }).first().click();
  await expect(rowHead(page, /Beak/)).toHaveAttribute('aria-expanded', 'true');
  const ledger = page.getByRole('complementary', { name: 'One make' });
  const before = await ledger.getByRole('button').first().textContent();
  await page.getByLabel('Length', { exact: true }).fill('48 mm');
  await expect(ledger.getByRole('button').first()).not.toHaveText(before ?? '');
  await expect(ledger).toContainText('since revision 1, most from piece 6');
});

test('a number opens to how it came about', async ({ page, demo }) => {
  await openPattern(page, demo.url, 'Harbour puffin');
  const layers = page.getByRole('region', { name: 'Layers of Body' });
  await layers.getByTitle('How it came about').nth(1).click();
  const came = page.getByRole('tooltip').filter({ hasText: 'how it came about' });
  await expect(came).toContainText('CIEDE2000');
  await expect(came).toContainText('Our default, not yet measured');
  await expectNothingByAxe(page);
});

test('parts are put in order by dragging, by Alt and an arrow, and by the handle’s own keys; undo takes each back', async ({
  page,
  demo,
}) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  await rowHead(page, /Body/).click();
  const start = await names(page);
  expect(start).toEqual(['Body', 'Stalk', 'Leaf', 'Blush']);

  await page.getByRole('button', { name: 'Move part 4, Blush' }).hover();
  await page.mouse.down();
  const target = await rows(page).first().boundingBox();
  await page.mouse.move((target?.x ?? 0) + 12, (target?.y ?? 0) + 30, { steps: 12 });
  await page.mouse.move((target?.x ?? 0) + 12, (target?.y ?? 0) + 10, { steps: 6 });
  await page.mouse.up();
  await expect.poll(() => names(page)).toEqual(['Blush', 'Body', 'Stalk', 'Leaf']);

  await rowHead(page, /Leaf/).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(() => names(page)).toEqual(['Blush', 'Body', 'Leaf', 'Stalk']);
  await expect(rowHead(page, /Leaf/)).toBeFocused();

  await page.getByRole('button', { name: 'Move part 2, Body' }).focus();
  await page.keyboard.press('Space');
  await expect(page.locator('[id^="DndLiveRegion"]').first()).toContainText('is over place 2');
  // Picked up, it listens for arrows a moment later: what is timed from here comes after that.
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve)));
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[id^="DndLiveRegion"]').first()).toContainText('is over place 3');
  await page.keyboard.press('Space');
  await expect.poll(() => names(page)).toEqual(['Blush', 'Leaf', 'Body', 'Stalk']);

  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(start);
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => names(page)).toEqual(['Blush', 'Body', 'Stalk', 'Leaf']);
  await saved(page);
});

test('a part is duplicated, deleted, and brought back with its steps', async ({ page, demo }) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  await rowHead(page, /Stalk/).focus();
  await page.keyboard.press('Control+d');
  await expect(rows(page)).toHaveCount(5);
  await rowHead(page, /Leaf/).focus();
  await page.keyboard.press('Delete');
  await expect(rows(page)).toHaveCount(4);
  await page.getByLabel('Title').fill('Pear, written on');
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(rows(page)).toHaveCount(5);
  await expect(page.getByLabel('Title')).toHaveValue('Pear, written on');
  await saved(page);
  await page.reload();
  await expect(rows(page)).toHaveCount(5);
  await page.getByText('10 steps').click();
  await expect(rows(page).nth(4)).toContainText('Lay out a leaf');
  await expect(rows(page).nth(4)).toContainText('4');
});

test('bad sizes stay in their field with the reason, and the pattern keeps what it had', async ({
  page,
  demo,
}) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  await rowHead(page, /Stalk/).click();
  const length = page.getByLabel('Length', { exact: true });
  const says = (words: string | RegExp) =>
    expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
  for (const [text, words] of [
    ['abc', 'Not a size'],
    ['0', 'more than 0'],
    ['-4', 'more than 0'],
    ['1000000000', 'Check the unit'],
    ['1e9', 'Not a size'],
  ] as const) {
    await length.fill(text);
    await length.blur();
    await says(words);
    await expect(length).toHaveValue(text);
  }
  await length.fill('3');
  await says('less than its');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'refused');
  await expect(rowHead(page, /Stalk/)).toContainText('unknown');
  await expectNothingByAxe(page);
  await length.fill('22');
  await saved(page);
  await page.getByLabel('How many', { exact: true }).fill('2.5');
  await says('whole number');
  await page.getByLabel('Name', { exact: true }).fill('');
  await says('Give it a name');
  await page.getByLabel('Title').fill('');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'refused');
  await page.reload();
  // Kept through a closed page, though it could not be saved.
  await expect(page.getByLabel('Title')).toHaveValue('');
});

test('of two tabs on one pattern, the second to save sees both and decides', async ({
  page,
  context,
  demo,
}) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  const other = await context.newPage();
  await openPattern(other, demo.url, 'Pear with two leaves');

  await page.getByLabel('Title').fill('Pear, mine');
  await saved(page);
  await other.getByLabel('Finished height').fill('99 mm');
  const dialog = other.getByRole('dialog');
  await expect(dialog).toContainText('changed elsewhere');
  await expect(dialog).toContainText('The title differs');
  await expect(dialog).toContainText('Pear, mine');
  await expectNothingByAxe(other);
  await dialog.getByRole('button', { name: 'Keep mine', exact: true }).click();
  await saved(other);

  await page.getByLabel('Title').fill('Pear, mine again');
  await page.getByRole('dialog').getByRole('button', { name: 'Use the saved version' }).click();
  await expect(page.getByLabel('Finished height')).toHaveValue('99 mm');
  await expect(page.getByLabel('Title')).toHaveValue('Pear with two leaves');
  await saved(page);

  await page.getByLabel('Title').fill('Here');
  await saved(page);
  await other.getByLabel('Title').fill('There');
  await other
    .getByRole('dialog')
    .getByRole('button', { name: /Keep both/ })
    .click();
  await expect(other.getByLabel('Title')).toHaveValue('There (mine)');
  await other.goto(`${demo.url}/patterns`);
  await expect(other.getByRole('link', { name: /Here|There \(mine\)/ })).toHaveCount(2);
});

test('a dead server loses nothing: what is typed is kept and sent when it is back', async ({
  page,
  demo,
}) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  await demo.kill();
  await page.getByLabel('Title').fill('Pear in a storm');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'kept-here');
  await demo.start();
  await saved(page);
  await page.goto(`${demo.url}/patterns`);
  await expect(page.getByRole('link', { name: /Pear in a storm/ })).toBeVisible();
});

test('publishing waits until nothing is unknown, and says what is', async ({ page, demo }) => {
  await openPattern(page, demo.url, 'Stag beetle brooch');
  await page.getByRole('button', { name: 'Publish revision 2' }).click();
  await expect(page.getByText(/Not published: 2 things to settle/)).toBeVisible();
  const settle = page.getByRole('region', { name: 'To settle' });
  await settle.getByRole('button', { name: /Leg/ }).click();
  await page.getByLabel('Diameter', { exact: true }).fill('3');
  await settle.getByRole('button', { name: /Jaw/ }).click();
  await page.getByLabel('Core fibre').click();
  await page.keyboard.type('soot');
  await page.keyboard.press('Enter');
  await expect(settle).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: 'Publish revision 2' }).click();
  await page.getByLabel('What is new in it').fill('broader legs');
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText('Revision 2 is published')).toBeVisible();
  // The first dialog is gone before the second is asked for, as for anybody who looks.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Publish revision 3' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByRole('status').last()).toContainText('Nothing has changed since the last revision');
});

test('undo in the very field gives the size back, arrows nudge it, and a page left and come back to goes on from what was saved', async ({
  page,
  demo,
}) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  const length = page.getByLabel('Length', { exact: true });
  await length.fill('81');
  await expect(length).toHaveValue('81');
  await page.keyboard.press('Control+z');
  await expect(length).toHaveValue('74 mm');
  await length.fill('77');
  await saved(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await page.goBack();
  await expect(length).toHaveValue('77 mm');
  await length.fill('78');
  await length.press('ArrowUp');
  await expect(length).toHaveValue('79 mm');
  await length.press('Shift+ArrowDown');
  await expect(length).toHaveValue('74 mm');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('inches are kept as typed and shown as makers read them', async ({ page, demo }) => {
  await openPattern(page, demo.url, 'Pear with two leaves');
  await page.getByText('inches', { exact: true }).click();
  await rowHead(page, /Body/).click();
  await rowHead(page, /Body/).click();
  const length = page.getByLabel('Length', { exact: true });
  await length.fill('2 7/8');
  await length.blur();
  await expect(length).toHaveValue('2⅞ in');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('2⅞ in');
});

test('a pattern is duplicated, deleted and brought back', async ({ page, demo }) => {
  await openPattern(page, demo.url, 'Balloon mobile');
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate this pattern' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Balloon mobile (copy)');
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name: 'Delete this pattern' }).click();
  await expect(page.getByRole('link', { name: /Balloon mobile/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Balloon mobile/ })).toHaveCount(2);
});
