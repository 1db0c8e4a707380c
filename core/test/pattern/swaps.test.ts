import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { resolveBuild } from '../../src/build/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import { needsOf } from '../../src/needles/index.ts';
import {
  blankCut,
  checkPattern,
  type Count,
  type FindingUse,
  missingForPublishing,
  NO_CHOICES,
  type Part,
  type Pattern,
  type PatternOfAnyFormat,
  type Swap,
  type Taken,
  takenKinds,
  upgradePattern,
} from '../../src/pattern/index.ts';
import { resizePattern } from '../../src/resize/index.ts';
import { fibre, part, pattern, shapes, shelf, use } from '../support/make.ts';
import { step } from '../support/writing.ts';

const wool = shelf(fibre('core'), fibre('dark'));

const EYE_MM = 6;
const dots = (more: Partial<Extract<Taken, { kind: 'dots' }>> = {}): Taken => ({
  kind: 'dots',
  fibreId: 'dark',
  diameter: { value: EYE_MM, unit: 'mm' },
  eachG: null,
  ...more,
});
const swap = (of: Swap['of'], to: Taken, more: Partial<Swap> = {}): Swap => ({
  id: 'w',
  of,
  to,
  amountFactor: 1,
  moreMinutes: 4,
  steps: [],
  look: 'the other eyes',
  ...more,
});
const eyes = (count: Count): FindingUse => ({
  id: 'eyes',
  findingId: 'eye',
  partId: 'head',
  count,
  placement: null,
});

/** A head with eyes set on it, and a muzzle with two dots of wool. */
function dog(swaps: Swap[], many: { heads?: Count; count?: Count } = {}): Pattern {
  const { heads = 1, count = 2 } = many;
  const head: Part = { ...part('head', shapes.ball(40)), count: heads };
  const muzzle = part('muzzle', shapes.ball(20));
  const spots = use('dot', 'spots', 'dark', { diameter: { value: 3, unit: 'mm' }, count: 3 });
  return pattern([head, { ...muzzle, uses: [...muzzle.uses, spots] }], {
    findings: [eyes(count)],
    steps: [step('set', 'make', ['head'], { minutes: 5 }), step('spot', 'make', ['muzzle'], { minutes: 5 })],
    swaps,
  });
}
const taken = (figure: Pattern): Pattern => resolveBuild(figure, { ...NO_CHOICES, swapIds: ['w'] });
const minutesOf = ({ steps }: Pattern) => steps.map(({ minutes }) => minutes);

describe('wool for a thing', () => {
  test('the thing goes, a dot for each comes, on the part it sat on', () => {
    const build = taken(dog([swap({ kind: 'finding', id: 'eyes' }, dots())]));
    expect(build.findings).toEqual([]);
    expect(build.parts[0]?.uses.at(-1)).toMatchObject({
      role: 'dot',
      fibreId: 'dark',
      count: 2,
      amount: null,
    });
    expect(minutesOf(build)).toEqual([9, 5]);
    expect(checkPattern(build)).toEqual([]);
  });
  test('it weighs what the same dots weigh that were written as dots', () => {
    const build = taken(dog([swap({ kind: 'finding', id: 'eyes' }, dots())]));
    const written = dog([]);
    const head = written.parts[0] as Part;
    const byHand = {
      ...written,
      findings: [],
      parts: [
        { ...head, uses: [...head.uses, use('dot', 'own', 'dark', { diameter: { value: EYE_MM, unit: 'mm' }, count: 2 })] },
        ...written.parts.slice(1),
      ],
    }; // prettier-ignore
    const gramsOf = (figure: Pattern) =>
      estimatePattern(figure, wool).fibres.find(({ fibreId }) => fibreId === 'dark')?.total.likelyG;
    expect(gramsOf(build)).toBeCloseTo(gramsOf(byHand) ?? NaN, 9);
  });
  test('said to weigh so much each, it weighs that, over all its pieces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 12 }), fc.double({ min: 0.01, max: 2, noNaN: true }), (heads, count, eachG) => {
        const build = taken(dog([swap({ kind: 'finding', id: 'eyes' }, dots({ eachG, diameter: null }))], { heads, count }));
        const estimate = estimatePattern(build, wool);
        const use = estimate.uses.find(({ useId }) => useId === 'eyes-dots');
        expect(use?.kind === 'known' && use.all.likelyG).toBeCloseTo(eachG * count, 6);
      }),
    ); // prettier-ignore
  });
  test.each<[string, Count, Count, Count]>([
    ['two on one', 2, 1, 2],
    ['four on two', 4, 2, 2],
    ['unknown many', null, 1, null],
    ['two to four on one', { low: 2, high: 4 }, 1, { low: 2, high: 4 }],
    ['on an unknown number of heads', 2, null, null],
  ])('how many on one piece: %s', (_name, count, heads, expected) => {
    const use = taken(dog([swap({ kind: 'finding', id: 'eyes' }, dots())], { count, heads })).parts[0]?.uses.at(-1);
    expect(use?.role === 'dot' && use.count).toEqual(expected);
  }); // prettier-ignore
});

