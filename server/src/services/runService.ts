import type { NamedRun, OpenedRun, RunTicks, PromisedBefore, RunDesign } from '@lanakit/core/api';
import type { Problem } from '@lanakit/core/problems';
import {
  checkRights,
  checkRun,
  checkState,
  isFrozen,
  revisionsOfRun,
  type Run,
  type RunInput,
  type RunTick,
  stateAfter,
  stateBefore,
  type StateInput,
  type TickInput,
  wantsOf,
  weighedTwice,
  withBoxesCounted,
} from '@lanakit/core/run';
import { toMilli } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { settleLeftOvers } from './leftOvers.ts';
import { bringBackToShelf, takeOffShelf } from './packingStock.ts';
import { promisedTo, thingsPromisedTo } from './promisedAhead.ts';
import { answering, assertSound, foundOr, type LostOf, Refusal } from './refusal.ts';
import { warmPlans } from './warmPlans.ts';
import { factsOf, freezeNow } from './runInForce.ts';
import { designsOf } from './runSources.ts';

export type RunService = ReturnType<typeof runService>;

/** Classes and batches of kits: planned, weighed, packed, and what the ones before each will have taken. */
/** @param forgotten what else knows of persons is told */
export function runService({ store, now, newId }: ServiceDeps, forgotten: () => void) {
  const { runs } = store;
  const at = () => now().toISOString();
  const today = () => todayOf(now());
  const found = (id: string): Run => foundOr(runs.find(id));
  const opened = (id: string): OpenedRun => openedRun(store, found(id), today());
  const conflict = (id: string, yours: unknown, of?: LostOf) =>
    new Refusal({ code: 'version_conflict', yours, theirs: namedRun(store, found(id)), ...(of && { of }) });
  const insert = (input: RunInput): Run => {
    const id = newId();
    runs.insert(id, input, at());
    return found(id);
  };
  return answering({
    async find(id: string): Promise<OpenedRun> {
      found(id);
      await warmPlans(store, today());
      return opened(id);
    },
    /** At once: as a part of what is written. */
    opened,
    /** What stands before its next state is asked with `find`: it takes all the reckoning there is. */
    plan: (input: RunInput): Run => insert(checked(store, input)),
    save(id: string, version: number, sent: RunInput): OpenedRun {
      found(id);
      const input = checked(store, sent);
      if (!runs.update(id, version, input, at())) throw conflict(id, input, { kind: 'run', id, version });
      return opened(id);
    },
    /** What runs before this one will take, of fibres and of things. */
    async promisedBefore(id: string): Promise<PromisedBefore> {
      found(id);
      await warmPlans(store, today());
      const run = found(id);
      return {
        items: [...promisedTo(store, run, today())].map(([fibreId, massG]) => ({ fibreId, massG })),
        things: [...thingsPromisedTo(store, run, today())].map(([itemId, promise]) => ({
          itemId,
          ...promise,
        })),
      };
    },
    /** On to the next state, where nothing is missing or it is told to go on anyway; or back to the one before. */
    move: (id: string, version: number, to: StateInput): OpenedRun =>
      store.together(() => {
        const run = found(id);
        if (run.version !== version || !moved(store, run, to, { today: today(), at: at() }))
          throw conflict(id, to);
        return opened(id);
      }),
    /** Takes the numbers as they would be now. */
    replan: (id: string, version: number): OpenedRun =>
      store.together(() => {
        const run = found(id);
        if (run.state !== 'bought' && run.state !== 'weighed') {
          const reason = `is ${run.state}; only what is bought or weighed takes new numbers`;
          assertSound([{ code: 'field_wrong', pointer: '', reason }]);
        }
        const frozen = freezeNow(store, run, today(), at());
        if (!runs.setState(id, version, { state: run.state, frozen }, at())) throw conflict(id, null);
        return opened(id);
      }),
    /** A class that was over before it was written down here: its numbers as they come to, nothing taken off the shelf. */
    recordDone: (id: string): Run =>
      store.together(() => {
        const run = found(id);
        const frozen = freezeNow(store, run, today(), at());
        if (!runs.setState(id, run.version, { state: 'done', frozen }, at())) throw conflict(id, null);
        return found(id);
      }),
    /** Who came is forgotten, here and in all that it ever was; what was made stays. */
    forgetPeople: (id: string, version: number): OpenedRun =>
      store.together(() => {
        found(id);
        if (!runs.forgetPeople(id, version, at())) throw conflict(id, null);
        store.packCodes.end(id);
        forgotten();
        return opened(id);
      }),
    /** The same again, planned anew. */
    copy(id: string): Run {
      const run = found(id);
      const { id: _id, version: _version, state: _state, ...input } = run;
      return insert({ ...input, name: `${input.name.slice(0, 112)}, again` });
    },
    ticks: (id: string): RunTicks => ticksOf(store, found(id).id),
    /** Sent twice with one key it counts once. @param device from which it comes */
    tick: (id: string, { key, from = null, ...tick }: TickInput, device: string): RunTicks =>
      store.together(() => {
        found(id);
        const before = runs.tickOf(key);
        if (before === null) runs.tick(key, id, tick, { device, from }, at());
        else if (!isSameTick(before, { ...tick, runId: id })) throw new Refusal({ code: 'key_used' });
        return ticksOf(store, id);
      }),
    remove(id: string, version: number): void {
      found(id);
      if (!runs.remove(id, version, at())) throw conflict(id, null);
    },
    restore(id: string): OpenedRun {
      if (!runs.restore(id)) throw new Refusal({ code: 'not_found' });
      return opened(id);
    },
  });
}

