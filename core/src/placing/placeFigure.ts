import { toMm } from '../base/index.ts';
import {
  countRange,
  type CountRange,
  type Join,
  type Part,
  type Pattern,
  type Placement,
  UPRIGHT,
} from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';
import type { Body } from './body.ts';
import { bodyOf } from './bodyOf.ts';
import { type Contact, contactIn, contactOf, contactRaised } from './contact.ts';
import { frameOnHost } from './onHost.ts';
import { proposeJoin } from './propose.ts';
import { reachOfAll } from './reach.ts';
import {
  FIGURE_FRAME,
  type Frame,
  frameIn,
  mirrored,
  moved,
  pointIn,
  sameHanded,
  times,
  turnedAbout,
  UP,
  type Vec3,
} from './space.ts';
import { type SpreadPlace, spreadPlaces } from './spreadPlaces.ts';

/** One piece where it sits in the figure. */
export interface PlacedPiece {
  /** Its own in the figure. */
  readonly key: string;
  readonly partId: string;
  /** Which of its part’s pieces, from 0. */
  readonly index: number;
  readonly body: Body;
  /** In the figure: on the ground at y = 0. */
  readonly frame: Frame;
  /** Null: the piece everything else is set on. */
  readonly set: SetOn | null;
}

/** How a piece sits on its host. */
export interface SetOn {
  readonly hostKey: string;
  readonly joinId: string;
  readonly placement: Placement;
  /** Which of its places, and whether it is that place’s mirror image. */
  readonly placeIndex: number;
  readonly isImage: boolean;
  /** Nobody has said it: it is ours. */
  readonly isProposed: boolean;
  readonly sinkMm: number;
  /** Nobody has said how deep: it is ours. */
  readonly isSinkUsual: boolean;
  /** Which way is straight out of the host there. */
  readonly normal: Vec3;
  /** Null: it lies on its host, or does not reach in. */
  readonly contact: Contact | null;
}

/** Why pieces are not in the figure. */
export type NotPlaced =
  | { readonly why: 'size_unknown'; readonly partId: string }
  /** Set on something that is not there itself. */
  | { readonly why: 'host_not_placed'; readonly partId: string }
  /** Set on nothing, beside the figure. */
  | { readonly why: 'set_on_nothing'; readonly partId: string }
  /** Its rule has fewer places than there are pieces. */
  | {
      readonly why: 'places_too_few';
      readonly partId: string;
      readonly joinId: string;
      readonly count: number;
    };

export interface Figure {
  readonly pieces: readonly PlacedPiece[];
  readonly notPlaced: readonly NotPlaced[];
  /** What everything is set on; null: nothing has a size. */
  readonly rootId: string | null;
  /** Points of what is cut and stands off or hangs from the pieces: it reaches as far as they do. */
  readonly beyond: readonly Vec3[];
}

type BuildOfFigure = Pick<Pattern, 'parts' | 'joins' | 'stance'>;

/** What of a worked out part its place follows from. */
export interface SizedPiece {
  readonly partId: string;
  /** Null: some size is unknown. */
  readonly solid: Solid | null;
  readonly count: CountRange | null;
}

interface EstimateOfFigure {
  readonly parts: readonly SizedPiece[];
}

/** The figure together: every piece of a build on its host, from the piece that carries most. */
export function placeFigure(build: BuildOfFigure, estimate: EstimateOfFigure): Figure {
  const bodies = bodiesOf(estimate.parts);
  const rootId = rootOf(build, bodies);
  const notPlaced: NotPlaced[] = [];
  const pieces: PlacedPiece[] = [];
  const byPart = new Map<string, PlacedPiece[]>();
  const rootBody = rootId === null ? undefined : bodies.get(rootId);
  if (rootId !== null && rootBody) {
    const root: PlacedPiece = {
      key: `${rootId}.0`,
      partId: rootId,
      index: 0,
      body: rootBody,
      frame: turnedRoot(build.stance, rootBody),
      set: null,
    };
    pieces.push(root);
    byPart.set(rootId, [root]);
  }
  for (const part of fromHostsOut(build)) {
    if (part.id === rootId || hasNoBody(part)) continue;
    const joins = build.joins.filter(({ partId }) => partId === part.id);
    const body = bodies.get(part.id);
    if (!body) {
      notPlaced.push({ why: 'size_unknown', partId: part.id });
      continue;
    }
    const placed = setOnAll(part, body, joins, { build, estimate, byPart, notPlaced });
    byPart.set(part.id, placed);
    pieces.push(...placed);
  }
  return { pieces: onTheGround(pieces), notPlaced, rootId, beyond: [] };
}

