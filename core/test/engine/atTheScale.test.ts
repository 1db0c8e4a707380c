import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { percentBounds } from '../../src/base/index.ts';
import {
  allMarks,
  groupsToTry,
  revisionsOfRun,
  type RunTick,
  sureness,
  weighedOf,
  weighings,
  whyOfFibre,
  withRevision,
} from '../../src/run/index.ts';
import { showChange } from '../../src/words/index.ts';
import { classOf, coastWool, duo, kitsOf, sourceOf } from '../support/coast.ts';

const marksOf = (input = classOf({ seats: 4 })) => {
  const { plan, packs } = sourceOf(input);
  return allMarks(weighings(plan, packs, coastWool.fibres, input.scaleStepG));
};

describe('what is weighed', () => {
  const marks = marksOf();
  const ticked = (runTicks: readonly RunTick[]) => new Map(runTicks.map((tick) => [tick.mark, tick]));
  test('each is open, right, or for another amount: what is right is never more than was ticked for just so much', () => {
    const some = fc.array(fc.constantFrom('open', 'right', 'other', 'taken back'), { minLength: marks.length, maxLength: marks.length });
    fc.assert(
      fc.property(some, (states) => {
        const ticks = marks.flatMap(({ mark, massG }, at): RunTick[] => {
          if (states[at] === 'open') return [];
          return [{ mark, isDone: states[at] !== 'taken back', massG: states[at] === 'other' ? massG + 1 : massG }];
        });
        const count = (state: string) => states.filter((candidate) => candidate === state).length;
        expect(weighedOf(marks, ticked(ticks))).toEqual({ right: count('right'), other: count('other') });
      }),
    );
  });
}); // prettier-ignore

describe('where a fibre goes', () => {
  const { plan, packs } = sourceOf(classOf({ seats: 30 }));
  test.each([0, 1, 3, 100])('%d told one by one: they and the rest are all of it', (most) => {
    for (const { fibreId } of plan.fibres) {
      const { told, rest, needG } = whyOfFibre(plan, packs, fibreId, most);
      expect(told.length).toBeLessThanOrEqual(most);
      const sum = told.reduce((total, { allG }) => total + allG, 0) + rest.allG;
      expect(sum).toBeCloseTo(needG, 9);
      expect(rest.count === 0).toBe(rest.allG === 0);
    }
  });
  test('what is short is wanting in just those packs that go without', () => {
    const { shortG, takenG, hit } = whyOfFibre(plan, packs, 'chalk', 14);
    expect(shortG).toBeGreaterThan(0);
    expect(takenG).toBeGreaterThan(shortG);
    expect(hit.reduce((sum, { wantsG, getsG }) => sum + wantsG - getsG, 0)).toBeCloseTo(shortG, 6);
  });
  test('of a fibre that is enough nobody goes without, and of one nobody takes there is nothing', () => {
    const few = sourceOf(classOf({ seats: 1, sparePacks: 0 }));
    expect(whyOfFibre(few.plan, few.packs, 'amber', 14)).toMatchObject({ shortG: 0, hit: [] });
    expect(whyOfFibre(plan, packs, 'gone', 14)).toMatchObject({ told: [], needG: 0, takenG: 0, hit: [] });
  });
});

describe('what is tried', () => {
  test('everybody in a class', () => {
    const { toPack, plan, input } = sourceOf(classOf({ seats: 5, wantedChance: 0.95 }));
    expect(groupsToTry(toPack, plan, input)).toEqual(toPack.groups);
  });
  test('by post one box, of the sort that suffices least surely', () => {
    const large = duo({ id: 'many', designs: [1, 2, 3].map(() => ({ revisionId: 'bird-1', copies: 4, choices: { values: {}, colourwayId: null, swapIds: [] } })) });
    for (const recipes of [[duo(), large], [large, duo()]]) {
      const { toPack, plan, input } = sourceOf(kitsOf(recipes));
      const tried = groupsToTry(toPack, plan, input);
      expect(tried.map(({ seats }) => seats.length)).toEqual([1]);
      const alone = toPack.groups.map((group) => sureness({ ...toPack, groups: [group] }, plan, input).chance);
      expect(sureness({ ...toPack, groups: tried }, plan, input).chance).toBe(Math.min(...alone));
    }
  });
}); // prettier-ignore

test('another revision takes the place of one wherever the run is pinned to it', () => {
  const kits = kitsOf([duo(), duo({ id: 'b' })]);
  const moved = withRevision(kits, 'pear-1', 'pear-2');
  expect(revisionsOfRun(moved)).toEqual(['bird-1', 'pear-2']);
  expect(withRevision(moved, 'pear-2', 'pear-1')).toEqual(kits);
  expect(withRevision(classOf(), 'bird-1', 'bird-2').revisionId).toBe('bird-2');
  expect(withRevision(kits, 'gone', 'x')).toEqual(kits);
});

test.each([
  [3.24, 0.1, '+3.2 g'],
  [-0.5, 0.1, '−0.5 g'],
  [-12, 1, '−12 g'],
])('a change of %d g on a scale of %d g', (massG, stepG, words) => {
  expect(showChange(massG, stepG)).toBe(words);
});

test('bounds as they are typed', () => {
  expect(percentBounds({ min: 0.25, max: 0.07 })).toEqual({ min: 25, max: 7 });
});