/** How every mark stands, and what two devices weighed both. */
const ticksOf = ({ runs }: Store, id: string): RunTicks => ({
  items: runs.ticks(id),
  twice: weighedTwice(runs.weighingHistory(id)),
});

interface TickOfRun extends RunTick {
  readonly runId: string;
}

/** To the milligram, as it is kept. */
const isSameTick = (a: TickOfRun, b: TickOfRun): boolean =>
  a.runId === b.runId &&
  a.mark === b.mark &&
  a.isDone === b.isDone &&
  toMilli(a.massG) === toMilli(b.massG) &&
  toMilli(a.weighedG ?? 0) === toMilli(b.weighedG ?? 0);

/** @throws Refusal content_invalid */
function checked(store: Store, sent: RunInput): RunInput {
  const input = withBoxesCounted(sent);
  const problems: Problem[] = checkRun(input);
  if (revisionsOfRun(input).some((id) => !store.patterns.findRevision(id)))
    problems.push({ code: 'field_wrong', pointer: '/revisionId', reason: 'names no published revision' });
  assertSound(problems);
  assertSound(checkRights(input, designsOf(store, input)));
  return input;
}

/** False: somebody else was first. @throws Refusal content_invalid where something stands before it */
function moved(
  store: Store,
  run: Run,
  { to, anyway }: StateInput,
  { today, at }: { readonly today: string; readonly at: string },
): boolean {
  const isOn = to === stateAfter(run.state);
  if (!isOn && to !== stateBefore(run.state)) {
    const reason = `does not follow on “${run.state}”`;
    assertSound([{ code: 'field_wrong', pointer: '/to', reason }]);
  }
  if (isOn && !anyway) assertSound(checkState(to, factsOf(store, run, today)));
  const frozen = !isFrozen(to) ? null : (store.runs.frozen(run.id) ?? freezeNow(store, run, today, at));
  if (isOn && to === 'packed') takeOffShelf(store, run, today, at);
  if (!isOn && run.state === 'packed') bringBackToShelf(store, run, at);
  const isMoved = store.runs.setState(run.id, run.version, { state: to, frozen }, at);
  // What was weighed back in before it was called packed.
  if (isMoved) settleLeftOvers(store, { ...run, state: to }, at);
  return isMoved;
}

function openedRun(store: Store, run: Run, today: string): OpenedRun {
  const next = stateAfter(run.state);
  return {
    ...namedRun(store, run),
    frozen: store.runs.frozen(run.id),
    wants: next ? wantsOf(next, factsOf(store, run, today)) : [],
  };
}

function namedRun(store: Store, run: Run): NamedRun {
  const designs = revisionsOfRun(run).flatMap((revisionId) => designOf(store, revisionId));
  const [leading] = designs;
  if (!leading) throw new Error(`run without its revision ${run.revisionId}`);
  return {
    ...run,
    patternId: leading.patternId,
    patternTitle: leading.title,
    revisionNumber: leading.number,
    designs,
  };
}

function designOf({ patterns }: Store, revisionId: string): RunDesign[] {
  const revision = patterns.findRevision(revisionId);
  if (!revision) return [];
  const { patternId, number, document } = revision;
  const pattern = patterns.find(patternId);
  const newest = pattern?.revision ?? { id: revisionId, number };
  return [
    {
      revisionId,
      patternId,
      number,
      title: document.title,
      newestNumber: newest.number,
      newestRevisionId: newest.id,
      isWithdrawn: pattern === null || pattern.archivedAt !== null,
    },
  ];
}
