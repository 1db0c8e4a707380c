import { type Pattern, type Surroundings, surroundingsOf } from '@lanakit/core/pattern';
import type { Store } from '../db/index.ts';

/** The patterns around one of the studio. @param document of its draft or of a revision: what that says of others counts */
export const surroundingsIn = (store: Store, id: string, { title, series, related }: Pattern): Surroundings =>
  surroundingsOf({ id, title, series, related }, store.patterns.named());
