import { describe, expect, test } from '@jest/globals';
import { normalFrom, seededRandom } from '../../src/base/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import { believe, type Factor, learntFrom } from '../../src/learning/index.ts';
import {
  classEvidence,
  type ClassTold,
  type Evidence,
  evidenceTable,
  expectedOf,
  foretold,
  foretoldTable,
  handSamplesOf,
  howGood,
  learn,
  LEARNERS,
  type LearningTerms,
  learntRows,
  makeChange,
  unitSlip,
  withoutUncounted,
  worthWeighing,
} from '../../src/logbook/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { bag, making } from '../support/makings.ts';

const MAKER: Factor = { kind: 'maker', who: '' };
const TERMS: LearningTerms = {
  leftOut: new Set(),
  meant: new Set(),
  halfLifeMonths: null,
  today: '2026-11-30',
};
const NO_HANDS = { samples: [], measured: [] };

const weighed = (id: string, ln: number, more: Partial<Evidence> = {}): Evidence => ({
  id,
  ln,
  sigma: 0.1,
  of: [
    { factor: MAKER, share: 1 },
    { factor: { kind: 'felted', fibreId: 'core', firmness: 'firm' }, share: 1 },
  ],
  source: { kind: 'making', makingId: 'm' },
  kind: 'wool',
  date: '2026-11-01',
  who: '',
  fibreId: 'core',
  partId: null,
  stepId: null,
  expected: 10,
  found: 10 * Math.exp(ln),
  ...more,
});

const factorOf = (evidence: readonly Evidence[], terms: Partial<LearningTerms> = {}) =>
  Math.exp(learn(evidence, { ...TERMS, ...terms }, NO_HANDS).learnt.felted[0]?.ln ?? 0);

describe('what counts', () => {
  const sound = [weighed('1', 0.1), weighed('2', 0.14), weighed('3', 0.12)];
  const wild = weighed('wild', Math.log(10));
  test('a wild one is asked about and moves nothing; its neighbours stay sound', () => {
    const { judged } = learn([...sound, wild], TERMS, NO_HANDS);
    expect(judged.filter(({ isOdd }) => isOdd).map(({ id }) => id)).toEqual(['wild']);
    expect(factorOf([...sound, wild])).toBeCloseTo(factorOf(sound), 12);
  });
  test('meant so, it counts', () => {
    expect(factorOf([...sound, wild], { meant: new Set(['wild']) })).toBeGreaterThan(1.2);
  });
  test('left out, nothing of it is left, and its effect is seen', () => {
    expect(factorOf(sound, { leftOut: new Set(['2', '3']) })).toBeCloseTo(factorOf([weighed('1', 0.1)]), 12);
  });
  test('an old one counts half after so many months', () => {
    const old = weighed('old', 0.3, { date: '2025-11-30' });
    const kept = factorOf([old]);
    const half = factorOf([old], { halfLifeMonths: 12 });
    expect(half).toBeLessThan(kept);
    // Half the weight: an own variance twice as large.
    const gain = (own2: number) => (0.15 ** 2 + 0.12 ** 2) / (0.15 ** 2 + 0.12 ** 2 + own2);
    expect(Math.log(half)).toBeCloseTo(0.3 * gain(0.02), 3);
  });
  test.each([
    [100, 10, 0.1],
    [1.02, 10, 10],
    [12, 10, null],
    [0.011, 10, 1000],
  ])('%d g where %d are expected: times %s', (found, expected, times) => {
    expect(unitSlip({ found, expected })).toBe(times);
  });
  test('a page is proposed from without what does not count', () => {
    const page = making('m', { lines: [bag('1', 'core', 9, 8), bag('2', 'core', 9, 8)], wholeG: 2 });
    const judged = learn(
      [weighed('m:1', 0.1), weighed('m:2', 0.1)],
      { ...TERMS, leftOut: new Set(['m:2']) },
      NO_HANDS,
    ).judged;
    expect(withoutUncounted(page, judged)).toMatchObject({ lines: [{ id: '1' }], wholeG: 2 });
  });
});

