import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  darkerThan,
  defaultBuild,
  nowShows,
  MOST_BUILDS,
  planBuilds,
  resolveBuild,
  summariseBuilds,
  sumsOf,
  unmetNeeds,
} from '../../src/build/index.ts';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  allowedValues,
  brokenLimit,
  checkPattern,
  isSameThing,
  NO_CHOICES,
  type Option,
  type OptionLimit,
  type Pattern,
  type ThingRef,
  valuesNeverAllowed,
  isWool,
} from '../../src/pattern/index.ts';
import { remarksOf } from '../../src/review/index.ts';
import { fibre, mm, part, pattern, shapes, shelf } from '../support/make.ts';
import { joined, step } from '../support/writing.ts';

const WOOL = shelf(
  fibre('core'),
  fibre('pale', { colour: '#f0eee6' }),
  fibre('dark', { colour: '#202020' }),
  fibre('coat', { colour: '#808080' }),
);

const thing = (kind: ThingRef['kind'], id: string): ThingRef => ({ kind, id });
const extra = (id: string, ...things: ThingRef[]): Option => ({
  id,
  name: id,
  kind: 'extra',
  values: [
    { id: 'yes', name: 'yes', things },
    { id: 'no', name: 'no', things: [] },
  ],
  defaultValueId: 'yes',
});
const limit = (kind: OptionLimit['kind'], a: [string, string], b: [string, string]): OptionLimit => ({
  id: `${a.join()}-${kind}-${b.join()}`,
  kind,
  a: { optionId: a[0], valueId: a[1] },
  b: { optionId: b[0], valueId: b[1] },
  reason: '',
});
const choose = (values: Record<string, string>) => ({ ...NO_CHOICES, values });

/** A body, a hat that is joined on, a feather that is joined onto the hat; eyes of beads or wool. */
const figure: Pattern = pattern(
  [
    part('body', shapes.ball(60), { coat: 'coat' }),
    part('hat', shapes.ball(30), { hides: 'the seam on the crown' }),
    part('feather', shapes.limb(30, 4)),
  ],
  {
    joins: [joined('hat', 'body', { sink: mm(4) }), joined('feather', 'hat')],
    findings: [{ id: 'beads', findingId: null, partId: 'hat', count: 2, placement: null }],
    steps: [
      step('b', 'make', ['body']),
      step('h', 'make', ['hat']),
      step('hb', 'join', ['hat', 'body']),
      step('f', 'make', ['feather']),
      step('fh', 'join', ['feather', 'hat']),
    ],
    options: [extra('hat', thing('part', 'hat')), extra('feather', thing('part', 'feather'))],
  },
);

describe('resolving a build', () => {
  test('a pattern without options comes back as it is', () => {
    const plain = { ...figure, options: [] };
    expect(defaultBuild(plain)).toBe(plain);
  });
  test('a part left out takes its joins, its steps and what is on it along', () => {
    const build = resolveBuild(figure, choose({ hat: 'no', feather: 'no' }));
    expect(build.parts.map(({ id }) => id)).toEqual(['body']);
    expect(build).toMatchObject({ joins: [], findings: [] });
    // The step that joined the hat to the body still has the body in it.
    expect(build.steps.map(({ id }) => id)).toEqual(['b', 'hb']);
    expect(checkPattern(build)).toEqual([]);
  });
  test('what an answer names is there only with that answer; the rest always', () => {
    const options: Option[] = [
      { id: 'o', name: '', kind: 'one-of', defaultValueId: 'x', values: [
        { id: 'x', name: '', things: [thing('use', 'body-coat')] },
        { id: 'y', name: '', things: [thing('part', 'hat')] },
      ] },
    ]; // prettier-ignore
    const given = { ...figure, options };
    const withX = resolveBuild(given, choose({ o: 'x' }));
    expect(withX.parts.map(({ id }) => id)).toEqual(['body', 'feather']);
    expect(withX.parts[0]?.uses).toHaveLength(2);
    expect(resolveBuild(given, choose({ o: 'y' })).parts[0]?.uses).toHaveLength(1);
  });
  test('a colourway fills every place of its slots, and only those', () => {
    const ownPattern: Pattern = {
      ...figure,
      slots: [{ id: 's', name: '', places: [{ kind: 'use', id: 'body-coat' }, { kind: 'use', id: 'hat-core' }], rule: null }],
      colourways: [{ id: 'c', name: '', fills: [{ slotId: 's', fibreId: 'dark' }] }],
    }; // prettier-ignore
    const fibres = (pattern: Pattern) =>
      pattern.parts.flatMap(({ uses }) => uses.map((use) => isWool(use) && use.fibreId));
    expect(fibres(resolveBuild(ownPattern, { ...NO_CHOICES, colourwayId: 'c' }))).toEqual([
      'core',
      'dark',
      'dark',
      'core',
    ]);
    expect(fibres(ownPattern)).toEqual(['core', 'coat', 'core', 'core']);
  });
  test('a swap changes its fibre, its stated grams, its minutes and its words', () => {
    const coat = { form: 'grams', massG: 2, highG: null, isWeighed: false } as const;
    const body = part('body', shapes.ball(60), { coat: 'coat' });
    const pattern: Pattern = {
      ...figure,
      parts: [{ ...body, uses: body.uses.map((use) => (use.role === 'coat' ? { ...use, amount: coat } : use)) }, ...figure.parts.slice(1)],
      swaps: [{ id: 'w', of: { kind: 'use', id: 'body-coat' }, to: { kind: 'fibre', fibreId: 'pale' }, amountFactor: 1.5, moreMinutes: -2, steps: [{ stepId: 'b', text: 'otherwise' }], look: '' }],
    }; // prettier-ignore
    const build = resolveBuild(pattern, { ...NO_CHOICES, swapIds: ['w'] });
    expect(build.parts[0]?.uses[1]).toMatchObject({ fibreId: 'pale', amount: { massG: 3 } });
    expect(build.steps[0]).toMatchObject({ text: 'otherwise', minutes: 3 });
    expect(build.steps[1]).toEqual(pattern.steps[1]);
  });
});

