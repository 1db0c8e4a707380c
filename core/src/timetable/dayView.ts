import { needleOf, type Pattern, type Session } from '../pattern/index.ts';
import { type NeedleWanted, wantedKey } from '../shelf/index.ts';
import type { PlanRow } from '../run/index.ts';
import { breaksOf, type SittingBreak } from './breaks.ts';
import type { Outcome, Tenths } from './outcome.ts';
import { readyRoom } from './readyRoom.ts';
import { type Room, rowStretch, type Sitting } from './room.ts';
import { goThrough, type Queued } from './simulate.ts';

/** A step as it lies in a day, for a pace. Minutes of the clock. */
export interface DayBand {
  readonly stepId: string;
  readonly from: number;
  readonly to: number;
}

const PACES = ['quickest', 'middle', 'slowest'] as const;
export type DayPace = (typeof PACES)[number];

const TENTH_OF: Readonly<Record<DayPace, keyof Tenths>> = {
  quickest: 'tenth',
  middle: 'half',
  slowest: 'nineTenths',
};

/** Something that runs by itself, for the middle of the class. */
interface DayWait {
  readonly stepId: string;
  readonly from: number;
  readonly to: number;
  /** What hands do meanwhile. */
  readonly meanwhile: readonly string[];
}

/** One sitting as it is drawn. */
export interface DayView {
  readonly sitting: Sitting;
  /** As far as the ruler goes: to the end of the slowest where that is over it. */
  readonly to: number;
  readonly rows: readonly (PlanRow & {
    readonly stretches: readonly { readonly from: number; readonly to: number }[];
  })[];
  readonly bands: Readonly<Record<DayPace, readonly DayBand[]>>;
  /** The needle most have in hand, from when to when. */
  readonly needles: readonly { readonly wanted: NeedleWanted; readonly from: number; readonly to: number }[];
  readonly waits: readonly DayWait[];
  /** The pattern’s session that is done in it; null: it has none, or other ones. */
  readonly session: Session | null;
  /** How it is left; null: it is the last. */
  readonly ends: SittingBreak | null;
  readonly things: readonly {
    readonly key: string;
    readonly name: string;
    readonly turns: readonly Queued[];
  }[];
}

/** The ruler ends with a quarter of an hour. */
const QUARTER = 15;

/** Every sitting of a class, for those who make one of its builds. @param lateMinutes until all have come */
export function dayViews(
  room: Room,
  outcome: Outcome,
  graphAt: number,
  seed: number,
  lateMinutes: number,
): DayView[] {
  // One class of many: what a line looks like is seen in one, not in an average.
  const breaks = breaksOf(room, outcome, graphAt);
  const once = goThrough(readyRoom(room, lateMinutes), { seed, classAt: 0 });
  return room.sittings.map((sitting, at) => {
    const isLast = at === room.sittings.length - 1;
    const until = isLast ? Number.POSITIVE_INFINITY : (room.sittings[at + 1]?.from ?? sitting.to);
    const isIn = (from: number) => from >= sitting.from && from < until;
    const bands = Object.fromEntries(
      PACES.map((pace) => [pace, bandsOf(room, outcome, graphAt, pace).filter(({ from }) => isIn(from))]),
    ) as unknown as DayView['bands'];
    const ends = PACES.flatMap((pace) => bands[pace].map(({ to }) => to));
    const lastEnd = isLast ? Math.max(sitting.to, ...ends) : sitting.to;
    return {
      sitting,
      to: Math.ceil(lastEnd / QUARTER) * QUARTER,
      rows: room.rows
        .filter(({ sessionId }) => sessionId === sitting.id)
        .map((row) => ({
          ...row,
          stretches: Array.from({ length: row.kind === 'demo' ? row.groups : 1 }, (_, group) =>
            rowStretch(row, room.sittings, group),
          ),
        })),
      bands,
      needles: needlesOf(room.graphs[graphAt]?.build, bands.middle),
      waits: waitsOf(room, outcome, graphAt).filter(({ from }) => isIn(from)),
      session:
        (room.sittings.length === (room.graphs[graphAt]?.build.sessions.length ?? 0)
          ? room.graphs[graphAt]?.build.sessions[at]
          : null) ?? null,
      ends: breaks[at] ?? null,
      things: room.shared.map(({ key, name }, thingAt) => ({
        key,
        name,
        turns: (once.queued[thingAt] ?? []).filter(({ from }) => isIn(from)),
      })),
    };
  });
}

function bandsOf(room: Room, { steps }: Outcome, graphAt: number, pace: DayPace): DayBand[] {
  const tenth = TENTH_OF[pace];
  return (steps[graphAt] ?? [])
    .flatMap(({ stepId, start, end }, at) =>
      (room.graphs[graphAt]?.tasks[at]?.minutes ?? 0) > 0
        ? [{ stepId, from: start[tenth], to: end[tenth] }]
        : [],
    )
    .toSorted((a, b) => a.from - b.from);
}

function waitsOf(room: Room, { steps }: Outcome, graphAt: number): DayWait[] {
  const times = steps[graphAt] ?? [];
  const tasks = room.graphs[graphAt]?.tasks ?? [];
  return times.flatMap(({ stepId, end }, at) => {
    const wait = tasks[at]?.waitMinutes ?? 0;
    if (wait <= 0) return [];
    const to = end.half + wait;
    const meanwhile = times.flatMap((other, place) =>
      place !== at && other.start.half < to && other.end.half > end.half && (tasks[place]?.minutes ?? 0) > 0
        ? [other.stepId]
        : [],
    );
    return [{ stepId, from: end.half, to, meanwhile }];
  });
}

/** Steps in a row with the same needle are one. */
function needlesOf(build: Pattern | undefined, bands: readonly DayBand[]): DayView['needles'] {
  const found: { wanted: NeedleWanted; from: number; to: number }[] = [];
  for (const { stepId, from, to } of bands) {
    const step = build?.steps.find(({ id }) => id === stepId);
    const wanted = build && step ? needleOf(step, build) : null;
    const last = found.at(-1);
    if (!wanted) continue;
    if (last && wantedKey(last.wanted) === wantedKey(wanted)) last.to = to;
    else found.push({ wanted, from, to });
  }
  return found;
}
