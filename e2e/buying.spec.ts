import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { keyboard, mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

const PLANNED = 'proven: none is cheaper';

/** The three ways, each with its proof. */
async function expectPlanned(page: Page): Promise<void> {
  await expect(page.getByText(PLANNED)).toHaveCount(3);
}

test('from a short run to an order, a part of it arrived, and a fuller shelf', async ({ page, demo }) => {
  await page.goto(`${demo.url}/buying`);
  const runs = page.getByRole('region', { name: 'For which runs' });
  await runs.getByRole('checkbox', { name: 'All of them' }).uncheck();
  await expect(page.getByText('Tick a run: what it takes off the shelf stands here.')).toBeVisible();
  await runs.getByRole('checkbox', { name: /Tide-pool evening/ }).check();
  await expectPlanned(page);
  await expectNothingByAxe(page);
  // Where a number comes from.
  const wanted = page.getByRole('region', { name: 'What is wanted' });
  await wanted.getByRole('button', { name: /Plum/ }).click();
  await expect(wanted.getByRole('row', { name: /Tide-pool evening in packs/ })).toBeVisible();
  // One more is held by hand, and the rest is planned around it.
  await page.getByRole('button', { name: 'One more: Plum, 50 g' }).click();
  await expect(page.getByText('held by hand: let go')).toBeVisible();
  await expectPlanned(page);
  await page.getByRole('button', { name: 'Draft this order' }).click();
  await expect(page).toHaveURL(/\/buying\/orders/);
  const order = page.getByRole('region', { name: /^Order of/ });
  await expect(order.getByRole('cell', { name: 'Plum, 50 g' })).toBeVisible();
  await order.getByRole('button', { name: 'It is sent' }).click();
  await expect(order).toContainText('ordered, sent on');
  await order.getByRole('button', { name: 'Something came' }).click();
  await expectNothingByAxe(page);
  await order.getByLabel('Packs of Plum, 50 g').fill('1');
  await order.getByLabel('Paid for each, Plum, 50 g').fill('3.50');
  await order.getByLabel('Name of the lot').fill('winter');
  await order.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(order).toContainText('arrived in part');
  await expect(order).toContainText('3.50 paid for each');
  // More than was ordered is asked about.
  await order.getByRole('button', { name: 'More came' }).click();
  await order.getByLabel('Packs of Plum, 50 g').fill('9');
  await expect(order).toContainText(/have come of \d that were ordered/);
  await order.getByRole('button', { name: 'Leave it' }).click();
  await page.goto(`${demo.url}/shelf`);
  await page.getByRole('button', { name: /^Plum/ }).first().click();
  const panel = page.getByRole('complementary', { name: 'Plum' });
  await expect(panel).toContainText('winter');
  await expect(panel.getByRole('link', { name: /coming by|was due|nobody knows when/ })).toBeVisible();
});

test('a parcel that is late is told on the bench and taken in by keys alone', async ({ page, demo }) => {
  const keys = keyboard(page);
  await page.goto(demo.url);
  await keys.press(page.getByRole('link', { name: 'was due from Lantern Hill Findings' }));
  const order = page.getByRole('region', { name: 'Order of Lantern Hill Findings' });
  await keys.press(order.getByRole('button', { name: 'Something came' }));
  await keys.press(order.getByRole('button', { name: 'Put it on the shelf' }));
  await expect(order).toContainText('arrived');
  await keys.press(page.getByRole('button', { name: 'Undo' }));
  await expect(order.getByRole('button', { name: 'Something came' })).toBeVisible();
});

test('days without work move the day to order by; a calendar takes them along', async ({ page, demo }) => {
  const hands = mouse(page);
  await page.goto(`${demo.url}/buying`);
  const puffin = page.getByRole('checkbox', { name: /Puffin weekend/ });
  const before = await page.locator('label', { has: puffin }).textContent();
  await page.getByRole('button', { name: 'My days and hours…' }).click();
  await hands.fill('Hours a day at the table', '1');
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.locator('label', { has: puffin })).not.toHaveText(before ?? '');
  const file = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As a calendar' }).click();
  expect((await file).suggestedFilename()).toBe('lanakit-buying.ics');
});

test('from a cutting plan to offcuts on the shelf, and back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/buying/cutting`);
  await page
    .getByRole('region', { name: 'What to cut' })
    .getByRole('button', { name: /Fuzzy stem/ })
    .click();
  const plan = page.getByRole('region', { name: /Fuzzy stem/ });
  await expect(plan).toContainText('no fewer will do');
  await expectNothingByAxe(page);
  await plan.getByRole('button', { name: 'Take this plan' }).click();
  await expect(plan).toContainText('0 of 18 cut');
  // One that leaves a piece worth keeping.
  const keeping = plan
    .getByRole('listitem')
    .filter({ hasText: /keep \d+ mm/ })
    .first();
  await keeping.getByRole('checkbox').check();
  await expect(plan).toContainText('1 of 18 cut');
  await expect(page.getByRole('status')).toContainText('back on the shelf');
  await page.goto(`${demo.url}/shelf/findings`);
  await page
    .getByRole('button', { name: /^Fuzzy stem/ })
    .first()
    .click();
  const offcuts = page.getByRole('region', { name: 'Offcuts' });
  await expect(offcuts).toContainText('105 mm');
  await offcuts.getByRole('link', { name: 'what to cut' }).click();
  await page.getByRole('button', { name: /Fuzzy stem/ }).click();
  await plan
    .getByRole('listitem')
    .filter({ hasText: /keep \d+ mm/ })
    .first()
    .getByRole('checkbox')
    .uncheck();
  await expect(plan).toContainText('0 of 18 cut');
  await plan.getByRole('button', { name: 'Put the plan away' }).click();
  await expect(plan.getByRole('button', { name: 'Take this plan' })).toBeVisible();
});

test('what the shelf allows of each figure, and what would use up leftovers', async ({ page, demo }) => {
  await page.goto(`${demo.url}/buying/makes`);
  const makes = page.getByRole('region', { name: 'What can be made from here' });
  const beetle = makes.getByRole('listitem').filter({ hasText: 'Stag beetle' }).first();
  await expect(beetle).toContainText('Pin back 25 mm limits it');
  await expectNothingByAxe(page);
  await makes.getByRole('checkbox', { name: 'As though no run were ahead' }).check();
  await expect(
    makes.getByRole('listitem').filter({ hasText: 'Pear with two leaves' }).first(),
  ).not.toContainText(/^.*\b0makes/);
  await makes.getByLabel('Leftovers to use up').click();
  await page.keyboard.type('Rust');
  await page.keyboard.press('Enter');
  await expect(makes.getByRole('listitem').first()).toContainText('of the heap');
});
