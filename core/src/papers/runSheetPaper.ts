import * as cells from './cell.ts';
import { wholeUp } from '../base/index.ts';
import { blankPattern } from '../pattern/index.ts';
import { designsOfPacks, preparedSteps } from '../run/index.ts';
import {
  breaksOf,
  type Room,
  type Sitting,
  type StepTimes,
  tablesOf,
  untimedSteps,
} from '../timetable/index.ts';
import {
  breakWords,
  chanceWords,
  clockWords,
  counted,
  lengthOfTime,
  sharedWords,
  sittingClock,
  showDay,
  stepTitle,
} from '../words/index.ts';
import {
  left,
  type Paper,
  type PaperRow,
  type PaperSection,
  type PaperSource,
  right,
  row,
  section,
  wide,
} from './paper.ts';
import {
  distinctSteps,
  handedOut,
  numberOf,
  type ShownStep,
  sittingOfTime,
  watchedFor,
} from './stepsOfDay.ts';
import { type Times, timesOfRun } from './timesOfRun.ts';

/** What lies on the instructor’s table: when what begins, what is handed out, what to watch for, who is late by when. */
export function runSheetPaper(source: PaperSource): Pick<Paper, 'title' | 'sections'> {
  const title = 'Run sheet';
  const times = timesOfRun(source);
  if (!times) {
    const notes = [
      'It is not said when this class begins and how long it is, or no step has minutes: say so on its page, under The day, and in the pattern.',
    ];
    return { title, sections: [section('No times yet', { notes })] };
  }
  const { room, outcome } = times;
  return {
    title,
    sections: [
      ...room.sittings.map((sitting, at) => sittingSection(source, times, sitting, at)),
      bring(source, room),
      preparedPieces(source),
      late(source, times),
      section('Will everybody finish?', {
        notes: [
          `${chanceWords(outcome.all)} that all do; ${chanceWords(outcome.allButOne)} all but one; ${chanceWords(outcome.nineInTen)} nine in ten. The last is done at about ${clockWords(outcome.last.half)}.`,
          ...(outcome.mostLate > 0
            ? [
                `In nine classes of ten no more than ${outcome.mostLate} are late: have as many pieces prepared to hand over.`,
              ]
            : []),
          ...unknownNotes(room),
        ],
      }),
    ].filter(({ rows, notes }) => rows.length + notes.length > 0),
  };
}

const unknownNotes = (room: Room): string[] => {
  const untimed = untimedSteps(room);
  return untimed === 0 ? [] : [`At best: ${counted(untimed, 'step')} untimed, counted as nothing.`];
};

function bring({ input, toPack }: PaperSource, room: Room): PaperSection {
  const tables = tablesOf(room);
  const rows = room.shared.map(({ key, name, count, isPerTable }) =>
    row(
      [
        sharedWords(key, name),
        cells.count(count * (isPerTable ? tables : 1)),
        isPerTable ? 'on the tables' : 'in the room',
      ],
      {
        ticks: 1,
      },
    ),
  );
  const packs = toPack.groups.reduce((sum, { sample, packs: each }) => sum + (sample ? 0 : each), 0);
  return section('Bring', {
    aside: `${counted(packs, 'pack')} for ${counted(input.seats, 'seat')}`,
    columns: [wide('What'), right('How many'), left('Where')],
    rows,
  });
}

function sittingSection(source: PaperSource, times: Times, sitting: Sitting, at: number): PaperSection {
  const { input } = source;
  const { room } = times;
  const planned = input.plan.sessions.find(({ id }) => id === sitting.id);
  const lines = [
    ...rowLines(room, sitting),
    ...distinctSteps(times).flatMap((each) => stepLines(source, times, each, at)),
    {
      minute: sitting.workTo,
      cells: row([clockWords(sitting.workTo), 'Clear up; count needles in', '', '', '']),
    },
    { minute: sitting.to, cells: row([clockWords(sitting.to), 'End', '', '', '']) },
  ];
  return section(room.sittings.length > 1 ? `Sitting ${at + 1}` : 'The day', {
    aside: `${showDay(planned?.date ?? input.date)}, ${clockWords(sitting.from)}–${clockWords(sitting.to)}`,
    notes: breaksOf(room, times.outcome, 0)
      .filter(({ sittingAt }) => sittingAt === at)
      .flatMap((each) => breakWords(each, room.graphs[0]?.build ?? blankPattern(''))),
    columns: [left('At'), wide('What'), left('Eight in ten'), left('Hand out'), wide('Watch for')],
    rows: lines.toSorted((a, b) => a.minute - b.minute).map(({ cells: line }) => line),
    // As many as a page takes in large type.
    isLarge: lines.length <= MOST_LARGE,
  });
}

