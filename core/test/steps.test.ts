import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  activeMinutes,
  blankPattern,
  brokenLinks,
  cautionsOf,
  checkPattern,
  derivedNeeds,
  forgetStrays,
  blankJoin,
  byGauge,
  needleOf,
  isNeedleMissing,
  lifeLines,
  linkCircle,
  moveItem,
  needsOf,
  orderLinks,
  parseMinutes,
  type PLAIN_ACTS,
  type Pattern,
  placeStep,
  proposeLevel,
  estimatePattern,
  showTypedMinutes,
  type Step,
  ticksOf,
  waitingMinutes,
  type Removable,
  withoutPart,
  withThingBack,
  writingFindings,
} from '../src/index.ts';
import { fibre, part, pattern, shapes, shelf } from './support/make.ts';
import { joined, legged, step } from './support/writing.ts';

const WOOL = shelf(fibre('core'), fibre('coat'), fibre('fleece', { flags: ['lanolin'] }));

describe('minutes', () => {
  test.each([
    ['20', 20],
    ['15-25', { low: 15, high: 25 }],
    ['15 – 25 min', { low: 15, high: 25 }],
    ['1 h', 60],
    ['1 h 30', 90],
    ['1-2 h', { low: 60, high: 120 }],
    ['2 days', 2880],
    ['1.5 h', 90],
    ['20-20', 20],
    ['', null],
  ])('%j is read', (text, minutes) => expect(parseMinutes(text)).toEqual({ ok: true, minutes }));
  test.each(['soon', '20 apples', '-5', '5-', '–'])('%j is refused', (text) =>
    expect(parseMinutes(text)).toEqual({ ok: false, code: 'minutes_not_read' }),
  );
  test('what is shown is read back the same', () => {
    const whole = fc.integer({ min: 0, max: 5000 });
    fc.assert(
      fc.property(fc.oneof(whole, fc.tuple(whole, whole)), (drawn) => {
        const minutes =
          typeof drawn === 'number' ? drawn : { low: Math.min(...drawn), high: Math.max(...drawn) + 1 };
        expect(parseMinutes(showTypedMinutes(minutes))).toEqual({ ok: true, minutes });
      }),
    );
  });
  test('ranges add at both ends, waits apart, and what is not said is counted', () => {
    const steps = [
      step('a', 'make', [], { minutes: { low: 10, high: 20 } }),
      step('b', 'wait', ['x'], { minutes: null, waiting: 60 }),
      step('c', 'make', [], { minutes: null }),
      step('d', 'glue', ['y'], { minutes: 3 }),
    ];
    expect(activeMinutes({ steps, parts: [] })).toEqual({ known: 18, low: 13, high: 23, unknownCount: 1 });
    expect(waitingMinutes({ steps, links: [], joins: [] })).toEqual({
      known: 60,
      low: 60,
      high: 60,
      unknownCount: 1,
    });
  });
  test('glue whose wait is a step of its own is not asked twice', () => {
    const steps = [step('glue', 'glue', ['x']), step('wait', 'wait', ['x'], { waiting: 30 })];
    expect(waitingMinutes({ steps, links: [], joins: [] }).unknownCount).toBe(0);
  });
});

describe('the needle of a step', () => {
  const stages: Pattern = { ...blankPattern('x'), stageNeedles: [{ stage: 'core', needle: byGauge(36) }] };
  test.each([
    [
      'its own',
      step('a', 'felt', [], { needle: { by: 'gauge', gauge: 40, profile: null } }),
      byGauge(40),
      false,
    ],
    ['its stage’s', step('a', 'felt', [], { needle: { by: 'stage' } }), byGauge(36), false],
    ['a stage without one', step('a', 'felt', [], { needle: { by: 'stage' }, stage: 'coat' }), null, true],
    ['glue asks for none', step('a', 'glue', [], { needle: { by: 'stage' }, stage: 'coat' }), null, false],
    ['none said', step('a', 'felt', [], { needle: { by: 'none' } }), null, false],
  ] as const)('%s', (_name, own, needle, isMissing) => {
    expect(needleOf(own, stages)).toEqual(needle);
    expect(isNeedleMissing(own, stages)).toBe(isMissing);
  });
});

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
    const [own] = lifeLines(legged([step('roll', 'make', ['body'], { leaves: 'half-firm' })]));
    expect(own?.marks[0]?.state).toBe('half-firm');
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
    const own = legged([step('a', 'check'), step('b', 'check')], { links: [...links] });
    expect(placeStep(own, 'b', 0)).toMatchObject({ ok: true, index: 0, harder: [{ words: 'warm hands' }] });
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
        const own = { ...blankPattern('x'), steps: ids.map((id) => step(id, 'check')), links };
        const stepId = ids[from] ?? '';
        const fits = (index: number) =>
          brokenLinks(moveItem(own.steps, stepId, index), orderLinks(own)).length === 0;
        const placing = placeStep(own, stepId, to);
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
    const own = {
      ...blankPattern('x'),
      steps: [step('a', 'check'), step('b', 'check')],
      links: [link('1', 'a', 'b'), link('2', 'b', 'a')],
    };
    expect(checkPattern(own)).toContainEqual({
      code: 'order_circular',
      pointer: '/links',
      numbers: [1, 2, 1],
    });
  });
});

