import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

const VIEWS: readonly (readonly [path: string, heading: string | RegExp])[] = [
  ['/', 'Runs ahead'],
  ['/patterns', 'Patterns'],
  ['/shelf', 'Shelf'],
  ['/shelf/findings', 'Shelf'],
  ['/shelf/tools?add=tool', 'Shelf'],
  ['/shelf/suppliers?add=supplier', 'Shelf'],
  ['/shelf/import', 'Read in a list'],
  ['/techniques', 'Techniques'],
  ['/bring-in', 'Bring in a pattern'],
  ['/runs', 'Runs'],
  ['/begin', 'Begin a figure'],
  ['/begin/shelf', 'What is on your shelf?'],
  ['/network', 'Network'],
  ['/network/log', 'Network'],
  ['/network/persons', 'Network'],
  ['/count', 'Count'],
  ['/logbook', 'Logbook'],
  ['/nowhere', 'Nothing lies here'],
  ['/patterns/gone', 'Nothing lies here'],
  ['/runs/gone', 'Nothing lies here'],
];

// In the dark the same page has other colours and nothing else.
for (const [scheme, rules] of [
  ['light', undefined],
  ['dark', ['color-contrast']],
] as const) {
  test(`nothing by axe on any view, ${scheme}`, async ({ page, demo }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: scheme });
    for (const [path, heading] of VIEWS) {
      await page.goto(demo.url + path);
      await expect(page.getByRole('heading', { name: heading, level: 1 })).toBeVisible();
      await expectNothingByAxe(page, rules);
    }
    await page.goto(`${demo.url}/patterns`);
    await page.getByRole('link', { name: /Stag beetle/ }).click();
    await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
    await expectNothingByAxe(page, rules);
    await page.getByText(/^\d+ steps$/).click();
    await page.locator('[data-row-head]').first().click();
    await expectNothingByAxe(page, rules);
    await page.getByRole('radiogroup', { name: 'What to write' }).getByText('options').click();
    await expect(page.getByRole('region', { name: 'Colourways' })).toBeVisible();
    await expectNothingByAxe(page, rules);
    await page.getByRole('radiogroup', { name: 'What to write' }).getByText('about').click();
    await expect(page.getByRole('region', { name: 'Whose it is' })).toBeVisible();
    await expectNothingByAxe(page, rules);
    await page.goto(`${page.url()}/read`);
    await expect(page.getByRole('heading', { name: 'You need' })).toBeVisible();
    await expectNothingByAxe(page, rules);
    await page.goto(`${demo.url}/runs?plan`);
    await page.getByRole('link', { name: /Tide-pool evening/ }).click();
    await expect(page.getByRole('heading', { name: 'Portions' })).toBeVisible();
    await expectNothingByAxe(page, rules);
  });
}

test('from anywhere, / finds a thing or does a thing, and ? tells of the place', async ({ page, demo }) => {
  await page.goto(demo.url);
  await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find or do' }).fill('octopus');
  await expect(page.getByRole('option', { selected: true })).toContainText('Tide-pool octopus');
  await expectNothingByAxe(page);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Title')).toHaveValue('Tide-pool octopus');
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find or do' }).fill('plan a');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Plan a class', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('What needs me today?');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('at 1024 wide nothing runs off the side', async ({ page, demo }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  for (const path of [
    '/',
    '/patterns',
    '/shelf',
    '/shelf/suppliers',
    '/shelf/import',
    '/runs?plan',
    '/begin',
    '/begin/shelf',
    '/network',
    '/network/log',
    '/network/persons',
    '/count',
  ]) {
    await page.goto(demo.url + path);
    await expect(page.locator('h1').first()).toBeVisible();
    await expectInside(page);
  }
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Harbour puffin/ }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await expectInside(page);
  await page.goto(`${demo.url}/runs?plan`);
  await page.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('button', { name: 'The day' }).click();
  await expect(
    page.getByRole('region', { name: 'Seat by seat' }).or(page.getByText('Seat by seat')),
  ).toBeVisible();
  await expectInside(page);
  await page.goBack();
  await page.getByRole('button', { name: 'Pack', exact: true }).click();
  await expect(page.getByText('0 of 10 packed')).toBeVisible();
  await expectInside(page);
  await page.goBack();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  await page.getByRole('combobox', { name: 'Weighed with' }).click();
  await page.getByTitle('Simulated scale', { exact: true }).click();
  await expect(page.getByRole('region', { name: 'At the scale' })).toBeVisible();
  await expectInside(page);
  await page.goBack();
  await page.getByRole('button', { name: 'Papers' }).click();
  await page.getByRole('menuitem', { name: 'Labels' }).click();
  await expect(page.getByText(/^The first of/)).toBeVisible();
  await expectInside(page);
});

/** Nothing reaches past either edge: what is centred and too wide is cut off on the left, where no scrolling finds it. */
async function expectInside(page: Page): Promise<void> {
  const { right, left } = await page.evaluate(() => ({
    right: document.documentElement.scrollWidth,
    left: Math.min(
      ...[...document.querySelectorAll('main *')].map((element) => element.getBoundingClientRect().left),
    ),
  }));
  expect(right).toBeLessThanOrEqual(1024);
  expect(left).toBeGreaterThanOrEqual(0);
}

test('a studio and a port in use, a closed directory and a port in words stop the start with plain words', async ({
  demo,
}) => {
  const second = demo.startAgainst({});
  expect(await second).toMatchObject({
    code: 1,
    words: expect.stringContaining('Another Lanakit is running'),
  });
  const elsewhere = join(demo.dataDir, 'elsewhere');
  const third = demo.startAgainst({ PORT: new URL(demo.url).port, LANAKIT_DATA: elsewhere });
  expect(await third).toMatchObject({ code: 1, words: expect.stringContaining('is in use') });
  expect(await demo.startAgainst({ LANAKIT_DATA: '/dev/null/lanakit' })).toMatchObject({
    code: 1,
    words: expect.stringContaining('cannot be written'),
  });
  expect(await demo.startAgainst({ PORT: 'felt' })).toMatchObject({
    code: 1,
    words: expect.stringContaining('65535'),
  });
});
