import type { Revision } from '@lanakit/core/api';
import { type Wool, woolOnShelf } from '@lanakit/core/engine';
import {
  type Designs,
  type FibreStock,
  inDrawingOrder,
  isOffShelf,
  portionsOfRun,
  restocked,
  revisionsOfRun,
  type Run,
  type RunInput,
  type RunPortions,
  type Takings,
  takingsOfPlan,
  thawPlan,
  thawWool,
  type ToPack,
  toPackOf,
} from '@lanakit/core/run';
import type { Store } from '../db/index.ts';

/** The shelf as the engine looks wool up. */
export const shelfOf = ({ shelf, stock, remember }: Store): Wool =>
  remember('shelf', () => {
    const fibres = shelf.fibres();
    return {
      fibres: woolOnShelf(fibres, shelf.blends(fibres)),
      findings: new Map(shelf.findings().map((finding) => [finding.id, finding])),
      handMeasures: stock.handMeasures(),
    };
  });

/** A run's leading revision; a run cannot exist without one (foreign key). */
export function revisionOf(store: Store, run: Pick<Run, 'revisionId'>): Revision {
  const revision = store.patterns.findRevision(run.revisionId);
  if (!revision) throw new Error(`run without its revision ${run.revisionId}`);
  return revision;
}

/** The patterns a run is pinned to. */
export const designsOf = (store: Store, run: RunInput): Designs =>
  new Map(
    revisionsOfRun(run).flatMap((id) => {
      const revision = store.patterns.findRevision(id);
      return revision ? [[id, revision.document] as const] : [];
    }),
  );

/** What is there of a fibre, and what runs before will take. */
export const stockIn =
  (wool: Wool, promised: ReadonlyMap<string, number>) =>
  (fibreId: string): FibreStock => ({
    onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
    promisedG: promised.get(fibreId) ?? 0,
  });

/** What a run would be packed from and with, as its terms and the shelf are now. */
export function livePlan(
  store: Store,
  run: RunInput,
  wool: Wool,
  promised: ReadonlyMap<string, number>,
): { readonly toPack: ToPack; readonly plan: RunPortions } {
  const toPack = toPackOf(designsOf(store, run), run, wool);
  return { toPack, plan: portionsOfRun(toPack, run, stockIn(wool, promised)) };
}

/** The portions of a run: once it counts, as they were then, against the shelf as it is. */
export function planRun(
  store: Store,
  run: Run,
  wool: Wool,
  promised: ReadonlyMap<string, number>,
): RunPortions {
  const plan = store.remember(`plan of ${run.id}`, () => {
    const frozen = store.runs.frozen(run.id);
    return frozen ? thawPlan(frozen) : livePlan(store, run, wool, new Map()).plan;
  });
  return restocked(plan, stockIn(wool, promised));
}

/** What a run takes of each fibre, whatever is on hand. */
export function takingsOf(store: Store, run: Run, wool: Wool): Takings {
  return takingsOfPlan(planRun(store, run, wool, new Map()));
}

/** What a run is packed from: as it was when it counted, else as it would be now. */
export interface PackedFrom {
  readonly input: RunInput;
  readonly toPack: ToPack;
}

export const packedFrom = (store: Store, run: Run, wool: Wool): PackedFrom =>
  store.remember(`packed from, ${run.id}`, () => {
    const frozen = store.runs.frozen(run.id);
    return frozen
      ? {
          input: frozen.input,
          toPack: toPackOf(designsOf(store, frozen.input), frozen.input, thawWool(frozen)),
        }
      : { input: run, toPack: toPackOf(designsOf(store, run), run, wool) };
  });

/** Runs ahead that still draw on the shelf, in the order in which they do. */
export const drawingAhead = (store: Store, today: string): Run[] =>
  inDrawingOrder(store.runs.ahead(today).filter(({ state }) => !isOffShelf(state)));
