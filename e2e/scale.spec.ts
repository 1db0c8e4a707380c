import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { smallClass } from './support/smallClass.ts';
import { expect, test } from './support/studio.ts';

const station = (page: Page) => page.getByRole('region', { name: 'At the scale' });
const play = (page: Page) => page.getByRole('region', { name: 'Play the simulated scale' });

async function chooseSimulated(page: Page): Promise<void> {
  await page.getByRole('combobox', { name: 'Weighed with' }).click();
  await page.getByTitle('Simulated scale', { exact: true }).click();
  await expect(station(page)).toBeVisible();
}

/** What is wanted now, grams. */
const wantedG = async (page: Page): Promise<number> =>
  Number(/wanted ([\d.]+) g/.exec((await station(page).textContent()) ?? '')?.[1]);

async function putOn(page: Page, grams: number): Promise<void> {
  await play(page).getByLabel('Grams to put on').fill(String(grams));
  await page.keyboard.press('Enter');
}

test('a whole run is weighed by the scale: taken by itself, parted step by step, and off the shelf as it was weighed', async ({
  page,
  demo,
}) => {
  test.slow();
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  await page.goto(`${demo.url}/runs/${runId}/weigh-out`);
  const progress = page.getByText(/^\d+ of \d+ weighed$/);
  const total = Number(/of (\d+)/.exec((await progress.textContent()) ?? '')?.[1]);
  expect(total).toBeGreaterThan(4);
  await chooseSimulated(page);
  await expectNothingByAxe(page);
  for (let done = 0; done < total; done++) {
    const wanted = await wantedG(page);
    // A step under what is wanted: right, and not just what was planned.
    await putOn(page, wanted >= 2 ? wanted - 0.1 : wanted);
    // Hardly anything is kept by a press.
    if (wanted < 0.3) await page.getByRole('button', { name: /^Keep what lies there/ }).click();
    await expect(page.getByText(`${done + 1} of ${total} weighed`)).toBeVisible();
    const part = station(page).getByRole('button', { name: /^Done|^Parted/ });
    if (done === total - 1) break;
    // What is parted is led through before it is taken off; a fibre that is done gives way to the next by itself.
    await expect(async () => {
      if (await part.isVisible()) await page.keyboard.press('Enter');
      else await play(page).getByRole('button', { name: 'Take all off' }).click({ timeout: 500 });
      await expect(station(page).getByText('Put it on')).toBeVisible({ timeout: 1500 });
    }).toPass();
  }
  await page.goto(`${demo.url}/runs/${runId}/weigh-out`);
  const ticks = (await (await page.request.get(`${demo.url}/api/runs/${runId}/ticks`)).json()) as {
    items: { massG: number; weighedG: number | null; scale: string; device: string; lotId: string | null }[];
  };
  expect(ticks.items).toHaveLength(total);
  for (const { massG, weighedG, scale, device } of ticks.items) {
    expect([scale, device]).toEqual(['Simulated scale', 'this machine']);
    expect(Math.abs((weighedG ?? 0) - massG)).toBeLessThanOrEqual(Math.max(0.1, massG * 0.05) + 0.11);
  }
  expect(ticks.items.some(({ massG, weighedG }) => weighedG !== massG)).toBe(true);
});

test('what cannot be right is asked about; unplugged nothing is kept; tared, a bowl is known again; by hand it goes on as before', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  await page.goto(`${demo.url}/runs/${runId}/weigh-out`);
  await chooseSimulated(page);
  const wanted = await wantedG(page);
  const reading = page.getByLabel('On the scale');
  // Ten times as much.
  await putOn(page, wanted * 10);
  await expect(reading).toHaveAttribute('data-stable', 'true');
  await page.getByRole('button', { name: /^Keep what lies there/ }).click();
  await expect(page.getByRole('alert')).toContainText('10 times');
  await expectNothingByAxe(page);
  await page.getByRole('button', { name: 'Weigh it again' }).click();
  await play(page).getByRole('button', { name: 'Take all off' }).click();
  await expect(page.getByText('Put it on')).toBeVisible();
  // Unplugged in the middle.
  await putOn(page, wanted / 2);
  await play(page).getByRole('button', { name: 'Unplug' }).click();
  await expect(reading).toHaveText('––');
  await expect(page.getByText('The scale says nothing.')).toBeVisible();
  await play(page).getByRole('button', { name: 'Plug in' }).click();
  await expect(page.getByText(/ more/).first()).toBeVisible();
  await play(page).getByRole('button', { name: 'Take all off' }).click();
  await expect(page.getByText('Put it on')).toBeVisible();
  // A bowl, tared by its key; taken off and put on again it is known.
  await putOn(page, 40);
  await expect(reading).toHaveAttribute('data-stable', 'true');
  await expect(reading).toHaveText(/^(?:39\.\d|40\.\d) g$/);
  await reading.click();
  await page.keyboard.press('t');
  await expect(page.getByText(/tared by (?:39|40)/)).toBeVisible();
  await putOn(page, wanted);
  await expect(page.getByText(/^1 of \d+ weighed$/)).toBeVisible();
  // By hand, with the scale still there.
  await page
    .getByRole('button', { name: /^Seat 2\b/ })
    .first()
    .click();
  await expect(page.getByText(/^2 of \d+ weighed$/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Weighed with' }).click();
  await page.getByTitle('Weighed by hand').click();
  await expect(station(page)).toHaveCount(0);
});

test('a count takes what lies on the scale', async ({ page, demo }) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 2);
  await page.goto(`${demo.url}/runs/${runId}/weigh-out`);
  await chooseSimulated(page);
  await putOn(page, 3);
  await page.goto(`${demo.url}/count`);
  await page.getByLabel('Find a drawer').fill('walnut');
  await page
    .getByRole('button', { name: /^Count of Walnut.* from Simulated scale$/ })
    .first()
    .click();
  const field = page.getByLabel(/^Count of Walnut/).first();
  await expect(field).toHaveValue(/^(?:2\.9|3|3\.1)$/);
  await field.press('Enter');
  await expect(page.getByText(/^Counted: (?:2\.9|3\.0|3\.1) g\.$/)).toBeVisible();
});
