import { expect, type Page } from '@playwright/test';

const READ_ONLY = [
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

interface Runs {
  readonly items: readonly { readonly id: string; readonly name: string }[];
}

/** A class as one of the demo’s, but small. @returns its id */
export async function smallClass(page: Page, url: string, like: string, seats: number): Promise<string> {
  const { items } = (await (await page.request.get(`${url}/api/runs`)).json()) as Runs;
  const id = items.find(({ name }) => name === like)?.id ?? '';
  const run = (await (await page.request.get(`${url}/api/runs/${id}`)).json()) as Record<string, unknown>;
  const input = Object.fromEntries(Object.entries(run).filter(([key]) => !READ_ONLY.includes(key)));
  const made = await page.request.post(`${url}/api/runs`, {
    headers: { 'X-Lanakit': '1' },
    data: {
      ...input,
      name: `${like}, small`,
      seats,
      sparePacks: 0,
      demonstrations: 0,
      roster: [],
      toBagFraction: null,
    },
  });
  expect(made.status()).toBe(201);
  return ((await made.json()) as { id: string }).id;
}
