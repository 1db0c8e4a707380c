import { type BuildSummary, summariseBuilds } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
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
