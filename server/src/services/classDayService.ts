import type { ClassDay, ClassEvents, ClassTook } from '@lanakit/core/api';
import { isEqual } from '@lanakit/core/base';
import { type ClassEventInput, eventsOf, inOrder } from '@lanakit/core/classDay';
import { classDayPlan } from '@lanakit/core/papers';
import { isOffShelf, type Run, seatsOf } from '@lanakit/core/run';
import type { PackPlace } from '../access/packSessions.ts';
import { todayOf, type ServiceDeps } from './deps.ts';
import { settleLeftOvers } from './leftOvers.ts';
import { paperSourceOf } from './paperSourceOf.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { shelfOf } from './runSources.ts';
import { tookOfRun } from './tookOfRun.ts';

export type ClassDayService = ReturnType<typeof classDayService>;

/** Clocks of devices may be a little ahead of the studio’s, and no more. */
const AHEAD_MS = 60_000;

/** All that a class as it is planned rests on. */
const PLANNED_BY = ['things', 'ledger', 'patterns', 'runs', 'needles'] as const;

/** The day of a class: what is planned for it, and what happens, act by act. */
export function classDayService({ store, now }: ServiceDeps) {
  const today = () => todayOf(now());
  const anyRun = (id: string): Run => foundOr(store.runs.find(id));
  const found = (id: string): Run => {
    const run = anyRun(id);
    if (run.kind !== 'class') throw new Refusal({ code: 'not_found' });
    return run;
  };
  const since = (runId: string, after: number): ClassEvents => ({
    items: store.classEvents.of(runId, after),
    now: now().toISOString(),
  });
  const plan = (run: Run) =>
    store.remember(PLANNED_BY, `class day, ${run.id}, ${today()}`, () =>
      classDayPlan(paperSourceOf(store, run, today())),
    );
  return answering({
    find: (runId: string): ClassDay => ({ plan: plan(found(runId)), ...since(runId, 0) }),
    /** Of boxes too: photos of them. */
    events: (runId: string, after: number): ClassEvents => since(anyRun(runId).id, after),
    /** Sent twice with one key it counts once. @param device from which it comes. @returns what that device did not know of */
    add: (runId: string, { key, at, ...event }: ClassEventInput, device: string): ClassEvents =>
      store.together(() => {
        const run =
          event.what.act === 'box-photo' || event.what.act === 'back' ? anyRun(runId) : found(runId);
        const before = store.classEvents.find(key);
        if (before) {
          if (before.runId !== runId || !isEqual(before.what, event.what))
            throw new Refusal({ code: 'key_used' });
          return since(runId, event.seen);
        }
        assertKnown(event.what);
        store.classEvents.add({ key, runId, device, at: notAhead(at, now()), ...event }, now().toISOString());
        if (event.what.act === 'left' || event.what.act === 'back')
          settleLeftOvers(store, run, now().toISOString());
        return since(runId, event.seen);
      }),
    /** A learner’s own hand, from the phone their pack’s code opened. */
    hand({ runId, number }: PackPlace, { key, isUp }: { readonly key: string; readonly isUp: boolean }) {
      const seatKey = seatKeyAt(found(runId), number);
      const what = { act: 'help', seatKey, isWanted: isUp } as const;
      if (store.classEvents.find(key) === null) {
        const at = now().toISOString();
        const seen = store.classEvents.of(runId).at(-1)?.seq ?? 0;
        store.classEvents.add(
          { key, runId, at, seen, device: `Phone of pack ${number}`, from: `pack-${number}`, what },
          at,
        );
      }
      return { isUp: isHandUp(runId, seatKey) };
    },
    handOf: ({ runId, number }: PackPlace) => ({ isUp: isHandUp(runId, seatKeyAt(found(runId), number)) }),
    /** What it took of each fibre, against what was planned. */
    took(runId: string): ClassTook {
      const run = found(runId);
      return { items: tookOfRun(store, run, today()), isOnShelf: isOffShelf(run.state) };
    },
  });

  function isHandUp(runId: string, seatKey: string): boolean {
    const helps = eventsOf(inOrder(store.classEvents.of(runId)), 'help');
    return helps.findLast(({ what }) => what.seatKey === seatKey)?.what.isWanted ?? false;
  }

  /** What an act names is there. */
  function assertKnown(what: ClassEventInput['what']): void {
    const isFibre = what.act === 'left' || what.act === 'spare';
    if (isFibre && !shelfOf(store).fibres.has(what.fibreId))
      assertSound([{ code: 'field_wrong', pointer: '/what/fibreId', reason: 'names no fibre of the shelf' }]);
    const isPhoto = what.act === 'photo' || what.act === 'box-photo';
    if (isPhoto && !store.classEvents.hasPicture(what.pictureId))
      assertSound([{ code: 'field_wrong', pointer: '/what/pictureId', reason: 'names no picture' }]);
  }
}

/** Who sits there is known by a key of their own. */
function seatKeyAt(run: Run, number: number): string {
  const seat = seatsOf(run).find((each) => each.seat === number);
  return foundOr(seat ?? null).key;
}

/** A clock that is wrong by a day would be the last word for a day. */
const notAhead = (at: string, now: Date): string =>
  Date.parse(at) > now.getTime() + AHEAD_MS ? now.toISOString() : new Date(at).toISOString();