/** What is only laid on another part has no body of its own to be set anywhere. */
const hasNoBody = ({ shape }: Part): boolean => shape.kind === 'patch' || shape.kind === 'fringe';

function bodiesOf(parts: readonly SizedPiece[]): Map<string, Body> {
  return new Map(parts.flatMap(({ partId, solid }) => (solid ? [[partId, bodyOf(solid)] as const] : [])));
}

/** How many pieces are drawn: as many as there likely are, one where nobody has said. */
const pieceCount = (estimate: SizedPiece | undefined): number =>
  Math.max(1, Math.round(estimate?.count?.likely ?? 1));

/** Of the parts that are set on nothing: the one that carries most, itself with it. */
function rootOf({ parts, joins }: BuildOfFigure, bodies: ReadonlyMap<string, Body>): string | null {
  const carried = (partId: string, way: readonly string[]): number => {
    const body = bodies.get(partId);
    const itself = body ? body.heightMm * body.halfWidthMm * body.halfDepthMm : 0;
    return joins.reduce(
      (sum, join) =>
        join.ontoId === partId && !way.includes(join.partId)
          ? sum + carried(join.partId, [...way, join.partId])
          : sum,
      itself,
    );
  };
  let [best, most] = [null as string | null, 0];
  for (const part of parts) {
    if (!bodies.has(part.id) || hasNoBody(part) || joins.some(({ partId }) => partId === part.id)) continue;
    const carries = carried(part.id, [part.id]);
    if (carries > most) [best, most] = [part.id, carries];
  }
  return best;
}

/** Each part after all it is set on; what goes in a circle stays out. */
function fromHostsOut({ parts, joins }: BuildOfFigure): Part[] {
  const done = new Set<string>();
  const order: Part[] = [];
  let waiting = [...parts];
  while (waiting.length > 0) {
    const ready = waiting.filter(({ id }) =>
      joins.every((join) => join.partId !== id || done.has(join.ontoId) || join.ontoId === id),
    );
    if (ready.length === 0) break;
    for (const part of ready) done.add(part.id);
    order.push(...ready);
    waiting = waiting.filter(({ id }) => !done.has(id));
  }
  return order;
}

interface Placing {
  readonly build: BuildOfFigure;
  readonly estimate: EstimateOfFigure;
  readonly byPart: ReadonlyMap<string, readonly PlacedPiece[]>;
  readonly notPlaced: NotPlaced[];
}

/** All pieces of a part, over the joins that set them on, in the order the joins are written. */
function setOnAll(part: Part, body: Body, joins: readonly Join[], placing: Placing): PlacedPiece[] {
  const { estimate, byPart, notPlaced } = placing;
  if (joins.length === 0) notPlaced.push({ why: 'set_on_nothing', partId: part.id });
  const all = pieceCount(estimate.parts.find(({ partId }) => partId === part.id));
  const placed: PlacedPiece[] = [];
  for (const join of joins) {
    const left = all - placed.length;
    if (left <= 0) break;
    const hosts = byPart.get(join.ontoId) ?? [];
    if (hosts.length === 0) {
      notPlaced.push({ why: 'host_not_placed', partId: part.id });
      continue;
    }
    const count = Math.min(left, Math.max(1, Math.round(countRange(join.count)?.likely ?? left)));
    const set = setOnHosts(part, body, join, { hosts, count, first: placed.length, placing });
    placed.push(...set);
    if (set.length < count)
      notPlaced.push({ why: 'places_too_few', partId: part.id, joinId: join.id, count: count - set.length });
  }
  return placed;
}

interface OnHosts {
  readonly hosts: readonly PlacedPiece[];
  readonly count: number;
  readonly first: number;
  readonly placing: Placing;
}

