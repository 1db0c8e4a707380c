import type { MassRangeG } from '../base/index.ts';
import {
  type CutEstimate,
  type HandsMeasure,
  handsMeasures,
  type KnownUse,
  massOfTerm,
  type PartEstimate,
  type PatternEstimate,
  sizeLedger,
  type StageSize,
  type UseEstimate,
  type Wool,
} from '../engine/index.ts';
import {
  isWool,
  type Cut,
  type FindingUse,
  type Join,
  type Part,
  type Pattern,
  type Use,
  type UseOf,
  type WoolUse,
} from '../pattern/index.ts';
import { stepOfWool } from '../writing/index.ts';

/** One layer of wool on a piece, loose ends with it. */
export interface PieceLayer {
  readonly estimate: UseEstimate;
  /** As its author wrote it; null: a loose end. */
  readonly use: WoolUse | null;
  /** Of one piece; null while it is unknown. */
  readonly pieceG: MassRangeG | null;
  /** What hands do to get it, near enough; null: weigh it. */
  readonly hands: HandsMeasure | null;
  /** From 1; null: no step takes it up. */
  readonly atStep: number | null;
}

/** What it is set onto, and how. */
export interface PieceJoin {
  readonly join: Join;
  /** Null while it is not known. */
  readonly acrossMm: number | null;
  /** Wool over the join, on each side of it so wide. */
  readonly cover: PieceLayer | null;
  readonly bandMm: number | null;
}

/** What one join leaves loose at a piece. */
interface PieceEnds {
  /** Null while unknown, or none. */
  readonly eachMm: number | null;
  readonly count: number;
}

/** Everything its reader needs to make one piece. */
export interface Piece {
  readonly part: Part;
  /** Its sizes where they follow from others; as written where they do not. */
  readonly sized: Part;
  /** From 1, in the whole pattern. */
  readonly number: number;
  /** From the inside out. */
  readonly layers: readonly PieceLayer[];
  readonly inserts: readonly UseOf<'insert'>[];
  /** From the table to the figure; empty while its sizes are unknown. */
  readonly stages: readonly StageSize[];
  readonly estimate: PartEstimate;
  /** One for each join that leaves something of it loose. */
  readonly ends: readonly PieceEnds[];
  readonly joins: readonly PieceJoin[];
  readonly findings: readonly FindingUse[];
  /** Wire and the like that runs through it. */
  readonly cuts: readonly ToCut[];
  /** The step that begins it, from 1; null: no step names it. */
  readonly beginsAt: number | null;
}

/**
 * A build piece by piece.
 * @param whole the pattern whose numbers of parts are used
 */
export const piecesToMake = (
  build: Pattern,
  whole: Pick<Pattern, 'parts'>,
  estimate: PatternEstimate,
  wool: Wool,
): Piece[] =>
  build.parts.flatMap((part) => {
    const partEstimate = estimate.parts.find(({ partId }) => partId === part.id);
    return partEstimate ? [pieceOf(part, partEstimate, { build, whole, estimate, wool })] : [];
  });

interface Context {
  readonly build: Pattern;
  readonly whole: Pick<Pattern, 'parts'>;
  readonly estimate: PatternEstimate;
  readonly wool: Wool;
}

function pieceOf(part: Part, partEstimate: PartEstimate, context: Context): Piece {
  const { build, whole, estimate } = context;
  const uses = new Map<string, Use>(part.uses.map((use) => [use.id, use]));
  const joins = build.joins.filter(({ partId }) => partId === part.id);
  const begins = build.steps.findIndex(({ partIds }) => partIds.includes(part.id));
  return {
    part,
    sized: partEstimate.working.part,
    number: whole.parts.findIndex(({ id }) => id === part.id) + 1,
    layers: partEstimate.uses.map((use) => layerOf(use, uses.get(use.useId), partEstimate.rollUp, context)),
    inserts: part.uses.filter((use): use is UseOf<'insert'> => use.role === 'insert'),
    stages: partEstimate.solid ? sizeLedger(partEstimate) : [],
    estimate: partEstimate,
    ends: build.joins.flatMap(({ id, looseEnd }): PieceEnds[] => {
      if (looseEnd?.partId !== part.id) return [];
      const tailMm = estimate.joins.find(({ joinId }) => joinId === id)?.tailMm ?? null;
      return [{ eachMm: tailMm, count: looseEnd.ends }];
    }),
    joins: joins.map((join) => joinOf(join, context)),
    findings: build.findings.filter(({ partId }) => partId === part.id),
    cuts: cutsToMake(build, estimate).filter(({ cut }) => runsThrough(cut, part.id)),
    beginsAt: begins < 0 ? null : begins + 1,
  };
}

