import { describe, expect, test } from '@jest/globals';
import { roomPaper } from '../../src/papers/roomPaper.ts';
import {
  blankSeat,
  designsOfSeats,
  packsOf,
  patternOfPack,
  patternsOfRun,
  portionsOfRun,
  revisionsOfRun,
  type RunInput,
  runOfToday,
  toPackOf,
  undecidedSeats,
  withRevision,
} from '../../src/run/index.ts';
import { classOf, coastDesigns, coastWool, sourceOf } from '../support/coast.ts';

const NO_CHOICE = { values: {}, colourwayId: null, swapIds: [] };
/** Birds, and two of the six make a pear. */
const mixed = (more: Partial<RunInput> = {}): RunInput =>
  classOf({
    sparePacks: 0,
    roster: [2, 5].map((seat) => ({ ...blankSeat(seat), revisionId: 'pear-1' })),
    ...more,
  });

const gramsOf = (run: RunInput): Map<string, number> => {
  const toPack = toPackOf(coastDesigns, run, coastWool);
  const plan = portionsOfRun(toPack, run, () => ({ onHandG: null, promisedG: 0 }));
  return new Map(plan.fibres.map(({ fibreId, classG }) => [fibreId, classG]));
};

describe('a class in which seats make different things', () => {
  test('packs for each what it makes, and takes what two classes would', () => {
    const both = gramsOf(mixed());
    const birds = gramsOf(classOf({ seats: 4, sparePacks: 0 }));
    const pears = gramsOf(classOf({ seats: 2, sparePacks: 0, revisionId: 'pear-1' }));
    const all = new Set([...birds.keys(), ...pears.keys()]);
    expect(new Set(both.keys())).toEqual(all);
    for (const fibreId of all) {
      expect(both.get(fibreId)).toBeCloseTo((birds.get(fibreId) ?? 0) + (pears.get(fibreId) ?? 0), 6);
    }
  });
  test('each seat opens its own pattern, and each sheet is printed as often as it is wanted', () => {
    expect([1, 2, 5, 6].map((seat) => patternOfPack(coastDesigns, mixed(), seat)?.make.revisionId)).toEqual([
      'bird-1',
      'pear-1',
      'pear-1',
      'bird-1',
    ]);
    const sheets = patternsOfRun(coastDesigns, mixed()).map(({ make, numbers, copies }) => [make.pattern.title, numbers, copies]); // prettier-ignore
    expect(sheets).toContainEqual(['Pear', [2, 5], 2]);
  });
  test('every seat has one pack; spares are of what the class makes', () => {
    const run = mixed({ sparePacks: 2 });
    const { groups } = toPackOf(coastDesigns, run, coastWool);
    expect(groups.flatMap(({ seats }) => seats).toSorted((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(packsOf(groups, run.roster)).toHaveLength(8);
    expect(groups.filter(({ spares }) => spares > 0).map(({ makes }) => makes[0]?.revisionId)).toEqual([
      'bird-1',
    ]);
  });
  test('who makes what there is nothing to choose in has nothing left to choose', () => {
    expect(undecidedSeats(coastDesigns, mixed())).toBe(4);
    const chosen = { ...blankSeat(1), choices: NO_CHOICE };
    expect(undecidedSeats(coastDesigns, mixed({ roster: [chosen, ...mixed().roster] }))).toBe(3);
  });
  test('the run is pinned to all it makes; a newer revision takes the place of one wherever it is', () => {
    expect(revisionsOfRun(mixed())).toEqual(['bird-1', 'pear-1']);
    const newer = withRevision(mixed(), 'pear-1', 'pear-2');
    expect(revisionsOfRun(newer)).toEqual(['bird-1', 'pear-2']);
    expect(newer.roster.map(({ revisionId }) => revisionId)).toEqual(['pear-2', 'pear-2']);
  });
  test('a design that is gone is packed as what the class makes', () => {
    const roster = [{ ...blankSeat(1), revisionId: 'nowhere' }];
    const run = mixed({ roster });
    expect(designsOfSeats(coastDesigns, run)({ revisionId: 'nowhere' })?.[0]).toBe('bird-1');
    expect(toPackOf(coastDesigns, run, coastWool).groups.flatMap(({ seats }) => seats)).toHaveLength(6);
  });
  test('the room says who makes what', () => {
    const words = JSON.stringify(roomPaper(sourceOf(mixed())));
    expect(words).toContain('Pear: as written');
    expect(words).toContain('not chosen yet');
    expect(JSON.stringify(roomPaper(sourceOf(classOf())))).not.toContain('Pear');
  });
  test('of runs that knew nothing of it nobody makes anything else, and nobody has said when it is', () => {
    const { plan: _plan, ...kept } = classOf();
    const { revisionId: _revision, ...seat } = blankSeat(1);
    const today = runOfToday({ ...kept, roster: [seat as never] });
    expect(today.roster[0]?.revisionId).toBeNull();
    expect(today.plan.sessions).toEqual([]);
  });
});
