import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import {
  blankPattern,
  checkPattern,
  forgetStrays,
  linkCircle,
  moveItem,
  type Removable,
  type Step,
  withoutPart,
  withThingBack,
} from '../../src/pattern/index.ts';
import { ticksOf } from '../../src/reading/index.ts';
import { brokenLinks, lifeLines, orderLinks, placeStep, proposeLevel } from '../../src/writing/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { joined, legged, step } from '../support/writing.ts';

const WOOL = shelf(fibre('core'), fibre('coat'), fibre('fleece', { flags: ['lanolin'] }));

describe('the life of a part', () => {
  const steps = [
    step('roll', 'make', ['body'], { needle: { by: 'none' } }),
    step('felt', 'felt', ['body']),
    step('firm', 'felt', ['body']),
    step('leg', 'make', ['leg']),
    step('tack', 'tack', ['leg', 'body']),
    step('join', 'join', ['leg', 'body']),
    step('coat', 'wrap', ['body'], { stage: 'coat' }),
    step('eye', 'make', ['body'], { stage: 'detail' }),
    step('snip', 'cut', ['leg'], { stage: 'finish' }),
  ];
  const [body, leg] = lifeLines(legged(steps));
  test('goes from rolled to covered, and never back', () => {
    expect(body?.marks.filter(({ isChange }) => isChange).map(({ at, state }) => [at, state])).toEqual([
      [0, 'rolled'],
      [1, 'half-firm'],
      [2, 'felted'],
      [6, 'covered'],
    ]);
  });
  test('tells what is set on from what it is set onto', () => {
    expect(leg?.marks.filter(({ isChange }) => isChange).map(({ at, state }) => [at, state])).toEqual([
      [3, 'felted'],
      [5, 'joined'],
      [8, 'trimmed'],
    ]);
    expect(body).toMatchObject({ madeAt: 0, joinedAt: null, coveredAt: 6, finishedAt: 7 });
  });
  test('takes the author’s word over the act’s', () => {
    const [lifeLine] = lifeLines(legged([step('roll', 'make', ['body'], { leaves: 'half-firm' })]));
    expect(lifeLine?.marks[0]?.state).toBe('half-firm');
  });
  test('of a part that nothing acts on is empty', () => {
    expect(lifeLines(legged([]))[0]).toMatchObject({ marks: [], madeAt: null, finishedAt: null });
  });
});

