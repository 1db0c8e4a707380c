import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  COST_DEFAULTS,
  costOfRun,
  type CostSources,
  type CostTerms,
  kitOfClass,
  paidForMinor,
  type RunInput,
} from '../../src/run/index.ts';
import { byGauge, type Lot } from '../../src/shelf/index.ts';
import {
  bird,
  classOf,
  coastDesigns,
  coastWool,
  duo,
  kitsOf,
  sourceOf,
  stillBird,
} from '../support/coast.ts';
import { needle } from '../support/needles.ts';

const needles = [
  needle('oak', { gauge: 38, priceMinor: 60 }),
  needle('sea', { gauge: 40, priceMinor: null }),
];
const stabbed = {
  ...bird,
  steps: bird.steps.map((step, at) => ({ ...step, minutes: 20, needle: byGauge(at < 3 ? 38 : 40) })),
};
const designs = new Map([...coastDesigns, ['bird-1', stabbed] as const]);
const TODAY = new Map([...coastWool.fibres.keys()].map((id) => [id, 600] as const));

/** A run’s costs, with fibres at 5.00 for 100 g when they were paid and 6.00 today. */
function costed(input: RunInput, terms: Partial<CostTerms> = {}, more: Partial<CostSources> = {}, given = designs) {
  const { toPack, plan } = sourceOf(input, given);
  const { kit } = kitOfClass(input, { designs: given, wool: coastWool, needles, evidence: [], tools: [] });
  const cost = costOfRun(toPack, plan, { ...COST_DEFAULTS, ...terms }, {
    wool: coastWool.fibres,
    findings: coastWool.findings,
    todayPer100gMinor: TODAY,
    kit: input.kind === 'class' ? kit : null,
    needles,
    spareTerms: input,
    ...more,
  });
  return { cost, plan, kit };
} // prettier-ignore

describe('what a class costs', () => {
  const input = classOf({ seats: 6, sparePacks: 1, demonstrations: 1 });
  test('packs and what is fixed are all of it', () => {
    const { cost } = costed(input, { hourlyWageMinor: 1800 });
    const given = cost.packs.reduce((sum, { whole, packs }, at) => sum + whole.minor * (at === 0 ? packs - 2 : packs), 0);
    expect(cost.sold).toBe(6);
    expect(cost.whole.minor).toBeCloseTo(given + cost.fixed.minor, 6);
  });
  test('a pack is its wool, its things, its needles and its time', () => {
    const [pack] = costed(input, { hourlyWageMinor: 1800 }).cost.packs;
    if (!pack) throw new Error('a pack');
    const { fibres, findings, packaging, needles: broken, timeMinor, whole } = pack;
    expect(whole.minor).toBeCloseTo(fibres.minor + findings.minor + packaging.minor + broken.minor + (timeMinor ?? 0), 9);
  });
  test('time: so long a portion, so long a pack, at the wage; none said costs none', () => {
    const { cost, plan } = costed(input, { hourlyWageMinor: 1200, secondsPerPortion: 60, minutesPerPack: 5 });
    const portions = plan.groups[0]?.plan.fibres.length ?? 0;
    expect(cost.packs[0]?.minutes).toBe(5 + portions);
    expect(cost.packs[0]?.timeMinor).toBeCloseTo(((5 + portions) / 60) * 1200, 9);
    expect(costed(input).cost.packs[0]?.timeMinor).toBeNull();
    expect(costed(input).cost.fixed.minor).toBeLessThan(costed(input, { hourlyWageMinor: 1200 }).cost.fixed.minor);
  });
  test('needles: what is likely to break, shared by the seats; one without a price is unknown', () => {
    const { cost, kit } = costed(input);
    const oak = kit.lines.find((line) => line.needle?.id === 'oak');
    expect(cost.packs[0]?.needles.minor).toBeCloseTo(((oak?.meanBroken ?? NaN) * 60) / 6, 9);
    expect(cost.packs[0]?.needles.unknownCount).toBe(1);
    expect(cost.priceMinor).toBeNull();
    expect(costed(input, {}, { kit: null }).cost.packs[0]?.needles).toEqual({ minor: 0, unknownCount: 0 });
    expect(costed(input, {}, { kit: { ...kit, people: 0 } }).cost.packs[0]?.needles).toEqual({ minor: 0, unknownCount: 0 });
  });
  test('findings at the price of one; what is spare for all is nobody’s pack, and paid for', () => {
    // An eye is 1.00 for ten, a bead 0.50: two eyes, twelve beads.
    const { cost } = costed(input);
    expect(cost.packs[0]?.findings).toEqual({ minor: 2 * 10 + 12 * 5, unknownCount: 0 });
    const without = costed(input, {}, { spareTerms: { ...input, findingSpares: ['eye', 'bead'].map((findingId) => ({ findingId, rule: { by: 'none' as const } })) } }).cost;
    // A pair of eyes for each of two tables, and a tenth of the beads of eight packs.
    expect(cost.fixed.minor - without.fixed.minor).toBeCloseTo(4 * 10 + Math.ceil(8 * 12 * 0.1) * 5, 6);
    const each = costed(input, {}, { spareTerms: { ...input, findingSpares: [{ findingId: 'eye', rule: { by: 'pack', count: 1 } }] } }).cost;
    expect(each.packs[0]?.findings.minor).toBe(3 * 10 + 12 * 5);
  });
  test('half-made samples take wool, and no needle is broken on them', () => {
    const { cost } = costed(classOf({ seats: 2, sparePacks: 0, hasStageSamples: true }), {}, {}, new Map([['bird-1', stillBird]]));
    const sample = cost.packs.find(({ groupKey }) => groupKey.startsWith('sample'));
    expect(sample?.fibres.minor).toBeGreaterThan(0);
    expect(sample?.needles).toEqual({ minor: 0, unknownCount: 0 });
  });
  test('what lies out for the undecided is nobody’s, and is paid for all the same', () => {
    const open = costed(classOf({ seats: 6, sparePacks: 0, undecidedChance: 0.95 }), {}, { kit: null }).cost;
    const packs = open.packs.reduce((sum, { whole, packs: count }) => sum + whole.minor * count, 0);
    expect(open.fixed.minor).toBeGreaterThan(0);
    expect(open.whole.minor).toBeCloseTo(packs + open.fixed.minor, 6);
  });
  test('a thing no longer on the shelf is unknown, is named, and no price is made of it', () => {
    const { cost } = costed(input, {}, { findings: new Map([...coastWool.findings].filter(([id]) => id !== 'eye')), kit: null });
    expect(cost.packs[0]?.findings.unknownCount).toBe(1);
    expect(cost.unpriced).toContain('eye');
    expect(cost.priceMinor).toBeNull();
  });
}); // prettier-ignore

