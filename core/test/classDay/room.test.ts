import { describe, expect, test } from '@jest/globals';
import {
  type ClassAct,
  clashesOf,
  entriesTook,
  minutesToRingIn,
  roomNow,
  saidNow,
  sharpsNow,
  showNow,
  stateAfterTap,
  timersNow,
  tookOf,
  whoIsBehind,
} from '../../src/classDay/index.ts';
import { type Acted, atMinute, clock, eventsAt, plan, sitting } from '../support/taught.ts';

const piece = (seatKey: string, partId: string, state: 'rolled' | 'felted' | 'joined' | null): ClassAct => ({
  act: 'piece',
  seatKey,
  partId,
  state,
});
const statesOf = (...all: readonly Acted[]) => {
  const { pieces } = roomNow(plan, eventsAt(...all));
  return ['1', '2', '3'].map((key) => [...(pieces.get(key) ?? [])].map(([id, { state }]) => `${id} ${state}`));
}; // prettier-ignore

describe('pieces at seats', () => {
  test('what was made beforehand is there; everybody has it brings on who is here, and nobody back', () => {
    expect(statesOf()).toEqual([['body null', 'leg null'], ['body null', 'leg null'], ['body rolled']]);
    expect(
      statesOf(
        [600, { act: 'here', seatKey: '2', isHere: false }],
        [610, piece('1', 'leg', 'joined')],
        [620, { act: 'entry', entryId: 'one:felt', does: 'has-it' }],
        [621, { act: 'here', seatKey: '2', isHere: true }],
      ),
    ).toEqual([['body felted', 'leg joined'], ['body null', 'leg null'], ['body felted']]);
  });
  test('a piece handed over brings a seat to where that step ends, and is remembered', () => {
    const events = eventsAt([625, { act: 'prepared', seatKey: '2', stepId: 'felt' }]);
    const room = roomNow(plan, events);
    expect(room.pieces.get('2')?.get('body')).toMatchObject({ state: 'felted', isPrepared: true });
    expect(room.seats[1]?.prepared).toEqual(['felt']);
    expect(room.pieces.get('1')?.get('body')).toMatchObject({ state: null, isPrepared: false });
  });
  test.each([
    ['body', null, 'rolled'],
    ['body', 'rolled', 'felted'],
    ['body', 'felted', null],
    ['leg', null, 'felted'],
    ['leg', 'joined', null],
  ] as const)('a tap on a %s that is %s makes it %s', (partId, state, next) => {
    const life = plan.makes[0]?.pieces.find((each) => each.partId === partId);
    expect(life && stateAfterTap(life, state)).toBe(next);
  });
});

describe('hands and wool', () => {
  test('who raised a hand first comes first, however often it is raised', () => {
    const up = (seatKey: string, isWanted = true): ClassAct => ({ act: 'help', seatKey, isWanted });
    const { helpQueue } = roomNow(plan, eventsAt([601, up('2')], [602, up('1')], [603, up('2')], [604, up('3')], [605, up('1', false)])); // prettier-ignore
    expect(helpQueue.map(({ key, helpSince }) => [key, clock(helpSince ?? '')])).toEqual([
      ['2', 601],
      ['3', 604],
    ]);
  });
  test('what a class took is what was weighed less what came back; what nobody weighed is not nought', () => {
    const weighed = new Map([
      ['slate', { wantedG: 20, weighedG: 21, overG: 1, byScale: 2 }],
      ['chalk', { wantedG: 0, weighedG: 0, overG: 0, byScale: 0 }],
    ]);
    const planned = new Map([['slate', 20], ['chalk', 5], ['ink', 1]]); // prettier-ignore
    const events = eventsAt(
      [700, { act: 'left', fibreId: 'slate', seatKey: '1', massG: 1.5 }],
      [701, { act: 'left', fibreId: 'slate', seatKey: null, massG: 2.25 }],
      [702, { act: 'spare', fibreId: 'plum', seatKey: '2', massG: 0.4 }],
    );
    expect(tookOf(planned, weighed, events)).toEqual([
      { fibreId: 'slate', plannedG: 20, weighedG: 21, spareG: 0, leftG: 3.75, tookG: 17.25 },
      { fibreId: 'chalk', plannedG: 5, weighedG: null, spareG: 0, leftG: null, tookG: null },
      { fibreId: 'ink', plannedG: 1, weighedG: null, spareG: 0, leftG: null, tookG: null },
      { fibreId: 'plum', plannedG: 0, weighedG: null, spareG: 0.4, leftG: null, tookG: null },
    ]);
  });
});

