import type { Revision } from '@lanakit/core/api';
import type { FibreLookup } from '@lanakit/core/engine';
import {
  checkRun,
  type Designs,
  differenceFrom,
  type FibreStock,
  type Frozen,
  type PackedRun,
  planOfToday,
  planWrittenDown,
  revisionsOfRun,
  type RunDifference,
  type RunInput,
  type RunSources,
  type Seat,
  stockIn,
  tellingFibres,
  type ThingPromises,
  type ToPack,
} from '@lanakit/core/run';
import { useMemo } from 'react';
import { usePromised, useRevisionsById, useWool } from '../api/queries.ts';

/** A run as it is packed, or would be, with what it is shown with. */
export interface ShownRun extends PackedRun {
  readonly groups: ToPack['groups'];
  readonly estimates: ToPack['estimates'];
  /** The fibre each group is told by. */
  readonly tellingFibreByGroup: ReadonlyMap<string, string | null>;
  readonly shelf: FibreLookup;
  /** The leading one. */
  readonly revision: Revision;
  readonly revisions: Revisions;
}

export interface Planned extends ShownRun {
  readonly kind: 'plan';
  /** As the terms and the shelf are now; the same as what is in force while it is only planned. */
  readonly live: ShownRun;
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
  const { wool: shelf, isReady, error } = useWool();
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
  const sources = useMemo(
    (): RunSources | null =>
      byId && isReady && promised
        ? {
            designs: designsOf(byId),
            shelf,
            promisedG: new Map(promised.items.map(({ fibreId, massG }) => [fibreId, massG])),
          }
        : null,
    [byId, isReady, promised, shelf],
  );
  // What was written down stays while a key changes only what would be now.
  const then = useMemo(
    () => (frozen && sources && byId ? shown(planWrittenDown(frozen, sources), byId) : null),
    [frozen, sources, byId],
  );
  return useMemo((): RunPlan => {
    if (!sources || !promised || !byId || !ids.every((id) => byId.has(id))) {
      return { kind: 'loading', error: error ?? revisionError ?? promisedError };
    }
    if (checkRun({ ...input, name: input.name || '-' }).some(({ pointer }) => pointer !== '/date'))
      return { kind: 'impossible' };
    const live = shown(planOfToday(input, sources), byId);
    if (!live) return { kind: 'impossible' };
    return {
      kind: 'plan',
      ...(then ?? live),
      live,
      difference: then ? differenceFrom(then, live) : null,
      stockOf: stockIn(sources),
      promised: new Map(promised.things.map(({ itemId, ...thing }) => [itemId, thing])),
    };
  }, [ids, byId, sources, promised, input, then, error, revisionError, promisedError]);
}

type Revisions = ReadonlyMap<string, Revision>;

/** The revision a seat makes: its own, else the class’s. */
export const revisionOfSeat = (
  { revisions, revision }: Pick<ShownRun, 'revisions' | 'revision'>,
  { revisionId }: Pick<Seat, 'revisionId'>,
): Revision => revisions.get(revisionId ?? '') ?? revision;

/** The patterns of revisions, by their id. */
export const designsOf = (revisions: Revisions): Designs =>
  new Map([...revisions].map(([id, { document }]) => [id, document]));

/** With what it is shown with; null where its leading revision is gone. */
function shown(packed: PackedRun, revisions: Revisions): ShownRun | null {
  const revision = revisions.get(packed.input.revisionId);
  if (!revision) return null;
  const { toPack, wool } = packed;
  return {
    ...packed,
    groups: toPack.groups,
    estimates: toPack.estimates,
    tellingFibreByGroup: tellingFibres(toPack.estimates),
    shelf: wool.fibres,
    revision,
    revisions,
  };
}
