import type { NeedleTray } from '@lanakit/core/api';
import { isEqual } from '@lanakit/core/base';
import {
  checkTap,
  emptyLine,
  isProblems,
  type NeedleKit,
  type ResolveInput,
  type Tap,
  type TapInput,
  tapsToClose,
  tapsToResolve,
  type TrayLine,
  trayOf,
} from '@lanakit/core/needles';
import type { Run } from '@lanakit/core/run';
import { toMilli } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';
import type { Signature } from '../db/runs.ts';
import type { KnownTap } from '../db/trays.ts';
import type { ServiceDeps } from './deps.ts';
import { answering, assertSound, foundOr, Refusal } from './refusal.ts';
import { kitOfRun } from './runDrawing.ts';
import { breakages } from './runSources.ts';

export type TrayService = ReturnType<typeof trayService>;

/** Needles of a class: counted out and in by taps, closed, and what is missing resolved. */
export function trayService({ store, now, newId }: ServiceDeps) {
  const { runs, trays } = store;
  const at = () => now().toISOString();
  const found = (id: string): Run => foundOr(runs.find(id));
  const tray = (runId: string): NeedleTray => ({
    lines: trayOf(trays.taps(runId)),
    closedAt: trays.closedAt(runId),
  });
  const lineOf = (runId: string, needleId: string): TrayLine =>
    trayOf(trays.taps(runId)).find((line) => line.needleId === needleId) ?? emptyLine(needleId);
  const put = (run: Run, key: string, tap: Tap, by: Signature, note = '') => {
    trays.tap(key, run.id, tap, { note, by, at: at() });
    moveStock(store, run, tap, at());
  };
  /** Whether this key did just this before. @throws Refusal key_used where it did something else */
  const isDone = (key: string, wanted: KnownTap): boolean => {
    const before = trays.tapOf(key);
    if (before === null) return false;
    if (!isEqual(before, wanted)) throw new Refusal({ code: 'key_used' });
    return true;
  };
  const assertKnown = (needleId: string) => {
    if (store.shelf.needle(needleId)) return;
    assertSound([{ code: 'field_wrong', pointer: '/needleId', reason: 'names no needle of the shelf' }]);
  };
  /** All of it or nothing; what comes of it is how the tray stands. */
  const counting = (id: string, work: (run: Run) => void): NeedleTray =>
    store.together(() => {
      const run = found(id);
      work(run);
      return tray(run.id);
    });

  return answering({
    find: (id: string): NeedleTray => tray(found(id).id),
    /** Sent twice it counts once. */
    tap: (id: string, { key, from = null, ...tap }: TapInput, device: string): NeedleTray =>
      counting(id, (run) => {
        if (isDone(key, { ...tap, runId: id, note: '' })) return;
        if (trays.closedAt(id) !== null) throw new Refusal({ code: 'tray_closed' });
        assertKnown(tap.needleId);
        assertSound(checkTap(lineOf(id, tap.needleId), tap));
        put(run, key, tap, { device, from });
      }),
    /** Everybody has gone: what is still out is missing. */
    close: (id: string, device: string): NeedleTray =>
      counting(id, (run) => {
        const { lines, closedAt } = tray(id);
        if (closedAt !== null) throw new Refusal({ code: 'tray_closed' });
        if (lines.length === 0) throw new Refusal({ code: 'tray_empty' });
        for (const tap of tapsToClose(lines)) put(run, newId(), tap, { device, from: null });
        const exposure = exposureByNeedle(kitOfRun(store, run));
        for (const { needleId } of lines) trays.close(id, needleId, exposure.get(needleId) ?? 0, at());
      }),
    /** Count on: what was missing is out again. */
    reopen: (id: string, device: string): NeedleTray =>
      counting(id, (run) => {
        for (const { needleId, missing } of tray(id).lines) {
          if (missing === 0) continue;
          const tap: Tap = { needleId, pile: 'missing', amount: -missing };
          put(run, newId(), tap, { device, from: null });
        }
        trays.reopen(id);
      }),
    /** A missing needle is found, or given up with a reason. */
    resolve: (id: string, input: ResolveInput, device: string): NeedleTray =>
      counting(id, (run) => {
        assertKnown(input.needleId);
        const keys = [0, 1].map((index) => `${input.key.slice(0, 36)}-${index}`);
        const { needleId, how, amount } = input;
        const note = input.note.trim();
        const last = { runId: id, needleId, pile: how === 'found' ? 'in' : how, amount, note } as const;
        if (isDone(keys[1] ?? '', last)) return;
        const taps = tapsToResolve(lineOf(id, input.needleId), input);
        if (isProblems(taps)) throw new Refusal({ code: 'content_invalid', problems: taps });
        taps.forEach((tap, index) => put(run, keys[index] ?? '', tap, { device, from: null }, note));
      }),
    evidence: () => breakages(store),
  });
}

/** Why a needle leaves the shelf, or comes back to it. Out and in again it was never gone. */
function moveStock(store: Store, run: Run, { needleId, pile, amount }: Tap, at: string): void {
  const isGone = pile !== 'out' && pile !== 'in';
  // What was never counted has no sum to keep.
  if (!isGone || store.stock.onHandHere(needleId, null) === null) return;
  store.stock.enter({
    itemId: needleId,
    lotId: null,
    amountMilli: -toMilli(amount),
    reason: amount < 0 ? 'returned' : pile === 'sold' ? 'packed' : 'spoiled',
    note: `${pile === 'missing' && amount < 0 ? 'no longer missing' : pile}, ${run.name}`.slice(0, 200),
    at,
  });
}

const exposureByNeedle = ({ lines }: NeedleKit): Map<string, number> => {
  const minutes = new Map<string, number>();
  for (const { needle, exposureMinutes } of lines) {
    if (needle) minutes.set(needle.id, (minutes.get(needle.id) ?? 0) + exposureMinutes);
  }
  return minutes;
};
