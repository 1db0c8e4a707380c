import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expectNothingByAxe } from './support/axe.ts';
import { keyboard, mouse, type Hands } from './support/hands.ts';
import { expect, type Studio, test } from './support/studio.ts';

const say = (page: Page) =>
  page.getByRole('status').filter({ has: page.getByRole('button', { name: 'Put away' }) });

interface Wool {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly onHandG: number | null;
  readonly peakG: number;
  readonly lots: readonly object[];
}

/** Saves the studio as its own interface does; the ZIP. */
async function saved(page: Page, { url }: Studio): Promise<string> {
  await page.goto(`${url}/backups`);
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the whole studio as open files' }).click();
  return (await coming).path();
}

const choose = (page: Page, file: string) =>
  page
    .locator('input[type=file]')
    .setInputFiles({ name: 'studio.zip', mimeType: 'application/zip', buffer: readFileSync(file) });

/** From one machine to another: saved, brought into an empty studio, and the runs ahead weigh what they weighed. */
async function moveStudio(
  page: Page,
  { demo, empty }: { demo: Studio; empty: Studio },
  hands: Hands,
): Promise<void> {
  const zip = await saved(page, demo);
  await page.goto(demo.url);
  const runsAhead = () =>
    page
      .getByRole('main')
      .getByText(/^\d+\.\d g$/)
      .allTextContents();
  await expect(page.getByText('Saturday pears').first()).toBeVisible();
  const before = await runsAhead();
  await page.goto(`${empty.url}/backups`);
  await hands.press(page.getByRole('link', { name: 'Bring a studio in' }));
  await choose(page, zip);
  await expect(page.getByRole('region', { name: 'What is in it' })).toContainText('it becomes the same');
  await hands.look();
  await hands.press(page.getByRole('button', { name: 'Bring it in' }));
  await expect(say(page)).toContainText('Brought in: 5 patterns, 7 runs');
  await expect(page.getByText('Saturday pears').first()).toBeVisible();
  expect(await runsAhead()).toEqual(before);
  expect(before.length).toBeGreaterThan(4);
}

test('a whole studio moves to another machine', ({ page, demo, empty }) =>
  moveStudio(page, { demo, empty }, mouse(page)));
test('a whole studio moves with nothing but keys', ({ page, demo, empty }) =>
  moveStudio(page, { demo, empty }, keyboard(page)));

test('into a studio with a shelf of its own: wool is found by its name, and told otherwise; what is no studio says why', async ({
  page,
  demo,
  empty,
}) => {
  const zip = await saved(page, demo);
  const shelf = (await (await page.request.get(`${demo.url}/api/fibres`)).json()) as { items: Wool[] };
  const theirs = shelf.items.find(({ name }) => name === 'Pear');
  const {
    id: _id,
    version: _version,
    onHandG: _onHand,
    peakG: _peak,
    lots: _lots,
    ...input
  } = theirs as Wool;
  await page.request.post(`${empty.url}/api/fibres`, { data: { ...input, countedNow: 50 } });
  await page.goto(`${empty.url}/backups/bring-in`);
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'studio.zip', mimeType: 'application/zip', buffer: Buffer.from('wool') });
  await expect(page.getByRole('alert')).toContainText('is no ZIP');
  await choose(page, zip);
  const inIt = page.getByRole('region', { name: 'What is in it' });
  await expect(inIt).toContainText('81 things on the shelf');
  const pear = page.getByRole('combobox', { name: 'Pear is' });
  // The one of its name is taken for it; everything else goes on the shelf.
  await expect(inIt.getByText('Pear, carded sliver')).toBeVisible();
  await expect(inIt.getByText('put on my shelf').first()).toBeVisible();
  await expectNothingByAxe(page);
  await pear.click();
  await pear.fill('put on');
  await pear.press('Enter');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(say(page)).toContainText('81 things on the shelf');
  const after = (await (await page.request.get(`${empty.url}/api/fibres`)).json()) as { items: Wool[] };
  const pears = after.items.filter(({ name }) => name === 'Pear').map(({ onHandG }) => onHandG);
  expect(new Set(pears)).toEqual(new Set([theirs?.onHandG, 50]));
});
