import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Pattern } from '../../src/pattern/index.ts';
import { placeInMaking, type Remark, remarksOf, reviewOf, subjectOf } from '../../src/review/index.ts';
import { ALL_REMARKS, readReview, remarksWanted } from '../../src/words/index.ts';
import { EVERY_FINDING, faulty } from '../support/findings.ts';
import { cleanFigure, type Make, reviewWool, say } from '../support/reviewed.ts';

const MAKE: Make = { bodyMm: 60, limbMm: 40, limb: 'Leg', limbs: 4, isRound: true, unit: 'mm' };
const session = (id: string, firstStepId: string) => ({ id, name: id, firstStepId, startState: 'wool', safeStop: 'here', homework: '' }); // prettier-ignore
const inTwo: Pattern = {
  ...cleanFigure(MAKE),
  sessions: [session('morning', 'bend'), session('evening', 'coat')],
};

describe('what a remark is about', () => {
  test.each(Object.values(EVERY_FINDING))('$code is about one thing', (remark) => {
    const subject = subjectOf(remark);
    expect(subject.kind).not.toBe('');
    // It says what it says of something: a part, a step, or a side of the whole.
    if ('partId' in remark && !('stepId' in remark)) expect(subject).toEqual({ kind: 'part', id: remark.partId });
    if ('stepId' in remark) expect(subject).toEqual({ kind: 'step', id: remark.stepId });
  }); // prettier-ignore
});

describe('where in the making one comes to it', () => {
  test.each<[Remark, number | null, string | null]>([
    [{ code: 'step_empty', stepId: 'bend' }, 0, 'morning'],
    [{ code: 'step_empty', stepId: 'finish' }, 8, 'evening'],
    [{ code: 'part_unnamed', partId: 'fin' }, 3, 'morning'],
    [{ code: 'join_never_made', joinId: 'limb-body' }, 5, 'evening'],
    [{ code: 'finding_never_put_on', findingUseId: 'eyes' }, 1, 'morning'],
    [{ code: 'session_not_described', sessionId: 'evening' }, 4, 'evening'],
    [{ code: 'title_blank' }, null, null],
    [{ code: 'part_unnamed', partId: 'gone' }, null, null],
  ])('%j: step %s, %s', (remark, stepAt, sessionId) => {
    expect(placeInMaking(remark, inTwo)).toMatchObject({ stepAt, sessionId });
  });

  test('a figure in one go has no sessions, and a step before the first is in none', () => {
    expect(placeInMaking({ code: 'step_empty', stepId: 'fin' }, cleanFigure(MAKE)).sessionId).toBeNull();
    const late = { ...inTwo, sessions: [session('evening', 'coat')] };
    expect(placeInMaking({ code: 'step_empty', stepId: 'bend' }, late).sessionId).toBeNull();
  });
});

describe('in reading order', () => {
  const spoilt = (which: readonly number[]): Pattern => ({
    ...inTwo,
    title: ' ',
    steps: inTwo.steps.map((step, at) => (which.includes(at) ? { ...step, minutes: null } : step)),
  });
  test('the whole first, then step after step; nothing is lost', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(8), { minLength: 1 }), (which) => {
        const figure = spoilt(which);
        const { open } = reviewOf(figure, reviewWool);
        const places = open.map((remark) => placeInMaking(remark, figure).stepAt ?? -1);
        expect(places).toEqual(places.toSorted((a, b) => a - b));
        expect(open).toHaveLength(remarksOf(figure, reviewWool).length);
      }),
      { numRuns: 20 },
    );
  });
  test('chosen by kind, part and session, alone and together', () => {
    const { open } = readReview(spoilt([1, 3, 7]), reviewWool);
    const codes = (wanted: Partial<typeof ALL_REMARKS>) =>
      remarksWanted(open, { ...ALL_REMARKS, ...wanted }).map(({ remark }) => remark.code);
    expect(codes({})).toEqual(['title_blank', 'minutes_not_said', 'minutes_not_said', 'minutes_not_said']);
    expect(codes({ kind: 'words' })).toEqual(['title_blank']);
    expect(codes({ partId: 'fin' })).toEqual(['minutes_not_said']);
    expect(codes({ sessionId: 'evening' })).toEqual(['minutes_not_said']);
    expect(codes({ sessionId: 'evening', partId: 'fin' })).toEqual([]);
  });
  test('each says where it is, what it is, and whether a press mends it', () => {
    const { open } = readReview({ ...faulty, colourways: [{ id: 'dusk', name: 'Dusk', fills: [] }] }, reviewWool); // prettier-ignore
    const dusk = open.find(({ remark }) => remark.code === 'colourway_as_written');
    expect(dusk).toMatchObject({ place: 'Options', words: 'Dusk changes nothing.', isMendable: true, weight: 'look', kind: 'sessions' }); // prettier-ignore
    expect(new Set(open.map(({ key }) => key)).size).toBe(open.length);
  });
});

describe('in the build of one other choice', () => {
  const choose = (figure: Pattern, stepId: string): Pattern => ({
    ...figure,
    options: [
      {
        id: 'way',
        name: 'a way',
        kind: 'extra',
        defaultValueId: 'yes',
        values: [
          { id: 'yes', name: 'yes', things: [{ kind: 'step', id: stepId }] },
          { id: 'no', name: 'no', things: [] },
        ],
      },
    ],
  });
  test('a step that alone makes a part, left out with a choice, is told with the choice', () => {
    const { open } = readReview(choose(cleanFigure(MAKE), 'fin-on'), reviewWool);
    expect(open.map(({ remark }) => remark.code)).toEqual(['join_never_made']);
    expect(open[0]?.words).toMatch(/^With a way “no”: No step makes this join/);
  });
  test('what is so in every build is told once, without a choice', () => {
    const figure = choose(cleanFigure(MAKE), 'eyes');
    figure.parts.push({ ...figure.parts[2]!, id: 'collar', name: 'Collar', uses: [] });
    const never = remarksOf(figure, reviewWool).filter(({ code }) => code === 'part_never_made');
    expect(never).toEqual([{ code: 'part_never_made', partId: 'collar' }]);
  });
  test('a step of a choice that brings nothing else leaves nothing to stumble over', () => {
    const figure = cleanFigure(MAKE);
    figure.steps.push(say('more', 'felt', ['body'], 'Go over it once more.', { stage: 'finish' }));
    expect(remarksOf(choose(figure, 'more'), reviewWool)).toEqual([]);
  });
});
