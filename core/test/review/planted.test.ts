import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkPattern, type Pattern } from '../../src/pattern/index.ts';
import {
  mendOf,
  type Remark,
  type RemarkCode,
  remarksOf,
  reviewOf,
  withMeant,
} from '../../src/review/index.ts';
import { cleanFigure, type Make, reviewWool } from '../support/reviewed.ts';
import { SLIPS } from '../support/slips.ts';

const make: fc.Arbitrary<Make> = fc.record({
  bodyMm: fc.integer({ min: 50, max: 90 }),
  limbMm: fc.integer({ min: 35, max: 70 }),
  limb: fc.constantFrom('Leg', 'Arm', 'Stalk'),
  limbs: fc.constantFrom(2, 4),
  isRound: fc.boolean(),
  unit: fc.constantFrom('mm', 'in'),
});
const RUNS = { numRuns: 6 };

const codesOf = (remarks: readonly Remark[]): RemarkCode[] => [...new Set(remarks.map(({ code }) => code))];

/** The clean figure with one thing wrong in it. */
function slipped(code: keyof typeof SLIPS, of: Make): Pattern {
  const figure = structuredClone(cleanFigure(of));
  SLIPS[code].plant(figure, of);
  return figure;
}

const ALL = Object.keys(SLIPS) as (keyof typeof SLIPS)[];

describe('figures with one slip in them', () => {
  test('without it nothing is found, whatever they are like', () => {
    fc.assert(
      fc.property(make, (of) => {
        expect(remarksOf(cleanFigure(of), reviewWool)).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });

  test.each(ALL)('%s is found by its name, and nothing else is', (code) => {
    fc.assert(
      fc.property(make, (of) => {
        const codes = codesOf(remarksOf(slipped(code, of), reviewWool));
        expect(codes).toContain(code);
        const expected: readonly RemarkCode[] = [code, ...(SLIPS[code].follows ?? [])];
        expect(codes.filter((each) => !expected.includes(each))).toEqual([]);
      }),
      RUNS,
    );
  });

  test.each(ALL)('%s: what a press mends is mended, and the figure is as whole as before', (code) => {
    fc.assert(
      fc.property(make, (of) => {
        const figure = slipped(code, of);
        let ids = 0;
        for (const remark of remarksOf(figure, reviewWool).filter((each) => each.code === code)) {
          const mend = mendOf(remark, figure, () => `mended-${(ids += 1)}`);
          if (!mend) continue;
          const mended = mend(figure);
          expect(remarksOf(mended, reviewWool)).not.toContainEqual(remark);
          expect(checkPattern(mended)).toEqual(checkPattern(figure));
        }
      }),
      { numRuns: 2 },
    );
  });

  test.each(ALL)('%s meant so is not asked again', (code) => {
    fc.assert(
      fc.property(make, (of) => {
        const figure = slipped(code, of);
        const mine = remarksOf(figure, reviewWool).filter((remark) => remark.code === code);
        const meant = mine.reduce<Pattern>(
          (before, remark) => ({ ...before, meant: withMeant(before, remark, 'I want it so') }),
          figure,
        );
        const { open, meant: kept } = reviewOf(meant, reviewWool);
        expect(codesOf(open)).not.toContain(code);
        expect(kept).toHaveLength(mine.length);
      }),
      { numRuns: 2 },
    );
  });
});