describe('who is behind', () => {
  const show = showNow(plan, sitting, eventsAt([600, { act: 'sitting', sessionId: 'one', does: 'begin' }]), {
    now: 600,
    clock,
  });
  // The third says of its piece what it is anyway: that somebody marks pieces.
  const marked: Acted = [600, piece('3', 'body', 'rolled')];
  const behind = (now: number, lateMinutes: number, ...all: readonly Acted[]) =>
    whoIsBehind(plan, eventsAt(marked, ...all), { ...show, lateMinutes }, now).map(({ seatKey, minutes, on, handOver }) => [
      seatKey,
      minutes,
      on.map(({ partId, wanted }) => `${partId} ${wanted}`).join(', '),
      handOver.join(', '),
    ]); // prettier-ignore
  test('on the first thing of each piece that half of the class was to have by now', () => {
    expect(behind(620, 0)).toEqual([
      ['1', 5, 'body rolled', ''],
      ['2', 5, 'body rolled', ''],
    ]);
    expect(behind(633, 0, [610, piece('1', 'body', 'rolled')], [629, piece('2', 'body', 'felted')], [629, piece('2', 'leg', 'felted')])).toEqual([
      ['3', 8, 'body felted', ''],
      ['1', 3, 'body felted, leg felted', 'felt'],
    ]); // prettier-ignore
  });
  test('what the whole class is late is nobody’s own; who is away or done is not behind', () => {
    expect(behind(620, 6)).toEqual([]);
    // Early, nobody is asked for more.
    expect(behind(614, -9)).toEqual([]);
    expect(
      behind(
        640,
        0,
        [600, { act: 'here', seatKey: '1', isHere: false }],
        [601, { act: 'finished', seatKey: '2', isFinished: true }],
        [602, piece('3', 'body', 'felted')],
      ),
    ).toEqual([]);
  });
});

test('nobody is behind where nobody marks pieces, before it begins and after its end; held elsewhen it goes along', () => {
  const begun = showNow(plan, sitting, eventsAt([600, { act: 'sitting', sessionId: 'one', does: 'begin' }]), { now: 600, clock });
  const marked = eventsAt([600, piece('3', 'body', 'rolled')]);
  expect(whoIsBehind(plan, [], begun, 640)).toEqual([]);
  expect(whoIsBehind(plan, marked, { ...begun, beganAt: null }, 640)).toEqual([]);
  expect(whoIsBehind(plan, marked, { ...begun, endedAt: 641 }, 640)).toEqual([]);
  expect(whoIsBehind(plan, marked, { ...begun, movedMinutes: 300 }, 920).map(({ minutes }) => minutes)).toEqual([5, 5]);
}); // prettier-ignore

describe('sharps', () => {
  test('out and in, on and off, and a tip until it is found', () => {
    const sharp = (pile: 'out' | 'in', amount: number): ClassAct => ({ act: 'sharp', key: 'scissors', pile, amount }); // prettier-ignore
    const tip = (tipId: string): ClassAct => ({ act: 'tip', tipId, seatKey: '1', needleId: null, note: 'in the ear' }); // prettier-ignore
    const state = sharpsNow(
      plan,
      eventsAt(
        [600, sharp('out', 2)],
        [640, sharp('in', 1)],
        [610, { act: 'heat', key: 'iron', isOn: true }],
        [611, tip('a')],
        [612, tip('b')],
        [613, { act: 'tip-found', tipId: 'a', where: 'in the mat' }],
      ),
    );
    expect([state.stillOut, state.stillHot, state.openTips]).toEqual([1, 1, 1]);
    expect(state.tips[0]?.found).toEqual({ at: atMinute(613), where: 'in the mat' });
  });
});

