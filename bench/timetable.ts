import { BLANK_STEP, type Pattern } from '@lanakit/core/pattern';
import { BLANK_PLAN, RUN_DEFAULTS, type RunInput } from '@lanakit/core/run';
import {
  chainsOf,
  outcomeOfRun,
  planForOne,
  roomOf,
  tasksOf,
  trialOf,
  tryLevers,
} from '@lanakit/core/timetable';
import { figureOf } from './core.ts';
import { time, type Row } from './measure.ts';

const SEED = 1;

/** So many steps over sixty parts, every twentieth with a wait. */
function timedFigure(steps: number): Pattern {
  const figure = figureOf(60, 'A long one');
  return {
    ...figure,
    steps: Array.from({ length: steps }, (_, at) => ({
      ...BLANK_STEP,
      id: `s${at}`,
      text: `Felt part ${at % 60}.`,
      act: { kind: 'felt' as const },
      partIds: [`p${at % 60}`],
      minutes: { low: 3, high: 6 },
      waiting: at % 20 === 0 ? 30 : null,
    })),
  };
}

const classOf = (seats: number): RunInput => ({
  ...RUN_DEFAULTS,
  recipes: [],
  roster: [],
  swapIds: [],
  findingSpares: [],
  ownBags: [],
  name: 'A class',
  date: '2026-12-05',
  revisionId: 'r',
  seats,
  plan: { ...BLANK_PLAN, sessions: [{ id: 'one', date: null, startsAt: '10:00', minutes: 480 }] },
});

export async function benchTimetable(): Promise<Row[]> {
  const long = tasksOf(timedFigure(200)).tasks;
  const designs = new Map([['r', timedFigure(60)]]);
  const room = roomOf(designs, classOf(20));
  if (typeof room === 'string') throw new Error(room);
  const goThrough = (classes: number) => {
    const trial = trialOf(room, 5, SEED);
    trial.more(classes);
    return trial.outcome();
  };
  const small = { designs, run: classOf(8), classes: 300, seed: SEED };
  return [
    await time('the longest chain', '200 steps', () => chainsOf(long), 50),
    await time('one pair of hands', '200 steps', () => planForOne(long), 10),
    await time(
      'a class, the first that is seen',
      '60 classes × 20 seats × 60 steps',
      () => goThrough(60),
      10,
    ),
    await time('a class, all of it', '2000 classes × 20 seats × 60 steps', () => goThrough(2000), 3),
    await time('a lever', '300 classes × 8 seats × 60 steps', () => outcomeOfRun(small.run, small), 5),
    await time(
      'the first of all levers',
      '300 classes × 8 seats × 60 steps',
      () => tryLevers(small).next(),
      3,
    ),
  ];
}
