import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { smallClass } from './support/smallClass.ts';
import { expect, test } from './support/studio.ts';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const printer = (page: Page) => page.getByRole('region', { name: 'Print labels' });
const codesOf = async (page: Page, url: string, runId: string): Promise<Map<string, string>> => {
  const csv = await (await page.request.get(`${url}/api/runs/${runId}/papers/labels/csv`)).text();
  return new Map(
    csv.split('\n').flatMap((line) => {
      const code = /([2-9A-Z]{12})\s*$/.exec(line)?.[1];
      return code ? [[line.split(',')[0] ?? '', code] as const] : [];
    }),
  );
}; // prettier-ignore

test('labels go to a printer: it runs out, jams and is unplugged, and goes on; what it printed lies in its tray', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Saturday pears', 4);
  await page.goto(`${demo.url}/runs/${runId}/papers/labels`);
  const print = printer(page);
  await expect(print).toContainText('the smallest that does');
  await print.getByRole('button', { name: 'Leave 3' }).click();
  await print.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(print).toContainText('Out of labels. Put some in: it goes on with what waits.');
  await expect(print).toContainText('In its tray: 3 pieces');
  await expectNothingByAxe(page);
  await print.getByRole('button', { name: 'Jam it' }).click();
  await print.getByRole('button', { name: 'Put in 100' }).click();
  await print.getByRole('button', { name: /Clear the jam|Jam it/ }).click();
  await print.getByRole('button', { name: 'Unplug' }).click();
  await expect(print).toContainText('It says nothing');
  await print.getByRole('button', { name: 'Plug in' }).click();
  const jam = print.getByRole('button', { name: 'Clear the jam' });
  if (await jam.isVisible()) await jam.click();
  await expect(print).toContainText('In its tray: 8 pieces');
  await expect(print.getByRole('status')).toContainText('Ready.');
  // One label by itself.
  await print.getByLabel('Which').click();
  await page.locator('.ant-select-item-option').nth(1).click();
  await print.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(print).toContainText('In its tray: 9 pieces');
});

test('a scanner on the wire opens where a label belongs, from anywhere; at the table it ticks the bag in', async ({
  page,
  demo,
}) => {
  const runId = await smallClass(page, demo.url, 'Puffin weekend', 2);
  const codes = await codesOf(page, demo.url, runId);
  const scan = (text: string) =>
    page.request.post(`${demo.url}/api/scanners/scanner-1/acts`, { data: { act: 'scan', text } });
  /** Goes there, and waits until what is scanned is heard. */
  const heard = (go: () => Promise<unknown>) =>
    Promise.all([page.waitForResponse((answer) => answer.url().endsWith('/scans')), go()]);
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  await page.getByLabel('Scanned with').click();
  await page.getByTitle('Simulated scanner').click();
  await page.getByLabel('What the simulated scanner sees').fill(codes.get('Seat 1') ?? '');
  await button(page, 'Pull the trigger').click();
  await expect(page.getByText(/^In: .*, Seat 1\.$/)).toBeVisible();
  await expectNothingByAxe(page);
  // From the bench: the bag’s place, and nothing ticked.
  await heard(() => page.goto(`${demo.url}/`));
  await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();
  await scan(`]Q3${codes.get('Seat 2')}`);
  await expect(page.getByRole('region', { name: 'Seat 2' })).toBeVisible();
  await expect(page.locator('[aria-label^="Seat"] [aria-pressed="true"]')).toHaveCount(0);
  // At the scale: its pack.
  await heard(() => page.goto(`${demo.url}/runs/${runId}/weigh-out`));
  await expect(page.getByText(/^0 of \d+ weighed$/)).toBeVisible();
  await scan(codes.get('Seat 1') ?? '');
  await expect(page.getByRole('region', { name: 'Seat 1' })).toBeVisible();
  await scan('2345-2345-2345');
  await expect(page.getByText('That is no label of this studio.')).toBeVisible();
  // Typed where one finds and does.
  await page.goto(`${demo.url}/`);
  await expect(page.getByRole('heading', { name: 'Runs ahead' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find or do' }).fill((codes.get('Seat 1') ?? '').toLowerCase());
  await page.getByRole('option', { name: /Label of Puffin weekend, small/ }).click();
  await expect(page.getByRole('region', { name: 'Seat 1' })).toBeVisible();
});

test('a picture of a label is read; one without a code is told', async ({ page, demo }) => {
  const runId = await smallClass(page, demo.url, 'Puffin weekend', 2);
  await page.goto(`${demo.url}/runs/${runId}/papers/labels`);
  const code = page.locator('img[alt^="code "]').first();
  await expect(code).toBeVisible();
  const title = await code.evaluate((image) => image.closest('div')?.querySelector('b')?.textContent);
  // As near as a hand holds a phone: the label fills a part of the picture.
  const picture = await code.evaluate((image) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [640, 480];
    const drawing = canvas.getContext('2d');
    if (!drawing) return '';
    drawing.fillStyle = '#d9cbb5';
    drawing.fillRect(0, 0, 640, 480);
    drawing.rotate(0.06);
    drawing.drawImage(image as HTMLImageElement, 210, 90, 240, 240);
    return canvas.toDataURL('image/jpeg', 0.8).slice('data:image/jpeg;base64,'.length);
  });
  await page.goto(`${demo.url}/runs/${runId}/packing`);
  const field = page.getByLabel('Picture of a label');
  await field.setInputFiles({ name: 'label.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(picture, 'base64') });
  await expect(page.getByText(new RegExp(`^In: .*, ${title}\\.$`))).toBeVisible();
  await field.setInputFiles({ name: 'table.png', mimeType: 'image/png', buffer: await page.screenshot({ clip: { x: 0, y: 300, width: 60, height: 60 } }) });
  await expect(page.getByText('No code can be read in that picture.')).toBeVisible();
}); // prettier-ignore
