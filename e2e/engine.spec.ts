import type { Page } from '@playwright/test';
import { expectNothingByAxe } from './support/axe.ts';
import { expect, test } from './support/studio.ts';

const open = async (page: Page, url: string, title: string) => {
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: new RegExp(title) }).click();
  await expect(page.getByRole('region', { name: 'Pieces' })).toBeVisible();
};
const ledger = (page: Page) => page.getByRole('complementary', { name: 'One make' });
const totalG = async (page: Page) =>
  Number.parseFloat((await ledger(page).getByRole('button').first().textContent()) ?? '');
const layers = (page: Page, part: string) => page.getByRole('region', { name: `Layers of ${part}` });
const show = (page: Page, name: RegExp) => page.locator('.ant-segmented-item', { hasText: name }).click();
/** By the arrows: a long list draws only what is in sight. */
const choose = async (page: Page, label: string, text: string) => {
  await page.getByLabel(label, { exact: true }).click();
  const active = page.locator(
    '.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option-active',
  );
  await expect(active).toBeVisible();
  for (let i = 0; i < 40 && !(await active.textContent())?.includes(text); i++) {
    await page.keyboard.press('ArrowDown');
  }
  await expect(active).toContainText(text);
  await page.keyboard.press('Enter');
};
const menu = async (page: Page, name: string) => {
  await page.getByRole('button', { name: 'More to do with this pattern' }).click();
  await page.getByRole('menuitem', { name }).click();
};
const saved = (page: Page) => expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved');

test('a size is pulled at its grip: the grams follow while it is held, and one undo takes it back', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  const before = await totalG(page);
  const grip = page.locator('[data-grip="x"]');
  const box = await grip.boundingBox();
  if (!box) throw new Error('a grip');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await expect.poll(() => totalG(page)).toBeGreaterThan(before + 5);
  await page.mouse.up();
  await expect(page.getByLabel('Diameter', { exact: true })).not.toHaveValue('60 mm');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('60 mm');
  await expect.poll(() => totalG(page)).toBe(before);
});

test('layers: one is added, stated in hands’ words, put in order by keys, thickened, and taken out', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Pear with two leaves');
  const stack = layers(page, 'Body');
  const roles = () => stack.locator('[data-row-head]').allTextContents();
  expect(await roles()).toEqual(['core', 'coat', 'dot', 'added by hand'].map((role) => ` ${role}`));
  await stack.getByRole('button', { name: 'Add a layer' }).click();
  await page.getByRole('menuitem', { name: /^coat/ }).click();
  await choose(page, 'Coat 2 fibre', 'Moss');
  const whole = await totalG(page);
  await stack.getByRole('button', { name: 'Coat 2: more' }).click();
  await choose(page, 'Covers', 'a share of it');
  await choose(page, 'How thick', 'as a veil, in passes');
  await page.getByLabel('Passes').fill('3');
  await expect(stack).toContainText('of sliver');
  await expectNothingByAxe(page);
  // Moved down to just over the core: the coat that hides comes after it then.
  await stack.getByRole('button', { name: 'Coat 2: more' }).focus();
  for (const _ of [1, 2, 3]) await page.keyboard.press('Alt+ArrowUp');
  await expect
    .poll(roles)
    .toEqual(['core', 'coat', 'coat 2', 'dot', 'added by hand'].map((role) => ` ${role}`));
  await choose(page, 'Amount', 'grams');
  await page.getByLabel('From', { exact: true }).fill('9');
  await page.getByLabel('In your words').fill('all that is left of the moss');
  await expect(stack).toContainText('stated');
  await expect(stack).toContainText('the shape comes to');
  await page.getByRole('checkbox', { name: /only if needed/ }).check();
  await expect(ledger(page)).toContainText('Only if needed, packed apart');
  await stack.getByRole('button', { name: 'Delete this layer' }).click();
  await expect.poll(() => totalG(page)).toBeCloseTo(whole, 0);
  await saved(page);
});

test('a join counts under its own heading, and a part is not set onto itself', async ({ page, demo }) => {
  await open(page, demo.url, 'Stag beetle brooch');
  await show(page, /join/);
  await page.getByRole('button', { name: 'Add a join' }).click();
  await choose(page, 'Set on', '1 Wing cases');
  await choose(page, 'Onto', '3 Head');
  await expect(page.getByText('cannot be set onto itself')).toHaveCount(0);
  await choose(page, 'Onto', '2 Shield');
  await choose(page, 'Loose end of', 'neither');
  await choose(page, 'Covered with', 'Rust');
  await page.getByLabel('Band each side').fill('9');
  await expectNothingByAxe(page);
  await show(page, /by use/);
  await expect(
    ledger(page)
      .getByRole('listitem')
      .filter({ hasText: /^joins/ }),
  ).toContainText('g');
  await show(page, /by part/);
  await ledger(page).getByRole('button', { name: 'covers of joins' }).click();
  await choose(page, 'Onto', '1 Wing cases');
  await expect(page.getByText('cannot be set onto itself').first()).toBeVisible();
});

test('wire is cut with every bend: a stretch more makes it longer, and the list beside says so', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  await expect(ledger(page)).toContainText('Wire 1.2 mm, annealed27 cm');
  await show(page, /materials/);
  const cuts = page.getByRole('region', { name: 'Cut to size' });
  await cuts.locator('[data-row-head]').filter({ hasText: 'Leg wire' }).click();
  await cuts.getByRole('button', { name: 'Add a stretch' }).click();
  await cuts.getByLabel('Length', { exact: true }).last().fill('10 cm');
  await expect(ledger(page)).toContainText('Wire 1.2 mm, annealed37 cm');
  await page.getByRole('button', { name: 'Add a length to cut' }).click();
  await page.getByRole('menuitem', { name: 'whisker' }).click();
  await expect(cuts).toContainText('unknown');
  await cuts.getByLabel('Span, tip to tip').fill('50');
  await expect(cuts.locator('[data-row-head]').filter({ hasText: 'whisker' })).toContainText('70 mm');
  await expectNothingByAxe(page);
});

