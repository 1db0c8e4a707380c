import simplify from 'simplify-js';
import type { PointMm } from '../solid/solid.ts';
import { firstCrossing } from './crossing.ts';
import { flattenPath, type Run } from './flattenPath.ts';
import { readSvg } from './readSvg.ts';

/** More than this no hand cuts or felts; an outline with more is simplified. */
export const MOST_OUTLINE_POINTS = 2000;

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
  const svg = readSvg(text);
  if (!svg) return refuse({ code: 'outline_not_read' });
  const runs = svg.paths.map((path) => flattenFinely(path));
  if (runs.includes(null)) return refuse({ code: 'outline_not_read' });
  const all = runs.flatMap((run) => run ?? []);
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
  const height = heightOf(kept);
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
function flattenFinely(path: string): Run[] | null {
  const rough = flattenPath(path, Infinity);
  if (!rough) return null;
  const height = heightOf(rough.map(({ points }) => points));
  return flattenPath(path, height > 0 ? height * KEPT_FRACTION : 1);
}

/** Points that bend less than a hair are left out, a little more each time, until few enough are left. */
function simplified(runs: readonly Run[]): PointMm[][] {
  const height = heightOf(runs.map(({ points }) => points));
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

function heightOf(runs: readonly (readonly PointMm[])[]): number {
  let [top, bottom] = [Infinity, -Infinity];
  for (const [, y] of runs.flat()) [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
  return bottom - top;
}

const DECIMALS = 4;
const number = (value: number): string => String(Number(value.toFixed(DECIMALS)));

const pathOf = (points: readonly PointMm[]): string =>
  `M${points.map(([x, y]) => `${number(x)} ${number(y)}`).join('L')}Z`;

const round = (point: PointMm | undefined): PointMm =>
  point ? [Number(point[0].toFixed(2)), Number(point[1].toFixed(2))] : [0, 0];
