import type { ClassNeeds } from '../../src/run/index.ts';
import { gaussian } from './random.ts';

// As in random.ts: taken once, for a class is drawn tens of thousands of times.
const { exp, sqrt } = Math;

interface Seats {
  readonly count: number;
  readonly sigma: number;
  /** Grams in the pack of each fibre over what is likely, 0.2 is a fifth more. */
  readonly extra: number;
}

/** A class whose fibres are alike but for how unsure they are; each seat likely takes 10 g of every one. */
export const classOf = (
  fibres: readonly (readonly [commonSigma: number, sharedSigma: number])[],
  seats: readonly Seats[],
  toleranceFraction = 0.1,
): ClassNeeds => ({
  fibres: fibres.map(([commonSigma, sharedSigma], at) => ({ fibreId: `f${at}`, commonSigma, sharedSigma })),
  makers: seats.map(({ count, sigma, extra }, at) => ({
    groupKey: `g${at}`,
    count,
    sigma,
    takes: fibres.map((_, fibre) => ({ at: fibre, likelyG: 10, packedG: 10 * (1 + extra) })),
  })),
  toleranceFraction,
});

/**
 * The judge: classes drawn one by one, by the model as computation.md tells it and none of the core's code. How often
 * nobody wanted more than the tolerance over what they had, pack and bag together.
 */
export function drawnShare(
  { fibres, makers, toleranceFraction }: ClassNeeds,
  bagsG: readonly number[],
  classes: number,
  seed: number,
): { enough: number; came: number } {
  const draw = gaussian(seed);
  let [enough, came, takes] = [0, 0, 0];
  for (let drawn = 0; drawn < classes; drawn++) {
    const common = draw();
    const off = fibres.map((fibre) => fibre.commonSigma * common + fibre.sharedSigma * draw());
    const missing = fibres.map(() => 0);
    for (const maker of makers) {
      const [handSigma, restSigma] = [maker.sigma * sqrt(0.75), maker.sigma * sqrt(0.25)];
      for (let seat = 0; seat < maker.count; seat++) {
        const hand = draw() * handSigma;
        for (const { at, likelyG, packedG } of maker.takes) {
          const wants = likelyG * exp((off[at] ?? 0) + hand + draw() * restSigma);
          takes += 1;
          if (wants <= packedG * (1 + toleranceFraction)) continue;
          came += 1;
          missing[at] = (missing[at] ?? 0) + wants / (1 + toleranceFraction) - packedG;
        }
      }
    }
    if (missing.every((massG, at) => massG <= (bagsG[at] ?? 0))) enough += 1;
  }
  return { enough: enough / classes, came: came / takes };
}
