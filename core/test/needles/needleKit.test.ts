import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  atMost,
  breakageRate,
  checkTap,
  defaultRate,
  emptyLine,
  fewestSpares,
  KIT_DEFAULTS,
  type KitMakers,
  type KitSetting,
  ladderOf,
  needleKit,
  peakOf,
  type Pile,
  RISK_FACTOR,
  risksOf,
  type Skill,
  SKILL_FACTOR,
  SKILLS,
  type Tap,
  tapsToClose,
  tapsToResolve,
  trayOf,
  trayTotals,
} from '../../src/needles/index.ts';
import type { Pattern } from '../../src/pattern/index.ts';
import { byGauge, type Needle, type Tool } from '../../src/shelf/index.ts';
import { fibre, shelf } from '../support/make.ts';
import { facts, holder, needle } from '../support/needles.ts';
import { uniform } from '../support/random.ts';
import { legged, step } from '../support/writing.ts';

const wool = shelf(fibre('core'), fibre('coat'));
const SETTING: KitSetting = { ...KIT_DEFAULTS, evidence: [], tools: [holder(3)] };

/** So many of one skill. */
const hands = (people: number, skill: Skill = KIT_DEFAULTS.skill): Skill[] =>
  Array.from({ length: people }, () => skill);
const NEEDLES = [
  needle('oak', { gauge: 38, onHand: 9 }),
  needle('sea', { gauge: 40, onHand: 60, priceMinor: 70 }),
];

const makersOf = (
  build: Pattern,
  skills: readonly Skill[],
  needles: readonly Needle[] = NEEDLES,
): KitMakers => ({
  build,
  ladder: ladderOf(build, estimatePattern(build, wool), wool, needles),
  skills,
});
const kitOf = (build: Pattern, skills = hands(11), needles: readonly Needle[] = NEEDLES) =>
  needleKit([makersOf(build, skills, needles)], SETTING);
const kitWith = (build: Pattern, tools: readonly Tool[]) =>
  needleKit([makersOf(build, hands(11))], { ...SETTING, tools });

