import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { smallClass } from './support/smallClass.ts';
import { expect, test } from './support/studio.ts';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const side = (page: Page, name: string) => page.getByText(name, { exact: true }).click();
const now = (page: Page) => page.getByRole('region', { name: 'Now' });

interface Answer {
  readonly version: number;
}

/** Bought, weighed and packed, whatever is missing. */
async function packed(page: Page, url: string, runId: string): Promise<void> {
  let { version } = (await (await page.request.get(`${url}/api/runs/${runId}`)).json()) as Answer;
  for (const to of ['bought', 'weighed', 'packed']) {
    const moved = await page.request.post(`${url}/api/runs/${runId}/state`, {
      headers: { 'If-Match': `"${version}"` },
      data: { to, anyway: true },
    });
    ({ version } = (await moved.json()) as Answer);
  }
}

const taps = async (page: Page, url: string, runId: string, pile: string, amount: number) => {
  const { items } = (await (await page.request.get(`${url}/api/needles`)).json()) as { items: { id: string }[] };
  const tapped = await page.request.post(`${url}/api/runs/${runId}/tray/taps`, {
    data: { key: `${pile}-${amount}`, needleId: items[0]?.id, pile, amount },
  });
  expect(tapped.status()).toBe(200);
}; // prettier-ignore

