import type { ScaleState } from './scaleState.ts';

/** What a scale has said since somebody asked it what lies there. */
export interface Asking {
  /** What it says over and over, grams; null: it still moves, or says nothing. */
  readonly massG: number | null;
  /** So many stable readings of it, one after the other. */
  readonly times: number;
}

export const JUST_ASKED: Asking = { massG: null, times: 0 };

/**
 * Said so often it is sure. The first may still be of what lay there before: a pan needs a moment until it moves, and a scale a
 * moment until it says so.
 */
const SURE_TIMES = 4;

/** After a reading. What moves, says nothing or says less than nothing is asked anew. */
export function afterAsked(asking: Asking, { massG, isStable, isHere }: ScaleState): Asking {
  if (!isHere || !isStable || massG === null || massG <= 0) return JUST_ASKED;
  return { massG, times: massG === asking.massG ? asking.times + 1 : 1 };
}

/** What lies there, grams; null: it is not sure yet. */
export const answerG = ({ massG, times }: Asking): number | null => (times >= SURE_TIMES ? massG : null);