const MOST_LARGE = 18;
/** At the author’s pace. */
const LEAST_PIECE_MINUTES = 8;

interface Line {
  readonly minute: number;
  readonly cells: PaperRow;
}

function rowLines(room: Room, sitting: Sitting): Line[] {
  return room.rows
    .filter(({ sessionId }) => sessionId === sitting.id)
    .map(({ atMinute, minutes, kind, name, groups }) => {
      const minute = sitting.from + atMinute;
      const who = kind === 'demo' && groups > 1 ? `${groups} groups in turn` : 'all';
      const what = `${kind === 'demo' && name !== '' ? `Show: ${name}` : name || KIND_WORDS[kind]}, ${lengthOfTime(minutes)}${groups > 1 ? ' each' : ''}`;
      return { minute, cells: row([clockWords(minute), what, who, '', '']) };
    });
}

const KIND_WORDS = { talk: 'Talk', demo: 'Show', break: 'Break' } as const;

/** A step when the middle of the class comes to it, with what leaves the bag there and what to look at. */
function stepLines(
  source: PaperSource,
  { room }: Times,
  { graph: { build, revisionId, tasks }, times }: ShownStep,
  sittingAt: number,
): Line[] {
  const designs = designsOfPacks(source.toPack.groups);
  const step = build.steps.find(({ id }) => id === times.stepId);
  const task = tasks.find(({ stepId }) => stepId === times.stepId);
  if (!step || !task || sittingOfTime(room, times) !== sittingAt) return [];
  const which = designs.size > 1 ? `${build.title}: ` : '';
  const wait = task.waitMinutes > 0 ? ` (then ${lengthOfTime(task.waitMinutes)} by itself)` : '';
  return [
    {
      minute: times.start.half,
      cells: row(
        [
          clockWords(times.start.half),
          `${which}${numberOf(step, designs.get(revisionId) ?? build)} ${stepTitle(step, 60)}${wait}`,
          rangeWords(times.start, room, sittingAt),
          handedOut(step, build),
          watchedFor(step),
        ],
        { ticks: 1 },
      ),
    },
  ];
}

/** From – to; what is of another day says so. */
function rangeWords(
  { tenth, nineTenths }: StepTimes['start'],
  { sittings }: Room,
  sittingAt: number,
): string {
  const isHere = (minute: number) =>
    minute >= (sittings[sittingAt]?.from ?? 0) &&
    minute < (sittings[sittingAt + 1]?.from ?? Number.POSITIVE_INFINITY);
  const [from, to] = [tenth, nineTenths].map((minute) =>
    isHere(minute) ? clockWords(minute) : `(${sittingClock(minute, sittings)})`,
  );
  return `${from}–${to}`;
}

/** What is made before the day, for every pack. */
export const preparedPieces = ({ input, toPack }: PaperSource): PaperSection =>
  section('Prepared for every pack', {
    columns: [wide('What'), right('Pieces'), right('Minutes'), left('Who')],
    rows: preparedSteps(toPack.groups, input.plan.elsewhere).map(({ pattern, step, packs, minutes }) =>
      row(
        [
          `${pattern.steps.indexOf(step) + 1} ${stepTitle(step, 70)}`,
          cells.count(packs),
          minutes === null ? '?' : cells.count(wholeUp(minutes)),
          '',
        ],
        { ticks: 1, note: pattern.title },
      ),
    ),
  });

/** Steps by which whoever has not begun is late more often than not. */
const late = (source: PaperSource, times: Times): PaperSection =>
  section('Late, more often than not, whoever has not begun', {
    columns: [left('By'), wide('Step')],
    rows: distinctSteps(times).flatMap(
      ({ graph: { build, revisionId, tasks }, times: { stepId, handOverBy } }) => {
        // Where a piece saves little nobody is helped by one.
        const isWorth = (tasks.find((task) => task.stepId === stepId)?.minutes ?? 0) >= LEAST_PIECE_MINUTES;
        const step = build.steps.find(({ id }) => id === stepId);
        const pattern = designsOfPacks(source.toPack.groups).get(revisionId) ?? build;
        return handOverBy === null || !step || !isWorth
          ? []
          : [
              row([
                clockWords(handOverBy),
                `${numberOf(step, pattern)} ${stepTitle(step, 70)}: hand over a prepared piece`,
              ]),
            ];
      },
    ),
  });
