import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { BLANK_STEP, type Step } from '../../src/pattern/index.ts';
import { picturesOntoSteps } from '../../src/writing/index.ts';

const stepsOf = (minutes: readonly (number | null)[]): { steps: Step[]; parts: [] } => ({
  steps: minutes.map((each, at) => ({ ...BLANK_STEP, id: `s${at}`, text: `${at}`, minutes: each })),
  parts: [],
});
const named = (...names: string[]) => names.map((name) => ({ name, atMs: 0 }));
const MINUTE_MS = 60_000;

describe('pictures onto steps by the number in their names', () => {
  test.each<[string, number | null]>([
    ['03.jpg', 2],
    ['step 12.png', 11],
    ['Step_07b.webp', 6],
    ['2026 puffin step-4.jpg', 3],
    ['puffin 5 wings.jpg', 4],
    ['IMG_0012.jpg', null],
    ['DSC01234.jpg', null],
    ['photo.jpg', null],
    ['13.jpg', null],
    ['0.jpg', null],
    ['wings.3.jpg', 2],
  ])('%s', (name, step) => {
    expect(picturesOntoSteps(named(name), stepsOf(Array<number>(12).fill(5)), 'number')).toEqual([step]);
  });
});

describe('by when they were taken', () => {
  test('each goes onto the step that was done last when it was taken', () => {
    const pattern = stepsOf([10, 30, 5, 15]);
    // Taken as each step ends, in whatever order they are chosen.
    const ends = [10, 40, 45, 60];
    const pictures = [2, 0, 3, 1].map((step) => ({ name: 'x.jpg', atMs: (ends[step] ?? 0) * MINUTE_MS }));
    expect(picturesOntoSteps(pictures, pattern, 'time')).toEqual([2, 0, 3, 1]);
  });
  test('whoever makes twice as slowly finds them on the same steps', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 20 }), fc.double({ min: 0.3, max: 4, noNaN: true }), (minutes, pace) => {
        let sum = 0;
        const pictures = minutes.map((each) => ({ name: 'x.jpg', atMs: 1e12 + (sum += each) * pace * MINUTE_MS }));
        expect(picturesOntoSteps(pictures, stepsOf(minutes), 'time')).toEqual(minutes.map((_each, at) => at));
      }),
    );
  });
  test('later never goes onto an earlier step, whatever is timed', () => {
    fc.assert(
      fc.property(fc.array(fc.option(fc.integer({ min: 0, max: 90 })), { minLength: 1, maxLength: 15 }), fc.array(fc.integer({ min: 0, max: 1e7 }), { minLength: 1, maxLength: 30 }), (minutes, times) => {
        const inOrder = times.toSorted((a, b) => a - b).map((atMs) => ({ name: '', atMs }));
        const placed = picturesOntoSteps(inOrder, stepsOf(minutes), 'time').map(Number);
        expect(placed).toEqual(placed.toSorted((a, b) => a - b));
        for (const step of placed) expect(step >= 0 && step < minutes.length).toBe(true);
      }),
    );
  });
  test('without steps nothing tells', () => {
    expect(picturesOntoSteps(named('3.jpg'), stepsOf([]), 'time')).toEqual([null]);
    expect(picturesOntoSteps(named('3.jpg'), stepsOf([]), 'number')).toEqual([null]);
  });
}); // prettier-ignore
