import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type ClassAct, type ClassEvent, showNow, sittingNow } from '../../src/classDay/index.ts';
import { atMinute, clock, eventsAt, plan, sitting } from '../support/taught.ts';

const begin: ClassAct = { act: 'sitting', sessionId: 'one', does: 'begin' };
const end: ClassAct = { act: 'sitting', sessionId: 'one', does: 'end' };
const on = (id: string): ClassAct => ({ act: 'entry', entryId: `one:${id}`, does: 'begin' });
const hasIt = (id: string): ClassAct => ({ act: 'entry', entryId: `one:${id}`, does: 'has-it' });
const more = (id: string, minutes: number): ClassAct => ({ act: 'more', entryId: `one:${id}`, minutes });
const show = (now: number, events: readonly ClassEvent[]) => showNow(plan, sitting, events, { now, clock });

describe('a sitting as it goes', () => {
  test.each<[string, number, readonly (readonly [number, ClassAct])[], number]>([
    ['before it begins it is not late', 590, [], 0],
    ['not begun past its time it is later by the minute', 607, [], 7],
    ['begun late it is as late', 604, [[604, begin]], 4],
    ['a talk that is not begun holds the day up', 609, [[600, begin]], 9],
    ['a talk begun in time goes on in its time', 604, [[600, begin], [600, on('talk')]], 0],
    ['a talk that goes on past its time', 608, [[600, begin], [600, on('talk')]], 3],
    ['five more minutes are five minutes late at once', 603, [[600, begin], [600, on('talk')], [602, more('talk', 5)]], 5],
    ['more than was asked for', 612, [[600, begin], [600, on('talk')], [602, more('talk', 5)]], 7],
    ['ended early it is early', 604, [[600, begin], [600, on('talk')], [603, hasIt('talk')]], -2],
    ['the last that was said tells: late talk, early steps', 612, [[600, begin], [604, on('talk')], [609, hasIt('talk')], [612, hasIt('roll')]], -3],
    ['what was left out holds nothing up', 631, [[600, begin], [600, on('talk')], [605, hasIt('talk')], [631, hasIt('felt')]], 1],
    ['steps nobody marks tell nothing', 640, [[600, begin], [600, on('talk')], [605, hasIt('talk')], [615, on('show')], [619, hasIt('show')], [630, on('tea')], [635, hasIt('tea')]], 0],
    ['a step that is marked and goes on', 622, [[600, begin], [600, hasIt('talk')], [606, on('roll')]], 7],
  ])('%s', (_name, now, events, late) => {
    expect(show(now, eventsAt(...events)).lateMinutes).toBeCloseTo(late, 9);
  }); // prettier-ignore

  test('the rest of the day moves with it, and what is over stays where it was', () => {
    const events = eventsAt([606, begin], [606, on('talk')], [611, hasIt('talk')]);
    const { lines, endsAt, overMinutes, next, breakMinutes } = show(612, events);
    const times = lines.map(({ entry: { name }, status, from, to }) => [name, status, from, to]);
    expect(times).toEqual([
      ['talk', 'over', 606, 611],
      ['roll', 'on', 611, 621],
      ['show', 'ahead', 621, 625],
      ['felt', 'ahead', 625, 636],
      ['tea', 'ahead', 636, 641],
      ['join', 'ahead', 641, 654],
    ]);
    expect([endsAt, overMinutes, next?.entry.name, breakMinutes]).toEqual([654, 4, 'show', 5]);
  });

  test('every piece of a step at every seat that is here: everybody has it, since the last of them', () => {
    const felted = (seatKey: string, partId: string): ClassAct => ({
      act: 'piece',
      seatKey,
      partId,
      state: 'felted',
    });
    const all = [
      [600, begin],
      [601, { act: 'here', seatKey: '2', isHere: false }],
      [620, felted('1', 'body')],
      [624, felted('1', 'leg')],
      [628, felted('3', 'body')],
      // Joined later: felting was over before.
      [640, { act: 'piece', seatKey: '1', partId: 'leg', state: 'joined' }],
    ] as const;
    const lineOf = (events: readonly ClassEvent[]) =>
      show(641, events).lines.find(({ entry }) => entry.name === 'felt');
    expect(lineOf(eventsAt(...all))).toMatchObject({ status: 'over', endedAt: 628 });
    expect(lineOf(eventsAt(...all.slice(0, 4)))?.endedAt).toBeNull();
  });

  test('held hours from when it was planned it is not late: the plan goes along', () => {
    const events = eventsAt([900, begin], [902, on('talk')]);
    const { movedMinutes, lateMinutes, lines, sitting: moved } = show(903, events);
    expect([movedMinutes, lateMinutes, moved.from, lines[1]?.from]).toEqual([300, 2, 900, 907]);
  });

  test('after its end nothing goes on, whatever the clock', () => {
    const events = eventsAt([600, begin], [600, on('talk')], [655, end]);
    const { lines, lateMinutes } = show(2000, events);
    expect(lines.map(({ status }) => status)).toEqual(Array.from({ length: 6 }, () => 'over'));
    expect(lateMinutes).toBe(show(655, events).lateMinutes);
  });

  test('the sitting that is on is the one begun; then the next, then the last', () => {
    const two = { ...plan, sittings: [sitting, { ...sitting, id: 'two', from: 2040, workTo: 2090, to: 2100 }] };
    const idAt = (now: number, events: readonly ClassEvent[]) => sittingNow(two, events, now)?.id;
    expect([
      idAt(100, []),
      idAt(700, []),
      idAt(5000, []),
      idAt(900, eventsAt([600, begin])),
      idAt(610, eventsAt([600, begin], [605, end])),
    ]).toEqual(['one', 'two', 'one', 'one', 'two']);
  }); // prettier-ignore
});

