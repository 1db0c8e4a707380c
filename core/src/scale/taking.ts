import type { ScaleState } from './scaleState.ts';
import { balanceOf, type WantedMass } from './weighing.ts';

/** Where one stands between two weighings that take themselves. */
export interface Taking {
  /**
   * What was taken last still lies there, grams: nothing is taken before it is off the pan, else one portion would be taken for
   * two packs that want the same. Null: it is off.
   */
  readonly liesG: number | null;
}

export const READY: Taking = { liesG: null };

/** What a reading came to. */
interface Taken {
  readonly taking: Taking;
  /** It lies there, right and stable: kept by itself; null: nothing yet. */
  readonly massG: number | null;
}

/** Off the pan: less than so much of it still lies there. */
const OFF_FRACTION = 0.5;

/** A scale that wanders by a step at nought must not take nothing for something. */
const LEAST_STEPS = 2;

const isHardlyAnything = (massG: number, { stepG }: ScaleState): boolean =>
  massG < LEAST_STEPS * (stepG ?? 0) - 1e-6;

/** Whether what was taken, or asked about, still lies there; of a scale that says nothing nobody knows that it does not. */
export const isStillOn = ({ liesG }: Taking, { massG }: Pick<ScaleState, 'massG'>): boolean =>
  liesG !== null && (massG === null || massG >= liesG * OFF_FRACTION);

/** After a reading: takes what is right and stable, once. */
export function afterReading(taking: Taking, wanted: WantedMass, scale: ScaleState): Taken {
  const { massG, isStable } = scale;
  if (isStillOn(taking, scale)) return { taking, massG: null };
  if (
    massG === null ||
    !isStable ||
    isHardlyAnything(massG, scale) ||
    balanceOf(wanted, scale).kind !== 'right'
  )
    return { taking: READY, massG: null };
  return { taking: { liesG: massG }, massG };
}

/** A container that was tared before, put on again: its mass is known by heart. */
export function isContainer(containerG: number | null, wanted: WantedMass, scale: ScaleState): boolean {
  if (containerG === null || containerG <= 0 || scale.massG === null || !scale.isStable) return false;
  const step = scale.stepG ?? 0.1;
  const isIt = Math.abs(scale.massG - containerG) <= step + 1e-6;
  // What might as well be the wool itself is not taken for a bowl.
  const mightBeWool = Math.abs(scale.massG - wanted.massG) <= wanted.toleranceG + 2 * step;
  return isIt && !mightBeWool;
}
