import { keptAs } from '../api/studio.ts';

/** How much lies on this device that the studio does not have yet. */
export interface WaitingHere {
  /** Ticks and taps. */
  readonly done: number;
  /** Patterns, runs and things that were being written. */
  readonly drafts: number;
}

/** Told where a device is no longer let in: what was done on it is not lost. */
export function waitingHere(): WaitingHere {
  try {
    const keys = Object.keys(localStorage);
    const count = (start: string) => keys.filter((key) => key.startsWith(keptAs(start))).length;
    return { done: count('out.'), drafts: count('draft.') };
  } catch {
    return { done: 0, drafts: 0 };
  }
}
