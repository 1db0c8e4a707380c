import type { NeedleTray } from '@lanakit/core/api';
import {
  checkTap,
  emptyLine,
  isProblems,
  type NeedleKit,
  ResolveInput,
  type Tap,
  TapInput,
  tapsToClose,
  tapsToResolve,
  type TrayLine,
  trayOf,
} from '@lanakit/core/needles';
import { kitOfClass, type Run } from '@lanakit/core/run';
import { toMilli } from '@lanakit/core/shelf';
import { contentProblem, HttpProblem } from '../http/problems.ts';
import type { Reply, Route } from '../http/route.ts';
import type { Store } from '../db/index.ts';
import type { RouteDeps } from './deps.ts';
import { revisionOf, shelfOf } from './takings.ts';

/** Needles of a class: counted out and in by taps, closed, and what is missing resolved. */
export function trayRoutes({ store, now }: RouteDeps): Route[] {
  const { runs, trays } = store;
  const at = () => now().toISOString();
  const found = (id: string): Run => {
    const run = runs.find(id);
    if (!run) throw new HttpProblem('not_found');
    return run;
  };
  const tray = (runId: string): NeedleTray => ({
    lines: trayOf(trays.taps(runId)),
    closedAt: trays.closedAt(runId),
  });
  const lineOf = (runId: string, needleId: string): TrayLine =>
    trayOf(trays.taps(runId)).find((line) => line.needleId === needleId) ?? emptyLine(needleId);
  const answer = (runId: string): Reply => ({ status: 200, body: tray(runId) });
  const put = (run: Run, key: string, tap: Tap, note = '') => {
    if (trays.tap(key, run.id, tap, note, at())) moveStock(store, run, tap, at());
  };
  const knownNeedle = (needleId: string) => {
    if (!store.shelf.needle(needleId)) {
      throw contentProblem('content_invalid', [
        { code: 'field_wrong', pointer: '/needleId', reason: 'names no needle of the shelf' },
      ]);
    }
  };

  return [
    {
      method: 'get',
      path: '/runs/:id/tray',
      summary: 'Needles of a class, out and in',
      answers: [200],
      handle: ({ params: { id = '' } }) => answer(found(id).id),
    },
    {
      method: 'post',
      path: '/runs/:id/tray/taps',
      summary: 'One tap at the tray',
      body: TapInput,
      answers: [200],
      handle: ({ params: { id = '' }, body }) =>
        store.together(() => {
          const run = found(id);
          const { key, ...tap } = body as TapInput;
          if (trays.isKnown(key)) return answer(id);
          if (trays.closedAt(id) !== null) throw new HttpProblem('tray_closed');
          knownNeedle(tap.needleId);
          const problems = checkTap(lineOf(id, tap.needleId), tap);
          if (problems.length > 0) throw contentProblem('content_invalid', problems);
          put(run, key, tap);
          return answer(id);
        }),
    },
    {
      method: 'post',
      path: '/runs/:id/tray/close',
      summary: 'Everybody has gone: what is still out is missing',
      answers: [200],
      handle: ({ params: { id = '' } }) =>
        store.together(() => {
          const run = found(id);
          const { lines, closedAt } = tray(id);
          if (closedAt !== null) throw new HttpProblem('tray_closed');
          if (lines.length === 0) throw new HttpProblem('tray_empty');
          for (const tap of tapsToClose(lines)) put(run, keyOf(store, run, tap), tap);
          const exposure = exposureByNeedle(kitOfRun(store, run));
          for (const { needleId } of lines) trays.close(id, needleId, exposure.get(needleId) ?? 0, at());
          return answer(id);
        }),
    },
    {
      method: 'post',
      path: '/runs/:id/tray/reopen',
      summary: 'Count on: what was missing is out again',
      answers: [200],
      handle: ({ params: { id = '' } }) =>
        store.together(() => {
          const run = found(id);
          for (const { needleId, missing } of tray(id).lines) {
            if (missing === 0) continue;
            const tap: Tap = { needleId, pile: 'missing', amount: -missing };
            put(run, keyOf(store, run, tap), tap);
          }
          trays.reopen(id);
          return answer(id);
        }),
    },
    {
      method: 'post',
      path: '/runs/:id/tray/resolve',
      summary: 'A missing needle is found, or given up with a reason',
      body: ResolveInput,
      answers: [200],
      handle: ({ params: { id = '' }, body }) =>
        store.together(() => {
          const run = found(id);
          const input = body as ResolveInput;
          knownNeedle(input.needleId);
          const keys = [0, 1].map((index) => `${input.key.slice(0, 36)}-${index}`);
          if (trays.isKnown(keys[0] ?? '')) return answer(id);
          const taps = tapsToResolve(lineOf(id, input.needleId), input);
          if (isProblems(taps)) throw contentProblem('content_invalid', taps);
          taps.forEach((tap, index) => put(run, keys[index] ?? '', tap, input.note.trim()));
          return answer(id);
        }),
    },
    {
      method: 'get',
      path: '/needle-evidence',
      summary: 'How often needles of each gauge have broken',
      answers: [200],
      handle: () => ({ status: 200, body: { items: trays.evidence() } }),
    },
  ];
}

/** A key for a tap that the server makes: as many of them as there are taps of this run tell them apart. */
const keyOf = ({ trays }: Store, run: Run, { needleId, pile }: Tap): string =>
  `${pile}-${trays.count(run.id)}-${run.id.slice(0, 12)}-${needleId.slice(0, 12)}`;

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

/** The needles a class needs, from the shelf as it is. */
export const kitOfRun = (store: Store, run: Run): NeedleKit =>
  store.remember(
    `kit of ${run.id}`,
    () =>
      kitOfClass(run, {
        designs: new Map([[run.revisionId, revisionOf(store, run).document]]),
        wool: shelfOf(store),
        needles: store.shelf.needles(),
        evidence: store.trays.evidence(),
        tools: store.shelf.tools(),
      }).kit,
  );

const exposureByNeedle = ({ lines }: NeedleKit): Map<string, number> => {
  const minutes = new Map<string, number>();
  for (const { needle, exposureMinutes } of lines) {
    if (needle) minutes.set(needle.id, (minutes.get(needle.id) ?? 0) + exposureMinutes);
  }
  return minutes;
};