describe('spares by chance', () => {
  test('a Poisson’s distribution, summed', () => {
    expect(atMost(0, 0)).toBe(1);
    expect(atMost(0, 2)).toBeCloseTo(Math.exp(-2), 12);
    expect(atMost(2, 2)).toBeCloseTo(5 * Math.exp(-2), 12);
  });
  test('nothing breaks: no spares', () => {
    expect(fewestSpares([0, 0], 0.05)).toEqual({ counts: [0, 0], riskFraction: 0 });
  });
  const means = fc.array(fc.double({ min: 0, max: 4, noNaN: true }), { minLength: 1, maxLength: 3 });
  test('as few in all as trying every split, and sure enough', () => {
    fc.assert(
      fc.property(means, fc.constantFrom(0.01, 0.05, 0.2), (all, risk) => {
        const found = fewestSpares(all, risk);
        const total = found.counts.reduce((sum, count) => sum + count, 0);
        const chance = (counts: readonly number[]) =>
          counts.reduce((product, count, index) => product * atMost(count, all[index] ?? 0), 1);
        expect(chance(found.counts)).toBeCloseTo(1 - found.riskFraction, 9);
        expect(found.riskFraction).toBeLessThanOrEqual(risk + 1e-12);
        if (total > 0) {
          for (const split of splits(total - 1, all.length)) expect(chance(split)).toBeLessThan(1 - risk + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('holds against classes that are simulated minute by minute', () => {
    // Two sorts; each minute of stabbing breaks a needle with its own small chance.
    const sorts = [
      { minutes: 800, perMinute: 0.0024 },
      { minutes: 300, perMinute: 0.0051 },
    ];
    const { counts, riskFraction } = fewestSpares(sorts.map(({ minutes, perMinute }) => minutes * perMinute), 0.05);
    const random = uniform(7);
    const classes = 20_000;
    let short = 0;
    for (let value = 0; value < classes; value++) {
      const isShort = sorts.some(({ minutes, perMinute }, index) => {
        let broken = 0;
        // The minutes to the next breakage, each as likely to be the one as any other.
        const next = () => 1 + Math.floor(Math.log(1 - random()) / Math.log(1 - perMinute));
        for (let minute = next(); minute <= minutes; minute += next()) broken++;
        return broken > (counts[index] ?? 0);
      });
      if (isShort) short++;
    }
    // Three standard errors of so many classes, and what a minute's coarse step differs by.
    expect(Math.abs(short / classes - riskFraction)).toBeLessThan(3 * Math.sqrt(0.05 / classes) + 0.001);
  });
}); // prettier-ignore

function splits(total: number, places: number): number[][] {
  if (places === 1) return [[total]];
  return Array.from({ length: total + 1 }, (_, first) =>
    splits(total - first, places - 1).map((rest) => [first, ...rest]),
  ).flat();
}

describe('what needles go through', () => {
  test.each([
    ['right through', { depth: 'through' }, null, ['deep']],
    ['wire', { behind: { sheet: false, wire: true, glass: false } }, null, ['wire']],
    ['glass', { behind: { sheet: false, wire: false, glass: true } }, null, ['glass']],
    ['thin', { isThinFlat: true }, null, ['thin']],
    ['steering firm wool', { firmnessBefore: 'firm' }, 'along', ['steering']],
    ['steering loose wool', {}, 'along', []],
  ] as const)('%s', (_name, more, stroke, risks) => {
    expect(risksOf(facts(more), stroke)).toEqual(risks);
  });
  test('finer ones break more often, and one of no known gauge as a 38', () => {
    expect(defaultRate(42)).toBeGreaterThan(defaultRate(36));
    expect(defaultRate(null)).toBe(defaultRate(38));
  });
  test('our rate gives way to what was counted', () => {
    expect(breakageRate(38, [])).toMatchObject({ source: 'default', perMinute: defaultRate(38) });
    const counted = breakageRate(38, [{ gauge: 38, broken: 50, exposureMinutes: 10_000 }, { gauge: 40, broken: 9, exposureMinutes: 1 }]);
    expect(counted.source).toBe('counted');
    expect(counted.perMinute).toBeCloseTo(52 / (2 / defaultRate(38) + 10_000), 12);
  });
}); // prettier-ignore

describe('the kit of a room', () => {
  const build = legged([
    step('core', 'felt', ['body'], { needle: byGauge(38), minutes: 30, depth: 'through' }),
    step('smooth', 'wrap', ['body'], { needle: byGauge(40), stage: 'coat', minutes: { low: 10, high: 20 } }),
    step('wait', 'wait', ['body'], { needle: { by: 'none' }, minutes: null }),
  ]);
  const kit = kitOf(build);
  const line = (key: string, needleKit = kit) => needleKit.lines.find((candidate) => candidate.needle?.id === key);
  test('one of each a person, and spares by minutes, risk and skill', () => {
    const exposure = 11 * 30 * RISK_FACTOR.deep * SKILL_FACTOR.some;
    expect(line('oak')).toMatchObject({ perPerson: 1, inUse: 11, exposureMinutes: exposure, meanBroken: exposure * defaultRate(38) });
    expect(line('sea')?.exposureMinutes).toBeCloseTo(11 * 15 * SKILL_FACTOR.some, 9);
    expect(kit.riskFraction).toBeLessThanOrEqual(0.05);
    expect(kit.unknownStepIds).toEqual([]);
  });
  test('to buy: what is not on hand, and what it costs', () => {
    const oak = line('oak');
    expect(oak?.toBuy).toBe((oak?.total ?? 0) - 9);
    expect(line('sea')?.toBuy).toBe(0);
    expect(kit.buyCostMinor).toEqual({ known: 50 * (oak?.toBuy ?? 0), unknownCount: 0 });
    expect(line('oak', kitOf(build, hands(11), [needle('oak', { gauge: 38, onHand: null })]))?.toBuy).toBeNull();
  });
  test('nobody comes: nothing, and no chance of anything', () => {
    const none = kitOf(build, []);
    expect(none.lines.map(({ total }) => total)).toEqual([0, 0]);
    expect(none).toMatchObject({ tables: 0, riskFraction: 0, costMinor: { known: 0, unknownCount: 0 } });
  });
  test('no needles owned: what is needed is told, and none is made up', () => {
    const bare = kitOf(build, hands(11), []);
    expect(bare.lines.map(({ needle, inUse }) => [needle, inUse])).toEqual([[null, 11], [null, 11]]);
    expect(bare.buyCostMinor.unknownCount).toBe(2);
  });
  test('a step of unknown minutes makes it at least so many', () => {
    const [first, ...rest] = build.steps;
    if (!first) throw new Error('no steps');
    expect(kitOf({ ...build, steps: [{ ...first, minutes: null }, ...rest] }).unknownStepIds).toEqual(['core']);
  });
  test('first-timers want more spares than practised hands', () => {
    const spares = (skill: 'practised' | 'first-timer') =>
      kitOf(build, hands(11, skill)).lines.reduce((sum, ownLine) => sum + ownLine.spares, 0);
    expect(spares('first-timer')).toBeGreaterThan(spares('practised'));
  });
  test('needles of one mark, or of none, look alike', () => {
    const same = NEEDLES.map((needle) => ({ ...needle, mark: { word: 'Sea', colour: '#3f8288' } }));
    expect(kitOf(build, hands(11), same).alike.map((needles) => needles.map(({ id }) => id))).toEqual([['oak', 'sea']]);
    expect(kit.alike).toEqual([]);
  });
  test('two sorts that one needle serves are one line', () => {
    const both = legged([
      step('a', 'felt', ['body'], { needle: byGauge(38) }),
      step('b', 'felt', ['body'], { needle: byGauge(38, 'triangular') }),
    ]);
    const { path } = ladderOf(both, estimatePattern(both, wool), wool, NEEDLES);
    expect(path.changes).toEqual([]);
    expect(kitOf(both).lines.map(({ perPerson, stepIds }) => [perPerson, stepIds])).toEqual([[1, ['a', 'b']]]);
  });
}); // prettier-ignore

describe('holders', () => {
  const many = { needle: byGauge(38), holder: 3 };
  const build = (last: Parameters<typeof step>[3]) =>
    legged([
      step('a', 'felt', ['body'], many),
      step('b', 'felt', ['body'], { needle: byGauge(38) }),
      step('c', 'felt', ['body'], last),
    ]);
  test('a holder taken up again stays filled: its needles count beside the one in the fingers', () => {
    const [line] = kitOf(build(many)).lines;
    expect(line).toMatchObject({ perPerson: 1, perTable: 3, inUse: 11 + 3 * 3, fullestHolder: 3 });
  });
  test('where each has one, the needles of a holder that is done with serve again', () => {
    const given = [holder(3, { provision: 'person' })];
    expect(kitWith(build({ needle: byGauge(38) }), given).lines[0]?.perPerson).toBe(3);
    expect(kitWith(build(many), given).lines[0]?.perPerson).toBe(4);
  });
  test('a holder that takes more needles than are owned is told with both numbers', () => {
    const few = [needle('oak', { gauge: 38, onHand: 2 })];
    expect(kitOf(build(many), hands(11), few).lines[0]).toMatchObject({ fullestHolder: 3, onHand: 2 });
  });
  test('too few on the shelf, and none that takes so many', () => {
    expect(kitWith(build(many), [holder(3, { onHand: 1 })]).holders).toMatchObject([{ needles: 3, per: 'table', total: 3, short: 2 }]);
    expect(kitOf(build({ needle: byGauge(38), holder: 9 })).holders).toMatchObject([{ needles: 3 }, { needles: 9, tool: null, short: 3 }]);
  });
  const filling = fc.record({ size: fc.integer({ min: 1, max: 7 }), first: fc.nat(9), more: fc.nat(5) });
  test('the most at once, as counting them step by step', () => {
    fc.assert(
      fc.property(fc.array(filling, { maxLength: 6 }), (all) => {
        const fillings = all.map(({ size, first, more }) => ({ key: 'k', per: 'person' as const, size, first, last: first + more }));
        const atEach = Array.from({ length: 16 }, (_, at) =>
          fillings.reduce((sum, eachFilling) => sum + (eachFilling.first <= at && at <= eachFilling.last ? eachFilling.size : 0), 0));
        expect(peakOf(fillings)).toBe(Math.max(...atEach));
      }),
    );
  });
}); // prettier-ignore

describe('a room that makes several builds', () => {
  const plain = legged([
    step('core', 'felt', ['body'], { needle: byGauge(38), minutes: 30 }),
    step('smooth', 'felt', ['body'], { needle: byGauge(40), minutes: 20 }),
  ]);
  const fine = legged([
    step('core', 'felt', ['body'], { needle: byGauge(38), minutes: 30 }),
    step('face', 'felt', ['body'], { needle: byGauge(42), minutes: 60 }),
    step('ears', 'felt', ['body'], { needle: byGauge(38), holder: 3, minutes: 5 }),
  ]);
  const all = [...NEEDLES, needle('fir', { gauge: 42, onHand: 5 })];
  const room = (makers: readonly (readonly [Pattern, Skill[]])[], tools = SETTING.tools) =>
    needleKit(makers.map(([build, skills]) => makersOf(build, skills, all)), { ...SETTING, tools });
  const skills = fc.array(fc.constantFrom(...SKILLS), { maxLength: 30 });
  test('those of one build, told apart, need what they need together', () => {
    fc.assert(
      fc.property(skills, skills, (some, others) => {
        const together = room([[fine, [...some, ...others]]]);
        const apart = room([[fine, some], [fine, others]]);
        expect(apart.lines).toHaveLength(together.lines.length);
        apart.lines.forEach((line, at) => {
          const { exposureMinutes = NaN, meanBroken = NaN } = together.lines[at] ?? {};
          expect(line.exposureMinutes).toBeCloseTo(exposureMinutes, 6);
          expect(line.meanBroken).toBeCloseTo(meanBroken, 9);
          expect({ ...line, exposureMinutes, meanBroken }).toEqual(together.lines[at]);
        });
        expect(apart.holders).toEqual(together.holders);
      }),
    );
  });
  test('each person’s needles and minutes are their own build’s: as counting seat by seat', () => {
    fc.assert(
      fc.property(skills, skills, fc.constantFrom(undefined, 'person' as const), (some, others, provision) => {
        fc.pre(some.length + others.length > 0);
        const tools = [holder(3, provision ? { provision } : {})];
        const kit = room([[plain, some], [fine, others]], tools);
        const seats = [...some.map((skill) => [plain, skill] as const), ...others.map((skill) => [fine, skill] as const)];
        for (const { key, inUse, perTable, perRoom, usedBy, exposureMinutes } of kit.lines) {
          const alone = seats.flatMap(([build, skill]) => room([[build, [skill]]], tools).lines.filter((line) => line.key === key));
          expect(usedBy).toBe(alone.length);
          expect(inUse - perTable * kit.tables - perRoom).toBe(alone.reduce((sum, line) => sum + line.perPerson, 0));
          expect(exposureMinutes).toBeCloseTo(alone.reduce((sum, line) => sum + line.exposureMinutes, 0), 6);
        }
        const each = provision === 'person' ? others.length : kit.tables;
        expect(kit.holders.map(({ total }) => total)).toEqual([each]);
      }),
    );
  });
  test('coarse before fine, whoever uses them', () => {
    const kit = room([[plain, hands(8)], [fine, hands(3)]]);
    expect(kit.lines.map(({ needle: line, usedBy, perPerson }) => [line?.id, usedBy, perPerson])).toEqual([['oak', 11, 1], ['sea', 8, 1], ['fir', 3, 1]]);
  });
}); // prettier-ignore

describe('the tray', () => {
  const tap = (pile: Tap['pile'], amount: number): Tap => ({ needleId: 'oak', pile, amount });
  const [line = emptyLine('oak')] = trayOf([tap('out', 13), tap('in', 10), tap('broken', 2), tap('in', -1)]);
  test('what went out is in, broken, sold, missing, given up, or still out', () => {
    expect(line).toMatchObject({ out: 13, in: 9, broken: 2, stillOut: 2 });
  });
  test.each([
    ['more back than went out', { pile: 'in', amount: 3 }, 'more_back_than_out'],
    ['fewer out than are back', { pile: 'out', amount: -3 }, 'more_back_than_out'],
    ['less than none sold', { pile: 'sold', amount: -1 }, 'pile_too_small'],
    ['nothing', { pile: 'in', amount: 0 }, 'number_out_of_range'],
  ] as const)('refuses %s', (_name, wrong, code) => {
    expect(checkTap(line, wrong).map((problem) => problem.code)).toEqual([code]);
  });
  test('when all have gone, what is still out is missing', () => {
    expect(tapsToClose([line, emptyLine('sea')])).toEqual([{ needleId: 'oak', pile: 'missing', amount: 2 }]);
  });
  const missing = { ...line, missing: 2, stillOut: 0 };
  const resolve = { key: 'k', needleId: 'oak', amount: 1, note: 'under the mat' };
  test('found, it is in after all; given up, it stays told', () => {
    expect(tapsToResolve(missing, { ...resolve, how: 'found' })).toEqual([tap('missing', -1), tap('in', 1)]);
    expect(tapsToResolve(missing, { ...resolve, how: 'given-up' })).toEqual([tap('missing', -1), tap('given-up', 1)]);
  });
  test('not without a reason, and not more than are missing', () => {
    expect(tapsToResolve(missing, { ...resolve, how: 'given-up', note: ' ' })).toEqual([{ code: 'reason_missing', pointer: '/note' }]);
    expect(tapsToResolve(missing, { ...resolve, how: 'found', amount: 3 })).toMatchObject([{ code: 'pile_too_small', has: 2 }]);
  });
  test('nothing is ever lost: every allowed tap keeps the sum', () => {
    const taps = fc.array(fc.record({ pile: fc.constantFrom('out', 'in', 'broken', 'sold'), amount: fc.integer({ min: -3, max: 5 }) }), { maxLength: 30 });
    fc.assert(
      fc.property(taps, (wished) => {
        const taken: Tap[] = [];
        for (const { pile, amount } of wished) {
          const [before = emptyLine('oak')] = trayOf(taken);
          if (checkTap(before, { pile, amount }).length === 0) taken.push({ needleId: 'oak', pile, amount });
        }
        const [after = emptyLine('oak')] = trayOf([...taken, ...tapsToClose(trayOf(taken))]);
        expect(after.stillOut).toBe(0);
        expect(after.out).toBe(after.in + after.broken + after.sold + after.missing);
        expect(Math.min(after.out, after.in, after.broken, after.sold, after.missing)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
}); // prettier-ignore

test('a whole tray: every pile added up, and what nobody may be sure of', () => {
  const tap = (needleId: string, pile: Pile, amount: number) => ({ needleId, pile, amount });
  const lines = trayOf([tap('a', 'out', 9), tap('a', 'in', 5), tap('a', 'broken', 1), tap('b', 'out', 4), tap('b', 'missing', 1), tap('b', 'in', 2), tap('b', 'given-up', 1)]);
  expect(trayTotals(lines)).toEqual({ out: 13, in: 7, broken: 1, sold: 0, missing: 1, givenUp: 1, stillOut: 3, open: 4 });
  expect(trayTotals([])).toMatchObject({ out: 0, open: 0 });
}); // prettier-ignore