describe('what was done to the thing', () => {
  const set = (act: 'glue' | 'sew', more: Partial<Pattern> = {}): Pattern => ({
    ...dog([swap({ kind: 'finding', id: 'eyes' }, dots())]),
    steps: [step('set', act, ['head'], { waiting: 30 }), step('spot', 'make', ['muzzle'])],
    ...more,
  });
  test.each<[string, Pattern, string, number | null]>([
    ['glued on it is felted, and nothing sets', set('glue'), 'felt', null],
    ['sewn on it is felted', set('sew'), 'felt', 30],
    [
      'something else is glued there too',
      set('glue', { findings: [eyes(2), { ...eyes(1), id: 'nose' }] }),
      'glue',
      30,
    ],
  ])('%s', (_name, given, act, waiting) => {
    expect(taken(given).steps[0]).toMatchObject({ act: { kind: act }, waiting });
  });
  test('drops of glue are counted for what is set there, and none where nothing is', () => {
    const drops = (pattern: Pattern) =>
      needsOf(pattern).listed.find(({ key }) => key === 'glue-drops')?.count ?? 0;
    expect([drops(set('glue')), drops(taken(set('glue')))]).toEqual([2, 0]);
    expect(drops(set('glue', { findings: [] }))).toBe(1);
  });
});

describe('a thing for wool', () => {
  test.each<[string, number, number]>([
    ['as many as dots', 1, 3],
    ['half as many', 0.5, 2],
    ['never none', 0.05, 1],
  ])('%s', (_name, amountFactor, expected) => {
    const build = taken(dog([swap({ kind: 'use', id: 'spots' }, { kind: 'finding', findingId: 'bead' }, { amountFactor })]));
    expect(build.parts[1]?.uses.map(({ id }) => id)).not.toContain('spots');
    expect(build.findings.at(-1)).toEqual({ id: 'spots-thing', findingId: 'bead', partId: 'muzzle', count: expected , placement: null});
    expect(minutesOf(build)).toEqual([5, 9]);
  }); // prettier-ignore
});

