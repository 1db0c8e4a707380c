import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { OWN_RIGHTS, type Pattern, type Rights, type Stage } from '../../src/pattern/index.ts';
import {
  blankSeat,
  checkRights,
  checkState,
  differenceOf,
  freezeRun,
  inDrawingOrder,
  isSamePlan,
  leftHandedSteps,
  mirrored,
  packsOf,
  planInOrder,
  portionsOfRun,
  promisedBefore,
  restocked,
  rightsOfRun,
  RUN_STATES,
  type RunFacts,
  type RunInput,
  stateAfter,
  stateBefore,
  swappedSteps,
  thawPlan,
  thawWool,
  toPackOf,
  withKeptKeys,
  withoutSeat,
  wantsOf,
} from '../../src/run/index.ts';
import { bird, classOf, coastDesigns, coastWool, duo, kitsOf } from '../support/coast.ts';
import { step } from '../support/writing.ts';

const stockOf = () => ({ onHandG: 500, promisedG: 0 });
const planned = (input: RunInput) => {
  const toPack = toPackOf(coastDesigns, input, coastWool);
  return { plan: portionsOfRun(toPack, input, stockOf), groups: toPack.groups, input };
};
const chosen = (colourwayId: string | null) => ({ values: {}, colourwayId, swapIds: [] as string[] });
const seat = (number: number, name: string, colourwayId: string | null = null) => ({
  ...blankSeat(number),
  name,
  choices: chosen(colourwayId),
});

describe('numbers that are kept', () => {
  test.each([
    ['a class', classOf({ roster: [seat(1, 'Mara', 'dusk')], wantedChance: 0.9, toBagFraction: 0.25 })],
    ['boxes', kitsOf([duo()], { isBaggedByDesign: true })],
  ])('%s: written down as JSON and read again, they are the same, and so is the shelf they came from', (_name, input) => {
    const { plan } = planned(input);
    const frozen = JSON.parse(JSON.stringify(freezeRun('2026-11-25T10:00:00Z', input, coastDesigns, coastWool, plan))) as ReturnType<typeof freezeRun>;
    expect(thawPlan(frozen)).toEqual(plan);
    const wool = thawWool(frozen);
    const again = portionsOfRun(toPackOf(coastDesigns, frozen.input, wool), frozen.input, stockOf);
    expect(again).toEqual(plan);
  });
  test('what is free and short follows the shelf; grams do not', () => {
    const { plan } = planned(classOf());
    const now = restocked(plan, () => ({ onHandG: 20, promisedG: 5 }));
    expect(now.classG).toBe(plan.classG);
    const chalk = now.fibres.find(({ fibreId }) => fibreId === 'chalk');
    expect(chalk).toMatchObject({ freeG: 15 });
    expect(chalk?.shortG).toBeCloseTo((chalk?.classG ?? 0) - 15, 6);
  });
}); // prettier-ignore

describe('what would be other', () => {
  const roster = [seat(1, 'Ines'), seat(2, 'Mara', 'dusk'), seat(3, 'Tove')];
  const was = planned(classOf({ seats: 4, sparePacks: 0, roster }));
  test.each<readonly [string, Partial<RunInput>, readonly string[], readonly string[]]>([
    ['nothing', {}, [], []],
    ['a late seat', { seats: 5 }, ['new seat 5'], ['amber', 'chalk', 'slate']],
    ['somebody drops out: the others stay who they are', { seats: 3, roster: withoutSeat(roster, 1) }, ['gone seat 1', 'gone seat 4', 'new seat 3+'], ['amber', 'chalk', 'slate']],
    ['another list in which two are called the same', { seats: 3, roster: withKeptKeys(roster, [seat(1, 'mara ', 'dusk'), seat(2, 'Tove')]) }, ['gone seat 1', 'gone seat 4', 'new seat 3+'], ['amber', 'chalk', 'slate']],
    ['a name is only written otherwise', { roster: [seat(1, 'Inés'), seat(2, 'Mara', 'dusk'), seat(3, 'Tove')] }, [], []],
    ['a choice changed', { roster: [seat(1, 'Ines'), seat(2, 'Mara', null), seat(3, 'Tove')] }, ['other seat 2'], ['plum', 'slate']],
    ['everybody takes something instead', { swapIds: ['grey'] }, ['other seat 1', 'other seat 3', 'other seat 4'], ['plum', 'slate']],
  ])('%s', (_name, more, packs, fibres) => {
    const input = classOf({ seats: 4, sparePacks: 0, roster, ...more });
    const difference = differenceOf(was, planned(input));
    expect(difference.packs.map(({ kind, pack }) => `${kind} ${pack.id}`).sort()).toEqual(packs);
    expect(difference.fibres.map(({ fibreId }) => fibreId).filter((id) => fibres.includes(id)).sort()).toEqual(fibres);
    expect(isSamePlan(difference)).toBe(packs.length === 0);
  });
  test('pack by pack it adds up to what is other in the run', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.array(fc.boolean(), { maxLength: 12 }), (seats, dusks) => {
        const now = planned(classOf({ seats, sparePacks: 0, roster: dusks.slice(0, seats).map((dusk, at) => ({ ...blankSeat(at + 1), choices: chosen(dusk ? 'dusk' : null) })) }));
        const { packs, fibres } = differenceOf(was, now);
        const ofChalk = packs.flatMap(({ portions }) => portions).filter(({ fibreId }) => fibreId === 'chalk');
        const byPack = ofChalk.reduce((sum, { wasG, nowG }) => sum + nowG - wasG, 0);
        const inAll = fibres.find(({ fibreId }) => fibreId === 'chalk');
        expect(byPack).toBeCloseTo((inAll?.nowG ?? 0) - (inAll?.wasG ?? 0), 6);
      }),
    );
  });
  test('two of one name are told apart by their seats', () => {
    const { groups } = planned(classOf({ seats: 2, sparePacks: 0, roster: [seat(1, 'Mara'), seat(2, 'Mara')] }));
    expect(packsOf(groups, [seat(1, 'Mara'), seat(2, 'Mara')]).map(({ id }) => id)).toEqual(['seat 1', 'seat 2']);
  });
}); // prettier-ignore