describe('timers', () => {
  test('ring when their minutes are over, more or less, until somebody puts them out', () => {
    const timer = (timerId: string, minutes: number): ClassAct => ({ act: 'timer', timerId, name: timerId, minutes }); // prettier-ignore
    const events = eventsAt(
      [600, timer('glue', 30)],
      [601, timer('tea', 5)],
      [603, { act: 'timer-more', timerId: 'tea', minutes: 2 }],
      [604, timer('off', 1)],
      [606, { act: 'timer-off', timerId: 'off' }],
    );
    expect(
      timersNow(events, Date.parse(atMinute(609))).map(({ id, leftMs }) => [id, leftMs / 60_000]),
    ).toEqual([
      ['tea', -1],
      ['glue', 21],
    ]);
    // Given five more, what has rung for a minute rings in five; what runs, five later.
    expect([-60_000, 21 * 60_000].map((leftMs) => minutesToRingIn({ leftMs }, 5))).toEqual([6, 5]);
  });
});

describe('two devices', () => {
  const rolled = piece('1', 'body', 'rolled');
  const felted = piece('1', 'body', 'felted');
  test.each([
    ['neither knew of the other: the later holds, and it is told', 'tablet', 0, 0, 1],
    ['the second knew: nothing clashes', 'tablet', 0, 1, 0],
    ['the same device corrects itself', 'desk', 0, 0, 0],
  ] as const)('%s', (_name, from, seenA, seenB, clashes) => {
    const events = eventsAt(
      [610, rolled, { from: 'desk', seen: seenA }],
      [611, felted, { from, seen: seenB }],
    );
    const found = clashesOf(events);
    expect(found.length).toBe(clashes);
    if (found[0]) expect([found[0].kept.what, found[0].lost.from]).toEqual([felted, 'desk']);
    expect(roomNow(plan, events).pieces.get('1')?.get('body')?.state).toBe('felted');
  });
  test('the same said twice is no clash, and saying it anew ends one', () => {
    expect(clashesOf(eventsAt([610, rolled, { seen: 0 }], [611, rolled, { seen: 0, from: 'tablet' }]))).toEqual([]);
    expect(
      clashesOf(eventsAt([610, rolled, { seen: 0 }], [611, felted, { seen: 0, from: 'tablet' }], [612, rolled, { seen: 2 }])),
    ).toEqual([]);
  }); // prettier-ignore
  test('two that say different things at the same moment are one class on both', () => {
    const [a, b] = [{ key: 'a', seen: 0 }, { key: 'b', seen: 0, from: 'tablet' }]; // prettier-ignore
    const both = eventsAt([610, rolled, a], [610, felted, b]);
    expect(roomNow(plan, both)).toEqual(roomNow(plan, both.toReversed()));
  });
});

test('minutes as they were: from its beginning to when everybody had it; the rest was not marked', () => {
  const events = eventsAt(
    [600, { act: 'sitting', sessionId: 'one', does: 'begin' }],
    [601, { act: 'entry', entryId: 'one:talk', does: 'begin' }],
    [607, { act: 'entry', entryId: 'one:talk', does: 'has-it' }],
    [620, { act: 'entry', entryId: 'one:roll', does: 'has-it' }],
  );
  const took = entriesTook([showNow(plan, sitting, events, { now: 630, clock })]);
  expect(took.map(({ entry, tookMinutes, lateMinutes }) => [entry.name, tookMinutes, lateMinutes])).toEqual([
    ['talk', 6, 2],
    ['roll', null, 5],
  ]);
}); // prettier-ignore

test('what was said and seen, the newest first', () => {
  const note = (sort: 'question' | 'idea', text: string): ClassAct => ({ act: 'said', sort, revisionId: 'r', stepId: 'roll', partId: null, seatKey: null, text }); // prettier-ignore
  const told = saidNow(eventsAt([610, note('question', 'how tight?')], [612, note('idea', 'two wisps')]));
  expect(told.map(({ sort, text }) => [sort, text])).toEqual([
    ['idea', 'two wisps'],
    ['question', 'how tight?'],
  ]);
});
