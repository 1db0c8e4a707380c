import {
  countRange,
  type Cut,
  type CutSeat,
  mmOrNull,
  type Part,
  type Pattern,
  type Place,
  type Placement,
  type PlaceTarget,
  type Use,
} from '../../pattern/index.ts';
import type { Finding } from '../../shelf/index.ts';
import {
  axisAt,
  directionIn,
  type Figure,
  hostSpot,
  type PlacedPiece,
  pointIn,
  proposeCut,
  proposeDetail,
  proposeFinding,
  spreadPlaces,
  turnedAbout,
  type Vec3,
} from '../../placing/index.ts';

/** Where one detail or bought thing sits: a point of its host’s surface in the figure. */
export interface DetailSpot {
  readonly point: Vec3;
  readonly normal: Vec3;
  /** Along its length: up its host, turned as its place says. */
  readonly along: Vec3;
  /** Straight out, leant as its place says. */
  readonly out: Vec3;
  readonly place: Place;
  readonly index: number;
  readonly isImage: boolean;
}

/** All of one detail on one piece. */
export interface PlacedDetail {
  readonly key: string;
  readonly host: PlacedPiece;
  readonly of:
    | { readonly kind: 'use'; readonly partId: string; readonly use: Use }
    | { readonly kind: 'laid'; readonly part: Part }
    | { readonly kind: 'finding'; readonly findingUseId: string; readonly finding: Finding }
    | {
        readonly kind: 'cut';
        readonly cut: Cut;
        readonly seat: CutSeat;
        /** Of what it is cut from; null: not on the shelf, or without one. */
        readonly colour: string | null;
        readonly thickMm: number | null;
      };
  readonly placement: Placement;
  readonly isProposed: boolean;
  readonly spots: readonly DetailSpot[];
}

type BuildOfDetails = Pick<Pattern, 'parts' | 'findings' | 'cuts'>;

/** Everything that lies on the pieces of a figure or is put on them, each where it sits. */
export function placeDetails(
  figure: Figure,
  { parts, findings, cuts }: BuildOfDetails,
  shelf: ReadonlyMap<string, Finding>,
): PlacedDetail[] {
  const piecesOf = (partId: string | null) => figure.pieces.filter((piece) => piece.partId === partId);
  return [
    ...parts.flatMap((part) => piecesOf(part.id).flatMap((host) => detailsOn(host, part))),
    ...parts.flatMap((part) =>
      part.shape.kind === 'patch' ? laidOn(part, piecesOf(part.shape.onPartId)) : [],
    ),
    ...findings.flatMap((use): PlacedDetail[] => {
      const finding = shelf.get(use.findingId ?? '');
      const hosts = piecesOf(use.partId);
      if (!finding || finding.measure.by !== 'count' || hosts.length === 0) return [];
      const { sort } = finding.measure;
      return overHosts(hosts, countOf(use.count)).map(({ host, count }) =>
        detail(
          { key: `${use.id}.${host.index}`, host, of: { kind: 'finding', findingUseId: use.id, finding } },
          use.placement,
          () => proposeFinding(use, sort, count),
          count,
        ),
      );
    }),
    ...cuts.flatMap((cut) =>
      cut.seat ? cutOn(cut, cut.seat, piecesOf(cut.seat.partId), shelf.get(cut.findingId ?? '')) : [],
    ),
  ];
}

/** What is cut for a figure and set on a part of it. */
function cutOn(
  cut: Cut,
  seat: CutSeat,
  hosts: readonly PlacedPiece[],
  finding: Finding | undefined,
): PlacedDetail[] {
  const [colour, thickMm] = [
    finding?.colour ?? null,
    finding?.measure.by === 'length' ? finding.measure.diameterMm : null,
  ];
  const of = { kind: 'cut', cut, seat, colour, thickMm } as const;
  if (hosts.length === 0) return [];
  return overHosts(hosts, Math.min(MOST_DRAWN, Math.max(1, Math.round(cut.count)))).map(({ host, count }) =>
    detail(
      { key: `${cut.id}.${host.index}`, host, of },
      seat.placement,
      () => proposeCut(cut, seat, count),
      count,
    ),
  );
}

const countOf = (count: Parameters<typeof countRange>[0]): number =>
  Math.max(1, Math.round(countRange(count)?.likely ?? 1));

/** As many on one piece as are drawn: more cannot be told apart. */
const MOST_DRAWN = 60;

function detailsOn(host: PlacedPiece, part: Part): PlacedDetail[] {
  return part.uses.flatMap((use): PlacedDetail[] => {
    if (!('placement' in use) || (use.role === 'coat' && use.cover.kind !== 'patch')) return [];
    const count = 'count' in use ? Math.min(MOST_DRAWN, countOf(use.count)) : 1;
    const of = { kind: 'use', partId: part.id, use } as const;
    return [
      detail(
        { key: `${use.id}.${host.index}`, host, of },
        use.placement,
        () => proposeDetail(use, count),
        count,
      ),
    ];
  });
}

