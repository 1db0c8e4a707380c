import type { ClassEvent, SaidSort } from './event.ts';
import { eventsOf, inOrder } from './inOrder.ts';

/** A question, a trouble or an idea, waiting for the next revision. */
export interface SaidNow {
  readonly key: string;
  readonly at: string;
  readonly device: string | null;
  readonly sort: SaidSort;
  readonly revisionId: string;
  readonly stepId: string | null;
  readonly partId: string | null;
  readonly seatKey: string | null;
  readonly text: string;
}

/** What was said and seen, the newest first. */
export const saidNow = (all: readonly ClassEvent[]): SaidNow[] =>
  eventsOf(inOrder(all), 'said')
    .map(({ key, at, device, what: { act: _act, ...words } }) => ({ key, at, device, ...words }))
    .toReversed();