test('an outline from a drawing: refused with its place, then taken, and asked for one real length', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Pear with two leaves');
  await page.getByRole('region', { name: 'Pieces' }).getByRole('button', { name: /Leaf/ }).first().click();
  await choose(page, 'Shape', 'flat, own outline');
  await expect(page.getByText('Unknown until it is drawn')).toBeVisible();
  await page.getByRole('button', { name: 'Bring an outline in', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('or paste it').fill('M0 0L40 40L40 0L0 40Z');
  await expect(dialog.getByRole('alert')).toContainText('crosses itself at 20, 20');
  await expect(dialog.getByRole('button', { name: 'Take this outline' })).toBeDisabled();
  await dialog.getByLabel('or paste it').fill('M0 20C0 5 15 0 20 0C25 0 40 5 40 20L20 60Z');
  await expect(dialog).toContainText('does not say how large it is');
  await expectNothingByAxe(page);
  await dialog.getByRole('button', { name: 'Take this outline' }).click();
  await page.getByLabel('Length', { exact: true }).fill('38');
  await page.getByLabel('Thickness', { exact: true }).fill('3');
  await expect(ledger(page)).not.toContainText('unknown');
  await saved(page);
});

/** A photograph of a ring drawn with a pen on paper, with a speck beside it. */
const ringOnPaper = async (page: Page): Promise<Buffer> => {
  const url = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 700];
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('no canvas');
    pen.fillStyle = '#e9e4d8';
    pen.fillRect(0, 0, 900, 700);
    pen.lineWidth = 8;
    pen.strokeStyle = '#26303a';
    pen.beginPath();
    pen.ellipse(430, 350, 300, 200, 0, 0, 2 * Math.PI);
    pen.stroke();
    pen.fillStyle = '#26303a';
    pen.fillRect(820, 60, 9, 9);
    return canvas.toDataURL('image/png');
  });
  return Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
};

test('a photograph of what was drawn on paper is traced, and is as large as one length says', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Pear with two leaves');
  await page.getByRole('region', { name: 'Pieces' }).getByRole('button', { name: /Leaf/ }).first().click();
  await choose(page, 'Shape', 'flat, own outline');
  await page.getByRole('button', { name: 'Bring an outline in', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Choose a file').setInputFiles({ name: 'leaf.png', mimeType: 'image/png', buffer: await ringOnPaper(page) });
  await expect(dialog).toContainText('does not say how large it is');
  await dialog.getByLabel('How high it really is, from its lowest to its highest point').fill('40');
  await page.keyboard.press('Tab');
  await expect(dialog).toContainText('40 mm high, as the drawing says.');
  await expectNothingByAxe(page);
  // By keys: darker and darker, until nothing is left of the ink.
  await dialog.getByRole('slider').focus();
  await page.keyboard.press('Home');
  await expect(dialog.getByRole('alert')).toContainText('Nothing dark enough is on it.');
  await expect(dialog.getByRole('button', { name: 'Take this outline' })).toBeDisabled();
  for (let at = 0; at < 45; at++) await page.keyboard.press('ArrowRight');
  await dialog.getByRole('button', { name: 'Take this outline' }).click();
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue(/^40/);
}); // prettier-ignore

test('another size: seen beside this one, an eye swapped, made a pattern of its own; and side by side', async ({
  page,
  demo,
}) => {
  await open(page, demo.url, 'Harbour puffin');
  await menu(page, 'Another size');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('New height').fill('103.5');
  await expect(dialog).toContainText('33.6 g →');
  await expect(dialog.getByRole('row', { name: /^Body/ })).toContainText('61.5 × 45 mm');
  await expectNothingByAxe(page);
  await dialog.getByLabel(/Bead eye 4 mm/).click();
  await page.locator('.ant-select-item-option').filter({ hasText: 'Bead eye 3 mm' }).click();
  await dialog.getByRole('button', { name: 'As a new pattern' }).click();
  await expect(page.getByLabel('Title')).toHaveValue('Harbour puffin, × 0.75');
  await expect(ledger(page)).toContainText('Bead eye 3 mm');
  await menu(page, 'Side by side');
  await choose(page, 'beside that', 'Harbour puffin, revision 1');
  const differences = page.getByRole('region', { name: 'Differences' });
  await expect(differences.getByRole('row', { name: /^Body/ })).toContainText('82 × 60 mm');
  await expectNothingByAxe(page);
});

test('another size as a new revision; one undo brings the draft back', async ({ page, demo }) => {
  await open(page, demo.url, 'Pear with two leaves');
  const before = await totalG(page);
  await menu(page, 'Another size');
  await page.getByRole('dialog').getByText('by a factor').click();
  await page.getByRole('dialog').getByLabel('Times').fill('1.5');
  await page.getByRole('button', { name: 'As revision 3' }).click();
  await expect(page.getByText('Revision 3 has the new size')).toBeVisible();
  expect(await totalG(page)).toBeGreaterThan(before * 3);
  await page.keyboard.press('Control+z');
  await expect.poll(() => totalG(page)).toBe(before);
});
