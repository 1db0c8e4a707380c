import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { allMarks, leftInDrawer, reallyWeighed, type RunTick, weighings } from '../../src/run/index.ts';
import { classOf, sourceOf } from '../support/coast.ts';

const { plan, packs, wool, input } = sourceOf(classOf());
const all = weighings(plan, packs, wool.fibres, input.scaleStepG);

describe('what a run has really taken', () => {
  test('is the sum of its weighings in micrograms, by scale as it showed, by hand as it was wanted, undone not at all', () => {
    const how = fc.constantFrom('open', 'undone', 'hand', 'scale');
    const marks = allMarks(all);
    fc.assert(
      fc.property(fc.array(fc.tuple(how, fc.integer({ min: 0, max: 900 })), { minLength: marks.length, maxLength: marks.length }), (told) => {
        const ticks = new Map<string, RunTick>();
        // Counted by hand in whole micrograms, mark by mark.
        const sums = new Map<string, { wanted: number; weighed: number; scale: number }>();
        marks.forEach(({ mark, massG, fibreId }, at) => {
          const [kind, tenths] = told[at] ?? ['open', 0];
          const sum = sums.get(fibreId) ?? { wanted: 0, weighed: 0, scale: 0 };
          sums.set(fibreId, sum);
          if (kind === 'open') return;
          ticks.set(mark, { mark, massG, isDone: kind !== 'undone', weighedG: kind === 'scale' ? tenths / 10 : null });
          if (kind === 'undone') return;
          const wanted = Math.round(massG * 1e6);
          sum.wanted += wanted;
          sum.weighed += kind === 'scale' ? tenths * 1e5 : wanted;
          sum.scale += kind === 'scale' ? 1 : 0;
        });
        const really = reallyWeighed(all, ticks);
        for (const [fibreId, { wanted, weighed, scale }] of sums)
          expect(really.get(fibreId)).toEqual({ wantedG: wanted / 1e6, weighedG: weighed / 1e6, overG: (weighed - wanted) / 1e6, byScale: scale });
      }),
      { numRuns: 50 },
    );
  }); // prettier-ignore
  test.each([
    ['never counted: unknown, not nought', 12, null, false, null],
    ['weighed out of it', 12.3, 100, false, 87.7],
    ['more than the ledger knows of is not hidden', 12.3, 10, false, -2.3],
    ['packed, the ledger has it already', 12.3, 87.7, true, 87.7],
  ])('%s', (_, weighedG, onHandG, isOff, leftG) => {
    expect(leftInDrawer({ weighedG }, onHandG, isOff)).toBe(leftG);
  });
});