describe('cautions', () => {
  const eye = { id: 'eye', flags: ['small-part', 'glass'] };
  const wool = { ...WOOL, findings: new Map([['eye', eye]]) } as unknown as typeof WOOL;
  const wired = legged([], {
    cuts: [
      {
        id: 'w',
        name: '',
        findingId: null,
        count: 1,
        kind: 'wire',
        segments: [{ name: '', partId: 'leg', length: null, strands: 1, isTwisted: false }],
        windings: [],
        endCurls: 2,
        curlLength: null,
      },
    ],
    findings: [{ id: 'eyes', findingId: 'eye', partId: 'body', count: 2 }],
  });
  const rows: [name: string, own: Step, cautions: string[]][] = [
    ['stabbing', step('s', 'felt', ['body']), ['needle']],
    ['a wait', step('s', 'wait', ['body']), []],
    ['cutting', step('s', 'cut', ['body'], { needle: { by: 'none' } }), ['blade', 'irreversible']],
    ['snipping said in words', step('s', 'felt', ['body'], { text: 'Snip what stands off' }), ['needle', 'blade']],
    ['glue', step('s', 'glue', ['leg'], { needle: { by: 'none' } }), ['glue', 'irreversible']],
    ['an iron', step('s', 'make', ['leg'], { text: 'Steam it under an iron', needle: { by: 'none' } }), ['hot']],
    ['wire', step('s', 'make', ['leg'], { text: 'Bend the wire', stage: 'skeleton', needle: { by: 'none' } }), ['wire-end']],
    ['small parts', step('s', 'sew', ['body'], { needle: { by: 'none' } }), ['small-part']],
    ['small parts to choose among', step('s', { kind: 'choose', findingUseIds: ['eyes'] }, [], { needle: { by: 'none' } }), ['small-part']],
    ['taken off by the author', step('s', 'felt', ['body'], { cautions: { added: [], dismissed: ['needle'] } }), []],
    ['added by the author', step('s', 'wait', ['body'], { cautions: { added: ['hot'], dismissed: [] } }), ['hot']],
  ]; // prettier-ignore
  test.each(rows)('%s', (_name, own, cautions) => {
    expect(cautionsOf({ ...wired, steps: [own] }, wool).get('s')).toEqual(cautions);
  });
  test('the needle is told of once a sitting, an allergy once', () => {
    const own = pattern([part('body', shapes.ball(40), { core: 'fleece' })], {
      steps: ['a', 'b', 'c'].map((id) => step(id, 'felt', ['body'])),
      sessions: [{ id: 'x', name: '', firstStepId: 'c', startState: '', safeStop: '', homework: '' }],
    });
    expect([...cautionsOf(own, WOOL).values()]).toEqual([['needle', 'allergy'], [], ['needle']]);
  });
});

