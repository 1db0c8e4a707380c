import { isWool, type Part, type Pattern, type Step, stepOfFinding } from '../pattern/index.ts';
import { joinedBy, JOINING, stepOfWool, workOnParts } from '../writing/index.ts';

/**
 * A build as far as one of its steps: the parts that are begun, joined where they are joined, with the wool and the things
 * that are on them by then. What no step takes up is there as soon as its part is finished. @param at from 0
 */
export function buildUpTo(build: Pattern, at: number): Pattern {
  const work = workOnParts(build);
  const isBegun = (partId: string) => (work.get(partId)?.[0]?.at ?? Infinity) <= at;
  const isFinished = (partId: string) => (work.get(partId)?.at(-1)?.at ?? Infinity) <= at;
  const parts = build.parts
    .filter(
      ({ id, shape }) =>
        isBegun(id) ||
        (shape.kind === 'patch' &&
          shape.onPartId !== null &&
          isFinished(shape.onPartId) &&
          !work.get(id)?.length),
    )
    .map((part) => withUsesUpTo(part, build, at, isFinished(part.id)));
  const there = new Set(parts.map(({ id }) => id));
  return {
    ...build,
    parts,
    joins: build.joins.filter(
      (join) =>
        there.has(join.partId) &&
        there.has(join.ontoId) &&
        isJoined(join, build, at, isFinished(join.partId)),
    ),
    findings: build.findings.filter((finding) => {
      const step = stepOfFinding(build, finding);
      return (
        finding.partId !== null &&
        there.has(finding.partId) &&
        (step === null ? isFinished(finding.partId) : step <= at)
      );
    }),
    cuts: build.cuts.filter(
      (cut) => cut.kind === 'wire' && cut.segments.some(({ partId }) => partId !== null && there.has(partId)),
    ),
    stance: stanceOf(build, there),
  };
}

function withUsesUpTo(part: Part, build: Pattern, at: number, isFinished: boolean): Part {
  const uses = part.uses.filter((use) => {
    if (use.role === 'needled') return isFinished || isDetailed(part.id, build, at);
    if (!isWool(use) || use.role === 'core') return true;
    const step = stepOfWool(build, { owner: { kind: 'part', id: part.id }, role: use.role });
    return step === null ? isFinished : step <= at;
  });
  return uses.length === part.uses.length ? part : { ...part, uses };
}

/** Some step of details has been on it. */
const isDetailed = (partId: string, { steps }: Pattern, at: number): boolean =>
  steps.some(({ stage, partIds }, index) => index <= at && stage === 'detail' && partIds.includes(partId));

/** By the first step that makes it; where none does, once its part is finished. */
function isJoined(join: Pattern['joins'][number], build: Pattern, at: number, isFinished: boolean): boolean {
  const step = build.steps.findIndex((candidate) => makes(candidate, join, build));
  return step < 0 ? isFinished : step <= at;
}

const makes = (step: Step, { id, partId, ontoId }: Pattern['joins'][number], { joins }: Pattern): boolean =>
  step.joinIds.includes(id) ||
  (JOINING.has(step.act.kind) &&
    step.joinIds.length === 0 &&
    step.partIds.includes(ontoId) &&
    joinedBy(step, { joins }).has(partId));

/** What it hangs from may not be made yet. */
const stanceOf = ({ stance }: Pattern, there: ReadonlySet<string>): Pattern['stance'] =>
  stance?.hangAt && !there.has(stance.hangAt.partId) ? { ...stance, hangAt: null } : stance;
