import { existsSync } from 'node:fs';

const HEADLESS = '/usr/bin/chromium-headless-shell';

/** Debian’s Chromium: its headless build where it is there, as the journeys have it. */
export const CHROMIUM = existsSync(HEADLESS) ? HEADLESS : '/usr/bin/chromium';
