import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

const open = async (page: Page, url: string, title: string) => {
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
};
const show = (page: Page, what: string | RegExp) =>
  page.getByRole('radiogroup', { name: 'What to write' }).getByText(what).click();
const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
const ledger = (page: Page) => page.getByRole('complementary', { name: 'One make' });
const heads = (page: Page) => page.getByRole('region', { name: 'Steps' }).locator('[data-row-head]');
const say = (page: Page) =>
  page.getByRole('status').filter({ has: page.getByRole('button', { name: 'Put away' }) });

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page
    .locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option')
    .filter({ hasText: option })
    .first()
    .click();
}

test('a text becomes steps, and what was read in it goes in as approved', async ({ page, demo }) => {
  await open(page, demo.url, 'Pear with two leaves');
  await show(page, /10 steps/);
  await page.getByRole('button', { name: 'Paste a text…' }).click();
  await page.getByLabel('The text').fill(
    'Finish\n1. Snip the leaf, 4 min.\n2. Lay 2 g of pear over the body with a 40 needle, shallow, 5-8 min.',
  ); // prettier-ignore
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('2 steps read')).toBeVisible();
  await dialog.getByRole('checkbox', { name: 'light' }).uncheck();
  await expectNothingByAxe(page);
  await dialog.getByRole('button', { name: 'Take 2 steps' }).click();
  await expect(heads(page)).toHaveCount(12);
  await expect(heads(page).last()).toContainText('5–8 min');
  await expect(heads(page).last().getByRole('img', { name: 'light' })).toHaveCount(0);
  await show(page, /4 parts/);
  await expect(page.getByRole('region', { name: 'Layers of Body' })).toContainText('2 g');
  await page.keyboard.press('Control+z');
  await show(page, /10 steps/);
  await expect(heads(page)).toHaveCount(10);
});

test('written by keys alone: Enter goes on, / puts in, what the words say is offered, and a step stays where it must', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Pear with two leaves');
  await show(page, /10 steps/);
  await heads(page).nth(9).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('What to do').focus();
  await page.keyboard.press('Enter');
  await expect(heads(page)).toHaveCount(11);
  const words = page.getByLabel('What to do');
  await expect(words).toBeFocused();
  await page.keyboard.type('Felt 12 min along /stalk');
  await expect(page.locator('.ant-mentions-dropdown')).toContainText('part 2 Stalk');
  await page.keyboard.press('Enter');
  await expect(words).toHaveValue('Felt 12 min along the stalk ');
  await expect(page.getByRole('group', { name: 'Acts on' }).getByRole('button', { name: '2 Stalk', exact: true })).toHaveAttribute('aria-pressed', 'true'); // prettier-ignore
  const offers = page.getByRole('group', { name: 'Read in the text' });
  await offers.getByRole('button', { name: 'all of it' }).click();
  await expect(page.getByLabel('Minutes at your pace')).toHaveValue('12');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Minutes at your pace')).toHaveValue('');
  // The join needs its parts made first: it says so, and offers the nearest place.
  await heads(page).nth(7).focus();
  for (let press = 0; press < 3; press++) await page.keyboard.press('Alt+ArrowUp');
  await expect(say(page)).toContainText('it is made before it is joined');
  await expect(heads(page).nth(7)).toContainText('Spread the loose end');
  await saved(page);
});

