// npm run pictures: the README's pictures, from the demo data on the built application.
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, ROOT } from './prepare.mjs';

const HEADLESS = '/usr/bin/chromium-headless-shell';
install();
build();
const dataDir = mkdtempSync(join(tmpdir(), 'lanakit-pictures-'));
const server = spawn(process.execPath, [join(ROOT, 'dist/server/main.js')], {
  env: { ...process.env, PORT: '0', LANAKIT_DATA: dataDir, LANAKIT_DEMO: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const url = await new Promise((resolve) => {
  server.stdout.on('data', (chunk) => {
    const found = /http:\S+/.exec(String(chunk));
    if (found) resolve(found[0]);
  });
});
const browser = await chromium.launch({
  executablePath: existsSync(HEADLESS) ? HEADLESS : '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-quic'],
});
const OUT = join(ROOT, 'docs/screenshots');
mkdirSync(OUT, { recursive: true });

/** A page at rest: fonts there, and two frames painted since. */
async function take(page, name) {
  await page.evaluate(async () => {
    await document.fonts.ready;
    await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
  });
  await page.screenshot({ path: join(OUT, `${name}.png`) });
}

async function pictures(colorScheme, visit) {
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    colorScheme,
  });
  await visit(page);
  await page.close();
}

const open = async (page, place, name, heading) => {
  await page.goto(`${url}/${place}`);
  await page.getByRole('link', { name }).click();
  await page.getByRole('heading', { name: heading, exact: true }).waitFor();
  await page
    .getByRole('complementary')
    .or(page.getByRole('region', { name: 'Portions' }))
    .first()
    .waitFor();
};