describe('order', () => {
  const rows: [name: string, steps: Step[], reason: string, before: string, after: string][] = [
    ['made before joined', [step('m', 'make', ['leg']), step('b', 'make', ['body']), step('j', 'join', ['leg', 'body'])], 'made-before-joined', 'm', 'j'],
    ['made before covered', [step('b', 'make', ['body']), step('c', 'wrap', ['body'], { stage: 'coat' })], 'made-before-covered', 'b', 'c'],
    ['joined before covered', [step('j', 'join', ['leg', 'body'], { joinIds: ['leg-body'] }), step('c', 'wrap', ['body'], { joinIds: ['leg-body'], stage: 'coat' })], 'joined-before-covered', 'j', 'c'],
    ['a set before it is sorted', [step('m', 'make', ['leg']), step('s', 'check', ['leg'])], 'set-before-sorted', 'm', 's'],
    ['dry before handled', [step('g', 'glue', ['leg']), step('w', 'wait', ['leg']), step('h', 'felt', ['leg'])], 'dry-before-handled', 'w', 'h'],
    ['glue before its wait', [step('g', 'glue', ['leg']), step('w', 'wait', ['leg'])], 'dry-before-handled', 'g', 'w'],
    ['decided before recalled', [step('d', { kind: 'decide', question: 'q', answers: [] }), step('r', 'wrap', ['leg'], { recallsStepId: 'd' })], 'decided-before-recalled', 'd', 'r'],
    ['put in before it is taken out', [step('p', { kind: 'stand-in', standsFor: 'eyes', untilStepId: 'e' }), step('e', 'sew', ['body'])], 'put-before-taken-off', 'p', 'e'],
  ]; // prettier-ignore
  test.each(rows)('%s', (_name, steps, reason, beforeId, afterId) => {
    expect(orderLinks(legged(steps))).toContainEqual(
      expect.objectContaining({ by: 'derived', reason, beforeId, afterId }),
    );
    expect(brokenLinks(steps, orderLinks(legged(steps)))).toEqual([]);
  });
  test('a wrong order that stands already is found', () => {
    const steps = [
      step('j', 'join', ['leg', 'body']),
      step('m', 'make', ['leg']),
      step('b', 'make', ['body']),
    ];
    const broken = brokenLinks(steps, orderLinks(legged(steps)));
    expect(broken.map(({ beforeId, afterId }) => [beforeId, afterId])).toContainEqual(['m', 'j']);
  });
  test('moving before what must come first is refused, and the nearest place is offered', () => {
    const steps = [
      step('m', 'make', ['leg']),
      step('b', 'make', ['body']),
      step('x', 'felt', ['body']),
      step('j', 'join', ['leg', 'body']),
    ];
    const placing = placeStep(legged(steps), 'j', 0);
    expect(placing).toMatchObject({ ok: false, nearest: 1 });
    expect(!placing.ok && placing.because.map((link) => link.by === 'derived' && link.reason)).toContain(
      'made-before-joined',
    );
  });
  test('what is only easier may be done, and is said', () => {
    const links = [
      { id: 'l', beforeId: 'a', afterId: 'b', strength: 'easier', reason: 'warm hands' },
    ] as const;
    const ownLegged = legged([step('a', 'check'), step('b', 'check')], { links: [...links] });
    expect(placeStep(ownLegged, 'b', 0)).toMatchObject({
      ok: true,
      index: 0,
      harder: [{ words: 'warm hands' }],
    });
  });
  test('the nearest place is the nearest that brute force finds', () => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f'];
    const drawn = fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 8 });
    fc.assert(
      fc.property(drawn, fc.nat(5), fc.nat(5), (pairs, from, to) => {
        const links = pairs
          .filter(([a, b]) => a < b)
          .map(([a, b], index) => ({
            id: `${index}`,
            beforeId: ids[a] ?? '',
            afterId: ids[b] ?? '',
            strength: 'must' as const,
            reason: '',
          }));
        const given = { ...blankPattern('x'), steps: ids.map((id) => step(id, 'check')), links };
        const stepId = ids[from] ?? '';
        const fits = (index: number) =>
          brokenLinks(moveItem(given.steps, stepId, index), orderLinks(given)).length === 0;
        const placing = placeStep(given, stepId, to);
        if (fits(to)) expect(placing).toMatchObject({ ok: true, index: to });
        else {
          const between = ids
            .map((_, index) => index)
            .filter(
              (index) => (from < to ? index > from && index < to : index < from && index > to) && fits(index),
            );
          const nearest = from < to ? between.at(-1) : between[0];
          expect(placing).toMatchObject({ ok: false, nearest: nearest ?? null });
        }
      }),
    );
  });
  test('a circle is found wherever there is one, and nowhere else', () => {
    const pair = fc.record({
      beforeId: fc.constantFrom('a', 'b', 'c', 'd'),
      afterId: fc.constantFrom('a', 'b', 'c', 'd'),
    });
    fc.assert(
      fc.property(fc.array(pair, { maxLength: 7 }), (links) => {
        // Judge: Kahn's peeling leaves something exactly when there is a circle.
        let left = [...links];
        for (let before = -1; before !== left.length;) {
          before = left.length;
          left = left.filter(({ beforeId }) => left.some(({ afterId }) => afterId === beforeId));
        }
        const circle = linkCircle(links);
        expect(circle !== null).toBe(left.length > 0);
        for (let at = 0; circle && at + 1 < circle.length; at++) {
          expect(links).toContainEqual({ beforeId: circle[at], afterId: circle[at + 1] });
        }
      }),
    );
  });
  test('a chain of 500 is followed to its end', () => {
    const links = Array.from({ length: 500 }, (_, at) => ({ beforeId: `${at}`, afterId: `${at + 1}` }));
    expect(linkCircle(links)).toBeNull();
    expect(linkCircle([...links, { beforeId: '500', afterId: '0' }])).toHaveLength(502);
  });
  test('author’s links in a circle may not be stored', () => {
    const link = (id: string, beforeId: string, afterId: string) => ({
      id,
      beforeId,
      afterId,
      strength: 'must' as const,
      reason: '',
    });
    const given = {
      ...blankPattern('x'),
      steps: [step('a', 'check'), step('b', 'check')],
      links: [link('1', 'a', 'b'), link('2', 'b', 'a')],
    };
    expect(checkPattern(given)).toContainEqual({
      code: 'order_circular',
      pointer: '/links',
      numbers: [1, 2, 1],
    });
  });
});

test('the level is the highest that anything asks for, with its reasons', () => {
  const easy = pattern([part('body', shapes.ball(60))], { steps: [step('a', 'make', ['body'])] });
  expect(proposeLevel(easy, estimatePattern(easy, WOOL)).level).toBe('first-timer');
  const fine = pattern([part('body', shapes.ball(60)), part('toe', shapes.ball(2.5))]);
  const proposal = proposeLevel(fine, estimatePattern(fine, WOOL));
  expect(proposal.level).toBe('practised');
  expect(proposal.reasons).toContainEqual({ measure: 'smallest', value: 2.5, level: 'practised' });
  const long = { ...easy, steps: [step('a', 'make', ['body'], { minutes: 160 })] };
  expect(proposeLevel(long, estimatePattern(long, WOOL)).level).toBe('some-practice');
});