test('a build is switched: grams, minutes, steps and the drawing follow, and the reader gets the same', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  await expect(ledger(page)).toContainText('Bead eye 4 mm');
  await choose(page, 'eyes', 'felted');
  await expect(ledger(page)).not.toContainText('Bead eye 4 mm');
  await choose(page, 'colourway', 'winter');
  await expect(ledger(page)).toContainText('Driftwood');
  await show(page, /26 steps/);
  await expect(heads(page).filter({ hasText: 'not in this build' })).toHaveCount(3);
  await show(page, 'options');
  await page.getByRole('button', { name: 'Compare the builds' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('4 builds may be chosen');
  await expectNothingByAxe(page);
  await dialog.getByRole('row', { name: /beads no/ }).click();
  await expect(ledger(page)).toContainText('Bead eye 4 mm');
  await page.goto(`${page.url()}/read`);
  await choose(page, 'eyes', 'felted');
  await expect(page.getByText('Dot the eyes in soot')).toBeVisible();
  await expect(page.getByText('Try both sizes of bead')).toHaveCount(0);
  await expect(page.getByText('It is bag A.')).toHaveCount(0);
  await page.getByText('with the kit', { exact: true }).click();
  await expect(page.getByText('It is bag A.')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('limits that exclude everything are refused beside them, and nothing is lost', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Tide-pool octopus');
  await show(page, 'options');
  const limits = page.getByRole('region', { name: 'Limits' });
  for (const [at, [that, how]] of [
    ['yes', 'never goes with'],
    ['no', 'never goes with'],
  ].entries()) {
    await limits.getByRole('button', { name: 'Add a limit' }).click();
    await limits.getByLabel('That').nth(at).click();
    await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option').filter({ hasText: `a shell to sit on: ${that}` }).click(); // prettier-ignore
    expect(how).toBe('never goes with');
  }
  for (const at of [2, 3]) {
    await limits.getByRole('button', { name: 'Add a limit' }).click();
    await limits.getByLabel('This').nth(at).click();
    await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option').filter({ hasText: 'suckers: no' }).click(); // prettier-ignore
    if (at === 3) {
      await limits.getByLabel('That').nth(at).click();
      await page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option').filter({ hasText: 'a shell to sit on: no' }).click(); // prettier-ignore
    }
  }
  await expect(limits.getByRole('alert')).toContainText('no build is left');
  await limits.getByRole('button', { name: 'Take it away' }).last().click();
  await expect(limits.getByRole('alert')).toHaveCount(0);
  await saved(page);
});

test('twenty mixed edits are undone one by one, and done again', async ({ page, demo }) => {
  await open(page, demo.url, 'Pear with two leaves');
  const title = page.getByLabel('Title');
  await show(page, 'about');
  await choose(page, 'Left and right are', 'the figure');
  await page.getByLabel('Before you begin').fill('A needle and patience');
  await page.getByRole('button', { name: 'Add a session' }).click();
  await page.getByLabel('Safe stop').fill('after the coat');
  await show(page, 'options');
  await page.getByRole('button', { name: 'Add an extra' }).click();
  await page.getByLabel('Extra').last().fill('with a ribbon');
  await page.getByRole('button', { name: 'Add a slot' }).click();
  await page.getByRole('button', { name: 'Add a colourway' }).click();
  await page.getByRole('button', { name: 'Add a swap' }).click();
  await show(page, 'materials');
  await page.getByLabel('Another tool or material').fill('cocktail stick');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.getByRole('button', { name: 'Leave out scissors' }).click();
  await page.getByRole('button', { name: 'Add a finding' }).click();
  await show(page, /10 steps/);
  await heads(page).first().click();
  await page.getByLabel('What to do').fill('Otherwise');
  await choose(page, 'Stroke', 'along');
  await page.getByLabel('Minutes at your pace').fill('7-9');
  await page.getByRole('radiogroup', { name: 'More of this step' }).getByText('checks').click();
  await page.getByRole('button', { name: 'Add a check' }).click();
  await page.getByRole('button', { name: 'Add a step after' }).click();
  await show(page, /4 parts/);
  await page.getByLabel('Diameter', { exact: true }).fill('58');
  await page.getByRole('button', { name: 'Add a part', exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Worm');
  await title.fill('Pear with a worm');
  await saved(page);
  for (let edit = 0; edit < 20; edit++) await page.keyboard.press('Control+z');
  await show(page, 'about');
  await expect(page.getByLabel('Before you begin')).toHaveValue(
    'Nothing at all: this is the first thing you make.',
  );
  await expect(title).toHaveValue('Pear with two leaves');
  await saved(page);
  for (let edit = 0; edit < 20; edit++) await page.keyboard.press('Control+Shift+z');
  await expect(title).toHaveValue('Pear with a worm');
  await page.reload();
  await expect(title).toHaveValue('Pear with a worm');
  await show(page, /11 steps/);
  await expect(heads(page).first()).toContainText('Otherwise');
  await expect(heads(page).first()).toContainText('7–9 min');
});

test('a tab closed on a dead server loses nothing', async ({ page, demo, context }) => {
  await open(page, demo.url, 'Pear with two leaves');
  const address = page.url();
  await show(page, /10 steps/);
  await heads(page).first().click();
  await context.route('**/api/patterns/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue())); // prettier-ignore
  await page.getByLabel('What to do').fill('Typed while nobody listened');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'kept-here');
  const later = await context.newPage();
  await page.close();
  await context.unroute('**/api/patterns/*');
  await later.clock.install({ time: Date.now() + 60_000 });
  await later.goto(address);
  await show(later, /10 steps/);
  await expect(heads(later).first()).toContainText('Typed while nobody listened');
  await heads(later).first().click();
  await later.getByLabel('What to do').fill('And gone on with');
  await later.clock.runFor(10_000);
  await saved(later);
});

test('a pattern goes out as a ZIP with its pictures and comes in again, mapped to this shelf', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name: 'Save as a file' }).hover();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'ZIP with its pictures' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('harbour-puffin.zip');
  const buffer = await readFile(await file.path());
  await page.goto(`${demo.url}/bring-in`);
  const input = page.locator('input[type=file]');
  await input.setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"lanakit-pattern","formatVersion":99,"parts":[],"steps":[]}') }); // prettier-ignore
  await expect(page.getByRole('alert')).toContainText('newer Lanakit');
  await input.setInputFiles({ name: 'puffin.zip', mimeType: 'application/zip', buffer });
  const inside = page.getByRole('region', { name: 'What is in it' });
  await expect(inside).toContainText('7 parts, 26 steps');
  await expect(inside.getByText('the same here').first()).toBeVisible();
  await expectNothingByAxe(page);
  await inside.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Harbour puffin');
  await expect(ledger(page)).toContainText('33.6 g');
  await page.goto(`${page.url()}/read`);
  await expect(page.getByRole('img', { name: /One wire: folded double/ })).toBeVisible();
});

test('a technique has a newer version: what changes is shown, then taken', async ({ page, demo }) => {
  await open(page, demo.url, 'Tide-pool octopus');
  await show(page, /16 steps/);
  const news = page.getByRole('group', { name: 'News of Rolled limb' });
  await news.getByRole('button', { name: 'What changes' }).click();
  await expect(news).toContainText('the tip first');
  await news.getByRole('button', { name: 'Take it' }).click();
  await expect(news).toHaveCount(0);
  await expect(heads(page).nth(4)).toContainText('the tip first');
  await page.keyboard.press('Control+z');
  await expect(news).toBeVisible();
  // A new one is written, and used by its name.
  await page.goto(`${demo.url}/techniques/new`);
  await page.getByLabel('Name', { exact: true }).fill('Notched foot');
  await page.getByRole('textbox', { name: 'Step 1' }).fill('Notch it {depth} deep');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByText('is none of its parameters')).toBeVisible();
  await page.getByRole('button', { name: 'Add something to fill in' }).click();
  await page.getByLabel('In braces').fill('depth');
  await page.getByLabel('Unless said').fill('4 mm');
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByRole('button', { name: 'Save as version 2' })).toBeVisible();
  await open(page, demo.url, 'Pear with two leaves');
  await show(page, /10 steps/);
  await page.getByRole('button', { name: 'Use a technique' }).click();
  await page.getByRole('button', { name: 'Notched foot' }).click();
  await expect(heads(page).last()).toContainText('Notch it 4 mm deep');
});

test('a step nobody has photographed shows the figure as far as it is, on the table and on paper', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Tide-pool octopus');
  await show(page, /\d+ steps/);
  await heads(page).nth(1).click();
  await page
    .getByRole('radiogroup', { name: 'More of this step' })
    .getByText(/pictures/)
    .click();
  await expect(page.getByRole('img', { name: 'The figure as far as this step' })).toBeVisible();
  const printed = page.getByRole('checkbox', { name: 'Print the figure as far as this step' });
  await printed.uncheck();
  await printed.check();
  await expectNothingByAxe(page);
  await saved(page);
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name: 'Read as the learner does' }).click();
  await expect(page.getByRole('img', { name: 'The figure as far as step 2' })).toBeVisible();
});