test('a class is taught from its beginning to its close: a late-comer, a broken needle, what was said, what came back', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 3);
  await packed(page, demo.url, runId);
  await taps(page, demo.url, runId, 'out', 4);
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${demo.url}/runs/${runId}/class`);
  await expect(now(page)).toContainText('Planned for');
  await button(page, 'Begin now all the same').click();
  await expect(now(page)).toContainText('on time');
  await expectNothingByAxe(page);
  // The welcome is over at once: the day is early by as much.
  await now(page).getByRole('button', { name: 'Begin' }).click();
  await expect(now(page).getByRole('heading')).toContainText('Welcome');
  await button(page, 'Everybody has it').click();
  await expect(now(page)).toContainText('8 min early');
  await now(page).getByRole('button', { name: 'Begin' }).click();
  await button(page, '5 more minutes').click();
  await expect(now(page)).toContainText('3 min early');
  // Who is late is not brought on by “everybody has it”.
  await button(page, /^Seat 3$/).click();
  await button(page, 'Not here yet').click();
  await expect(page.getByRole('article', { name: 'Seat 3' })).toContainText('not here');
  await side(page, 'The day');
  await expectNothingByAxe(page);
  await page.getByRole('row', { name: /Felt all round/ }).getByRole('button', { name: 'All have it' }).click();
  await side(page, 'The room');
  await expect(button(page, 'Seat 1, Body: half firm')).toBeVisible();
  await button(page, /^Seat 3/).first().click();
  await button(page, 'Has come').click();
  await expect(button(page, 'Seat 3, Body: not begun')).toBeVisible();
  await expectNothingByAxe(page);
  // One tap a state; the next tap goes on; taken back it is as before.
  await button(page, 'Seat 3, Body: not begun').click();
  await expect(button(page, 'Seat 3, Body: rolled')).toBeVisible();
  await button(page, 'Take back').click();
  await expect(button(page, 'Seat 3, Body: not begun')).toBeVisible();
  await page.getByLabel('Prepared piece, made up to step').click();
  await page.getByTitle(/Felt all round/).click();
  await button(page, 'Give it').click();
  await expect(button(page, 'Seat 3, Body: half firm')).toContainText('prepared');
  // Sharps: out and in, and a needle that broke.
  await side(page, 'Sharps');
  await button(page, /^One out: scissors/).click();
  await page.getByLabel('Which needle').click();
  await page.locator('.ant-select-item-option').first().click();
  await page.getByLabel('In what').fill('in the ear');
  await button(page, 'A needle broke').click();
  await expect(page.getByText('A tip is not found.')).toBeVisible();
  await expectNothingByAxe(page);
  // Said: what it is, and where.
  await side(page, 'Said and seen');
  await side(page, 'Trouble');
  await button(page, /^Trouble at step 2/).click();
  await expect(page.getByText(/Trouble at step 2, Felt all round/)).toBeVisible();
  await expectNothingByAxe(page);
  // Afterwards.
  await side(page, 'Afterwards');
  await expect(page.getByRole('region', { name: 'Still out' })).toContainText('3 needles, 1 sharp beside them, 1 tip of broken needles');
  await page.getByRole('region', { name: 'Who finished' }).getByRole('button', { name: 'Seat 1' }).click();
  await expect(page.getByText('Who finished: 1 of 3')).toBeVisible();
  const shelfG = () => onHand(page, demo.url);
  const before = await shelfG();
  await page.getByLabel('Grams left over').fill('6.5');
  await page.keyboard.press('Tab');
  await button(page, 'Weighed back').click();
  await expect(page.getByText(/6\.5 g .*, in a heap/)).toBeVisible();
  await expect.poll(shelfG).toBeCloseTo(before + 6.5, 3);
  await expectNothingByAxe(page);
  await button(page, 'Close the class').click();
  for (const words of ['3 needles are still out', '1 sharp beside', '1 tip of broken needles was not found'])
    await expect(page.getByRole('alert').filter({ hasText: 'Before it is closed' })).toContainText(words);
  await side(page, 'Sharps');
  await page.getByPlaceholder('where it was').fill('in the mat');
  await button(page, 'Tip found').click();
  await expect(page.getByText(/found at \d\d:\d\d, in the mat/)).toBeVisible();
  await button(page, /^One in: scissors/).click();
  await taps(page, demo.url, runId, 'in', 3);
  await side(page, 'Afterwards');
  await expect(page.getByRole('region', { name: 'Still out' })).toContainText('Nothing that was counted out.');
  await button(page, 'Close the class').click();
  const all = button(page, 'Close it anyway');
  await expect(page.getByText('This class is closed.').or(all)).toBeVisible();
  if (await all.isVisible()) await all.click();
  await expect(page.getByText('This class is closed.')).toBeVisible();
  // And its page stands in the logbook.
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Saturday pears, small', level: 2 })).toBeVisible();
  await expect(page.getByText(/1 of 3 seats finished\..* 1 needle of 4 broke\..* 1 tip broke off, all found\./)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Said and seen' })).toContainText('Trouble at step 2, Felt all round');
  await expect(page.getByRole('region', { name: 'Minutes' })).toContainText('Welcome');
  await expectNothingByAxe(page);
}); // prettier-ignore

const onHand = async (page: Page, url: string): Promise<number> => {
  const { items } = (await (await page.request.get(`${url}/api/fibres`)).json()) as { items: { name: string; onHandG: number | null }[] };
  return items.reduce((sum, { onHandG }) => sum + (onHandG ?? 0), 0);
}; // prettier-ignore

test('two devices teach at once; offline and back is merged, a clash says who, and a kill loses nothing', async ({
  page,
  browser,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  const place = `${demo.url}/runs/${runId}/class`;
  await page.goto(place);
  const context = await browser.newContext({ viewport: { width: 1024, height: 768 } });
  const other = await context.newPage();
  await other.goto(place);
  await expect(button(other, 'Seat 1, Body: not begun')).toBeVisible();
  await button(page, 'Seat 1, Body: not begun').click();
  await expect(button(other, 'Seat 1, Body: rolled')).toBeVisible();
  // A timer set on the one is on the other.
  await button(other, '3 min').click();
  await expect(button(page, 'Put out')).toBeVisible();
  await button(page, 'Put out').click();
  await expect(button(other, 'Put out')).toHaveCount(0);
  // Out of reach: shown here, kept here, and merged when it is back.
  await context.setOffline(true);
  await button(other, 'Seat 2, Stalk: not begun').click();
  await button(other, 'Seat 2, Stalk: felted').click();
  await button(other, 'Seat 1, Leaf: not begun').click();
  await expect(button(other, 'Seat 2, Stalk: joined')).toBeVisible();
  await expect(other.getByText('3 not sent yet, kept on this device')).toBeVisible();
  await button(page, 'Seat 2, Stalk: not begun').click();
  await expect(button(page, 'Seat 2, Stalk: felted')).toBeVisible();
  await other.reload().catch(() => undefined);
  await context.setOffline(false);
  await other.goto(place);
  await expect(other.getByText(/not sent yet/)).toHaveCount(0);
  // What was done later holds, on both; what was lost is told on both.
  for (const each of [page, other]) {
    await expect(button(each, 'Seat 1, Leaf: felted')).toBeVisible();
    await expect(button(each, 'Seat 2, Stalk: felted')).toBeVisible();
    const clash = each.getByRole('list', { name: 'Said differently by two devices' });
    await expect(clash).toContainText(
      /Seat 2: Stalk felted is kept \((?:this device|this machine), \d\d:\d\d\)/,
    );
    await expect(clash).toContainText('“Seat 2: Stalk joined”');
  }
  await expectNothingByAxe(page);
  await demo.kill();
  await button(other, 'Seat 1, Body: rolled').click();
  await expect(button(other, 'Seat 1, Body: half firm')).toBeVisible();
  await demo.start();
  await expect(button(page, 'Seat 1, Body: half firm')).toBeVisible();
  await context.close();
});

test('with nothing but keys a class is begun, moved on, looked at from every side, and a key too much is taken back', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  await page.goto(`${demo.url}/runs/${runId}/class`);
  const begin = button(page, 'Begin now all the same');
  await begin.focus();
  await page.keyboard.press('Enter');
  await expect(now(page)).toContainText('on time');
  await page.keyboard.press('n');
  await expect(now(page).getByRole('heading')).toContainText('Welcome');
  await page.keyboard.press('m');
  await expect(now(page)).toContainText('5 min late');
  await page.keyboard.press('Control+z');
  await expect(now(page)).toContainText('on time');
  await page.keyboard.press('h');
  await expect(now(page)).toContainText('8 min early');
  for (const [key, region] of [['2', 'The day'], ['3', 'Out and in'], ['4', 'Said and seen'], ['5', 'Still out']] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('region', { name: region })).toBeVisible();
  }
  await page.keyboard.press('1');
  const piece = button(page, 'Seat 2, Leaf: not begun');
  await piece.focus();
  await page.keyboard.press('Space');
  await expect(button(page, 'Seat 2, Leaf: felted')).toBeFocused();
}); // prettier-ignore
