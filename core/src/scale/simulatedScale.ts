import { normalFrom, roundToMicrogram, seededRandom } from '../base/index.ts';
import type { ScaleLine } from './protocol.ts';

/** A small kitchen scale of good make. Grams. */
export const SIMULATED_SCALE = { stepG: 0.1, mostG: 500 } as const;

/** What it swings about as a damped spring: angular frequency, 1/s, and damping; within 2 % after 4 ÷ (ζ·ω) = 0.95 s. */
const [SWING, DAMPING] = [6, 0.7];
/** Of a step: what each reading strays by, and what its nought wanders by in a second. */
const [NOISE, DRIFT] = [0.12, 0.01];
/** Within one step for so long it is stable. */
const STABLE_S = 0.6;
/** The spring is followed in such small times, s: within half a hundredth of its closed form. */
const SLICE_S = 0.002;
/** A nudge: what the pan is pressed by, of what it carries at most. */
const NUDGE_FRACTION = 0.04;
/** So far off nought an empty pan finds back to it by itself. */
const TRACKED_STEPS = 3;
/** Lifted off by more than so many steps below nought it says `under`. */
const UNDER_STEPS = 20;

/** What can be done to it. */
export type ScaleAct =
  | { readonly act: 'put'; readonly massG: number }
  | { readonly act: 'take'; readonly massG: number }
  | { readonly act: 'clear' }
  | { readonly act: 'tare' }
  | { readonly act: 'zero' }
  | { readonly act: 'nudge' }
  | { readonly act: 'unplug' }
  | { readonly act: 'plug' }
  | { readonly act: 'battery'; readonly isLow: boolean };

/** A scale that is not there. Times in seconds, masses in grams. */
export interface SimulatedScale {
  /** @returns what it says at once */
  readonly do: (act: ScaleAct) => ScaleLine[];
  /** So much later. @returns what it says by then: one reading */
  readonly after: (seconds: number) => ScaleLine[];
  readonly loadG: () => number;
  readonly isPlugged: () => boolean;
}

/** A pan on a damped spring, followed in small slices. */
function springPan() {
  let [loadG, atG, speed] = [0, 0, 0];
  return {
    load: (change: (loadG: number) => number): void => void (loadG = Math.max(0, change(loadG))),
    loadG: () => loadG,
    /** Where it is now, as the mass that would hold it there. */
    atG: () => atG,
    press: (gramsPerSecond: number): void => void (speed += gramsPerSecond),
    swing(seconds: number): void {
      for (let left = seconds; left > 1e-9; left -= SLICE_S) {
        const slice = Math.min(SLICE_S, left);
        speed += (SWING ** 2 * (loadG - atG) - 2 * DAMPING * SWING * speed) * slice;
        atG += speed * slice;
      }
    },
  };
}

/** When what it shows has stood still long enough. @returns what it is stable at, in steps; null: not yet */
function steadiness() {
  let [steadyS, atSteps] = [0, 0];
  return {
    begin: (): void => void ([steadyS, atSteps] = [0, 0]),
    stableAt(steps: number, seconds: number): number | null {
      const isNear = Math.abs(steps - atSteps) <= 1;
      steadyS = isNear ? steadyS + seconds : 0;
      if (!isNear) atSteps = steps;
      return steadyS >= STABLE_S ? atSteps : null;
    },
  };
}

/**
 * Reading = round((swinging load + drift + noise − tare) ÷ step) · step.
 * @param seed of its noise
 */
export function simulatedScale(
  seed: number,
  { stepG, mostG }: { readonly stepG: number; readonly mostG: number } = SIMULATED_SCALE,
): SimulatedScale {
  const [random, pan, steady] = [seededRandom(seed), springPan(), steadiness()];
  const hello: ScaleLine = { kind: 'hello', unit: 'g', stepG, mostG };
  let [driftG, tareG, isPlugged, isLow] = [0, 0, true, false];
  const whilePlugged = (lines: () => ScaleLine[]) => (isPlugged ? lines() : []);
  const reading = (seconds: number): ScaleLine => {
    driftG += normalFrom(random) * DRIFT * stepG * Math.sqrt(seconds);
    const steps = Math.round((pan.atG() + driftG - tareG) / stepG + normalFrom(random) * NOISE);
    const stableAt = steady.stableAt(steps, seconds);
    // Zero tracking, as scales have it: what is stable at nought is nought, else an hour's wandering would be a tenth of a gram.
    const offG = pan.atG() + driftG - tareG;
    const isAtNought = stableAt === 0 && Math.abs(offG) < stepG / 2;
    // What wandered under a load is found when the load is lifted off.
    const isEmptied =
      stableAt !== null && Math.abs(pan.atG()) < stepG / 2 && Math.abs(offG) < TRACKED_STEPS * stepG;
    if (isAtNought || isEmptied) driftG -= offG;
    // What it was steady at is not where it is any more.
    if (isEmptied && stableAt !== 0) steady.begin();
    if (pan.atG() > mostG) return { kind: 'fault', fault: 'over' };
    if (steps < -UNDER_STEPS && tareG < stepG / 2) return { kind: 'fault', fault: 'under' };
    // Once it is stable it shows what it is stable at, and not every flicker about it; nought has no sign.
    const massG = roundToMicrogram((stableAt ?? steps) * stepG) + 0;
    return { kind: 'reading', massG, isStable: stableAt !== null };
  };
  const tare = (): ScaleLine[] => {
    tareG = pan.atG() + driftG;
    steady.begin();
    return [{ kind: 'tare', massG: roundToMicrogram(Math.round(tareG / stepG) * stepG) }];
  };
  const acts: { readonly [A in ScaleAct['act']]: (act: Extract<ScaleAct, { act: A }>) => ScaleLine[] } = {
    put: ({ massG }) => (pan.load((loadG) => loadG + massG), []),
    take: ({ massG }) => (pan.load((loadG) => loadG - massG), []),
    clear: () => (pan.load(() => 0), []),
    nudge: () => (pan.press(NUDGE_FRACTION * mostG * SWING), []),
    tare: () => whilePlugged(tare),
    zero: () => {
      [driftG, tareG] = [0, 0];
      return whilePlugged(() => [{ kind: 'tare', massG: 0 }]);
    },
    unplug: () => ((isPlugged = false), []),
    plug: () => {
      [isPlugged, tareG, driftG] = [true, 0, 0];
      steady.begin();
      return [hello, { kind: 'tare', massG: 0 }, ...(isLow ? [{ kind: 'battery', isLow } as const] : [])];
    },
    battery: (act) => {
      isLow = act.isLow;
      return whilePlugged(() => [{ kind: 'battery', isLow }]);
    },
  };
  return {
    // Each act has the rule of its own kind.
    do: (act) => acts[act.act](act as never),
    after(seconds) {
      pan.swing(seconds);
      return whilePlugged(() => [reading(seconds)]);
    },
    loadG: pan.loadG,
    isPlugged: () => isPlugged,
  };
}
