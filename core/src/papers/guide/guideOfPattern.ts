import { resolveBuild } from '../../build/index.ts';
import type { Choices, Pattern } from '../../pattern/index.ts';
import { resizePattern } from '../../resize/index.ts';
import type { GuideRequest } from './guideOf.ts';

/**
 * What the guide of a pattern is printed from.
 * @param sizeFraction linear, of the size as written, within `RESIZE_BOUNDS`
 */
export function guideOfPattern(whole: Pattern, choices: Choices, sizeFraction: number): GuideRequest {
  const built = resolveBuild(whole, choices);
  const build = sizeFraction === 1 ? built : resizePattern(built, sizeFraction);
  return guideOfBuild(build, whole);
}

/** The same of a build that was made already. */
export const guideOfBuild = (build: Pattern, { parts }: Pick<Pattern, 'parts'>): GuideRequest => ({
  title: `${build.title}: guide at true size`,
  builds: [{ build, whole: { parts }, forWhom: '' }],
});
