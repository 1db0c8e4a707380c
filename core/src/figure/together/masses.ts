import { commonSigmaFree, type PatternEstimate, type UseEstimate } from '../../engine/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { type Finding, findingMassG } from '../../shelf/index.ts';
import { formOfCut } from './cutForms.ts';
import type { PlacedDetail } from './details.ts';
import {
  type Figure,
  ORIGIN,
  type PlacedPiece,
  plus,
  pointIn,
  times,
  type Vec3,
} from '../../placing/index.ts';

/** Something heavy, and where. */
export interface PointMass {
  readonly massG: number;
  readonly point: Vec3;
  /** What makes its error together with others: one fibre’s density. */
  readonly group: string;
  /** Standard deviations of the log: the group’s, and its own. What one maker’s hand adds to all is left out: it moves nothing. */
  readonly sharedSigma: number;
  readonly ownSigma: number;
}

/** Something of which nobody knows how heavy it is, or where it goes. */
export type NotWeighed =
  | { readonly why: 'mass_unknown'; readonly what: 'part' | 'join' | 'finding' | 'cut'; readonly id: string }
  | {
      readonly why: 'place_unknown';
      readonly what: 'part' | 'finding' | 'cut';
      readonly id: string;
      readonly massG: number;
    };

export interface Masses {
  readonly points: readonly PointMass[];
  readonly notWeighed: readonly NotWeighed[];
}

export interface HeavyThings {
  readonly figure: Figure;
  readonly details: readonly PlacedDetail[];
  readonly build: Pick<Pattern, 'parts' | 'findings' | 'cuts'>;
  readonly estimate: Pick<PatternEstimate, 'parts' | 'joins' | 'cuts'>;
  readonly findings: ReadonlyMap<string, Finding>;
}

/** All that a figure weighs, each thing where it sits: layers, details, covers of joins, bought things, wire within. */
export function massesOf(things: HeavyThings): Masses {
  const points: PointMass[] = [];
  const notWeighed: NotWeighed[] = [];
  const tell = { points, notWeighed };
  const sites = sitesOf(things);
  for (const part of things.estimate.parts) weighPart(part, things, sites, tell);
  weighCovers(things, sites, tell);
  weighFindings(things, tell);
  weighCuts(things, tell);
  return { points, notWeighed };
}

/** Where things sit, by what they are: looked up once for each of hundreds of uses. */
interface Sites {
  readonly piecesOfPart: ReadonlyMap<string, readonly PlacedPiece[]>;
  readonly laidOfPart: ReadonlyMap<string, readonly Vec3[]>;
  /** By piece and use. */
  readonly spotsOfUse: ReadonlyMap<string, readonly Vec3[]>;
  readonly ofJoin: ReadonlyMap<string, readonly Vec3[]>;
}

const useKey = (pieceKey: string, useId: string): string => `${pieceKey} ${useId}`;

function sitesOf({ figure, details }: HeavyThings): Sites {
  const piecesOfPart = new Map<string, PlacedPiece[]>();
  const [laidOfPart, spotsOfUse, ofJoin] = [
    new Map<string, Vec3[]>(),
    new Map<string, Vec3[]>(),
    new Map<string, Vec3[]>(),
  ];
  for (const piece of figure.pieces) {
    addTo(piecesOfPart, piece.partId, [piece]);
    if (piece.set) addTo(ofJoin, piece.set.joinId, [piece.set.contact?.middle ?? piece.frame.origin]);
  }
  for (const { of, host, spots } of details) {
    const points = spots.map(({ point }) => point);
    if (of.kind === 'laid') addTo(laidOfPart, of.part.id, points);
    else if (of.kind === 'use') addTo(spotsOfUse, useKey(host.key, of.use.id), points);
  }
  return { piecesOfPart, laidOfPart, spotsOfUse, ofJoin };
}

function addTo<T>(map: Map<string, T[]>, key: string, more: readonly T[]): void {
  const there = map.get(key);
  if (there) there.push(...more);
  else map.set(key, [...more]);
}

