import { type Factor, factorKey, type Learnt, priorSigma } from '../learning/index.ts';

/** How sure something is: times what is usual, and its 10th and 90th percentile as a fraction about that. */
export interface LearntState {
  readonly factor: number;
  /** σ of ln. */
  readonly sigma: number;
  readonly samples: number;
}

/** One thing that is learnt, as it was before anything was weighed, as it is in force, and as everything weighed has it. */
export interface LearntRow {
  readonly key: string;
  readonly of: Factor;
  readonly before: LearntState;
  readonly inForce: LearntState;
  readonly now: LearntState;
}

/** All of a fibre’s, its maker’s hands in it. */
const stateOf = (ln: number, sigma: number, samples: number): LearntState => ({
  factor: Math.exp(ln),
  sigma,
  samples,
});

interface Told {
  readonly of: Factor;
  readonly state: LearntState;
}

function toldBy(learnt: Learnt): Told[] {
  const { maker } = learnt;
  return [
    ...(maker.samples > 0
      ? [{ of: { kind: 'maker', who: '' } as const, state: stateOf(maker.ln, maker.sigma, maker.samples) }]
      : []),
    ...learnt.felted.map(({ fibreId, firmness, ln, sigma, makerSlope, samples }) => ({
      of: { kind: 'felted', fibreId, firmness } as const,
      state: stateOf(ln, Math.hypot(sigma, makerSlope * maker.sigma), samples),
    })),
    ...(['hiding', 'hair'] as const).flatMap((kind) =>
      learnt[kind].map(({ fibreId, ln, sigma, samples }) => ({
        of: { kind, fibreId },
        state: stateOf(ln, sigma, samples),
      })),
    ),
    ...learnt.packed.map(({ packing, ln, sigma, samples }) => ({
      of: { kind: 'packed', packing } as const,
      state: stateOf(ln, sigma, samples),
    })),
    ...(learnt.pace.samples > 0
      ? [
          {
            of: { kind: 'pace', who: '' } as const,
            state: stateOf(learnt.pace.ln, learnt.pace.sigma, learnt.pace.samples),
          },
        ]
      : []),
    ...learnt.acts.map(({ act, ln, sigma, samples }) => ({
      of: { kind: 'act', act } as const,
      state: stateOf(ln, sigma, samples),
    })),
    ...learnt.skills.map(({ skill, ln, sigma, samples }) => ({
      of: { kind: 'skill', skill } as const,
      state: stateOf(ln, sigma, samples),
    })),
  ];
}

/** Before anything was weighed: of a fibre’s felting the maker’s own error is in it. */
const beforeAll = (of: Factor): LearntState =>
  stateOf(
    0,
    of.kind === 'felted'
      ? Math.hypot(priorSigma(of), priorSigma({ kind: 'maker', who: '' }))
      : priorSigma(of),
    0,
  );

/** @param inForce null: nothing was taken yet */
export function learntRows(inForce: Learnt | null, now: Learnt): LearntRow[] {
  const taken = new Map((inForce ? toldBy(inForce) : []).map(({ of, state }) => [factorKey(of), state]));
  return toldBy(now)
    .filter(({ state }) => state.samples > 0)
    .map(({ of, state }) => {
      const key = factorKey(of);
      const before = beforeAll(of);
      return { key, of, before, inForce: taken.get(key) ?? before, now: state };
    });
}
