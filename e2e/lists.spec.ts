import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, type Studio, test } from './support/studio.ts';

/** More than one page of them. */
const MANY = 70;

interface Stored {
  readonly id: string;
  readonly version: number;
  readonly document: { readonly title: string };
}

/** The demo’s pear over and over, each under a name of its own; the seventh published. */
async function fill(page: Page, { url }: Studio): Promise<void> {
  const { items } = (await (await page.request.get(`${url}/api/patterns`)).json()) as { items: Stored[] };
  const pear = items.find(({ document }) => document.title.startsWith('Pear'));
  for (let at = 1; at <= MANY; at++) {
    const title = `Heron ${String(at).padStart(3, '0')}${at === 7 ? ' of the Weir' : ''}`;
    const made = await page.request.post(`${url}/api/patterns`, { data: { ...pear?.document, title } });
    expect(made.ok(), await made.text()).toBe(true);
    if (at !== 7) continue;
    const { id, version } = (await made.json()) as Stored;
    const headers = { 'If-Match': `"${version}"` };
    const published = await page.request.post(`${url}/api/patterns/${id}/revisions`, {
      data: { note: '' },
      headers,
    });
    expect(published.ok(), await published.text()).toBe(true);
  }
}

test('seventy more figures: found by any of their words, sorted, narrowed, and scrolled to the last', async ({
  page,
  demo,
}) => {
  await fill(page, demo);
  await page.goto(`${demo.url}/patterns`);
  await expect(page.getByText('75 figures, the last changed first')).toBeVisible();
  const links = page.getByRole('main').getByRole('link', { name: /^Heron/ });
  await expect(links.first()).toContainText(`Heron 0${MANY}`);
  // Only those in sight are there.
  expect(await links.count()).toBeLessThan(MANY);
  await page.getByLabel('Find a figure').fill('WEIR heron');
  await expect(page.getByText('1 figure called so')).toBeVisible();
  await expect(links).toHaveCount(1);
  await expectNothingByAxe(page);
  await page.getByLabel('Find a figure').fill('no such thing');
  await expect(page.getByText('No figure is called so here.')).toBeVisible();
  await page.getByLabel('Find a figure').fill('');
  await page.getByLabel('In what order').click();
  await page.getByTitle('by title').click();
  await expect(page.getByText('75 figures, by title')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Balloon mobile' }).waitFor();
  await page.getByRole('main').getByRole('link', { name: 'Balloon mobile' }).hover();
  await expect
    .poll(async () => {
      await page.mouse.wheel(0, 4000);
      return page.getByRole('main').getByRole('link', { name: 'Tide-pool octopus' }).isVisible();
    })
    .toBe(true);
  await page.getByLabel('Which of them').click();
  await page.getByTitle('with something unknown').click();
  await expect(page.getByText('1 figure with something unknown')).toBeVisible();
  await expect(page.getByRole('main').getByRole('link', { name: 'Stag beetle brooch' })).toBeVisible();
});

test('a class is planned from a revision found among many by its name', async ({ page, demo }) => {
  await fill(page, demo);
  await page.goto(`${demo.url}/runs?plan`);
  await page.getByLabel('Pattern', { exact: true }).click();
  await page.getByLabel('Pattern', { exact: true }).fill('weir');
  await page.locator('.ant-select-item-option').filter({ hasText: 'Heron 007 of the Weir' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Herons by the weir');
  await page.getByLabel('Day', { exact: true }).fill('2027-03-06');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByRole('region', { name: 'Portions' })).toBeVisible();
  await page.goto(`${demo.url}/runs`);
  await expect(page.getByRole('link', { name: /Herons by the weir.*Heron 007 of the Weir/ })).toBeVisible();
});