describe('tools', () => {
  const keys = (own: Pattern) =>
    derivedNeeds(own).map(({ key, count }) => (count > 1 ? `${key} ×${count}` : key));
  test('follow from what is done', () => {
    const steps = [
      step('a', 'felt', ['body'], { place: 'on-surface', holder: 3 }),
      step('b', 'felt', ['leg'], { place: 'in-hand', needle: { by: 'gauge', gauge: 40, profile: null } }),
      step('c', 'cut', ['leg'], { needle: { by: 'none' } }),
      step('d', 'sew', ['leg'], { needle: { by: 'none' }, text: 'Sew it by the dashed line; weigh it' }),
    ];
    expect(keys(legged(steps))).toEqual([
      'needle-38 ×3',
      'needle-40',
      'surface',
      'holder',
      'finger-guards',
      'scissors',
      'sewing-needle',
    ]);
    expect(needsOf(legged(steps)).offered.map(({ key }) => key)).toEqual(['scale', 'guide']);
  });
  const words = (text: string, more: Partial<Step> = {}) =>
    needsOf(
      legged([step('a', 'make', ['body'], { text, needle: { by: 'none' }, place: 'in-place', ...more })]),
    );
  test.each([
    ['Stick it to the mat with two stabs', []],
    ['Lay on iron-grey wool', []],
    ['Scale the spots up a little', []],
    ['Felt until no mark shows', []],
    ['Take 12 cm of it', []],
    ['Put a drop of hot glue under it', ['glue', 'iron']],
    ['Iron it flat', ['iron']],
    ['Mark it with a pencil', ['pencil']],
    ['Weigh out the wool', ['scale']],
    ['Hold it against the dashed line', ['guide']],
    ['Tape the wire round', ['tape']],
  ])('of words is offered, never listed: %s', (text, keys_) => {
    const { offered, listed } = words(text);
    expect(offered.map(({ key }) => key)).toEqual(keys_);
    expect(listed.map(({ key }) => key)).toEqual(
      ['surface'].filter(() => listed.some(({ key }) => key === 'surface')),
    );
  });
  test('what its author takes is listed with the steps whose words suggest it; what is refused is not offered again', () => {
    const tool = { id: '1', needKey: 'iron', name: 'iron', per: 'room', count: 1, isLeftOut: false } as const;
    const ironed = (tools: Pattern['tools']) =>
      needsOf(legged([step('a', 'make', ['body'], { text: 'Iron it flat' })], { tools }));
    expect(ironed([tool]).listed.find(({ key }) => key === 'iron')?.stepIds).toEqual(['a']);
    expect(ironed([tool]).listedNotUsed).toEqual([]);
    expect(ironed([{ ...tool, isLeftOut: true }]).offered).toEqual([]);
    expect(ironed([{ ...tool, isLeftOut: true }]).usedNotListed).toEqual([]);
  });
  test.each<[name: string, own: Pattern, expected: string[]]>([
    [
      'drops of glue: one for each piece that is set on',
      legged([step('g', 'glue', ['leg'], { needle: { by: 'none' } })]),
      ['glue', 'glue-drops ×2'],
    ],
    [
      'so many as it is said to be repeated',
      legged([step('g', 'glue', ['leg'], { needle: { by: 'none' }, repeat: { times: 5, notes: [] } })]),
      ['glue', 'glue-drops ×5'],
    ],
    [
      'a join that is glued, in a step that only joins',
      legged([step('j', 'join', ['leg', 'body'], { needle: { by: 'none' } })], {
        joins: [{ ...blankJoin('x', 'leg', 'body'), method: 'glued' }],
      }),
      ['glue', 'glue-drops ×2'],
    ],
    [
      'a join that is sewn',
      legged([step('j', 'join', ['leg', 'body'], { needle: { by: 'none' } })], {
        joins: [{ ...blankJoin('x', 'leg', 'body'), method: 'sewn' }],
      }),
      ['sewing-needle'],
    ],
    [
      'a size that is meant exactly',
      {
        ...legged([step('m', 'make', ['body'], { needle: { by: 'none' } })]),
        parts: [part('body', shapes.ball(40), { exactness: [{ size: 'diameter', is: 'exact' }] })],
      },
      ['ruler'],
    ],
    [
      'hair that is trimmed',
      {
        ...legged([step('h', 'make', ['mane'], { stage: 'hair', needle: { by: 'none' } })]),
        parts: [part('mane', shapes.fringe(60, 40))],
      },
      ['scissors'],
    ],
  ])('follow from findings, joins and sizes: %s', (_name, own, expected) => {
    expect(keys(own)).toEqual(expected);
  });
  test('scissors are no barbed needle, and what sticks to the mat is not glue', () => {
    const of = (text: string, act: (typeof PLAIN_ACTS)[number]) =>
      [...cautionsOf(legged([step('a', act, ['body'], { text })]), WOOL).values()].flat();
    expect(of('Cut it round', 'cut')).not.toContain('needle');
    expect(of('Stick it to the mat', 'make')).not.toContain('glue');
    expect(of('Lay on iron-grey wool', 'make')).not.toContain('hot');
    expect(of('A drop of hot glue', 'glue')).toEqual(expect.arrayContaining(['glue', 'hot']));
  });
  test('the author’s word stands, and both ways of disagreeing are seen', () => {
    const tool = { name: '', per: 'room', count: 2, isLeftOut: false } as const;
    const own = legged(
      [step('c', 'cut', ['leg'], { needle: { by: 'none' }, text: 'Cut it with the curved blade' })],
      {
        tools: [
          { ...tool, id: '1', needKey: 'scissors', isLeftOut: true },
          { ...tool, id: '2', needKey: null, name: 'Curved blade' },
          { ...tool, id: '3', needKey: null, name: 'cocktail stick' },
          { ...tool, id: '4', needKey: 'pins', name: 'pins' },
        ],
      },
    );
    const needs = needsOf(own);
    expect(needs.listed.map(({ key, per, count }) => [key, per, count])).toEqual([
      ['own-2', 'room', 2],
      ['own-3', 'room', 2],
      ['own-4', 'room', 2],
    ]);
    expect(needs.usedNotListed.map(({ key }) => key)).toEqual(['scissors']);
    expect(needs.listedNotUsed.map(({ key }) => key)).toEqual(['own-3', 'own-4']);
  });
});

