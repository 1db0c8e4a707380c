import { estimatePattern, type PatternEstimate, type Wool } from '../../engine/index.ts';
import { ladderOf, type Ladder } from '../../needles/index.ts';
import { type Pattern, stepTotals, type Surroundings } from '../../pattern/index.ts';
import { type Piece, piecesToMake, type Reading, readingOf } from '../../reading/index.ts';
import type { Needle } from '../../shelf/index.ts';
import { type TranslationInput, translated } from '../../translation/index.ts';
import { inWordsOf } from './inWordsOf.ts';
import type { Packed } from '../packedForReader.ts';
import type { BookletSources } from './bookletSources.ts';
import type { BookletTerms } from './terms.ts';

/** What a booklet is made from. Plain data: it crosses into a worker. */
export interface BookletRequest {
  /** Numbers its parts. */
  readonly whole: Pattern;
  /** As it is made: options chosen, sized. */
  readonly build: Pattern;
  /** Which of its makes it is, for whom, which revision. */
  readonly what: readonly string[];
  /** What has to be known before the first step: another size, the left hand. */
  readonly notes: readonly string[];
  readonly terms: BookletTerms;
  readonly needles: readonly Needle[];
  /** What lies in the bag; null: what the pattern takes. */
  readonly packed: Packed | null;
  /** The patterns around it. */
  readonly surroundings: Surroundings;
  /** Where what is used in it comes from. */
  readonly sources: BookletSources;
  /** In whose words it is said; null: as it is written. */
  readonly translation: Pick<TranslationInput, 'language' | 'texts' | 'words'> | null;
}

/** The same with all that is worked out of it, once for every part. */
export interface BookletSource extends BookletRequest {
  readonly wool: Wool;
  readonly estimate: PatternEstimate;
  readonly reading: Reading;
  readonly pieces: readonly Piece[];
  readonly ladder: Ladder;
  readonly totals: ReturnType<typeof stepTotals>;
}

export function sourceOfBooklet(request: BookletRequest, wool: Wool): BookletSource {
  const { whole, terms, needles, translation } = request;
  const written = terms.hasBothUnits ? { ...request.build, showsBothUnits: true } : request.build;
  const build = translation ? translated(written, translation) : written;
  const estimate = estimatePattern(build, wool);
  return {
    ...request,
    build,
    wool,
    estimate,
    // Cautions and left-overs are read in the words it was written in.
    reading: inWordsOf(build, readingOf(written, estimate, wool, terms.reader), terms.reader),
    pieces: piecesToMake(build, whole, estimate, wool),
    ladder: ladderOf(build, estimate, wool, needles),
    totals: stepTotals(build),
  };
}
