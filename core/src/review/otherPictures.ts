import { isNamed } from './isNamed.ts';
import { defaultBuild } from '../build/index.ts';
import type { Pattern } from '../pattern/index.ts';
import type { ReviewContext } from './context.ts';

/** A picture beside a step of a build, and on it something which that build does without. Null: the usual build. */
interface OtherPicture {
  readonly pictureId: string;
  readonly name: string;
  readonly optionId: string | null;
  readonly valueId: string | null;
}

/** What a picture shows is what is said in its place, and under it. Each once, in the first build in which it is so. */
export function otherPictures({ pattern, nearby }: ReviewContext): OtherPicture[] {
  if (pattern.pictures.length === 0 || pattern.options.length === 0) return [];
  const builds = [{ optionId: null, valueId: null, build: defaultBuild(pattern) }, ...nearby];
  const told = new Set<string>();
  return builds.flatMap(({ optionId, valueId, build }) => {
    const leftOut = namesLeftOut(pattern, build);
    if (leftOut.length === 0) return [];
    return shownIn(build).flatMap(({ pictureId, words }) => {
      const name = leftOut.find((each) => isNamed(words, each));
      if (name === undefined || told.has(pictureId)) return [];
      told.add(pictureId);
      return [{ pictureId, name, optionId, valueId }];
    });
  });
}

/** Pictures that some step of a build shows, with all that is said of them. */
const shownIn = ({ steps, pictures }: Pattern): { pictureId: string; words: string }[] =>
  steps.flatMap((step) =>
    step.pictures.map(({ pictureId, caption }) => ({
      pictureId,
      words: `${pictures.find(({ id }) => id === pictureId)?.alt ?? ''} ; ${caption}`,
    })),
  );

/** Parts and cuts that a build does without, as they are called; one that another is called by stays. */
function namesLeftOut(pattern: Pattern, build: Pattern): string[] {
  const named = ({ parts, cuts }: Pattern) =>
    [...parts, ...cuts].map(({ name }) => name.trim()).filter((name) => name.length > 2);
  const there = named(build);
  return named(pattern).filter((name) => !there.some((other) => isNamed(other, name)));
}
