import { expectNothingByAxe } from './support/axe.ts';
import { mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

test('eyes of wool are permitted instead of beads: what it changes is told, and the ledger follows', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Harbour puffin/ }).click();
  const hands = mouse(page);
  await hands.switchTo(/options/);
  await page.getByRole('button', { name: 'Add a swap' }).click();
  const swap = page.getByRole('group', { name: 'a swap' });
  const choose = async (label: string, name: string) => {
    await swap.getByLabel(label, { exact: true }).click();
    await page.locator('.ant-select-dropdown:visible').getByText(name).first().click();
  };
  await choose('Instead of', 'Bead eye 4 mm');
  // Whatever is not chosen yet stands among what is to settle.
  const settle = page.getByRole('region', { name: 'To settle' });
  await expect(settle).toContainText('Choose what may be taken instead');
  await choose('May be taken', 'wool: a dot for each');
  await swap.getByLabel('Which', { exact: true }).click();
  await page.keyboard.type('soot');
  await page.keyboard.press('Enter');
  await expect(settle).toContainText('its diameter');
  await swap.getByLabel('Each across').fill('5');
  await swap.getByLabel('Each across').press('Tab');
  await expect(swap).toContainText(/One make: .*\+0\.03 g Soot.*−2 × Bead eye 4 mm/);
  await expect(settle).toHaveCount(0);
  await expectNothingByAxe(page);
  await swap.getByLabel('What it is called').fill('eyes of soot');

  const ledger = page.getByRole('complementary', { name: 'One make' });
  await expect(ledger).toContainText('Bead eye 4 mm');
  await ledger.getByLabel('swaps').click();
  await page.getByTitle('eyes of soot').click();
  await expect(ledger).not.toContainText('Bead eye 4 mm');
});
