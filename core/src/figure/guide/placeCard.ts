import type { PatternEstimate } from '../../engine/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';
import { ABOVE, FRONT, type LookFrom, SIDE } from '../together/camera.ts';
import type { DrawnMark } from '../together/drawnMark.ts';
import { drawnFigure, type DrawnPiece } from '../together/drawnFigure.ts';
import type { PlacedDetail } from '../together/details.ts';
import { degrees, length, minus, type PlacedPiece, pointIn, type Vec3 } from '../../placing/index.ts';
import { sizeOverAll, type SizeOverAll } from '../together/overall.ts';
import { proportionsOf, type ProportionTold } from '../together/proportions.ts';
import type { Together } from '../together/together.ts';

/** One line of a view, mm: x to the right about the figure’s middle, y down from the ground up under nought. */
export interface CardLine {
  readonly points: readonly PointMm[];
  readonly isClosed: boolean;
  /** It hides what lies behind it. */
  readonly isPiece: boolean;
}

/** Where something sits in the finished figure. */
export interface CardPlace {
  readonly of:
    | { readonly kind: 'part'; readonly partId: string; readonly number: number; readonly name: string }
    | { readonly kind: 'detail'; readonly name: string; readonly role: string };
  /** From the ground, mm. */
  readonly heightMm: number;
  /** Between the middles of the two of a pair, mm; null: it is none. */
  readonly apartMm: number | null;
  /** How far its axis leans from upright, degrees, and to where: the figure’s left and front; null: it has no way of its own. */
  readonly lean: {
    readonly fromUprightDeg: number;
    readonly toward: readonly [leftMm: number, frontMm: number];
  } | null;
}

/** The finished figure from its front and its side, with where everything sits from the ground. */
export interface PlaceCard {
  /** Of what lies, from above. */
  readonly first: { readonly from: 'front' | 'above'; readonly lines: readonly CardLine[] };
  readonly side: readonly CardLine[];
  readonly size: SizeOverAll;
  /** From the highest down. */
  readonly places: readonly CardPlace[];
  /** What its author wants to stay in proportion. */
  readonly proportions: readonly ProportionTold[];
}

/** Null: there is nothing to set on anything. */
export function placeCard(
  together: Together,
  build: Pick<Pattern, 'parts' | 'stance' | 'proportions'>,
  whole: Pick<Pattern, 'parts'>,
  estimate: Pick<PatternEstimate, 'parts'>,
): PlaceCard | null {
  const { figure, details } = together;
  const size = sizeOverAll(figure);
  if (!size || figure.pieces.length + details.length < 2) return null;
  const isLying = build.stance?.rests === 'lies';
  return {
    first: isLying
      ? { from: 'above', lines: viewOf(together, build, ABOVE) }
      : { from: 'front', lines: viewOf(together, build, FRONT) },
    side: viewOf(together, build, SIDE),
    size,
    places: [...piecePlaces(figure.pieces, whole), ...details.flatMap(detailPlace)].sort(
      (a, b) => b.heightMm - a.heightMm,
    ),
    proportions: proportionsOf(figure, build, estimate),
  };
}

function viewOf(together: Together, { parts }: Pick<Pattern, 'parts'>, from: LookFrom): CardLine[] {
  return drawnFigure(together, parts, from).pieces.flatMap(linesOf);
}

const down = ([x, y]: readonly [number, number]): PointMm => [x, -y];

const linesOf = ({ outline, marks, behind }: DrawnPiece): CardLine[] => [
  ...behind.flatMap(linesOfMark),
  ...outline.map((points, at): CardLine => ({ points: points.map(down), isClosed: true, isPiece: at === 0 })),
  ...marks.flatMap(linesOfMark),
];

function linesOfMark(mark: DrawnMark): CardLine[] {
  switch (mark.kind) {
    case 'area':
    case 'hollow':
    case 'thing':
      return [{ points: mark.outline.map(down), isClosed: true, isPiece: false }];
    case 'groove':
    case 'line':
    case 'strand':
      return [{ points: mark.points.map(down), isClosed: false, isPiece: false }];
    case 'hair':
      return mark.strands.map((strand) => ({ points: strand.map(down), isClosed: false, isPiece: false }));
  }
}

/** Where it is held: the middle of where it meets its host, or its own where it lies on it. */
const heldAt = ({ set, frame, body }: PlacedPiece): Vec3 =>
  set?.contact?.middle ?? pointIn(frame, set ? body.centroid : [0, 0, 0]);

/** Of each place that was told one line: its image on the other side is the other of the pair. */
function piecePlaces(pieces: readonly PlacedPiece[], { parts }: Pick<Pattern, 'parts'>): CardPlace[] {
  return pieces.flatMap((piece): CardPlace[] => {
    const { set, partId, frame } = piece;
    if (!set || set.isImage) return [];
    const image = pieces.find(
      (other) =>
        other.set?.isImage &&
        other.set.joinId === set.joinId &&
        other.set.placeIndex === set.placeIndex &&
        other.set.hostKey === set.hostKey,
    );
    const [at, other] = [heldAt(piece), image && heldAt(image)];
    const number = parts.findIndex(({ id }) => id === partId) + 1;
    return [
      {
        of: { kind: 'part', partId, number, name: parts[number - 1]?.name ?? '' },
        heightMm: at[1],
        apartMm: other ? length(minus(at, other)) : null,
        lean: leanOf(frame.y),
      },
    ];
  });
}

const leanOf = ([x, y, z]: Vec3): CardPlace['lean'] => ({
  fromUprightDeg: degrees(Math.acos(Math.min(1, Math.max(-1, y)))),
  toward: [x, z],
});

/** Things that are put on, and dots: what has to sit at one place. */
function detailPlace({ of, spots }: PlacedDetail): CardPlace[] {
  const isPoint = of.kind === 'finding' || (of.kind === 'use' && of.use.role === 'dot');
  const [first, second] = spots;
  if (!isPoint || !first || spots.length > 2) return [];
  return [
    {
      of: {
        kind: 'detail',
        name: of.kind === 'finding' ? of.finding.name : 'words' in of.use ? of.use.words : '',
        role: of.kind === 'finding' ? 'finding' : of.use.role,
      },
      heightMm: first.point[1],
      apartMm: second ? length(minus(first.point, second.point)) : null,
      lean: null,
    },
  ];
}
