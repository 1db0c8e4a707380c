import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  allMarks,
  BAGGINGS,
  blankSeat,
  changesOfFibre,
  checkRun,
  COST_DEFAULTS,
  costOfRun,
  type Designs,
  findingsOfPack,
  findingsOfRun,
  lotChanges,
  needlesOfBoxes,
  NO_PROMISES,
  packsOf,
  portionsOfRun,
  type RunInput,
  sharesOfFibre,
  SMALLEST_BAG_G,
  stageSamples,
  withdrawalsOfPlan,
  tickState,
  toPackOf,
  weighings,
  whoIsHit,
  withBoxesCounted,
} from '../../src/run/index.ts';
import { BLANK_NEEDLE, byGauge, type Needle } from '../../src/shelf/index.ts';
import { sessionOfWool } from '../../src/writing/index.ts';
import {
  bird,
  classOf,
  coastDesigns,
  coastWool,
  duo,
  kitsOf,
  stillBird,
  stillDesigns,
} from '../support/coast.ts';

const stockOf = (fibreId: string) => ({
  onHandG: coastWool.fibres.get(fibreId)?.onHandG ?? null,
  promisedG: 5,
});
const planOf = (run: RunInput, designs: Designs = coastDesigns) => {
  const toPack = toPackOf(designs, run, coastWool);
  return { toPack, plan: portionsOfRun(toPack, run, stockOf), packs: packsOf(toPack.groups, run.roster) };
};
const inSteps = (massG: number) => Math.round(massG / 0.1);
const sum = (all: readonly number[]) => all.reduce((total, value) => total + value, 0);

const chosen = (colourwayId: string | null) => ({ values: {}, colourwayId, swapIds: [] });
const runs = fc
  .record({
    isKits: fc.boolean(),
    bagging: fc.constantFrom(...BAGGINGS),
    isBaggedByDesign: fc.boolean(),
    seats: fc.integer({ min: 1, max: 40 }),
    spares: fc.nat(3),
    demonstrations: fc.nat(2),
    hasStageSamples: fc.boolean(),
    wantedChance: fc.constantFrom(null, 0.9),
    toBagFraction: fc.constantFrom(null, 0.25),
    undecidedChance: fc.constantFrom(null, 0.95),
    dusk: fc.nat(5),
    weighingLossFraction: fc.constantFrom(0, 0.02),
    swapIds: fc.constantFrom<string[]>([], ['grey']),
  })
  .map(({ isKits, seats, spares, dusk, ...terms }): RunInput => {
    const roster = Array.from({ length: Math.min(dusk, seats) }, (_, at) => ({
      ...blankSeat(at + 1),
      choices: chosen(at % 2 === 0 ? 'dusk' : null),
    }));
    const ownBags = [{ id: 'o', name: 'first', places: [{ revisionId: 'bird-1', id: 'leg' }] }];
    return isKits
      ? kitsOf([duo({ boxes: seats, spares }), duo({ id: 'refill', form: 'refill', boxes: 2 })], { ...terms, ownBags })
      : classOf({ ...terms, ownBags, seats, sparePacks: spares, roster });
  }); // prettier-ignore

