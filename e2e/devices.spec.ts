import { type APIRequestContext, chromium, type Page } from '@playwright/test';
import { once } from 'node:events';
import { createServer } from 'node:http';
import { expectNothingByAxe } from './support/axe.ts';
import { codeFor, deviceOf, logIn, openToNetwork, PASSPHRASE, runCommand } from './support/opened.ts';
import { expect, Studio, test } from './support/studio.ts';

const OURS = { 'X-Lanakit': '1' };

interface Lines {
  readonly items: readonly { readonly id: string; readonly name: string }[];
}

async function runNamed(request: APIRequestContext, url: string, name: string): Promise<string> {
  const { items } = (await (await request.get(`${url}/api/runs`)).json()) as Lines;
  return items.find((run) => run.name === name)?.id ?? '';
}

/** Opens a class to learners’ phones and gives the codes of its seats. */
async function codesOf(request: APIRequestContext, url: string, runId: string): Promise<string[]> {
  const run = (await (await request.get(`${url}/api/runs/${runId}`)).json()) as Record<string, unknown>;
  const readOnly = [
    'id',
    'version',
    'state',
    'frozen',
    'wants',
    'designs',
    'patternId',
    'patternTitle',
    'revisionNumber',
  ];
  const input = Object.fromEntries(Object.entries(run).filter(([key]) => !readOnly.includes(key)));
  const saved = await request.put(`${url}/api/runs/${runId}`, {
    headers: { 'If-Match': `"${Number(run['version'])}"` },
    data: { ...input, learnerDays: 14 },
  });
  expect(saved.status()).toBe(200);
  const made = await request.post(`${url}/api/runs/${runId}/codes`, { headers: OURS });
  return ((await made.json()) as { items: { code: string }[] }).items.map(({ code }) => code);
}

test('a tablet is paired, weighs without names and prices, is shut out in the middle of it, and what it had not sent waits', async ({
  page: owner,
  browser,
  demoData,
}) => {
  const studio = new Studio(true, demoData);
  try {
    const url = await openToNetwork(studio);
    await owner.goto(`${url}/network`);
    await logIn(owner);
    const code = await codeFor(owner, 'Tablet at the scale');
    const { context, page: tablet } = await deviceOf(browser, { width: 1024, height: 768 });
    // As by the picture of the code.
    await tablet.goto(`${url}/pair#pair=${code}`);
    await expect(tablet.getByLabel('Code', { exact: true })).toHaveValue(code);
    await expectNothingByAxe(tablet);
    await tablet.getByRole('button', { name: 'Pair this device' }).click();
    await expect(tablet.getByRole('heading', { name: 'Runs', exact: true })).toBeVisible();
    expect(tablet.url()).toBe(`${url}/runs`);
    await expect(tablet.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
      'Runs',
      'Count',
    ]);
    // The owner sees it come, without a press.
    await expect(owner.getByRole('listitem').filter({ hasText: 'Tablet at the scale' })).toBeVisible();
    await tablet.getByRole('link', { name: /Saturday pears/ }).click();
    await expectNothingByAxe(tablet);
    await tablet.getByRole('link', { name: /^Weigh / }).click();
    await expect(tablet.getByText('0 of 47 weighed')).toBeVisible();
    await expect(tablet.getByText('Seat 1', { exact: true })).toBeVisible();
    await expect(tablet.getByText('Ines')).toHaveCount(0);
    await tablet
      .getByRole('checkbox', { name: /^Seat 1 / })
      .or(tablet.getByRole('button', { name: /^Seat 1\b/ }))
      .first()
      .click();
    await expect(tablet.getByText('1 of 47 weighed')).toBeVisible();
    // Nowhere else is its business.
    await tablet.goto(`${url}/patterns`);
    await expect(tablet.getByRole('heading', { name: 'Not for this device' })).toBeVisible();
    // It counts.
    await tablet.getByRole('link', { name: 'Count' }).click();
    await tablet.getByLabel('Find a drawer').fill('walnut');
    await tablet
      .getByLabel(/^Count of Walnut/)
      .first()
      .fill('33');
    await tablet.keyboard.press('Enter');
    await expect(tablet.getByText('Counted: 33.0 g.')).toBeVisible();
    await expectNothingByAxe(tablet);
    // Shut out while it weighs on.
    await tablet.goto(`${url}/runs`);
    await tablet.getByRole('link', { name: /Saturday pears/ }).click();
    await tablet.getByRole('link', { name: /^Weigh / }).click();
    await expect(tablet.getByText('1 of 47 weighed')).toBeVisible();
    await owner.getByRole('button', { name: 'Shut out Tablet at the scale' }).click();
    await owner.getByRole('button', { name: 'Shut it out' }).click();
    await expect(owner.getByText(/” is shut out\. What it had not sent/)).toBeVisible();
    await tablet
      .getByRole('checkbox', { name: /^Seat 2 / })
      .or(tablet.getByRole('button', { name: /^Seat 2\b/ }))
      .first()
      .click();
    await expect(
      tablet.getByRole('heading', { name: '“Tablet at the scale” is no longer let in' }),
    ).toBeVisible();
    await expect(tablet.getByText('1 tick not sent yet: kept on this device')).toBeVisible();
    await expectNothingByAxe(tablet);
    // Let in again, it sends what it kept; the log tells all of it.
    await owner.reload();
    const again = await codeFor(owner, 'Tablet, again');
    await tablet.getByLabel('Code', { exact: true }).fill(again.toLowerCase());
    await tablet.keyboard.press('Enter');
    await expect(tablet.getByText('2 of 47 weighed')).toBeVisible();
    // Weighed without a name, it is weighed for who sits there.
    const runPath = new URL(tablet.url()).pathname;
    await owner.goto(`${url}${runPath}`);
    await expect(owner.getByText('2 of 47 weighed')).toBeVisible();
    await expect(owner.getByRole('button', { name: /^✓ ?1 · Ines|^1 · Ines/ }).first()).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await owner.goto(`${url}/network`);
    await owner.getByText('Who did what').click();
    const lines = owner.getByRole('region', { name: 'Who did what' }).getByRole('listitem');
    await expect(
      lines.filter({ hasText: 'Tablet, again' }).filter({ hasText: 'weighed or packed' }),
    ).toHaveCount(1);
    await expect(
      lines.filter({ hasText: 'Tablet at the scale' }).filter({ hasText: 'Saturday pears' }),
    ).toHaveCount(1);
    await expectNothingByAxe(owner);
    await context.close();
  } finally {
    await studio.dispose();
  }
});

