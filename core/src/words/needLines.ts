import type { PatternEstimate, TotalMass, Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { WISP_G } from '../reading/index.ts';
import { showCount, showGrams, timesWords } from './amounts.ts';
import { cutSizesIn } from './pieceWords.ts';
import { CUT_WORDS } from './woolWords.ts';
import { PREPARATION_WORDS } from './shelfWords.ts';

/** One thing of what somebody needs. */
export interface NeedLine {
  readonly key: string;
  readonly fibreId: string | null;
  readonly name: string;
  /** How it is prepared, or what becomes of it. */
  readonly about: string;
  readonly amount: string;
}

/** Grams of a fibre as its reader is told them: what nobody knows is said. */
export const amountWords = ({ likelyG, unknownCount }: TotalMass): string => {
  if (unknownCount > 0) return likelyG > 0 ? `at least ${showGrams(likelyG)}` : 'amount unknown';
  return likelyG < WISP_G ? `under ${WISP_G} g` : `about ${showGrams(likelyG)}`;
};

/** Wool as the pattern takes it. */
export const woolLines = ({ fibres }: PatternEstimate, wool: Wool): NeedLine[] =>
  fibres.map(({ fibreId, total }) => {
    const fibre = wool.fibres.get(fibreId);
    return {
      key: fibreId,
      fibreId,
      name: fibre?.name ?? 'not chosen yet',
      about: fibre ? PREPARATION_WORDS[fibre.preparation] : '',
      amount: amountWords(total),
    };
  });

/** Bought things that are counted. */
export function findingLines(build: Pattern, wool: Wool): NeedLine[] {
  const tried = new Set(build.steps.flatMap(({ act }) => (act.kind === 'choose' ? act.findingUseIds : [])));
  return build.findings.map(({ id, findingId, count }) => ({
    key: id,
    fibreId: null,
    name: wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet',
    about: tried.has(id) ? 'to try: what is not kept goes back' : '',
    amount: showCount(count),
  }));
}

/** What is cut to size. */
export const cutNeedLines = (build: Pattern, estimate: PatternEstimate, wool: Wool): NeedLine[] =>
  build.cuts.map((cut) => {
    const cutEstimate = estimate.cuts.find(({ cutId }) => cutId === cut.id);
    return {
      key: cut.id,
      fibreId: null,
      name: `${cut.name || CUT_WORDS[cut.kind]}${cut.findingId ? `, ${wool.findings.get(cut.findingId)?.name ?? ''}` : ''}`,
      about: '',
      amount: `${cutEstimate?.cut ? cutSizesIn(cutEstimate.sizes, build) : 'not said'}${timesWords(cut.count)}`,
    };
  });
