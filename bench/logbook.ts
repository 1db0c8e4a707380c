import { normalFrom, seededRandom } from '@lanakit/core/base';
import { believe, type Observation, withOneMore } from '@lanakit/core/learning';
import { type Evidence, foretold, learn } from '@lanakit/core/logbook';
import { FIRMNESSES } from '@lanakit/core/shelf';
import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium.ts';
import { rowOf, time, type Row } from './measure.ts';
import { startServer } from './server.ts';

const OBSERVATIONS = 10_000;
const FIBRES = 25;

/** A studio of many years: every weighing of the maker, of a fibre at a firmness, and of a coat over it. */
function manyYears(): Evidence[] {
  const random = seededRandom(1);
  return Array.from({ length: OBSERVATIONS }, (_, at): Evidence => {
    const ln = 0.15 * normalFrom(random);
    const fibreId = `f${Math.floor(random() * FIBRES)}`;
    const firmness = FIRMNESSES[Math.floor(random() * FIRMNESSES.length)] ?? 'firm';
    const of: Observation['of'] = [
      { factor: { kind: 'maker', who: at % 9 === 0 ? 'Ada' : '' }, share: 1 },
      { factor: { kind: 'felted', fibreId, firmness }, share: 1 },
      { factor: { kind: 'hiding', fibreId: `f${Math.floor(random() * FIBRES)}` }, share: -0.2 },
    ];
    return {
      id: `m:${at}`,
      ln,
      sigma: 0.12,
      of,
      source: { kind: 'making', makingId: 'm' },
      kind: 'wool',
      date: `20${20 + (at % 7)}-0${1 + (at % 9)}-01`,
      who: '',
      fibreId,
      partId: null,
      stepId: null,
      expected: 10,
      found: 10 * Math.exp(ln),
    };
  });
}

const TERMS = {
  leftOut: new Set<string>(),
  meant: new Set<string>(),
  halfLifeMonths: null,
  today: '2026-11-30',
};
const size = `${OBSERVATIONS} observations`;

export async function benchLogbook(): Promise<Row[]> {
  const evidence = manyYears();
  const belief = believe(evidence);
  const [first] = evidence as [Evidence];
  return [
    await time('all posteriors', size, () => believe(evidence), 30),
    await time(
      'the same, and each judged by all others',
      size,
      () => learn(evidence, TERMS, { samples: [], measured: [] }),
      20,
    ),
    await time('one new one', `after ${size}`, () => withOneMore(belief, first), 200),
    await time('every estimate of the day before', size, () => foretold(evidence), 5),
    await chartRow(evidence),
  ];
}

/** From when the numbers are there to when both charts of them are drawn. */
async function chartRow(evidence: readonly Evidence[]): Promise<Row> {
  const server = await startServer();
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const told = {
      foretold: foretold(evidence),
      worth: [],
      rows: [],
      hands: [],
      evidence: [],
      untaught: [],
      patterns: [],
      runs: [],
      fresh: 0,
      takenAt: null,
      halfLifeMonths: null,
    };
    await page.route('**/api/learning', (route) => route.fulfill({ json: told }));
    const samples: number[] = [];
    for (let turn = 0; turn < 7; turn++) {
      await page.goto(`${server.url}/logbook/good`);
      await page.waitForFunction(() => document.querySelectorAll('canvas').length >= 2);
      samples.push(
        await page.evaluate(async () => {
          // Anew, with everything fetched: out of the page and back into it.
          const [links] = [document.querySelectorAll<HTMLAnchorElement>('a[href$="/logbook/questions"]')];
          links[0]?.click();
          await new Promise((go) => setTimeout(go, 300));
          const begun = performance.now();
          document.querySelector<HTMLAnchorElement>('a[href$="/logbook/good"]')?.click();
          while (document.querySelectorAll('canvas').length < 2)
            await new Promise((go) => requestAnimationFrame(go));
          await new Promise((go) => requestAnimationFrame(go));
          return performance.now() - begun;
        }),
      );
    }
    return rowOf('page with both charts drawn', `${OBSERVATIONS} points each`, samples, 'ms');
  } finally {
    await browser.close();
    server.stop();
  }
}