describe('what a build leaves hanging', () => {
  test('a part that others need is missed', () => {
    const build = resolveBuild(figure, choose({ hat: 'no' }));
    expect(unmetNeeds(figure, build)).toEqual([{ neededBy: 'feather', partId: 'hat', why: 'joined-onto' }]);
    expect(unmetNeeds(figure, resolveBuild(figure, choose({ hat: 'no', feather: 'no' })))).toEqual([]);
  });
  test('one that another join still holds does not fall off', () => {
    const held = { ...figure, joins: [...figure.joins, joined('feather', 'body')] };
    expect(unmetNeeds(held, resolveBuild(held, choose({ hat: 'no' })))).toEqual([]);
  });
  test('what shows is said: the place, the author’s words, the core beneath a coat', () => {
    const given = { ...figure, options: [...figure.options, extra('coat', thing('use', 'body-coat'))] };
    const shows = nowShows(given, resolveBuild(given, choose({ hat: 'no', feather: 'no', coat: 'no' })));
    expect(shows).toEqual([
      { what: 'beneath', partId: 'body', fibreId: 'core' },
      { what: 'said', partId: 'hat', words: 'the seam on the crown' },
      { what: 'place', partId: 'hat', onPartId: 'body' },
    ]);
    expect(nowShows(given, given)).toEqual([]);
  });
  test('a cover left out shows the join', () => {
    const bare = { ...figure, joins: figure.joins.map((join) => ({ ...join, cover: null })) };
    const covered = {
      ...figure,
      joins: [
        joined('hat', 'body', {
          cover: { fibreId: null, band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false },
        }),
        ...figure.joins.slice(1),
      ],
    };
    expect(nowShows(covered, bare)).toEqual([{ what: 'join', joinId: 'hat-body' }]);
  });
});

