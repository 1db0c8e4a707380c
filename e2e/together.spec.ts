import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { type Hands, keyboard, mouse } from './support/hands.ts';
import { expect, type Studio, test } from './support/studio.ts';

const region = (page: Page) => page.getByRole('region', { name: 'Together' });
const figure = (page: Page) => page.getByRole('group', { name: 'The figure together' });
const piece = (page: Page, name: string) => figure(page).getByRole('button', { name, exact: true });
const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');

async function openTogether(page: Page, { url }: Studio, title: RegExp, hands: Hands): Promise<void> {
  await page.goto(`${url}/patterns`);
  await hands.press(page.getByRole('link', { name: title }));
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await hands.switchTo(/^together$/);
  await expect(figure(page)).toBeVisible();
}

/** Where a piece is seen: its box, from the middle of the figure. */
async function seen(page: Page, name: string): Promise<{ left: number; right: number; top: number }> {
  const [box, all] = [await piece(page, name).boundingBox(), await figure(page).boundingBox()];
  if (!box || !all) throw new Error(`${name} is not seen`);
  // The figure stands in the middle of what is right of its ruler.
  const middle = all.x + 22 + (all.width - 22) / 2;
  return { left: box.x - middle, right: box.x + box.width - middle, top: box.y - all.y };
}

async function expectMirrored(page: Page): Promise<void> {
  const [left, right] = [await seen(page, 'Wing 1 on Body'), await seen(page, 'Wing 2 on Body')];
  expect(Math.abs(left.left + right.right)).toBeLessThan(2);
  expect(Math.abs(left.right + right.left)).toBeLessThan(2);
  expect(Math.abs(left.top - right.top)).toBeLessThan(2);
}

test('a mirrored pair is dragged along its host, its partner follows, and one undo takes both back', async ({
  page,
  demo,
}) => {
  await openTogether(page, demo, /Harbour puffin/, mouse(page));
  await expectMirrored(page);
  const before = await seen(page, 'Wing 1 on Body');
  const wing = await piece(page, 'Wing 1 on Body').boundingBox();
  if (!wing) throw new Error('no wing');
  // By what of it stands off the body.
  const at = { x: wing.x + wing.width * 0.8, y: wing.y + wing.height * 0.55 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x, at.y - 14, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await seen(page, 'Wing 1 on Body')).top).toBeLessThan(before.top - 6);
  await expectMirrored(page);
  await expect(region(page)).toContainText('Wing 1 on Body');
  await saved(page);
  await page.keyboard.press('Control+z');
  // Chosen, its edge is drawn a pixel wider.
  await expect
    .poll(async () => Math.abs((await seen(page, 'Wing 1 on Body')).top - before.top))
    .toBeLessThan(2);
  await expectNothingByAxe(page);
});

test('with nothing but keys a pair is moved, leant, turned and sunk', async ({ page, demo }) => {
  const hands = keyboard(page);
  await openTogether(page, demo, /Harbour puffin/, hands);
  await hands.press(piece(page, 'Leg 1 on Body'));
  const round = region(page).getByLabel('Round', { exact: true });
  const valueOf = (label: string) => region(page).getByLabel(label, { exact: true }).inputValue();
  const before = Number(await round.inputValue());
  await page.keyboard.press('ArrowLeft');
  // A millimetre to the viewer's left takes the figure's left leg toward its front.
  await expect.poll(async () => Number(await valueOf('Round'))).toBeLessThan(before);
  await page.keyboard.press(']');
  await expect.poll(() => valueOf('Turned')).toBe('5');
  const lean = Number(await valueOf('Leans up'));
  await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(async () => Number(await valueOf('Leans up'))).toBe(lean + 5);
  await page.keyboard.press('+');
  await expect.poll(() => valueOf('Sunk in')).toBe('5 mm');
  await hands.look();
  await saved(page);
});