interface Tell {
  readonly points: PointMass[];
  readonly notWeighed: NotWeighed[];
}

const EXACT = { group: '', sharedSigma: 0, ownSigma: 0 };

function weighPart(
  part: PatternEstimate['parts'][number],
  things: HeavyThings,
  sites: Sites,
  tell: Tell,
): void {
  const pieces = sites.piecesOfPart.get(part.partId) ?? [];
  const written = things.build.parts.find(({ id }) => id === part.partId);
  // What is laid on others is weighed where it lies.
  const spots = sites.laidOfPart.get(part.partId) ?? [];
  const count = part.count?.likely ?? 1;
  let isUnknown = false;
  let lostG = 0;
  for (const use of part.uses) {
    if (use.isIfNeeded) continue;
    if (use.kind === 'unknown') {
      isUnknown = true;
      continue;
    }
    if (pieces.length === 0 && spots.length === 0) lostG += use.all.likelyG;
    else if (pieces.length === 0) share(use, spots, use.all.likelyG, tell);
    else
      for (const piece of pieces) share(use, pointsOfUse(use, piece, sites), use.all.likelyG / count, tell);
  }
  if (isUnknown || part.count === null)
    tell.notWeighed.push({ why: 'mass_unknown', what: 'part', id: part.partId });
  if (lostG > 0) tell.notWeighed.push({ why: 'place_unknown', what: 'part', id: part.partId, massG: lostG });
  for (const piece of pieces) weighInserts(written, piece, things, tell);
}

/** Evenly over where it lies. */
function share(
  use: UseEstimate & { kind: 'known' },
  at: readonly Vec3[],
  massG: number,
  { points }: Tell,
): void {
  const { group, sharedSigma, ownSigma } = commonSigmaFree(use.term);
  for (const point of at) points.push({ massG: massG / at.length, point, group, sharedSigma, ownSigma });
}

const LAID_ROLES = new Set<UseEstimate['role']>(['patch', 'line', 'dot', 'hair']);

/** Layers lie about the middle of their piece; details where they are; a loose end goes into the host. */
function pointsOfUse(use: UseEstimate, piece: PlacedPiece, { spotsOfUse }: Sites): readonly Vec3[] {
  const middle = pointIn(piece.frame, piece.body.centroid);
  if (use.role === 'loose-end') return [piece.set ? piece.frame.origin : middle];
  if (!LAID_ROLES.has(use.role)) return [middle];
  const spots = spotsOfUse.get(useKey(piece.key, use.useId)) ?? [];
  return spots.length > 0 ? spots : [middle];
}

function weighInserts(
  part: Pattern['parts'][number] | undefined,
  piece: PlacedPiece,
  { findings }: HeavyThings,
  { points, notWeighed }: Tell,
): void {
  for (const use of part?.uses ?? []) {
    if (use.role !== 'insert') continue;
    const finding = findings.get(use.findingId ?? '');
    const massG = finding ? findingMassG(finding.measure, use.count) : null;
    if (massG === null) {
      if (piece.index === 0) notWeighed.push({ why: 'mass_unknown', what: 'part', id: piece.partId });
    } else points.push({ ...EXACT, massG, point: pointIn(piece.frame, piece.body.centroid) });
  }
}

function weighCovers({ estimate }: HeavyThings, { ofJoin }: Sites, tell: Tell): void {
  for (const { joinId, cover } of estimate.joins) {
    if (!cover || cover.isIfNeeded) continue;
    const at = ofJoin.get(joinId) ?? [];
    if (cover.kind === 'unknown') tell.notWeighed.push({ why: 'mass_unknown', what: 'join', id: joinId });
    else if (at.length > 0) share(cover, at, cover.all.likelyG, tell);
  }
}

