import { describe, expect, test } from '@jest/globals';
import { resizePattern } from '../../src/resize/index.ts';
import { blankSeat, patternOfPack, patternsOfRun, type RunInput, type Seat } from '../../src/run/index.ts';
import { bird, classOf, coastDesigns, duo, kitsOf, pear } from '../support/coast.ts';

const seat = (number: number, more: Partial<Seat> = {}): Seat => ({ ...blankSeat(number), ...more });
const textsOf = (input: RunInput, number: number, at = 0) =>
  patternOfPack(coastDesigns, input, number, at)?.build.steps.map(({ text }) => text);
const written = bird.steps.map(({ text }) => text);

describe('the pattern of one seat', () => {
  test('nothing said: as it was published', () => {
    const found = patternOfPack(coastDesigns, classOf({ seats: 3 }), 2);
    expect(found?.build).toEqual(bird);
    expect(found?.seat?.seat).toBe(2);
    expect(found?.make.revisionId).toBe('bird-1');
  });
  test('its swaps change the words of its steps, and nobody else’s', () => {
    const input = classOf({ seats: 3, roster: [seat(2, { choices: { values: {}, colourwayId: null, swapIds: ['grey'] } })] });
    expect(textsOf(input, 2)).toEqual(written.map((text) => (text === 'Lay on the coat of slate' ? 'Lay on the coat of plum' : text)));
    expect(textsOf(input, 1)).toEqual(written);
  });
  test('a swap for everybody is in everybody’s', () => {
    const input = classOf({ seats: 2, swapIds: ['felt-eyes'] });
    for (const number of [1, 2]) expect(textsOf(input, number)?.[3]).toContain('sew the beads on for eyes');
  });
  test('for the left hand: what is wrapped goes the other way, everything else as it was', () => {
    const input = classOf({ seats: 2, roster: [seat(1, { isLeftHanded: true })] });
    expect(textsOf(input, 1)?.[1]).toContain('anticlockwise');
    expect(textsOf(input, 1)?.filter((_, at) => at !== 1)).toEqual(written.filter((_, at) => at !== 1));
    expect(textsOf(input, 2)).toEqual(written);
  });
  test('in its own size, left-handed all the same', () => {
    const input = classOf({ seats: 1, roster: [seat(1, { sizeFraction: 0.5, isLeftHanded: true })] });
    const found = patternOfPack(coastDesigns, input, 1);
    expect(found?.build.parts).toEqual(resizePattern(bird, 0.5).parts);
    expect(textsOf(input, 1)?.[1]).toContain('anticlockwise');
  });
  test.each([0, 4, -1, 1.5, NaN])('seat %d there is none', (number) => {
    expect(patternOfPack(coastDesigns, classOf({ seats: 3 }), number)).toBeNull();
  });
  test('of a revision nobody has there is none', () => {
    expect(patternOfPack(coastDesigns, classOf({ revisionId: 'gone' }), 1)).toBeNull();
  });
}); // prettier-ignore

describe('the patterns of one box', () => {
  const input = kitsOf([duo({ boxes: 2 }), duo({ id: 'b', name: 'Birds only', boxes: 3, designs: [{ revisionId: 'bird-1', copies: 2, choices: { values: {}, colourwayId: null, swapIds: ['grey'] } }] })]);
  test('each of its designs by its place, and of nobody in particular', () => {
    expect(patternOfPack(coastDesigns, input, 1, 0)?.build).toEqual(bird);
    expect(patternOfPack(coastDesigns, input, 2, 1)?.build).toEqual(pear);
    expect(patternOfPack(coastDesigns, input, 1, 0)?.seat).toBeNull();
    expect(patternOfPack(coastDesigns, input, 1, 2)).toBeNull();
  });
  test('boxes are numbered through: the second sort goes on where the first ends', () => {
    expect(textsOf(input, 3)?.[2]).toBe('Lay on the coat of plum');
    expect(textsOf(input, 5)?.[2]).toBe('Lay on the coat of plum');
    expect(patternOfPack(coastDesigns, input, 6)).toBeNull();
  });
}); // prettier-ignore

describe('all patterns of a run', () => {
  const told = (input: RunInput) =>
    patternsOfRun(coastDesigns, input).map(({ make, isLeftHanded, numbers, copies }) => [make.pattern.title, isLeftHanded, numbers, copies]);
  test('each once, with how often it is printed: the left hand’s apart, spares with the usual', () => {
    const grey = { values: {}, colourwayId: null, swapIds: ['grey'] };
    const roster = [seat(1, { isLeftHanded: true }), seat(3, { choices: grey }), seat(4, { choices: grey, isLeftHanded: true })];
    expect(told(classOf({ seats: 5, sparePacks: 1, demonstrations: 1, roster }))).toEqual([
      ['Bird', false, [2, 5], 4],
      ['Bird', true, [1], 1],
      ['Bird', false, [3], 1],
      ['Bird', true, [4], 1],
    ]);
  });
  test('half-made samples need none', () => {
    const input = classOf({ seats: 2, sparePacks: 0, hasStageSamples: true });
    expect(told(input)).toEqual([['Bird', false, [1, 2], 2]]);
  });
  test('a box has one of each design, however many it holds; sorts that share a design share the sheet', () => {
    const two = kitsOf([duo({ boxes: 2, spares: 1 }), duo({ id: 'b', boxes: 3, spares: 0, designs: [{ revisionId: 'pear-1', copies: 4, choices: { values: {}, colourwayId: null, swapIds: [] } }] })]);
    expect(told(two)).toEqual([
      ['Bird', false, [1, 2], 3],
      ['Pear', false, [1, 2, 3, 4, 5], 6],
    ]);
  });
  test('every seat finds its own among them, word for word', () => {
    const input = classOf({ seats: 6, roster: [seat(2, { isLeftHanded: true, sizeFraction: 0.8 }), seat(5, { choices: { values: {}, colourwayId: 'dusk', swapIds: [] } })] });
    const all = patternsOfRun(coastDesigns, input);
    for (let number = 1; number <= 6; number++) {
      const runPatterns = all.filter(({ numbers }) => numbers.includes(number));
      expect(runPatterns.map(({ build }) => build)).toEqual([patternOfPack(coastDesigns, input, number)?.build]);
    }
  });
}); // prettier-ignore
