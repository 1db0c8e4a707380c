import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectNothingByAxe } from './support/axe.ts';
import { smallClass } from './support/smallClass.ts';
import { expect, test } from './support/studio.ts';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const region = (page: Page, name: string) => page.getByRole('region', { name });

/** What lies on the simulated scale, as a hand would lay it there. */
async function layOn(page: Page, url: string, grams: number): Promise<void> {
  const { items } = (await (await page.request.get(`${url}/api/scales`)).json()) as {
    items: { id: string }[];
  };
  for (const act of [{ act: 'clear' }, { act: 'put', massG: grams }]) {
    const played = await page.request.post(`${url}/api/scales/${items[0]?.id}/acts`, { data: act });
    expect(played.ok()).toBe(true);
  }
}

async function chooseSimulatedScale(page: Page, url: string): Promise<void> {
  const runId = await smallClass(page, url, 'Saturday pears', 2);
  await page.goto(`${url}/runs/${runId}/weigh-out`);
  await page.getByRole('combobox', { name: 'Weighed with' }).click();
  await page.getByTitle('Simulated scale', { exact: true }).click();
  await expect(region(page, 'At the scale')).toBeVisible();
}

test('a sample by the scale: weighed before and after, timed by a press, taken, and in force in the pattern', async ({ page, demo }) => {
  await chooseSimulatedScale(page, demo.url);
  await page.goto(`${demo.url}/logbook`);
  await button(page, 'Write down a making').click();
  await expect(page.getByRole('heading', { name: 'A new page' })).toBeVisible();
  await expect(button(page, 'Pear with two leaves')).toBeVisible();
  await expectNothingByAxe(page);
  await button(page, 'Pear with two leaves').click();
  await button(page, 'Begin the page').click();
  const bag = page.getByRole('group', { name: 'Chalk core batt' });
  await layOn(page, demo.url, 90);
  await bag.getByRole('button', { name: 'Before, Chalk core batt from Simulated scale' }).click();
  await expect(bag.getByRole('textbox', { name: 'Before' })).toHaveValue(/^(?:89\.9|90|90\.1)$/);
  // Asked the moment it is laid on: what lay there before is no answer.
  await layOn(page, demo.url, 70);
  await bag.getByRole('button', { name: 'After, Chalk core batt from Simulated scale' }).click();
  await expect(bag.getByRole('textbox', { name: 'After' })).toHaveValue(/^(?:69\.9|70|70\.1)$/);
  await expect(bag).toContainText(/took(?:19\.[89]|20|20\.[012]) g/);
  await expect(bag).toContainText(/of 1\d\.\d g expected/);
  // A watch that hands full of wool can press; then typed after all.
  await button(page, /^Start the watch of step 1$/).click();
  await expect(button(page, /^Stop the watch of step 1$/)).toContainText('stop');
  await button(page, /^Stop the watch of step 1$/).click();
  await page.getByLabel('Minutes of step 1', { exact: true }).fill('7');
  await page.keyboard.press('Tab');
  await button(page, 'This page is done').click();
  await expect(page.locator('[data-save=saved]')).toBeVisible();
  await expectNothingByAxe(page);
  // What it changes is told before it is taken.
  await page.getByRole('link', { name: /What was learnt of all/ }).click();
  const offer = region(page, 'To take');
  await expect(offer).toContainText('Taking them changes 5 patterns');
  await expectNothingByAxe(page);
  const then = (await offer.getByRole('row', { name: /Pear with two leaves/ }).getByRole('cell').last().textContent()) ?? '';
  await button(page, 'Take it').click();
  await expect(page.getByText('Everything weighed so far is in force.')).toBeVisible();
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).first().click();
  await expect(page.getByText(/^[\d.]+ g/.exec(then)?.[0] ?? 'grams').first()).toBeVisible();
  // By the keyboard, taken back: what is written comes back by undo.
  await page.goto(`${demo.url}/logbook`);
  await expect(page.getByRole('navigation', { name: 'Pages' })).toContainText('at least');
}); // prettier-ignore

