import { resolveBuild } from '../build/index.ts';
import { defaultValues, NO_CHOICES, type Pattern } from '../pattern/index.ts';

/** A build that differs from the usual one by a single choice. */
export interface NearbyBuild {
  readonly optionId: string;
  readonly valueId: string;
  readonly build: Pattern;
}

/** More are not asked one by one, or a figure of two dozen options of a dozen values would keep whoever publishes it waiting. */
const MOST_NEARBY = 48;

/**
 * Each value of each option that is not its default, with everything else as usual. What belongs to one choice is seen in
 * one of these; all builds together may be thousands. The first forty-eight.
 */
export function buildsNearby(pattern: Pattern): NearbyBuild[] {
  const usual = defaultValues(pattern);
  return pattern.options
    .flatMap(({ id: optionId, values }) =>
      values.flatMap(({ id: valueId }) => (usual[optionId] === valueId ? [] : [{ optionId, valueId }])),
    )
    .slice(0, MOST_NEARBY)
    .map(({ optionId, valueId }) => ({
      optionId,
      valueId,
      build: resolveBuild(pattern, { ...NO_CHOICES, values: { [optionId]: valueId } }),
    }));
}
