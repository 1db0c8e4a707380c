import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { blankCut, type Pattern } from '../../src/pattern/index.ts';
import { readingOf, sittingsOf } from '../../src/reading/index.ts';
import { insertLines, piecesOfFibreWords } from '../../src/words/index.ts';
import { bird, coastWool, stillBird } from '../support/coast.ts';

const sittingsIn = (build: Pattern) =>
  sittingsOf(build, readingOf(build, estimatePattern(build, coastWool), coastWool, 'pattern'));

describe('in which sitting a thing is wanted', () => {
  const sittings = sittingsIn(bird);
  test('what is made in one go has none', () => {
    expect(sittingsIn(stillBird)).toBeNull();
  });
  test('they are called as the sessions are; what comes before the first is one', () => {
    expect(sittings?.names).toEqual(['shapes', 'feathers']);
    const later = { ...bird, sessions: bird.sessions.filter(({ id }) => id === 'two') };
    expect(sittingsIn(later)?.names).toEqual(['first of all', 'feathers']);
  });
  // Read off the bird: bodies and legs in the first two steps, the coat and what joins in the last two.
  test.each([
    ['chalk', [1]],
    ['amber', [1]],
    ['slate', [2]],
    ['ink', [2]],
    ['nowhere', []],
  ])('%s in %p', (fibreId, wanted) => {
    expect(sittings?.ofFibre(fibreId)).toEqual(wanted);
  });
  test('findings, cuts and steps by where they are used', () => {
    expect(sittings?.ofFinding('eyes')).toEqual([2]);
    expect(sittings?.ofFinding('none')).toEqual([]);
    expect(sittings?.ofSteps(['s4', 's1', 's2', 'gone'])).toEqual([1, 2]);
    const wire = { ...blankCut('w', 'wire'), segments: [{ partId: 'leg', along: null, lengthMm: null }] } as unknown as Pattern['cuts'][number];
    const reading = readingOf(bird, estimatePattern(bird, coastWool), coastWool, 'pattern');
    expect(sittingsOf({ ...bird, cuts: [wire] }, reading)?.ofCut('w')).toEqual([1]);
  }); // prettier-ignore
});

describe('what lies inside pieces', () => {
  const filled = (count: Pattern['parts'][number]['count'], each: number): Pattern => ({
    ...bird,
    parts: bird.parts.map((whole) =>
      whole.id === 'leg' ? { ...whole, count, uses: [...whole.uses, { id: 'bell', role: 'insert', findingId: 'bead', count: each, space: 'whole' }] } : whole,
    ),
  });
  test.each<[Pattern['parts'][number]['count'], number, string]>([
    [2, 1, '2'],
    [{ low: 3, high: 4 }, 2, '6–8'],
    [null, 1, 'how many?'],
  ])('of %p pieces with %p each: %s', (count, each, amount) => {
    expect(insertLines(filled(count, each), coastWool)).toEqual([
      { key: 'bell', fibreId: null, name: 'bead', about: expect.stringMatching(/^inside leg$/i), amount },
    ]);
  });
  test('is wanted where its piece is begun', () => {
    expect(sittingsIn(filled(2, 1))?.ofInsert('bell')).toEqual([1]);
    expect(sittingsIn(bird)?.ofInsert('gone')).toEqual([]);
  });
}); // prettier-ignore

describe('how much of a fibre each piece takes', () => {
  const estimate = estimatePattern(bird, coastWool);
  const gramsIn = (words: string): number =>
    words
      .split(', ')
      .reduce(
        (sum, each) => sum + Number(/ ([\d.]+)\s?g$/.exec(each.replaceAll('\u00A0', ' '))?.[1] ?? NaN),
        0,
      );
  test('each piece by its name, all of it together; covers of joins after them', () => {
    expect(piecesOfFibreWords('amber', estimate, bird)).toMatch(/^Leg ×2 [\d.]+\sg$/i);
    expect(piecesOfFibreWords('slate', estimate, bird)).toMatch(/^body [\d.]+\sg, over joins [\d.]+\sg$/i);
    expect(piecesOfFibreWords('nowhere', estimate, bird)).toBe('');
  });
  test.each(['chalk', 'slate', 'amber', 'ink'])(
    'all of %s comes to what is told of it altogether',
    (fibreId) => {
      const total = estimate.fibres.find((each) => each.fibreId === fibreId)?.total.likelyG ?? NaN;
      const words = piecesOfFibreWords(fibreId, estimate, bird);
      if (words.includes('under')) expect(total).toBeLessThan(0.05);
      else expect(Math.abs(gramsIn(words) - total)).toBeLessThan(0.02 + total * 0.02);
    },
  );
  test('what nobody knows is said', () => {
    const vague: Pattern = { ...bird, parts: bird.parts.map((each) => (each.id === 'leg' ? { ...each, count: null } : each)) };
    expect(piecesOfFibreWords('amber', estimatePattern(vague, coastWool), vague)).toMatch(/unknown|at least/);
  }); // prettier-ignore
});
