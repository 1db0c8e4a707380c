import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  blankCheck,
  checkPattern,
  moveItem,
  type Pattern,
  type Removable,
  withoutThing,
  withThingBack,
} from '../../src/pattern/index.ts';
import { mm, part, pattern, shapes, use } from '../support/make.ts';
import { joined, step } from '../support/writing.ts';

/** Everything that may name anything else does so. */
const figure: Pattern = pattern(
  [
    part('body', shapes.ball(60), { coat: 'coat' }),
    part('wing', shapes.limb(40, 12), {
      count: 2,
      derived: [{ size: 'length', from: 'part', partId: 'body', ofSize: 'diameter', ratio: 0.6 }],
      uses: [use('core', 'wing-core', 'core'), use('added', 'wing-tip', 'dark', { amount: { form: 'relative', fraction: 0.5, ofUseId: 'body-core' } })],
    }),
    part('belly', shapes.patch(20, 12, 'body'), { uses: [use('patch', 'belly-patch', 'pale')] }),
  ],
  {
    joins: [joined('wing', 'body'), joined('belly', 'body'), joined('belly', 'wing')],
    cuts: [
      {
        kind: 'wire',
        id: 'frame',
        name: 'frame',
        findingId: 'wire',
        count: 1,
        segments: [
          { name: 'spine', partId: 'body', length: null, strands: 2, isTwisted: true },
          { name: 'arm', partId: 'wing', length: mm(40), strands: 1, isTwisted: false },
        ],
        seat: null, windings: [],
        endCurls: 2,
        curlLength: null,
      },
    ],
    findings: [{ id: 'eyes', findingId: 'eye', partId: 'body', count: 2 , placement: null}],
    steps: [
      step('core', 'make', ['body'], { checks: [{ ...blankCheck('c'), returnToStepId: 'core' }] }),
      step('wings', 'make', ['wing'], { stage: 'shape' }),
      step('set', 'join', ['wing', 'body'], { stage: 'join', joinIds: ['wing-body'], recallsStepId: 'core', checks: [{ ...blankCheck('d'), returnToStepId: 'wings' }] }),
      step('lay', 'wrap', ['belly', 'body'], { stage: 'coat', joinIds: ['belly-body', 'belly-wing'] }),
      step('eyes', { kind: 'choose', findingUseIds: ['eyes'] }, ['body'], { stage: 'detail' }),
    ],
    links: [
      { id: 'l1', beforeId: 'core', afterId: 'wings', strength: 'must', reason: '' },
      { id: 'l2', beforeId: 'wings', afterId: 'set', strength: 'easier', reason: '' },
    ],
    sessions: [
      { id: 's1', name: 'one', firstStepId: 'core', startState: '', safeStop: '', homework: '' },
      { id: 's2', name: 'two', firstStepId: 'set', startState: '', safeStop: '', homework: '' },
    ],
    options: [
      {
        id: 'o',
        name: 'wings',
        kind: 'extra',
        defaultValueId: 'yes',
        values: [
          { id: 'yes', name: 'yes', things: [{ kind: 'part', id: 'wing' }, { kind: 'step', id: 'wings' }, { kind: 'join', id: 'wing-body' }] },
          { id: 'no', name: 'no', things: [{ kind: 'use', id: 'body-coat' }, { kind: 'step', id: 'eyes' }] },
        ],
      },
    ],
    slots: [
      { id: 'skin', name: 'skin', places: [{ kind: 'use', id: 'body-coat' }, { kind: 'use', id: 'wing-core' }, { kind: 'use', id: 'belly-patch' }], rule: null },
    ],
    swaps: [
      { id: 'w', of: { kind: 'use', id: 'wing-core' }, to: { kind: 'fibre', fibreId: null }, amountFactor: 1, moreMinutes: 0, steps: [{ stepId: 'wings', text: 'a' }, { stepId: 'set', text: 'b' }], look: '' },
      { id: 'x', of: { kind: 'use', id: 'body-core' }, to: { kind: 'fibre', fibreId: null }, amountFactor: 1, moreMinutes: 0, steps: [{ stepId: 'set', text: 'c' }], look: '' },
    ],
  },
); // prettier-ignore

