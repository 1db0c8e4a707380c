import type { Cut, CutSeat, FindingUse, Join, Part, Place, Placement, Use } from '../pattern/index.ts';
import { straightOut } from '../pattern/index.ts';
import { type BodyWord, takesWords } from './bodyWords.ts';
import type { Body } from './body.ts';
import { axisAt, facing, hostSpot } from './onHost.ts';
import { acrossAxis, cross, degrees, directionFrom, dot, type Frame, unit, type Vec3 } from './space.ts';

interface ProposedJoin {
  readonly part: Part;
  readonly join: Join;
  /** On this host. */
  readonly count: number;
  readonly piece: Body;
  readonly host: Body;
  /** As it lies in the figure. */
  readonly hostFrame: Frame;
  readonly parts: readonly Part[];
}

const placed = (
  rule: Placement['rule'],
  places: Place[],
  heldBy: Placement['heldBy'] = 'base',
): Placement => ({ rule, spanDeg: 360, heldBy, places });

/** Where a piece most likely goes, by its name, its host and how many there are: somewhere to begin. */
export function proposeJoin({ part, count, piece, host, hostFrame }: ProposedJoin): Placement {
  const word = takesWords(part.name);
  const onLying = isLying(host, hostFrame) ? proposeOnLying(word, count, { host, hostFrame }) : null;
  if (onLying) return onLying;
  switch (word) {
    case 'head':
      return placed('each', [straightOut(0, 1)]);
    case 'ear':
      return placed(
        'mirror',
        pairs(count, (share) => straightOut(60 + 60 * share, 0.9)),
      );
    case 'leg':
      return legs(count, host);
    case 'foot':
      return placed('mirror', [straightOut(180, 1)], 'side');
    case 'arm':
      if (count > 4) return placed('ring', [straightOut(0, 0.25)]);
      return placed(
        'mirror',
        pairs(count, (share) => ({ ...straightOut(80 + 60 * share, 0.68), leanUpDeg: -45 })),
      );
    case 'wing':
      return placed(
        'mirror',
        pairs(count, (share) => straightOut(100 + 30 * share, 0.58)),
        'side',
      );
    case 'tail':
      return placed('each', [{ ...straightOut(180, 0.2), leanUpDeg: 15 }]);
    case 'beak':
      return placed('each', [straightOut(0, 0.46)]);
    case 'eye':
      return placed(
        'mirror',
        pairs(count, (share) => straightOut(32 + 40 * share, 0.62)),
        'middle',
      );
    case 'cheek':
      return placed('mirror', [straightOut(42, 0.42)], 'side');
    case 'top':
      return placed('each', [straightOut(0, 1)]);
    case 'leaf':
      return placed('ring', [{ ...straightOut(90, 0.7), leanUpDeg: 25 }]);
    case null:
      return unnamed(count, piece);
  }
}

/** More than this off upright, a body lies along its back and belly: cosine of 45°. */
const UPRIGHT_ENOUGH = Math.SQRT1_2;

/** On four legs, or swimming: round, and its axis level. What is flat lies on its face. */
const isLying = (host: Body, { y }: Frame): boolean => !host.face && Math.abs(y[1]) < UPRIGHT_ENOUGH;

interface LyingHost {
  readonly host: Body;
  readonly hostFrame: Frame;
}

/** On a body that lies: its head at its upper end looks ahead, its legs go straight down, its tail straight on. */
function proposeOnLying(word: BodyWord | null, count: number, lying: LyingHost): Placement | null {
  switch (word) {
    case 'head':
      return placed('each', [
        turnedTo(straightOut(0, 1), { axis: unit([0, 0.9, 0.45]), front: AHEAD }, lying),
      ]);
    case 'leg':
    case 'arm':
      return legsBelow(count, lying);
    case 'tail':
      return placed('each', [straightOut(0, 0)]);
    default:
      return null;
  }
}

const AHEAD: Vec3 = [0, 0, 1];
const DOWN: Vec3 = [0, -1, 0];

/** Pairs from its upper end to its lower, on the side that is lowest, a little apart. */
function legsBelow(count: number, lying: LyingHost): Placement {
  const below = directionFrom(lying.hostFrame, DOWN);
  const aroundDeg = degrees(Math.atan2(below[0], below[2]));
  const many = Math.max(1, Math.ceil(count / 2));
  const places = Array.from({ length: many }, (_, at) => {
    const heightFraction = many === 1 ? 0.5 : 0.78 - (0.56 * at) / (many - 1);
    return turnedTo(straightOut(aroundDeg + APART_DEG, heightFraction), { axis: DOWN, front: AHEAD }, lying);
  });
  return placed('mirror', places);
}

/** How far from straight below a leg sits, degrees round the body. */
const APART_DEG = 34;

