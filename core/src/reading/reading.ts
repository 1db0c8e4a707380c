import type { PatternEstimate, Wool } from '../engine/index.ts';
import { type Need, needsOf } from '../needles/index.ts';
import {
  type Caution,
  countRange,
  type Level,
  needleOf,
  type Pattern,
  type Session,
  type Stage,
  type Step,
} from '../pattern/index.ts';
import { type NeedleWanted, wantedKey } from '../shelf/index.ts';
import { cautionsOf, proposeLevel } from '../writing/index.ts';
import { type StepWool, woolOfSteps } from './woolOfSteps.ts';

/** For whom it is read: those who hold the kit, or those who weigh for themselves. */
export type Reader = 'kit' | 'pattern';

export interface ReadingStep {
  readonly step: Step;
  readonly number: number;
  /** Sentences for this reader, after the text. */
  readonly extra: string;
  readonly needle: NeedleWanted | null;
  readonly isNeedleNew: boolean;
  readonly cautions: readonly Caution[];
  readonly partNames: readonly string[];
  /** A box to tick for each time it is done. */
  readonly ticks: readonly string[];
  /** What was decided before and matters here: the step and its question. */
  readonly recalls: { readonly number: number; readonly question: string } | null;
  /** What it takes up, keeps back and has of what was kept; null: no wool. */
  readonly wool: StepWool | null;
  /** Numbers of the steps its checks send back to, by check id. */
  readonly returns: ReadonlyMap<string, number>;
}

interface ReadingStage {
  readonly stage: Stage;
  readonly steps: readonly ReadingStep[];
}

export interface ReadingSession {
  /** Null where the pattern is one sitting, and for what comes before the first session’s first step. */
  readonly session: Session | null;
  /** The number of its last step. */
  readonly lastStep: number;
  readonly stages: readonly ReadingStage[];
}

/** A build as its reader goes through it. */
export interface BuildReading {
  readonly sessions: readonly ReadingSession[];
  readonly tools: readonly Need[];
  readonly level: Level;
  /** Everything that has to be said of where it comes from, each line once. */
  readonly credits: readonly string[];
}

/** @param build a pattern with its options resolved */
export function readingOf(
  build: Pattern,
  estimate: PatternEstimate,
  wool: Wool,
  reader: Reader,
): BuildReading {
  const cautions = cautionsOf(build, wool);
  const woolAt = woolOfSteps(build, estimate.uses);
  let before: string | null = null;
  const steps = build.steps.map((step, index): ReadingStep => {
    const needle = needleOf(step, build);
    const isNeedleNew = needle !== null && wantedKey(needle) !== before;
    if (needle) before = wantedKey(needle);
    return {
      step,
      number: index + 1,
      extra: step.readers[reader],
      needle,
      isNeedleNew,
      cautions: cautions.get(step.id) ?? [],
      partNames: step.partIds.flatMap((id) => build.parts.find((part) => part.id === id)?.name ?? []),
      ticks: ticksOf(step, build),
      recalls: recalled(step, build),
      wool: woolAt.get(index + 1) ?? null,
      returns: new Map(
        step.checks.flatMap(({ id, returnToStepId }) => {
          const at = build.steps.findIndex((candidate) => candidate.id === returnToStepId);
          return at < 0 ? [] : [[id, at + 1] as const];
        }),
      ),
    };
  });
  return {
    sessions: sessionsOf(build, steps),
    tools: needsOf(build).listed,
    level: build.level ?? proposeLevel(build, estimate).level,
    credits: creditsOf(build),
  };
}

function recalled({ recallsStepId }: Step, { steps }: Pattern): ReadingStep['recalls'] {
  const at = steps.findIndex(({ id }) => id === recallsStepId);
  const act = steps[at]?.act;
  return act?.kind === 'decide' ? { number: at + 1, question: act.question } : null;
}

/** One for each repeat, with the author’s note; a step that is done once has none. */
export function ticksOf({ repeat, partIds }: Step, { parts }: Pick<Pattern, 'parts'>): string[] {
  if (!repeat) return [];
  const counts = partIds.map(
    (id) => countRange(parts.find((part) => part.id === id)?.count ?? null)?.high ?? 1,
  );
  const times = repeat.times ?? Math.max(1, ...counts);
  return Array.from({ length: times }, (_, index) => repeat.notes[index] ?? '');
}

function sessionsOf({ sessions }: Pattern, steps: readonly ReadingStep[]): ReadingSession[] {
  const starts = new Map(
    sessions.flatMap((session) => (session.firstStepId ? [[session.firstStepId, session] as const] : [])),
  );
  const parts: { session: Session | null; steps: ReadingStep[] }[] = [];
  for (const step of steps) {
    const session = starts.get(step.step.id);
    const last = parts.at(-1);
    if (session || !last) parts.push({ session: session ?? null, steps: [step] });
    else last.steps.push(step);
  }
  return parts.map(({ session, steps: part }) => ({
    session,
    lastStep: part.at(-1)?.number ?? 0,
    stages: byStage(part),
  }));
}

/** Steps that follow one another in one stage, under its heading. */
function byStage(steps: readonly ReadingStep[]): ReadingStage[] {
  const stages: { stage: Stage; steps: ReadingStep[] }[] = [];
  for (const step of steps) {
    const last = stages.at(-1);
    if (last?.stage === step.step.stage) last.steps.push(step);
    else stages.push({ stage: step.step.stage, steps: [step] });
  }
  return stages;
}

/** Of the pattern, its outlines, its techniques and the pictures that are shown. */
export function creditsOf({ rights, parts, techniques, pictures, steps }: Pattern): string[] {
  const shown = new Set(steps.flatMap((step) => step.pictures.map(({ pictureId }) => pictureId)));
  const lines = [
    rights.credit,
    ...parts.map(({ outlineRights }) => outlineRights?.credit ?? ''),
    ...techniques.map((technique) => technique.rights.credit),
    ...pictures.filter(({ id }) => shown.has(id)).map((picture) => picture.rights.credit),
  ];
  return [...new Set(lines.map((line) => line.trim()).filter((line) => line !== ''))];
}
