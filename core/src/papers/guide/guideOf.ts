import { estimatePattern, type Wool } from '../../engine/index.ts';
import { guidePieces } from '../../figure/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PageSize } from '../../run/index.ts';
import { type Guide, layoutGuide } from './layoutGuide.ts';

/** One build that a guide is for. Plain data: it crosses into a worker. */
export interface GuideOfBuild {
  /** With its options resolved, in its size. */
  readonly build: Pattern;
  /** As it was written: it numbers the parts. */
  readonly whole: Pick<Pattern, 'parts'>;
  /** Whose it is or in which size; empty where that goes without saying. */
  readonly forWhom: string;
}

/** What a guide is printed from. */
export interface GuideRequest {
  readonly title: string;
  readonly builds: readonly GuideOfBuild[];
}

/** The guide of some builds at true size: the one way, for the screen and for files. */
export function guideOf({ title, builds }: GuideRequest, wool: Wool, page: PageSize): Guide {
  const pieces = guidePieces(
    builds.map(({ build, whole }) => ({
      build,
      whole,
      estimate: estimatePattern(build, wool),
      findings: wool.findings,
    })),
  );
  return layoutGuide(
    {
      title,
      pieces,
      builds: builds.map(({ build }) => build),
      forWhom: builds.map(({ forWhom }) => forWhom),
    },
    page,
  );
}
