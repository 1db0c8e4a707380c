import { toMm } from '../../base/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';
import { type Camera, seen } from '../together/camera.ts';
import {
  acrossAxis,
  contactRing,
  dot,
  hostSpot,
  type PlacedPiece,
  plus,
  pointIn,
  times,
  type Vec3,
} from '../../placing/index.ts';
import { decalOf } from '../together/decals.ts';
import type { PlacedDetail } from '../together/details.ts';
import type { DrawnMark } from '../together/drawnMark.ts';
import { silhouetteOf } from '../together/silhouette.ts';
import type { Together } from '../together/together.ts';
import type { GuideMark, GuideMarkOf } from './guidePiece.ts';

type BuildOfMarks = Pick<Pattern, 'stance' | 'cuts' | 'joins'>;

/** What is seen this far from straight at it, or further, lies behind: cosine. */
const BEHIND = -0.05;
/** On paper corners show. */
const FINENESS = 3;
/** Half of a cross, mm. */
const CROSS_MM = 2.5;

/**
 * Everything that is set on a piece of the figure or goes through it, where it does, seen from the piece’s own front, mm
 * about its middle, y down.
 */
export function marksOn(piece: PlacedPiece, together: Together, build: BuildOfMarks): GuideMark[] {
  const view = viewOf(piece);
  return [
    ...together.figure.pieces.flatMap((other) =>
      other.set?.hostKey === piece.key
        ? [setOnMark(other, view), ...slotMark(other, piece, build, view)]
        : [],
    ),
    ...sunkMark(piece, view),
    ...together.details.flatMap((detail) => (detail.host === piece ? detailMarks(detail, view) : [])),
    ...hangerMark(piece, build, view),
    ...flatMark(piece, build),
    ...wireMarks(piece, build),
  ];
}

/** A piece looked at by itself. */
interface OwnView {
  readonly camera: Camera;
  /** Seen from behind: the same to the right and up. */
  readonly behind: Camera;
  readonly onPaper: (point: readonly [number, number]) => PointMm;
}

function viewOf({ frame, body }: PlacedPiece): OwnView {
  const camera: Camera = { right: frame.x, up: frame.y, toward: frame.z };
  const [x0, y0] = seen(camera, frame.origin);
  return {
    camera,
    behind: { ...camera, toward: times(frame.z, -1) },
    onPaper: ([x, y]) => [x - x0, body.heightMm / 2 - (y - y0)],
  };
}

const isBehind = (normal: Vec3, { camera }: OwnView): boolean => dot(normal, camera.toward) < BEHIND;

/** The round in which it meets its host; of what lies on it, all that lies there. */
function setOnMark(other: PlacedPiece, view: OwnView): GuideMark {
  const { set } = other;
  const of: GuideMarkOf = { kind: 'join', partId: other.partId };
  const contact = set?.contact;
  if (contact) {
    return {
      of,
      points: contactRing(contact).map((point) => view.onPaper(seen(view.camera, point))),
      isClosed: true,
      isBehind: isBehind(contact.outward, view),
    };
  }
  const [outline = []] = silhouetteOf(other, view.camera);
  return {
    of,
    points: outline.map(view.onPaper),
    isClosed: true,
    isBehind: set !== null && isBehind(set.normal, view),
  };
}

/** Along the surface, across the way up: as the piece is wide. */
function slotMark(
  other: PlacedPiece,
  host: PlacedPiece,
  { joins }: BuildOfMarks,
  view: OwnView,
): GuideMark[] {
  const join = joins.find(({ id }) => id === other.set?.joinId);
  const lengthMm = join?.slot?.length ? toMm(join.slot.length) : null;
  if (!join || !other.set || lengthMm === null) return [];
  const middle = other.set.contact?.middle ?? other.frame.origin;
  // As the piece lies in it, along the surface.
  const along = acrossAxis(other.frame.x, other.set.normal) ?? host.frame.x;
  const points = [-lengthMm / 2, lengthMm / 2].map((out) =>
    view.onPaper(seen(view.camera, plus(middle, times(along, out)))),
  );
  return [
    {
      of: { kind: 'slot', joinId: join.id },
      points,
      isClosed: false,
      isBehind: isBehind(other.set.normal, view),
    },
  ];
}

/** On the piece itself: as far as this it is in its host. */
function sunkMark({ set }: PlacedPiece, view: OwnView): GuideMark[] {
  if (!set?.contact) return [];
  const points = contactRing(set.contact).map((point) => view.onPaper(seen(view.camera, point)));
  return [{ of: { kind: 'sunk' }, points, isClosed: true, isBehind: false }];
}