/** The legs far back: it falls; further forward: it stands again. */
async function mendFalling(page: Page, demo: Studio, hands: Hands): Promise<void> {
  await openTogether(page, demo, /Harbour puffin/, hands);
  await expect(region(page)).toContainText('It stands');
  await hands.press(piece(page, 'Leg 1 on Body'));
  await hands.fill('Round', '135');
  await expect(region(page)).toContainText('It falls to the front');
  await expect(region(page)).toContainText(/what it stands on [\d.]+ mm further to the front/);
  await hands.fill('Round', '80');
  await expect(region(page)).toContainText('It stands');
  await hands.look();
  await saved(page);
}

test('a figure that falls is mended by hand', ({ page, demo }) => mendFalling(page, demo, mouse(page)));
test('a figure that falls is mended with nothing but keys', ({ page, demo }) =>
  mendFalling(page, demo, keyboard(page)));

test('it turns in steps, tells its size from every side, and details have places of their own', async ({
  page,
  demo,
}) => {
  await openTogether(page, demo, /Pear with two leaves/, mouse(page));
  await expect(region(page)).toContainText('mm high');
  await expect(piece(page, 'Blush on Body')).toBeVisible();
  for (let turn = 0; turn < 12; turn++)
    await page.getByRole('button', { name: 'Turn it to its left' }).click();
  await expect(region(page).getByText('180°')).toBeVisible();
  // From behind nothing of the front is seen.
  await expect(piece(page, 'Blush on Body')).toHaveCount(0);
  await page.locator('.ant-segmented-item', { hasText: 'front' }).click();
  await piece(page, 'Blush on Body').click();
  await region(page).getByLabel('Round', { exact: true }).fill('-48');
  await expect(region(page).getByLabel('Sunk in')).toHaveCount(0);
  const [left, body] = [
    await piece(page, 'Blush on Body').boundingBox(),
    await piece(page, 'Body').boundingBox(),
  ];
  expect((left?.x ?? 0) + (left?.width ?? 0)).toBeLessThan((body?.x ?? 0) + (body?.width ?? 0) / 2);
  await expectNothingByAxe(page);
});

test('a figure hung by hand hangs straight where it says', async ({ page, demo }) => {
  await openTogether(page, demo, /Balloon mobile/, mouse(page));
  await expect(region(page)).toContainText('It hangs straight.');
  await piece(page, 'Envelope').click();
  await region(page).getByLabel('Height there').fill('80');
  await expect(region(page)).toContainText(/It hangs tilted [\d.]+° to the back/);
  await region(page).getByRole('button', { name: 'Hang it straight' }).click();
  await expect(region(page)).toContainText('It hangs straight.');
});

test('two eyes are set as far apart as is typed', async ({ page, demo }) => {
  await openTogether(page, demo, /Harbour puffin/, mouse(page));
  // Both sizes to choose from lie on one spot: the one under the other is reached by keys.
  await piece(page, 'Bead eye 4 mm, black on Head').first().focus();
  await page.keyboard.press('Enter');
  await region(page).getByLabel('Between them').fill('12');
  await expect(region(page)).toContainText(/Bead eye 4 mm, black on Head: 12 mm between them/);
  await expect
    .poll(async () => Number(await region(page).getByLabel('Round', { exact: true }).inputValue()))
    .toBeLessThan(30);
});

for (const [name, handsOf] of [
  ['mouse', mouse],
  ['keys', keyboard],
] as const) {
  test(`with ${name}: a proportion that breaks is told, and the figure is held against a jar`, async ({
    page,
    demo,
  }) => {
    const hands = handsOf(page);
    await openTogether(page, demo, /Harbour puffin/, hands);
    const proportions = page.getByRole('region', { name: 'Proportions' });
    await expect(proportions).toContainText('Head length : Body length is 0.51, as wanted (0.51 ± 8 %)');
    await hands.fill('is wanted', '0.6');
    await expect(proportions).toContainText('15 % too small');
    await hands.press(proportions.getByRole('button', { name: 'Want it as it is' }));
    await expect(proportions).toContainText('as wanted');

    const into = page.getByRole('region', { name: 'What it goes into' });
    await hands.press(into.getByRole('button', { name: /^Hold it against/ }));
    await expect(into).toContainText('unknown until it is said how wide and how high it is inside');
    await hands.choose('It is a', 'basket or jar');
    await hands.fill('Across inside', '120');
    await hands.fill('High inside', '150');
    await expect(into).toContainText(/it goes, \d+(\.\d)? mm to spare/);
    await hands.fill('Opening, across', '40');
    await expect(into).toContainText(/does not go through the opening: .* too large even/);
    await hands.look();
    await saved(page);
  });
}