function weighFindings({ build, details, findings }: HeavyThings, { points, notWeighed }: Tell): void {
  for (const use of build.findings) {
    const finding = findings.get(use.findingId ?? '');
    const spots = details.flatMap(({ of, spots: at }) =>
      of.kind === 'finding' && of.findingUseId === use.id ? at : [],
    );
    const eachG = finding?.measure.by === 'count' ? finding.measure.massG : null;
    if (eachG === null) notWeighed.push({ why: 'mass_unknown', what: 'finding', id: use.id });
    else if (spots.length === 0) {
      const count = typeof use.count === 'number' ? use.count : (use.count?.high ?? 1);
      notWeighed.push({ why: 'place_unknown', what: 'finding', id: use.id, massG: eachG * count });
    } else for (const { point } of spots) points.push({ ...EXACT, massG: eachG, point });
  }
}

/**
 * Wire lies along the parts it runs through, evenly; what is set on a part is weighed where it is seen; what is cut and
 * neither goes through a part nor is set on one has no place.
 */
function weighCuts(things: HeavyThings, { points, notWeighed }: Tell): void {
  for (const { cutId, massG } of things.estimate.cuts) {
    const cut = things.build.cuts.find(({ id }) => id === cutId);
    const at = cut ? [...withinPieces(cut, things), ...offPieces(cut, things)] : [];
    const whole = at.reduce((sum, { share: each }) => sum + each, 0);
    if (massG === null) notWeighed.push({ why: 'mass_unknown', what: 'cut', id: cutId });
    else if (whole <= 0) notWeighed.push({ why: 'place_unknown', what: 'cut', id: cutId, massG });
    else
      for (const { point, share: each } of at)
        points.push({ ...EXACT, massG: (massG * each) / whole, point });
  }
}

interface Shared {
  readonly point: Vec3;
  /** Of the whole, by length; any unit that is the same for all of one thing. */
  readonly share: number;
}

type CutOfBuild = Pattern['cuts'][number];

function withinPieces(cut: CutOfBuild, { figure, estimate }: HeavyThings): Shared[] {
  if (cut.kind !== 'wire') return [];
  const through = estimate.cuts.find(({ cutId }) => cutId === cut.id)?.stretches ?? [];
  const lengthIn = (partId: string) =>
    through.reduce((sum, each) => (each.partId === partId ? sum + (each.lengthMm ?? 0) : sum), 0);
  return figure.pieces
    .filter(({ partId }) => cut.segments.some((segment) => segment.partId === partId))
    .map((piece) => {
      const alike = figure.pieces.filter(({ partId }) => partId === piece.partId).length;
      // Of one whose length nobody knows each counts as much.
      return {
        point: pointIn(piece.frame, piece.body.centroid),
        share: (lengthIn(piece.partId) || 1) / alike,
      };
    });
}

function offPieces(cut: CutOfBuild, { details, estimate }: HeavyThings): Shared[] {
  const free = estimate.cuts.find(({ cutId }) => cutId === cut.id)?.stretches ?? [];
  const freeMm = free.reduce((sum, each) => (each.partId === null ? sum + (each.lengthMm ?? 0) : sum), 0);
  const middles = details.flatMap(({ of, host, spots }) =>
    of.kind === 'cut' && of.cut.id === cut.id
      ? spots.flatMap((spot) => {
          const form = formOfCut(of.cut, of.seat, spot, host);
          return form ? [form.middle] : [];
        })
      : [],
  );
  return middles.map((point) => ({ point, share: (freeMm || 1) / middles.length }));
}

export interface CentreOfMass {
  readonly massG: number;
  readonly point: Vec3;
}

/** Null: nothing weighs anything. */
export function centreOfMass(points: readonly Pick<PointMass, 'massG' | 'point'>[]): CentreOfMass | null {
  const massG = points.reduce((sum, point) => sum + point.massG, 0);
  if (massG <= 0) return null;
  const moment = points.reduce((sum, { massG: each, point }) => plus(sum, times(point, each)), ORIGIN);
  return { massG, point: times(moment, 1 / massG) };
}
