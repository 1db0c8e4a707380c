import type { Tapped } from '@lanakit/core/needles';
import { useSyncExternalStore } from 'react';
import { Outbox } from '../draft/outbox.ts';

export interface UnsentTap {
  readonly needleId: string;
  readonly pile: Tapped;
  readonly amount: number;
}

const boxes = new Map<string, Outbox<UnsentTap>>();

/** Taps at the tray of a run that were made here and are not yet with the server. */
export function unsentTaps(runId: string): Outbox<UnsentTap> {
  const outbox = boxes.get(runId) ?? new Outbox<UnsentTap>(`taps/${runId}`);
  boxes.set(runId, outbox);
  return outbox;
}

/** How many there are of them. */
export function useUnsentTaps(runId: string): number {
  const outbox = unsentTaps(runId);
  return useSyncExternalStore(outbox.watch, () => outbox.waiting).length;
}
