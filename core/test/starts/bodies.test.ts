import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, onlyFibres } from '../../src/engine/index.ts';
import { heightAgainst, putTogether, whatItTells } from '../../src/figure/index.ts';
import { ladderOf } from '../../src/needles/index.ts';
import { checkPattern, missingForPublishing } from '../../src/pattern/index.ts';
import { remarksOf } from '../../src/review/index.ts';
import { START_BODIES, startPattern } from '../../src/starts/index.ts';
import { fibre } from '../support/make.ts';

const WOOL = onlyFibres(
  new Map(
    (['core', 'main', 'second', 'dark'] as const).map((id) => [
      id,
      fibre(id, { preparation: id === 'core' ? 'core-batt' : 'carded' }),
    ]),
  ),
);
const OWN = { core: 'core', main: 'main', second: 'second', dark: 'dark' };
const bodyNamed = START_BODIES.map((body) => [body.name, body] as const);

describe('bodies to begin from', () => {
  test('ten of them, no two called alike', () => {
    expect(START_BODIES).toHaveLength(10);
    expect(new Set(START_BODIES.flatMap(({ id, name }) => [id, name])).size).toBe(20);
  });
  test.each(bodyNamed)('%s is a whole pattern: nothing wrong in it, nothing unknown, every piece in its place', (_name, body) => {
    const pattern = startPattern(body, { title: 'Mine', heightMm: null, wool: OWN });
    expect([...checkPattern(pattern), ...missingForPublishing(pattern)]).toEqual([]);
    const estimate = estimatePattern(pattern, WOOL);
    expect(estimate.total.unknownCount).toBe(0);
    expect(estimate.total.likelyG).toBeGreaterThan(1);
    const together = putTogether(pattern, estimate, WOOL.findings);
    expect(together.figure.notPlaced).toEqual([]);
    const pieces = pattern.parts.reduce((sum, { count }) => sum + Number(count), 0);
    expect(together.figure.pieces).toHaveLength(pieces);
    // As high as it says, and it does not fall over.
    const tells = whatItTells(together, pattern, estimate, WOOL.findings);
    expect(tells.size?.heightMm ?? NaN).toBeGreaterThan(body.heightMm * 0.97);
    expect(tells.size?.heightMm ?? NaN).toBeLessThan(body.heightMm * 1.03);
    if (body.stance?.rests !== 'hangs') expect(tells.standing.kind).toBe('stands');
    // Minutes are left for its author; nothing else is for a reader to stumble over.
    expect(remarksOf(pattern, WOOL)).toEqual([{ code: 'no_minutes_at_all' }]);
    // Told step by step: every part is made, every join is made, in an order that hands can go.
    const made = new Set<string>();
    for (const { act, partIds, joinIds } of pattern.steps) {
      if (act.kind === 'make') for (const id of partIds) made.add(id);
      for (const id of joinIds) {
        const join = pattern.joins.find((candidate) => candidate.id === id);
        expect(join && made.has(join.partId) && made.has(join.ontoId)).toBe(true);
      }
    }
    expect(made.size).toBe(pattern.parts.length);
    expect(pattern.joins.every(({ id }) => pattern.steps.some(({ joinIds }) => joinIds.includes(id)))).toBe(true);
    // Every needle step has its needle.
    expect(ladderOf(pattern, estimate, WOOL, []).rungs.length).toBeGreaterThan(0);
    expect(heightAgainst(together.figure, pattern)).toMatchObject(pattern.cuts.length > 0 ? {} : { isOff: false });
    // The gaps are its author’s.
    expect(pattern.steps.every(({ minutes, cue }) => minutes === null && cue === '')).toBe(true);
  });
  test.each(bodyNamed)('%s in any size: as high as asked, its wool with its volume and its skin', (_name, body) => {
    const gramsAt = (heightMm: number) => {
      const pattern = startPattern(body, { title: 'Mine', heightMm, wool: OWN });
      expect(pattern.finishedHeight?.value).toBeCloseTo(heightMm, 6);
      expect(checkPattern(pattern)).toEqual([]);
      // What it calls its details is no size.
      for (const { uses } of pattern.parts) for (const use of uses) if ('wordsSizeFraction' in use) expect(use.wordsSizeFraction).toBe(1);
      return estimatePattern(pattern, WOOL).total.likelyG;
    };
    fc.assert(
      fc.property(fc.double({ min: body.heightMm / 1.5, max: body.heightMm * 2, noNaN: true }), (heightMm) => {
        const grown = gramsAt(heightMm * 1.3) / gramsAt(heightMm);
        expect(grown).toBeGreaterThan(1.3 ** 2);
        expect(grown).toBeLessThan(1.3 ** 3 * 1.02);
      }),
      { numRuns: 6 },
    );
  });
}); // prettier-ignore
