import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

async function openSteps(page: Page, url: string, title: string, count: RegExp) {
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText(count).click();
  await expect(page.getByRole('toolbar', { name: 'Needle ladder, step by step' })).toBeVisible();
}

/** The whole ladder takes the place of the strip; the strip is there until it does. */
const wholeLadder = (page: Page) => page.getByRole('radiogroup', { name: 'How you use needles' });
async function openLadder(page: Page) {
  await page.getByRole('button', { name: 'Open the ladder' }).click();
  await expect(wholeLadder(page)).toBeVisible();
}

const ladderOf = (page: Page) => page.getByRole('toolbar', { name: 'Needle ladder, step by step' });
const stretch = (page: Page, name: RegExp) => ladderOf(page).getByRole('button', { name });
const school = (page: Page, name: string) => wholeLadder(page).getByText(name, { exact: true });

test('another school is looked at beside this one, and taken; what a step was given stays', async ({
  page,
  demo,
}) => {
  await openSteps(page, demo.url, 'Harbour puffin', /26 steps/);
  await openLadder(page);
  await expect(stretch(page, /^Step 2: 38 triangular/)).toBeVisible();
  await expectNothingByAxe(page);
  await school(page, 'one needle').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('region', { name: 'Now: ladder of three' })).toContainText(
    '36 triangular, plum',
  );
  await expect(dialog.getByRole('region', { name: 'Then: one needle' })).toContainText('All of them');
  await expectNothingByAxe(page);
  await dialog.getByRole('button', { name: 'Keep what I have' }).click();
  await expect(stretch(page, /^Step 26: 40 spiral/)).toBeVisible();
  await school(page, 'one needle').click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take this school' }).click();
  await expect(stretch(page, /^Step 26: 38/)).toBeVisible();
  await expect(stretch(page, /^Step 16: 36/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(stretch(page, /^Step 26: 40 spiral/)).toBeVisible();
});

test('a step is put on another rung by hand', async ({ page, demo }) => {
  await openSteps(page, demo.url, 'Harbour puffin', /26 steps/);
  await openLadder(page);
  const from = await stretch(page, /^Step 6: 38 triangular/).boundingBox();
  const to = await stretch(page, /^Step 10: 40 spiral/).boundingBox();
  if (!from || !to) throw new Error('the ladder is not drawn');
  await page.mouse.move(from.x + 4, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 4, to.y, { steps: 5 });
  await page.mouse.move(from.x + 4, to.y + to.height / 2, { steps: 3 });
  await page.mouse.up();
  await expect(stretch(page, /^Step 6: 40 spiral.*poor here/)).toBeVisible();
  await stretch(page, /^Step 6:/).hover();
  await expect(page.getByRole('status').filter({ hasText: 'Step 6' })).toContainText('does not bind two firm pieces');
  await page.getByRole('status').getByRole('button', { name: /instead$/ }).first().click();
  await expect(stretch(page, /^Step 6: 3/)).toBeVisible();
}); // prettier-ignore

test('by keys: read along, another rung, back to the school', async ({ page, demo }) => {
  await openSteps(page, demo.url, 'Harbour puffin', /26 steps/);
  await page.getByRole('button', { name: 'Open the ladder' }).focus();
  await page.keyboard.press('Enter');
  await expect(wholeLadder(page)).toBeVisible();
  await stretch(page, /^Step 2:/).focus();
  const status = page.getByRole('status').filter({ hasText: 'Step' });
  await expect(status).toContainText('Felt it. Make it a little under size');
  await page.keyboard.press('ArrowRight');
  await expect(stretch(page, /^Step 3:/)).toBeFocused();
  await expect(status).toContainText('Roll and felt the head');
  await page.keyboard.press('Alt+ArrowDown');
  await expect(stretch(page, /^Step 3: 40 spiral/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Give it back to the school' })).toBeVisible();
  await stretch(page, /^Step 3:/).focus();
  await page.keyboard.press('Delete');
  await expect(stretch(page, /^Step 3: 38 triangular/)).toBeVisible();
  await stretch(page, /^Step 3:/).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Steps' })).toBeVisible();
  await expect(page.getByLabel('What to do')).toHaveValue(/Roll and felt the head/);
});

test('fewer changes: the order is shown, taken, and taken back', async ({ page, demo }) => {
  await openSteps(page, demo.url, 'Harbour puffin', /26 steps/);
  await openLadder(page);
  await page.getByRole('button', { name: 'See the order' }).click();
  const dialog = page.getByRole('dialog', { name: /changes instead of/ });
  await expect(dialog).toContainText('Work on one piece stays in your order');
  await expectNothingByAxe(page);
  await dialog.getByRole('button', { name: 'Take this order' }).click();
  await expect(page.getByText(/changes? of needle: no order has fewer/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'See the order' })).toBeVisible();
});

test('in a step the needles of the shelf are ranked, each with why; a fault leads to a step', async ({ page, demo }) => {
  await openSteps(page, demo.url, 'Balloon mobile', /18 steps/);
  await page.locator('[data-row-head]').nth(3).click();
  await page.getByLabel('Needle', { exact: true }).click();
  const first = page.locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option').nth(2);
  await expect(first).toContainText('good here');
  await expect(first).toContainText('lays a coat without marking it');
  await first.click();
  await expect(stretch(page, /^Step 4: 38 star/)).toBeVisible();
  await openLadder(page);
  await expect(page.getByText('No medium on the shelf.')).toBeVisible();
  await page.getByRole('button', { name: 'the join is loose' }).click();
  await expect(page.getByRole('region', { name: 'What went wrong' })).toContainText('right through into the other piece');
}); // prettier-ignore

test('the ladder and the card on paper', async ({ page, demo }) => {
  await openSteps(page, demo.url, 'Stag beetle', /16 steps/);
  await openLadder(page);
  await page.getByRole('link', { name: 'On paper' }).click();
  await expect(page.getByRole('heading', { name: 'Stag beetle brooch: needles' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Join/ })).toContainText('36');
  await expectNothingByAxe(page);
});

test('needles of a class: its kit, counted out, counted in with one missing, and found', async ({ page, demo }) => {
  await page.goto(`${demo.url}/runs`);
  await page.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('link', { name: /^\d+ needles/ }).click();
  const oak = page.getByRole('row', { name: /38 triangular, oak/ });
  await expect(oak).toContainText('41');
  await page.getByLabel('Who comes').click();
  await page.locator('.ant-select-item-option').filter({ hasText: 'first-timers' }).click();
  await expect(page.getByText('Harbour puffin; first-timers')).toBeVisible();
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');
  await expectNothingByAxe(page);
  await page.getByRole('link', { name: 'Count them out and in' }).click();
  const plum = page.getByRole('region', { name: '36 triangular, plum' });
  await plum.getByRole('button', { name: /^All/ }).click();
  const told = plum.getByText(/^[1-9]\d* out/);
  await expect(told).toBeVisible();
  const out = Number((await told.textContent())?.split(' ')[0]);
  await page.getByText('counting in', { exact: true }).click();
  await plum.getByRole('button', { name: /^All/ }).click();
  await page.keyboard.press('Shift+Digit1');
  await page.keyboard.press('Shift+Digit1');
  await expect(page.getByText(`2 of ${out} still out`)).toBeVisible();
  await page.keyboard.press('b');
  await page.keyboard.press('1');
  await expect(page.getByText(`1 of ${out} still out`)).toBeVisible();
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'All have gone: close the count' }).click();
  await expect(page.getByText('1 × 36 triangular, plum missing')).toBeVisible();
  await page.goto(demo.url);
  const missing = page.getByRole('region', { name: 'Missing needles' });
  await expect(missing).toContainText('36 triangular, plum');
  await missing.getByRole('link', { name: /Puffin weekend/ }).click();
  await page.getByRole('button', { name: 'Give one up' }).click();
  await expect(page.getByText('a missing needle is given up only with a reason')).toBeVisible();
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Found one' }).click();
  await expect(page.getByText(`+ 1 broken + 0 sold + 0 missing`)).toBeVisible();
  await page.goto(demo.url);
  await expect(missing).not.toContainText('36 triangular, plum');
}); // prettier-ignore

