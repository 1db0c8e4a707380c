import { type Candidate, type Nearest, nearestColours } from '@lanakit/core/shelf';
import { expose } from 'comlink';

const api = {
  nearest: (
    wanted: string,
    candidates: readonly Candidate[],
    onProgress: (fraction: number) => void,
  ): Nearest => nearestColours(wanted, candidates, { onProgress }),
};
export type NearestApi = typeof api;

expose(api);
