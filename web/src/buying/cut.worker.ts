import { type PieceToCut, planCut, type PlannedCut } from '@lanakit/core/buying';
import type { CuttingTerms, PackPieces } from '@lanakit/core/cutting';
import type { Finding } from '@lanakit/core/shelf';
import { highsSolvers } from '@lanakit/core/solving';
import { expose } from 'comlink';
import wasmUrl from 'highs/runtime?url';

const LIMIT_S = 4;
const solvers = highsSolvers(() => wasmUrl);

const api = {
  plan: async (
    finding: Finding,
    pieces: readonly PieceToCut[],
    packs: readonly PackPieces[],
    terms: CuttingTerms,
  ): Promise<PlannedCut> => planCut(finding, pieces, packs, terms, await solvers, LIMIT_S),
};
export type CutApi = typeof api;

expose(api);