test('turned to the steps, the ladder comes with them: nothing moves under a hand', async ({
  page,
  demo,
}) => {
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const asked = page.waitForRequest(/LadderStrip-/);
  await page.route(/LadderStrip-/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`${demo.url}/patterns`);
  await page.getByRole('link', { name: /Pear with two leaves/ }).click();
  const turnTo = page.getByRole('radiogroup', { name: 'What to write' });
  await turnTo.getByText(/10 steps/).click();
  await asked;
  await expect(turnTo.getByRole('radio', { name: /10 steps/ })).toBeChecked();
  await expect(page.getByRole('region', { name: 'Parts' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Steps' })).toHaveCount(0);
  letGo();
  await expect(page.getByRole('region', { name: 'Steps' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Needle ladder' })).toBeVisible();
});

test('with no needles and no steps: plain words, nothing invented', async ({ page, empty }) => {
  await page.goto(`${empty.url}/patterns?begin`);
  await page.getByLabel('A new figure').fill('Pebble');
  await page.getByRole('button', { name: /^Begin/ }).click();
  await page.getByRole('radiogroup', { name: 'What to write' }).getByText('0 steps').click();
  await expect(page.getByText('No step has a needle yet.')).toBeVisible();
  await openLadder(page);
  await expect(page.getByText('No needles on the shelf yet, so none can be proposed.')).toBeVisible();
  await page.getByLabel('People').fill('0');
  await expect(page.getByText('Nobody comes, so nothing is needed.')).toBeVisible();
  await school(page, 'by feel').click();
  await page.getByRole('dialog').getByRole('button', { name: 'Take this school' }).click();
  await expect(page.getByText('Large to build and join')).toBeVisible();
});
