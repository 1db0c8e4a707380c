import { type Designs, patternOfPack, patternsOfRun, type RunInput } from '../../run/index.ts';
import { sizedWords } from '../../words/index.ts';
import { forWhom } from '../forWhom.ts';
import type { GuideOfBuild, GuideRequest } from './guideOf.ts';

/**
 * What the guide of a run is printed from: every build of its packs, or those of one pack.
 * @param pack number of a seat or box; null: all of them
 * @returns null where no pack has that number
 */
export function guideOfRun(designs: Designs, input: RunInput, pack: number | null): GuideRequest | null {
  if (pack === null) {
    // A left hand makes the same pieces.
    const builds = patternsOfRun(designs, input).map(({ make, build, numbers, copies }): GuideOfBuild => {
      const size = sizedWords(make.sizeFraction);
      return {
        build,
        whole: make.pattern,
        forWhom: [size, forWhom(input, numbers, copies)].filter((word) => word !== '').join(', '),
      };
    });
    return { title: `${input.name}: guide at true size`, builds };
  }
  const builds: GuideOfBuild[] = [];
  for (let at = 0; ; at++) {
    const found = patternOfPack(designs, input, pack, at);
    if (!found) break;
    builds.push({ build: found.build, whole: found.make.pattern, forWhom: '' });
  }
  if (builds.length === 0) return null;
  const titles = [...new Set(builds.map(({ build }) => build.title))].join(', ');
  return { title: `${titles}, ${forWhom(input, [pack], 1)}: guide at true size`, builds };
}
