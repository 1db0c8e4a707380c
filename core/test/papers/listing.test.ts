import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { BOOKLET_TERMS, listingOf, plainText } from '../../src/papers/index.ts';
import { NO_SURROUNDINGS, OWN_RIGHTS, type Pattern } from '../../src/pattern/index.ts';
import { readingOf } from '../../src/reading/index.ts';
import { CAUTION_NAMES } from '../../src/words/index.ts';
import { bird, coastWool } from '../support/coast.ts';
import { part, pattern, shapes } from '../support/make.ts';

const listing = (build: Pattern, reader: 'kit' | 'pattern' = 'kit') =>
  plainText(
    listingOf(
      {
        whole: build,
        build,
        what: ['revision 2'],
        notes: [],
        terms: { ...BOOKLET_TERMS.sell, reader },
        needles: [],
        packed: null,
        surroundings: NO_SURROUNDINGS,
        sources: { suppliers: [], blends: [] },
        translation: null,
      },
      coastWool,
    ),
  );

describe('what a page of a shop says', () => {
  test('every wool with its grams, every bought thing, every caution of a step, once', () => {
    const text = listing(bird);
    const estimate = estimatePattern(bird, coastWool);
    for (const { fibreId } of estimate.fibres) expect(text).toContain(`– ${coastWool.fibres.get(fibreId)?.name ?? ''}`);
    for (const { findingId } of bird.findings) expect(text).toContain(coastWool.findings.get(findingId ?? '')?.name);
    const cautions = new Set(readingOf(bird, estimate, coastWool, 'kit').sessions.flatMap(({ stages }) => stages.flatMap(({ steps }) => steps.flatMap((step) => step.cautions))));
    expect(cautions.size).toBeGreaterThan(0);
    for (const caution of cautions) expect(text.split(`– ${CAUTION_NAMES[caution]}. `)).toHaveLength(2);
  });
  test('facts are there only where they are known', () => {
    const bare = pattern([part('ball', shapes.ball(50), { core: 'chalk' })], { title: 'A ball' });
    expect(listing(bare)).not.toContain('Needles:');
    expect(listing(bare)).not.toContain('TAKE CARE');
    expect(listing(bare)).toContain('Made of: 1 piece');
    expect(listing({ ...bare, finishedHeight: { value: 50, unit: 'mm' }, prerequisites: 'Firm felt' })).toMatch(/Finished: .*50.* tall[\s\S]*What you should know: Firm felt/);
  });
  test.each<[string, readonly Pattern['parts'][number]['count'][], string]>([
    ['counted', [1, 2, 4], 'Made of: 7 pieces'],
    ['as many as one likes', [1, { low: 24, high: 32 }], 'Made of: 25–33 pieces'],
    ['not said of one', [3, null], 'Made of: at least 3 pieces'],
  ])('pieces %s', (_what, counts, words) => {
    const parts = counts.map((count, at) => ({ ...part(`piece ${at}`, shapes.ball(20), { core: 'chalk' }), count }));
    expect(listing(pattern(parts, { title: 'Pieces' }))).toContain(words);
  });
  test('what one gets is told for the kit and for the pattern alone', () => {
    expect(listing(bird, 'kit')).toContain('IN THE BAG');
    expect(listing(bird, 'pattern')).toContain('the pattern alone');
  });
  test('credits are in it; money never is', () => {
    const text = listing({ ...bird, rights: { ...OWN_RIGHTS, credit: 'After a sketch by the tide' } });
    expect(text).toContain('After a sketch by the tide');
    expect(text).not.toMatch(/[€£$]|\bcosts?\b|\bprice/i);
  });
}); // prettier-ignore
