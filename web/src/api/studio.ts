import { DEMO_STUDIO_PATH } from '@lanakit/core/api';

/** The studio that is shown is the demo beside one's own: which it is shows in the address, and stays the same for the page. */
export const isDemoStudio: boolean = /^\/demo-studio(\/|$)/.test(
  // Without a page (a test of what is worked out here) it is one's own.
  (globalThis.location as Location | undefined)?.pathname ?? '',
);

/** What stands before every path of the studio that is shown. */
export const studioPath: string = isDemoStudio ? DEMO_STUDIO_PATH : '';

/** Below /api, of the studio that is shown. */
export const apiPath = (path: string): string => `${studioPath}/api${path}`;

/** What the browser keeps of one studio is no other's. */
export const keptAs = (name: string): string => `lanakit.${isDemoStudio ? 'demo.' : ''}${name}`;
