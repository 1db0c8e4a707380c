import {
  feelOf,
  finenessOf,
  GAUGE_OF_FEEL,
  type NeedleInput,
  type NeedleWanted,
  type Profile,
} from '../shelf/index.ts';

/** What is known of a needle that a step may be done with. */
export interface NeedleFacts {
  /** As a gauge, 32 coarse – 42 fine; a size word stands for about one. Null: nobody knows how coarse it is. */
  readonly gauge: number | null;
  readonly profile: Profile | null;
  readonly reachMm: number | null;
}

/** Of a needle that is asked for: its reach is nobody’s yet. */
export const factsOfWanted = (wanted: NeedleWanted): NeedleFacts => ({
  gauge: finenessOf(wanted),
  profile: wanted.by === 'gauge' ? wanted.profile : null,
  reachMm: null,
});

/** Of a needle of the shelf; one without a gauge goes by its size word. */
export function factsOfNeedle(
  needle: Pick<NeedleInput, 'gauge' | 'sizeWord' | 'profile' | 'reachMm'>,
): NeedleFacts {
  const feel = feelOf(needle);
  return {
    gauge: needle.gauge ?? (feel && GAUGE_OF_FEEL[feel]),
    profile: needle.profile,
    reachMm: needle.reachMm,
  };
}
