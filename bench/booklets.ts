import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { rowOf, type Row } from './measure.ts';
import type { RunningServer } from './server.ts';

const [PICTURES, STEPS, SEATS, TIMES] = [60, 170, 200, 5] as const;

/** Booklets as they leave the studio: a long one with many photographs, and those of a large class in one file. */
export async function benchBooklets({ url, pid }: RunningServer): Promise<Row[]> {
  const get = async (path: string) => (await fetch(`${url}/api${path}`)).json() as Promise<Record<string, unknown>>;
  const post = async (path: string, body: unknown) =>
    (await fetch(`${url}/api${path}`, { method: 'POST', headers: { 'Content-Type': 'application/json', 'X-Lanakit': '1' }, body: JSON.stringify(body) })).json() as Promise<Record<string, unknown>>;
  const long = await longPattern(url, get, post);
  const single: number[] = [];
  let pages = 0;
  for (let at = 0; at < TIMES; at++) {
    const begun = performance.now();
    const bytes = Buffer.from(await (await fetch(`${url}/api/patterns/${long}/booklet/pdf`)).arrayBuffer());
    single.push(performance.now() - begun);
    pages = pagesIn(bytes);
  }
  const runs = (await get('/runs'))['items'] as { id: string; kind: string; name: string }[];
  const base = await get(`/runs/${runs.find(({ name }) => name.startsWith('Puffin'))?.id}`);
  const taken = ['id', 'version', 'state', 'patternId', 'patternTitle', 'revisionNumber', 'designs', 'frozen', 'wants'];
  const input = Object.fromEntries(Object.entries(base).filter(([key]) => !taken.includes(key)));
  const made = await post('/runs', { ...input, name: 'Two hundred booklets', seats: SEATS, roster: [], undecidedChance: null });
  const plain: number[] = [];
  let [isOver, mostMb] = [false, 0];
  const watch = (async () => {
    while (!isOver) {
      const begun = performance.now();
      await get('/health');
      plain.push(performance.now() - begun);
      mostMb = Math.max(mostMb, residentMb(pid));
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  const begun = performance.now();
  const all = Buffer.from(await (await fetch(`${url}/api/runs/${String(made['id'])}/booklets/pdf?of=packs`)).arrayBuffer());
  const allMs = performance.now() - begun;
  isOver = true;
  await watch;
  plain.sort((a, b) => a - b);
  const at = (fraction: number) => plain[Math.floor(plain.length * fraction)] ?? NaN;
  return [
    rowOf('a booklet as PDF', `${pages} pages, ${PICTURES} photographs`, single, 'ms'),
    rowOf('booklets of a class in one PDF', `${SEATS} seats, ${pagesIn(all)} pages`, [allMs / 1000], 's'),
    rowOf('a plain answer meanwhile, p99', `${plain.length} of them`, [at(0.99)], 'ms'),
    rowOf('the server at its most meanwhile', 'with its threads', [mostMb], 'MB'),
  ];
} // prettier-ignore

const pagesIn = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type \/Page\b(?!s)/g)?.length ?? 0;

const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** As much of the drawing library as is used here. */
type DrawPhoto = (of: object) => { jpeg: (how: object) => { toBuffer: () => Promise<Buffer> } };

/** The octopus with so many steps and photographs that it fills forty pages. */
async function longPattern(url: string, get: (path: string) => Promise<Record<string, unknown>>, post: (path: string, body: unknown) => Promise<Record<string, unknown>>): Promise<string> {
  const draw = createRequire(join(process.cwd(), 'server/package.json'))('sharp') as DrawPhoto;
  const ids: string[] = [];
  for (let at = 0; at < PICTURES; at++) {
    const width = 1600;
    const height = 1200;
    const photo = await draw({ create: { width, height, channels: 3, background: '#a08060', noise: { type: 'gaussian', mean: 128, sigma: 25 + at / 4 } } }).jpeg({ quality: 85 }).toBuffer();
    const answer = await fetch(`${url}/api/pictures`, { method: 'POST', headers: { 'Content-Type': 'image/jpeg', 'X-Lanakit': '1' }, body: new Uint8Array(photo) });
    ids.push(String(((await answer.json()) as { id: string }).id));
  }
  const patterns = (await get('/patterns'))['items'] as { id: string; document: { title: string; steps: object[]; pictures: object[] } }[];
  const of = patterns.find(({ document }) => document.title.includes('octopus'));
  if (!of) throw new Error('no octopus to make a long booklet of');
  const rights = (of.document.pictures[0] as { rights: object } | undefined)?.rights;
  const steps = Array.from({ length: STEPS }, (_each, at) => ({
    ...(of.document.steps[at % of.document.steps.length] as object),
    id: `bench-${at}`,
    checks: [],
    recallsStepId: null,
    technique: null,
    pictures: at < PICTURES ? [{ id: `shown-${at}`, pictureId: ids[at], caption: `After step ${at + 1}` }] : [],
  }));
  const pictures = ids.map((id, at) => ({ id, name: `Photograph ${at + 1}`, alt: `After step ${at + 1}`, rights }));
  const made = await post('/patterns', { ...of.document, title: 'A long one', steps, pictures, sessions: [], drawnStepIds: [], techniques: [], options: [], limits: [], links: [], meant: [] });
  if (typeof made['id'] !== 'string') throw new Error(`the long pattern was refused: ${JSON.stringify(made).slice(0, 400)}`);
  return made['id'];
} // prettier-ignore
