import { expectNothingByAxe } from './support/axe.ts';
import { keyboard, mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

for (const [name, handsOf] of [
  ['mouse', mouse],
  ['keys', keyboard],
] as const) {
  test(`with ${name}: a remark is mended by one press, and another is meant so until its author asks again`, async ({
    page,
    demo,
  }) => {
    const hands = handsOf(page);
    await page.goto(`${demo.url}/patterns`);
    await hands.press(page.getByRole('link', { name: /Harbour puffin/ }));
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
  await page.goto(`${demo.url}/patterns`);
  await hands.press(page.getByRole('link', { name: /Harbour puffin/ }));
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
