import type { Length } from '../base/index.ts';
import { estimatePattern, type Wool } from '../engine/index.ts';
import {
  ABOVE,
  type DrawnFigure,
  drawnFigure,
  FRONT,
  type LookFrom,
  movedFigure,
  putTogether,
  smallFigure,
  type Together,
  type WoolLook,
} from '../figure/index.ts';
import type { Part, Pattern } from '../pattern/index.ts';
import { buildUpTo } from './buildUpTo.ts';
import { type StrokeLine, strokeLines, type Worked } from './strokeLines.ts';

/** A picture of a step that nobody had to take. Plain data. */
export interface StepPicture {
  readonly stepId: string;
  /** The figure as far as the step, what is not joined yet beside it. */
  readonly drawn: DrawnFigure;
  /** By id of the fibre. */
  readonly wool: Readonly<Record<string, WoolLook>>;
  /** Parts that are worked on. */
  readonly atWork: readonly string[];
  readonly strokes: readonly StrokeLine[];
}

/** Between what is not joined to one another, mm. */
const BESIDE_MM = 10;

/** The picture of a step: null where there is nothing to draw of it yet. */
export function stepPicture(build: Pattern, stepId: string, wool: Wool): StepPicture | null {
  const at = build.steps.findIndex(({ id }) => id === stepId);
  const step = build.steps[at];
  if (!step) return null;
  const soFar = buildUpTo(withSizes(build, wool), at);
  const groups = groupsOf(soFar).map((group) => ({ group, together: put(group, wool) }));
  const shown = groups.filter(({ group }) => group.parts.some(({ id }) => step.partIds.includes(id)));
  const [first] = [...groups].sort(
    (a, b) => b.together.figure.pieces.length - a.together.figure.pieces.length,
  );
  const views = (shown.length > 0 ? shown : first ? [first] : [])
    .filter(({ together }) => together.figure.pieces.length > 0)
    .map(({ group, together }) => drawnFigure(together, group.parts, viewFor(together, group, step.partIds)));
  if (views.length === 0) return null;
  const drawn = sideBySide(views);
  const worked = workedOf(
    drawn,
    step.partIds,
    groups.map(({ together }) => together),
  );
  const { drawn: coarse, wool: looks } = smallFigure(drawn, wool);
  return {
    stepId,
    drawn: coarse,
    wool: looks,
    atWork: step.partIds,
    strokes: step.stroke && worked ? strokeLines(step.stroke, worked) : [],
  };
}

/** Sizes that follow from other parts are there before those are begun. */
function withSizes(build: Pattern, wool: Wool): Pattern {
  if (build.parts.every(({ derived }) => derived.length === 0)) return build;
  const estimate = estimatePattern(build, wool);
  return {
    ...build,
    parts: build.parts.map((part) => {
      const sized = estimate.parts.find(({ partId }) => partId === part.id)?.working.part;
      return sized && part.derived.length > 0 ? { ...part, shape: sized.shape, derived: [] } : part;
    }),
  };
}

/** How thick wool is drawn that lies by itself on the table, to be laid on something later. */
const LOOSE: Length = { value: 2, unit: 'mm' };

/** What has no body of its own lies as it is laid out. */
function asItLies(part: Part): Part {
  const { shape } = part;
  if (shape.kind === 'patch')
    return {
      ...part,
      shape: { kind: 'flat-ellipse', length: shape.length, width: shape.width, thickness: LOOSE },
    };
  if (shape.kind === 'fringe')
    return {
      ...part,
      shape: { kind: 'plate', length: shape.drop, width: shape.line, thickness: LOOSE, corner: null },
    };
  return part;
}

function put(group: Pattern, wool: Wool): Together {
  return putTogether(group, estimatePattern(group, wool), wool.findings);
}

