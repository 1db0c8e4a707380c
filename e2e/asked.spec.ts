import { expect, type Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { keyboard, mouse } from './support/hands.ts';
import { test } from './support/studio.ts';

const region = (page: Page, name: string) => page.getByRole('region', { name });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const saved = (page: Page) => expect(page.locator('[data-save=saved]')).toBeVisible();

/** A day so many days from today, as a person types it. */
const inDays = (days: number): string =>
  new Date(Date.now() + days * 24 * 3_600_000).toLocaleDateString('en-CA');

for (const [how, handsOf] of [['mouse', mouse], ['nothing but keys', keyboard]] as const)
  test(`with ${how}: somebody asks for two pears; a pattern answers, a price is told, it has its place, and is handed over`, async ({ page, demo }) => {
    const hands = handsOf(page);
    await page.goto(`${demo.url}/logbook/asked`);
    await hands.press(button(page, 'Somebody asks for something'));
    await expect(page.getByLabel('What is wanted, in a few words')).toHaveValue('Something asked for');
    await hands.fill('What is wanted, in a few words', 'Three green pears for a window');
    await hands.fill('Asked by', 'Hanne');
    await hands.fillDay('Wanted by', inDays(60));
    await hands.fill('How many', '3');
    await page.keyboard.press('Tab');
    // Its words are looked for in titles and pieces.
    await hands.press(button(page, /^Pear with two leaves has “pears”/));
    const quote = region(page, 'Quote for 3');
    await expect(region(page, 'Quote').getByRole('heading')).toHaveText('Quote for 3');
    await expect(quote.or(region(page, 'Quote'))).toContainText('Material');
    await hands.fill('An hour is to be worth', '20');
    await page.keyboard.press('Tab');
    await expect(region(page, 'Quote')).toContainText(/At 20\.00 an hour it has to cost \d+\.00/);
    await hands.fill('Agreed, for all of it', '180');
    await page.keyboard.press('Tab');
    await expect(region(page, 'Quote')).toContainText(/180\.00 leaves [\d.]+ an hour/);
    const place = region(page, 'A place in the calendar');
    await expect(place).toContainText(/It takes \d days at the table: begin by /);
    await hands.press(button(page, /^Begin on .*, the latest$/));
    await expect(place).toContainText(/and is done on /);
    await saved(page);
    await hands.look();
    await hands.press(button(page, 'It is agreed'));
    await hands.press(button(page, 'Begin a page for it'));
    await expect(region(page, 'What it really took').getByRole('link')).toHaveText('Three green pears for a window');
    await hands.press(button(page, 'It is made'));
    await hands.press(button(page, 'It is handed over'));
    await saved(page);
    await page.goto(`${demo.url}/logbook/asked`);
    await expect(region(page, 'Done with')).toContainText('Three green pears for a window');
    await hands.look();
    await page.goto(`${demo.url}/logbook/year`);
    await expect(page.getByRole('row', { name: /Three green pears for a window/ })).toContainText('180.00');
  }); // prettier-ignore

test('what is wanted larger than its pattern is scaled, what is wanted too soon is said, and undo takes it back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook/asked`);
  await page.getByRole('link', { name: /Large puffin for a harbour office/ }).click();
  await expect(page.getByText(/At 1\d\d % of the pattern’s size/)).toBeVisible();
  const place = region(page, 'A place in the calendar');
  await page.getByLabel('Wanted by', { exact: true }).click();
  await page.keyboard.press('Control+A');
  await page.keyboard.type(inDays(1));
  await page.keyboard.press('Enter');
  await expect(page.getByText('It would begin after the day it is wanted by')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(place).toContainText(/and is done on /);
  // Further than a figure is scaled.
  await page.getByLabel('How tall', { exact: true }).fill('1900');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('note').filter({ hasText: 'further than a figure is scaled' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/At 1\d\d % of the pattern’s size/)).toBeVisible();
}); // prettier-ignore

test('the year and its seasons: what came in is said, an hour follows, and last year’s month stands beside this one’s', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook/year`);
  await expect(page.getByText(/[\d.]+ came in for both that were sold/)).toBeVisible();
  const before = page.getByRole('row', { name: /^Pear with two leaves/ }).first();
  await expect(before).toContainText('342.00');
  await page.getByLabel('Came in for Autumn pears').fill('400');
  await page.keyboard.press('Tab');
  await expect(before).toContainText('400.00');
  await page.getByLabel('Came in for Autumn pears').fill('');
  await page.keyboard.press('Tab');
  await expect(before).toContainText('unknown');
  await expectNothingByAxe(page);
  const table = page.waitForEvent('download');
  await button(page, 'As a table (CSV)').click();
  expect((await table).suggestedFilename()).toMatch(/^lanakit-year-\d{4}\.csv$/);
  await page.getByRole('link', { name: 'Seasons' }).click();
  await expect(region(page, 'To begin')).toContainText('Saturday pears');
  await expect(region(page, 'Month by month')).toContainText('Pear with two leaves');
  await expectNothingByAxe(page);
  await page.getByRole('link', { name: 'Finished figures' }).click();
  await expect(page.getByRole('img', { name: /Pear with two leaves/ }).first()).toBeVisible();
  await expectNothingByAxe(page);
}); // prettier-ignore

test('an empty studio: nobody has asked yet, nothing is finished, and each page says what belongs on it', async ({ page, empty }) => {
  for (const [path, words] of [
    ['asked', 'Nobody has asked for anything yet.'],
    ['gallery', 'No picture yet.'],
    ['seasons', 'Nothing has to begin in the next six weeks.'],
    ['year', 'Nothing is finished in it yet.'],
  ] as const) {
    await page.goto(`${empty.url}/logbook/${path}`);
    await expect(page.getByText(words)).toBeVisible();
  }
  await expectNothingByAxe(page);
}); // prettier-ignore
