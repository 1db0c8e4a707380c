import { expect, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectNothingByAxe } from './support/axe.ts';
import { test } from './support/studio.ts';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const preview = (page: Page) => page.getByRole('region', { name: 'As it will print' });

test('a pattern is translated, told what is still missing, and its booklet says it so; the file goes out and comes in', async ({ page, demo }, info) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).first().click();
  await button(page, 'More to do with this pattern').click();
  await page.getByRole('menuitem', { name: 'Booklet: to sell, to teach, to keep' }).click();
  // By keys: the language is searched and chosen.
  await page.getByRole('combobox', { name: 'Translate into another language' }).focus();
  await page.keyboard.type('Ger');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Pear with two leaves in German' })).toBeVisible();
  await page.getByRole('textbox', { name: 'title: Pear with two leaves' }).fill('Birne mit zwei Blättern');
  await page.getByRole('textbox', { name: 'part: Body' }).fill('Körper');
  await page.getByRole('textbox', { name: 'Pieces', exact: true }).fill('Teile');
  await expect(page.getByRole('status').filter({ hasText: /^Saved \d/ })).toBeVisible();
  await expectNothingByAxe(page);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as a file' }).click();
  const path = info.outputPath('pear.de.json');
  await (await saved).saveAs(path);
  const file = JSON.parse(await readFile(path, 'utf8')) as { texts: { key: string; text: string; source: string }[] };
  expect(file.texts.find(({ key }) => key === 'title')?.text).toBe('Birne mit zwei Blättern');
  // Translated elsewhere, and brought in.
  file.texts.forEach((each) => {
    if (each.text === '') each.text = `De: ${each.source}`;
  });
  await page.getByLabel('A translation file').setInputFiles({ name: 'pear.de.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) });
  await expect(page.getByText('Everything is translated.')).toBeVisible();
  await page.getByLabel('A translation file').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByText('This file is no JSON.')).toBeVisible();
  await page.getByRole('link', { name: '← booklet' }).click();
  await page.getByRole('combobox', { name: 'In which language' }).click();
  await page.getByTitle('German').click();
  await expect(page.getByText('All of it is translated.')).toBeVisible();
  await expect(preview(page)).toHaveAttribute('aria-busy', 'false');
  const html = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as one page of HTML' }).click();
  const text = await readFile(await (await html).path(), 'utf8');
  expect(text).toContain('<h1>Birne mit zwei Blättern</h1>');
  expect(text).toContain('>Teile</h2>');
}); // prettier-ignore

test('a kit’s papers: cards in the size of its box, kept for the next run, and every box its own booklet in one file', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Pears by the three/ }).first().click();
  await button(page, 'Papers').click();
  await page.getByRole('menuitem', { name: 'Cards for the box' }).click();
  await expect(preview(page).getByRole('img').first()).toBeVisible();
  await expectNothingByAxe(page);
  const sheets = await preview(page).getByRole('img').count();
  await page.getByRole('spinbutton', { name: 'Across' }).or(page.getByRole('textbox', { name: 'Across' })).fill('180');
  await page.keyboard.press('Tab');
  await expect(page.getByText('Cards are 176 × 141 mm')).toBeVisible();
  await expect.poll(() => preview(page).getByRole('img').count()).toBeGreaterThan(sheets);
  await page.getByRole('checkbox', { name: 'Needles, stage by stage' }).uncheck();
  await page.reload();
  await expect(page.getByText('Cards are 176 × 141 mm')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Needles, stage by stage' })).not.toBeChecked();
  const cards = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as PDF' }).click();
  expect((await cards).suggestedFilename()).toBe('pears-by-the-three-cards.pdf');
  await page.getByRole('link', { name: '← Pears by the three' }).click();
  await button(page, 'Papers').click();
  await page.getByRole('menuitem', { name: 'Booklets, all of the run in one file' }).click();
  await button(page, 'Set 6 booklets into one PDF').click();
  const booklets = page.waitForEvent('download');
  await page.getByRole('link', { name: /^Save 6 booklets as PDF, [\d.]+ [kM]B$/ }).click();
  const file = await readFile(await (await booklets).path());
  expect(file.subarray(0, 5).toString()).toBe('%PDF-');
  await expectNothingByAxe(page);
}); // prettier-ignore

