import type { FibreNeed } from './howSure.ts';

/** A fibre with its packs, and what lies in the bag for all. */
export interface NeedWithBag extends FibreNeed {
  /** 0: each pack alone. */
  readonly bagG: number;
}

/** What came of making a class many times over. */
export interface Simulated {
  readonly tries: number;
  /** In which nobody was short of anything. */
  readonly enough: number;
  /** In which nobody was short of this fibre, in the order of the fibres. */
  readonly enoughOf: readonly number[];
  /** Learners who came to the bag for it, of all learners. */
  readonly cameFraction: number;
}

/** Tries between two looks at whether to go on. */
const CHUNK = 250;

/** A number of the standard normal distribution from two uniform ones (Box and Muller, 1958). */
const normalFrom = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * Makes a class many times, everybody straying by chance, and counts how often nobody was short.
 * @param random uniform, 0 ≤ x < 1
 * @param goOn told how far it is, 0–1; false stops it
 * @returns null where it was stopped
 */
export function simulateRun(
  fibres: readonly NeedWithBag[],
  tries: number,
  random: () => number,
  goOn: (share: number) => boolean = () => true,
): Simulated | null {
  const enoughOf = fibres.map(() => 0);
  let [enough, came, learners] = [0, 0, 0];
  for (let done = 0; done < tries; done++) {
    if (done % CHUNK === 0 && !goOn(done / tries)) return null;
    let isEnough = true;
    fibres.forEach((fibre, at) => {
      const one = makeOnce(fibre, random);
      came += one.came;
      learners += one.learners;
      if (one.isEnough) enoughOf[at] = (enoughOf[at] ?? 0) + 1;
      else isEnough = false;
    });
    if (isEnough) enough += 1;
  }
  return { tries, enough, enoughOf, cameFraction: learners > 0 ? came / learners : 0 };
}

function makeOnce({ needs, sharedSigma, bagG }: NeedWithBag, random: () => number) {
  const offBy = sharedSigma * normalFrom(random);
  let [beyondG, came, learners] = [0, 0, 0];
  for (const { likelyG, packedG, sigma, count } of needs) {
    for (let seat = 0; seat < count; seat++) {
      const takesG = likelyG * Math.exp(offBy + sigma * normalFrom(random));
      learners += 1;
      if (takesG <= packedG) continue;
      beyondG += takesG - packedG;
      came += 1;
    }
  }
  return { isEnough: beyondG <= bagG, came, learners };
}

/** Uniform numbers from a seed, always the same: a 32-bit linear congruential generator (Numerical Recipes). */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