describe('every grouping adds up', () => {
  test('in whole scale steps by pack, bag, fibre and run; unrounded to a billionth by part, bag and pack', () => {
    fc.assert(
      fc.property(runs, (run) => {
        const { toPack, plan, packs } = planOf(run);
        expect(packs).toHaveLength(plan.packs);
        for (const row of plan.fibres) {
          const shared = row.bag === 'spare-bag' || row.bag === 'undecided';
          if (!shared) expect(inSteps(row.classG)).toBe(sum([...row.byGroup.values()].map(inSteps)));
          expect(Math.abs(row.classG / 0.1 - inSteps(row.classG))).toBeLessThan(1e-6);
          expect(row.lossG).toBeCloseTo(row.classG * run.weighingLossFraction, 6);
        }
        const lying = sum(plan.fibres.filter(({ byGroup }) => byGroup.size === 0).map(({ classG }) => inSteps(classG)));
        expect(inSteps(plan.classG)).toBe(sum(plan.groups.map(({ plan: group }) => inSteps(group.classG))) + lying);
        for (const { key, packs: count, plan: group } of plan.groups) {
          for (const portion of group.fibres) {
            expect(sum(portion.lines.map(({ exactG }) => exactG))).toBeCloseTo(portion.exactG, 9);
            if (portion.packG === null) continue;
            expect(inSteps(portion.classG)).toBe(inSteps(portion.packG) * count);
            expect(sum(portion.lines.map(({ weighedG }) => inSteps(weighedG ?? 0)))).toBe(inSteps(portion.packG));
          }
          // However it is bagged, a pack takes the same of everything.
          const bagged = sum((toPack.bagged.get(key) ?? []).map(({ use }) => (use.kind === 'known' ? use.packG : 0)));
          expect(sum(group.fibres.map(({ exactG, extraFraction }) => exactG / (1 + extraFraction)))).toBeCloseTo(bagged, 9);
        }
        const shares = [...withdrawalsOfPlan(plan).keys()].flatMap((id) => sharesOfFibre(plan, id));
        const exact = sum(plan.groups.map(({ packs: count, plan: group }) => count * sum(group.fibres.map(({ exactG }) => exactG))));
        expect(sum(shares.map(({ allG }) => allG)) / exact).toBeCloseTo(1, 9);
        // At the scale it is the same grams again, mark by mark, and no mark twice.
        const marks = allMarks(weighings(plan, packs, coastWool.fibres, 0.1));
        expect(sum(marks.map(({ massG }) => inSteps(massG)))).toBe(inSteps(plan.classG));
        expect(new Set(marks.map(({ mark }) => mark)).size).toBe(marks.length);
      }),
      { numRuns: 50 },
    );
  }); // prettier-ignore
  test('a bag that would be too small to handle goes in with another, and is named there', () => {
    const { plan } = planOf(classOf({ bagging: 'part' }));
    const merged = plan.bags.flatMap(({ merged: bag }) => bag);
    expect(merged).toEqual([{ holds: { kind: 'part', owner: { kind: 'part', id: 'spot' } }, massG: expect.any(Number) }]);
    for (const { massG } of merged) expect(massG).toBeLessThan(SMALLEST_BAG_G);
  });
}); // prettier-ignore

describe('bags', () => {
  const bagsOf = (more: Partial<RunInput>) => planOf(classOf(more)).plan.bags.map(({ key, isKeptBack }) => `${key}${isKeptBack ? ' later' : ''}`);
  test.each([
    ['one, joins apart', { bagging: 'one' }, ['figure', 'joins later', 'if-needed later']],
    ['by stage', { bagging: 'stage' }, ['stage core', 'stage coat', 'joins later', 'if-needed later']],
    ['by session', { bagging: 'session' }, ['session 1', 'session 2 later', 'joins later', 'if-needed later']],
    ['by colour', { bagging: 'colour' }, ['colour chalk', 'colour slate', 'colour amber', 'joins later', 'if-needed later']],
    ['own', { bagging: 'own', ownBags: [{ id: 'a', name: 'legs', places: [{ revisionId: 'bird-1', id: 'leg' }] }] }, ['figure', 'own a', 'joins later', 'if-needed later']],
  ] as const)('%s', (_name, more, keys) => {
    expect(bagsOf({ ...more, ownBags: 'ownBags' in more ? more.ownBags.map((ownBag) => ({ ...ownBag, places: [...ownBag.places] })) : [] })).toEqual(keys);
  });
  test('in a box of several designs a shared colour is weighed once, or for each design', () => {
    const chalk = (isBaggedByDesign: boolean) => {
      const { plan } = planOf(kitsOf([duo()], { isBaggedByDesign }));
      return plan.fibres.filter(({ fibreId }) => fibreId === 'chalk').map(({ bag }) => bag);
    };
    expect(chalk(false)).toEqual(['figure']);
    expect(chalk(true)).toEqual(['1 figure', '2 figure']);
  });
  test('the session of wool is that in which its stage is worked', () => {
    const uses = estimatePattern(bird, coastWool).uses;
    const of = (useId: string) => uses.filter((use) => use.useId === useId).map((use) => sessionOfWool(bird, use));
    expect([of('body-core'), of('body-coat'), of('leg-core'), of('leg-body-cover')]).toEqual([[0], [1], [0], [1]]);
  });
  test('a sample where a class would stand still, with the wool up to there and no more', () => {
    expect(stageSamples(bird)).toEqual([]);
    expect(stageSamples(stillBird)).toEqual([{ stepId: 's2', stepNumber: 2 }]);
    const { plan } = planOf(classOf({ hasStageSamples: true }), stillDesigns);
    const sample = plan.groups.find(({ key }) => key.startsWith('sample'));
    expect(sample?.plan.fibres.map(({ fibreId }) => fibreId).sort()).toEqual(['amber', 'chalk']);
  });
}); // prettier-ignore

