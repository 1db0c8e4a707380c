import { describe, expect, test } from '@jest/globals';
import { estimatePattern, forMakes } from '../../src/engine/index.ts';
import type { Count, Part, Pattern } from '../../src/pattern/index.ts';
import { COST_DEFAULTS, costOfRun, type RunInput } from '../../src/run/index.ts';
import { classOf, coastWool, sourceOf } from '../support/coast.ts';
import { part, pattern, shapes, use } from '../support/make.ts';

/** Two paws of chalk, each stated; 5.00 a hundred grams. */
const paws = (massG: number, highG: number | null, count: Count = 2): Pattern => {
  const ownPart = part('paw', shapes.byGrams(9), { core: 'chalk' });
  const amount = { form: 'grams' as const, massG, highG, isWeighed: false };
  return pattern([{ ...ownPart, count, shape: shapes.ball(60), uses: [use('core', 'paw-core', 'chalk', { amount })] as Part['uses'] }]); // prettier-ignore
};
const endsOf = (pattern: Pattern) => estimatePattern(pattern, coastWool).costEnds;

describe('what one make costs', () => {
  test.each<[string, Pattern, ReturnType<typeof endsOf>]>([
    ['15–20 g each', paws(15, 20), { lowMinor: 150, highMinor: 200 }],
    ['15 g each', paws(15, null), null],
    ['15–20 g, two or three', paws(15, 20, { low: 2, high: 3 }), { lowMinor: 150, highMinor: 300 }],
    ['15 g, two or three', paws(15, null, { low: 2, high: 3 }), { lowMinor: 150, highMinor: 225 }],
    ['a range too small to cost', paws(1, 1.01), null],
  ])('%s', (_name, given, expected) => expect(endsOf(given)).toEqual(expected));
  test('a fibre of which something is unknown is in neither end, as it is not in the cost', () => {
    const ownPaws = paws(15, 20);
    const [paw] = ownPaws.parts;
    if (!paw) throw new Error('a paw');
    const open = { ...ownPaws, parts: [{ ...paw, uses: [...paw.uses, use('added', 'more', 'chalk')] }] };
    const { costEnds, costMinor } = estimatePattern(open, coastWool);
    expect([costEnds, costMinor]).toEqual([null, { known: 0, unknownCount: 1 }]);
  });
  test('three makes are three times both ends', () => {
    expect(forMakes(estimatePattern(paws(15, 20), coastWool), 3).costEnds).toEqual({ lowMinor: 450, highMinor: 600 });
  }); // prettier-ignore
});

describe('what a run costs', () => {
  const wool = new Map([...coastWool.fibres].map(([id, fibre]) => [id, { ...fibre, onHandG: 5000 }]));
  const costed = (pattern: Pattern, more: Partial<RunInput> = {}) => {
    const input = classOf({ seats: 4, sparePacks: 0, extraFraction: 0, wantedChance: null, ...more });
    const { toPack, plan } = sourceOf(input, new Map([['bird-1', pattern]]));
    const todayPer100gMinor = new Map([...wool.keys()].map((id) => [id, 500]));
    const sources = { wool, findings: coastWool.findings, todayPer100gMinor, kit: null, needles: [], spareTerms: input }; // prettier-ignore
    return costOfRun(toPack, plan, { ...COST_DEFAULTS, hourlyWageMinor: null }, sources);
  };
  test('packed at the top it may be as little as the low end', () => {
    const { packs, whole, wholeLeast } = costed(paws(15, 20));
    expect(packs[0]?.fibres.minor).toBeCloseTo(200, 6);
    expect(packs[0]?.fibresLeast?.minor).toBeCloseTo(150, 6);
    expect([whole.minor, wholeLeast?.minor]).toEqual([expect.closeTo(800, 6), expect.closeTo(600, 6)]);
  });
  test('packed at the middle too', () => {
    const { packs } = costed(paws(15, 20), { rangesAt: 'middle' });
    // The middle of a range is its geometric one, weighed up to the scale's step.
    const packedG = Math.ceil(2 * Math.sqrt(15 * 20) * 10) / 10;
    expect(packs[0]?.fibres.minor).toBeCloseTo(5 * packedG, 6);
    expect(packs[0]?.fibresLeast?.minor).toBeCloseTo((150 * packedG) / (2 * Math.sqrt(15 * 20)), 6);
  });
  test('nothing stated so has one end', () => {
    const { packs, wholeLeast } = costed(paws(15, null));
    expect([packs[0]?.fibresLeast, packs[0]?.wholeLeast, wholeLeast]).toEqual([null, null, null]);
  });
});