function detailMarks(detail: PlacedDetail, view: OwnView): GuideMark[] {
  const of = markOf(detail);
  if (of.kind === 'cut')
    return detail.spots.map(({ point, normal }) => ({
      of,
      points: crossAt(view.onPaper(seen(view.camera, point))),
      isClosed: false,
      isBehind: isBehind(normal, view),
    }));
  return [
    ...decalOf(detail, view.camera, FINENESS).flatMap((mark) => drawn(mark, of, false, view)),
    // Hair is seen from everywhere.
    ...decalOf(detail, view.behind, FINENESS).flatMap((mark) =>
      mark.kind === 'hair' ? [] : drawn(mark, of, true, view),
    ),
  ];
}

function markOf({ of }: PlacedDetail): GuideMarkOf {
  switch (of.kind) {
    case 'finding':
      return { kind: 'finding', findingUseId: of.findingUseId, name: of.finding.name };
    case 'use':
      return { kind: 'use', useId: of.use.id };
    case 'laid':
      return { kind: 'laid', partId: of.part.id };
    case 'cut':
      return { kind: 'cut', cut: of.cut };
  }
}

function drawn(mark: DrawnMark, of: GuideMarkOf, isMarkBehind: boolean, { onPaper }: OwnView): GuideMark[] {
  switch (mark.kind) {
    case 'area':
    case 'hollow':
    case 'thing':
      return [{ of, points: mark.outline.map(onPaper), isClosed: true, isBehind: isMarkBehind }];
    case 'groove':
    case 'line':
    case 'strand':
      return [{ of, points: mark.points.map(onPaper), isClosed: false, isBehind: isMarkBehind }];
    case 'hair':
      // The line it is fixed along is what a maker has to find.
      return [
        { of, points: mark.strands.map(([root]) => onPaper(root)), isClosed: false, isBehind: isMarkBehind },
      ];
  }
}

/** In one line that goes twice through its middle. */
const crossAt = ([x, y]: PointMm): PointMm[] => [
  [x - CROSS_MM, y - CROSS_MM],
  [x + CROSS_MM, y + CROSS_MM],
  [x, y],
  [x - CROSS_MM, y + CROSS_MM],
  [x + CROSS_MM, y - CROSS_MM],
];

function hangerMark(piece: PlacedPiece, { stance }: BuildOfMarks, view: OwnView): GuideMark[] {
  const hangAt = stance?.hangAt;
  if (!hangAt || hangAt.partId !== piece.partId) return [];
  const { point, normal } = hostSpot(piece.body, hangAt);
  return [
    {
      of: { kind: 'hanger' },
      points: crossAt(view.onPaper(seen(view.camera, pointIn(piece.frame, point)))),
      isClosed: false,
      isBehind: normal[2] < BEHIND,
    },
  ];
}

const HALVINGS = 40;

/** Where the piece everything is set on is felted flat to stand on: straight across it, as wide as the flat. */
function flatMark({ set, body }: PlacedPiece, { stance }: BuildOfMarks): GuideMark[] {
  const across = stance?.flatAcross;
  if (!across || set !== null || stance.pitchDeg !== 0 || stance.rollDeg !== 0) return [];
  const half = toMm(across) / 2;
  const widthAt = (y: number) => Math.abs(body.spotAt(90, y / body.heightMm).point[0]);
  if (body.face || body.rope || half >= body.halfWidthMm) return [];
  let [low, high] = [0, body.heightMm / 2];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (low + high) / 2;
    if (widthAt(middle) < half) low = middle;
    else high = middle;
  }
  const y = body.heightMm / 2 - low;
  return [
    {
      of: { kind: 'flat' },
      points: [
        [-half, y],
        [half, y],
      ],
      isClosed: false,
      isBehind: false,
    },
  ];
}

/** Along its middle; what is bent to a ring is told in words. */
function wireMarks({ partId, body }: PlacedPiece, { cuts }: BuildOfMarks): GuideMark[] {
  if (body.rope) return [];
  return cuts.flatMap((cut): GuideMark[] =>
    cut.kind === 'wire' && cut.segments.some((segment) => segment.partId === partId)
      ? [
          {
            of: { kind: 'wire', cutId: cut.id },
            points: [
              [0, -body.heightMm / 2],
              [0, body.heightMm / 2],
            ],
            isClosed: false,
            isBehind: false,
          },
        ]
      : [],
  );
}