function joinOf(join: Join, context: Context): PieceJoin {
  const joinEstimate = context.estimate.joins.find(({ joinId }) => joinId === join.id);
  return {
    join,
    acrossMm: joinEstimate?.acrossMm ?? null,
    cover: joinEstimate?.cover ? layerOf(joinEstimate.cover, undefined, null, context) : null,
    bandMm: joinEstimate?.bandMm ?? null,
  };
}

/** One piece alone strays by more than its share of all of them. */
function ofOnePiece({ pieceG, term }: KnownUse): MassRangeG {
  const massRangeG = massOfTerm({ ...term, count: 1, countSigma: 0 });
  const scale = massRangeG.likelyG > 0 ? pieceG / massRangeG.likelyG : 0;
  return { lowG: massRangeG.lowG * scale, likelyG: pieceG, highG: massRangeG.highG * scale };
}

const runsThrough = (cut: Cut, partId: string): boolean =>
  cut.kind === 'wire' && cut.segments.some((segment) => segment.partId === partId);

function layerOf(
  use: UseEstimate,
  statedUse: Use | undefined,
  rollUp: PartEstimate['rollUp'],
  { build, estimate, wool }: Context,
): PieceLayer {
  const at = stepOfWool(build, use);
  const fibre = wool.fibres.get(use.fibreId ?? '');
  const rollMm = use.role === 'core' && rollUp?.kind === 'rolled' ? rollUp.solid.heightMm : null;
  const pieceG = use.kind === 'known' ? ofOnePiece(use) : null;
  const hands =
    fibre && pieceG && pieceG.likelyG > 0
      ? handsMeasures(pieceG.likelyG, fibre, estimate.calibration, rollMm)
      : [];
  return {
    estimate: use,
    use: statedUse && isWool(statedUse) ? statedUse : null,
    pieceG,
    hands: hands.find(isNear) ?? null,
    atStep: at === null ? null : at + 1,
  };
}

/** Further off than this a measure by hand is no measure: it is weighed instead. Ours. */
const NEAR_FRACTION = 0.15;

function isNear(way: HandsMeasure): boolean {
  switch (way.kind) {
    case 'length':
    case 'strip':
    case 'square':
      return Math.abs(way.roundingFraction) <= NEAR_FRACTION;
    // The author’s hand is not the reader’s.
    case 'hand':
      return false;
    case 'halvings':
      return true;
  }
}

/** One length or panel to cut. */
export interface ToCut {
  readonly cut: Cut;
  readonly estimate: CutEstimate;
  /** The step that takes it up, from 1: the first on what it runs through; null: none is known. */
  readonly atStep: number | null;
}

/** What is cut before anything is felted: wires, cords and panels. */
export const cutsToMake = (build: Pattern, estimate: PatternEstimate): ToCut[] =>
  build.cuts.flatMap((cut) => {
    const cutEstimate = estimate.cuts.find(({ cutId }) => cutId === cut.id);
    const through = cut.kind === 'wire' ? cut.segments.flatMap(({ partId }) => partId ?? []) : [];
    const at = build.steps.findIndex(({ partIds }) => partIds.some((id) => through.includes(id)));
    return cutEstimate ? [{ cut, estimate: cutEstimate, atStep: at < 0 ? null : at + 1 }] : [];
  });