describe('how good estimates were', () => {
  const random = seededRandom(3);
  const told = (spread: number) =>
    Array.from({ length: 400 }, () => {
      const found = 10 * Math.exp(0.1 * normalFrom(random));
      const [low, high] = [10 * Math.exp(-1.2816 * spread), 10 * Math.exp(1.2816 * spread)];
      return { estimated: 10, found, isInside: found >= low && found <= high };
    });
  test.each([
    [0.1, 'as-promised'],
    [0.06, 'too-sure'],
    [0.2, 'too-unsure'],
  ])('ranges of σ %d where it is 0.1 are %s', (spread, verdict) => {
    expect(howGood(told(spread)).verdict).toBe(verdict);
  });
  test('of a few nothing is said', () => {
    expect(howGood([{ estimated: 1, found: 2, isInside: false }])).toMatchObject({
      verdict: 'too-few',
      lean: 2,
      typicalOff: 1,
    });
    expect(howGood([])).toMatchObject({ count: 0, lean: null, typicalOff: null });
  });
  test('nothing is foretold from what came after it, and ranges narrow', () => {
    const all = [
      weighed('b', 0.2, { date: '2026-10-02' }),
      weighed('a', 0.2, { date: '2026-10-01' }),
      weighed('c', 0.2, { date: '2026-10-03' }),
    ];
    const [first, second, third] = foretold(all);
    expect([first?.id, second?.id, third?.id]).toEqual(['a', 'b', 'c']);
    expect(first?.estimated).toBe(10);
    expect(second?.estimated).toBeGreaterThan(10);
    const width = (each: typeof first) => Math.log((each?.high ?? 1) / (each?.low ?? 1));
    expect(width(second)).toBeLessThan(width(first));
    expect(width(third)).toBeLessThan(width(second));
  });
  test('its tables have their units in the headings, and numbers as numbers', () => {
    const judged = learn([weighed('1', -0.1)], TERMS, NO_HANDS).judged.map((each) => ({
      ...each,
      title: 'Pear',
      what: null,
    }));
    expect(evidenceTable(judged, () => 'Chalk').rows[0]?.slice(4, 8)).toEqual(['Chalk', '', 10, 9.0484]);
    expect(foretoldTable(foretold([weighed('1', 0)]), () => 'Chalk').rows[0]?.at(-1)).toBe('yes');
  });
});

const WOOL = shelf(fibre('core'), fibre('coat', { colour: '#f4f1e8' }), fibre('rare'));

describe('what is most worth weighing', () => {
  const build = pattern([
    part('much', shapes.ball(60), { core: 'core' }),
    part('little', shapes.ball(20), { core: 'rare' }),
  ]);
  const ahead = expectedOf(build, WOOL, '').uses;
  /** Doubt of all that is ahead, by going through it: the judge. */
  const sigmaAfter = (fibreId: string) => {
    const belief = believe([
      {
        id: 's',
        ln: 0,
        sigma: 0.1,
        of: [
          { factor: MAKER, share: 1 },
          { factor: { kind: 'felted', fibreId, firmness: 'firm' }, share: 1 },
        ],
      },
    ]);
    const { maker, felted } = learntFrom(belief, []);
    const row = felted[0];
    const massG = (id: string) =>
      ahead.filter((use) => use.fibreId === id).reduce((sum, use) => sum + use.pieceG * use.count, 0);
    const otherG = massG('core') + massG('rare') - massG(fibreId);
    return Math.hypot(
      maker.sigma * ((row?.makerSlope ?? 0) * massG(fibreId) + otherG),
      (row?.sigma ?? 0) * massG(fibreId),
      0.12 * otherG,
    );
  };
  test('is what most of it hangs on, and by as much as going through it says', () => {
    const [best, next] = worthWeighing(believe([]), ahead);
    expect(best?.factor).toMatchObject({ kind: 'felted', fibreId: 'core' });
    expect(best?.sigmaAfterG).toBeCloseTo(sigmaAfter('core'), 6);
    expect(next?.sigmaAfterG).toBeCloseTo(sigmaAfter('rare'), 6);
  });
});