test('a point that slipped is asked about, mended by a press, and a page that contradicts is kept', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook/learnt`);
  const odd = page.getByRole('row', { name: /odd, .* does not count/ });
  await expect(odd).toHaveCount(1);
  await odd.getByRole('link').click();
  await expect(page.getByRole('note').filter({ hasText: 'of what is expected' })).toBeVisible();
  await button(page, /^Yes, /).click();
  await expect(page.getByRole('note')).toHaveCount(0);
  await expect(page.locator('[data-save=saved]')).toBeVisible();
  await page.getByRole('link', { name: /What was learnt of all/ }).click();
  await expect(page.getByRole('row', { name: /does not count/ })).toHaveCount(0);
  // Left out by hand, and counted again.
  await button(page, /^Leave out: / ).first().click();
  await expect(button(page, /^Count again: /)).toHaveCount(1);
  await button(page, /^Count again: /).click();
  await expect(button(page, /^Count again: /)).toHaveCount(0);
  await page.goto(`${demo.url}/logbook`);
  const bag = page.getByRole('group', { name: 'Chalk core batt' });
  await bag.getByRole('textbox', { name: 'After' }).fill('500');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('note').filter({ hasText: 'heavier after than before' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('note')).toHaveCount(0);
}); // prettier-ignore

test('a revision made of what it took: ticked line by line, it stands in the draft', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook`);
  await page.getByRole('navigation', { name: 'Pages' }).getByRole('link', { name: /^Pear with two leaves/ }).last().click();
  const next = region(page, 'For the next revision');
  const line = next.getByRole('checkbox', { name: /^Body, core: / });
  const grams = /: ([\d.]+ g) each/.exec((await line.locator('xpath=ancestor::label').textContent()) ?? '')?.[1] ?? '';
  await line.check();
  await next.getByRole('button', { name: 'Take 1 line into the draft' }).click();
  await expect(page.getByText(/1 line taken into the draft of Pear with two leaves/)).toBeVisible();
  await expect(next.getByRole('checkbox', { name: /^Body, core: / })).toHaveCount(0);
  await page.getByRole('link', { name: 'Pear with two leaves', exact: true }).click();
  await expect(page.getByText(grams).first()).toBeVisible();
}); // prettier-ignore

test('make first, write later: what was taken and done becomes a draft pattern', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook/new`);
  await button(page, 'Make first, write later').click();
  await page.getByLabel('What was made').fill('Harbour seal');
  await button(page, 'Add wool').click();
  await page.getByLabel('Piece', { exact: true }).first().fill('Body');
  await page.getByLabel('Fibre').fill('Chalk core');
  await page.keyboard.press('Enter');
  await page.getByLabel('Before').fill('60');
  await page.getByLabel('After').fill('42.5');
  await button(page, 'Add a step').click();
  await page.getByLabel('What you did').fill('Roll the body tight and felt it');
  await page.getByLabel('Minutes of step 1', { exact: true }).fill('25');
  await page.keyboard.press('Tab');
  await expectNothingByAxe(page);
  await button(page, 'Make a draft pattern of this page').click();
  await expect(page.getByText('A draft of Harbour seal stands here')).toBeVisible();
  await expect(page.getByText('17.5 g').first()).toBeVisible();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText(/1 step/).click();
  await expect(page.getByText('Roll the body tight and felt it').first()).toBeVisible();
}); // prettier-ignore

test('a tester fills in a table and sends it back: it stands on the page, and what cannot be read is told by its line', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook`);
  const saved = page.waitForEvent('download');
  await button(page, 'Save as a table to fill in').click();
  const path = await (await saved).path();
  const [head = '', ...rows] = (await readFile(path, 'utf8')).trimEnd().split('\r\n');
  const marigold = rows.find((row) => row.includes('Marigold')) ?? '';
  const [what, key, name] = marigold.split(',');
  const back = [head, [what, key, name, '50', '48.5', '', '', '', '', '', '', ''].join(','), 'wool,nobody,,1,1,,,,,,,', 'whole,whole,,,,,,,,,36.4,'];
  await page.getByLabel('A filled-in table').setInputFiles({ name: 'puffin.csv', mimeType: 'text/csv', buffer: Buffer.from(back.join('\n')) });
  await expect(page.getByText('2 lines filled in from puffin.csv.')).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('Line 3: nothing on this page has the key “nobody”.');
  await expect(page.getByRole('group', { name: 'Marigold' })).toContainText('1.5 g');
  await expect(page.getByLabel('Whole figure', { exact: true })).toHaveValue('36.4');
  await expectNothingByAxe(page);
}); // prettier-ignore

test('how good we are is told in words, charts and a table', async ({ page, demo }) => {
  await page.goto(`${demo.url}/logbook/good`);
  await expect(page.getByText(/Of \d+ weighings \d+ fell into the range/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Estimated against weighed/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Ranges in the order of weighing/ })).toBeVisible();
  await expect(region(page, 'Most worth weighing next')).toContainText('becomes');
  const saved = page.waitForEvent('download');
  await button(page, 'As a table (CSV)').click();
  expect((await saved).suggestedFilename()).toBe('lanakit-estimated-and-found.csv');
  await expectNothingByAxe(page);
}); // prettier-ignore

test('an empty book says what belongs on its first page, and begins it', async ({ page, empty }) => {
  await page.goto(`${empty.url}/logbook`);
  await expect(page.getByRole('heading', { name: 'The first page' })).toBeVisible();
  await expectNothingByAxe(page);
  await page.goto(`${empty.url}/logbook/learnt`);
  await expect(page.getByText('Weigh a bag before a making and after it')).toBeVisible();
  await page.goto(`${empty.url}/logbook/good`);
  await expect(page.getByText('Nothing is weighed yet.')).toBeVisible();
}); // prettier-ignore