const act = fc.oneof(
  fc.constantFrom<ClassAct>(begin, end),
  fc.record({
    act: fc.constant('entry' as const),
    entryId: fc.constantFrom('one:talk', 'one:roll', 'one:show', 'one:felt'),
    does: fc.constantFrom('begin' as const, 'has-it' as const),
  }),
  fc.record({
    act: fc.constant('piece' as const),
    seatKey: fc.constantFrom('1', '2', '3'),
    partId: fc.constantFrom('body', 'leg'),
    state: fc.constantFrom('rolled' as const, 'felted' as const, 'joined' as const, null),
  }),
  fc.record({ act: fc.constant('here' as const), seatKey: fc.constantFrom('1', '2'), isHere: fc.boolean() }),
);
const happened = fc
  .array(fc.tuple(fc.integer({ min: 600, max: 660 }), act), { maxLength: 20 })
  .map((all) => eventsAt(...all));

test('however it came in, and however often, it is the same class', () => {
  fc.assert(
    fc.property(happened, fc.infiniteStream(fc.nat()), fc.nat(), (events, numbers, many) => {
      const shuffled = [...events, ...events.slice(0, many % (events.length + 1))]
        .map((event) => ({ event, by: numbers.next().value as number }))
        .toSorted((a, b) => a.by - b.by)
        .map(({ event }) => event);
      expect(show(661, shuffled)).toEqual(show(661, events));
    }),
  );
});

test('what is taken back might as well not have been', () => {
  fc.assert(
    fc.property(happened, fc.nat(), (events, which) => {
      const gone = events[which % Math.max(1, events.length)];
      if (!gone) return;
      const back: ClassEvent = { ...gone, key: 'back', at: atMinute(661), what: { act: 'back', key: gone.key } };
      const without = events.filter(({ key }) => key !== gone.key);
      expect(show(662, [...events, back])).toEqual(show(662, without));
    }),
  );
}); // prettier-ignore

test('lines follow one another as planned, none is shorter than its plan and its extra minutes while it goes on', () => {
  fc.assert(
    fc.property(happened, fc.integer({ min: 600, max: 700 }), (events, now) => {
      for (const line of show(now, events).lines) {
        expect(line.to).toBeGreaterThanOrEqual(line.from);
        if (line.status === 'ahead') expect(line.to - line.from).toBeCloseTo(line.entry.to - line.entry.from + line.extraMinutes, 9);
        if (line.status === 'on') expect(line.to).toBeGreaterThanOrEqual(Math.min(now, line.to));
        if (line.status === 'over' && line.endedAt !== null) expect(line.to).toBe(line.endedAt);
      }
    }),
  );
}); // prettier-ignore
