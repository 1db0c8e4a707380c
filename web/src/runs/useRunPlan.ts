import {
  checkRun,
  type FibreLookup,
  type PackGroup,
  type PatternEstimate,
  portionsOfRun,
  type Revision,
  type RunInput,
  type RunPortions,
  tellingFibres,
  toPackOf,
  type Wool,
} from '@lanakit/core';
import { useMemo } from 'react';
import { usePromised, useRevision, useWool } from '../api/resources.ts';

export type RunPlan =
  | { readonly kind: 'loading'; readonly error: Error | undefined }
  | { readonly kind: 'impossible' }
  | {
      readonly kind: 'plan';
      readonly plan: RunPortions;
      /** Packs that are alike, most first; in the order of the plan’s. */
      readonly groups: readonly PackGroup[];
      /** By the group’s key. */
      readonly estimates: ReadonlyMap<string, PatternEstimate>;
      /** The fibre each group is told by. */
      readonly telling: ReadonlyMap<string, string | null>;
      readonly revision: Revision;
      readonly shelf: FibreLookup;
      readonly wool: Wool;
    };
export type Planned = RunPlan & { kind: 'plan' };

/** The portions of a class as it stands on the screen, worked out here so that they follow every key. */
export function useRunPlan(runId: string, input: RunInput | null): RunPlan {
  const { wool, isReady, error } = useWool();
  const { data: revision, error: revisionError } = useRevision(input?.revisionId ?? null);
  const { data: promised, error: promisedError } = usePromised(runId);
  const { seats = 0, sparePacks = 0, roster = NOBODY, skill = 'some', wantedChance = null } = input ?? {};
  const document = revision?.document;
  const toPack = useMemo(
    () =>
      document && isReady
        ? toPackOf(document, { seats, sparePacks, roster: [...roster], skill, wantedChance }, wool)
        : null,
    [document, isReady, seats, sparePacks, roster, skill, wantedChance, wool],
  );
  return useMemo((): RunPlan => {
    if (!toPack || !revision || !promised || !input) {
      return { kind: 'loading', error: error ?? revisionError ?? promisedError };
    }
    if (checkRun({ ...input, name: input.name || '-' }).some(({ pointer }) => pointer !== '/date'))
      return { kind: 'impossible' };
    const promisedG = new Map(promised.items.map(({ fibreId, massG }) => [fibreId, massG]));
    const plan = portionsOfRun(toPack, input, (fibreId) => ({
      onHandG: wool.fibres.get(fibreId)?.onHandG ?? null,
      promisedG: promisedG.get(fibreId) ?? 0,
    }));
    const telling = tellingFibres(toPack.estimates);
    return { kind: 'plan', plan, ...toPack, telling, revision, shelf: wool.fibres, wool };
  }, [toPack, revision, promised, input, wool, error, revisionError, promisedError]);
}

const NOBODY: readonly never[] = [];
