import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

// Debian's headless build of Chromium does the same in three quarters of the time; where it cannot be had the whole one does.
const HEADLESS = '/usr/bin/chromium-headless-shell';

// Every test starts a studio of its own (support/studio.ts), so tests share nothing and may run side by side.
export default defineConfig({
  testDir: '.',
  outputDir: '../out/playwright',
  // How long at the most: a busy machine is slow, and that is no fault of what is tested.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: !!process.env['CI'],
  retries: 0,
  reporter: 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    trace: 'off',
    launchOptions: {
      executablePath: existsSync(HEADLESS) ? HEADLESS : '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
