import type { Stroke } from '../pattern/index.ts';
import type { PointMm } from '../shapes/index.ts';

/** One line of a mark for how the needle goes, mm as the figure is drawn: to the right and up. */
export interface StrokeLine {
  readonly points: readonly PointMm[];
  /** An arrow’s head at its last point. */
  readonly hasHead: boolean;
}

/** The box of what is worked on, and where it meets what it is set on; null: nowhere. */
export interface Worked {
  readonly leftMm: number;
  readonly rightMm: number;
  readonly bottomMm: number;
  readonly topMm: number;
  readonly joinAt: PointMm | null;
}

/** A point of the box: −1 … 1 from its left to its right and from its bottom to its top; beyond is outside. */
type At = (x: number, y: number) => PointMm;

/** Our own marks for every way the needle goes, over the piece that is worked on. */
export function strokeLines(stroke: Stroke, worked: Worked): StrokeLine[] {
  const at = pointsOf(worked);
  const line = (...points: PointMm[]): StrokeLine => ({ points, hasHead: true });
  const plain = (...points: PointMm[]): StrokeLine => ({ points, hasHead: false });
  switch (stroke) {
    case 'toward-centre':
      return turns(6).map((turn) => line(round(at, 1.3, turn), round(at, 0.7, turn)));
    case 'straight-down':
      return [-0.5, 0, 0.5].map((x) => line(at(x, 1.5), at(x, 0.75)));
    case 'at-a-slant':
      return [-0.8, -0.3, 0.2].map((x) => line(at(x - 0.45, 1.45), at(x + 0.25, 0.7)));
    case 'along':
      return [-0.3, 0.3].map((across) =>
        isUpright(worked) ? line(at(across, -0.8), at(across, 0.8)) : line(at(-0.8, across), at(0.8, across)),
      );
    case 'one-direction':
      return [-0.55, 0, 0.55].map((y) => line(at(-0.7, y), at(0.7, y)));
    case 'edges-first':
      return turns(8).map((turn) => line(round(at, 1.15, turn), round(at, 0.85, turn)));
    case 'round-a-rim':
      return [line(...arc(at, 1.12, 150, 30)), line(...arc(at, 1.12, -30, -150))];
    case 'in-passes':
      return [-0.6, -0.2, 0.2, 0.6].map((y, pass) =>
        pass % 2 === 0 ? line(at(-0.75, y), at(0.75, y)) : line(at(0.75, y), at(-0.75, y)),
      );
    case 'skimmed':
      return [line(at(-1.35, 0.95), at(-0.1, 1.06)), line(at(-0.1, 1.2), at(1.2, 1.02))];
    case 'dipped':
      return [-0.45, 0.45].map((x) =>
        line(at(x - 0.18, 1.45), at(x - 0.1, 0.85), at(x + 0.1, 0.85), at(x + 0.18, 1.45)),
      );
    case 'swept':
      return [0.35, -0.35].map((y) =>
        line(
          ...Array.from({ length: 9 }, (_, step) =>
            at(-0.8 + 0.2 * step, y + 0.28 * Math.sin((Math.PI * step) / 8)),
          ),
        ),
      );
    case 'sideways-at-an-end':
      return [-0.85, -0.6].map((y) => line(at(-1.5, y), at(-0.45, y)));
    case 'from-both-sides':
      return bothSides(worked, line);
    case 'through-and-out':
      return [line(at(-1.45, 0.1), at(1.45, 0.1)), line(at(1.45, -0.25), at(-1.45, -0.25))];
    case 'in-one-spot':
      return [
        ...turns(7).map((turn) => line(nearSpot(at, 0.55, turn), nearSpot(at, 0.12, turn))),
        plain(...ring(at)),
      ];
    case 'deep-in-a-spot':
      return [line(at(0.2, 1.5), at(0.2, 0)), line(at(0.45, 1.4), at(0.25, 0.05)), plain(...ring(at))];
  }
}

function pointsOf({ leftMm, rightMm, bottomMm, topMm }: Worked): At {
  const [cx, cy] = [(leftMm + rightMm) / 2, (bottomMm + topMm) / 2];
  const [rx, ry] = [(rightMm - leftMm) / 2, (topMm - bottomMm) / 2];
  // What stands out is never further off than a finger’s breadth, nor so near that it is not seen.
  const out = (share: number, radius: number) =>
    Math.abs(share) <= 1
      ? share * radius
      : Math.sign(share) * (radius + Math.max(3, Math.min(14, (Math.abs(share) - 1) * radius)));
  return (x, y) => [cx + out(x, rx), cy + out(y, ry)];
}

const isUpright = ({ leftMm, rightMm, bottomMm, topMm }: Worked): boolean =>
  topMm - bottomMm >= rightMm - leftMm;

const turns = (count: number): number[] => Array.from({ length: count }, (_, at) => (360 * at) / count + 90);
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** On the ellipse within the box, so many times as large. */
const round = (at: At, share: number, turnDeg: number): PointMm => {
  const [cx, cy] = at(0, 0);
  const [x1, y1] = [at(1, 0)[0] - cx, at(0, 1)[1] - cy];
  const extra = share > 1 ? Math.max(3, Math.min(14, (share - 1) * Math.max(x1, y1))) : 0;
  const inner = Math.min(1, share);
  return [
    cx + (x1 * inner + extra) * Math.cos(radians(turnDeg)),
    cy + (y1 * inner + extra) * Math.sin(radians(turnDeg)),
  ];
};

const ARC_STEPS = 12;
const arc = (at: At, share: number, fromDeg: number, toDeg: number): PointMm[] =>
  Array.from({ length: ARC_STEPS + 1 }, (_, step) =>
    round(at, share, fromDeg + ((toDeg - fromDeg) * step) / ARC_STEPS),
  );

/** Toward one spot, a little over the middle. */
function nearSpot(at: At, share: number, turnDeg: number): PointMm {
  const [x, y] = at(0.2, 0.2);
  const size = Math.min(at(1, 0)[0] - at(0, 0)[0], at(0, 1)[1] - at(0, 0)[1]);
  return [x + size * share * Math.cos(radians(turnDeg)), y + size * share * Math.sin(radians(turnDeg))];
}

const ring = (at: At): PointMm[] => Array.from({ length: 13 }, (_, step) => nearSpot(at, 0.1, 30 * step));

/** At the join where there is one, else at the foot of the piece. */
function bothSides(worked: Worked, line: (...points: PointMm[]) => StrokeLine): StrokeLine[] {
  const { leftMm, rightMm, bottomMm, joinAt } = worked;
  const [x, y] = joinAt ?? [(leftMm + rightMm) / 2, bottomMm];
  const reach = Math.max(8, Math.min(22, (rightMm - leftMm) / 2 + 8));
  return [
    line([x - reach, y + 3], [x - 1.5, y]),
    line([x + reach, y + 3], [x + 1.5, y]),
    line([x - reach, y - 3], [x - 1.5, y - 0.5]),
    line([x + reach, y - 3], [x + 1.5, y - 0.5]),
  ];
}
