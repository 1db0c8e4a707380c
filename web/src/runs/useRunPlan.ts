import type { Revision } from '@lanakit/core/api';
import type { FibreLookup, Wool } from '@lanakit/core/engine';
import {
  checkRun,
  type Designs,
  differenceOf,
  type FibreStock,
  type Frozen,
  type Pack,
  packsOf,
  portionsOfRun,
  restocked,
  revisionsOfRun,
  type RunDifference,
  type RunInput,
  type RunPortions,
  tellingFibres,
  thawPlan,
  thawWool,
  type ThingPromises,
  type ToPack,
  toPackOf,
} from '@lanakit/core/run';
import { useMemo } from 'react';
import { usePromised, useRevisionsById, useWool } from '../api/resources.ts';

/** A run as it is packed, or would be: its portions, and everything they are shown with. */
export interface InForce {
  readonly input: RunInput;
  readonly plan: RunPortions;
  readonly toPack: ToPack;
  readonly groups: ToPack['groups'];
  readonly estimates: ToPack['estimates'];
  readonly packs: readonly Pack[];
  /** The fibre each group is told by. */
  readonly telling: ReadonlyMap<string, string | null>;
  readonly wool: Wool;
  readonly shelf: FibreLookup;
  /** The leading one. */
  readonly revision: Revision;
  readonly revisions: ReadonlyMap<string, Revision>;
}

export interface Planned extends InForce {
  readonly kind: 'plan';
  /** As the terms and the shelf are now; the same as what is in force while it is only planned. */
  readonly live: InForce;
  /** What would be other now; null while it is only planned. */
  readonly difference: RunDifference | null;
  /** What is on the shelf and not promised to runs before. */
  readonly stockOf: (fibreId: string) => FibreStock;
  /** What runs before take of findings and needles. */
  readonly promised: ThingPromises;
}

export type RunPlan =
  { readonly kind: 'loading'; readonly error: Error | undefined } | { readonly kind: 'impossible' } | Planned;

/** The portions of a run as it stands on the screen, worked out here so that they follow every key. */
export function useRunPlan(runId: string, input: RunInput, frozen: Frozen | null): RunPlan {
  const { wool, isReady, error } = useWool();
  const ids = useMemo(
    () => [...new Set([...revisionsOfRun(input), ...(frozen ? revisionsOfRun(frozen.input) : [])])],
    [input, frozen],
  );
  const { data: revisions, error: revisionError } = useRevisionsById(ids);
  const { data: promised, error: promisedError } = usePromised(runId);
  const byId = useMemo(
    () => (revisions ? new Map(revisions.map((revision) => [revision.id, revision])) : null),
    [revisions],
  );
  const stockOf = useMemo(() => {
    const promisedG = new Map(promised?.items.map(({ fibreId, massG }) => [fibreId, massG]));
    return (fibreId: string): FibreStock => ({
      onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
      promisedG: promisedG.get(fibreId) ?? 0,
    });
  }, [promised, wool]);
  const then = useMemo(
    () => (frozen && byId && isReady ? frozenInForce(frozen, byId, stockOf) : null),
    [frozen, byId, isReady, stockOf],
  );
  return useMemo((): RunPlan => {
    const isThere = byId !== null && ids.every((id) => byId.has(id));
    if (!isThere || !isReady || !promised) {
      return { kind: 'loading', error: error ?? revisionError ?? promisedError };
    }
    if (checkRun({ ...input, name: input.name || '-' }).some(({ pointer }) => pointer !== '/date'))
      return { kind: 'impossible' };
    const live = inForceNow(input, byId, wool, stockOf);
    if (!live) return { kind: 'impossible' };
    const own = then ?? live;
    const difference = then ? differenceOf(then, { plan: live.plan, groups: live.groups, input }) : null;
    const promisedThings = new Map(promised.things.map(({ itemId, ...thing }) => [itemId, thing]));
    return { kind: 'plan', ...own, live, difference, stockOf, promised: promisedThings };
  }, [ids, byId, isReady, promised, input, wool, then, stockOf, error, revisionError, promisedError]);
}

type Revisions = ReadonlyMap<string, Revision>;

/** The patterns of revisions, by their id. */
export const designsOf = (revisions: Revisions): Designs =>
  new Map([...revisions].map(([id, { document }]) => [id, document]));

function inForceNow(
  input: RunInput,
  revisions: Revisions,
  wool: Wool,
  stockOf: (fibreId: string) => FibreStock,
): InForce | null {
  const toPack = toPackOf(designsOf(revisions), input, wool);
  return shown(input, revisions, wool, toPack, portionsOfRun(toPack, input, stockOf));
}

/** The numbers as they were written down; only what is free and short follows the shelf. */
function frozenInForce(
  frozen: Frozen,
  revisions: Revisions,
  stockOf: (fibreId: string) => FibreStock,
): InForce | null {
  const wool = thawWool(frozen);
  const toPack = toPackOf(designsOf(revisions), frozen.input, wool);
  return shown(frozen.input, revisions, wool, toPack, restocked(thawPlan(frozen), stockOf));
}

function shown(
  input: RunInput,
  revisions: Revisions,
  wool: Wool,
  toPack: ToPack,
  plan: RunPortions,
): InForce | null {
  const revision = revisions.get(input.revisionId);
  if (!revision) return null;
  return {
    input,
    plan,
    toPack,
    groups: toPack.groups,
    estimates: toPack.estimates,
    packs: packsOf(toPack.groups, input.roster),
    telling: tellingFibres(toPack.estimates),
    wool,
    shelf: wool.fibres,
    revision,
    revisions,
  };
}
