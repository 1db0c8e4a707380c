import { readFile } from 'node:fs/promises';
import type { Download, Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { type Hands, keyboard, mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

const bytesOf = async (download: Download): Promise<string> =>
  (await readFile(await download.path())).toString('latin1');
const sheet = (page: Page, number: number) =>
  page.getByRole('figure', { name: new RegExp(`^Page ${number} of`) });

/** Across of a drawn page, pixels. */
async function acrossOf(page: Page): Promise<number> {
  const box = await sheet(page, 1).locator('svg').boundingBox();
  return box?.width ?? 0;
}

async function openGuide(page: Page, hands: Hands): Promise<void> {
  await hands.press(page.getByRole('link', { name: /Harbour puffin/ }));
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await hands.press(page.getByRole('button', { name: 'More to do with this pattern' }));
  const guide = page.getByRole('menuitem', { name: 'Guide at true size' });
  await expect(guide).toBeVisible();
  await guide.press('Enter');
  await expect(sheet(page, 1)).toContainText('1 Body');
}

for (const [name, handsOf] of [
  ['mouse', mouse],
  ['keys', keyboard],
] as const) {
  test(`with ${name}: the guide is opened, the screen measured with a card, and taken as PDF and SVG`, async ({
    page,
    demo,
  }) => {
    const hands = handsOf(page);
    await page.goto(`${demo.url}/patterns`);
    await openGuide(page, hands);
    await expect(sheet(page, 1)).toContainText('Print at 100 %');
    await hands.look();

    await hands.press(page.getByRole('button', { name: 'Measure this screen…' }));
    const slider = page.getByRole('slider', { name: 'Size of the outline' });
    await slider.focus();
    await page.keyboard.press('Home');
    await hands.press(page.getByRole('button', { name: 'Keep it for this screen' }));
    await hands.switchTo(/^true size$/);
    // The least a screen has: two pixels a millimetre.
    await expect.poll(() => acrossOf(page)).toBeCloseTo(2 * 210, 0);

    await hands.switchTo(/^Letter$/);
    await expect.poll(() => acrossOf(page)).toBeCloseTo(2 * 215.9, 0);
    const pdf = page.waitForEvent('download');
    await hands.press(page.getByRole('link', { name: 'PDF', exact: true }));
    const taken = await pdf;
    expect(taken.suggestedFilename()).toBe('harbour-puffin-guide.pdf');
    expect(await bytesOf(taken)).toMatch(/MediaBox \[0 0 612(\.\d+)? 792(\.\d+)?\]/);
    const svg = page.waitForEvent('download');
    await hands.press(page.getByRole('link', { name: 'this page as SVG' }).first());
    expect(await bytesOf(await svg)).toContain('viewBox="0 0 215.9 279.4"');
  });
}

test('another build and another size are drawn, and a run has the pieces of every seat once', async ({
  page,
  demo,
}) => {
  const hands = mouse(page);
  await page.goto(`${demo.url}/patterns`);
  await openGuide(page, hands);
  await page.getByLabel('Size, per cent of what is written').fill('50');
  await expect(sheet(page, 1)).toContainText('41 × 30 mm');
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('button', { name: 'Papers' }).click();
  await page.getByRole('menuitem', { name: 'Guide at true size' }).click();
  await expect(sheet(page, 1)).toContainText('Puffin weekend: guide at true size');
  await expect(page.getByRole('combobox', { name: 'Whose pieces' })).toBeVisible();
  await expectNothingByAxe(page);
});

test('the list of tools counts the pages of the guide', async ({ page, demo }) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).click();
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name: 'Read as the learner does' }).click();
  await expect(page.getByText(/printed guide, \d+ pages?/)).toBeVisible();
});
