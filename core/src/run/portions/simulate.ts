import { normalFrom } from '../../base/index.ts';
import { type ClassNeeds, HAND_SHARE } from './classNeeds.ts';

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

// Taken once: of the millions of draws of a class each would look them up anew.
const { exp, sqrt } = Math;

/**
 * Makes a class many times, everybody straying by chance, and counts how often nobody was short.
 * @param bagsG what lies in the bag for all, by fibre; 0: each pack alone
 * @param random uniform, 0 ≤ x < 1
 * @param goOn told how far it is, 0–1; false stops it
 * @returns null where it was stopped
 */
export function simulateRun(
  needs: ClassNeeds,
  bagsG: readonly number[],
  tries: number,
  random: () => number,
  goOn: (share: number) => boolean = () => true,
): Simulated | null {
  const enoughOf = needs.fibres.map(() => 0);
  let [enough, came, learners] = [0, 0, 0];
  for (let done = 0; done < tries; done++) {
    if (done % CHUNK === 0 && !goOn(done / tries)) return null;
    const once = makeOnce(needs, random);
    came += once.came;
    learners += once.learners;
    let isEnough = true;
    once.beyondG.forEach((beyondG, at) => {
      if (beyondG <= (bagsG[at] ?? 0)) enoughOf[at] = (enoughOf[at] ?? 0) + 1;
      else isEnough = false;
    });
    if (isEnough) enough += 1;
  }
  return { tries, enough, enoughOf, cameFraction: learners > 0 ? came / learners : 0 };
}

/** What all of a class want beyond their packs, fibre by fibre, so that nobody would be short. */
function makeOnce({ fibres, makers, toleranceFraction }: ClassNeeds, random: () => number) {
  const common = normalFrom(random);
  const offBy = fibres.map(
    ({ commonSigma, sharedSigma }) => commonSigma * common + sharedSigma * normalFrom(random),
  );
  const beyondG = fibres.map(() => 0);
  let [came, learners] = [0, 0];
  for (const { count, sigma, takes } of makers) {
    const [handSigma, restSigma] = [sigma * sqrt(HAND_SHARE), sigma * sqrt(1 - HAND_SHARE)];
    for (let maker = 0; maker < count; maker++) {
      const hand = handSigma * normalFrom(random);
      for (const { at, likelyG, packedG } of takes) {
        const ln = (offBy[at] ?? 0) + hand + restSigma * normalFrom(random);
        const wantsG = (likelyG * exp(ln)) / (1 + toleranceFraction);
        learners += 1;
        if (wantsG <= packedG) continue;
        beyondG[at] = (beyondG[at] ?? 0) + wantsG - packedG;
        came += 1;
      }
    }
  }
  return { beyondG, came, learners };
}
