import { describe, expect, test } from '@jest/globals';
import type { Pattern } from '../../src/pattern/index.ts';
import { buildsNearby } from '../../src/review/buildsNearby.ts';
import { remarksOf } from '../../src/review/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { step } from '../support/writing.ts';

const RING = {
  id: 'ring',
  name: 'Split ring 25 mm',
  flags: [],
  measure: { by: 'count', outerMm: { length: 25, width: 25, height: 2 } },
};
const WOOL = {
  ...shelf(fibre('core')),
  findings: new Map([['ring', RING]]),
} as unknown as ReturnType<typeof shelf>;

/** A ball that may become a key ring, with what its last step says. */
const keyRing = (text: string, ringIsUsual = false): Pattern =>
  pattern([part('Ball', shapes.ball(40))], {
    steps: [step('roll', 'make', ['Ball']), step('end', 'sew', ['Ball'], { text })],
    findings: [{ id: 'its-ring', findingId: 'ring', partId: 'Ball', count: 1, placement: null }],
    options: [
      {
        id: 'as',
        name: 'made as',
        kind: 'one-of',
        defaultValueId: ringIsUsual ? 'key-ring' : 'ball',
        values: [
          { id: 'ball', name: 'a ball', things: [] },
          { id: 'key-ring', name: 'a key ring', things: [{ kind: 'finding', id: 'its-ring' }] },
        ],
      },
    ],
  });

const unsaid = (figure: Pattern) =>
  remarksOf(figure, WOOL).filter(({ code }) => code === 'finding_unsaid_in_build');

describe('what only one choice brings in', () => {
  test('each choice but the usual ones has its build', () => {
    const [nearby, ...more] = buildsNearby(keyRing('Close it.'));
    expect(more).toEqual([]);
    expect(nearby).toMatchObject({ optionId: 'as', valueId: 'key-ring' });
    expect(nearby?.build.findings).toHaveLength(1);
  });
  test.each([
    ['is spoken of', 'Sew the ring on.', 0],
    ['is spoken of as several', 'Sew both rings on.', 0],
    ['is not spoken of', 'Close it.', 1],
    ['is not spoken of by a word that merely has it inside', 'Bring the ends together.', 1],
  ])('a finding that %s: %s', (_name, text, count) => {
    expect(unsaid(keyRing(text))).toHaveLength(count);
  });
  test('it is said of which choice', () => {
    expect(unsaid(keyRing('Close it.'))).toEqual([
      { code: 'finding_unsaid_in_build', findingUseId: 'its-ring', name: RING.name, optionId: 'as', valueId: 'key-ring' },
    ]); // prettier-ignore
  });
  test('what everybody has is not asked of a choice', () => {
    expect(unsaid(keyRing('Close it.', true))).toEqual([]);
  });
});
