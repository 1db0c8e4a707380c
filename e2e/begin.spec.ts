import { expectNothingByAxe } from './support/axe.ts';
import type { Page } from '@playwright/test';
import { keyboard, mouse } from './support/hands.ts';
import { expect, test } from './support/studio.ts';

const takes = (page: Page) => page.getByRole('complementary', { name: 'What it takes' });

for (const [name, handsOf] of [
  ['mouse', mouse],
  ['keyboard alone', keyboard],
] as const) {
  test(`the short way: from an empty studio to eleven packs, by ${name}`, async ({ page, empty }) => {
    await page.goto(empty.url);
    await expect(page.getByRole('heading', { name: 'An empty bench' })).toBeVisible();
    const hands = handsOf(page);
    await hands.look();
    await hands.press(page.getByRole('link', { name: /The short way/ }));
    await expect(page.getByRole('heading', { name: 'Begin a figure' })).toBeVisible();
    await hands.look();
    await hands.pick('Stands on four');
    await hands.fill('What is it called?', 'Harbour seal');
    await hands.fill('How high', '12 cm');
    await hands.choose('Mostly', 'Pebble');
    await hands.fill('People', '11');
    // What the class takes stands beside it before anything is made, and on the run afterwards the same.
    await expect(takes(page)).toContainText('for 11 people');
    const sum = await takes(page).locator('p b').last().textContent();
    await hands.press(page.getByRole('button', { name: 'Make 11 packs' }));
    await expect(page.getByRole('heading', { name: 'Harbour seal' })).toBeVisible();
    await expect(page.getByText(sum ?? 'no sum').first()).toBeVisible();
    // Every pack is on paper.
    await page.goto(`${page.url()}/papers/packs`);
    await expect(
      page
        .getByRole('heading', { name: /Seat 1\b/ })
        .or(page.getByText('Seat 1', { exact: true }))
        .first(),
    ).toBeVisible();
    await expect(page.getByText(/unknown/i)).toHaveCount(0);
  });

  test(`a shelf is ticked, and a figure takes its wool from it, by ${name}`, async ({ page, empty }) => {
    await page.goto(`${empty.url}/begin/shelf`);
    const hands = handsOf(page);
    await expect(page.getByRole('heading', { name: 'What is on your shelf?' })).toBeVisible();
    await hands.tick('Core, white');
    await hands.choose('A bag of Core, white', 'as big as a cushion');
    await hands.tick('Tops, fine');
    await hands.choose('Colour of Tops, fine', 'Plum');
    await hands.fill('How much: Tops, fine, Plum', '80');
    await hands.tick('38 triangular');
    await hands.look();
    await hands.press(page.getByRole('button', { name: 'Put 3 things on it' }));
    await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible();
    // Ten litres of core, squeezed into a bag.
    await expect(page.getByText('180.0 g').first()).toBeVisible();
    await expect(page.getByText('Plum').first()).toBeVisible();
    await page.goto(`${empty.url}/begin?body=face`);
    await hands.choose('Mostly', 'Plum');
    await expect(takes(page)).toContainText('80.0 g on hand');
    await expect(takes(page)).toContainText('180.0 g on hand');
  });
}

test('what is wrong is said beside its field, and nothing that was chosen is lost', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/begin?body=fruit`);
  await page.getByLabel('People', { exact: true }).fill('11');
  await page.getByRole('button', { name: 'Make 11 packs' }).click();
  const title = page.getByLabel('What is it called?');
  await expect(title).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByRole('radio', { name: 'A fruit' })).toBeChecked();
  await page.getByLabel('How high', { exact: true }).fill('5 mm');
  await title.fill('Sea apple');
  await page.getByRole('button', { name: 'Make 11 packs' }).click();
  await expect(page.getByText(/from 20 to 600/)).toBeVisible();
  await page.getByLabel('How high', { exact: true }).fill('70 mm');
  // The pattern alone, where nobody comes yet.
  await page.getByLabel('for a class').uncheck();
  await page.getByRole('button', { name: 'Begin the pattern' }).click();
  await expect(page.getByRole('heading', { name: 'Pieces' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Finished height' })).toHaveValue('70 mm');
});

test('the demo studio is looked round, changed and left, and nothing of it is in one’s own', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByRole('link', { name: /A studio to look at/ }).click();
  await expect(page.getByText('Demo studio.')).toBeVisible();
  const ahead = page.getByRole('region', { name: 'Runs ahead' });
  await ahead.getByRole('link', { name: /Saturday pears/ }).click();
  const seats = page.getByLabel('Seats', { exact: true });
  await seats.fill('12');
  await seats.press('Tab');
  await expect(page.getByText('12 seats, 14 packs in all')).toBeVisible();
  await page.reload();
  await expect(seats).toHaveValue('12');
  // Its papers are its own too.
  await page.goto(`${page.url()}/papers/packs`);
  await expect(page.getByText('Ines').first()).toBeVisible();
  await page.getByRole('link', { name: 'Back to my studio' }).click();
  await expect(page.getByRole('heading', { name: 'An empty bench' })).toBeVisible();
  await expect(page.getByText('Demo studio.')).toHaveCount(0);
});

test('pieces are left out, renamed and added in the short way, and the wool follows', async ({
  page,
  empty,
}) => {
  await page.goto(`${empty.url}/begin?body=sits&title=Moss%20troll`);
  await expect(takes(page)).toContainText('one figure');
  const before = (await takes(page).textContent()) ?? '';
  await page.getByText(/pieces: leave out, rename, add/).click();
  await page.getByRole('button', { name: 'Leave out Muzzle' }).click();
  await page.getByLabel('Name of Ear', { exact: true }).fill('Horn');
  await page.getByRole('button', { name: 'Another like Horn' }).click();
  await page.getByLabel('Name of Ear', { exact: true }).last().fill('horn');
  await page.getByRole('button', { name: 'Make 8 packs' }).click();
  await expect(page.getByText('Another piece is called “horn” already.', { exact: false })).toBeVisible();
  await page.getByLabel('Name of Ear', { exact: true }).last().fill('Tuft');
  await expect(takes(page)).not.toHaveText(before);
  await page.getByLabel('for a class').uncheck();
  await page.getByRole('button', { name: 'Begin the pattern' }).click();
  const pieces = page.getByRole('region', { name: 'Pieces' });
  await expect(pieces.getByRole('button', { name: /Horn/ })).toBeVisible();
  await expect(pieces.getByRole('button', { name: /Tuft/ })).toBeVisible();
  await expect(pieces.getByRole('button', { name: /Muzzle/ })).toHaveCount(0);
});

test('an empty place says what could be there, and a technique of ours becomes one’s own', async ({
  page,
  empty,
}) => {
  for (const place of ['/patterns', '/runs', '/buying', '/shelf/tools', '/techniques']) {
    await page.goto(`${empty.url}${place}`);
    await expect(
      page
        .getByRole('link', {
          name: place === '/techniques' ? /Firm ball/ : /A list you have|A studio to look at/,
        })
        .first(),
    ).toBeVisible();
    await expectNothingByAxe(page);
  }
  await page.getByRole('link', { name: /Firm ball/ }).click();
  await page.getByLabel('Name', { exact: true }).fill('Firm ball, my way');
  await page.getByRole('button', { name: /^(Keep|Save)/ }).click();
  await expect(page.getByRole('complementary', { name: 'Techniques' })).toContainText('Firm ball, my way');
  await page.goto(`${empty.url}/patterns`);
  await page.getByRole('link', { name: 'Hangs' }).click();
  await expect(page.getByRole('radio', { name: /Hangs/ })).toBeChecked();
});
