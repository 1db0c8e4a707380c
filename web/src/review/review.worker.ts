import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { readReview, type ReviewRead } from '@lanakit/core/words';
import { expose } from 'comlink';

let wool: Wool | null = null;

const api = {
  /** What lies on the shelf, for all that is asked after it. */
  takeWool: (next: Wool): void => {
    wool = next;
  },
  review: (pattern: Pattern): ReviewRead => {
    if (!wool) throw new Error('asked for a review before it had the shelf');
    return readReview(pattern, wool);
  },
};
export type ReviewApi = typeof api;

expose(api);
