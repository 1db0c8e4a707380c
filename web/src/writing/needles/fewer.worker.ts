import { fewestChanges, type Ordering, type OrderingTask } from '@lanakit/core/needles';
import { expose } from 'comlink';

const api = {
  fewest: (task: OrderingTask, onProgress: (share: number) => void): Ordering | null =>
    fewestChanges(task, (share) => {
      onProgress(share);
      return true;
    }),
};
export type FewerApi = typeof api;

expose(api);
