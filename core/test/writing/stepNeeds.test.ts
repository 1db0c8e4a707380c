import { describe, expect, test } from '@jest/globals';
import { derivedNeeds, needsOf } from '../../src/needles/index.ts';
import { blankJoin, type Pattern, type PLAIN_ACTS, type Step, straightOut } from '../../src/pattern/index.ts';
import { remarksOf } from '../../src/review/index.ts';
import { cautionsOf } from '../../src/writing/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';
import { joined, legged, step } from '../support/writing.ts';

const WOOL = shelf(fibre('core'), fibre('coat'), fibre('fleece', { flags: ['lanolin'] }));

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
        seat: null,
        windings: [],
        endCurls: 2,
        curlLength: null,
      },
    ],
    findings: [{ id: 'eyes', findingId: 'eye', partId: 'body', count: 2, placement: null }],
  });
  const rows: [name: string, given: Step, cautions: string[]][] = [
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
  test.each(rows)('%s', (_name, given, cautions) => {
    expect(cautionsOf({ ...wired, steps: [given] }, wool).get('s')).toEqual(cautions);
  });
  test('the needle is told of once a sitting, an allergy once', () => {
    const ownPattern = pattern([part('body', shapes.ball(40), { core: 'fleece' })], {
      steps: ['a', 'b', 'c'].map((id) => step(id, 'felt', ['body'])),
      sessions: [{ id: 'x', name: '', firstStepId: 'c', startState: '', safeStop: '', homework: '' }],
    });
    expect([...cautionsOf(ownPattern, WOOL).values()]).toEqual([['needle', 'allergy'], [], ['needle']]);
  });
});

describe('tools', () => {
  const keys = (pattern: Pattern) =>
    derivedNeeds(pattern).map(({ key, count }) => (count > 1 ? `${key} ×${count}` : key));
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
  test.each<[name: string, given: Pattern, expected: string[]]>([
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
  ])('follow from findings, joins and sizes: %s', (_name, given, expected) => {
    expect(keys(given)).toEqual(expected);
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
    const ownLegged = legged(
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
    const needs = needsOf(ownLegged);
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
  const codes = (pattern: Pattern) => remarksOf(pattern, WOOL).map(({ code }) => code);
  const whole = [
    step('m', 'make', ['body']),
    step('l', 'make', ['leg'], { text: 'Roll them, one end loose.' }),
    step('j', 'join', ['leg', 'body'], { stage: 'join' }),
    step('f', 'felt', ['body'], { stage: 'finish' }),
  ];
  const rows: [name: string, given: Pattern, code: string][] = [
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
    const given = {
      ...pattern(sizes.map((mm_, at) => part(`p${at}`, shapes.ball(mm_)))),
      finishedHeight: heightMm === null ? null : { value: heightMm, unit: 'mm' as const },
    };
    expect(codes(given).filter((code) => code.startsWith('height'))).toEqual(expected);
  });
  test.each([
    ['as it comes to', 95, true, []],
    ['within a twentieth', 91, true, []],
    ['more than it comes to', 100.5, true, ['height_off_figure']],
    ['less than it comes to', 80, true, ['height_off_figure']],
    ['off, but its places are only proposed', 80, false, []],
  ])('the stated height of a figure whose places are told: %s', (_name, heightMm, isTold, expected) => {
    const placement = { rule: 'each' as const, spanDeg: 360, heldBy: 'base' as const, places: [straightOut(0, 1)] };
    const given = pattern([part('body', shapes.ball(60)), part('head', shapes.ball(40))], {
      joins: [joined('head', 'body', { looseEnd: null, sink: { value: 5, unit: 'mm' }, placement: isTold ? placement : null })],
      finishedHeight: { value: heightMm, unit: 'mm' },
    });
    expect(codes(given).filter((code) => code.startsWith('height'))).toEqual(expected);
  }); // prettier-ignore
  test.each(rows)('%s', (_name, given, code) => expect(codes(given)).toContain(code));
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
