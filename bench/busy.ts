import { valuesNeverAllowed } from '@lanakit/core/pattern';
import { allowances } from '@lanakit/core/run';
import { rowOf, time, type Row } from './measure.ts';
import type { RunningServer } from './server.ts';

const COLOURWAYS = 12;
const variants = Array.from({ length: COLOURWAYS }, (_, at) => ({
  share: 1 / COLOURWAYS,
  // Of each colour its own wool, and of three fibres another amount each.
  grams: new Map([
    [`coat|c${at}`, 12 + at],
    ...['slate', 'chalk', 'oat'].map((fibre, of) => [`body|${fibre}`, 5 + ((at * (of + 1)) % 7)] as const),
  ]),
}));

const oneOf = (id: string, count: number) => ({
  id,
  name: id,
  kind: 'one-of' as const,
  defaultValueId: null,
  values: Array.from({ length: count }, (_, at) => ({ id: `v${at}`, name: '', things: [] })),
});
const options = [...Array.from({ length: 22 }, (_, at) => oneOf(`o${at}`, 12)), oneOf('x', 2), oneOf('y', 2)];
const limits = ['v0', 'v1'].flatMap((a) =>
  ['v0', 'v1'].map((b) => ({
    id: `${a}${b}`,
    kind: 'not-with' as const,
    a: { optionId: 'x', valueId: a },
    b: { optionId: 'y', valueId: b },
    reason: '',
  })),
);

/** What once brought it to a stand. */
export const benchBusyCore = async (): Promise<Row[]> => [
  await time('colours for the undecided', `60 of ${COLOURWAYS} colourways`, () =>
    allowances(variants, 60, 0.95),
  ),
  await time('colours for the undecided', `200 of ${COLOURWAYS} colourways`, () =>
    allowances(variants, 200, 0.95),
  ),
  await time('options that exclude one another', '22 of 12 before two', () =>
    valuesNeverAllowed({ options, limits }),
  ),
];

const SEATS = 200;
const PAPERS = 10;

/** How long a plain answer takes while others keep it busy. */
export async function benchBusy({ url }: RunningServer): Promise<Row[]> {
  const get = async (path: string) =>
    (await fetch(`${url}/api${path}`)).json() as Promise<Record<string, unknown>>;
  const runs = (await get('/runs'))['items'] as { id: string; kind: string; state: string }[];
  const base = await get(
    `/runs/${runs.find(({ kind, state }) => kind === 'class' && state === 'planned')?.id}`,
  );
  const taken = [
    'id',
    'version',
    'state',
    'patternId',
    'patternTitle',
    'revisionNumber',
    'designs',
    'frozen',
    'wants',
  ];
  const input = Object.fromEntries(Object.entries(base).filter(([key]) => !taken.includes(key)));
  const post = (path: string, body: unknown) =>
    fetch(`${url}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const made = (await (
    await post('/runs', { ...input, name: 'Two hundred', seats: SEATS, roster: [], undecidedChance: null })
  ).json()) as { id: string };
  await get('/bench');
  const plain: number[] = [];
  let isOver = false;
  const watch = (async () => {
    while (!isOver) {
      const begun = performance.now();
      await get('/health');
      plain.push(performance.now() - begun);
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const begun = performance.now();
  await Promise.all(
    Array.from({ length: PAPERS }, async () =>
      (await fetch(`${url}/api/runs/${made.id}/papers/packs/pdf`)).arrayBuffer(),
    ),
  );
  const papersMs = performance.now() - begun;
  isOver = true;
  await watch;
  const afterTick: number[] = [];
  for (let at = 0; at < 15; at++) {
    await post(`/runs/${made.id}/ticks`, { key: `bench${at}`, mark: 'm', isDone: true, massG: 1 });
    const asked = performance.now();
    await get('/bench');
    afterTick.push(performance.now() - asked);
  }
  plain.sort((a, b) => a - b);
  return [
    rowOf('ten papers at once', `${SEATS} packs each`, [papersMs], 'ms'),
    rowOf(
      'a plain answer meanwhile, p50',
      `${plain.length} of them`,
      [plain[Math.floor(plain.length / 2)] ?? 0],
      'ms',
    ),
    rowOf(
      'a plain answer meanwhile, p99',
      `${plain.length} of them`,
      [plain[Math.floor(plain.length * 0.99)] ?? 0],
      'ms',
    ),
    rowOf('the bench after a tick', `a class of ${SEATS} ahead`, afterTick, 'ms'),
  ];
}