test('pictures in bulk find their steps by number, are put right where they do not, and go in at once', async ({ page, demo }) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).first().click();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText(/10 steps/).click();
  await button(page, 'Pictures onto steps…').click();
  const dialog = page.getByRole('dialog', { name: 'Pictures onto steps' });
  const picture = (name: string, colour: string) => ({
    name,
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="60" height="40" fill="${colour}"/></svg>`),
  });
  await dialog.locator('input[type="file"]').setInputFiles([picture('step 2.svg', '#a33'), picture('04 neck.svg', '#3a3'), picture('IMG_0099.svg', '#33a')]);
  await expect(dialog.getByRole('listitem')).toHaveCount(3);
  await expect(dialog.getByRole('listitem').filter({ hasText: 'step 2.svg' })).toContainText('2 ');
  await expect(dialog.getByRole('listitem').filter({ hasText: '04 neck.svg' })).toContainText('4 ');
  await expect(dialog.getByRole('listitem').filter({ hasText: 'IMG_0099.svg' })).toContainText('nowhere');
  await expectNothingByAxe(page);
  // By keys: the third is put where it belongs.
  await dialog.getByRole('combobox', { name: 'Step of IMG_0099.svg' }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await dialog.getByRole('button', { name: 'Bring in 3 pictures' }).click();
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
}); // prettier-ignore

test('a pattern is of a series and goes with others, by keys alone: told on the table, printed with both', async ({ page, demo }) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).first().click();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText('about').click();
  const others = page.getByRole('region', { name: 'With other patterns' });
  // What others say of it is told.
  await expect(others.getByText('Says that this comes before it: Harbour puffin')).toBeVisible();
  await others.getByRole('combobox', { name: 'Series' }).focus();
  await page.keyboard.type('by the');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(others.getByRole('combobox', { name: 'Series' })).toHaveValue('By the sea');
  await expect(others.getByRole('combobox', { name: 'Series' })).toHaveAttribute('maxlength', '80');
  await others.getByRole('textbox', { name: 'Number in it' }).fill('2');
  await page.keyboard.press('Tab');
  await expect(others.getByText('Number 2 stands twice in this series.')).toBeVisible();
  await others.getByRole('button', { name: 'Add what goes with it' }).press('Enter');
  await others.getByRole('combobox', { name: 'Pattern', exact: true }).focus();
  await page.keyboard.type('beetle');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(others.getByText('Goes with it: Stag beetle brooch')).toBeVisible();
  await others.getByRole('button', { name: 'Add what is made before' }).press('Enter');
  await others.getByRole('group', { name: 'a pattern not named yet' }).getByRole('combobox', { name: 'Pattern', exact: true }).fill('Harbour puffin');
  await expect(others.getByText(/nobody could begin: Pear with two leaves ← Harbour puffin ← Pear with two leaves/)).toBeVisible();
  await others.getByRole('button', { name: 'Take out Harbour puffin' }).press('Enter');
  await expect(others.getByText(/nobody could begin/)).toHaveCount(0);
  await expectNothingByAxe(page);
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await others.getByRole('link', { name: 'Stag beetle brooch' }).click();
  await button(page, 'More to do with this pattern').click();
  await page.getByRole('menuitem', { name: 'Booklet: to sell, to teach, to keep' }).click();
  await expect(preview(page)).toHaveAttribute('aria-busy', 'false');
  const html = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as one page of HTML' }).click();
  expect(await readFile(await (await html).path(), 'utf8')).toMatch(/Goes with it<\/h\d><ul><li>Pear with two leaves<\/li>/);
}); // prettier-ignore