/** So many pieces over the hosts of one join, as evenly as they go, the first hosts first. */
function setOnHosts(part: Part, body: Body, join: Join, on: OnHosts): PlacedPiece[] {
  const { hosts, count, first, placing } = on;
  const [least, more] = [Math.floor(count / hosts.length), count % hosts.length];
  const placed: PlacedPiece[] = [];
  hosts.forEach((host, at) => {
    const onThis = least + (at < more ? 1 : 0);
    if (onThis === 0) return;
    const placement =
      join.placement ??
      proposeJoin({
        part,
        join,
        count: onThis,
        piece: body,
        host: host.body,
        hostFrame: host.frame,
        parts: placing.build.parts,
      });
    const { sinkMm, isUsual } = sinkOf(join, placement, body);
    for (const spread of spreadPlaces(placement, onThis)) {
      const index = first + placed.length;
      placed.push({
        key: `${part.id}.${index}`,
        partId: part.id,
        index,
        body,
        ...setOn(host, body, spread, { join, placement, sinkMm, isUsual }),
      });
    }
  });
  return placed;
}

interface SettingOn {
  readonly join: Join;
  readonly placement: Placement;
  readonly sinkMm: number;
  readonly isUsual: boolean;
}

function setOn(
  host: PlacedPiece,
  body: Body,
  { place, index, isImage }: SpreadPlace,
  { join, placement, sinkMm, isUsual }: SettingOn,
): Pick<PlacedPiece, 'frame' | 'set'> {
  const { rule, heldBy } = placement;
  const told = frameOnHost(host.body, body, place, heldBy, sinkMm);
  const onHost = isImage ? (rule === 'copy' ? sameHanded(mirrored(told)) : mirrored(told)) : told;
  const frame = frameIn(host.frame, onHost);
  const contact = contactOf(host.body, { body, frame: onHost }, heldBy);
  const { normal } = host.body.spotAt(place.aroundDeg, place.heightFraction);
  const outward: Vec3 = isImage ? [-normal[0], normal[1], normal[2]] : normal;
  return {
    frame,
    set: {
      hostKey: host.key,
      joinId: join.id,
      placement,
      placeIndex: index,
      isImage,
      isProposed: join.placement === null,
      sinkMm,
      isSinkUsual: isUsual,
      normal: frameIn(host.frame, { ...FIGURE_FRAME, y: outward }).y,
      contact: contact && contactIn(host.frame, contact),
    },
  };
}

/** Where nobody has said: an eighth of its length, at most 5 mm; what lies on its host is not sunk. */
const USUAL_SINK = { fraction: 1 / 8, mostMm: 5 };

function sinkOf(join: Join, { heldBy }: Placement, body: Body): { sinkMm: number; isUsual: boolean } {
  if (join.sink !== null) return { sinkMm: toMm(join.sink), isUsual: false };
  const isLying = heldBy === 'side' || heldBy === 'middle';
  return {
    sinkMm: isLying ? 0 : Math.min(USUAL_SINK.mostMm, body.heightMm * USUAL_SINK.fraction),
    isUsual: true,
  };
}

/** The root turned as the figure rests, about its own middle. */
function turnedRoot(stance: Pattern['stance'], { centroid }: Body): Frame {
  const { pitchDeg, rollDeg, yawDeg } = stance ?? UPRIGHT;
  const turn = (a: Vec3): Vec3 =>
    turnedAbout(turnedAbout(turnedAbout(a, [1, 0, 0], pitchDeg), [0, 0, 1], -rollDeg), UP, yawDeg);
  const frame = { x: turn([1, 0, 0]), y: turn(UP), z: turn([0, 0, 1]), origin: [0, 0, 0] as Vec3 };
  const middle = pointIn(frame, centroid);
  return moved(frame, [-middle[0], 0, -middle[2]]);
}

function onTheGround(pieces: readonly PlacedPiece[]): PlacedPiece[] {
  if (pieces.length === 0) return [];
  return allRaised(pieces, reachOfAll(pieces, [0, -1, 0]));
}

function allRaised(pieces: readonly PlacedPiece[], byMm: number): PlacedPiece[] {
  const up = times(UP, byMm);
  return pieces.map((piece) => ({
    ...piece,
    frame: moved(piece.frame, up),
    set: piece.set && {
      ...piece.set,
      contact: piece.set.contact && contactRaised(piece.set.contact, byMm),
    },
  }));
}

/** The same figure so much higher: what hangs below its pieces stands on the ground. */
export const raised = (figure: Figure, byMm: number): Figure => ({
  ...figure,
  pieces: allRaised(figure.pieces, byMm),
});
