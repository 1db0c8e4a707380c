import {
  inOneMake,
  type PatternEstimate,
  type TotalMass,
  totalOfUses,
  type UseEstimate,
  type Wool,
} from '../engine/index.ts';
import { countRange, type Pattern } from '../pattern/index.ts';
import { WISP_G } from '../reading/index.ts';
import { showCount, showCountRange, showGrams, timesWords } from './amounts.ts';
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

/** A sum of grams in words: what nobody knows is said. A wisp that is known tells nothing of what is not. */
function massWords({ likelyG, unknownCount }: TotalMass, words: { readonly unknown: string; readonly about: string }): string {
  if (unknownCount > 0) return likelyG >= WISP_G ? `at least ${showGrams(likelyG)}` : words.unknown;
  return likelyG < WISP_G ? `under ${WISP_G} g` : `${words.about}${showGrams(likelyG)}`;
} // prettier-ignore

/** Grams of a fibre as its reader is told them. */
export const amountWords = (total: TotalMass): string =>
  massWords(total, { unknown: 'amount unknown', about: 'about ' });

/** Wool as the pattern takes it. @param build its pieces are told with what each takes; null: they are not */
export const woolLines = (estimate: PatternEstimate, wool: Wool, build: Pattern | null = null): NeedLine[] =>
  estimate.fibres.map(({ fibreId, total }) => {
    const fibre = wool.fibres.get(fibreId);
    return {
      key: fibreId,
      fibreId,
      name: fibre?.name ?? 'not chosen yet',
      about: [
        fibre ? PREPARATION_WORDS[fibre.preparation] : '',
        build ? piecesOfFibreWords(fibreId, estimate, build) : '',
      ]
        .filter((words) => words !== '')
        .join(': '),
      amount: amountWords(total),
    };
  });

/** How much of a fibre each piece takes, all of that piece together, in the order they are written: `Body 20.6 g, Leg ×2 1.4 g`; covers of joins last. */
export function piecesOfFibreWords(fibreId: string, { uses }: PatternEstimate, { parts }: Pattern): string {
  const taken = inOneMake(uses).filter((use) => use.fibreId === fibreId);
  const wordsOf = (name: string, some: readonly UseEstimate[]): string[] => {
    if (some.length === 0) return [];
    // Not torn from its unit in a long row.
    const grams = massWords(totalOfUses(some), { unknown: 'unknown', about: '' }).replace(/ g$/, '\u00A0g');
    return [`${name} ${grams}`];
  };
  return [
    ...parts.flatMap(({ id, name, count }) =>
      wordsOf(`${name.trim() || 'a piece'}${timesWords(count)}`, taken.filter(({ owner }) => owner.kind === 'part' && owner.id === id)),
    ),
    ...wordsOf('over joins', taken.filter(({ owner }) => owner.kind === 'join')),
  ].join(', ');
} // prettier-ignore

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

/** What lies inside pieces: a bead, a bell, an old core; of all copies of the piece together. */
export const insertLines = ({ parts }: Pattern, wool: Wool): NeedLine[] =>
  parts.flatMap(({ name, count, uses }) =>
    uses.flatMap((use): NeedLine[] => {
      if (use.role !== 'insert') return [];
      const pieces = countRange(count);
      return [
        {
          key: use.id,
          fibreId: null,
          name: wool.findings.get(use.findingId ?? '')?.name ?? 'not chosen yet',
          about: `inside ${name.trim() || 'a piece'}`,
          amount: pieces ? showCountRange({ low: pieces.low * use.count, high: pieces.high * use.count }) : showCount(null),
        },
      ];
    }),
  ); // prettier-ignore

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