test('a figure sits in a pose of its own, and stands as it is written', async ({ page, demo }) => {
  const hands = mouse(page);
  await openTogether(page, demo, /Harbour puffin/, hands);
  const before = await seen(page, 'Wing 1 on Body');
  await region(page).getByRole('button', { name: 'Another pose' }).click();
  await page.getByLabel('Name of the pose').fill('wings up');
  await piece(page, 'Wing 1 on Body').focus();
  for (let press = 0; press < 8; press++) await page.keyboard.press('ArrowUp');
  await expect.poll(async () => (await seen(page, 'Wing 1 on Body')).top).toBeLessThan(before.top - 6);
  await hands.choose('Pose', 'as it is written');
  await expect
    .poll(async () => Math.abs((await seen(page, 'Wing 1 on Body')).top - before.top))
    .toBeLessThan(2);
  await hands.choose('Pose', 'wings up');
  await expect.poll(async () => (await seen(page, 'Wing 1 on Body')).top).toBeLessThan(before.top - 6);
  await expectNothingByAxe(page);
  await saved(page);
});

test('a photo lies behind the figure, is scaled by one length, and never leaves the page', async ({
  page,
  demo,
}) => {
  await openTogether(page, demo, /Harbour puffin/, mouse(page));
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  const photo = '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="400"><rect width="200" height="400" fill="#d9b382"/></svg>'; // prettier-ignore
  const input = page.getByLabel('A photo or sketch');
  await input.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/no picture that can be shown/)).toBeVisible();
  await input.setInputFiles({ name: 'bird.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(photo) });
  const image = page.getByLabel('Photo behind the figure');
  // As high as the figure, and its marks from head to foot.
  const between = page.getByLabel('Between its marks');
  const before = Number(await image.getAttribute('height'));
  expect(parseFloat(await between.inputValue())).toBeGreaterThan(120);
  // The lower mark up by 40 mm; what is between them is then said to be 200: the photo grows.
  const now = parseFloat(await between.inputValue());
  const second = page.getByRole('button', { name: /^Second mark/ });
  await second.focus();
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowUp');
  await expect(between).toHaveValue(`${now - 40} mm`);
  await between.fill('200 mm');
  await between.press('Tab');
  await expect
    .poll(async () => Number(await image.getAttribute('height')) / before)
    .toBeCloseTo(200 / (now - 40), 1);
  await expectNothingByAxe(page);
  await page.getByText('set its marks, move it').click();
  await expect(second).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(image).toHaveCount(0);
  expect(sent).toEqual([]);
});

test('a figure is turned by hand, rests at a step, and two presses in a go are two steps', async ({
  page,
  demo,
}) => {
  await openTogether(page, demo, /Harbour puffin/, mouse(page));
  const box = await figure(page).boundingBox();
  if (!box) throw new Error('no figure');
  const turned = region(page).getByText(/^\d+°$/);
  await expect(turned).toHaveCount(0);
  // Beside the figure, to the left: what is in front goes with the hand.
  await page.mouse.move(box.x + 60, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 60 - 92, box.y + 60, { steps: 12 });
  // While it turns nothing is there to be taken hold of.
  await expect(piece(page, 'Wing 1 on Body')).toBeHidden();
  await page.mouse.up();
  await expect(turned).toHaveText('45°');
  await expect(piece(page, 'Wing 1 on Body')).toBeVisible();
  const left = page.getByRole('button', { name: 'Turn it to its left' });
  await left.evaluate((button: HTMLElement) => {
    button.click();
    button.click();
  });
  await expect(turned).toHaveText('75°');
  await page.locator('.ant-segmented-item', { hasText: /^front$/ }).click();
  await expect(turned).toHaveCount(0);
  await expect(piece(page, 'Wing 1 on Body')).toBeVisible();
});