describe('states', () => {
  const fine: RunFacts = { undecided: 0, short: 0, uncounted: 0, unknown: 0, unweighed: 0, unpacked: 0, leftOut: 0, needlesOut: 0, sharpsOut: 0, stillHot: 0, openTips: 0, different: 0 };
  test.each([
    ['bought', { undecided: 2, short: 1, uncounted: 1, unweighed: 9 }, ['choices', 'stock', 'counts']],
    ['bought', { unknown: 3 }, ['amounts']],
    ['weighed', { unweighed: 3, different: 1, unpacked: 4 }, ['difference', 'weighing']],
    ['packed', { unpacked: 4, unweighed: 3 }, ['packing']],
    ['done', { needlesOut: 1, unpacked: 4 }, ['needles']],
    ['done', { sharpsOut: 2, stillHot: 1, openTips: 1 }, ['sharps', 'heat', 'tips']],
    ['planned', { undecided: 2, needlesOut: 1 }, []],
  ] as const)('before it is %s, what is missing for that and nothing else', (to, facts, wants) => {
    expect(wantsOf(to, { ...fine, ...facts }).map((want) => want.wants)).toEqual(wants);
    expect(checkState(to, fine)).toEqual([]);
  });
  test('one after another, and back', () => {
    expect(RUN_STATES.map(stateAfter)).toEqual(['bought', 'weighed', 'packed', 'done', null]);
    expect(RUN_STATES.map(stateBefore)).toEqual([null, 'planned', 'bought', 'weighed', 'packed']);
  });
  test('what has been bought for is held before what is only planned, and what is packed is gone', () => {
    const withdrawals = new Map([['wool', 5]]);
    const runs = [
      { id: 'soon', date: '2026-12-01', state: 'planned' as const, withdrawals },
      { id: 'packed', date: '2026-12-02', state: 'packed' as const, withdrawals },
      { id: 'held', date: '2026-12-20', state: 'bought' as const, withdrawals },
    ];
    expect(inDrawingOrder(runs).map(({ id }) => id)).toEqual(['held', 'soon', 'packed']);
    expect(promisedBefore('soon', runs, '2026-11-25').get('wool')).toBe(5);
    expect(promisedBefore('held', runs, '2026-11-25').get('wool')).toBeUndefined();
    const { plan } = planned(classOf());
    const drawn = planInOrder(runs, (_run, promised) => restocked(plan, (id) => ({ onHandG: 0, promisedG: promised.get(id) ?? 0 })));
    expect(drawn.find(({ run }) => run.id === 'packed')?.plan.fibres.every(({ shortG }) => shortG === 0)).toBe(true);
  });
}); // prettier-ignore