/** What is laid on others, and what lies on it in turn: at the same spots, unless it says its own. */
function laidOn(part: Part, hosts: readonly PlacedPiece[]): PlacedDetail[] {
  return overHosts(hosts, countOf(part.count)).flatMap(({ host, count }) => {
    const laid = detail(
      { key: `${part.id}.${host.index}`, host, of: { kind: 'laid', part } },
      part.placement,
      () => proposePatch(part, count),
      count,
    );
    const onIt = part.uses.flatMap((use): PlacedDetail[] =>
      'placement' in use && use.role !== 'coat'
        ? [
            detail(
              {
                key: `${use.id}.${host.index}`,
                host,
                of: { kind: 'use', partId: part.id, use },
              },
              use.placement,
              () => laid.placement,
              count,
            ),
          ]
        : [],
    );
    return [laid, ...onIt];
  });
}

const proposePatch = (part: Part, count: number): Placement => {
  const blank = { id: part.id, words: part.name, count, role: 'patch', placement: null };
  return proposeDetail(blank as Use, count);
};

function overHosts(hosts: readonly PlacedPiece[], count: number): { host: PlacedPiece; count: number }[] {
  const [least, more] = [Math.floor(count / hosts.length), count % hosts.length];
  return hosts.flatMap((host, at) => {
    const onThis = least + (at < more ? 1 : 0);
    return onThis === 0 ? [] : [{ host, count: onThis }];
  });
}

function detail(
  base: Pick<PlacedDetail, 'key' | 'host' | 'of'>,
  told: Placement | null,
  propose: () => Placement,
  count: number,
): PlacedDetail {
  const placement = told ?? propose();
  return {
    ...base,
    placement,
    isProposed: told === null,
    spots: spreadPlaces(placement, count).map(({ place, index, isImage }) => ({
      ...spotIn(base.host, place, isImage),
      place,
      index,
      isImage,
    })),
  };
}

function spotIn(
  { body, frame }: PlacedPiece,
  place: Place,
  isImage: boolean,
): Pick<DetailSpot, 'point' | 'normal' | 'along' | 'out'> {
  const { point, normal, upward, aside } = hostSpot(body, place);
  const along = turnedAbout(upward, normal, place.twistDeg);
  const out = axisAt({ point, normal, upward, aside }, place);
  const seen = ([x, y, z]: Vec3): Vec3 => (isImage ? [-x, y, z] : [x, y, z]);
  return {
    point: pointIn(frame, seen(point)),
    normal: directionIn(frame, seen(normal)),
    along: directionIn(frame, seen(along)),
    out: directionIn(frame, seen(out)),
  };
}

/** What in the pattern keeps its place. */
export function targetOf({ of }: PlacedDetail): PlaceTarget {
  switch (of.kind) {
    case 'use':
      return { kind: 'use', partId: of.partId, useId: of.use.id };
    case 'laid':
      return { kind: 'laid', partId: of.part.id };
    case 'finding':
      return { kind: 'finding', findingUseId: of.findingUseId };
    case 'cut':
      return { kind: 'cut', cutId: of.cut.id };
  }
}

/** How large a counted thing is, mm: across, and how far it stands off; null: nobody has measured it. */
export function sizeOfThing({
  measure,
}: Finding): { acrossMm: number; alongMm: number; offMm: number } | null {
  if (measure.by !== 'count') return null;
  const { length, width, height } = measure.outerMm;
  const across = width ?? length ?? height;
  if (across === null) return null;
  return { acrossMm: across, alongMm: length ?? across, offMm: height ?? across };
}

/** The sizes of what is laid, mm along and across; null while they are not given. */
export function sizeOfDetail({ of }: PlacedDetail): { alongMm: number; acrossMm: number } | null {
  if (of.kind === 'finding') return sizeOfThing(of.finding);
  if (of.kind === 'cut') return null;
  if (of.kind === 'laid')
    return of.part.shape.kind === 'patch' ? sizes(of.part.shape.length, of.part.shape.width) : null;
  const { use } = of;
  switch (use.role) {
    case 'dot':
      return sizes(use.diameter, use.diameter);
    case 'patch':
      return sizes(use.length, use.width);
    case 'coat':
      return use.cover.kind === 'patch' ? sizes(use.cover.length, use.cover.width) : null;
    case 'line':
      return sizes(use.length, use.length);
    case 'needled':
      return use.form === 'line' ? sizes(use.length, use.length) : sizes(use.length, use.width);
    case 'hair':
      return sizes(use.drop, use.line);
    default:
      return null;
  }
}

function sizes(along: Parameters<typeof mmOrNull>[0], across: Parameters<typeof mmOrNull>[0]) {
  const [alongMm, acrossMm] = [mmOrNull(along), mmOrNull(across)];
  return alongMm === null || acrossMm === null ? null : { alongMm, acrossMm };
}
