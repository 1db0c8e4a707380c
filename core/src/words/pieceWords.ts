import { type Length, showNumber, showSizesIn, toMm, type UnitsShown } from '../base/index.ts';
import type { RollUp, StageSize, Wool } from '../engine/index.ts';
import type { Part, Pattern, UseOf } from '../pattern/index.ts';
import type { BeforeYouCut, Piece, PieceJoin, PieceLayer, ToCut } from '../reading/index.ts';
import { sizesOf } from '../shapes/index.ts';
import {
  counted,
  showCount,
  showCountRange,
  showGramNumber,
  showGramRange,
  showGrams,
  showLikely,
} from './amounts.ts';
import { cutSizeWords } from './cutWords.ts';
import { fibreNamesOf } from './fibreNames.ts';
import { measureByHand } from './handsWords.ts';
import { sizeWords } from './sizeWords.ts';
import { lengthWords, placeWords, statedWords } from './statedWords.ts';
import {
  CUT_WORDS,
  FIRMNESS_WORDS,
  JOIN_METHOD_WORDS,
  PACKING_WORDS,
  ROLE_WORDS,
  SHAPE_WORDS,
  unknownWords,
} from './woolWords.ts';

/** One line of wool: which, how much of it for one piece, and how hands take it. */
export interface WoolLine {
  readonly kind: 'wool';
  readonly label: string;
  readonly fibreId: string | null;
  readonly fibre: string;
  readonly grams: string;
  /** What hands do, and where it lies. */
  readonly how: string;
  /** The author’s own words; where they were written for another size, that is said. */
  readonly words: string;
  /** Null: no step takes it up. */
  readonly atStep: number | null;
}

/** One line of what its reader is told of a piece. */
export type PieceLine = WoolLine | { readonly kind: 'work'; readonly label: string; readonly text: string };

/** The line that says what it is in the end. */
export const FINISHED = 'Finished';

const work = (label: string, text: string): PieceLine[] =>
  text === '' ? [] : [{ kind: 'work', label, text }];

/** All there is to know to make one piece, in the order hands come to it. */
export function pieceLines(piece: Piece, build: Pattern, wool: Wool): PieceLine[] {
  const { stages, estimate, part } = piece;
  const stage = (name: StageSize['stage']) => stages.find((stageSize) => stageSize.stage === name);
  const lines = (layers: readonly PieceLayer[]) => layers.map((layer) => woolLine(layer, build, wool));
  return [
    ...work('Inside', insertsWords(piece, wool)),
    ...work('Through it', piece.cuts.map((cut) => toCutWords(cut, build)).join('; ')),
    ...lines(piece.layers.filter(isRolled)),
    ...rollLine(stage('rolled') ?? stage('laid-out'), estimate.rollUp, build),
    ...work('Leave loose', endsWords(piece, build)),
    ...work('Felt to', feltWords(stage('felted'), part, build)),
    ...lines(piece.layers.filter((layer) => !isRolled(layer))),
    ...part.uses.flatMap((use) =>
      use.role === 'needled' ? work('Needled, no wool', needledWords(use, build)) : [],
    ),
    ...work('With its coat', sizesWords(stage('coated'), build)),
    ...work('With its details', whatItAdds(stage('detailed'), stage('coated'), build)),
    ...work(
      FINISHED,
      finishedWords(piece.sized, part, (size) => lengthWords(size, build)),
    ),
    ...piece.joins.flatMap((join) => [
      ...work('Set on', setOnWords(join, build)),
      ...(join.cover ? lines([join.cover]) : []),
    ]),
    ...work('In sight', piece.joins.length > 0 ? sizesWords(stage('joined'), build) : ''),
    ...work('On it', findingsWords(piece, wool)),
  ];
}

/** Cut or torn to a size before anything is felted. */
export interface CutLine {
  readonly what: string;
  readonly from: string;
  readonly fibreId: string | null;
  readonly size: string;
  readonly count: string;
  readonly atStep: number | null;
}

/** Wires, cords and panels, then wool that is torn to a size. */
export const cutLines = ({ cuts, wool: toTear }: BeforeYouCut, build: Pattern, wool: Wool): CutLine[] => [
  ...cuts.map(({ cut, estimate, atStep }) => ({
    what: cut.name || CUT_WORDS[cut.kind],
    from:
      cut.findingId === null
        ? 'not chosen yet'
        : (wool.findings.get(cut.findingId)?.name ?? 'not chosen yet'),
    fibreId: null,
    size: estimate.cut ? cutSizesIn(estimate.sizes, build) : 'size unknown',
    count: String(cut.count),
    atStep,
  })),
  ...toTear.map(({ piece, layer, count }) => {
    const line = woolLine(layer, build, wool);
    return {
      what: `${piece.part.name}, ${line.label}`,
      from: line.fibre,
      fibreId: line.fibreId,
      size: measureWords(layer, build, wool),
      count: count ? showCountRange(count) : 'how many?',
      atStep: layer.atStep,
    };
  }),
];

