import type { HeldBy } from '../pattern/index.ts';
import type { Body } from './body.ts';
import {
  directionIn,
  type Frame,
  length,
  minus,
  plus,
  ORIGIN,
  pointIn,
  times,
  unit,
  type Vec3,
} from './space.ts';

/** Where two surfaces cut into one another: as if in a plane, round about its middle. */
export interface Contact {
  /** In the figure. */
  readonly middle: Vec3;
  /** Toward the piece that is set on, of length 1. */
  readonly outward: Vec3;
  /** Across, mm: the round of the same girth, for what covers a join goes once round it. */
  readonly acrossMm: number;
  /** Points of both surfaces, all round. */
  readonly rim: readonly Vec3[];
}

/** Ways in which the host is followed from where the piece is held. */
const WAYS = 12;
/** To a millionth of its length: nothing a needle could tell. */
const HALVINGS = 16;

interface Placed {
  readonly body: Body;
  readonly frame: Frame;
}

/** By host, then by piece: where a piece sits on its host is mostly where it sat a moment ago. */
const known = new WeakMap<Body, WeakMap<Body, Map<string, Contact | null>>>();
const MOST_KNOWN = 64;

/**
 * The contact of a piece with its host, from the overlap of their bodies. From the piece’s middle line, seen in several
 * ways, its surface is followed outward from the end it is held by until it leaves the host.
 * @param piece in the host’s own frame, as the answer is
 */
export function contactOf(host: Body, piece: Placed, heldBy: HeldBy): Contact | null {
  if (heldBy === 'side' || heldBy === 'middle') return null;
  const ofHost = known.get(host) ?? new WeakMap<Body, Map<string, Contact | null>>();
  known.set(host, ofHost);
  const ofPiece = ofHost.get(piece.body) ?? new Map<string, Contact | null>();
  ofHost.set(piece.body, ofPiece);
  const { x, y, origin } = piece.frame;
  const key = [...x, ...y, ...origin, heldBy].join();
  const before = ofPiece.get(key);
  if (before !== undefined) return before;
  if (ofPiece.size >= MOST_KNOWN) ofPiece.clear();
  const contact = findContact(host, piece, heldBy);
  ofPiece.set(key, contact);
  return contact;
}

/** As it lies in the figure. */
export const contactIn = (frame: Frame, { middle, outward, acrossMm, rim }: Contact): Contact => ({
  middle: pointIn(frame, middle),
  outward: directionIn(frame, outward),
  acrossMm,
  rim: rim.map((point) => pointIn(frame, point)),
});

/** The same, so much higher. */
export const contactRaised = (contact: Contact, byMm: number): Contact => ({
  ...contact,
  middle: plus(contact.middle, [0, byMm, 0]),
  rim: contact.rim.map((point) => plus(point, [0, byMm, 0])),
});

function findContact(host: Body, piece: Placed, heldBy: HeldBy): Contact | null {
  const points: Vec3[] = [];
  for (let way = 0; way < WAYS; way++) {
    const leaving = whereItLeaves(host, piece, (360 * way) / WAYS, heldBy);
    if (leaving) points.push(leaving);
  }
  if (points.length < WAYS / 2) return null;
  const middle = times(points.reduce(plus, [0, 0, 0]), 1 / points.length);
  return {
    middle,
    outward: normalThrough(points, middle, times(piece.frame.y, heldBy === 'tip' ? -1 : 1)),
    acrossMm: girthMm(points) / Math.PI,
    rim: points,
  };
}

/** Once round its points, as an arc bulges over its chords: of a circle exactly. */
function girthMm(rim: readonly Vec3[]): number {
  const half = Math.PI / rim.length;
  const chords = rim.reduce(
    (sum, point, index) => sum + length(minus(rim[(index + 1) % rim.length] ?? point, point)),
    0,
  );
  return (chords * half) / Math.sin(half);
}

/** The first point of the piece’s surface, from its held end on, that lies outside its host; null: none, or all. */
function whereItLeaves(host: Body, { body, frame }: Placed, aroundDeg: number, heldBy: HeldBy): Vec3 | null {
  const at = (along: number): Vec3 => {
    const fraction = heldBy === 'tip' ? 1 - along : along;
    return pointIn(frame, body.pointAt(aroundDeg, Math.min(1 - 1e-9, Math.max(1e-9, fraction))));
  };
  const isIn = (along: number) => host.contains(at(along));
  if (!isIn(0)) return null;
  let [inside, outside] = [0, 0];
  for (const along of [0.02, 0.05, 0.1, 0.2, 0.35, 0.5, 0.75, 1]) {
    if (!isIn(along)) {
      outside = along;
      break;
    }
    inside = along;
  }
  if (outside === 0) return null;
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (inside + outside) / 2;
    if (isIn(middle)) inside = middle;
    else outside = middle;
  }
  return at(outside);
}

/** Square to the points as well as one plane can be (Newell), on the piece’s side. */
function normalThrough(points: readonly Vec3[], middle: Vec3, toward: Vec3): Vec3 {
  let normal: Vec3 = [0, 0, 0];
  points.forEach((a, index) => {
    const b = points[(index + 1) % points.length] ?? a;
    const [ax, ay, az] = [a[0] - middle[0], a[1] - middle[1], a[2] - middle[2]];
    const [bx, by, bz] = [b[0] - middle[0], b[1] - middle[1], b[2] - middle[2]];
    normal = plus(normal, [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx]);
  });
  const square = unit(normal);
  const side = square[0] * toward[0] + square[1] * toward[1] + square[2] * toward[2];
  return side < 0 ? times(square, -1) : square;
}

/** Points between two of the rim. */
const BETWEEN = 3;

/** The line in which two pieces meet, through the points of its rim. Source: Catmull and Rom. */
export function contactRing({ rim }: Pick<Contact, 'rim'>): Vec3[] {
  const at = (index: number): Vec3 => rim[(index + rim.length) % rim.length] ?? ORIGIN;
  return rim.flatMap((_, index) =>
    Array.from({ length: BETWEEN }, (_point, step) =>
      through([at(index - 1), at(index), at(index + 1), at(index + 2)], step / BETWEEN),
    ),
  );
}

/** On the curve through the second and third of four points. */
function through([a, b, c, d]: readonly [Vec3, Vec3, Vec3, Vec3], t: number): Vec3 {
  const weights = [
    -t + 2 * t ** 2 - t ** 3,
    2 - 5 * t ** 2 + 3 * t ** 3,
    t + 4 * t ** 2 - 3 * t ** 3,
    t ** 3 - t ** 2,
  ];
  return [a, b, c, d].reduce<Vec3>(
    (sum, point, index) => plus(sum, times(point, (weights[index] ?? 0) / 2)),
    ORIGIN,
  );
}

/** Where a loose end comes to in what its piece is set on: straight in from where it is held. */
export const looseEndOf = (
  { set, frame }: { readonly set: { readonly normal: Vec3 }; readonly frame: Frame },
  tailMm: number,
): Vec3 => plus(frame.origin, times(set.normal, -tailMm));
