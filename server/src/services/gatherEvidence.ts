import {
  classEvidence,
  classMinutes,
  type Evidence,
  type Expected,
  expectedOf,
  type Gathered,
  handSamplesOf,
  learn,
  type Learning,
  type Making,
  makingEvidence,
  type NotTaught,
} from '@lanakit/core/logbook';
import type { Wool } from '@lanakit/core/engine';
import { itemsUsed, type Pattern } from '@lanakit/core/pattern';
import { lotInUse } from '@lanakit/core/shelf';
import {
  type ClassDayPlan,
  type ClassEvent,
  clockOfDay,
  entriesTook,
  roomNow,
  showNow,
} from '@lanakit/core/classDay';
import { classDayPlan } from '@lanakit/core/papers';
import { type PackedRun, type Run, seatsOf } from '@lanakit/core/run';
import type { Store } from '../db/index.ts';
import { todayOf } from './deps.ts';
import { unlessDamaged } from './oneByOne.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { inForceOf } from './runInForce.ts';
import { shelfOf, untaughtStamp } from './runSources.ts';
import { tookOfRun } from './tookOfRun.ts';

/** What the book rests on. */
export const LEARNT_BY = ['things', 'ledger', 'patterns', 'runs', 'needles', 'logbook', 'class'] as const;

const LEARNING = 'learning';

/** How long a weighing counts. */
interface LearningSetting {
  readonly halfLifeMonths: number | null;
}

export const learningSetting = (store: Store): LearningSetting =>
  store.settings.find<LearningSetting>(LEARNING) ?? { halfLifeMonths: null };

export const setLearningSetting = (store: Store, setting: LearningSetting, at: string): void =>
  store.settings.set(LEARNING, setting, at);

/** What a making says, against its pattern as it was. */
export function evidenceOfMaking(store: Store, making: Making): Gathered {
  const inUse = new Map(store.shelf.fibres().map((fibre) => [fibre.id, lotInUse(fibre)?.id ?? null]));
  const build = store.makings.buildOf(making.id);
  const wool = shelfOf(store);
  return makingEvidence(making, {
    build,
    wool,
    lotInUse: (fibreId) => inUse.get(fibreId) ?? null,
    ...(build && { expected: expectedFor(store, making, build, wool) }),
  });
}

/** What a page is held against is worked out once, however often something is written on it. */
function expectedFor(store: Store, { id, madeBy }: Making, build: Pattern, wool: Wool): Expected {
  const stamp = `${store.makings.buildStamp(id)} ${madeBy} ${untaughtStamp(itemsUsed(build), wool)}`;
  return store.rememberAs(`expected of ${id}`, stamp, () => expectedOf(build, wool, madeBy));
}

/** What a class rests on that is closed: its wool is written down with it. */
const CLASS_BY = ['things', 'ledger', 'patterns', 'runs', 'needles', 'class'] as const;

/** What a class says that is closed; nothing of one that is not. */
const evidenceOfClass = (store: Store, run: Run, today: string): Gathered =>
  store.remember(CLASS_BY, `evidence of class ${run.id}, ${today}`, () => classGathered(store, run, today));

function classGathered(store: Store, run: Run, today: string): Gathered {
  if (run.kind !== 'class' || run.state !== 'done') return { evidence: [], untaught: [] };
  const events = store.classEvents.of(run.id);
  if (events.length === 0) return { evidence: [], untaught: [] };
  const { packed } = inForceOf(store, run, today);
  const plan = classDayPlan(paperSourceOf(store, run, today));
  const room = roomNow(plan, events);
  const told = classEvidence({
    runId: run.id,
    date: run.date,
    skill: run.skill,
    makes: packed.toPack.groups.flatMap(({ makes, seats }) =>
      makes.map(({ build, copies }) => ({ build, seats: seats.length * copies })),
    ),
    seats: room.seats.length,
    finished: room.seats.filter(({ isFinished }) => isFinished).length,
    wool: packed.wool,
    took: tookOfRun(store, run, today),
    stepG: run.scaleStepG,
  });
  return { ...told, evidence: [...told.evidence, ...minutesOfClass(run, plan, packed, events)] };
}

/** How long its steps took, where all of it made one design. */
function minutesOfClass(
  run: Run,
  plan: ClassDayPlan,
  { toPack, input }: PackedRun,
  events: readonly ClassEvent[],
): Evidence[] {
  const builds = toPack.groups.flatMap(({ makes, seats }) => (seats.length > 0 ? makes : []));
  const [first] = builds;
  if (!first || builds.some(({ revisionId }) => revisionId !== first.revisionId)) return [];
  const clock = clockOfDay(run.date);
  // All of it is over: what is on is what was on last.
  const shows = plan.sittings.map((sitting) =>
    showNow(plan, sitting, events, { now: Number.MAX_SAFE_INTEGER, clock }),
  );
  return classMinutes({
    runId: run.id,
    date: run.date,
    skills: seatsOf(input).map(({ skill }) => skill ?? input.skill),
    build: first.build,
    entries: entriesTook(shows),
  });
}

export interface GatheredBook {
  readonly evidence: readonly Evidence[];
  readonly untaught: readonly NotTaught[];
  /** What each page is called, by the id of its making or run. */
  readonly titles: ReadonlyMap<string, string>;
}

/** Everything that was weighed, of every making and every class; what cannot be read is left out, and noted elsewhere. */
export const gatherEvidence = (store: Store, today: string): GatheredBook =>
  store.remember(LEARNT_BY, `evidence of ${today}`, () => {
    const makings = store.makings.all();
    const runs = store.runs.all();
    const gathered = [
      ...makings.map((making) =>
        unlessDamaged(
          () => evidenceOfMaking(store, making),
          () => NOTHING,
        ),
      ),
      ...runs.map((run) =>
        unlessDamaged(
          () => evidenceOfClass(store, run, today),
          () => NOTHING,
        ),
      ),
    ];
    return {
      evidence: gathered.flatMap(({ evidence }) => evidence),
      untaught: gathered.flatMap(({ untaught }) => untaught),
      titles: new Map([
        ...makings.map(({ id, title }) => [id, title] as const),
        ...runs.map(({ id, name }) => [id, name] as const),
      ]),
    };
  });

const NOTHING: Gathered = { evidence: [], untaught: [] };

/** What is believed of all of it. */
export function learningNow(store: Store, now: Date): Learning {
  const today = todayOf(now);
  const { halfLifeMonths } = learningSetting(store);
  return store.remember(LEARNT_BY, `learning of ${today}, ${halfLifeMonths ?? 'for good'}`, () => {
    const choices = [...store.learnt.choices()];
    const chosen = (wanted: string) =>
      new Set(choices.flatMap(([id, choice]) => (choice === wanted ? [id] : [])));
    return learn(
      gatherEvidence(store, today).evidence,
      { leftOut: chosen('left-out'), meant: chosen('meant'), halfLifeMonths, today },
      { samples: store.makings.all().flatMap(handSamplesOf), measured: store.stock.handMeasures() },
    );
  });
}