describe('whose design it is', () => {
  const with_ = (rights: Partial<Rights>): Map<string, Pattern> =>
    new Map([['bird-1', { ...bird, rights: { ...bird.rights, origin: 'learned', from: 'a neighbour', credit: 'after a neighbour', ...rights } }]]);
  const LEARNED: Rights = { origin: 'learned', from: 'a book', permissions: [], credit: '' };
  const outlined = (rights: Rights) =>
    new Map([['bird-1', { ...bird, parts: bird.parts.map((part) => ({ ...part, outlineRights: rights })) }]]);
  const pictured = (isShown: boolean) => {
    const pictures = [{ id: 'p', name: 'wing', alt: '', rights: LEARNED }];
    const steps = bird.steps.map((step, at) => (at === 0 && isShown ? { ...step, pictures: [{ id: 'own', pictureId: 'p', caption: '' }] } : step));
    return new Map([['bird-1', { ...bird, pictures, steps }]]);
  };
  const withTechnique = (rights: Rights, isWritten: boolean) => {
    const use = { id: 'u', techniqueId: 't', name: 'Rolled limb', version: 1, partIds: [], values: [], rights };
    const steps = bird.steps.map((step, at) => (at === 0 && isWritten ? { ...step, technique: { useId: 'u', index: 0 } } : step));
    return new Map([['bird-1', { ...bird, techniques: [use], steps }]]);
  };
  const granted = (what: 'teach' | 'sell-kits') => with_({ permissions: [{ what, state: 'granted', date: null, conditions: 'with credit' }] });
  test.each([
    ['one’s own', coastDesigns, classOf(), []],
    ['nobody asked', with_({}), classOf(), ['/rightsReason']],
    ['may be taught, and is', granted('teach'), classOf(), []],
    ['may be taught, not sold as a kit', granted('teach'), kitsOf([duo({ designs: [{ revisionId: 'bird-1', copies: 1, choices: chosen(null) }] })]), ['/rightsReason']],
    ['a reason is written down', with_({}), classOf({ rightsReason: 'they said yes on the telephone' }), []],
    ['a reason of blanks is none', with_({}), classOf({ rightsReason: '  ' }), ['/rightsReason']],
    ['nor is a dot', with_({}), classOf({ rightsReason: ' . – ' }), ['/rightsReason']],
    ['an outline that is somebody’s', outlined(LEARNED), classOf(), ['/rightsReason']],
    ['an outline of one’s own', outlined(OWN_RIGHTS), classOf(), []],
    ['a picture that a step shows', pictured(true), classOf(), ['/rightsReason']],
    ['a picture that no step shows', pictured(false), classOf(), []],
    ['a technique that was learned', withTechnique(LEARNED, true), classOf(), ['/rightsReason']],
    ['a technique of which no step is left', withTechnique(LEARNED, false), classOf(), []],
    ['a technique of one’s own', withTechnique(OWN_RIGHTS, true), classOf(), []],
  ])('%s', (_name, designs, run, pointers) => {
    expect(checkRights(run, designs).map(({ pointer }) => pointer)).toEqual(pointers);
  });
  test('what is allowed is told with its conditions and credit', () => {
    expect(rightsOfRun(classOf(), granted('teach'))).toEqual([
      { revisionId: 'bird-1', subject: 'design', title: 'Bird', what: 'teach', state: 'granted', conditions: 'with credit', credit: 'after a neighbour' },
    ]);
  });
}); // prettier-ignore

describe('steps that read otherwise', () => {
  test.each([
    ['Turn it clockwise, then anticlockwise', 'Turn it anticlockwise, then clockwise'],
    ['Left leg first, then the right leg', 'Right leg first, then the left leg'],
    ['Hold it in your right hand', 'Hold it in your left hand'],
    ['Stop right away when it is the right size', 'Stop right away when it is the right size'],
    ['Fold it to the right, and tack', 'Fold it to the left, and tack'],
    ['Bring the wool around from the left.', 'Bring the wool around from the right.'],
    ['Nothing of sides', 'Nothing of sides'],
    ['What is left goes back in the bag', 'What is left goes back in the bag'],
  ])('for the left hand: %s', (text, expected) => {
    expect(mirrored(text)).toBe(expected);
  });
  test('a mirrored text mirrored again is the first', () => {
    const words = fc.array(fc.constantFrom('clockwise', 'anticlockwise', 'left hand', 'right hand', 'roll', 'leftwards'), { minLength: 1, maxLength: 12 });
    fc.assert(fc.property(words, (all) => expect(mirrored(mirrored(all.join(' ')))).toBe(all.join(' '))));
  });
  test('a wrap that names no side is told to run the other way', () => {
    expect(leftHandedSteps(bird).map(({ number, text }) => [number, text])).toEqual([[2, 'Wrap the legs anticlockwise, the right leg first']]);
    const plain = { steps: bird.steps.map((step) => ({ ...step, text: step.text.replace(' clockwise, the left leg first', '') })) };
    expect(leftHandedSteps(plain)[0]?.text).toContain('wrap the other way round');
  });
  test.each<[string, Parameters<typeof step>[1], string, Stage, boolean]>([
    ['wound round a skeleton', 'wrap', 'Marigold up each leg', 'skeleton', true],
    ['wound by its words', 'make', 'Wind the tops tight', 'shape', true],
    ['coiled', 'felt', 'Coil the rope end', 'detail', true],
    ['a coat that is laid on', 'wrap', 'Lay the green over in two thin layers', 'coat', false],
    ['a breath of colour', 'wrap', 'A thin breath of coral on one cheek', 'detail', false],
    ['felted in one direction', 'felt', 'Felt it, always upwards', 'coat', false],
  ])('the left hand: %s', (_name, act, text, stage, isOther) => {
    const ownStep = step('s', act, [], { text, stage, stroke: 'one-direction' });
    expect(leftHandedSteps({ steps: [ownStep] })).toHaveLength(isOther ? 1 : 0);
  });
  test('what is taken instead changes its steps, its findings and its wool', () => {
    const { groups } = planned(classOf({ swapIds: ['felt-eyes', 'grey', 'unknown'] }));
    const [group] = groups;
    expect(group?.choices.swapIds).toEqual(['felt-eyes', 'grey']);
    expect(group && swappedSteps(bird, group.build).map(({ number, text }) => `${number} ${text}`)).toEqual([
      '3 Lay on the coat of plum',
      '4 Set on the legs, and sew the beads on for eyes',
    ]);
  });
}); // prettier-ignore
