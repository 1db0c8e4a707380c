import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
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
  await expect(portions).toContainText(/Since you opened it: 9 packs more.*Chalk \+167\.4 g/);
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

test('what is changed of a class is taken back by keys, with its name beside', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  const seats = page.getByLabel('Seats', { exact: true });
  const before = await seats.inputValue();
  await seats.fill('14');
  await expect(page.getByText('Ctrl Z takes back: how many come')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(seats).toHaveValue(before);
  await expect(page.getByText(/takes back/)).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(seats).toHaveValue('14');
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

const paper = async (page: Page, name: string) => {
  await page.getByRole('button', { name: 'Papers' }).click();
  await page.getByRole('menuitem', { name }).click();
};

test('papers: printed they are the paper alone; as PDF, table and JSON they come from the server', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await paper(page, 'Weigh-out list');
  await expect(page.getByRole('article')).toBeVisible();
  await expectNothingByAxe(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('banner')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('article')).toContainText('239.4 g in all');
  const printed = await page.pdf({ format: 'A4', printBackground: false });
  expect(printed.subarray(0, 5).toString()).toBe('%PDF-');
  await page.emulateMedia({ media: 'screen' });
  for (const [name, start] of [
    ['PDF', '%PDF-'],
    ['CSV', '\ufeffSection'],
    ['JSON of the run', '{'],
  ] as const) {
    const coming = page.waitForEvent('download');
    await page.getByRole('link', { name, exact: true }).click();
    const file = await (await coming).path();
    expect(readFileSync(file, 'utf8').startsWith(start)).toBe(true);
  }
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await paper(page, 'Labels');
  await expect(page.getByText('1 · Ines').first()).toBeVisible();
  await page.getByLabel('Columns').fill('9');
  await expect(page.getByText(/These labels take .* mm across, and the page has 210 mm/)).toBeVisible();
  await expectNothingByAxe(page);
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
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Sef, not chosen yet' }).click();
  const seat = page.getByRole('region', { name: 'Seat 9' });
  await seat.getByRole('checkbox', { name: 'Has chosen' }).check();
  await seat.getByLabel('colourway').click();
  await listed('russet').click();
  await expect(column(/russet × 4/)).toBeVisible();
  await expect(column(/as written × 8/)).toBeVisible();
  await expect(page.getByText('10 of 11 have chosen')).toBeVisible();
  // In another size it is another pack; one that cannot be made stays in its field.
  await seat.getByLabel('Size, of the pattern’s').fill('900');
  await expect(seat.getByText('Give a number from 25 to 400.')).toBeVisible();
  await seat.getByLabel('Size, of the pattern’s').fill('80');
  await expect(seat.getByText('76.8 mm tall')).toBeVisible();
  await expect(column(/russet, at 80 % of the size × 1/)).toBeVisible();
  await seat.getByLabel('Size, of the pattern’s').fill('100');
  await expect(column(/russet × 4/)).toBeVisible();
  await seat.getByRole('button', { name: 'Take this seat out' }).click();
  await expect(page.getByText('10 packs')).toHaveCount(0);
  await expect(column(/russet × 3/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(column(/russet × 4/)).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await paper(page, 'Pack lists');
  await expect(page.getByRole('article')).toContainText('9 · Sef');
  await expect(page.getByRole('article')).toContainText('Left-handed.');
  await expect(page.getByRole('article')).toContainText('for the left hand:');
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: /^Pim,/ }).click();
  await page.getByRole('button', { name: 'Read and print this seat’s pattern' }).click();
  const sheet = page.getByRole('article');
  await expect(sheet).toContainText('for Pim');
  await expect(sheet).toContainText('For the left hand: what is wound goes the other way round.');
  await expect(sheet).toContainText('Wind the tops tight and roll the stalk');
  await expect(sheet).toContainText('wrap the other way round, towards you');
  await expectNothingByAxe(page);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  // All of them: each sort once, with how often it is printed and for whom.
  await paper(page, 'Patterns, as each is made');
  await expect(sheet).toHaveCount(4);
  await expect(sheet.filter({ hasText: '1 copy: for Pim' })).toHaveCount(1);
  await expect(sheet.filter({ hasText: '4 copies: for Tove, Mara, Sef, Wil · russet' })).toHaveCount(1);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  await page.getByRole('button', { name: /^Rust/ }).click();
  await expect(
    page.getByRole('region', { name: 'Rust' }).getByRole('button', { name: /3 · Tove 3.0 g/ }),
  ).toBeVisible();
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('button', { name: /^Seat 1,/ }).click();
  await page.getByLabel('May not touch').click();
  await listed('may bleed').click();
  await expect(page.getByText(/^Seat 1 may not touch .*Marigold is in this pack/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expectNothingByAxe(page);
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
  await sure.getByRole('button', { name: 'Use: Each alone, for 95 %' }).click();
  await expect(portions.getByRole('columnheader', { name: /as written, first-timers × 2/ })).toBeVisible();
  await expect(portions).toContainText('so much that nobody is short, with 95 %');
  await expect(page.getByLabel('Nobody short, with')).toHaveValue('95');
  await expectNothingByAxe(page);
  await page.getByLabel('Nobody short, with').fill('100');
  await expect(page.getByText('Give a number from 50 to 99.').first()).toBeVisible();
  await page.getByLabel('Nobody short, with').fill('80');
  await expect(sure).toContainText('for 80 %');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await sure.getByRole('button', { name: 'Try it 10 000 times' }).click();
  await expect(sure).toContainText(/Of 10000 classes made by chance, \d+ had enough of everything: 8\d/);
  await sure.getByRole('button', { name: 'Use: Packs and a spare bag, for 80 %' }).click();
  await expect(portions.getByRole('row', { name: /Chalk.*spare bag for all/ })).toBeVisible();
  await sure.getByRole('button', { name: 'Use: 10 % over in every pack' }).click();
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
  await expectNothingByAxe(page);
  await dialog.getByRole('button', { name: 'Take 4 seats' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('1 of 4 have chosen')).toBeVisible();
  await expect(page.getByRole('button', { name: '=1+1, not chosen yet' })).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Mara, russet' })).toBeVisible();
});

test('from bought on the numbers stay: a late seat and an option changed after weighing are shown, and taken when told', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  const portions = page.getByRole('region', { name: 'Portions' });
  await page.getByRole('button', { name: 'It is bought' }).click();
  await expect(page.getByRole('alert')).toContainText('2 seats have not chosen yet.');
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Go on anyway' }).click();
  await expect(page.getByText('Saturday pears is bought.')).toBeVisible();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  const mara = page.getByRole('button', { name: /6 · Mara/ });
  await mara.click();
  await expect(mara).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await expect(page.getByText('1 of 47 weighings')).toBeVisible();

  // Somebody comes late, and Mara wants the green one after all.
  await page.getByRole('button', { name: 'Add a seat' }).click();
  const other = page.getByRole('region', { name: 'What is other now' });
  await expect(other).toContainText('new Seat 12: Chalk 18.6 g');
  await expect(portions.getByRole('columnheader', { name: '13 packs' })).toBeVisible();
  await page.getByRole('button', { name: 'Mara, russet' }).click();
  await page
    .getByRole('region', { name: 'Seat 6' })
    .getByRole('button', { name: 'back to the usual' })
    .click();
  await expect(other).toContainText('6 · Mara: Chalk +0.8 g');
  await expectNothingByAxe(page);
  await other.getByRole('button', { name: 'Take the new numbers' }).click();
  await expect(portions.getByRole('columnheader', { name: '14 packs' })).toBeVisible();
  await expect(other).toHaveCount(0);
  await expect(page.getByText('1 weighed for another amount')).toBeVisible();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  await expect(mara).toContainText('17.8 g in it: add 0.8 g');
  await mara.click();
  await expect(mara).not.toContainText('in it');
});

test('two devices tick at once, and each sees what the other did; nothing is lost by a kill', async ({
  page,
  browser,
  demo,
}) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  await page.waitForURL(/weigh-out$/);
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  const of = (device: Page, name: RegExp) => device.getByRole('button', { name });
  await Promise.all([of(page, /1 · Ines/).click(), of(other, /2 · Bram/).click()]);
  for (const device of [page, other]) {
    await expect(of(device, /1 · Ines/)).toHaveAttribute('aria-pressed', 'true');
    await expect(of(device, /2 · Bram/)).toHaveAttribute('aria-pressed', 'true');
    await expect(device.getByText('2 of 47 weighed')).toBeVisible();
  }
  // By keys: the space bar ticks and goes on to the next.
  await of(page, /3 · Tove/).focus();
  await page.keyboard.press('Space');
  await expect(of(page, /4 · Lio/)).toBeFocused();
  await expect(of(other, /3 · Tove/)).toHaveAttribute('aria-pressed', 'true');
  await demo.kill();
  await demo.start();
  await other.reload();
  await expect(other.getByText('3 of 47 weighed')).toBeVisible();
  await other.getByText('Pack by pack').click();
  await of(other, /Everything is in/).click();
  await expect(of(page, /1 · Ines/)).toBeVisible();
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await expect(page.getByText('1 of 13 packs')).toBeVisible();
});

test('a shortage is traced to the seats that go without', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByLabel('Seats').fill('40');
  const chalk = page.getByRole('region', { name: 'Portions' }).getByRole('row', { name: /Chalk core batt/ });
  await expect(chalk).toContainText('158.8 g');
  await chalk.getByRole('button', { name: '158.8 g' }).click();
  const where = page.getByRole('tooltip', { name: /Where Chalk goes/ });
  await expect(where).toContainText('Body core');
  await expect(where).toContainText(
    /158.8 g short: goes without, filled in their order, seats 3\d–40, Spare 1, Spare 2/,
  );
  await expectNothingByAxe(page);
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await paper(page, 'What is short');
  await expect(page.getByRole('article')).toContainText(/Chalk, core batt.*158.8 g.*seats 3\d–40/);
});

test('kits: boxes of several designs, from who to packed, and what is packed leaves the shelf', async ({
  page,
  demo,
}) => {
  test.slow();
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Pears by the three/ }).click();
  const portions = page.getByRole('region', { name: 'Portions' });
  await expect(portions.getByRole('row', { name: /Chalk core batt/ })).toBeVisible();
  await page.getByLabel('Boxes', { exact: true }).fill('8');
  await expect(page.getByRole('list', { name: 'How far it is' })).toContainText('0 of 8 packs');
  await page.getByLabel('Boxes', { exact: true }).fill('10000');
  await expect(page.getByText('Give a number from 1 to 500.').first()).toBeVisible();
  await page.getByLabel('Boxes', { exact: true }).fill('6');
  await expectNothingByAxe(page);
  await page.getByText('Bags and extras').click();
  await page.getByLabel('The wool of a pack goes into').click();
  await page
    .locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option')
    .filter({ hasText: 'a bag for each stage' })
    .click();
  await page.getByText('Pack by pack').click();
  await expect(page.getByRole('table', { name: 'Pack by pack' })).toContainText('Box 6 · Three pears');
  await expectNothingByAxe(page);
  await page.getByText('Cost', { exact: true }).click();
  await expect(page.getByText(/A box at .* leaves 30 % and pays for itself from/)).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  const go = async (name: string, done: string) => {
    await page.getByRole('button', { name, exact: true }).click();
    const anyway = page.getByRole('button', { name: 'Go on anyway' });
    await expect(anyway.or(page.getByText(done))).toBeVisible();
    if (await anyway.isVisible()) await anyway.click();
    await expect(page.getByText(done)).toBeVisible();
  };
  await go('It is bought', 'Pears by the three is bought.');
  await go('It is weighed', 'Pears by the three is weighed.');
  await go('It is packed', 'Pears by the three is packed.');
  await expect(page.getByText('off the shelf')).toBeVisible();
  await paper(page, 'Contents card');
  await expect(page.getByRole('article')).toContainText('3 × Pear with two leaves');
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: /Chalk/ }).first().click();
  await expect(page.getByText(/packed.*Pears by the three|Pears by the three/).first()).toBeVisible();
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Pears by the three/ }).click();
  await page.getByRole('button', { name: 'Plan the same again' }).click();
  await expect(page.getByRole('heading', { name: 'Pears by the three, again' })).toBeVisible();
});