const THINGS: Removable[] = [
  ...figure.parts.map(({ id }): Removable => ({ kind: 'part', id })),
  ...figure.joins.map(({ id }): Removable => ({ kind: 'join', id })),
  ...figure.steps.map(({ id }): Removable => ({ kind: 'step', id })),
];
const idsOf = (items: readonly { id: string }[]) => items.map(({ id }) => id);

describe('taken out and brought back', () => {
  test.each(THINGS)('$kind $id: nothing names it meanwhile, and then everything is as it was', (thing) => {
    const bare = withoutThing(figure, thing);
    expect(checkPattern(bare)).toEqual([]);
    expect(bare).not.toEqual(figure);
    expect(withThingBack(bare, figure, thing)).toEqual(figure);
  });
  test.each(THINGS)('$kind $id: what was written meanwhile stays', (thing) => {
    const bare = withoutThing(figure, thing);
    const meanwhile: Pattern = {
      ...bare,
      title: 'Otherwise',
      joinsApart: true,
      steps: [...bare.steps.map((step) => ({ ...step, text: `${step.text}, slowly` })), step('new', 'felt', [])],
      sessions: bare.sessions.map((session) => ({ ...session, homework: 'rest' })),
      links: [...bare.links, { id: 'l3', beforeId: bare.steps[0]?.id ?? '', afterId: 'new', strength: 'must', reason: '' }],
    };
    const back = withThingBack(meanwhile, figure, thing);
    expect(checkPattern(back)).toEqual([]);
    expect(back).toMatchObject({ title: 'Otherwise', joinsApart: true });
    const isOther = (id: string) => thing.kind !== 'step' || id !== thing.id;
    for (const step of back.steps) {
      if (step.id === 'new') continue;
      expect(step.text).toBe(isOther(step.id) ? `${step.id}, slowly` : step.id);
    }
    expect(idsOf(back.steps)).toEqual([...idsOf(figure.steps), 'new']);
    expect(idsOf(back.links)).toEqual(expect.arrayContaining([...idsOf(figure.links), 'l3']));
    expect(back.sessions.map(({ homework, firstStepId }) => [homework, firstStepId])).toEqual([['rest', 'core'], ['rest', 'set']]);
    expect(back.parts).toEqual(figure.parts);
    expect(back.options).toEqual(figure.options);
  });
  test('two things, in any order, as far as what they mention is there', () => {
    fc.assert(
      fc.property(fc.constantFrom(...THINGS), fc.constantFrom(...THINGS), (a, b) => {
        const withoutA = withoutThing(figure, a);
        const withoutBoth = withoutThing(withoutA, b);
        const back = withThingBack(withoutBoth, figure, a);
        expect(checkPattern(back)).toEqual([]);
        // The last that went comes back first: then nothing is lost.
        expect(withThingBack(withThingBack(withoutBoth, withoutA, b), figure, a)).toEqual(figure);
      }),
    );
  });
  test('steps put in another order meanwhile keep it, and the one that comes back follows what it followed', () => {
    const bare = withoutThing(figure, { kind: 'step', id: 'set' });
    const moved = { ...bare, steps: moveItem(bare.steps, 'wings', 0) };
    const back = withThingBack(moved, figure, { kind: 'step', id: 'set' });
    expect(idsOf(back.steps)).toEqual(['wings', 'set', 'core', 'lay', 'eyes']);
  });
  test('what is there, or never was, changes nothing', () => {
    expect(withThingBack(figure, figure, { kind: 'part', id: 'body' })).toBe(figure);
    expect(withThingBack(figure, figure, { kind: 'step', id: 'never' })).toBe(figure);
  });
}); // prettier-ignore
