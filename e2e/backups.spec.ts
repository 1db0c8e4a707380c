import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { keyboard, mouse, type Hands } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

const inside = (page: Page) => page.getByRole('complementary', { name: /^Backup of/ });
const section = (page: Page, name: RegExp) => inside(page).getByRole('region', { name });
const say = (page: Page) =>
  page.getByRole('status').filter({ has: page.getByRole('button', { name: 'Put away' }) });

/** A backup is made; a fibre is deleted, another made; one is brought back by itself, then the whole studio goes back. */
async function rehearse(page: Page, url: string, hands: Hands): Promise<void> {
  await page.goto(`${url}/backups`);
  await expect(page.getByText('There is nothing to go back to yet.')).toBeVisible();
  await hands.press(page.getByRole('button', { name: 'Back up now' }));
  await expect(page.getByText(/^Last good backup today/)).toBeVisible();
  await page.goto(`${url}/shelf?add=fibre`);
  await hands.fill('Name', 'Thrift');
  await hands.press(page.getByRole('button', { name: 'Put it on the shelf' }));
  await expect(page.getByRole('button', { name: /^Thrift/ })).toBeVisible();
  const [pattern] = (
    (await (await page.request.get(`${url}/api/patterns`)).json()) as {
      items: { id: string; version: number; document: { title: string } }[];
    }
  ).items;
  const title = pattern?.document.title ?? '';
  await page.request.delete(`${url}/api/patterns/${pattern?.id}`, {
    headers: { 'If-Match': `"${pattern?.version}"`, 'X-Lanakit': '1' },
  });
  await page.goto(`${url}/backups`);
  await hands.press(page.getByRole('button', { name: /asked for/ }));
  await expect(section(page, /^Gone since/)).toContainText(title);
  await expect(section(page, /^Made since/)).toContainText('Thrift');
  await hands.look();
  await hands.press(inside(page).getByRole('button', { name: `Bring it back: ${title}` }));
  await expect(say(page)).toContainText(`${title} is as it was then`);
  await expect(section(page, /^Gone since/)).toHaveCount(0);
  await hands.press(inside(page).getByRole('button', { name: /^Put the whole studio back/ }));
  await hands.press(page.getByRole('button', { name: 'Put all of it back' }));
  await expect(say(page)).toContainText('The whole studio is as it was then');
  await expect(inside(page)).toContainText('Nothing is different from what is there now.');
  // What was there before can be gone back to the same way.
  await expect(page.getByRole('button', { name: /before something was put back/ })).toHaveCount(2);
  await page.goto(`${url}/shelf`);
  await expect(page.getByRole('button', { name: /^Chalk/ }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Thrift/ })).toHaveCount(0);
  await page.goto(`${url}/patterns`);
  await expect(page.getByText(title).first()).toBeVisible();
}

test('a restore is rehearsed', ({ page, demo }) => rehearse(page, demo.url, mouse(page)));
test('a restore is rehearsed with nothing but keys', ({ page, demo }) =>
  rehearse(page, demo.url, keyboard(page)));

test('a second place that is none is said beside its field; the bench tells how safe the studio is', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/backups`);
  await page.getByLabel('A second place').fill('stick');
  await page.getByRole('button', { name: 'Copy them there as well' }).click();
  await expect(page.getByText(/not a whole path/)).toBeVisible();
  await page.getByLabel('A second place').fill('/dev/null/stick');
  await page.getByRole('button', { name: 'Copy them there as well' }).click();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^The second place could not be reached/)).toBeVisible();
  await expectNothingByAxe(page);
  await page.goto(demo.url);
  await expect(page.getByRole('region', { name: 'Backups' })).toContainText(
    'second place could not be reached',
  );
  await page.getByRole('region', { name: 'Backups' }).getByRole('link', { name: 'Backups' }).click();
  await expect(page.getByRole('heading', { name: 'Backups' })).toBeVisible();
});

test('what was deleted lies in the bin, and is had back from there', async ({ page, demo }) => {
  await page.goto(`${demo.url}/techniques`);
  await page.getByRole('link', { name: /limb/i }).first().click();
  await page.getByRole('button', { name: 'Put it away' }).click();
  await expect(say(page)).toContainText('is put away');
  await page.goto(`${demo.url}/backups`);
  await page.getByRole('link', { name: 'bin' }).click();
  await expect(page.getByRole('heading', { name: 'Bin' })).toBeVisible();
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: /^Bring it back: / }).click();
  await expect(say(page)).toContainText('is back');
  await expect(page.getByText('Nothing was deleted.')).toBeVisible();
});
