import { roomNow } from '@lanakit/core/classDay';
import { BUYING_TERMS } from '@lanakit/core/buying';
import { type Commission, isAhead, standingOf } from '@lanakit/core/commissions';
import { type Making, uncountedUnknown, woolSum } from '@lanakit/core/logbook';
import { classDayPlan } from '@lanakit/core/papers';
import { costOfRun, isOffShelf, type PackedRun, prepareMinutes, type Run } from '@lanakit/core/run';
import { recipesOf } from '@lanakit/core/shelf';
import {
  type MadeOf,
  madeTogether,
  type PlannedWork,
  type Work,
  workOfCommission,
  workOfMaking,
  workOfRun,
} from '@lanakit/core/year';
import type { Store } from '../db/index.ts';
import { todayOf } from './deps.ts';
import { learningNow } from './gatherEvidence.ts';
import { paceOfMaker } from './paceOfMaker.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { kitOfRun } from './runDrawing.ts';
import { inForceOf } from './runInForce.ts';
import { gearOf, shelfOf } from './runSources.ts';
import { tookOfRun } from './tookOfRun.ts';

const WORKED_BY = ['things', 'ledger', 'patterns', 'runs', 'needles', 'logbook', 'class', 'asked'] as const;

/** Everything the studio did: classes taught, kits packed, what was asked for and handed over, figures made. */
export const worksOfStudio = (store: Store, now: Date): readonly Work[] => {
  const today = todayOf(now);
  return store.remember(WORKED_BY, `works of ${today}`, () => {
    const takings = store.takings.all();
    const handedOver = store.commissions.all().filter(({ state }) => state === 'handed-over');
    // What is odd and not meant so is not known.
    const { judged } = learningNow(store, now);
    const counted = (making: Making): Making => uncountedUnknown(making, judged);
    const madeForSomebody = new Set(
      handedOver.flatMap(({ makings }) => makings.map(({ makingId }) => makingId)),
    );
    return [
      ...store.runs
        .all()
        .filter((run) => isOver(run, today))
        .map((run) => runWork(store, run, today, takings.get(run.id) ?? null)),
      ...handedOver.map((commission) => commissionWork(store, commission, counted)),
      ...store.makings
        .all()
        .filter(({ id, isDone }) => isDone && !madeForSomebody.has(id))
        .map((making) => workOfMaking(counted(making))),
    ];
  });
};

/** A class that is closed; kits that are packed, from their day on. */
const isOver = ({ kind, state, date }: Run, today: string): boolean =>
  date <= today && (kind === 'class' ? state === 'done' : isOffShelf(state));

/** What is planned of the days ahead, as far as it counts in a season. */
export function plannedWorks(store: Store, today: string): PlannedWork[] {
  const runs = store.runs.all().filter((run) => !isOver(run, today) && run.date >= today);
  const asked = store.commissions.all().filter(isAhead);
  return [
    ...runs.map((run) => ({
      kind: run.kind,
      id: run.id,
      name: run.name,
      date: run.date,
      made: madeOfGroups(store, inForceOf(store, run, today).packed.toPack.groups),
    })),
    ...asked.flatMap(({ id, title, byDay, patternId, count }): PlannedWork[] =>
      byDay === null
        ? []
        : [{ kind: 'commission', id, name: title, date: byDay, made: [{ patternId, title, count }] }],
    ),
  ];
}

const madeOfRevision = (store: Store, revisionId: string, count: number): MadeOf[] => {
  const revision = store.patterns.findRevision(revisionId);
  return revision ? [{ patternId: revision.patternId, title: revision.document.title, count }] : [];
};

/** As many as there are seats or boxes. */
const madeOfGroups = (store: Store, groups: PackedRun['toPack']['groups']): MadeOf[] =>
  madeTogether(
    groups.flatMap(({ sample, seats, makes }) =>
      sample
        ? []
        : makes.flatMap(({ revisionId, copies }) => madeOfRevision(store, revisionId, seats.length * copies)),
    ),
  );

/** Who finished, by design; where nothing was said in front of the class everybody did. */
function madeInClass(store: Store, run: Run, today: string, groups: PackedRun['toPack']['groups']): MadeOf[] {
  const events = store.classEvents.of(run.id);
  if (!events.some(({ what }) => what.act === 'finished')) return madeOfGroups(store, groups);
  const plan = classDayPlan(paperSourceOf(store, run, today));
  const finished = new Set(
    roomNow(plan, events).seats.flatMap(({ key, isFinished }) => (isFinished ? [key] : [])),
  );
  return madeTogether(
    plan.seats.flatMap(({ key, makeAt }) =>
      madeOfRevision(store, plan.makes[makeAt]?.revisionId ?? '', finished.has(key) ? 1 : 0),
    ),
  );
}

function runWork(store: Store, run: Run, today: string, takingsMinor: number | null): Work {
  const { toPack, plan, input, wool } = inForceOf(store, run, today).packed;
  const blends = new Set(recipesOf(store.shelf.blends()).keys());
  const isClass = run.kind === 'class';
  const { sessions } = run.plan;
  const cost = costOfRun(
    toPack,
    plan,
    { ...input.cost, hourlyWageMinor: null },
    {
      wool: wool.fibres,
      findings: wool.findings,
      todayPer100gMinor: new Map(
        [...wool.fibres].map(([id, { pricePer100gMinor }]) => [id, pricePer100gMinor]),
      ),
      kit: isClass ? kitOfRun(store, run) : null,
      needles: gearOf(store).needles,
      spareTerms: input,
    },
  );
  return workOfRun({
    kind: run.kind,
    id: run.id,
    name: run.name,
    date: run.date,
    made: isClass ? madeInClass(store, run, today, toPack.groups) : madeOfGroups(store, toPack.groups),
    wool: woolSum(tookOfRun(store, run, today)),
    preparedMinutes: prepareMinutes(toPack, plan, blends, input.plan.elsewhere, paceOfMaker(store)).total,
    sittingMinutes: isClass && sessions.length === 0 ? [null] : sessions.map(({ minutes }) => minutes),
    cost: cost.whole,
    takingsMinor,
  });
}

function commissionWork(store: Store, commission: Commission, counted: (making: Making) => Making): Work {
  const { patternId, title, askedOn, makings } = commission;
  const pattern = patternId === null ? null : (store.patterns.find(patternId)?.document ?? null);
  // Of what is over the calendar says nothing any more.
  const calendar = { taken: [], today: askedOn, terms: BUYING_TERMS };
  const { quote } = standingOf(commission, pattern, shelfOf(store), calendar);
  const pages = makings.flatMap(({ makingId }) => store.makings.find(makingId) ?? []).map(counted);
  return workOfCommission(commission, pattern?.title ?? title, quote, pages);
}
