import { type Belief, believedOf, covarianceOf } from './belief.ts';
import { type Factor, factorKey } from './factor.ts';
import type { FactorShare } from './observation.ts';
import type { Learnt } from './learnt.ts';

const OWN_MAKER: Factor = { kind: 'maker', who: '' };
const OWN_PACE: Factor = { kind: 'pace', who: '' };

/** What is in force once a belief is taken: of each factor by itself, and how much of the maker’s hands is in a fibre’s. */
export function learntFrom(belief: Belief, hands: Learnt['hands']): Learnt {
  const posterior = (...factors: readonly Factor[]) => {
    const of: FactorShare[] = factors.map((factor) => ({ factor, share: 1 }));
    return { ...believedOf(belief, of), samples: samplesOf(belief, factors.at(-1)) };
  };
  const every = <K extends Factor['kind']>(kind: K) =>
    belief.factors.filter((factor): factor is Extract<Factor, { kind: K }> => factor.kind === kind);
  const makerVariance = covarianceOf(belief, OWN_MAKER, OWN_MAKER);
  return {
    maker: posterior(OWN_MAKER),
    felted: every('felted').map((factor) => {
      const { ln, sigma, samples } = posterior(OWN_MAKER, factor);
      const makerSlope = 1 + covarianceOf(belief, factor, OWN_MAKER) / makerVariance;
      const ownVariance = Math.max(0, sigma ** 2 - makerSlope ** 2 * makerVariance);
      const { fibreId, firmness } = factor;
      return { fibreId, firmness, ln, sigma: Math.sqrt(ownVariance), samples, makerSlope };
    }),
    hiding: every('hiding').map((factor) => ({ fibreId: factor.fibreId, ...posterior(factor) })),
    hair: every('hair').map((factor) => ({ fibreId: factor.fibreId, ...posterior(factor) })),
    packed: every('packed').map((factor) => ({ packing: factor.packing, ...posterior(factor) })),
    hands,
    skills: every('skill').map((factor) => ({ skill: factor.skill, ...posterior(factor) })),
    acts: every('act').map((factor) => ({ act: factor.act, ...posterior(factor) })),
    pace: posterior(OWN_PACE),
  };
}

function samplesOf({ places, samples }: Belief, factor: Factor | undefined): number {
  if (!factor) return 0;
  const place = places.get(factorKey(factor));
  return place === undefined ? 0 : (samples[place] ?? 0);
}

const NOTHING: Learnt = {
  maker: { ln: 0, sigma: 0, samples: 0 },
  felted: [],
  hiding: [],
  hair: [],
  packed: [],
  hands: [],
  skills: [],
  acts: [],
  pace: { ln: 0, sigma: 0, samples: 0 },
};

/** As if one factor alone were known, and exactly: to see what follows from it. @param ln how far it is off what is usual */
export function onlyOne(factor: Factor, ln: number): Learnt {
  const is = { ln, sigma: 0, samples: 0 };
  switch (factor.kind) {
    case 'maker':
      return { ...NOTHING, maker: is };
    case 'felted':
      return {
        ...NOTHING,
        felted: [{ fibreId: factor.fibreId, firmness: factor.firmness, makerSlope: 1, ...is }],
      };
    case 'hiding':
    case 'hair':
      return { ...NOTHING, [factor.kind]: [{ fibreId: factor.fibreId, ...is }] };
    case 'packed':
      return { ...NOTHING, packed: [{ packing: factor.packing, ...is }] };
    case 'pace':
      return { ...NOTHING, pace: is };
    case 'act':
      return { ...NOTHING, acts: [{ act: factor.act, ...is }] };
    case 'skill':
      return { ...NOTHING, skills: [{ skill: factor.skill, ...is }] };
  }
}
