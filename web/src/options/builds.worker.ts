import { type BuildSummary, type Pattern, summariseBuilds, type Wool } from '@lanakit/core';
import { expose } from 'comlink';

const api = {
  summarise: (pattern: Pattern, wool: Wool, onProgress: (fraction: number) => void): BuildSummary[] =>
    summariseBuilds(pattern, wool, (done, of) => {
      onProgress(done / of);
      return true;
    }) ?? [],
};
export type BuildsApi = typeof api;

expose(api);
