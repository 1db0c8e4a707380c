import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { type Hands, keyboard, mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

/** A pattern of the demo in which nothing is to be looked at. */
async function openPuffin(page: Page, hands: Hands, url: string): Promise<void> {
  await page.goto(`${url}/patterns`);
  await hands.press(page.getByRole('link', { name: /Harbour puffin/ }));
}

for (const [name, handsOf] of [
  ['mouse', mouse],
  ['keys', keyboard],
] as const) {
  test(`with ${name}: a remark is mended by one press, and another is meant so until its author asks again`, async ({
    page,
    demo,
  }) => {
    const hands = handsOf(page);
    await openPuffin(page, hands, demo.url);
    const height = page.getByLabel('Finished height');
    const review = page.getByRole('region', { name: 'To look at' });
    await expect(review).toHaveCount(0);
    await hands.fill('Finished height', '170 mm');
    await expect(review).toContainText('Put together the figure is 138 mm high, and 170 mm is stated');
    await hands.press(review.getByRole('button', { name: 'Mend it' }));
    await expect(height).toHaveValue('138 mm');
    await expect(review).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(height).toHaveValue('170 mm');
    await hands.press(review.getByRole('button', { name: 'Meant so…' }));
    await hands.fill('Why it is meant so', 'with the hat it wears');
    await page.keyboard.press('Enter');
    await expect(review).toContainText('To look at: 0 things');
    await expect(review).toContainText('Meant so: 1 thing');
    await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
    await page.reload();
    await hands.press(review.getByText('Meant so: 1 thing'));
    await expect(review).toContainText('“with the hat it wears”');
    await expectNothingByAxe(page);
    await hands.press(review.getByRole('button', { name: 'Ask again' }));
    await expect(review).toContainText('To look at: 1 thing');
  });
}

test('a row with something to look at is ticked in its margin, until that is settled', async ({
  page,
  demo,
}) => {
  const hands = mouse(page);
  await openPuffin(page, hands, demo.url);
  await hands.switchTo(/steps/);
  const ticked = page.locator('[data-row-head]', { hasText: 'to look at' });
  await expect(page.locator('[data-row-head]').first()).toBeVisible();
  await expect(ticked).toHaveCount(0);
  await hands.press(page.getByRole('button', { name: 'Add a step', exact: true }));
  await expect(ticked).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(ticked).toHaveCount(0);
});

test('what is open is read once more before publishing, and a class planned on it says so', async ({
  page,
  demo,
}) => {
  const hands = mouse(page);
  await openPuffin(page, hands, demo.url);
  await hands.fill('Finished height', '170 mm');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await hands.press(page.getByRole('button', { name: /Publish revision/ }));
  const letter = page.getByRole('region', { name: 'Before it is published' });
  await expect(letter).toContainText('would stumble over 1 thing');
  await expect(letter).toContainText('Put together the figure is 138 mm high, and 170 mm is stated');
  await expectNothingByAxe(page);
  await hands.press(page.getByRole('dialog').getByRole('button', { name: 'Publish', exact: true }));
  await expect(letter).toHaveCount(0);
  await hands.press(page.getByRole('button', { name: 'More to do with this pattern' }));
  await hands.press(page.getByRole('menuitem', { name: /Revisions/ }));
  await expect(page.getByRole('dialog')).toContainText('1 thing to look at was open');
  await page.keyboard.press('Escape');
  await page.goto(`${demo.url}/runs?plan`);
  await hands.fill('Name', 'Puffins, tall');
  await hands.choose('Pattern', 'Harbour puffin');
  await hands.fillDay('Day', '2030-12-12');
  await hands.fill('Seats', '5');
  await hands.press(page.getByRole('button', { name: 'Plan it' }));
  const open = page.getByText('Harbour puffin as published has 1 thing to look at');
  await hands.press(open);
  await expect(page.getByText('Put together the figure is 138 mm high, and 170 mm is stated')).toBeVisible();
  await expectNothingByAxe(page);
});

test('what a draft has open is chosen by kind and part, read beside its place, and kept with what is published', async ({
  page,
  demo,
}) => {
  const hands = mouse(page);
  await page.goto(`${demo.url}/patterns`);
  await hands.press(page.getByRole('link', { name: /Stag beetle brooch/ }));
  const review = page.getByRole('region', { name: 'To look at' });
  await expect(review).toContainText('To look at: 12 things');
  const rows = review.getByRole('button', { name: 'Meant so…' });
  await expect(rows).toHaveCount(8);
  await hands.press(review.getByRole('button', { name: 'Show 4 more' }));
  await expect(rows).toHaveCount(12);
  await hands.choose('all kinds', 'sessions, options, colours');
  await expect(rows).toHaveCount(1);
  // The last of what is chosen is mended: the choice stays to be seen, and is left.
  await hands.press(review.getByRole('button', { name: 'Mend it' }));
  await expect(review).toContainText('Nothing of that.');
  await expect(review).toContainText('sessions, options, colours (0)');
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(1);
  await hands.choose('all kinds', 'checks and choices');
  await expect(rows).toHaveCount(1);
  await expect(review).toContainText('A check needs what passes');
  await hands.choose('all kinds', 'all kinds');
  await hands.choose('all parts', 'Leg (');
  await expect(review).toContainText('Its words say 8 of Leg, and the build has 6');
  await hands.press(review.getByRole('button', { name: 'Mend it' }));
  await expect(review).toContainText('To look at: 11 things');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await expectNothingByAxe(page);
  await page.goto(`${page.url()}/read`);
  await hands.press(page.getByRole('checkbox', { name: 'for proof-reading' }));
  await expect(page.getByText('11 things to look at, each beside its place.')).toBeVisible();
  const notes = page.getByRole('list', { name: 'To look at' });
  await expect(notes.first()).toContainText('Options Harbour blue changes nothing.');
  await expect(page.getByText('Six legs of soot')).toBeVisible();
  await expectNothingByAxe(page);
});
