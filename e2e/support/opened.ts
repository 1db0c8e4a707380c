import { type Browser, type BrowserContext, expect, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import type { Studio } from './studio.ts';

export const PASSPHRASE = 'four green felted pears';

const command = (name: string) => fileURLToPath(new URL(`../../dist/server/${name}.js`, import.meta.url));

/** A command of the studio, with what is typed piped in. */
export async function runCommand(
  name: 'passphraseCommand' | 'certificateCommand',
  dataDir: string,
  text = '',
): Promise<{ code: number | null; words: string }> {
  const asked = spawn(process.execPath, [command(name)], { env: { ...process.env, LANAKIT_DATA: dataDir } });
  let words = '';
  for (const stream of [asked.stdout, asked.stderr]) stream.on('data', (chunk) => (words += String(chunk)));
  asked.stdin.end(`${text}\n`);
  const [code] = (await once(asked, 'close')) as [number | null];
  return { code, words };
}

/** Opens a studio to its network. @returns where this machine finds it */
export async function openToNetwork(studio: Studio): Promise<string> {
  expect(await runCommand('passphraseCommand', studio.dataDir, PASSPHRASE)).toMatchObject({ code: 0 });
  await studio.start({ LANAKIT_HOST: '0.0.0.0' });
  return studio.url.replace('0.0.0.0', '127.0.0.1');
}

export async function logIn(page: Page): Promise<void> {
  const ask = page.getByRole('main', { name: 'Who is there?' });
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
  await page.keyboard.press('Enter');
  await expect(ask).toHaveCount(0);
}

/** On its owner’s page Network: a code for a device of this name. */
export async function codeFor(owner: Page, name: string): Promise<string> {
  await owner.getByLabel('What it is called').fill(name);
  await owner.getByRole('button', { name: 'Show a code' }).click();
  const offer = owner.getByRole('region', { name: `Code for ${name}` });
  return (await offer.getByText(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/).textContent()) ?? '';
}

/** Another device: it shares nothing with the others. */
export async function deviceOf(
  browser: Browser,
  size: { readonly width: number; readonly height: number },
): Promise<{ readonly context: BrowserContext; readonly page: Page }> {
  // Narrow is a phone: touched, and laid out as phones lay out.
  const isPhone = size.width < 500;
  const context = await browser.newContext({ viewport: size, isMobile: isPhone, hasTouch: isPhone });
  return { context, page: await context.newPage() };
}
