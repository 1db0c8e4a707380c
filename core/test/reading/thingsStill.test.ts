import { describe, expect, test } from '@jest/globals';
import { estimatePattern, type Wool } from '../../src/engine/index.ts';
import {
  blankCut,
  blankUse,
  type Count,
  type Cut,
  type Part,
  type Pattern,
  stepOfFinding,
} from '../../src/pattern/index.ts';
import { thingsStill } from '../../src/reading/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding } from '../../src/shelf/index.ts';
import { stillWords } from '../../src/words/index.ts';
import { fibre, mm, part, pattern, shapes, shelf } from '../support/make.ts';
import { step } from '../support/writing.ts';

const thing = (id: string, by: 'count' | 'length'): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  measure: blankMeasure(by),
  onHand: 10,
  peak: 10,
});
const wool: Wool = {
  ...shelf(fibre('core')),
  findings: new Map([thing('eye', 'count'), thing('bell', 'count'), thing('wire', 'length')].map((finding) => [finding.id, finding])),
}; // prettier-ignore

/** A mouse on a wire: legs first, then a head with its eyes chosen and sewn on, a bell inside the body. */
const mouse = (eyes: Count = 2): Pattern => {
  const body = part('body', shapes.ball(40));
  const bell = { ...blankUse('bell-in', 'insert'), findingId: 'bell' } as Part['uses'][number];
  const legs = { ...blankCut('legs', 'length'), name: 'legs', findingId: 'wire', count: 2, length: mm(80) } as unknown as Cut;
  return pattern([{ ...body, uses: [...body.uses, bell] }, part('head', shapes.ball(25))], {
    findings: [{ id: 'eyes', findingId: 'eye', partId: 'head', count: eyes , placement: null}],
    cuts: [legs],
    steps: [
      step('bend', 'cut', []),
      step('body', 'make', ['body']),
      step('head', 'make', ['head']),
      step('choose', { kind: 'choose', findingUseIds: ['eyes'] }, ['head']),
      step('sew', 'sew', ['head']),
      step('felt', 'felt', ['head']),
    ],
  });
}; // prettier-ignore
const still = (pattern: Pattern, afterStep: number, more: Partial<Parameters<typeof thingsStill>[3]> = {}) =>
  thingsStill(pattern, estimatePattern(pattern, wool), wool, { afterStep, ...more }).map(({ findingId, amount }) => [findingId, amount?.likely ?? null]); // prettier-ignore

describe('what of things is still in the bag', () => {
  test.each<[number, (readonly [string, number])[]]>([
    [0, [['bell', 1], ['eye', 2], ['wire', 0.16]]],
    [1, [['bell', 1], ['eye', 2]]],
    [2, [['eye', 2]]],
    [4, [['eye', 2]]],
    [5, []],
    [6, []],
  ])('after step %i', (afterStep, expected) => {
    expect(still(mouse(), afterStep).map(([id, amount]) => [id, typeof amount === 'number' ? Math.round(amount * 100) / 100 : amount])).toEqual(expected);
  }); // prettier-ignore
  test('of a bag for three it is three times as much; spares stay to the end', () => {
    const spares = new Map([['eye', 1]]);
    expect(still(mouse(), 2, { copies: 3, spares })).toEqual([['eye', 7]]);
    expect(still(mouse(), 6, { copies: 3, spares })).toEqual([['eye', 1]]);
  });
  test('how many nobody has said is told as that', () => {
    expect(still(mouse(null), 2)).toEqual([['eye', null]]);
    const ownMouse = mouse({ low: 2, high: 4 });
    const things = thingsStill(ownMouse, estimatePattern(ownMouse, wool), wool, { afterStep: 2 });
    const names = { fibreName: (id: string) => id, findingName: (id: string) => id };
    expect(stillWords([], things, names)).toBe('2–4 × eye');
    const unsaid = mouse(null);
    expect(
      stillWords([], thingsStill(unsaid, estimatePattern(unsaid, wool), wool, { afterStep: 2 }), names),
    ).toBe('some eye, how many is not known');
  });
});

test.each<[string, string[], number | null]>([
  ['where it is sewn on, though felted later', ['sew', 'felt'], 0],
  ['else the last step on its part', ['make', 'felt'], 1],
  ['no step on it', [], null],
])('the step of a finding: %s', (_name, acts, expected) => {
  const steps = acts.map((act, at) => step(`s${at}`, act as 'sew', ['head']));
  expect(stepOfFinding({ steps }, { id: 'eyes', partId: 'head' })).toBe(expected);
});