/** Laid on the table before the first stab. */
const isRolled = ({ estimate: { role } }: PieceLayer): boolean => role === 'core' || role === 'loose-end';

function woolLine(layer: PieceLayer, build: Pattern, wool: Wool): WoolLine {
  const { estimate, use, pieceG, atStep } = layer;
  const place = use ? placeWords(use, build) : '';
  return {
    kind: 'wool',
    label: ROLE_WORDS[estimate.role],
    fibreId: estimate.fibreId,
    fibre: fibreNamesOf(wool)(estimate.fibreId),
    grams: gramsWords(estimate, pieceG) + (estimate.isIfNeeded ? ', only if needed' : ''),
    how: [place, measureWords(layer, build, wool)].filter((words) => words !== '').join('; '),
    words: use && use.words.trim() !== '' ? authorWords(use.words, use.wordsSizeFraction) : '',
    atStep,
  };
}

/** As its author measures it; else as hands can. */
function measureWords({ estimate, use, hands }: PieceLayer, build: Pattern, wool: Wool): string {
  const stated = use ? statedWords(use.amount, build) : '';
  const fibre = wool.fibres.get(estimate.fibreId ?? '');
  return stated === '' && hands && fibre ? measureByHand(hands, build.lengthUnit, fibre.preparation) : stated;
}

/** As its author states it from – to; a calculated one with how far it may be off. */
function gramsWords(estimate: PieceLayer['estimate'], pieceG: PieceLayer['pieceG']): string {
  if (estimate.kind === 'unknown' || pieceG === null)
    return `amount unknown${estimate.kind === 'unknown' ? `: ${unknownWords(estimate.reason)}` : ''}`;
  // What was cut off elsewhere is there already.
  if (pieceG.likelyG === 0) return 'none of its own';
  if (estimate.range) return showGramRange(estimate.range.lowG, estimate.range.highG);
  if (estimate.source === 'weighed') return showGrams(pieceG.likelyG);
  const [low, high] = [showGramNumber(pieceG.lowG), showGramNumber(pieceG.highG)];
  return low === high || low.startsWith('<')
    ? showLikely(pieceG.likelyG)
    : `${showLikely(pieceG.likelyG)} (${low}–${high})`;
}

/** What was written for another size is marked as that. */
const authorWords = (words: string, sizeFraction: number): string =>
  Math.abs(sizeFraction - 1) < 1e-9
    ? `“${words.trim()}”`
    : `“${words.trim()}”, written for ${Math.round(sizeFraction * 100)} % of this size`;

/** `2 lines 20 mm long, drawn in 2 mm: a mouth`. */
function needledWords(
  { form, length, width, depth, count, words }: UseOf<'needled'>,
  units: UnitsShown,
): string {
  const size = [length, width].flatMap((side) => (side ? [toMm(side)] : []));
  const many = count === 1 ? `a ${form}` : `${showCount(count)} ${form}s`;
  const told = [
    size.length > 0 ? `${many} ${showSizesIn(size, units)}` : `${many}, size unknown`,
    ...(depth ? [`drawn in ${showSizesIn([toMm(depth)], units)}`] : []),
  ].join(', ');
  return words.trim() === '' ? told : `${told}: ${words.trim()}`;
}

/** Details that hardly lie on it make no size of their own. */
const whatItAdds = (
  stage: StageSize | undefined,
  before: StageSize | undefined,
  units: UnitsShown,
): string => {
  const words = sizesWords(stage, units);
  return words === sizesWords(before, units) ? '' : words;
};

const insertsWords = ({ inserts }: Piece, { findings }: Wool): string =>
  inserts
    .map(({ findingId, count }) =>
      countedName(count, findings.get(findingId ?? '')?.name ?? 'not chosen yet'),
    )
    .join(', ');

const countedName = (count: number | string, name: string): string =>
  count === 1 ? name : `${count} × ${name}`;

const sizesWords = (stage: StageSize | undefined, units: UnitsShown): string =>
  stage ? showSizesIn(stage.sizesMm, units) : '';

function rollLine(stage: StageSize | undefined, rollUp: RollUp | null, units: UnitsShown): PieceLine[] {
  if (!stage || !rollUp) return [];
  const sizes = sizesWords(stage, units);
  if (rollUp.kind === 'rolled') return work('Roll to', `${sizes}, ${PACKING_WORDS[rollUp.packing]}`);
  const [length = 0, width = 0, depth = 0] = stage.sizesMm;
  const thin = rollUp.thinLayers === null ? '' : ` in ${counted(rollUp.thinLayers, 'thin layer')}`;
  const folded = rollUp.marginMm > 0 ? `; fold in ${showSizesIn([rollUp.marginMm], units)} all round` : '';
  const high = depth > 0 ? `, ${showSizesIn([depth], units)} high` : '';
  return work('Lay out', `${showSizesIn([length, width], units)}${high}${thin}${folded}`);
}