describe('what a reader stumbles over', () => {
  const codes = (own: Pattern) => writingFindings(own, WOOL).map(({ code }) => code);
  const whole = [step('m', 'make', ['body']), step('l', 'make', ['leg']), step('j', 'join', ['leg', 'body'])];
  const rows: [name: string, own: Pattern, code: string][] = [
    ['a part nobody makes', legged([whole[0] ?? step('', 'make')]), 'part_never_made'],
    ['a part nothing fastens', legged(whole.slice(0, 2), { joins: [] }), 'part_never_joined'],
    ['a join nobody makes', legged(whole.slice(0, 2)), 'join_never_made'],
    ['an empty step', legged([...whole, step('e', 'make', [], { text: ' ' })]), 'step_empty'],
    ['no needle', legged([...whole, step('n', 'felt', ['body'], { needle: { by: 'stage' } })]), 'needle_not_said'],
    ['no minutes', legged([...whole, step('n', 'felt', ['body'], { minutes: null })]), 'minutes_not_said'],
    ['glue without a time', legged([...whole, step('g', 'glue', ['body'])]), 'waiting_not_said'],
    ['a check without a remedy', legged([...whole, step('c', 'check', ['leg'], { checks: [{ id: 'c', look: '', how: '', pass: 'level', remedy: '', returnToStepId: null }] })]), 'check_without_remedy'],
    ['left, and nobody said whose', legged([...whole, step('s', 'felt', ['leg'], { text: 'The left leg' })]), 'sides_not_said'],
    ['out of order', legged([...whole].reverse()), 'order_broken'],
    ['not one’s own, without credit', legged(whole, { rights: { origin: 'learned', from: 'a friend', permissions: [], credit: '' } }), 'credit_missing'],
    ['derived without leave', legged(whole, { rights: { origin: 'derived', from: 'a friend', permissions: [], credit: 'After a friend' } }), 'adapt_not_granted'],
  ]; // prettier-ignore
  test.each<[name: string, heightMm: number | null, sizes: number[], expected: string[]]>([
    ['as high as its body', 60, [60], []],
    ['less than its body is thick', 50, [60], ['height_under_part']],
    ['more than all of it on end', 130, [60, 60], ['height_over_parts']],
    ['within a twentieth', 58, [60], []],
    ['not said', null, [60], []],
  ])('the stated height: %s', (_name, heightMm, sizes, expected) => {
    const own = {
      ...pattern(sizes.map((mm_, at) => part(`p${at}`, shapes.ball(mm_)))),
      finishedHeight: heightMm === null ? null : { value: heightMm, unit: 'mm' as const },
    };
    expect(codes(own).filter((code) => code.startsWith('height'))).toEqual(expected);
  });
  test.each(rows)('%s', (_name, own, code) => expect(codes(own)).toContain(code));
  test('and nothing where all is said', () => {
    expect(codes(legged(whole))).toEqual([]);
    expect(
      codes(
        legged([...whole, step('s', 'felt', ['leg'], { text: 'The left leg; what is left over' })], {
          sidesSeen: 'figure',
        }),
      ),
    ).toEqual([]);
    expect(
      codes(
        legged([
          step('r', 'make', ['body', 'leg'], {
            text: 'Needle it right through, what is left over at a right angle',
          }),
          ...whole,
        ]),
      ),
    ).toEqual([]);
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
  const own = legged([]);
  const once = step('a', 'make', ['leg'], { repeat: { times: null, notes: ['left'] } });
  expect(ticksOf(once, own)).toEqual(['left', '']);
  expect(ticksOf({ ...once, repeat: { times: 3, notes: [] } }, own)).toHaveLength(3);
  expect(ticksOf({ ...once, repeat: null }, own)).toEqual([]);
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
  const own = legged([step('j', 'join', ['leg', 'body'])], {
    joins: [joined('leg', 'body'), joined('body', 'leg')],
  });
  expect(lifeLines(own).map(({ joinedAt }) => joinedAt)).toEqual([0, 0]);
  const named = { ...own, steps: own.steps.map((one) => ({ ...one, joinIds: ['leg-body'] })) };
  expect(lifeLines(named).map(({ joinedAt }) => joinedAt)).toEqual([null, 0]);
});