test('a learner’s phone opens the pattern of its pack, ticks along, and sees nothing else', async ({
  page: owner,
  browser,
  demoData,
}) => {
  const studio = new Studio(true, demoData);
  try {
    const url = await openToNetwork(studio);
    await owner.goto(`${url}/runs`);
    await logIn(owner);
    const runId = await runNamed(owner.request, url, 'Saturday pears');
    await owner.goto(`${url}/runs/${runId}?look=terms`);
    await owner.getByLabel('Days their pattern stays open').fill('14');
    await owner.getByRole('button', { name: 'Codes for their phones' }).click();
    await owner.getByRole('button', { name: 'Make 11 codes' }).click();
    const slip = owner.getByRole('listitem').filter({ hasText: 'Bram' });
    const code = (await slip.getByText(/^[2-9A-Z]{5}-[2-9A-Z]{5}$/).textContent()) ?? '';
    await expectNothingByAxe(owner);
    const { context, page: phone } = await deviceOf(browser, { width: 390, height: 844 });
    await phone.goto(`${url}/pack`);
    await phone.getByLabel('Code of the pack').fill('AAAAA-AAAAA');
    await phone.keyboard.press('Enter');
    await expect(phone.getByText('No such code, or it is over.')).toBeVisible();
    await phone.getByLabel('Code of the pack').fill(code.toLowerCase());
    await phone.keyboard.press('Enter');
    await expect(phone.getByRole('heading', { name: 'Pear with two leaves' })).toBeVisible();
    await expect(phone.getByText(/Bram|Ines/)).toHaveCount(0);
    await expectNothingByAxe(phone);
    // Nothing runs out of the phone’s side.
    expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await phone.getByRole('button', { name: 'Step 1 done' }).click();
    await expect(phone.getByRole('status').filter({ hasText: '1 of 10' })).toBeVisible();
    // A hand that goes up on the phone is up in front of the class, and down when somebody came.
    await owner.goto(`${url}/runs/${runId}/class`);
    await phone.getByRole('button', { name: 'Hand up' }).click();
    await expect(phone.getByRole('button', { name: 'Hand is up' })).toBeVisible();
    await expect(owner.getByRole('article', { name: 'Bram' })).toContainText('hand up');
    await owner.getByRole('button', { name: 'Bram: helped' }).click();
    await expect(owner.getByRole('article', { name: 'Bram' })).not.toContainText('hand up');
    await expect(phone.getByRole('button', { name: 'Hand up' })).toBeVisible();
    // It comes back as it was left, also where the studio was started anew.
    await studio.stop();
    await studio.start({ LANAKIT_HOST: '0.0.0.0' });
    await phone.reload();
    await expect(phone.getByRole('status').filter({ hasText: '1 of 10' })).toBeVisible();
    // Everywhere else it is led back, and the server tells it nothing.
    await phone.goto(`${url}/runs`);
    await expect(phone.getByRole('heading', { name: 'Pear with two leaves' })).toBeVisible();
    expect((await phone.request.get(`${url}/api/runs`)).status()).toBe(403);
    await owner.goto(`${url}/runs/${runId}/codes`);
    await logIn(owner);
    await owner.getByRole('button', { name: 'End them…' }).click();
    await owner.getByRole('button', { name: 'End them', exact: true }).click();
    await expect(owner.getByRole('button', { name: 'Make 11 codes' })).toBeVisible();
    await phone.reload();
    await expect(phone.getByText('No such code, or it is over.')).toBeVisible();
    await context.close();
  } finally {
    await studio.dispose();
  }
});

