import type { PatternEstimate } from '../../engine/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import type { Finding } from '../../shelf/index.ts';
import { standingOf, type Standing } from './balance.ts';
import { type PlacedDetail, placeDetails } from './details.ts';
import { supportOf } from './feet.ts';
import {
  type Hanging,
  hangingFrom,
  pointOnPiece,
  type PointOnPiece,
  straightHangingPoint,
} from './hanging.ts';
import { centreOfMass, type CentreOfMass, type Masses, massesOf } from './masses.ts';
import { type HeightAgainst, heightAgainst, type SizeOverAll, sizeOverAll } from './overall.ts';
import { type Figure, placeFigure, raised, type Vec3 } from '../../placing/index.ts';
import { formOfCut, isHanger, pointsOfForm } from './cutForms.ts';

/** A build put together, as it is drawn. */
export interface Together {
  readonly figure: Figure;
  readonly details: readonly PlacedDetail[];
}

type BuildTogether = Pick<Pattern, 'parts' | 'joins' | 'findings' | 'cuts' | 'stance' | 'finishedHeight'>;
type EstimateTogether = Pick<PatternEstimate, 'parts' | 'joins' | 'cuts'>;

/** Every piece and everything on it where it sits. */
export function putTogether(
  build: BuildTogether,
  estimate: EstimateTogether,
  findings: ReadonlyMap<string, Finding>,
): Together {
  const pieces = placeFigure(build, estimate);
  const onPieces = placeDetails(pieces, build, findings);
  const beyond = pointsBeyond(onPieces);
  const lowestMm = beyond.reduce((lowest, [, y]) => Math.min(lowest, y), 0);
  if (lowestMm === 0) return { figure: { ...pieces, beyond }, details: onPieces };
  // What hangs lower than the pieces stands on the ground in their place.
  const lifted = raised(pieces, -lowestMm);
  const details = placeDetails(lifted, build, findings);
  return { figure: { ...lifted, beyond: pointsBeyond(details) }, details };
}

function pointsBeyond(details: readonly PlacedDetail[]): Vec3[] {
  return details.flatMap(({ of, spots, host }) =>
    of.kind === 'cut' && !isHanger(of.seat)
      ? spots.flatMap((spot) => {
          const form = formOfCut(of.cut, of.seat, spot, host);
          return form ? pointsOfForm(form) : [];
        })
      : [],
  );
}

/** What a figure tells of itself once it is together. */
export interface FigureTells {
  readonly size: SizeOverAll | null;
  readonly height: HeightAgainst | null;
  readonly masses: Masses;
  /** Null: nothing weighs anything yet. */
  readonly centre: CentreOfMass | null;
  readonly standing: Standing;
  /** Null: nobody has said where it hangs from. */
  readonly hanging: { readonly from: PointOnPiece; readonly hangs: Hanging } | null;
  /** From where it would hang as it is drawn; null: from nowhere on its surface. */
  readonly straightFrom: PointOnPiece | null;
}

/** Size, balance and hanging of a build that was put together. */
export function whatItTells(
  { figure, details }: Together,
  build: BuildTogether,
  estimate: EstimateTogether,
  findings: ReadonlyMap<string, Finding>,
): FigureTells {
  const masses = massesOf({ figure, details, build, estimate, findings });
  const centre = centreOfMass(masses.points);
  const hangAt = build.stance?.hangAt ?? null;
  const from = hangAt && pointOnPiece(figure, hangAt);
  return {
    size: sizeOverAll(figure),
    height: heightAgainst(figure, build),
    masses,
    centre,
    standing: standingOf(masses.points, supportOf(figure, build.stance)),
    hanging: from && centre && { from, hangs: hangingFrom(figure, from, centre) },
    straightFrom: centre && straightHangingPoint(figure, centre),
  };
}