/** The place with the leans and the twist by which a piece points, and looks, these ways in the figure. */
function turnedTo(
  place: Place,
  { axis, front }: { readonly axis: Vec3; readonly front: Vec3 },
  { host, hostFrame }: LyingHost,
): Place {
  const spot = hostSpot(host, place);
  const [way, looks] = [directionFrom(hostFrame, axis), directionFrom(hostFrame, front)];
  const leant: Place = {
    ...place,
    leanUpDeg: tenth(degrees(Math.atan2(dot(way, spot.upward), dot(way, spot.normal)))),
    leanAsideDeg: tenth(degrees(Math.asin(Math.max(-1, Math.min(1, dot(way, spot.aside)))))),
  };
  const y = axisAt(spot, leant);
  const [now, wanted] = [facing(y), acrossAxis(looks, y) ?? facing(y)];
  const twist = degrees(Math.atan2(dot(cross(now, wanted), y), dot(now, wanted)));
  return { ...leant, twistDeg: tenth(twist) };
}

const tenth = (angleDeg: number): number => Math.round(angleDeg * 10) / 10 + 0;

/** Alone on top, two at the sides, more all round; what is flat as a collar lies round the top. */
function unnamed(count: number, piece: Body): Placement {
  if (count === 1) return placed('each', [straightOut(0, 1)], piece.rope ? 'side' : 'base');
  if (count === 2) return placed('mirror', [straightOut(90, 0.6)]);
  return placed('ring', [straightOut(0, 0.4)]);
}

/** So many mirrored pairs, from the front to the back. @param at 0 the first, 1 the last */
function pairs(count: number, at: (share: number) => Place): Place[] {
  const many = Math.max(1, Math.ceil(count / 2));
  return Array.from({ length: many }, (_, index) => at(many === 1 ? 0 : index / (many - 1)));
}

/** Below, straight down wherever they are; at the edges of what is flat. */
function legs(count: number, host: Body): Placement {
  if (host.face && !host.rope) {
    const many = Math.max(1, Math.ceil(count / 2));
    const places = Array.from({ length: many }, (_, at) => straightOut(90, (at + 1) / (many + 1)));
    return placed('mirror', places);
  }
  const down = (place: Place): Place => ({ ...place, leanUpDeg: leanDown(host, place) });
  if (count === 2) return placed('mirror', [down(straightOut(62, 0.1))]);
  return placed(
    'mirror',
    pairs(count, (share) => down(straightOut(35 + 110 * share, 0.14))),
  );
}

/** How far something must lean there to point straight down its host. */
function leanDown(host: Body, { aroundDeg, heightFraction }: Place): number {
  const { normal } = host.spotAt(aroundDeg, heightFraction);
  return degrees(Math.atan2(-Math.sqrt(Math.max(0, 1 - normal[1] ** 2)), -normal[1]));
}

/** Where a detail of a part most likely goes. @param count on one piece */
export function proposeDetail(use: Use, count: number): Placement {
  switch (use.role) {
    case 'dot':
      return takesWords(use.words) === 'eye' || count === 2
        ? placed(
            'mirror',
            pairs(count, (share) => straightOut(32 + 40 * share, 0.62)),
          )
        : { ...placed('ring', [straightOut(0, 0.72)]), spanDeg: count === 1 ? 360 : 150 };
    case 'line':
      return placed('row', [straightOut(0, 0.42), straightOut(0, count > 1 ? 0.6 : 0.42)]);
    case 'patch':
      return count === 2
        ? placed('mirror', [straightOut(42, 0.45)])
        : { ...placed('ring', [straightOut(0, 0.45)]), spanDeg: 360 };
    case 'needled':
      return placed('row', [straightOut(0, 0.5), straightOut(0, count > 1 ? 0.62 : 0.5)]);
    case 'hair':
      return placed('each', [
        takesWords(use.words) === 'tail' ? straightOut(180, 0.16) : straightOut(0, 0.97),
      ]);
    case 'coat':
    case 'core':
    case 'insert':
    case 'added':
      return placed('each', [straightOut(0, 0.46)]);
  }
}

/** Where a bought thing most likely goes: eyes in front, what closes a pin on the back. */
export function proposeFinding({ count }: FindingUse, sort: string, pieces: number): Placement {
  if (sort === 'pin-back' || sort === 'magnet')
    return placed(
      pieces === 2 ? 'row' : 'each',
      pieces === 2 ? [straightOut(180, 0.3), straightOut(180, 0.7)] : [straightOut(180, 0.5)],
      'side',
    );
  if (sort === 'bell') return placed('each', [straightOut(0, 0)], 'middle');
  return placed(
    'mirror',
    count === 1 ? [straightOut(0, 0.5)] : pairs(pieces, (share) => straightOut(32 + 40 * share, 0.62)),
    'middle',
  );
}

/** Something cut: cords all round what they hang from, what runs up from its top, whiskers in front. */
export function proposeCut(
  { kind }: Pick<Cut, 'kind'>,
  { runs }: Pick<CutSeat, 'runs'>,
  count: number,
): Placement {
  if (runs === 'up') return placed('ring', [straightOut(0, 1)]);
  if (runs === 'down') return placed('ring', [straightOut(0, count === 1 ? 0 : 0.1)]);
  if (kind === 'whisker') return placed('row', [straightOut(0, 0.45), straightOut(0, 0.35)]);
  if (kind === 'handle') return placed('ring', [straightOut(0, 1)]);
  return count === 1
    ? placed('each', [straightOut(0, 0.5)])
    : placed(
        'mirror',
        pairs(count, (share) => straightOut(30 + 40 * share, 0.7)),
      );
}
