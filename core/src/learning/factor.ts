import type { Firmness, Packing } from '../shelf/index.ts';
import { MINUTES_SIGMA, SIGMA } from './sigmas.ts';

/** Something that is the same in many figures, and of which each weighing tells a little. */
export type Factor =
  /** How firm this person felts, in everything; `who` is empty for the studio’s own maker. */
  | { readonly kind: 'maker'; readonly who: string }
  /** How dense a fibre felts at a firmness, beside the maker’s hands. */
  | { readonly kind: 'felted'; readonly fibreId: string; readonly firmness: Firmness }
  /** How much of a fibre it takes to hide what lies beneath. */
  | { readonly kind: 'hiding'; readonly fibreId: string }
  /** How thick hair of a fibre is laid. */
  | { readonly kind: 'hair'; readonly fibreId: string }
  /** How tightly the studio’s maker packs wool before felting it. */
  | { readonly kind: 'packed'; readonly packing: Packing }
  /** How long this person takes, against others of the same practice. */
  | { readonly kind: 'pace'; readonly who: string }
  | { readonly kind: 'act'; readonly act: string }
  | { readonly kind: 'skill'; readonly skill: string };

/** The same for the same factor. */
export function factorKey(factor: Factor): string {
  switch (factor.kind) {
    case 'maker':
    case 'pace':
      return `${factor.kind} ${factor.who}`;
    case 'felted':
      return `felted ${factor.fibreId} ${factor.firmness}`;
    case 'hiding':
    case 'hair':
      return `${factor.kind} ${factor.fibreId}`;
    case 'packed':
      return `packed ${factor.packing}`;
    case 'act':
      return `act ${factor.act}`;
    case 'skill':
      return `skill ${factor.skill}`;
  }
}

const PRIOR_SIGMA: Readonly<Record<Factor['kind'], number>> = {
  maker: SIGMA.common,
  felted: SIGMA.coreShared,
  hiding: SIGMA.coatShared,
  hair: SIGMA.hairShared,
  packed: SIGMA.packing,
  pace: MINUTES_SIGMA.person,
  act: MINUTES_SIGMA.act,
  skill: MINUTES_SIGMA.skill,
};

/** How far a factor may be off before anything was weighed, σ of ln. */
export const priorSigma = ({ kind }: Factor): number => PRIOR_SIGMA[kind];