describe('limits', () => {
  const three = ['a', 'b', 'c'].map((id) => extra(id));
  test.each([
    ['needs', limit('needs', ['a', 'yes'], ['b', 'yes']), { a: 'yes', b: 'no' }, true],
    ['needs, and has', limit('needs', ['a', 'yes'], ['b', 'yes']), { a: 'yes', b: 'yes' }, false],
    ['needs, where it is not asked', limit('needs', ['a', 'yes'], ['b', 'yes']), { a: 'no', b: 'no' }, false],
    ['not with', limit('not-with', ['a', 'yes'], ['b', 'yes']), { a: 'yes', b: 'yes' }, true],
    ['not with, apart', limit('not-with', ['a', 'yes'], ['b', 'yes']), { a: 'yes', b: 'no' }, false],
  ] as const)('%s', (_name, given, values, isBroken) =>
    expect(brokenLimit(values, [given]) !== null).toBe(isBroken),
  );
  test('every allowed set of values, and no other, as brute force has it', () => {
    const value = fc.constantFrom('yes', 'no');
    const id = fc.constantFrom('a', 'b', 'c');
    const drawn = fc.tuple(fc.constantFrom<OptionLimit['kind']>('needs', 'not-with'), id, value, id, value);
    fc.assert(
      fc.property(fc.array(drawn, { maxLength: 5 }), (rows) => {
        const limits = rows.map(([kind, a, av, b, bv]) => limit(kind, [a, av], [b, bv]));
        const every = ['yes', 'no'].flatMap((a) =>
          ['yes', 'no'].flatMap((b) => ['yes', 'no'].map((c) => ({ a, b, c }))),
        );
        const right = every.filter((values) => brokenLimit(values, limits) === null);
        expect([...allowedValues({ options: three, limits })]).toEqual(right);
        const isStorable = checkPattern({ ...figure, options: three, limits }).every(
          ({ code }) => code !== 'options_exclude_all',
        );
        expect(isStorable).toBe(right.length > 0);
        const never = valuesNeverAllowed({ options: three, limits });
        expect(never).toEqual(
          three.flatMap((option) =>
            option.values
              .filter((candidate) => !right.some((values) => values[option.id as 'a'] === candidate.id))
              .map((given) => ({ optionId: option.id, valueId: given.id })),
          ),
        );
      }),
    );
  });
  test('a value that can never be chosen is told of', () => {
    const limits = [
      limit('needs', ['a', 'yes'], ['b', 'yes']),
      limit('not-with', ['a', 'yes'], ['b', 'yes']),
    ];
    const found = remarksOf({ ...figure, options: three, limits }, WOOL);
    expect(found).toContainEqual({ code: 'value_never_allowed', optionId: 'a', valueId: 'yes' });
  });
});

describe('dependent slots', () => {
  const slotted = (detail: string): Pattern => ({
    ...figure,
    slots: [
      { id: 'coat', name: '', places: [{ kind: 'use', id: 'body-coat' }], rule: null },
      { id: 'detail', name: '', places: [{ kind: 'use', id: 'hat-core' }], rule: { is: 'darker', thanSlotId: 'coat' } },
    ],
    colourways: [{ id: 'c', name: '', fills: [{ slotId: 'detail', fibreId: detail }, { slotId: 'coat', fibreId: 'coat' }] }],
  }); // prettier-ignore
  test.each([
    ['dark', []],
    ['pale', ['c']],
    // Hardly darker is not darker: an eye does not tell them apart.
    ['coat', ['c']],
  ])('a detail of %s', (detail, broken) =>
    expect(darkerThan(slotted(detail), WOOL).flatMap(({ colourwayId }) => colourwayId ?? [])).toEqual(broken),
  );
});

describe('every build summed up', () => {
  const bump = (id: string, mmAcross: number) => part(id, shapes.ball(mmAcross));
  const many: Pattern = pattern(
    [part('body', shapes.ball(60), { coat: 'coat' }), ...[6, 8, 10, 12].map((size, at) => bump(`p${at}`, size))],
    {
      joins: [0, 1, 2, 3].map((at) => joined(`p${at}`, 'body')),
      steps: [step('b', 'make', ['body']), ...[0, 1, 2, 3].map((at) => step(`s${at}`, 'make', [`p${at}`])), step('both', 'felt', ['p0', 'p1'])],
      options: [
        ...[0, 1, 2].map((at) => extra(`o${at}`, thing('part', `p${at}`))),
        extra('coat', thing('use', 'body-coat')),
        { id: 'last', name: '', kind: 'one-of', defaultValueId: 'x', values: [{ id: 'x', name: '', things: [thing('part', 'p3')] }, { id: 'y', name: '', things: [thing('step', 'b')] }] },
      ],
      limits: [limit('not-with', ['o0', 'no'], ['o1', 'no'])],
    },
  ); // prettier-ignore
  test('is what each of them comes to when it is worked out by itself', () => {
    const builds = summariseBuilds(many, WOOL) ?? [];
    expect(builds).toHaveLength([...allowedValues(many)].length);
    for (const { values, ...sums } of builds) {
      const ownSums = sumsOf(resolveBuild(many, choose(values)), WOOL);
      for (const key of ['likelyG', 'minutes', 'pieces', 'unknownCount'] as const)
        expect(sums[key]).toBeCloseTo(ownSums[key], 9);
      expect(Math.abs(sums.costMinor - ownSums.costMinor)).toBeLessThanOrEqual(3);
    }
  });
  test('options that have nothing to do with one another are worked out apart', () => {
    const { groups, estimateCount: work } = planBuilds(many);
    expect(groups.some((group) => group.includes('o0') && group.includes('o1'))).toBe(true);
    expect(groups.some((group) => group.includes('o2') && group.includes('o0'))).toBe(false);
    expect(work).toBeLessThan(32);
  });
  test('stops when it is told to, and tells how far it is', () => {
    const seen: number[] = [];
    expect(summariseBuilds(many, WOOL, (done) => seen.push(done) < 3)).toBeNull();
    expect(seen).toEqual([1, 2, 3]);
  });
  test('agrees with the ledger', () => {
    const build = defaultBuild(many);
    expect(sumsOf(build, WOOL).likelyG).toBe(estimatePattern(build, WOOL).total.likelyG);
  });
});