describe('what a swap cannot do changes nothing', () => {
  const figure = dog([]);
  test.each<[string, Swap['of'], Taken]>([
    ['nothing chosen', { kind: 'finding', id: 'eyes' }, dots({ fibreId: null })],
    ['wool in a cut’s place', { kind: 'cut', id: 'wire' }, dots()],
    ['a fibre for a thing', { kind: 'finding', id: 'eyes' }, { kind: 'fibre', fibreId: 'dark' }],
    ['dots for wool', { kind: 'use', id: 'spots' }, dots()],
    ['what is not there', { kind: 'finding', id: 'gone' }, dots()],
  ])('%s', (_name, of, to) => {
    const given = { ...figure, swaps: [swap(of, to)] };
    expect(taken(given)).toEqual(resolveBuild(given, NO_CHOICES));
  });
  test('what has the same id in another list stays as it is', () => {
    const named = {
      ...figure,
      cuts: [{ ...blankCut('eyes', 'length'), findingId: 'wire' }],
      swaps: [swap({ kind: 'finding', id: 'eyes' }, { kind: 'finding', findingId: 'bead' })],
    };
    expect(taken(named).cuts).toEqual(named.cuts);
    expect(taken(named).findings[0]?.findingId).toBe('bead');
  });
  test('what an option leaves out is not swapped, nor its minutes and words', () => {
    const pattern: Pattern = {
      ...figure,
      options: [{ id: 'o', name: 'eyes', kind: 'extra', defaultValueId: 'no', values: [{ id: 'yes', name: 'yes', things: [{ kind: 'finding', id: 'eyes' }] }, { id: 'no', name: 'no', things: [] }] }],
      swaps: [swap({ kind: 'finding', id: 'eyes' }, dots(), { steps: [{ stepId: 'set', text: 'felt the eyes' }] })],
    }; // prettier-ignore
    expect(taken(pattern)).toEqual(resolveBuild(pattern, NO_CHOICES));
    expect(taken({ ...pattern, options: [] }).steps[0]?.text).toBe('felt the eyes');
  });
});

describe('what may be taken where', () => {
  const figure = dog([]);
  test.each<[string, Swap['of'], Taken['kind'][]]>([
    ['a layer', { kind: 'use', id: 'spots' }, ['fibre', 'finding']],
    ['a thing', { kind: 'finding', id: 'eyes' }, ['finding', 'dots']],
    ['a cover', { kind: 'join', id: 'j' }, ['fibre']],
    ['a cut', { kind: 'cut', id: 'c' }, ['finding']],
  ])('%s', (_name, of, expected) => expect(takenKinds(of, figure)).toEqual(expected));
  test('published with nothing to take it would be empty: it is said where', () => {
    const missing = (to: Taken) => missingForPublishing(dog([swap({ kind: 'finding', id: 'eyes' }, to)])).filter(({ pointer }) => pointer.startsWith('/swaps'));
    expect(missing(dots())).toEqual([]);
    expect(missing(dots({ fibreId: null }))).toEqual([{ code: 'swap_open', pointer: '/swaps/0/to' }]);
    expect(missing({ kind: 'fibre', fibreId: 'dark' })).toEqual([{ code: 'swap_open', pointer: '/swaps/0/to' }]);
    expect(missing(dots({ diameter: null }))).toEqual([{ code: 'sizes_missing', pointer: '/swaps/0/to', missing: ['diameter'] }]);
  }); // prettier-ignore
});

test('in another size the dots grow as dots do', () => {
  const resized = resizePattern(dog([swap({ kind: 'finding', id: 'eyes' }, dots({ eachG: 0.1 }))]), 2);
  expect(resized.swaps[0]?.to).toMatchObject({ diameter: { value: 12, unit: 'mm' }, eachG: 0.8 });
});

test('swaps of the sixth format are told apart by what they are of', () => {
  const { swaps: _none, ...bare } = dog([]);
  const old = (of: Swap['of'], toItemId: string | null) => {
    const { to: _to, ...rest } = swap(of, dots());
    return { ...rest, toItemId };
  };
  const sixth = {
    ...bare,
    formatVersion: 6,
    swaps: [old({ kind: 'use', id: 'spots' }, 'pale'), old({ kind: 'finding', id: 'eyes' }, 'bead'), old({ kind: 'join', id: 'x' }, null), old({ kind: 'cut', id: 'y' }, null)],
  } as unknown as PatternOfAnyFormat; // prettier-ignore
  expect(upgradePattern(sixth).swaps.map(({ to }) => to)).toEqual([
    { kind: 'fibre', fibreId: 'pale' },
    { kind: 'finding', findingId: 'bead' },
    { kind: 'fibre', fibreId: null },
    { kind: 'finding', findingId: null },
  ]);
});
