import type {
  ClassAct,
  ClassDayPlan,
  ClassEvent,
  Clock,
  PlannedSitting,
  ShowEntry,
} from '../../src/classDay/index.ts';

const MIDNIGHT = Date.parse('2026-12-05T00:00:00Z');

/** A moment by its minute of the day, in UTC. */
export const atMinute = (minute: number): string => new Date(MIDNIGHT + minute * 60_000).toISOString();
export const clock: Clock = (at) => (Date.parse(at) - MIDNIGHT) / 60_000;

/** An act with its minute. */
export type Acted = readonly [minute: number, what: ClassAct, more?: Partial<ClassEvent>];

/** Events with their minute; the number in the order written is the order in which they came in. */
export function eventsAt(...all: readonly Acted[]): ClassEvent[] {
  return all.map(([minute, what, more], at) => ({
    key: `k${at}`,
    seq: at + 1,
    seen: at,
    device: 'Studio',
    from: 'desk',
    at: atMinute(minute),
    what,
    ...more,
  }));
}

const entry = (id: string, from: number, to: number, more: Partial<ShowEntry> = {}): ShowEntry => ({
  id: `one:${id}`,
  kind: 'step',
  name: id,
  from,
  to,
  stepId: more.kind && more.kind !== 'step' ? null : id,
  waitMinutes: 0,
  watchFor: '',
  handOut: '',
  ...more,
});

/** 600–660 (10:00–11:00), hands stop at 650: a talk, rolling, a demonstration, felting, a break, joining. */
export const sitting: PlannedSitting = {
  id: 'one',
  from: 600,
  workTo: 650,
  to: 660,
  entries: [
    entry('talk', 600, 605, { kind: 'talk' }),
    entry('roll', 605, 615),
    entry('show', 615, 619, { kind: 'demo' }),
    entry('felt', 619, 630),
    entry('tea', 630, 635, { kind: 'break' }),
    entry('join', 635, 648),
  ],
};

/** Three seats who make a body and a leg; the third makes the body alone, rolled beforehand. */
export const plan: ClassDayPlan = {
  sittings: [sitting],
  untimed: 0,
  makes: [
    {
      revisionId: 'r',
      title: 'Bird',
      pieces: [
        { partId: 'body', name: 'body', marks: [
          { state: 'rolled', stepId: 'roll', by: 615, isElsewhere: false },
          { state: 'felted', stepId: 'felt', by: 630, isElsewhere: false },
        ] },
        { partId: 'leg', name: 'leg', marks: [
          { state: 'felted', stepId: 'felt', by: 630, isElsewhere: false },
          { state: 'joined', stepId: 'join', by: 648, isElsewhere: false },
        ] },
      ],
      steps: [
        { id: 'roll', number: 1, title: 'Roll', handOverBy: null },
        { id: 'felt', number: 2, title: 'Felt', handOverBy: 625 },
        { id: 'join', number: 3, title: 'Join', handOverBy: 644 },
      ],
    },
    {
      revisionId: 'r',
      title: 'Ball',
      pieces: [
        { partId: 'body', name: 'body', marks: [
          { state: 'rolled', stepId: 'roll', by: null, isElsewhere: true },
          { state: 'felted', stepId: 'felt', by: 625, isElsewhere: false },
        ] },
      ],
      steps: [{ id: 'felt', number: 2, title: 'Felt', handOverBy: null }],
    },
  ],
  seats: [
    { seat: 1, key: '1', makeAt: 0, tableAt: 0 },
    { seat: 2, key: '2', makeAt: 0, tableAt: 0 },
    { seat: 3, key: '3', makeAt: 1, tableAt: 1 },
  ],
  sharps: [
    { key: 'scissors', name: 'scissors', wanted: 2, isHot: false },
    { key: 'iron', name: 'iron', wanted: 1, isHot: true },
  ],
  spare: [{ fibreId: 'slate', massG: 4 }],
}; // prettier-ignore
