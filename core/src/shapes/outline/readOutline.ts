import simplify from 'simplify-js';
import type { PointMm } from '../solid/solid.ts';
import { firstCrossing } from './crossing.ts';
import { type Flattened, flattenPath, type Run } from './flattenPath.ts';
import { heightOfRuns, MOST_OUTLINE_POINTS } from './outlinePoints.ts';
import { readSvg } from './readSvg.ts';

export { MOST_OUTLINE_POINTS } from './outlinePoints.ts';

/** What is read before it is simplified: a traced photograph has so many, and no outline. */
const MOST_READ_POINTS = 40_000;
/** Characters of a drawing. */
const LONGEST_DRAWING = 4_000_000;

/** Curves are kept within this part of the outline's size; a 100 mm piece is then exact to 0.02 mm. */
const KEPT_FRACTION = 1 / 5000;

/** An outline as it is stored: straight runs, its own units, with what is known of its real size. */
export interface ReadOutline {
  readonly path: string;
  /** Real height; null where the file gives no units: ask for one real length. */
  readonly heightMm: number | null;
  readonly pointCount: number;
  /** How many points there were before it was simplified; null where it was not. */
  readonly simplifiedFrom: number | null;
}

/** Why an outline was refused; places in the file's own units. */
export type OutlineRefusal =
  | { readonly code: 'outline_not_read' }
  | { readonly code: 'outline_too_long'; readonly characters: number; readonly most: number }
  | { readonly code: 'outline_too_fine'; readonly mostPoints: number }
  | { readonly code: 'outline_empty' }
  | { readonly code: 'outline_open'; readonly from: PointMm; readonly to: PointMm }
  | { readonly code: 'outline_crosses'; readonly at: PointMm }
  | { readonly code: 'outline_units_contradict'; readonly acrossMm: number; readonly downMm: number };

export type OutlineResult =
  | { readonly ok: true; readonly outline: ReadOutline }
  | { readonly ok: false; readonly refusal: OutlineRefusal };

const refuse = (refusal: OutlineRefusal): OutlineResult => ({ ok: false, refusal });

/** Reads an outline from the text of an SVG file, or from bare path data. */
export function readOutline(text: string): OutlineResult {
  if (text.length > LONGEST_DRAWING)
    return refuse({ code: 'outline_too_long', characters: text.length, most: LONGEST_DRAWING });
  const svg = readSvg(text);
  if (!svg) return refuse({ code: 'outline_not_read' });
  const all: Run[] = [];
  let left = MOST_READ_POINTS;
  for (const path of svg.paths) {
    const flat = flattenFinely(path, left);
    if (!flat.ok && flat.why === 'too-many-points')
      return refuse({ code: 'outline_too_fine', mostPoints: MOST_READ_POINTS });
    if (!flat.ok) return refuse({ code: 'outline_not_read' });
    all.push(...flat.runs);
    left -= countOf(flat.runs.map(({ points }) => points));
  }
  if (all.length === 0) return refuse({ code: 'outline_empty' });
  const open = all.find(({ isClosed }) => !isClosed);
  if (open)
    return refuse({ code: 'outline_open', from: round(open.points[0]), to: round(open.points.at(-1)) });
  if (svg.scale?.kind === 'contradiction') {
    const { acrossMm, downMm } = svg.scale;
    return refuse({ code: 'outline_units_contradict', acrossMm, downMm });
  }
  return checked(all, svg.scale?.mmPerUnit ?? null);
}

function checked(runs: readonly Run[], mmPerUnit: number | null): OutlineResult {
  const before = countOf(runs.map(({ points }) => points));
  const kept = before > MOST_OUTLINE_POINTS ? simplified(runs) : runs.map(({ points }) => points);
  if (kept.some((points) => points.length < 3)) return refuse({ code: 'outline_empty' });
  const at = firstCrossing(kept);
  if (at) return refuse({ code: 'outline_crosses', at: round(at) });
  const height = heightOfRuns(kept);
  return {
    ok: true,
    outline: {
      path: kept.map(pathOf).join(''),
      heightMm: mmPerUnit === null ? null : height * mmPerUnit,
      pointCount: countOf(kept),
      simplifiedFrom: before > MOST_OUTLINE_POINTS ? before : null,
    },
  };
}

/** Fine enough whatever its real size turns out to be. */
function flattenFinely(path: string, mostPoints: number): Flattened {
  const rough = flattenPath(path, Infinity, { mostPoints });
  if (!rough.ok) return rough;
  const height = heightOfRuns(rough.runs.map(({ points }) => points));
  return flattenPath(path, height > 0 ? height * KEPT_FRACTION : 1, { mostPoints });
}

/** Points that bend less than a hair are left out, a little more each time, until few enough are left. */
function simplified(runs: readonly Run[]): PointMm[][] {
  const height = heightOfRuns(runs.map(({ points }) => points));
  for (let tolerance = height * KEPT_FRACTION; ; tolerance *= 1.5) {
    const kept = runs.map(({ points }) =>
      simplify(
        points.map(([x, y]) => ({ x, y })),
        tolerance,
        true,
      ).map(({ x, y }): PointMm => [x, y]),
    );
    if (countOf(kept) <= MOST_OUTLINE_POINTS || tolerance > height) return kept;
  }
}

const countOf = (runs: readonly (readonly PointMm[])[]): number =>
  runs.reduce((sum, points) => sum + points.length, 0);

const DECIMALS = 4;
const number = (value: number): string => String(Number(value.toFixed(DECIMALS)));

const pathOf = (points: readonly PointMm[]): string =>
  `M${points.map(([x, y]) => `${number(x)} ${number(y)}`).join('L')}Z`;

const round = (point: PointMm | undefined): PointMm =>
  point ? [Number(point[0].toFixed(2)), Number(point[1].toFixed(2))] : [0, 0];