/** A name that is not ours and leads to this machine all the same, as who owns it may let it. */
const FOREIGN = 'felting.example';

type Enter = (page: Page, url: string) => Promise<void>;

test('a foreign page and a foreign name do nothing as whoever is let in, and nothing is answered once they are out', async ({
  page: owner,
  demoData,
  launchOptions,
}) => {
  const studio = new Studio(true, demoData);
  const elsewhere = createServer((_request, response) =>
    response.setHeader('Content-Type', 'text/html').end('<!doctype html><title>elsewhere</title>'),
  );
  elsewhere.listen(0, '127.0.0.1');
  await once(elsewhere, 'listening');
  const { port } = elsewhere.address() as { port: number };
  const browser = await chromium.launch({
    ...(launchOptions.executablePath !== undefined && { executablePath: launchOptions.executablePath }),
    args: ['--no-sandbox', '--disable-quic', `--host-resolver-rules=MAP ${FOREIGN} 127.0.0.1`],
  });
  try {
    const url = await openToNetwork(studio);
    await owner.goto(`${url}/network`);
    await logIn(owner);
    const runId = await runNamed(owner.request, url, 'Saturday pears');
    const [packCode = ''] = await codesOf(owner.request, url, runId);
    const pairCode = await codeFor(owner, 'Helper');
    const runs = async () =>
      ((await (await owner.request.get(`${url}/api/runs`)).json()) as Lines).items.length;
    const before = await runs();
    const roles: readonly (readonly [role: string, enter: Enter, path: string])[] = [
      ['nobody', async () => undefined, ''],
      ['a learner', async (page) => {
        const answer = await page.request.post(`${url}/api/session/pack`, { headers: OURS, data: { code: packCode } });
        expect(answer.status()).toBe(204);
      }, '/pack'],
      ['a helper', async (page) => {
        const answer = await page.request.post(`${url}/api/session/pairing`, { headers: OURS, data: { code: pairCode } });
        expect(answer.status()).toBe(204);
      }, '/runs'],
      ['the owner', async (page) => {
        const answer = await page.request.post(`${url}/api/session`, { headers: OURS, data: { passphrase: PASSPHRASE } });
        expect(answer.status()).toBe(204);
      }, '/runs'],
    ]; // prettier-ignore
    for (const [role, enter, path] of roles) {
      const context = await browser.newContext();
      const page = await context.newPage();
      await enter(page, url);
      if (path !== '') expect((await page.request.get(`${url}/api${path}`)).status(), role).toBe(200);
      // The studio itself, under their name.
      for (const at of ['', '/api/session', '/api/runs']) {
        const named = await page.goto(`${url.replace('127.0.0.1', FOREIGN)}${at}`);
        expect(named?.status(), `${role} ${at}`).toBe(403);
      }
      // A page of theirs writes and reads, with all it may send.
      await page.goto(`http://${FOREIGN}:${port}`);
      const tried = await page.evaluate(
        async ([copy, session]) => {
          const attempts = [
            fetch(copy, { method: 'POST', mode: 'no-cors', credentials: 'include' }),
            fetch(copy, { method: 'POST', headers: { 'X-Lanakit': '1' }, credentials: 'include' }),
            fetch(session, { credentials: 'include' }).then((answer) => answer.text()),
            fetch(session, { method: 'DELETE', headers: { 'X-Lanakit': '1' }, credentials: 'include' }),
          ];
          const settled = await Promise.allSettled<unknown>(attempts);
          return settled.map((each) =>
            each.status === 'fulfilled' && typeof each.value === 'string' ? each.value : '',
          );
        },
        [`${url}/api/runs/${runId}/copy`, `${url}/api/session`] as const,
      );
      expect(tried.join(''), role).toBe('');
      expect(await runs(), role).toBe(before);
      if (path !== '') {
        // Still let in by its own page; and out when it goes.
        expect((await page.request.get(`${url}/api${path}`)).status(), role).toBe(200);
        expect((await page.request.delete(`${url}/api/session`, { headers: OURS })).status()).toBe(204);
        expect((await page.request.get(`${url}/api${path}`)).status(), role).toBe(401);
      }
      await context.close();
    }
  } finally {
    await browser.close();
    elsewhere.close();
    await studio.dispose();
  }
});