describe('kits', () => {
  test.each([
    ['a refill has no packaging but its own, and the same wool', 'refill', true, true],
    ['the pattern alone has no wool and no findings', 'pattern-only', false, false],
  ] as const)('%s', (_name, form, hasWool, hasFindings) => {
    const { toPack, plan } = planOf(kitsOf([duo({ form, packaging: [] })]));
    const [group] = toPack.groups;
    expect((plan.groups[0]?.plan.fibres.length ?? 0) > 0).toBe(hasWool);
    expect(group && findingsOfPack(group, toPack, coastWool.findings, kitsOf([duo()])).length > 0).toBe(hasFindings);
  });
  test('two of a design take twice its wool; counts of findings are the pattern’s, spares beside them', () => {
    const runPortions = planOf(kitsOf([duo({ designs: [{ revisionId: 'pear-1', copies: 1, choices: chosen(null) }] })])).plan;
    const two = planOf(kitsOf([duo({ designs: [{ revisionId: 'pear-1', copies: 2, choices: chosen(null) }] })])).plan;
    const exact = (plan: typeof runPortions) => sum(plan.groups[0]?.plan.fibres.map(({ exactG }) => exactG) ?? []);
    expect(exact(two)).toBeCloseTo(2 * exact(runPortions), 9);
    const { toPack } = planOf(kitsOf([duo()]));
    const rows = findingsOfRun(toPack, coastWool.findings, kitsOf([duo()]), NO_PROMISES);
    // Six boxes, none of them with spares: two eyes; twelve beads (the high end); one card box.
    expect(rows.map(({ findingId, total, spare, short, putUps }) => [findingId, total, spare, short, putUps])).toEqual([
      ['eye', 12, 0, 0, 0],
      ['bead', 72, 0, 0, 0],
      ['card-box', 6, 0, 0, 0],
    ]);
  });
  test('boxes are counted from their recipes, whatever was sent', () => {
    expect(withBoxesCounted({ ...kitsOf([duo(), duo({ id: 'b', boxes: 7, spares: 2 })]), seats: 1, revisionId: 'x' })).toMatchObject({ seats: 12, sparePacks: 3, revisionId: 'bird-1' });
  });
  test.each([
    ['no boxes', { recipes: [] }, ['/recipes']],
    ['an empty box', { recipes: [duo({ designs: [] })] }, ['/recipes/0/designs']],
    ['no name, half a box', { recipes: [duo({ name: ' ', boxes: 1.5 })] }, ['/recipes/0/name', '/recipes/0/boxes']],
    ['ten thousand', { recipes: [duo({ boxes: 10_000 })] }, ['/recipes/0/boxes', '/recipes']],
    ['more than five hundred over all', { recipes: [duo({ boxes: 300 }), duo({ boxes: 300 })] }, ['/recipes']],
  ])('refused: %s', (_name, more, pointers) => {
    expect(checkRun(kitsOf([duo()], more)).map(({ pointer }) => pointer)).toEqual(pointers);
  });
}); // prettier-ignore

