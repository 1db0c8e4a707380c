import { seededRandom } from '@lanakit/core/base';
import type { PageOf, RunLine } from '@lanakit/core/api';
import { onlyFibres } from '@lanakit/core/engine';
import { bagLabels, type PaperSource } from '@lanakit/core/papers';
import {
  bagsForChance,
  blankRecipe,
  classNeeds,
  type ClassNeeds,
  COST_DEFAULTS,
  costOfRun,
  extrasForChance,
  NO_PROMISES,
  packsOf,
  portionsOfRun,
  RUN_DEFAULTS,
  type RunInput,
  simulateRun,
  toPackOf,
  weighings,
} from '@lanakit/core/run';
import { readFileSync } from 'node:fs';
import { benchFibres, figureOf } from './core.ts';
import { rowOf, time, type Row } from './measure.ts';
import type { RunningServer } from './server.ts';

const designs = new Map([1, 2, 3].map((n) => [`r${n}`, figureOf(60, `Design ${n}`)]));
const wool = onlyFibres(new Map(benchFibres.map((fibre) => [fibre.id, fibre])));
const none = { values: {}, colourwayId: null, swapIds: [] };

const boxes: RunInput = {
  ...RUN_DEFAULTS,
  kind: 'kits',
  name: 'Five hundred',
  date: '2026-12-12',
  revisionId: 'r1',
  seats: 500,
  sparePacks: 0,
  bagging: 'stage',
  isBaggedByDesign: true,
  wantedChance: 0.98,
  roster: [],
  swapIds: [],
  ownBags: [],
  recipes: Array.from({ length: 5 }, (_, at) => ({
    ...blankRecipe(`b${at}`, 'r1'),
    boxes: 100,
    designs: ['r1', 'r2', 'r3'].map((revisionId) => ({ revisionId, copies: 1 + (at % 2), choices: none })),
  })),
};

const stockOf = () => ({ onHandG: 2000, promisedG: 10 });
const planOf = (run: RunInput) => {
  const toPack = toPackOf(designs, run, wool);
  return { toPack, plan: portionsOfRun(toPack, run, stockOf), packs: [] };
};

/** Runs as large as they may be. */
export async function benchRuns(): Promise<Row[]> {
  const { toPack, plan } = planOf(boxes);
  const packs = packsOf(toPack.groups, []);
  const source: PaperSource = {
    runId: 'run',
    input: boxes,
    toPack,
    plan,
    packs,
    wool,
    revisionNumbers: new Map(),
    kit: null,
    needles: [],
    tools: [],
    promised: NO_PROMISES,
    shelf: wool.fibres,
    isPacked: false,
    recipes: new Map(),
  };
  const oneBox = { ...toPack, groups: toPack.groups.slice(0, 1).map((group) => ({ ...group, seats: [1] })) };
  const { needs } = classNeeds(oneBox.groups, toPack.estimates, plan, boxes);
  const today = new Map(benchFibres.map(({ id }) => [id, 500]));
  const classOf = (count: number, fibres: number): ClassNeeds => ({
    fibres: Array.from({ length: fibres }, (_, at) => ({
      fibreId: `f${at}`,
      commonSigma: 0.15,
      sharedSigma: 0.12,
    })),
    makers: [
      {
        groupKey: 'g',
        count,
        sigma: 0.12,
        takes: Array.from({ length: fibres }, (_, at) => ({ at, likelyG: 17, packedG: 18 })),
      },
    ],
    toleranceFraction: 0.1,
  });
  return [
    await time('portions of a batch of kits', '500 boxes × 3 designs × 60 parts', () => planOf(boxes), 20),
    await time('its weighings, mark by mark', '500 boxes', () => weighings(plan, packs, wool.fibres, 0.1), 20),
    await time('its labels', '500 boxes', () => bagLabels(source), 10),
    await time(
      'its costs',
      '500 boxes',
      () =>
        costOfRun(toPack, plan, COST_DEFAULTS, {
          wool: wool.fibres,
          findings: new Map(),
          todayPer100gMinor: today,
          kit: null,
          needles: [],
          spareTerms: boxes,
        }),
      20,
    ),
    await time(
      'a box tried by chance',
      `10 000 times, ${needs.fibres.length} fibres`,
      () =>
        simulateRun(
          needs,
          needs.fibres.map(() => 0),
          10_000,
          seededRandom(1),
        ),
      5,
    ),
    await time('spare bags', '11 seats, 6 fibres', () => bagsForChance(classOf(11, 6), 0.95), 10),
    await time('spare bags', '200 seats, 12 fibres', () => bagsForChance(classOf(200, 12), 0.95), 5),
    await time('each alone for a chance', '11 seats, 6 fibres', () => extrasForChance(classOf(11, 6), 0.95), 10),
    await time('each alone for a chance', '200 seats, 12 fibres', () => extrasForChance(classOf(200, 12), 0.95), 5),
  ]; // prettier-ignore
}

const peakMb = (pid: number): number =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** A long PDF: the pack lists of a full class, one after another. */
export async function benchPdf({ url, pid }: RunningServer): Promise<Row[]> {
  const { items } = (await (await fetch(`${url}/api/runs`)).json()) as PageOf<RunLine>;
  const line = items.find(({ name }) => name === 'Puffin weekend');
  if (!line) throw new Error('the demo has no puffins');
  const puffins = (await (await fetch(`${url}/api/runs/${line.id}`)).json()) as RunInput;
  const fields = Object.keys({ ...RUN_DEFAULTS, name: '', date: '', revisionId: '' });
  const body = Object.fromEntries(Object.entries(puffins).filter(([key]) => fields.includes(key)));
  const big = { ...body, name: 'A full house', seats: 200, sparePacks: 0, roster: [] };
  const made = await fetch(`${url}/api/runs`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(big),
  });
  if (made.status !== 201) throw new Error(`a class of 200 was answered ${made.status}`);
  const { id } = (await made.json()) as { id: string };
  const samples: number[] = [];
  let pages = 0;
  for (let run = 0; run < 3; run++) {
    const begun = performance.now();
    const pdf = await fetch(`${url}/api/runs/${id}/papers/packs/pdf`);
    const text = Buffer.from(await pdf.arrayBuffer()).toString('latin1');
    samples.push((performance.now() - begun) / 1000);
    pages = text.match(/\/Type \/Page\b/g)?.length ?? 0;
  }
  return [
    rowOf('pack lists as PDF', `200 seats, ${pages} pages`, samples, 's'),
    rowOf('memory of the server, at its peak', 'with those', [peakMb(pid)], 'MB'),
  ];
}