test('things are the same by kind and id', () => {
  expect(isSameThing(thing('part', 'a'), thing('part', 'a'))).toBe(true);
  expect(isSameThing(thing('part', 'a'), thing('step', 'a'))).toBe(false);
});

test.each([
  ['an option that names a stranger', { options: [extra('o', thing('part', 'nobody'))] }, '/options/0/values/0/things/0'],
  ['a default that is none of its values', { options: [{ ...extra('o'), defaultValueId: 'maybe' }] }, '/options/0/defaultValueId'],
  ['a limit on a stranger', { options: [extra('o')], limits: [limit('needs', ['o', 'yes'], ['x', 'yes'])] }, '/limits/0/b'],
  ['a slot darker than a stranger', { slots: [{ id: 's', name: '', places: [], rule: { is: 'darker' as const, thanSlotId: 'x' } }] }, '/slots/0/rule/thanSlotId'],
  ['a colourway of a stranger', { colourways: [{ id: 'c', name: '', fills: [{ slotId: 'x', fibreId: 'core' }] }] }, '/colourways/0/fills/0/slotId'],
])('%s may not be stored', (_name, more, pointer) => {
  expect(checkPattern({ ...figure, ...more })).toContainEqual(expect.objectContaining({ code: 'thing_not_found', pointer }));
}); // prettier-ignore

describe('limits are solved over the options they name', () => {
  const oneOf = (id: string, count: number) => ({
    id,
    name: id,
    kind: 'one-of' as const,
    defaultValueId: null,
    values: Array.from({ length: count }, (_, at) => ({ id: `v${at}`, name: '', things: [] })),
  });
  const free = Array.from({ length: 22 }, (_, at) => oneOf(`free${at}`, 12));
  const never = ['v0', 'v1'].flatMap((a) =>
    ['v0', 'v1'].map((b) => limit('not-with', ['last', a], ['least', b])),
  );
  const options = [...free, oneOf('last', 2), oneOf('least', 2)];
  test('twenty-two of twelve before two that exclude each other', () => {
    expect(valuesNeverAllowed({ options, limits: never })).toHaveLength(22 * 12 + 4);
    expect([...allowedValues({ options, limits: never })]).toEqual([]);
    const [first] = allowedValues({ options, limits: never.slice(1) });
    expect(first).toMatchObject({ free0: 'v0', last: 'v0', least: 'v0' });
    const [other] = allowedValues({ options, limits: never.slice(0, 3) });
    expect(other).toMatchObject({ last: 'v1', least: 'v1' });
  });
  test('more pigeons than holes', () => {
    // Five that must all be different, of four values each.
    const pigeons = Array.from({ length: 5 }, (_, at) => oneOf(`p${at}`, 4));
    const limits = pigeons.flatMap((a, at) =>
      pigeons
        .slice(at + 1)
        .flatMap((b) => a.values.map(({ id }) => limit('not-with', [a.id, id], [b.id, id]))),
    );
    expect([...allowedValues({ options: pigeons, limits })]).toEqual([]);
    expect([
      ...allowedValues({ options: pigeons.slice(1), limits: limits.filter(({ a }) => a.optionId !== 'p0') }),
    ]).toHaveLength(24);
  });
  test('of more builds than anybody reads the first are summed up', () => {
    const builds = summariseBuilds({ ...figure, options: free, limits: [] }, WOOL) ?? [];
    expect(builds).toHaveLength(MOST_BUILDS);
    expect(new Set(builds.map(({ values }) => JSON.stringify(values))).size).toBe(MOST_BUILDS);
  });
});