describe('needles in boxes', () => {
  const stabbed = { ...bird, steps: bird.steps.map((step, at) => ({ ...step, act: { kind: 'felt' as const }, needle: byGauge(at < 2 ? 36 : 38), holder: at === 0 ? 3 : null })) };
  const designs = new Map([...coastDesigns, ['bird-1', stabbed]]);
  const needle = (gauge: number, onHand: number | null): Needle => ({ ...BLANK_NEEDLE, id: `n${gauge}`, version: 1, gauge, onHand, peak: 9, priceMinor: gauge === 36 ? 120 : null });
  const shelfNeedles = [needle(36, 10), needle(38, null)];
  const groupsOf = (run: RunInput) => toPackOf(designs, run, coastWool);
  test('of each sort as many as the design that wants most, for all boxes; what is short, and what nobody counted', () => {
    expect(needlesOfBoxes(groupsOf(kitsOf([duo()])), shelfNeedles, NO_PROMISES).map(({ needle: needlesOfBox, total, short }) => [needlesOfBox?.id, total, short])).toEqual([
      ['n36', 18, 8],
      ['n38', 6, null],
    ]);
    expect(needlesOfBoxes(groupsOf(kitsOf([duo()])), [], NO_PROMISES).map(({ needle: needlesOfBox, short }) => [needlesOfBox, short])).toEqual([[null, null], [null, null]]);
  });
  test.each([
    ['a refill gives none away', kitsOf([duo({ form: 'refill' })])],
    ['nor does the pattern alone', kitsOf([duo({ form: 'pattern-only' })])],
    ['a class lends its own', classOf()],
  ])('%s', (_name, run) => {
    expect(needlesOfBoxes(groupsOf(run), shelfNeedles, NO_PROMISES)).toEqual([]);
  });
  test('they are in what a box costs; one without a price is named', () => {
    const toPack = groupsOf(kitsOf([duo()]));
    const plan = portionsOfRun(toPack, kitsOf([duo()]), stockOf);
    const cost = costOfRun(toPack, plan, COST_DEFAULTS, { wool: coastWool.fibres, findings: coastWool.findings, todayPer100gMinor: new Map(), kit: null, needles: shelfNeedles, spareTerms: kitsOf([duo()]) });
    expect(cost.packs[0]?.needles).toEqual({ minor: 360, unknownCount: 1 });
    expect(cost.unpriced).toContain('n38');
  });
}); // prettier-ignore

describe('at the scale', () => {
  test('each fibre once, pale before dark; pack by pack it would change far more often', () => {
    const { plan, packs } = planOf(classOf({ bagging: 'stage' }));
    expect(weighings(plan, packs, coastWool.fibres, 0.1).map(({ fibreId }) => fibreId)).toEqual(['chalk', 'amber', 'slate', 'ink']);
    expect(changesOfFibre(plan)).toEqual({ byFibre: 3, byPack: 7 * 4 - 1 });
  });
  test('a portion is off by a twentieth at most, and by a step at least', () => {
    const { plan, packs } = planOf(classOf());
    for (const { massG, toleranceG } of allMarks(weighings(plan, packs, coastWool.fibres, 0.1))) {
      expect(toleranceG).toBeLessThanOrEqual(Math.max(0.1, massG / 20) + 1e-9);
      expect(toleranceG).toBeGreaterThanOrEqual(0.1);
    }
  });
  test.each([
    ['never ticked', undefined, 'open'],
    ['ticked and taken back', { mark: 'm', isDone: false, massG: 5 }, 'open'],
    ['as wanted', { mark: 'm', isDone: true, massG: 5 }, 'done'],
    ['for another amount', { mark: 'm', isDone: true, massG: 4.2 }, 'other'],
  ])('a weighing %s', (_name, tick, kind) => {
    const state = tickState({ massG: 5, toleranceG: 0.2 }, tick);
    expect(state.kind).toBe(kind);
    if (state.kind === 'other') expect(state.differenceG).toBeCloseTo(0.8, 9);
  });
  test('a lot is left where the next pack would not be whole', () => {
    const lots = [{ name: 'A', onHandG: 10 }, { name: 'B', onHandG: 4 }, { name: 'C', onHandG: 100 }];
    expect(lotChanges([4, 4, 4, 4], lots)).toEqual({ lots: ['A', 'B', 'C'], fromPack: [2, 3] });
    expect(lotChanges([6, 6, 6], lots)).toEqual({ lots: ['A', 'C'], fromPack: [1] });
    expect(lotChanges([2, 2], lots)).toBeNull();
  });
}); // prettier-ignore

describe('who is hit by a shortage', () => {
  test('packs are filled in their order, judged by handing out gram by gram', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.double({ min: 0, max: 200, noNaN: true }), (seats, thereIsG) => {
        const { plan, packs } = planOf(classOf({ seats }));
        const packG = plan.groups[0]?.plan.fibres.find(({ fibreId }) => fibreId === 'chalk')?.packG ?? 0;
        const hit = whoIsHit(plan, packs, 'chalk', thereIsG);
        const whole = Math.min(packs.length, Math.floor(thereIsG / packG + 1e-9));
        expect(hit.map(({ pack }) => pack.id)).toEqual(packs.slice(whole).map(({ id }) => id));
        const missing = sum(hit.map(({ wantsG, getsG }) => wantsG - getsG));
        expect(missing).toBeCloseTo(Math.max(0, packs.length * packG - thereIsG), 6);
      }),
    );
  });
}); // prettier-ignore