describe('what a class tells', () => {
  const build = pattern([part('a', shapes.ball(40))]);
  const oneG = estimatePattern(build, WOOL).total.likelyG;
  const told: ClassTold = {
    runId: 'r',
    date: '2026-11-01',
    skill: 'some',
    makes: [{ build, seats: 9 }],
    seats: 9,
    finished: 9,
    wool: WOOL,
    stepG: 0.1,
    took: [{ fibreId: 'core', plannedG: 60, weighedG: 60, spareG: 0, leftG: 10, tookG: 50 }],
  };
  test('as many figures as seats, by learners’ hands', () => {
    const [each] = classEvidence(told).evidence;
    expect(each).toMatchObject({ found: 50, who: LEARNERS, kind: 'class' });
    expect(each?.expected).toBeCloseTo(9 * oneG, 9);
    expect(each?.of.map(({ factor }) => factor.kind).sort()).toEqual(['felted', 'maker']);
    expect(each?.of.find(({ factor }) => factor.kind === 'maker')?.factor).toEqual({
      kind: 'maker',
      who: LEARNERS,
    });
  });
  test.each([
    [
      'nobody weighed what was left',
      { took: [{ ...told.took[0], tookG: null, leftG: null }] },
      'left_not_weighed',
    ],
    ['two did not finish', { finished: 7 }, 'not_all_finished'],
    ['it came back heavier', { took: [{ ...told.took[0], tookG: -1 }] }, 'below_nothing'],
    ['the pattern has none of it', { took: [{ ...told.took[0], fibreId: 'rare' }] }, 'not_in_pattern'],
  ])('%s: it teaches nothing, and says why', (_, more, code) => {
    const { evidence, untaught } = classEvidence({ ...told, ...more } as ClassTold);
    expect(evidence).toEqual([]);
    expect(untaught.map(({ why }) => why.code)).toEqual([code]);
  });
});

describe('what it changes', () => {
  const build = pattern([part('a', shapes.ball(60), { core: 'core', coat: 'coat' })]);
  const evidence = [1, 2, 3].map((id) => weighed(String(id), Math.log(1.12)));
  const { learnt } = learn(evidence, TERMS, NO_HANDS);
  test('every pattern with that fibre, and it says by how much before it is taken', () => {
    const change = makeChange(build, WOOL, learnt);
    const core = change?.fibres.find(({ fibreId }) => fibreId === 'core');
    expect((core?.nowG ?? 0) / (core?.wasG ?? 1)).toBeGreaterThan(1.08);
    expect(change?.now.highG ?? 0).toBeLessThan((change?.was.highG ?? 0) * 1.2);
    expect(makeChange(build, { ...WOOL, learnt }, learnt)).toBeNull();
  });
  test('was ±28 %, now ±7 %, from three samples', () => {
    const row = learntRows(null, learnt).find(({ of }) => of.kind === 'felted');
    expect(row?.before.sigma).toBeCloseTo(0.1921, 4);
    expect(row?.inForce).toEqual(row?.before);
    expect(row?.now).toMatchObject({ samples: 3 });
    expect(row?.now.sigma).toBeCloseTo(0.0553, 4);
    expect(row?.now.factor).toBeCloseTo(1.1095, 4);
  });
  test('a pattern’s own samples count on top of it', () => {
    const firm = { rolled: null, felted: null, massG: 0.15 * (Math.PI / 6) * 27 * 0.8, sizeFraction: 1 };
    const sampled = pattern([part('a', shapes.ball(30), { sample: firm })]);
    const [bare, taught] = [WOOL, { ...WOOL, learnt }].map(
      (wool) => estimatePattern(sampled, wool).total.likelyG,
    );
    expect(taught ?? 0).toBeGreaterThan(bare ?? 0);
    expect(taught ?? 0).toBeLessThan(1.1095 * 0.15 * (Math.PI / 6) * 27);
  });
});

test('fingers are learnt of the studio’s own hands alone', () => {
  const lines = [bag('l', 'core', 2, 0.8, { hand: { name: 'pinch', count: 4 } })];
  expect(handSamplesOf(making('m', { lines }))).toEqual([
    { id: 'm:l-hand', name: 'pinch', count: 4, massG: 1.2 },
  ]);
  expect(handSamplesOf(making('m', { lines, madeBy: 'Ada' }))).toEqual([]);
});