test('with a certificate it speaks TLS, and its cookie goes over nothing else', async ({
  browser,
  demoData,
}) => {
  const studio = new Studio(true, demoData);
  try {
    expect(await runCommand('passphraseCommand', studio.dataDir, PASSPHRASE)).toMatchObject({ code: 0 });
    const { code, words } = await runCommand('certificateCommand', studio.dataDir);
    expect(code).toBe(0);
    expect(words).toMatch(/(?:[\dA-F]{2}:){31}[\dA-F]{2}/);
    await studio.start({ LANAKIT_HOST: '0.0.0.0' });
    const url = studio.url.replace('0.0.0.0', '127.0.0.1');
    expect(url).toContain('https://');
    const context = await browser.newContext({ ignoreHTTPSErrors: true });
    const page = await context.newPage();
    await page.goto(`${url}/network`);
    await logIn(page);
    await expect(page.getByText('Over TLS: nobody on the network reads along.')).toBeVisible();
    const [cookie] = await context.cookies(url);
    expect(cookie).toMatchObject({
      name: '__Host-lanakit',
      secure: true,
      httpOnly: true,
      sameSite: 'Strict',
    });
    await context.close();
  } finally {
    await studio.dispose();
  }
});

test('wrong tries slow down, and are told to the owner', async ({ page: owner, browser, demoData }) => {
  const studio = new Studio(true, demoData);
  try {
    const url = await openToNetwork(studio);
    await owner.goto(`${url}/network`);
    await logIn(owner);
    const { context, page: stranger } = await deviceOf(browser, { width: 390, height: 844 });
    await stranger.goto(url);
    await stranger.getByText('A code', { exact: true }).click();
    const code = stranger.getByLabel('Code', { exact: true });
    for (const [at, last] of ['2', '3', '4', '5', '6', '7'].entries()) {
      await code.fill(`AAAA-AAA${last}`);
      // The answer is heard of before the page has said it; until then Enter sends nothing.
      await expect(stranger.getByRole('button', { name: 'Pair this device' })).toBeEnabled();
      const [answer] = await Promise.all([
        stranger.waitForResponse(/session\/pairing/),
        stranger.keyboard.press('Enter'),
      ]);
      expect(answer.status()).toBe(at < 5 ? 401 : 429);
    }
    await expect(stranger.getByText('Too many wrong tries.')).toBeVisible();
    await expect(owner.getByText('5 wrong passphrases and codes within the last hour.')).toBeVisible();
    await context.close();
  } finally {
    await studio.dispose();
  }
});

test('who is named is found, given theirs, and forgotten everywhere', async ({ page, demo }) => {
  await page.goto(`${demo.url}/network/persons`);
  await page.getByRole('textbox', { name: 'Who' }).fill('ane');
  const row = page.getByRole('row').filter({ hasText: 'comes a quarter of an hour late' });
  // Nobody else is called so: what is pressed stays where it is.
  await expect(page.getByRole('row')).toHaveCount(2);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: 'Give them theirs' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('what-is-kept.json');
  await expectNothingByAxe(page);
  await row.getByRole('button', { name: 'Forget Ane' }).click();
  await page.getByRole('button', { name: 'Forget', exact: true }).click();
  await expect(page.getByText('Nobody is called so here.')).toBeVisible();
  await page.goto(`${demo.url}/network`);
  await expect(page.getByRole('heading', { name: 'Only this machine reaches it' })).toBeVisible();
  await expectNothingByAxe(page);
});