/** Parts that hang together by their joins, each as a pattern of its own: the first is the one with most of them. */
function groupsOf(build: Pattern): Pattern[] {
  const rootOf = new Map(build.parts.map(({ id }) => [id, id]));
  const find = (id: string): string => {
    const parent = rootOf.get(id) ?? id;
    return parent === id ? id : find(parent);
  };
  const links = [
    ...build.joins.map(({ partId, ontoId }) => [partId, ontoId] as const),
    ...build.parts.flatMap(({ id, shape }) =>
      shape.kind === 'patch' && shape.onPartId !== null ? [[id, shape.onPartId] as const] : [],
    ),
  ];
  for (const [a, b] of links) rootOf.set(find(a), find(b));
  const roots = [...new Set(build.parts.map(({ id }) => find(id)))];
  return roots.map((root): Pattern => {
    const ids = new Set(build.parts.filter(({ id }) => find(id) === root).map(({ id }) => id));
    const isAlone = ids.size === 1;
    return {
      ...build,
      parts: build.parts.filter(({ id }) => ids.has(id)).map((part) => (isAlone ? asItLies(part) : part)),
      joins: build.joins.filter(({ partId }) => ids.has(partId)),
      findings: build.findings.filter(({ partId }) => partId !== null && ids.has(partId)),
      // Alone on the table a piece lies as it is made, not as it will stand.
      stance: isAlone ? null : build.stance,
    };
  });
}

/** From where what is worked on is seen: from behind where it sits there. */
function viewFor({ figure }: Together, { stance, parts }: Pattern, partIds: readonly string[]): LookFrom {
  if (stance?.rests === 'lies' && parts.length > 1) return ABOVE;
  const worked = figure.pieces.filter(({ partId, set }) => set !== null && partIds.includes(partId));
  const isBehind = worked.length > 0 && worked.every(({ set }) => (set?.normal[2] ?? 0) < BEHIND);
  return isBehind ? { kind: 'round', turnDeg: 180 } : FRONT;
}

/** So far round a thing is not seen from the front: cosine. */
const BEHIND = -0.3;

function sideBySide(views: readonly DrawnFigure[]): DrawnFigure {
  let rightMm = 0;
  const moved = views.map((view, at) => {
    const byMm = at === 0 ? 0 : rightMm + BESIDE_MM - view.box.leftMm;
    rightMm = view.box.rightMm + byMm;
    return movedFigure(view, byMm);
  });
  const boxes = moved.map(({ box }) => box);
  return {
    pieces: moved.flatMap(({ pieces }) => pieces),
    box: {
      leftMm: Math.min(...boxes.map(({ leftMm }) => leftMm)),
      rightMm: Math.max(...boxes.map((box) => box.rightMm)),
      bottomMm: Math.min(...boxes.map(({ bottomMm }) => bottomMm)),
      topMm: Math.max(...boxes.map(({ topMm }) => topMm)),
    },
  };
}

/** The first piece that is worked on; of a join, what is set on, and where it meets its host. */
function workedOf(drawn: DrawnFigure, partIds: readonly string[], all: readonly Together[]): Worked | null {
  const setOn = all.flatMap(({ figure }) =>
    figure.pieces.filter(
      ({ set, partId }) =>
        set && partIds.includes(partId) && partIds.some((id) => set.hostKey.startsWith(`${id}.`)),
    ),
  );
  const keys = new Set(setOn.map(({ key }) => key));
  const piece =
    drawn.pieces.find(({ key }) => keys.has(key)) ??
    drawn.pieces.find(({ partId }) => partIds.includes(partId));
  const points = piece?.outline.flat() ?? [];
  if (!piece || points.length === 0) return null;
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const box = {
    leftMm: Math.min(...xs),
    rightMm: Math.max(...xs),
    bottomMm: Math.min(...ys),
    topMm: Math.max(...ys),
  };
  const host = drawn.pieces.find(({ key }) =>
    setOn.some(({ key: on, set }) => on === piece.key && set?.hostKey === key),
  );
  return { ...box, joinAt: host ? nearest(points, host.outline.flat()) : null };
}

/** The point of one outline that is nearest to the middle of another. */
function nearest(
  points: readonly (readonly [number, number])[],
  others: readonly (readonly [number, number])[],
): readonly [number, number] | null {
  const [cx, cy] = [0, 1].map(
    (axis) => others.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / Math.max(1, others.length),
  );
  const distance = ([x, y]: readonly [number, number]) => Math.hypot(x - (cx ?? 0), y - (cy ?? 0));
  return points.reduce<readonly [number, number] | null>(
    (best, point) => (best === null || distance(point) < distance(best) ? point : best),
    null,
  );
}