test('a repeat is ticked once a piece, or as often as is said', () => {
  const ownLegged = legged([]);
  const once = step('a', 'make', ['leg'], { repeat: { times: null, notes: ['left'] } });
  expect(ticksOf(once, ownLegged)).toEqual(['left', '']);
  expect(ticksOf({ ...once, repeat: { times: 3, notes: [] } }, ownLegged)).toHaveLength(3);
  expect(ticksOf({ ...once, repeat: null }, ownLegged)).toEqual([]);
});

const LEG: Removable = { kind: 'part', id: 'leg' };
const JOIN: Removable = { kind: 'join', id: 'leg-body' };
describe('taking something out', () => {
  const full = legged(
    [
      step('m', 'make', ['leg']),
      step('j', 'join', ['leg', 'body'], { joinIds: ['leg-body'], recallsStepId: 'm', checks: [{ id: 'c', look: '', how: '', pass: '', remedy: '', returnToStepId: 'm' }] }),
    ],
    {
      links: [{ id: 'l', beforeId: 'm', afterId: 'j', strength: 'must', reason: '' }],
      sessions: [{ id: 's', name: '', firstStepId: 'm', startState: '', safeStop: '', homework: '' }],
      options: [{ id: 'o', name: '', kind: 'extra', defaultValueId: 'yes', values: [{ id: 'yes', name: '', things: [{ kind: 'part', id: 'leg' }, { kind: 'step', id: 'm' }] }] }],
      slots: [{ id: 'f', name: '', places: [{ kind: 'use', id: 'leg-core' }], rule: null }],
      swaps: [{ id: 'w', of: { kind: 'use', id: 'leg-core' }, to: { kind: 'fibre', fibreId: null }, amountFactor: 1, moreMinutes: 0, steps: [{ stepId: 'm', text: '' }], look: '' }],
    },
  ); // prettier-ignore
  test('a part leaves nothing behind that names it', () => {
    const bare = withoutPart(full, 'leg');
    expect(checkPattern(bare)).toEqual([]);
    expect(JSON.stringify(bare)).not.toContain('"leg"');
  });
  test('a step leaves nothing behind either', () => {
    const bare = forgetStrays({ ...full, steps: full.steps.slice(1) });
    expect(checkPattern(bare)).toEqual([]);
    expect(bare).toMatchObject({ links: [], sessions: [{ firstStepId: null }] });
    expect(bare.steps[0]).toMatchObject({ recallsStepId: null, checks: [{ returnToStepId: null }] });
  });
  test('a part brought back is mentioned wherever it was, and what was written meanwhile stays', () => {
    const bare = withoutPart(full, 'leg');
    expect(withThingBack(bare, full, LEG)).toEqual(full);
    const meanwhile = { ...bare, title: 'Otherwise', steps: bare.steps.slice(1) };
    const back = withThingBack(meanwhile, full, LEG);
    expect(back).toMatchObject({
      title: 'Otherwise',
      parts: [{ id: 'body' }, { id: 'leg' }],
      joins: [{ id: 'leg-body' }],
    });
    expect(checkPattern(back)).toEqual([]);
    expect(withThingBack(full, full, LEG)).toBe(full);
  });
  test('a join brought back too', () => {
    const bare = forgetStrays({ ...full, joins: [] });
    expect(withThingBack(bare, full, JOIN)).toEqual(full);
    expect(withThingBack(withoutPart(full, 'leg'), full, JOIN).joins).toEqual([]);
  });
  test('and what was whole stays the very same', () => {
    const tidy = forgetStrays(full);
    for (const key of ['steps', 'links', 'sessions', 'options', 'slots', 'swaps'] as const)
      expect(tidy[key]).toBe(full[key]);
  });
});

test('joins of a step are those it names, else those within its parts', () => {
  const ownLegged = legged([step('j', 'join', ['leg', 'body'])], {
    joins: [joined('leg', 'body'), joined('body', 'leg')],
  });
  expect(lifeLines(ownLegged).map(({ joinedAt }) => joinedAt)).toEqual([0, 0]);
  const named = { ...ownLegged, steps: ownLegged.steps.map((step) => ({ ...step, joinIds: ['leg-body'] })) };
  expect(lifeLines(named).map(({ joinedAt }) => joinedAt)).toEqual([null, 0]);
});
