import { describe, expect, test } from '@jest/globals';
import {
  blankSeat,
  packsOf,
  patternsOfRun,
  portionsOfRun,
  type RunInput,
  toPackOf,
  weighings,
  woolInPacks,
} from '../../src/run/index.ts';
import { packedWoolWords } from '../../src/words/index.ts';
import { bird, classOf, coastDesigns, coastWool, duo, kitsOf } from '../support/coast.ts';

const uncounted = () => ({ onHandG: null, promisedG: 0 });

function sheetsOf(input: RunInput, designs = coastDesigns) {
  const toPack = toPackOf(designs, input, coastWool);
  const plan = portionsOfRun(toPack, input, uncounted);
  return {
    toPack,
    plan,
    sheets: patternsOfRun(designs, input).map(({ make, numbers }) => ({
      title: make.pattern.title,
      numbers,
      wool: woolInPacks(plan, toPack.groups, make, numbers),
    })),
  };
}

describe('the sheet says what is in the bag', () => {
  test('of a class: what is weighed for that seat, in all its bags', () => {
    const { plan, toPack, sheets } = sheetsOf(classOf({ seats: 6 }));
    const [sheet] = sheets;
    const scale = weighings(plan, packsOf(toPack.groups, []), coastWool.fibres, 0.1);
    expect(sheet?.wool.map(({ fibreId }) => fibreId).sort()).toEqual(scale.map(({ fibreId }) => fibreId).sort());
    for (const { fibreId, leastG, mostG } of sheet?.wool ?? []) {
      const forThird = scale
        .filter((fibreWeighing) => fibreWeighing.fibreId === fibreId)
        .flatMap(({ bags }) => bags.flatMap(({ marks }) => marks))
        .filter(({ packs }) => packs.some(({ kind, number }) => kind === 'seat' && number === 3))
        .reduce((sum, { massG, parts }) => sum + massG / parts, 0);
      expect(leastG).toBe(mostG);
      // Weighed for several and parted it is rounded up once for all of them.
      expect(Math.abs(mostG - forThird)).toBeLessThanOrEqual(0.1);
    }
    expect(sheet?.wool.find(({ fibreId }) => fibreId === 'slate')?.ifNeededG).toBeGreaterThan(1);
  });
  test('first-timers have more for a chance, and the sheet they share with others says from – to', () => {
    const roster = [{ ...blankSeat(1), skill: 'first-timer' as const }];
    const { sheets } = sheetsOf(classOf({ seats: 4, roster, wantedChance: 0.95 }));
    expect(sheets).toHaveLength(1);
    const chalk = sheets[0]?.wool.find(({ fibreId }) => fibreId === 'chalk');
    expect(chalk?.mostG).toBeGreaterThan(chalk?.leastG ?? NaN);
    const alone = sheetsOf(classOf({ seats: 4, roster, wantedChance: 0.95 })).toPack.groups;
    expect(alone.length).toBe(2);
  });
  test('of a box with two designs each has its share, and together they are the bag', () => {
    const { plan, sheets } = sheetsOf(kitsOf([duo()]));
    expect(sheets.map(({ title }) => title)).toEqual(['Bird', 'Pear']);
    const told = new Map<string, number>();
    for (const { fibreId, mostG } of sheets.flatMap(({ wool }) => wool))
      told.set(fibreId, (told.get(fibreId) ?? 0) + mostG);
    for (const [fibreId, massG] of told) {
      const held = (plan.groups[0]?.plan.fibres ?? []).filter((fibre) => fibre.fibreId === fibreId);
      expect(massG).toBeCloseTo(held.reduce((sum, { packG, exactG }) => sum + (packG ?? exactG), 0), 9);
    }
  });
  test('a colour of unknown amount stands in it as that', () => {
    const unknown = { ...bird, parts: bird.parts.map((part) => part.id === 'spot' ? { ...part, shape: { ...part.shape, diameter: null } as typeof part.shape } : part) };
    const { sheets } = sheetsOf(classOf({ seats: 3 }), new Map([...coastDesigns, ['bird-1', unknown]]));
    expect(sheets[0]?.wool.find(({ fibreId }) => fibreId === 'ink')).toMatchObject({ mostG: 0, unknownCount: 1 });
  });
}); // prettier-ignore

test.each([
  [{ leastG: 9.4, mostG: 9.4, unknownCount: 0 }, 0.1, '9.4 g'],
  [{ leastG: 9.4, mostG: 10.2, unknownCount: 0 }, 0.1, '9.4–10.2 g'],
  [{ leastG: 9, mostG: 9, unknownCount: 2 }, 1, 'at least 9 g'],
  [{ leastG: 0.004, mostG: 0.004, unknownCount: 0 }, 0.1, 'under 0.1 g'],
  [{ leastG: 0, mostG: 0, unknownCount: 1 }, 0.1, 'amount unknown'],
])('%j on a scale of %d g: %s', (given, scaleStepG, words) => {
  expect(packedWoolWords({ fibreId: 'x', ifNeededG: 0, ...given }, scaleStepG)).toBe(words);
});