const endsWords = ({ ends }: Piece, units: UnitsShown): string =>
  ends
    .map(({ eachMm, count }) => {
      const long = eachMm === null ? 'an end, how long is not known' : showSizesIn([eachMm], units);
      return `${long} at ${count > 1 ? 'each' : 'one'} end`;
    })
    .join(', ');

/** How firm, as a thumb tells it; with its loose ends in the length. */
function feltWords(stage: StageSize | undefined, { firmness, shape }: Part, units: UnitsShown): string {
  // Hair is laid, not felted through.
  if (!stage || shape.kind === 'fringe') return '';
  const loose = stage.tailMm > 0 ? `, ${showSizesIn([stage.tailMm], units)} of it loose` : '';
  return `${sizesWords(stage, units)}${loose}; ${firmness}: under a thumb it ${FIRMNESS_WORDS[firmness]}`;
}

/**
 * `egg, length exactly 82 mm, diameter about 60 mm`: each size with how exactly it is meant.
 * @param say a size in the units wanted
 */
export function finishedWords(sized: Part, part: Part, say: (size: Length) => string): string {
  const { shape } = sized;
  if (shape.kind === 'by-grams')
    return shape.massG === null
      ? `${SHAPE_WORDS[shape.kind]}, weight unknown`
      : `${SHAPE_WORDS[shape.kind]}, ${showNumber(shape.massG, 3)} g`;
  const sizes = [...sizesOf(shape)].map(([name, size]) => {
    if (size === null) return `${sizeWords(name)} unknown`;
    const words = say(size);
    switch (part.exactness.find((candidate) => candidate.size === name)?.is) {
      case 'exact':
        return `${sizeWords(name)} exactly ${words}`;
      case 'free':
        return `${sizeWords(name)} ${words} or as you like`;
      case undefined:
        return `${sizeWords(name)} about ${words}`;
    }
  });
  return [SHAPE_WORDS[shape.kind], ...sizes].join(', ');
}

function setOnWords({ join, acrossMm, bandMm, cover }: PieceJoin, build: Pattern): string {
  const onto = build.parts.find(({ id }) => id === join.ontoId)?.name ?? '';
  const more = [
    JOIN_METHOD_WORDS[join.method],
    acrossMm === null ? '' : `${showSizesIn([acrossMm], build)} across`,
    join.sink ? `sunk ${lengthWords(join.sink, build)}` : '',
    join.slot ? slotWords(join.slot, build) : '',
    cover && bandMm !== null ? `covered ${showSizesIn([bandMm], build)} wide each side` : '',
  ];
  return `onto ${onto}: ${more.filter((words) => words !== '').join(', ')}`;
}

/** `into a slot 12 mm long, 4 mm deep, snipped there`. */
function slotWords({ length, depth }: NonNullable<PieceJoin['join']['slot']>, units: UnitsShown): string {
  const sizes = [
    ...(length ? [`${lengthWords(length, units)} long`] : []),
    ...(depth ? [`${lengthWords(depth, units)} deep`] : []),
  ].join(', ');
  return `into a slot${sizes === '' ? '' : ` ${sizes},`} snipped there`;
}

const findingsWords = ({ findings }: Piece, wool: Wool): string =>
  findings
    .map(({ findingId, count }) =>
      countedName(
        count === 1 ? 1 : showCount(count),
        wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet',
      ),
    )
    .join(', ');

/** A cut by its name and its size: `leg wire 31 cm`, `2 × whisker 12 cm`. */
function toCutWords({ cut, estimate }: ToCut, units: UnitsShown): string {
  const name = cut.name || CUT_WORDS[cut.kind];
  return `${countedName(cut.count, name)} ${estimate.cut ? cutSizesIn(estimate.sizes, units) : 'size unknown'}`;
}

/** As cut sizes are typed or rounded up; where both units are wanted in the other one too. */
export function cutSizesIn(sizes: ToCut['estimate']['sizes'], units: UnitsShown): string {
  const words = cutSizeWords(sizes);
  if (!units.showsBothUnits || sizes.length === 0) return words;
  const isInches = sizes.some(({ unit }) => unit === 'in');
  const mm = sizes.map(({ value, unit }) => (unit === 'in' ? toMm({ value, unit }) : value));
  const other = showSizesIn(mm, { lengthUnit: isInches ? 'mm' : 'in', showsBothUnits: false });
  return `${words} (${other})`;
}