describe('what boxes cost', () => {
  test('a full box gives needles away, a refill none, paper alone only its packaging', () => {
    const boxes = kitsOf([duo({ spares: 0 }), duo({ id: 'r', spares: 0, form: 'refill' }), duo({ id: 'p', spares: 0, form: 'pattern-only' })]);
    const [full, refill, paper] = costed(boxes).cost.packs;
    expect((full?.needles.minor ?? 0) + (full?.needles.unknownCount ?? 0)).toBeGreaterThan(0);
    expect(refill?.needles).toEqual({ minor: 0, unknownCount: 0 });
    // The same wool; what is too little for the scale is parted among other packs.
    expect(Math.abs((refill?.fibres.minor ?? NaN) - (full?.fibres.minor ?? NaN))).toBeLessThan(1);
    expect([paper?.fibres.minor, paper?.findings.minor]).toEqual([0, 0]);
    // Ten boxes of card are 6.00.
    for (const packCost of [full, refill, paper]) expect(packCost?.packaging.minor).toBe(60);
  });
}); // prettier-ignore

describe('what was paid for wool', () => {
  const lot = (id: string, onHandG: number | null, pricePer100gMinor: number | null, receivedOn: string): Lot =>
    ({ id, name: id, onHandG, pricePer100gMinor, receivedOn, note: '' }) as unknown as Lot;
  const lots = [lot('old', 30, 400, '2026-01-01'), lot('new', 50, 800, '2026-06-01')];
  test.each([
    ['from the oldest lot', 20, 0.2 * 400],
    ['over into the next', 50, 0.3 * 400 + 0.2 * 800],
    ['past both, at today’s price', 100, 0.3 * 400 + 0.5 * 800 + 0.2 * 600],
    ['none of it', 0, 0],
  ])('%s', (_name, massG, minor) => {
    expect(paidForMinor({ lots }, massG, 600).minor).toBeCloseTo(minor, 9);
  });
  test('a lot nobody said the price of costs what it does today, or is unknown', () => {
    const unsaid = { lots: [lot('gift', 40, null, '2026-01-01')] };
    expect(paidForMinor(unsaid, 10, 600)).toEqual({ minor: 60, unknownCount: 0 });
    expect(paidForMinor(unsaid, 10, null)).toEqual({ minor: 0, unknownCount: 1 });
  });
  test('more never costs less, and every gram is paid for once', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 50, noNaN: true }), (massG, moreG) => {
        const [some, all] = [paidForMinor({ lots }, massG, 600), paidForMinor({ lots }, massG + moreG, 600)];
        expect(all.minor).toBeGreaterThanOrEqual(some.minor - 1e-6);
        expect(all.minor - some.minor).toBeLessThanOrEqual((moreG * 800) / 100 + 1e-6);
      }),
    );
  });
}); // prettier-ignore

describe('a price', () => {
  const terms = fc.record({
    hourlyWageMinor: fc.integer({ min: 0, max: 6000 }),
    marginFraction: fc.double({ min: 0, max: 0.9, noNaN: true }),
    fixedMinutes: fc.integer({ min: 0, max: 600 }),
  });
  test('a margin that a binary fraction only comes near to takes no minor unit too much', () => {
    const { cost } = costed(classOf({ seats: 1, sparePacks: 0 }), { hourlyWageMinor: 0, marginFraction: 0.9, fixedMinutes: 0 }, { kit: null });
    // 1 / (1 − 0.9) is 10.000000000000002: judged in tenths, without a fraction.
    expect(cost.priceMinor).toBe(Math.ceil(Math.round(cost.whole.minor * 1e6) / 1e5));
  });
  test('leaves the margin over, and one less does not; it pays from the number that is told, and not from one less', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), terms, (seats, given) => {
        const { cost } = costed(classOf({ seats, sparePacks: 0 }), given, { kit: null });
        const { priceMinor, sold, whole, fixed, paysFrom } = cost;
        if (priceMinor === null) throw new Error('every price is known');
        const left = (price: number) => 1 - whole.minor / sold / price;
        expect(left(priceMinor)).toBeGreaterThanOrEqual(given.marginFraction - 1e-9);
        expect(left(priceMinor - 1)).toBeLessThan(given.marginFraction + 1e-9);
        const each = (whole.minor - fixed.minor) / sold;
        const over = (number: number) => number * (priceMinor - each) - fixed.minor;
        if (paysFrom === null) return expect(priceMinor).toBeLessThanOrEqual(each);
        expect(over(paysFrom)).toBeGreaterThanOrEqual(-1e-6);
        if (paysFrom > 1) expect(over(paysFrom - 1)).toBeLessThan(1e-6);
      }),
      { numRuns: 30 },
    );
  });
}); // prettier-ignore