await pictures('light', async (page) => {
  await page.goto(url);
  await page.getByRole('heading', { name: 'Runs ahead' }).waitFor();
  await take(page, 'bench');
  await page.goto(`${url}/patterns`);
  await page.getByRole('link', { name: /Harbour puffin/ }).waitFor();
  await take(page, 'patterns');
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find or do' }).fill('be shown');
  await page.keyboard.press('Enter');
  await page.getByText('1 of 5').waitFor();
  await page.getByLabel('What is it called?').fill('Harbour seal');
  await page.getByLabel('People', { exact: true }).fill('11');
  await page.getByText('for 11 people').waitFor();
  await take(page, 'begin');
  await page.getByRole('button', { name: 'Leave the tour' }).click();
  await open(page, 'patterns', /Harbour puffin/, 'Together');
  await page.getByRole('button', { name: 'Wing 1 on Body' }).focus();
  await page.keyboard.press('Enter');
  await page.getByText('Held by').waitFor();
  await take(page, 'work-table');
  await open(page, 'patterns', /Harbour puffin/, 'Together');
  await page.getByText('side by side', { exact: true }).click();
  const write = (what) => page.getByRole('radiogroup', { name: 'What to write' }).getByText(what).click();
  await write('26 steps');
  await page.getByRole('button', { name: 'Paste a text…' }).waitFor();
  await take(page, 'steps');
  const puffin = page.url();
  await write('26 steps');
  await page.getByRole('button', { name: 'Open the ladder' }).click();
  await page.getByRole('button', { name: 'See the order' }).waitFor();
  await page.getByRole('button', { name: /^Step 19:/ }).hover();
  await page
    .getByText(/smoothed again/)
    .first()
    .waitFor();
  await take(page, 'ladder');
  await page.goto(`${puffin}/papers`);
  await page.locator('canvas[aria-label="Page 1"][aria-busy="false"]').waitFor({ timeout: 120_000 });
  await take(page, 'booklet');
  await page.goto(`${puffin}/guide`);
  await page.getByRole('figure', { name: /^Page 1 of/ }).waitFor();
  await take(page, 'guide');
  await page.goto(`${url}/buying`);
  await page.getByText('proven: none is cheaper').nth(2).waitFor();
  await page.getByRole('button', { name: /^Marigold/ }).click();
  await page.getByRole('img', { name: /today/ }).waitFor();
  await take(page, 'buying');
  const drawer = (name) => page.getByRole('region', { name: 'Wool' }).getByRole('button', { name });
  await page.goto(`${url}/shelf`);
  await drawer(/^Marigold/).click();
  await page.getByText('draft, revision 1').waitFor();
  await take(page, 'shelf');
  await open(page, 'runs', /Saturday pears/, 'Portions');
  await page.getByText('To weigh out for the class').waitFor();
  await take(page, 'run');
  await page.getByRole('button', { name: 'The day', exact: true }).click();
  await page.getByText('For 95 %:').waitFor({ timeout: 120_000 });
  await take(page, 'day');
  await open(page, 'runs', /Puffin weekend/, 'Portions');
  await page.getByRole('button', { name: 'Pack', exact: true }).click();
  const things = page.locator('section[aria-label^="Seat"] li button');
  for (const at of [0, 1]) await things.nth(at).click();
  await page.getByRole('button', { name: /^Seat 1\s*2\// }).waitFor();
  await page.getByText('not sent yet').waitFor({ state: 'hidden' });
  await take(page, 'packing');
  await open(page, 'runs', /Saturday pears/, 'Portions');
  await page.getByRole('button', { name: 'It is bought' }).click();
  await page.getByRole('button', { name: 'Go on anyway' }).click();
  await page.getByText('Saturday pears is bought.').waitFor();
  await page.getByRole('button', { name: 'Weigh out' }).click();
  for (const name of [/1 · Ines/, /2 · Bram/, /3 · Tove/]) await page.getByRole('button', { name }).click();
  await page.getByText('3 of 47 weighed').waitFor();
  await page.getByText('Saturday pears is bought.').waitFor({ state: 'hidden' });
  await page.getByRole('combobox', { name: 'Weighed with' }).click();
  await page.getByTitle('Simulated scale', { exact: true }).click();
  await page.getByRole('button', { name: 'most of it' }).click();
  await page
    .locator('output[data-stable="true"]')
    .getByText(/1\d\.\d g/)
    .waitFor();
  await take(page, 'weigh-out');
  await page.getByRole('link', { name: /Saturday pears/ }).click();
  await page.getByRole('button', { name: 'Add a seat' }).click();
  await page.getByRole('region', { name: 'What is other now' }).waitFor();
  await page.getByText('Saturday pears is bought.').waitFor({ state: 'hidden' });
});
await pictures('light', async (page) => {
  const { items } = await (await page.request.get(`${url}/api/runs`)).json();
  const { id } = items.find(({ name }) => name === 'Tide-pool evening');
  await page.goto(`${url}/runs/${id}?look=terms`);
  await page.getByLabel('Days their pattern stays open').fill('14');
  await page.getByRole('button', { name: 'Codes for their phones' }).click();
  await page.getByRole('button', { name: /^Make/ }).click();
  const code = await page
    .getByText(/^[2-9A-Z]{5}-[2-9A-Z]{5}$/)
    .first()
    .textContent();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${url}/pack#${code}`);
  await page.getByRole('heading', { name: 'Tide-pool octopus' }).waitFor();
  await take(page, 'phone');
});
await pictures('light', async (page) => {
  await open(page, 'runs', /Saturday pears/, 'Portions');
  await page.getByRole('button', { name: 'Teach' }).click();
  const press = (name) => page.getByRole('button', { name }).first().click();
  await press('Begin now all the same');
  await press('Begin');
  await press('Everybody has it');
  await press('Begin');
  for (const name of ['Ines', 'Bram', 'Oda', 'Mara']) await press(`${name}, Body: not begun`);
  await press('Ines, Body: rolled');
  await press('Oda, Leaf: not begun');
  await press(/^Tove/);
  await press('Hand up');
  await press('Close');
  await press('10 min');
  await page.getByRole('button', { name: 'Tove: helped' }).waitFor();
  await take(page, 'class');
});
await pictures('light', async (page) => {
  await page.goto(`${url}/logbook/learnt`);
  await page
    .getByRole('img', { name: /before, .* now/ })
    .first()
    .waitFor();
  await take(page, 'learnt');
  await page.getByRole('link', { name: /^Pear with two leaves.*5\.\d g/ }).click();
  await page.getByRole('button', { name: /^Yes, / }).waitFor();
  await take(page, 'making');
  await page.goto(`${url}/logbook/asked`);
  await page.getByRole('link', { name: /Large puffin/ }).click();
  await page.getByRole('region', { name: 'Quote' }).scrollIntoViewIfNeeded();
  await page.getByText(/leaves [\d.]+ an hour/).waitFor();
  await take(page, 'asked');
});
await browser.close();
server.kill();
rmSync(dataDir, { recursive: true, force: true });
