import { expect, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectNothingByAxe } from './support/axe.ts';
import { test } from './support/studio.ts';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const preview = (page: Page) => page.getByRole('region', { name: 'As it will print' });

test('a booklet is chosen by what it is for, seen page by page, set otherwise, and stays as it was set', async ({ page, demo }) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).first().click();
  await button(page, 'More to do with this pattern').click();
  await page.getByRole('menuitem', { name: 'Booklet: to sell, to teach, to keep' }).click();
  const pages = preview(page).getByRole('img');
  await expect(pages.first()).toBeVisible();
  const usual = await pages.count();
  expect(usual).toBeGreaterThan(3);
  await expectNothingByAxe(page);
  // Larger type takes more pages; the new ones are there when it is set.
  await page.getByRole('checkbox', { name: 'large type, 18 points' }).check();
  await expect.poll(() => pages.count()).toBeGreaterThan(usual);
  // By keys: the words go, and come back at the end.
  await page.getByRole('checkbox', { name: 'Words', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name: 'Words', exact: true })).not.toBeChecked();
  await button(page, 'Steps earlier').focus();
  await page.keyboard.press('Enter');
  const order = await page.getByRole('checkbox').evaluateAll((boxes) => boxes.map((box) => box.closest('label')?.textContent?.trim()));
  expect(order.indexOf('Steps')).toBeLessThan(order.indexOf('Needles'));
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'large type, 18 points' })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'Words', exact: true })).not.toBeChecked();
  await page.getByText('for me', { exact: true }).click();
  await expect(page.getByRole('checkbox', { name: /^save ink/ })).toBeChecked();
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as PDF' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('pear-with-two-leaves.pdf');
  expect((await readFile(await file.path())).subarray(0, 5).toString()).toBe('%PDF-');
}); // prettier-ignore

test('one page of HTML works without the studio and without a network: read, ticked, and ticked still', async ({ page, demo, browser }, info) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Harbour puffin/ }).first().click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await page.goto(`${page.url().split('?')[0] ?? ''}/papers`);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as one page of HTML' }).click();
  const file = await saved;
  expect(file.suggestedFilename()).toBe('harbour-puffin.html');
  const path = info.outputPath('harbour-puffin.html');
  await file.saveAs(path);
  await demo.kill();
  const apart = await browser.newContext({ offline: true, viewport: { width: 390, height: 844 } });
  const reader = await apart.newPage();
  const asked: string[] = [];
  reader.on('request', (request) => asked.push(request.url()));
  await reader.goto(`file://${path}`);
  await expect(reader.getByRole('heading', { name: 'Harbour puffin', level: 1 })).toBeVisible();
  await expect(reader.getByText('Roll the body core').first()).toBeVisible();
  await reader.getByRole('checkbox', { name: 'Step 1 done' }).check();
  await reader.reload();
  await expect(reader.getByRole('checkbox', { name: 'Step 1 done' })).toBeChecked();
  await expect(reader.getByRole('checkbox', { name: 'Step 2 done' })).not.toBeChecked();
  // From the list of pieces to the step that begins it.
  await reader.getByRole('link', { name: 'step 1', exact: true }).first().click();
  expect(reader.url()).toMatch(/#step-1$/);
  expect(await reader.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await expectNothingByAxe(reader);
  expect(asked.filter((url) => !url.startsWith('file:') && !url.startsWith('data:'))).toEqual([]);
  await apart.close();
}); // prettier-ignore
