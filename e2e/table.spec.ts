import type { Page } from '@playwright/test';
import { expect, test } from './support/studio.ts';

const openPear = async (page: Page, url: string) => {
  await page.goto(`${url}/patterns`);
  await page
    .getByRole('link', { name: /Pear with two leaves/ })
    .first()
    .click();
  await expect(page.getByRole('textbox', { name: 'Finished height' })).toBeVisible();
};
const widthOf = async (page: Page, name: string) =>
  (await page.getByRole('region', { name }).boundingBox())?.width ?? 0;

test.describe('who has not looked yet', () => {
  test.use({ drawn: null });

  test('sees the figure together first, and what was chosen instead the next time', async ({
    page,
    demo,
  }) => {
    await openPear(page, demo.url);
    await expect(page.getByRole('heading', { name: 'Together' })).toBeVisible();
    await page.locator('.ant-segmented-item', { hasText: 'side by side' }).click();
    await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  });
});

/** The share of the first sheet as this device remembers it, per cent. */
const keptShare = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const [, text = ''] = Object.entries<string>(localStorage).find(([key]) => key.includes('table.3')) ?? [];
    return Number(/"layout":\[([\d.]+)/.exec(text)?.[1]);
  });

test('a sheet is made wider by mouse and by keys, and is so the next time', async ({ page, demo }) => {
  await openPear(page, demo.url);
  const before = await widthOf(page, 'Pieces');
  const edge = page.getByRole('separator', { name: 'How wide: Figure' });
  const box = await edge.boundingBox();
  if (!box) throw new Error('the edge is nowhere');
  await page.mouse.move(box.x + box.width / 2, box.y + 200);
  await page.mouse.down();
  await page.mouse.move(box.x + 140, box.y + 200, { steps: 5 });
  await page.mouse.up();
  await expect.poll(() => widthOf(page, 'Pieces')).toBeGreaterThan(before + 100);
  const wider = await widthOf(page, 'Pieces');
  await edge.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(() => widthOf(page, 'Pieces')).toBeLessThan(wider);
  const kept = await widthOf(page, 'Pieces');
  // It is remembered a moment after the hand lets go.
  const share = await page.locator('[data-panel]').first().getAttribute('data-panel-size');
  await expect.poll(async () => Math.abs((await keptShare(page)) - Number(share))).toBeLessThan(0.1);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await expect.poll(async () => Math.abs((await widthOf(page, 'Pieces')) - kept)).toBeLessThan(3);
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 1024, height: 768 } });

  test('one sheet at a time, what it takes a swipe away', async ({ page, demo }) => {
    await openPear(page, demo.url);
    const sheets = page.getByRole('navigation', { name: 'Sheets' });
    await expect(sheets.getByRole('button', { name: 'Parts' })).toHaveAttribute('aria-current', 'true');
    await expect(page.getByRole('region', { name: 'Parts' })).toBeInViewport();
    await sheets.getByRole('button', { name: 'What it takes' }).tap();
    await expect(page.getByRole('complementary', { name: 'One make' })).toBeInViewport({ ratio: 0.9 });
    await sheets.getByRole('button', { name: 'Figure' }).tap();
    await expect(page.getByRole('region', { name: 'Pieces' })).toBeInViewport({ ratio: 0.9 });
  });
});
